package steadycog.search;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Wheels that are there already.
 *
 * @param drivers counts of wheels that must drive, as that on the motor
 * @param driven counts of wheels that must be driven
 * @param stock how many wheels of each count one owns; empty for whatever can be made
 */
public record Wheels(List<Integer> drivers, List<Integer> driven, Map<Integer, Integer> stock) {
  public static final Wheels ANY = new Wheels(List.of(), List.of(), Map.of());
  private static final int MOST_OF_A_KIND = 99;

  public Wheels {
    drivers = List.copyOf(drivers);
    driven = List.copyOf(driven);
    stock = new TreeMap<>(stock);
    for (int count : all(drivers, driven, stock)) {
      if (count < Limits.FEWEST_TEETH || count > Limits.MOST_TEETH) {
        throw new IllegalArgumentException("tooth counts lie within 4..600: found " + count);
      }
    }
  }

  private static List<Integer> all(
      List<Integer> drivers, List<Integer> driven, Map<Integer, Integer> stock) {
    List<Integer> all = new ArrayList<>(drivers);
    all.addAll(driven);
    all.addAll(stock.keySet());
    return all;
  }

  /** {@code 24, 36x2, 48}: wheels of 24 and 48 teeth, and two of 36. */
  public static Map<Integer, Integer> parseStock(String text) {
    Map<Integer, Integer> stock = new TreeMap<>();
    for (String entry : entries(text)) {
      String[] parts = entry.split("[xX\u00d7]", 2);
      try {
        int many = parts.length == 1 ? 1 : Integer.parseInt(parts[1]);
        if (many < 1 || many > MOST_OF_A_KIND) {
          throw new NumberFormatException();
        }
        stock.merge(Integer.parseInt(parts[0]), many, Integer::sum);
      } catch (NumberFormatException none) {
        throw new IllegalArgumentException(
            "'" + entry + "' is no wheel: write its count, or 36x2 for two of 36 teeth");
      }
    }
    if (stock.isEmpty()) {
      throw new IllegalArgumentException(
          "the stock list is empty: write the counts you own, such as 24, 36x2, 48");
    }
    return stock;
  }

  private static List<String> entries(String text) {
    return Arrays.stream(text.split("[,;\\s]+")).filter(entry -> !entry.isEmpty()).toList();
  }

  /** {@code 24, 96}: a count each. */
  public static List<Integer> parseCounts(String text) {
    List<Integer> counts = new ArrayList<>();
    for (String entry : entries(text)) {
      if (!entry.matches("\\d{1,4}")) {
        throw new IllegalArgumentException("'" + entry + "' is no tooth count: write 24 or 24, 96");
      }
      counts.add(Integer.parseInt(entry));
    }
    return counts;
  }

  /** Whether the stock holds all of {@code wheels}, each as often as it occurs. */
  boolean hold(List<Integer> wheels) {
    if (stock.isEmpty()) {
      return true;
    }
    Map<Integer, Integer> used = new TreeMap<>();
    wheels.forEach(count -> used.merge(count, 1, Integer::sum));
    return used.entrySet().stream()
        .allMatch(entry -> stock.getOrDefault(entry.getKey(), 0) >= entry.getValue());
  }
}
