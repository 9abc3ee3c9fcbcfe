package steadycog.format.file;

import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import steadycog.format.json.JobJson;
import steadycog.format.json.UnreadableException;
import steadycog.format.table.CountTable;
import steadycog.job.Job;
import steadycog.job.Sheet;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.notation.CardProblem;

/** Opens and saves jobs: {@code .json} as a job file, {@code .txt} as the card of one train. */
public final class JobFiles {
  /** The ending of job files. */
  public static final String JOB_ENDING = ".cog.json";

  /** The ending of plain cards. */
  public static final String CARD_ENDING = ".txt";

  /** Of all that can be opened, longer ones first. */
  private static final List<String> ENDINGS =
      Stream.concat(Stream.of(JOB_ENDING, ".json", CARD_ENDING), CountTable.ENDINGS.stream())
          .toList();

  /** Far above any real job, far below what would trouble the machine. */
  public static final int MOST_BYTES = 16 * 1024 * 1024;

  private static final char BYTE_ORDER_MARK = '\ufeff';

  private JobFiles() {}

  /**
   * Reads the job or card in {@code file}, or the table of tooth counts ({@code .csv}, {@code
   * .xlsx}) as a job.
   *
   * @throws UnreadableException if the contents make no job; the file is left alone
   * @throws IOException if the file cannot be read at all
   */
  public static Job open(Path file) throws IOException, UnreadableException {
    String name = file.getFileName().toString();
    if (CountTable.isTable(file)) {
      return ofTable(file, plainName(name));
    }
    try (InputStream in = Files.newInputStream(file)) {
      return parse(text(in), plainName(name));
    }
  }

  /** A table of tooth counts as a job, a train a line of it. */
  private static Job ofTable(Path file, String name) throws IOException, UnreadableException {
    List<CountTable.Line> lines = CountTable.trains(file, name);
    if (lines.size() > CountTable.MOST_TRAINS) {
      throw new UnreadableException(
          lines.get(CountTable.MOST_TRAINS).row(),
          1,
          "more than "
              + CountTable.MOST_TRAINS
              + " trains: part the table, or judge it by --lines");
    }
    List<Sheet> sheets = new ArrayList<>();
    for (CountTable.Line line : lines) {
      Job one = new CardSource(file.toString(), 1, line.row(), line.name(), line.card()).read();
      sheets.addAll(one.sheets());
    }
    return new Job(name, sheets);
  }

  /** Reads a job or card from a stream; {@code name} is given to a card's train. */
  public static Job read(InputStream in, String name) throws IOException, UnreadableException {
    return parse(text(in), name);
  }

  /** A job starts with a brace, a card never does. */
  static boolean isJob(String text) {
    return text.stripLeading().startsWith("{");
  }

  static Job parse(String text, String name) throws UnreadableException {
    if (isJob(text)) {
      return JobJson.read(text);
    }
    try {
      return new Job("", List.of(Sheet.of(name, Card.read(text))));
    } catch (CardException unreadable) {
      CardProblem first = unreadable.problems().getFirst();
      throw new UnreadableException(first.line(), first.column(), first.message());
    }
  }

  static String text(InputStream in) throws IOException, UnreadableException {
    byte[] bytes = in.readNBytes(MOST_BYTES + 1);
    if (bytes.length > MOST_BYTES) {
      throw new UnreadableException(
          1, 1, "larger than " + MOST_BYTES / (1024 * 1024) + " MB: not a job or card");
    }
    try {
      String text = StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes)).toString();
      boolean marked = !text.isEmpty() && text.charAt(0) == BYTE_ORDER_MARK;
      return marked ? text.substring(1) : text;
    } catch (CharacterCodingException notText) {
      throw new UnreadableException(1, 1, "not UTF-8 text: not a job or card");
    }
  }

  /** Whether {@code file} is to hold a plain card. */
  public static boolean isCard(Path file) {
    return file.toString().toLowerCase(Locale.ROOT).endsWith(CARD_ENDING);
  }

  /** Whether {@code file} is to hold a job. */
  public static boolean isJob(Path file) {
    return file.toString().toLowerCase(Locale.ROOT).endsWith(".json");
  }

  /**
   * Saves by the file's ending; a card holds one train, so its index is needed.
   *
   * @return what has been written, to tell later whether somebody else has written the file
   * @throws IOException if the disk refuses; what stood in the file before stands there still
   */
  public static Stamp save(Job job, int sheet, Path file) throws IOException {
    String text = isCard(file) ? job.sheets().get(sheet).text() : JobJson.write(job);
    byte[] contents = text.getBytes(StandardCharsets.UTF_8);
    if (contents.length > MOST_BYTES) {
      throw new FileSystemException(
          file.toString(),
          null,
          "it would be larger than " + MOST_BYTES / (1024 * 1024) + " MB and could not be opened");
    }
    write(file, contents);
    return Stamp.of(contents);
  }

  /**
   * Replaces the file's contents in one step. A file that is there keeps its rights; what links
   * lead to is written, not the links.
   *
   * @throws IOException if the disk refuses, or {@code file} is a folder; what stood in the file
   *     before stands there still. {@link Trouble#words} says it to a person
   */
  public static void write(Path file, String text) throws IOException {
    write(file, text.getBytes(StandardCharsets.UTF_8));
  }

  /** The same for a file that is no text. */
  public static void write(Path file, byte[] contents) throws IOException {
    Saving.write(file, contents, false);
  }

  /** The same for a file that only its owner may read. */
  public static void writePrivately(Path file, String text) throws IOException {
    Saving.write(file, text.getBytes(StandardCharsets.UTF_8), true);
  }

  /**
   * Takes away what saves that were killed have left in {@code folder}; what is being written now
   * is left alone.
   */
  public static void tidy(Path folder) throws IOException {
    Saving.tidy(folder);
  }

  /** The file's name without its ending: {@code winch} for {@code winch.cog.json}. */
  public static String plainName(String file) {
    String lower = file.toLowerCase(Locale.ROOT);
    for (String ending : ENDINGS) {
      if (lower.endsWith(ending) && lower.length() > ending.length()) {
        return file.substring(0, file.length() - ending.length());
      }
    }
    return file;
  }
}
