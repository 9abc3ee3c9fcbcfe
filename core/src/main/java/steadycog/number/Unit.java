package steadycog.number;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * Units that people type. Each is an exact rational multiple of its dimension's base unit (rpm, N
 * m, W, mm, MPa; of what is measured kg, N, A, V, degree, \u00b0C, dB, s), times a power of pi for
 * rad/s and rad. The pound-force and the kilogram-force are exact by definition (1 lbf =
 * 4.4482216152605 N, 1 kgf = 9.80665 N, 1 ft = 0.3048 m).
 */
public enum Unit {
  RPM(Dimension.SPEED, "rpm", "1", 0),
  RAD_PER_S(Dimension.SPEED, "rad/s", "30", -1),
  DEG_PER_S(Dimension.SPEED, "deg/s", "1/6", 0),
  NM(Dimension.TORQUE, "Nm", "1", 0),
  NMM(Dimension.TORQUE, "Nmm", "1/1000", 0),
  LBF_FT(Dimension.TORQUE, "lbf-ft", "1.3558179483314004", 0),
  LBF_IN(Dimension.TORQUE, "lbf-in", "0.1129848290276167", 0),
  KGF_CM(Dimension.TORQUE, "kgf-cm", "0.0980665", 0),
  NCM(Dimension.TORQUE, "Ncm", "1/100", 0),
  OZF_IN(Dimension.TORQUE, "ozf-in", "0.00706155181422604375", 0),
  GF_CM(Dimension.TORQUE, "gf-cm", "0.0000980665", 0),
  W(Dimension.POWER, "W", "1", 0),
  HP(Dimension.POWER, "hp", "745.69987158227022", 0),
  MM(Dimension.LENGTH, "mm", "1", 0),
  IN(Dimension.LENGTH, "in", "25.4", 0),
  CM(Dimension.LENGTH, "cm", "10", 0),
  MPA(Dimension.STRESS, "MPa", "1", 0),
  PSI(Dimension.STRESS, "psi", "44482216152605/6451600000000000", 0),
  KG(Dimension.MASS, "kg", "1", 0),
  G(Dimension.MASS, "g", "1/1000", 0),
  LB(Dimension.MASS, "lb", "0.45359237", 0),
  OZ(Dimension.MASS, "oz", "0.028349523125", 0),
  N(Dimension.FORCE, "N", "1", 0),
  KGF(Dimension.FORCE, "kgf", "9.80665", 0),
  LBF(Dimension.FORCE, "lbf", "4.4482216152605", 0),
  KN(Dimension.FORCE, "kN", "1000", 0),
  A(Dimension.CURRENT, "A", "1", 0),
  MA(Dimension.CURRENT, "mA", "1/1000", 0),
  V(Dimension.VOLTAGE, "V", "1", 0),
  MV(Dimension.VOLTAGE, "mV", "1/1000", 0),
  ARC_MINUTE(Dimension.ANGLE, "arcmin", "1/60", 0),
  ARC_SECOND(Dimension.ANGLE, "arcsec", "1/3600", 0),
  DEGREE(Dimension.ANGLE, "deg", "1", 0),
  TURN(Dimension.ANGLE, "turn", "360", 0),
  RADIAN(Dimension.ANGLE, "rad", "180", -1),
  CELSIUS(Dimension.TEMPERATURE, "\u00b0C", "1", 0),
  FAHRENHEIT(Dimension.TEMPERATURE, "\u00b0F", "5/9", 0),
  DECIBEL(Dimension.SOUND, "dB", "1", 0),
  SECOND(Dimension.TIME, "s", "1", 0),
  MILLISECOND(Dimension.TIME, "ms", "1/1000", 0),
  MICROSECOND(Dimension.TIME, "\u00b5s", "1/1000000", 0),
  MINUTE(Dimension.TIME, "min", "60", 0),
  HOUR(Dimension.TIME, "h", "3600", 0),
  DAY(Dimension.TIME, "d", "86400", 0);

  /** The zero of the Fahrenheit scale, \u00b0C. */
  private static final double FAHRENHEIT_ZERO = -160.0 / 9;

  private static final Map<String, String> ALSO =
      Map.ofEntries(
          Map.entry("turns", "turn"),
          Map.entry("rev", "turn"),
          Map.entry("revs", "turn"),
          Map.entry("revolution", "turn"),
          Map.entry("revolutions", "turn"),
          Map.entry("rotation", "turn"),
          Map.entry("rotations", "turn"),
          Map.entry("degree", "deg"),
          Map.entry("degrees", "deg"),
          Map.entry("mnm", "nmm"),
          Map.entry("newtonmetre", "nm"),
          Map.entry("lbin", "lbfin"),
          Map.entry("inlb", "lbfin"),
          Map.entry("inlbs", "lbfin"),
          Map.entry("inlbf", "lbfin"),
          Map.entry("lbft", "lbfft"),
          Map.entry("ftlb", "lbfft"),
          Map.entry("ftlbs", "lbfft"),
          Map.entry("ftlbf", "lbfft"),
          Map.entry("ozin", "ozfin"),
          Map.entry("inoz", "ozfin"),
          Map.entry("kgcm", "kgfcm"),
          Map.entry("gcm", "gfcm"),
          Map.entry("msec", "ms"),
          Map.entry("millisecond", "ms"),
          Map.entry("milliseconds", "ms"),
          Map.entry("us", "\u00b5s"),
          Map.entry("\u03bcs", "\u00b5s"),
          Map.entry("minutes", "min"),
          Map.entry("hours", "h"),
          Map.entry("days", "d"),
          Map.entry("volts", "v"),
          Map.entry("amps", "a"),
          Map.entry("celsius", "c"),
          Map.entry("fahrenheit", "f"),
          Map.entry("", "deg"),
          Map.entry("'", "arcmin"),
          Map.entry("\u2032", "arcmin"),
          Map.entry("radian", "rad"),
          Map.entry("radians", "rad"),
          Map.entry("sec", "s"),
          Map.entry("second", "s"),
          Map.entry("seconds", "s"),
          Map.entry("amp", "a"),
          Map.entry("volt", "v"),
          Map.entry("dba", "db"),
          Map.entry("lbs", "lb"),
          Map.entry("/min", "rpm"),
          Map.entry("1/min", "rpm"));

  /** What a unit measures. */
  public enum Dimension {
    SPEED(true),
    TORQUE(true),
    POWER(true),
    LENGTH(true),
    STRESS(true),
    MASS(false),
    FORCE(true),
    CURRENT(false),
    VOLTAGE(false),
    ANGLE(false),
    TEMPERATURE(false),
    SOUND(false),
    TIME(false);

    private final boolean onCards;

    Dimension(boolean onCards) {
      this.onCards = onCards;
    }

    /** This dimension's units, the base unit first. */
    public List<Unit> units() {
      return Arrays.stream(Unit.values()).filter(u -> u.dimension == this).toList();
    }

    /** The symbols of this dimension's units, for messages: {@code rpm, rad/s or deg/s}. */
    public String symbols() {
      List<String> all = units().stream().map(u -> u.symbol).toList();
      return all.size() == 1
          ? all.getFirst()
          : String.join(", ", all.subList(0, all.size() - 1)) + " or " + all.getLast();
    }
  }

  private final Dimension dimension;
  private final String symbol;
  private final BigFraction factor;
  private final int piPower;

  Unit(Dimension dimension, String symbol, String factor, int piPower) {
    this.dimension = dimension;
    this.symbol = symbol;
    this.factor = Exact.parse(factor);
    this.piPower = piPower;
  }

  public Dimension dimension() {
    return dimension;
  }

  /** The unit as typed on a card. */
  public String symbol() {
    return symbol;
  }

  /** The exact rational part of this unit in base units; the rest is pi to {@link #piPower}. */
  public BigFraction factor() {
    return factor;
  }

  public int piPower() {
    return piPower;
  }

  /**
   * This unit in base units, rounded to a double; of temperatures only what a difference of one is.
   */
  public double inBase() {
    return factor.doubleValue() * Math.pow(Math.PI, piPower);
  }

  /** {@code value} in this unit, in base units. */
  public double toBase(double value) {
    return value * inBase() + (this == FAHRENHEIT ? FAHRENHEIT_ZERO : 0);
  }

  /** {@code value} in base units, in this unit. */
  public double fromBase(double value) {
    return (value - (this == FAHRENHEIT ? FAHRENHEIT_ZERO : 0)) / inBase();
  }

  /**
   * Finds a unit of cards by its symbol in any case, also written {@code N\u00b7m}, {@code lbf in},
   * {@code kgf*cm}, {@code oz-in}.
   */
  public static Optional<Unit> of(String symbol) {
    String wanted = ALSO.getOrDefault(bare(symbol), bare(symbol));
    return Arrays.stream(values())
        .filter(unit -> unit.dimension.onCards && bare(unit.symbol).equals(wanted))
        .findFirst();
  }

  /** Finds a unit of {@code dimension} in the same way, and by a few more names people give it. */
  public static Optional<Unit> of(String symbol, Dimension dimension) {
    String wanted = bare(symbol);
    String known = ALSO.getOrDefault(wanted, wanted);
    return dimension.units().stream().filter(unit -> bare(unit.symbol).equals(known)).findFirst();
  }

  private static String bare(String symbol) {
    return symbol.toLowerCase(Locale.ROOT).replaceAll("[-\u00b7*\u00b0 ]", "");
  }
}
