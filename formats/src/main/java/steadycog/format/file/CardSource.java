package steadycog.format.file;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import steadycog.format.json.UnreadableException;
import steadycog.format.table.CountTable;
import steadycog.job.Job;

/**
 * One card or job among many: a file, or a part of one between lines of dashes.
 *
 * @param file where it is from
 * @param number which of the cards of that file, from 1
 * @param line at which it begins there, from 1
 * @param name given to a card's train
 */
public record CardSource(String file, int number, int line, String name, String text) {
  private static final Pattern PARTING = Pattern.compile("\\s*-{3,}\\s*");

  /**
   * The cards and jobs of a file, those that a table of tooth counts makes, or of all {@code .txt}
   * and {@code .cog.json} files in a folder and those below it, by name.
   *
   * @throws IOException if it cannot be read at all
   * @throws UnreadableException if it is no text
   */
  public static List<CardSource> in(Path path) throws IOException, UnreadableException {
    String called = JobFiles.plainName(path.toAbsolutePath().getFileName().toString());
    if (CountTable.isTable(path) && Files.isRegularFile(path)) {
      List<CardSource> rows = new ArrayList<>();
      for (CountTable.Line line : CountTable.trains(path, called)) {
        rows.add(
            new CardSource(path.toString(), rows.size() + 1, line.row(), line.name(), line.card()));
      }
      return rows;
    }
    if (!Files.isDirectory(path)) {
      try (InputStream in = Files.newInputStream(path)) {
        return in(in, path.toString(), called);
      }
    }
    List<Path> files;
    try (Stream<Path> all = Files.walk(path)) {
      files = all.filter(CardSource::isMeant).filter(Files::isRegularFile).sorted().toList();
    }
    List<CardSource> sources = new ArrayList<>();
    for (Path file : files) {
      sources.addAll(in(file));
    }
    return sources;
  }

  private static boolean isMeant(Path file) {
    return JobFiles.isCard(file)
        || file.toString().toLowerCase(Locale.ROOT).endsWith(JobFiles.JOB_ENDING);
  }

  /** The cards of a stream, parted by lines of three dashes or more; or the one job that it is. */
  public static List<CardSource> in(InputStream in, String file, String name)
      throws IOException, UnreadableException {
    String text = JobFiles.text(in);
    if (JobFiles.isJob(text)) {
      return List.of(new CardSource(file, 1, 1, name, text));
    }
    List<CardSource> sources = new ArrayList<>();
    StringBuilder card = new StringBuilder();
    int first = 1;
    int line = 0;
    for (String one : text.split("\n", -1)) {
      line++;
      if (PARTING.matcher(one).matches()) {
        add(sources, file, first, name, card.toString());
        card.setLength(0);
        first = line + 1;
      } else {
        card.append(one).append('\n');
      }
    }
    add(sources, file, first, name, card.toString());
    return sources;
  }

  /** Nothing between two lines of dashes is no card. */
  private static void add(
      List<CardSource> sources, String file, int line, String name, String text) {
    if (!text.isBlank()) {
      sources.add(new CardSource(file, sources.size() + 1, line, name, text));
    }
  }

  /**
   * Reads it.
   *
   * @throws UnreadableException with the place in the file
   */
  public Job read() throws UnreadableException {
    try {
      return JobFiles.parse(text, name);
    } catch (UnreadableException bad) {
      throw new UnreadableException(bad.line() + line - 1, bad.column(), bad.what());
    }
  }
}
