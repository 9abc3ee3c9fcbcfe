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
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
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
  private static final int ROWS_SHOWN = 40;
  private static final char SPACE = ' ';
  private static final String SEPARATORS = "\t;,|" + SPACE;
  private static final Pattern REMARK = Pattern.compile("\\s*(?:#+|%+|//+|!+|\"#)\\s*(.*)");
  private static final Pattern HINT = Pattern.compile("sep=(.)", Pattern.CASE_INSENSITIVE);
  private static final Pattern WITH_UNIT =
      Pattern.compile("([-+\u2212]?[\\d.,]*\\d(?:[eE][-+]?\\d+)?)\\s*([^\\d\\s.,].*)");

  public Beginning {
    heads = List.copyOf(heads);
    units = List.copyOf(units);
    rows = rows.stream().map(List::copyOf).toList();
    said = List.copyOf(said);
  }

  /** What the heads, units and first rows say by themselves. */
  public Guess guess() {
    return Guess.of(this);
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
    return new Search(lines, charset, said).beginning();
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

  /** Looks for the table among the first lines. */
  private static final class Search {
    /** What a row counts; more than rows are looked at, so that their number comes first. */
    private static final int WHOLE = 1_000;

    /** Heads stand at most so many lines above the first row. */
    private static final int FAR = 4;

    private final List<String> lines;
    private final Charset charset;
    private final List<String> said;

    Search(List<String> lines, Charset charset, List<String> said) {
      this.lines = lines;
      this.charset = charset;
      this.said = said;
    }

    /**
     * Columns parted in one way; the more rows of readings have {@code width} cells, the better.
     */
    private record Parting(char separator, int width, int score) {}

    Beginning beginning() throws UnreadableException {
      Parting best = best();
      if (best.score == 0) {
        throw noRows();
      }
      char separator = best.separator;
      int first = 0;
      while (!isRow(lines.get(first), separator, best.width)) {
        first++;
      }
      Heads heads = heads(first, best);
      int from = heads.lastLine() + 1;
      List<List<String>> rows =
          lines.subList(from, lines.size()).stream()
              .filter(line -> isRow(line, separator, best.width))
              .limit(ROWS_SHOWN)
              .map(line -> parted(line, separator))
              .toList();
      long preamble =
          lines.subList(0, heads.firstLine()).stream().filter(l -> !l.isBlank()).count();
      if (preamble > 0) {
        said.add(preamble + (preamble == 1 ? " line" : " lines") + " above the heads passed over");
      }
      return new Beginning(
          charset,
          separator,
          numbers(rows, separator),
          from + 1,
          heads.lines,
          heads.units,
          rows,
          said);
    }

    private Parting best() {
      Optional<Character> hinted =
          lines.stream()
              .limit(1)
              .map(HINT::matcher)
              .filter(Matcher::matches)
              .map(hint -> hint.group(1).charAt(0))
              .findFirst();
      Parting best = new Parting(',', 0, 0);
      for (int k = 0; k < SEPARATORS.length(); k++) {
        char separator = SEPARATORS.charAt(k);
        if (hinted.isPresent() && hinted.get() != separator) {
          continue;
        }
        Map<Integer, Integer> widths = new HashMap<>();
        for (String line : lines) {
          List<String> cells = parted(line, separator);
          if (isRow(line, separator, cells.size())) {
            // Rows without a word count a little more: a wrong sign tears readings in two.
            boolean whole = cells.stream().allMatch(c -> Numbers.missing(c) || isReading(c));
            widths.merge(cells.size(), whole ? WHOLE + 1 : WHOLE, Integer::sum);
          }
        }
        for (Map.Entry<Integer, Integer> one : widths.entrySet()) {
          if (one.getValue() > best.score
              || (one.getValue() == best.score
                  && separator == best.separator
                  && one.getKey() > best.width)) {
            best = new Parting(separator, one.getKey(), one.getValue());
          }
        }
      }
      return best;
    }

    private UnreadableException noRows() {
      boolean parted =
          lines.stream()
              .filter(line -> !line.isBlank())
              .anyMatch(line -> line.matches(".*[\t;,|].*"));
      return parted
          ? new UnreadableException(1, 1, "no rows of readings under the column heads")
          : new UnreadableException(
              1,
              1,
              "only one column: expected columns parted by commas, semicolons, tabs or spaces");
    }

    /** Whether a line holds readings: more numbers and times than words. */
    private static boolean isRow(String line, char separator, int width) {
      if (line.isBlank() || REMARK.matcher(line).matches()) {
        return false;
      }
      List<String> cells = parted(line, separator);
      if (cells.size() != width || width < 2) {
        return false;
      }
      long read = cells.stream().filter(Search::isReading).count();
      long words = cells.stream().filter(c -> !Numbers.missing(c) && !isReading(c)).count();
      return read > words;
    }

    private static boolean isReading(String cell) {
      return !Double.isNaN(new Numbers(false).parse(cell))
          || !Double.isNaN(new Numbers(true).parse(cell))
          || Times.kind(cell).isPresent()
          || carried(cell).isPresent();
    }

    /**
     * What stands above the first row.
     *
     * @param firstLine of the heads, from 0
     * @param lastLine of heads and units
     */
    private record Heads(List<String> lines, List<String> units, int firstLine, int lastLine) {}

    private Heads heads(int first, Parting table) throws UnreadableException {
      List<Integer> above = new ArrayList<>();
      for (int k = first - 1; k >= 0 && above.size() < FAR; k--) {
        if (above(k, table).isPresent()) {
          above.add(k);
        }
      }
      Optional<Integer> units =
          above.stream().filter(k -> areUnits(above(k, table).get())).findFirst();
      Optional<Integer> heads =
          above.stream()
              .filter(k -> !areUnits(above(k, table).get()))
              .filter(k -> above(k, table).get().stream().noneMatch(Search::isReading))
              .findFirst();
      if (heads.isEmpty()) {
        heads = units;
        units = Optional.empty();
      }
      if (heads.isEmpty()) {
        doubled(first, table);
        said.add("no column heads: its columns have numbers");
        List<String> numbered =
            IntStream.rangeClosed(1, table.width).mapToObj(k -> "column " + k).toList();
        return new Heads(numbered, List.of(), first, first - 1);
      }
      int line = heads.get();
      Optional<Integer> beside = units.filter(k -> Math.abs(k - line) <= 1);
      List<String> names = new ArrayList<>(above(line, table).get());
      if (names.stream().distinct().count() < names.size() && line > 0) {
        above(line - 1, table).ifPresent(groups -> group(names, groups));
      }
      return new Heads(
          names,
          beside.map(k -> above(k, table).get()).map(Search::unbracketed).orElse(List.of()),
          Math.min(line, beside.orElse(line)),
          Math.max(line, beside.orElse(line)));
    }

    /** Heads in two lines: what the upper one says of a column holds for those right of it too. */
    private static void group(List<String> names, List<String> groups) {
      String group = "";
      for (int k = 0; k < names.size(); k++) {
        group = groups.get(k).isBlank() ? group : groups.get(k);
        names.set(k, (group + " " + names.get(k)).strip());
      }
    }

    /** The cells of a line as wide as the table, also of a remark. */
    private Optional<List<String>> above(int line, Parting table) {
      Matcher remark = REMARK.matcher(lines.get(line));
      String text = remark.matches() ? remark.group(1) : lines.get(line);
      if (text.isBlank()) {
        return Optional.empty();
      }
      List<String> cells = new ArrayList<>(heads(text, table));
      if (cells.size() == table.width - 1) {
        cells.add("");
      }
      boolean fits =
          cells.size() == table.width
              || (cells.size() == table.width + 1 && cells.getLast().isBlank());
      return fits
          ? Optional.of(cells.subList(0, table.width))
              .filter(c -> !c.stream().allMatch(String::isBlank))
          : Optional.empty();
    }

    /** Between columns of spaces a head may hold spaces itself: {@code time [s]}. */
    private static List<String> heads(String text, Parting table) {
      List<String> cells = parted(text, table.separator);
      if (table.separator != SPACE || cells.size() <= table.width) {
        return cells;
      }
      List<String> apart = List.of(text.strip().split("\\s{2,}|\\s+(?![\\[(])"));
      return apart.size() == table.width ? apart : List.of(text.strip().split("\\s{2,}"));
    }

    private static boolean areUnits(List<String> cells) {
      List<String> bare = unbracketed(cells);
      return bare.stream().allMatch(c -> c.isBlank() || Heading.isUnit(c))
          && bare.stream().anyMatch(Heading::isUnit);
    }

    private static List<String> unbracketed(List<String> cells) {
      return cells.stream()
          .map(c -> c.matches("[\\[(].*[\\])]") ? c.substring(1, c.length() - 1).strip() : c)
          .map(c -> c.matches("[-%1]|hh:mm.*|yyyy.*|dd.*") ? "" : c)
          .toList();
    }

    /** Decimal commas between commas make twice as many columns as heads. */
    private void doubled(int first, Parting table) throws UnreadableException {
      for (int k = first - 1; k >= 0; k--) {
        int heads = parted(lines.get(k), table.separator).size();
        if (table.separator == ','
            && heads > 1
            && table.width > heads
            && table.width <= 2 * heads) {
          throw new UnreadableException(
              first + 1,
              1,
              table.width
                  + " columns instead of "
                  + heads
                  + ": decimal commas? then part the columns with semicolons");
        }
      }
    }

    private static Numbers numbers(List<List<String>> rows, char separator)
        throws UnreadableException {
      List<String> cells = rows.stream().flatMap(List::stream).toList();
      Predicate<String> both = cell -> cell.matches("[-+]?\\d{1,3},\\d{3}");
      return Numbers.of(cells, separator == ',')
          .orElseThrow(
              () ->
                  new UnreadableException(
                      1,
                      1,
                      "'"
                          + cells.stream().filter(both).findFirst().orElse("1,234")
                          + "' can have three decimals or mark thousands: save it with decimal"
                          + " points and without marks"));
    }
  }

  /** For messages: the first rows as they stand. */
  public List<String> preview(int most) {
    return rows.stream().limit(most).map(row -> String.join(" | ", row)).toList();
  }

  static boolean isRemark(String line) {
    return REMARK.matcher(line).matches();
  }
}
