package steadycog.bench;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.number.Unit.Dimension;

/** What is read at a step of a load test. */
public enum Measure {
  CURRENT("current", Unit.A, "Of the motor's supply"),
  VOLTAGE("voltage", Unit.V, "Of the motor's supply"),
  SPEED("speed", Unit.RPM, "Of the input; without its sign"),
  TORQUE_IN("torque in", Unit.NMM, "At the input, where a torque meter stands there"),
  TEMPERATURE("temperature", Unit.CELSIUS, "Of the housing"),
  NOISE("noise", Unit.DECIBEL, "At a place that stays the same for all builds"),
  BACKLASH("backlash", Unit.ARC_MINUTE, "How far the output turns with the input held fast");

  private static final Pattern NUMBER_AND_UNIT =
      Pattern.compile("([-\u2212+]?[\\d.]+(?:/\\d+)?)\\s*(.*)");

  private final String title;
  private final Unit usual;
  private final String help;

  Measure(String title, Unit usual, String help) {
    this.title = title;
    this.usual = usual;
    this.help = help;
  }

  /** As people call it: {@code current}. */
  public String title() {
    return title;
  }

  /** What is meant, in a few words. */
  public String help() {
    return help;
  }

  /** The unit in which a bare number is taken. */
  public Unit usual() {
    return usual;
  }

  /** The word in files: {@code torque-in}. */
  public String key() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  public static Optional<Measure> of(String key) {
    return Arrays.stream(values()).filter(measure -> measure.key().equals(key)).findFirst();
  }

  /**
   * Reads a number with a unit of this measure, or a bare one in its {@linkplain #usual() usual}
   * unit.
   *
   * @throws IllegalArgumentException saying what was found and what is expected
   */
  public Quantity read(String text) {
    return read(text, usual, usual.dimension());
  }

  /**
   * Reads a number with a unit of one of {@code dimensions}, or a bare one in {@code usual}.
   *
   * @throws IllegalArgumentException saying what was found and what is expected
   */
  public static Quantity read(String text, Unit usual, Dimension... dimensions) {
    String given = text.strip();
    Matcher parts = NUMBER_AND_UNIT.matcher(given);
    String number = parts.matches() ? parts.group(1).replace('\u2212', '-') : "";
    if (number.startsWith("+")) {
      number = number.substring(1);
    }
    boolean cut = parts.matches() && parts.group(2).startsWith(",");
    if (!Exact.isNumber(number) || cut) {
      String comma = given.contains(",") ? ", with a decimal point" : "";
      throw new IllegalArgumentException(
          "'" + given + "': expected a number with " + symbols(dimensions) + comma);
    }
    String symbol = parts.group(2);
    if (symbol.isEmpty()) {
      return Quantity.of(number, usual);
    }
    for (Dimension dimension : dimensions) {
      Optional<Unit> unit = Unit.of(symbol, dimension);
      if (unit.isPresent()) {
        return Quantity.of(number, unit.get());
      }
    }
    throw new IllegalArgumentException(
        "'" + given + "': unknown unit '" + symbol + "', expected " + symbols(dimensions));
  }

  private static String symbols(Dimension... dimensions) {
    List<String> all = Arrays.stream(dimensions).map(Dimension::symbols).toList();
    return String.join(", or ", all);
  }
}
