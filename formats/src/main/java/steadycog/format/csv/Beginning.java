package steadycog.format.csv;

import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.CharBuffer;
import java.nio.charset.Charset;
import java.nio.charset.CharsetDecoder;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import steadycog.format.json.UnreadableException;

/**
 * How a recording begins: what parts its columns, where its table starts behind what the instrument
 * wrote first, and how its numbers are written.
 *
 * @param charset of the text
 * @param separator of the columns; a space stands for any number of them
 * @param numbers how they are written
 * @param firstRow the line of the first row of readings, from 1
 * @param heads of its columns
 * @param units a line of units beside the heads; empty where there is none
 * @param rows the first rows of readings
 * @param said what was found and assumed, a line each
 */
public record Beginning(
    Charset charset,
    char separator,
    Numbers numbers,
    int firstRow,
    List<String> heads,
    List<String> units,
    List<List<String>> rows,
    List<String> said) {
  private static final int LOOKED_AT = 64 * 1024;
  private static final int LINES_LOOKED_AT = 400;
  static final char SPACE = ' ';
  static final Pattern REMARK = Pattern.compile("\\s*(?:#+|%+|//+|!+|\"#)\\s*(.*)");
  private static final Pattern WITH_UNIT =
      Pattern.compile("([-+\u2212]?[\\d.,]*\\d(?:[eE][-+]?\\d+)?)\\s*([^\\d\\s.,].*)");

  public Beginning {
    heads = List.copyOf(heads);
    units = List.copyOf(units);
    rows = rows.stream().map(List::copyOf).toList();
    said = List.copyOf(said);
  }

  /** What the heads, units and first rows say by themselves. */
  public ColumnGuess guess() {
    return ColumnGuess.of(this);
  }

  /** What a column tells of the time as clocks write it; empty where it does not. */
  Optional<Times.Kind> timed(int column) {
    List<String> cells = cells(column);
    Optional<Times.Kind> kind = cells.stream().findFirst().flatMap(Times::kind);
    long alike = cells.stream().filter(cell -> Times.kind(cell).equals(kind)).count();
    return kind.filter(k -> 2 * alike > cells.size());
  }

  /** The unit that the cells of a column carry themselves, all the same; empty otherwise. */
  String unitOf(int column) {
    List<String> own =
        cells(column).stream()
            .map(cell -> carried(cell).map(Carried::unit).orElse(""))
            .distinct()
            .toList();
    return own.size() == 1 ? own.getFirst() : "";
  }

  /** Whether the numbers of a column rise from row to row. */
  boolean rising(int column) {
    List<String> cells = cells(column);
    double before = Double.NEGATIVE_INFINITY;
    for (String cell : cells) {
      double value = numbers.parse(cell);
      if (!(value > before)) {
        return false;
      }
      before = value;
    }
    return !cells.isEmpty();
  }

  /** Whether a column holds numbers, so that a word in it is no reading. */
  boolean numeric(int column) {
    List<String> cells = cells(column);
    long good = cells.stream().filter(cell -> !Double.isNaN(numbers.parse(cell))).count();
    return !cells.isEmpty() && good >= 0.8 * cells.size();
  }

  /** What stands in a column of the first rows, without what is missing. */
  List<String> cells(int column) {
    return rows.stream()
        .filter(row -> column < row.size())
        .map(row -> row.get(column))
        .filter(cell -> !Numbers.missing(cell))
        .toList();
  }

  /** A number with its own unit behind it. */
  record Carried(String number, String unit) {}

  static Optional<Carried> carried(String cell) {
    Matcher own = WITH_UNIT.matcher(cell);
    return own.matches() && Heading.isUnit(own.group(2).strip())
        ? Optional.of(new Carried(own.group(1), own.group(2).strip()))
        : Optional.empty();
  }

  /**
   * Looks at how a recording begins.
   *
   * @throws UnreadableException if it has no columns of readings, with the place and the remedy
   */
  public static Beginning of(InputStream in) throws IOException, UnreadableException {
    byte[] start = in.readNBytes(LOOKED_AT);
    List<String> said = new ArrayList<>();
    Charset charset = charset(start, said);
    String text = new String(start, charset);
    if (text.startsWith("\ufeff")) {
      text = text.substring(1);
    }
    if (text.indexOf(0) >= 0) {
      throw new UnreadableException(1, 1, "not text: expected comma-separated values");
    }
    List<String> lines = text.lines().limit(LINES_LOOKED_AT).toList();
    if (lines.stream().allMatch(String::isBlank)) {
      throw new UnreadableException(1, 1, "nothing in it: expected a line of column heads");
    }
    return new TableSearch(lines, charset, said).beginning();
  }

  private static Charset charset(byte[] start, List<String> said) {
    int zeros = 0;
    int oddZeros = 0;
    for (int k = 0; k < start.length; k++) {
      zeros += start[k] == 0 ? 1 : 0;
      oddZeros += start[k] == 0 && k % 2 == 1 ? 1 : 0;
    }
    boolean wide = start.length > 1 && zeros > start.length / 4;
    if (wide && (oddZeros == zeros || oddZeros == 0)) {
      boolean little = oddZeros == zeros;
      said.add("text of two bytes a letter (UTF-16)");
      return little ? StandardCharsets.UTF_16LE : StandardCharsets.UTF_16BE;
    }
    CharsetDecoder strict =
        StandardCharsets.UTF_8
            .newDecoder()
            .onMalformedInput(CodingErrorAction.REPORT)
            .onUnmappableCharacter(CodingErrorAction.REPORT);
    // A letter cut in two where the look ends is left over, not an error.
    boolean good =
        !strict.decode(ByteBuffer.wrap(start), CharBuffer.allocate(start.length), false).isError();
    if (!good) {
      said.add("not UTF-8: read as Western European text (Windows-1252)");
    }
    return good ? StandardCharsets.UTF_8 : Charset.forName("windows-1252");
  }

  /** Parts a line into cells; quotes keep what is between them together. */
  static List<String> parted(String line, char separator) {
    if (separator == SPACE) {
      return List.of(line.strip().split("[ \\u00a0]+"));
    }
    List<String> cells = new ArrayList<>();
    StringBuilder cell = new StringBuilder();
    boolean quoted = false;
    for (int k = 0; k < line.length(); k++) {
      char c = line.charAt(k);
      if (c == '"') {
        quoted = !quoted;
      } else if (c == separator && !quoted) {
        cells.add(cell.toString().strip());
        cell.setLength(0);
      } else {
        cell.append(c);
      }
    }
    cells.add(cell.toString().strip());
    return cells;
  }

  /** For messages: the first rows as they stand. */
  public List<String> preview(int most) {
    return rows.stream().limit(most).map(row -> String.join(" | ", row)).toList();
  }

  static boolean isRemark(String line) {
    return REMARK.matcher(line).matches();
  }
}
