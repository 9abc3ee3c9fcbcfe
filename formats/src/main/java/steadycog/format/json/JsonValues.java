package steadycog.format.json;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;

/** How numbers stand in JSON; what does not apply is null, never missing. */
final class JsonValues {
  private JsonValues() {}

  /** An exact number as text: {@code "-7/2"}. */
  static void putExact(ObjectNode node, String name, Optional<BigFraction> number) {
    node.put(name, number.map(Exact::text).orElse(null));
  }

  /** Adding zero turns a negative zero into a plain one. */
  static void putNumber(ObjectNode node, String name, Optional<Double> number) {
    node.put(name, number.map(value -> value + 0.0).orElse(null));
  }

  /** A value of a finding: whole numbers as numbers, all else as text. */
  static void putValue(ObjectNode node, String name, String value) {
    if (value.matches("-?\\d{1,9}")) {
      node.put(name, Integer.parseInt(value));
    } else {
      node.put(name, value);
    }
  }
}
