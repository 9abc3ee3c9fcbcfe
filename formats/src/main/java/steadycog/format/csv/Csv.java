package steadycog.format.csv;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import steadycog.torque.Backwards;

/** Comma-separated text with a line of titles (RFC 4180). */
final class Csv {
  private Csv() {}

  static String write(List<String> titles, List<List<String>> lines) {
    StringBuilder text = new StringBuilder();
    CSVFormat format = CSVFormat.RFC4180.builder().setHeader(titles.toArray(String[]::new)).get();
    try (CSVPrinter printer = new CSVPrinter(text, format)) {
      for (List<String> line : lines) {
        printer.printRecord(line);
      }
    } catch (IOException impossible) {
      throw new UncheckedIOException("writing to memory", impossible);
    }
    return text.toString();
  }

  /** Empty where it is not known; adding zero turns a negative zero into a plain one. */
  static String number(Optional<Double> value) {
    return value.map(known -> Double.toString(known + 0.0)).orElse("");
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
