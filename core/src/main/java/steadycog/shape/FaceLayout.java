package steadycog.shape;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import steadycog.number.Pace;
import steadycog.train.Drive;
import steadycog.train.MemberId;
import steadycog.train.Train;

/**
 * Where every wheel of a train stands, seen along the axes.
 *
 * @param wheels in the order of the card; of equal planets the first there, the others at the end
 * @param carriers in the order of the card
 * @param plates members of drives without involute teeth
 * @param clashes wheels that run into each other, or into a shaft that passes by
 */
public record FaceLayout(
    List<PlacedWheel> wheels,
    List<PlacedCarrier> carriers,
    List<Placed> plates,
    List<Clash> clashes) {
  static final double[] NO_BOX = {
    Double.MAX_VALUE, Double.MAX_VALUE, -Double.MAX_VALUE, -Double.MAX_VALUE
  };

  /**
   * Two things in one place.
   *
   * @param a a wheel
   * @param b another wheel of its plane; or one whose shaft passes through that plane
   * @param depth how far they overlap, in modules
   * @param shaft whether it is {@code b}'s shaft that is in the way
   */
  public record Clash(MemberId a, MemberId b, double depth, boolean shaft) {}

  /**
   * Lays the train out: compactly and as wide as a desk where that leaves wheels of one plane
   * clear, else in one line. Cost: wheels squared times the directions tried.
   */
  public static FaceLayout of(Train train) {
    return of(train, Pace.FREE);
  }

  /** The same, watched and perhaps stopped by {@code pace}. */
  public static FaceLayout of(Train train, Pace pace) {
    Axes axes = Axes.drawn(train);
    MemberId first = first(train);
    Map<MemberId, Integer> planes = Planes.of(train, first);
    Placing.Manner[] manners = Placing.Manner.values();
    Attempt best = Attempt.of(new Placing(train, axes, planes, manners[0]), first, pace);
    for (int k = 1; k < manners.length && !best.clashes.isEmpty(); k++) {
      Attempt next = Attempt.of(new Placing(train, axes, planes, manners[k]), first, pace);
      best = next.clashes.size() < best.clashes.size() ? next : best;
    }
    List<PlacedWheel> phased = Phases.inMesh(train, best.wheels);
    Carried carried = Carried.of(train, phased, axes, planes);
    List<PlacedWheel> all = new ArrayList<>(carried.first());
    all.addAll(carried.copies());
    List<Placed> plates = Drives.of(train, axes, planes, best.placing::centre);
    return new FaceLayout(List.copyOf(all), carried.carriers(), plates, best.clashes);
  }

  /** Wheels put down in one manner, and what is in whose way there. */
  private record Attempt(Placing placing, List<PlacedWheel> wheels, List<Clash> clashes) {
    static Attempt of(Placing placing, MemberId first, Pace pace) {
      List<PlacedWheel> wheels = placing.place(first, pace);
      return new Attempt(placing, wheels, placing.clashes());
    }
  }

  /** Every carrier, plate and wheel. */
  public List<Placed> bodies() {
    List<Placed> all = new ArrayList<>(carriers);
    all.addAll(plates);
    all.addAll(wheels);
    return all;
  }

  private static MemberId first(Train train) {
    Optional<Drive> drive = train.rolesInForce().drives().stream().findFirst();
    return drive.map(Drive::member).orElse(train.members().getFirst().id());
  }

  /** The wheel of {@code id}, the first of several. */
  public PlacedWheel wheel(MemberId id) {
    return wheels.stream().filter(wheel -> wheel.id().equals(id)).findFirst().orElseThrow();
  }

  /** The box round all bodies: least x, least y, greatest x, greatest y, in modules. */
  public double[] bounds() {
    return bounds(bodies(), NO_BOX);
  }

  /** The box round {@code bodies}, wherever carriers take them, and {@code box}. */
  static double[] bounds(List<? extends Placed> bodies, double[] box) {
    double[] wider = box.clone();
    for (Placed wheel : bodies) {
      double x = wheel.middleX();
      double y = wheel.middleY();
      double radius = wheel.sweptRadius();
      wider[0] = Math.min(wider[0], x - radius);
      wider[1] = Math.min(wider[1], y - radius);
      wider[2] = Math.max(wider[2], x + radius);
      wider[3] = Math.max(wider[3], y + radius);
    }
    return wider;
  }
}
