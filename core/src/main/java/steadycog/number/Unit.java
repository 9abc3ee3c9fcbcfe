package steadycog.number;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * Units that people type. Each is an exact rational multiple of its dimension's base unit (rpm, N
 * m, W, mm, MPa), times a power of pi for rad/s. The pound-force and the kilogram-force are exact
 * by definition (1 lbf = 4.4482216152605 N, 1 kgf = 9.80665 N, 1 ft = 0.3048 m).
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
  W(Dimension.POWER, "W", "1", 0),
  HP(Dimension.POWER, "hp", "745.69987158227022", 0),
  MM(Dimension.LENGTH, "mm", "1", 0),
  IN(Dimension.LENGTH, "in", "25.4", 0),
  MPA(Dimension.STRESS, "MPa", "1", 0),
  PSI(Dimension.STRESS, "psi", "44482216152605/6451600000000000", 0);

  /** What a unit measures. */
  public enum Dimension {
    SPEED,
    TORQUE,
    POWER,
    LENGTH,
    STRESS;

    /** The symbols of this dimension's units, for messages: {@code rpm, rad/s or deg/s}. */
    public String symbols() {
      List<String> all =
          Arrays.stream(Unit.values()).filter(u -> u.dimension == this).map(u -> u.symbol).toList();
      return String.join(", ", all.subList(0, all.size() - 1)) + " or " + all.getLast();
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

  /** This unit in base units (rpm, N m, W, mm, MPa), rounded to a double. */
  public double inBase() {
    return factor.doubleValue() * Math.pow(Math.PI, piPower);
  }

  /**
   * Finds a unit by its symbol in any case, also written {@code N·m}, {@code lbf in}, {@code
   * kgf*cm}.
   */
  public static Optional<Unit> of(String symbol) {
    String wanted = bare(symbol);
    return Arrays.stream(values()).filter(unit -> bare(unit.symbol).equals(wanted)).findFirst();
  }

  private static String bare(String symbol) {
    return symbol.toLowerCase(Locale.ROOT).replaceAll("[-\u00b7* ]", "");
  }
}
