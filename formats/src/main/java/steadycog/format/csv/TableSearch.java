package steadycog.format.csv;

import java.nio.charset.Charset;
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

/** Looks for the table among the first lines of a recording. */
final class TableSearch {
  private static final int ROWS_SHOWN = 40;
  private static final String SEPARATORS = "\t;,|" + Beginning.SPACE;
  private static final Pattern HINT = Pattern.compile("sep=(.)", Pattern.CASE_INSENSITIVE);

  /** What a row counts; more than rows are looked at, so that their number comes first. */
  private static final int WHOLE = 1_000;

  /** Heads stand at most so many lines above the first row. */
  private static final int FAR = 4;

  private final List<String> lines;
  private final Charset charset;
  private final List<String> said;

  TableSearch(List<String> lines, Charset charset, List<String> said) {
    this.lines = lines;
    this.charset = charset;
    this.said = said;
  }

  /** Columns parted in one way; the more rows of readings have {@code width} cells, the better. */
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
            .map(line -> Beginning.parted(line, separator))
            .toList();
    long preamble = lines.subList(0, heads.firstLine()).stream().filter(l -> !l.isBlank()).count();
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
        List<String> cells = Beginning.parted(line, separator);
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
            1, 1, "only one column: expected columns parted by commas, semicolons, tabs or spaces");
  }

  /** Whether a line holds readings: more numbers and times than words. */
  private static boolean isRow(String line, char separator, int width) {
    if (line.isBlank() || Beginning.REMARK.matcher(line).matches()) {
      return false;
    }
    List<String> cells = Beginning.parted(line, separator);
    if (cells.size() != width || width < 2) {
      return false;
    }
    long read = cells.stream().filter(TableSearch::isReading).count();
    long words = cells.stream().filter(c -> !Numbers.missing(c) && !isReading(c)).count();
    return read > words;
  }

  private static boolean isReading(String cell) {
    return !Double.isNaN(new Numbers(false).parse(cell))
        || !Double.isNaN(new Numbers(true).parse(cell))
        || Times.kind(cell).isPresent()
        || Beginning.carried(cell).isPresent();
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
            .filter(k -> above(k, table).get().stream().noneMatch(TableSearch::isReading))
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
        beside.map(k -> above(k, table).get()).map(TableSearch::unbracketed).orElse(List.of()),
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
    Matcher remark = Beginning.REMARK.matcher(lines.get(line));
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
    List<String> cells = Beginning.parted(text, table.separator);
    if (table.separator != Beginning.SPACE || cells.size() <= table.width) {
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
      int heads = Beginning.parted(lines.get(k), table.separator).size();
      if (table.separator == ',' && heads > 1 && table.width > heads && table.width <= 2 * heads) {
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
