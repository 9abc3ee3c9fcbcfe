package steadycog.format.csv;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.torque.Backwards;

/** Comma-separated text with a line of titles (RFC 4180). */
final class Csv {
  /** More than any screen shows, fewer than leave traces of binary numbers. */
  private static final int DIGITS = 12;

  private Csv() {}

  static String write(List<String> titles, List<List<String>> lines) {
    StringBuilder text = new StringBuilder();
    CSVFormat format = CSVFormat.RFC4180.builder().setHeader(titles.toArray(String[]::new)).get();
    try (CSVPrinter printer = new CSVPrinter(text, format)) {
      for (List<String> line : lines) {
        printer.printRecord(line.stream().map(Csv::harmless).toList());
      }
    } catch (IOException impossible) {
      throw new UncheckedIOException("writing to memory", impossible);
    }
    return text.toString();
  }

  /** Numbers, also exact ones, stay as they are however they begin. */
  private static final Pattern NUMBER =
      Pattern.compile("[+-]?\\d+(\\.\\d+)?([eE][+-]?\\d+)?(/\\d+)?");

  private static final String MARK = "'";

  /** What a spreadsheet would take for a formula, or what {@link #harmless} made of such a text. */
  private static final Pattern FORMULA = Pattern.compile(MARK + "*[=+\\-@\t\r].*", Pattern.DOTALL);

  /** A text that no spreadsheet works out: marked as text where it would begin a formula. */
  static String harmless(String cell) {
    boolean formula = FORMULA.matcher(cell).matches() && !NUMBER.matcher(cell).matches();
    return formula ? MARK + cell : cell;
  }

  /** The text that {@link #harmless} was given. */
  static String plain(String cell) {
    boolean marked = cell.startsWith(MARK) && FORMULA.matcher(cell).matches();
    return marked ? cell.substring(MARK.length()) : cell;
  }

  /** Empty where it is not known. */
  static String number(Optional<Double> value) {
    return value.map(Csv::number).orElse("");
  }

  static String number(double value) {
    return Double.isFinite(value) ? Figures.significant(value, DIGITS) : "";
  }

  /** The heads of {@link #exact}: of {@code name} as a decimal number, and as a fraction. */
  static List<String> exactly(String name) {
    return List.of(name, name + ", numerator", name + ", denominator");
  }

  /**
   * An exact number in three cells, each a number: a fraction in one cell would be taken for a date
   * by some spreadsheets and for a text by others.
   */
  static List<String> exact(Optional<BigFraction> value) {
    if (value.isEmpty()) {
      return List.of("", "", "");
    }
    String[] parts = Exact.text(value.get()).split("/");
    return List.of(number(value.get().doubleValue()), parts[0], parts.length > 1 ? parts[1] : "1");
  }

  /** How many times the present losses lie at the edge between turning back and holding. */
  static String edge(Optional<Backwards> backwards) {
    return number(backwards.flatMap(Backwards::lossFactor));
  }

  /** {@code turns} or {@code holds}; empty where it is not known. */
  static String pushedBack(Optional<Backwards> backwards) {
    return backwards
        .flatMap(Backwards::drivable)
        .map(turns -> turns ? "turns" : "holds")
        .orElse("");
  }
}
