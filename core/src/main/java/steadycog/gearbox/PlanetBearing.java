package steadycog.gearbox;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import steadycog.piece.Piece;
import steadycog.piece.Region;
import steadycog.piece.Region.Round;
import steadycog.piece.Slab;
import steadycog.train.BallBearing;
import steadycog.train.BearingSize;
import steadycog.train.Bore;
import steadycog.train.MemberId;
import steadycog.train.Planetary;
import steadycog.train.WheelSize;

/**
 * The ball bearings of a planet on its pin, where the card states some for it: one at each end with
 * a lip between them where there is room for both, else one at the far end.
 */
final class PlanetBearing {
  /** Between the seat and the roots of the teeth, mm. */
  private static final double RIM = 1;

  /** A lip is no thinner: else the hole goes right through, mm. */
  private static final double LEAST_LIP = 0.8;

  private final CentralBox box;
  private final MemberId planet;
  private final BallBearing one;
  private final double root;
  private final double length;

  private PlanetBearing(CentralBox box, Planetary set, MemberId planet, BallBearing one) {
    this.box = box;
    this.planet = planet;
    this.one = one;
    root = Carriage.roots(box, set, planet).min().orElseThrow();
    length = box.high(planet) - box.low(planet);
  }

  /** That of a wheel; empty where it is no planet, or turns on its pin. */
  static Optional<PlanetBearing> of(CentralBox box, Planetary set, MemberId planet) {
    return Optional.of(box.train.sizes().own(planet))
        .filter(own -> set.isPlanet(planet))
        .flatMap(WheelSize::bearing)
        .flatMap(BearingSize::bearing)
        .map(one -> new PlanetBearing(box, set, planet, one));
  }

  /** Why it cannot be built in, in words. */
  Optional<String> unfit() {
    String says = "bearing " + one.name() + " of " + planet + " is ";
    Optional<Bore> stated = box.stated(planet);
    if (stated.filter(bore -> !(bore instanceof Bore.Round)).isPresent()) {
      return Optional.of(planet + " has a bearing: its bore is to be round");
    } else if (stated.filter(bore -> bore.size().inBase() != one.bore()).isPresent()) {
      return Optional.of(
          says
              + one.bore()
              + " mm wide inside and its pin "
              + stated.get()
              + ": state one bore for both");
    } else if (one.width() > length) {
      return Optional.of(says + one.width() + " mm long: wider planets, or another bearing");
    }
    return box.seat(one) + RIM > root
        ? Optional.of(says + one.outside() + " mm wide: larger planets, or another bearing")
        : Optional.empty();
  }

  /** Diameter of the pin, mm. */
  double pin() {
    return one.bore();
  }

  private boolean isPair() {
    return length >= 2 * one.width() + LEAST_LIP;
  }

  /** Where bearings begin above the foot of the planet, mm. */
  private List<Double> places() {
    double far = length - one.width();
    return isPair() ? List.of(0.0, far) : List.of(far);
  }

  /** How wide the planet is open at a height, mm. */
  private double radius(double at) {
    boolean seated =
        length - one.width() < LEAST_LIP
            || places().stream().anyMatch(from -> at > from && at < from + one.width());
    return seated ? box.seat(one) : Spindle.relief(one);
  }

  /** The planet with seats in place of the hole for its pin. */
  Piece seated(Piece piece) {
    List<Slab> slabs = new ArrayList<>();
    for (Slab slab : piece.slabs()) {
      TreeSet<Double> cuts = new TreeSet<>(List.of(slab.from(), slab.to()));
      for (double from : places()) {
        cuts.addAll(List.of(from, from + one.width()));
      }
      List<Double> levels = List.copyOf(cuts.subSet(slab.from(), true, slab.to(), true));
      for (int k = 0; k + 1 < levels.size(); k++) {
        double low = levels.get(k);
        double high = levels.get(k + 1);
        Region open = Region.disc(radius((low + high) / 2));
        slabs.add(slab.cut(low, high).over(unbored(slab.region()).minus(open, box.chord)));
      }
    }
    return piece.remade(piece.name(), slabs, piece.stands());
  }

  private static Region unbored(Region region) {
    Optional<Round> bore =
        region.circles().stream()
            .filter(round -> Math.hypot(round.x(), round.y()) < 1e-9)
            .min(Comparator.comparingDouble(Round::radius));
    return new Region(
        region.lines(),
        region.circles().stream().filter(round -> bore.filter(round::equals).isEmpty()).toList());
  }

  /**
   * The bearings, and where they carry the first planet.
   *
   * @param carrier on which the pins are
   * @param pins of the planets, about its axis
   */
  void build(String name, MemberId carrier, List<double[]> pins) {
    double foot = box.low(planet);
    List<Piece.Stand> at = new ArrayList<>();
    for (double from : places()) {
      double low = foot + from;
      Box.on(pins, carrier, box.x, box.y).forEach(stand -> at.add(stand.raised(low)));
      double[] first = pins.getFirst();
      box.supports.add(
          new Support(
              planet,
              carrier,
              box.x + first[0],
              box.y + first[1],
              low,
              low + one.width(),
              one.bore() / 2.0,
              one.name()));
    }
    Region ring = Box.annulus(one.bore() / 2.0, one.outside() / 2.0);
    box.bought(
        carrier,
        name,
        one.says(),
        List.of(new Slab("", 0, one.width(), ring)),
        at,
        Optional.empty());
  }
}
