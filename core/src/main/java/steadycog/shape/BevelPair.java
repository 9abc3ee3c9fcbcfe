package steadycog.shape;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import steadycog.number.Quantity;
import steadycog.train.Bevel;
import steadycog.train.Clearance.Gap;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.MemberId;
import steadycog.train.Parallel;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Shaft;
import steadycog.train.StrainWave;
import steadycog.train.Train;

/**
 * Two straight bevel gears whose axes cross at a right angle, in modules at the large end (heel).
 * They roll on two cones with one apex. Seen on the back cones, which stand at right angles to
 * these, their teeth are those of spur gears with z / cos of the pitch angle teeth (Tredgold;
 * Litvin &amp; Fuentes, ch. 21); all lines of the teeth run to the apex. One is shifted by as much
 * as the other is shifted back, so that they roll on the same cones.
 *
 * @param one the pinion; of a differential a side
 * @param other the crown; of a differential a spider
 */
public record BevelPair(Gear one, Gear other) {
  /** Of the cone distance, as far as teeth reach inwards at the most (Niemann; Shigley). */
  public static final double MOST_FACE = 1.0 / 3;

  /** The usual face in modules, where the cone is long enough. */
  private static final double USUAL_FACE = 10;

  private static final double STEP_MM = 0.5;

  /** A space whose bottom is narrower has none, radians. */
  private static final double NO_LAND = 1e-4;

  /**
   * One of the two.
   *
   * @param id the member that it belongs to: of a spider the case
   * @param name in words
   * @param angle of its pitch cone, radians
   */
  public record Gear(MemberId id, String name, int teeth, double angle, Cut cut) {

    /** Teeth of the spur gear on its back cone. */
    public double virtualTeeth() {
      return teeth / Math.cos(angle);
    }

    /** Length of the pitch cone from apex to heel. */
    public double coneDistance() {
      return teeth / 2.0 / Math.sin(angle);
    }

    /** Height of a point of the back cone above the pitch cone, from its developed radius. */
    private double above(double developed) {
      return developed - virtualTeeth() / 2;
    }

    /**
     * Distance from the gear's axis.
     *
     * @param developed distance from the apex of the back cone, along it
     */
    public double radius(double developed) {
      return developed * Math.cos(angle);
    }

    /** Distance from the pitch apex along the gear's axis. */
    public double depth(double developed) {
      return coneDistance() * Math.cos(angle) - above(developed) * Math.sin(angle);
    }

    /** Radius of the tips on the developed back cone. */
    public double tip() {
      return new ToothProfile(virtualTeeth(), cut, 0).tipRadius();
    }

    /** Radius of the roots on the developed back cone. */
    public double root() {
      return new ToothProfile(virtualTeeth(), cut, 0).rootRadius();
    }

    /**
     * One pitch of the line of its teeth on the developed back cone, from the middle of a space
     * over a tooth to the middle of the next.
     *
     * @param chord how far a straight piece may leave the true line
     * @param thinning taken off each flank along the pitch circle
     */
    public List<Polar> line(double chord, double thinning) {
      Detail detail = Detail.within(virtualTeeth(), false, cut, chord);
      List<ToothProfile.Point> side =
          GearOutline.side(virtualTeeth(), false, cut, detail, thinning);
      double pitch = Math.PI / virtualTeeth();
      List<Polar> half = new ArrayList<>();
      ToothProfile.Point first = side.getFirst();
      boolean narrow = pitch - first.angle() < NO_LAND;
      for (int k = 0; !narrow && k <= detail.root(); k++) {
        double share = (double) k / (detail.root() + 1);
        half.add(new Polar(first.radius(), pitch + share * (first.angle() - pitch)));
      }
      side.forEach(point -> half.add(new Polar(point.radius(), point.angle())));
      half.set(0, new Polar(half.getFirst().radius(), pitch));
      Polar last = half.getLast();
      List<Polar> all = new ArrayList<>();
      half.forEach(point -> all.add(new Polar(point.radius(), -point.angle())));
      for (int k = 1; k <= detail.tip(); k++) {
        double share = 2.0 * k / (detail.tip() + 1) - 1;
        all.add(new Polar(last.radius(), share * last.angle()));
      }
      all.addAll(half.reversed());
      return all;
    }

    /** Angle of the cone over the tips, radians. */
    public double tipAngle() {
      return angle + Math.atan(above(tip()) / coneDistance());
    }

    /** Angle of the cone along the roots, radians. */
    public double rootAngle() {
      return angle + Math.atan(above(root()) / coneDistance());
    }
  }

  /** The gears of a part as its train cuts them; empty for parts of other kinds. */
  public static Optional<BevelPair> of(Train train, Part part) {
    return switch (part) {
      case Bevel pair ->
          Optional.of(
              of(
                  train,
                  pair.pinionId(),
                  pair.pinion(),
                  pair.crownId(),
                  pair.crownId().toString(),
                  pair.crown()));
      case Differential sides ->
          Optional.of(
              of(
                  train,
                  sides.leftId(),
                  sides.side(),
                  sides.caseId(),
                  sides.spiderId().toString(),
                  sides.spider()));
      case Parallel _, Planetary _, Cycloidal _, StrainWave _, Shaft _ -> Optional.empty();
    };
  }

  private static BevelPair of(
      Train train, MemberId id, int one, MemberId mate, String mateName, int other) {
    double angle = Math.atan2(one, other);
    return new BevelPair(
        new Gear(id, id.toString(), one, angle, cut(train, id, 1)),
        new Gear(mate, mateName, other, Math.PI / 2 - angle, cut(train, id, -1)));
  }

  /** The pair of which {@code member} is one; empty for members of other parts. */
  public static Optional<BevelPair> of(Train train, MemberId member) {
    return of(train, train.partOf(member));
  }

  private static Cut cut(Train train, MemberId wheel, int way) {
    double tips = train.sizes().clearance().mm(Gap.TIP) / train.moduleMm(wheel);
    return new Cut(BasicRack.of(train.sizes().rackInForce()), way * Cut.shift(train, wheel), tips);
  }

  /** Length of both pitch cones. */
  public double coneDistance() {
    return one.coneDistance();
  }

  public List<Gear> gears() {
    return List.of(one, other);
  }

  /** Whether the first of the two has fewer teeth. */
  public boolean isSmaller() {
    return one.teeth <= other.teeth;
  }

  /** The spur gears on the back cones. */
  public PairGeometry onBackCones() {
    Gear pinion = isSmaller() ? one : other;
    Gear gear = isSmaller() ? other : one;
    return PairGeometry.external(pinion.virtualTeeth(), pinion.cut, gear.virtualTeeth(), gear.cut);
  }

  /** The face that such teeth usually have, mm: ten modules, but no more than cones bear. */
  public double usualFaceMm(double moduleMm) {
    double most = Math.min(USUAL_FACE, coneDistance() * MOST_FACE) * moduleMm;
    return Math.max(Math.min(STEP_MM, most), Math.floor(most / STEP_MM) * STEP_MM);
  }

  /** The face of both in mm: the narrower that is stated, else the usual one. */
  public double faceMm(Train train) {
    return stated(train).min().orElseGet(() -> usualFaceMm(train.moduleMm(one.id)));
  }

  /** Whether the card states the face of either. */
  public boolean isFaceStated(Train train) {
    return stated(train).findAny().isPresent();
  }

  private DoubleStream stated(Train train) {
    return train.partOf(one.id).members().stream()
        .filter(member -> member.teeth().isPresent())
        .flatMap(member -> train.size(member.id()).width().stream())
        .mapToDouble(Quantity::inBase);
  }

  /** Diameter of a gear's roots at the small end, mm. */
  public double rootAtToeMm(Train train, Gear gear) {
    return 2 * Math.max(0, toe(train)) * gear.radius(gear.root()) * train.moduleMm(one.id);
  }

  /** Where the small end lies from the apex, as a share of the cone distance. */
  public double toe(Train train) {
    return 1 - faceMm(train) / (coneDistance() * train.moduleMm(one.id));
  }
}
