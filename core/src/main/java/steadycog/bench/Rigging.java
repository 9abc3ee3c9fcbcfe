package steadycog.bench;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.number.Unit.Dimension;

/**
 * How a build is loaded, and what is known of its motor.
 *
 * @param way of loading
 * @param length of the arm, or diameter of the pulley; empty where a meter reads torque
 * @param torqueConstant torque of the motor for an ampere, N m/A; empty where it is not known
 * @param idle current of the motor alone, A
 */
public record Rigging(
    Way way, Optional<Quantity> length, Optional<Double> torqueConstant, double idle) {
  /** Standard gravity, m/s\u00b2 (ISO 80000-3). */
  public static final double GRAVITY = 9.80665;

  private static final double MM_PER_M = 1000;

  /** What puts the torque on the output. */
  public enum Way {
    /** A weight or a force gauge on a level arm: torque = force \u00d7 arm. */
    ARM("arm", "length"),
    /**
     * A weight or a force gauge on a cord round a pulley: torque = force \u00d7 half its diameter.
     */
    PULLEY("pulley", "diameter"),
    /** A brake with a torque meter. */
    METER("torque meter", "");

    private final String title;
    private final String size;

    Way(String title, String size) {
      this.title = title;
      this.size = size;
    }

    public String title() {
      return title;
    }

    /** What its length is called; empty where it has none. */
    public String size() {
      return size;
    }

    /** The word in files: {@code torque-meter}. */
    public String key() {
      return title.replace(' ', '-').toLowerCase(Locale.ROOT);
    }

    public static Optional<Way> of(String key) {
      return Arrays.stream(values()).filter(way -> way.key().equals(key)).findFirst();
    }

    /** What can be read as load, usual first. */
    public List<Dimension> loads() {
      return this == METER ? List.of(Dimension.TORQUE) : List.of(Dimension.MASS, Dimension.FORCE);
    }

    /** The unit of a bare number. */
    public Unit usual() {
      return this == METER ? Unit.NM : Unit.KG;
    }
  }

  public static final Rigging METER = new Rigging(Way.METER, Optional.empty(), Optional.empty(), 0);

  public Rigging {
    if (way != Way.METER && length.isEmpty()) {
      throw new IllegalArgumentException("an " + way.title() + " needs its " + way.size());
    }
    if (length
        .filter(l -> l.unit().dimension() != Dimension.LENGTH || l.value().signum() <= 0)
        .isPresent()) {
      throw new IllegalArgumentException(
          length.get() + ": expected a length above 0 in " + Dimension.LENGTH.symbols());
    }
    if (torqueConstant.filter(k -> !(k > 0 && Double.isFinite(k))).isPresent()) {
      throw new IllegalArgumentException("a torque constant is above 0");
    }
    if (!(idle >= 0 && Double.isFinite(idle))) {
      throw new IllegalArgumentException("an idle current is not below 0");
    }
  }

  /** The same with another motor. */
  public Rigging turnedBy(Optional<Double> constant, double idleCurrent) {
    return new Rigging(way, length, constant, idleCurrent);
  }

  /**
   * Reads a load as people write it: {@code 1.5 kg}, {@code 12 N}, {@code 0.8 Nm}.
   *
   * @throws IllegalArgumentException saying what was found and what is expected
   */
  public Quantity readLoad(String text) {
    return Measure.read(text, way.usual(), way.loads().toArray(Dimension[]::new));
  }

  /** Torque of a load at the output, N m. */
  public double torque(Quantity load) {
    return switch (load.unit().dimension()) {
      case TORQUE -> load.inBase();
      case MASS -> load.inBase() * GRAVITY * lever();
      case FORCE -> load.inBase() * lever();
      default -> throw new IllegalArgumentException(load + ": no load");
    };
  }

  private double lever() {
    double whole = length.orElseThrow().inBase() / MM_PER_M;
    return way == Way.PULLEY ? whole / 2 : whole;
  }

  /** Torque that the motor gives at a current, N m; empty where its constant is not known. */
  public Optional<Double> torqueAt(double current) {
    return torqueConstant.map(constant -> Math.max(0, constant * (current - idle)));
  }

  /** As people say it: {@code a weight or force on an arm of 120 mm}. */
  public String text() {
    return way == Way.METER
        ? "a brake with a torque meter"
        : "a weight or force on "
            + (way == Way.ARM ? "an arm" : "a pulley")
            + " of "
            + length.orElseThrow();
  }
}
