package steadycog.cli;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import steadycog.job.TrainText;

/** Long lines parted for a terminal. */
final class Lines {
  /** No line is longer, in bytes. */
  static final int MOST = 100;

  static final String INDENT = "    ";

  private Lines() {}

  /** A text whose long lines go on below, further in. */
  static String wrapped(String text) {
    return text.lines()
        .flatMap(line -> wrapped(line, MOST, INDENT).stream())
        .map(line -> line + "\n")
        .collect(Collectors.joining());
  }

  /**
   * Texts below each other.
   *
   * @param texts one a train
   * @param named whether the names stand over them
   */
  static String headed(List<TrainText> texts, boolean named) {
    return texts.stream()
        .map(one -> (named ? "== " + one.train() + " ==\n" : "") + one.text())
        .collect(Collectors.joining("\n"));
  }

  /**
   * A line parted at spaces.
   *
   * @param room bytes that there are
   * @param indent of all lines but the first
   */
  static List<String> wrapped(String line, int room, String indent) {
    List<String> lines = new ArrayList<>();
    String rest = line;
    while (bytes(rest) > room) {
      int least = lines.isEmpty() ? line.length() - line.stripLeading().length() : indent.length();
      int cut = -1;
      for (int k = rest.indexOf(' ', least); k >= 0 && bytes(rest.substring(0, k)) <= room; ) {
        cut = k;
        k = rest.indexOf(' ', k + 1);
      }
      if (cut < 0) {
        break;
      }
      lines.add(rest.substring(0, cut).stripTrailing());
      rest = indent + rest.substring(cut).strip();
    }
    lines.add(rest);
    return lines;
  }

  /** A card on as few lines as there is room for, parted between statements. */
  static List<String> card(String card) {
    List<String> lines = new ArrayList<>();
    for (String statement : card.split("; ")) {
      String longer = lines.isEmpty() ? statement : lines.getLast() + "; " + statement;
      if (!lines.isEmpty() && bytes(longer) <= MOST - INDENT.length()) {
        lines.set(lines.size() - 1, longer);
      } else {
        lines.add(statement);
      }
    }
    return lines;
  }

  private static int bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8).length;
  }
}
