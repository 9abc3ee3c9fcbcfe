package steadycog.site;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import steadycog.check.Finding;
import steadycog.format.svg.Svg;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Pace;
import steadycog.piece.Arrangement;
import steadycog.piece.Piece;
import steadycog.study.Study;

/**
 * Every finding with what it means, by which rule, a card that brings it about as the program
 * judges it, and what cures it: the table of meanings and the table of rules that the tests hold,
 * read together.
 */
final class Catalogue {
  private static final double CHORD = 0.1;

  /** A picture is so many of its lines wide. */
  private static final double LINES = 250;

  private static final Pattern MEANING =
      Pattern.compile("(?m)^\\| `([a-z-]+)` \\| ([^|]+) \\|([^|]*)\\|$");

  private final Map<String, String> pictures = new LinkedHashMap<>();
  private final StringBuilder text = new StringBuilder();

  /**
   * @param meanings the document that lists all codes
   * @param rules a card, a code, how bad, the margin, the first cure, what is left after it
   */
  static Catalogue of(String meanings, Path rules) throws IOException {
    Map<String, String[]> byCode = new LinkedHashMap<>();
    for (String row : Files.readAllLines(rules)) {
      String[] cells = row.split(" \\| ?");
      String[] known = byCode.get(cells[1]);
      if (known == null || (known[4].equals("-") && !cells[4].equals("-"))) {
        byCode.put(cells[1], cells);
      }
    }
    Catalogue catalogue = new Catalogue();
    Matcher table = MEANING.matcher(meanings);
    int begun = table.find() ? table.start() : 0;
    catalogue.text.append(meanings, 0, meanings.lastIndexOf("| code |", begun));
    catalogue.text.append(
        MEANING
            .matcher(meanings)
            .results()
            .map(row -> "[" + row.group(1) + "](#" + row.group(1) + ")")
            .collect(Collectors.joining(" · ")));
    catalogue.text.append('\n');
    table.reset();
    while (table.find()) {
      catalogue.add(
          table.group(1), table.group(2), table.group(3).strip(), byCode.get(table.group(1)));
    }
    return catalogue;
  }

  private void add(String code, String meaning, String rule, String @Nullable [] example) {
    text.append("\n## ").append(code).append("\n\n").append(meaning).append("\n\n");
    if (!rule.isEmpty()) {
      text.append("*By* ").append(rule).append("\n\n");
    }
    if (example == null) {
      return;
    }
    String card = example[0].replace("; ", "\n");
    Study study = study(card);
    List<Piece> drawn =
        study.pieces(CHORD).all().stream().filter(one -> one.bevel().isEmpty()).toList();
    if (!drawn.isEmpty()) {
      pictures.put(code + ".svg", picture(Arrangement.together(drawn), code));
      text.append("![What the card draws](pictures/").append(code).append(".svg)\n\n");
    }
    text.append("    ").append(card.replace("\n", "\n    ")).append("\n\n");
    said(study, code)
        .ifPresent(
            finding ->
                text.append("> ")
                    .append(finding.severity().word())
                    .append(": ")
                    .append(finding.message().replace("~", "\\~"))
                    .append("\n\n"));
    if (!example[4].equals("-")) {
      text.append("Cure: `").append(example[4]).append("`; then ");
      text.append(example[5].equals("gone") ? "it is gone" : "`" + example[5] + "`");
      text.append(".\n\n");
    }
  }

  /** Hairlines are for cutters: on a page lines are as thick as can be seen. */
  private static String picture(Arrangement drawn, String code) {
    double[] box = drawn.bounds();
    double line = Math.max(box[2] - box[0], box[3] - box[1]) / LINES;
    return Svg.write(drawn, code)
        .replaceFirst("stroke-width=\"[^\"]*\"", "stroke-width=\"" + line + "\"");
  }

  private static Study study(String card) {
    try {
      return Study.of(Card.read(card).train());
    } catch (CardException unread) {
      throw new IllegalStateException("the table of rules: " + card, unread);
    }
  }

  /** All pieces are put together only for what no rule has said: that takes by far the longest. */
  private static Optional<Finding> said(Study study, String code) {
    return coded(study.findings(), code).or(() -> coded(study.collisions(Pace.FREE), code));
  }

  private static Optional<Finding> coded(List<Finding> findings, String code) {
    return findings.stream().filter(finding -> finding.code().equals(code)).findFirst();
  }

  /** As a document. */
  String text() {
    return text.toString();
  }

  /** By their names. */
  Map<String, String> pictures() {
    return pictures;
  }
}
