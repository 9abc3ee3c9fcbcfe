package steadycog.shape;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.shape.Placed.Orbit;
import steadycog.shape.PlacedPlate.Circle;
import steadycog.shape.PlacedPlate.Kind;
import steadycog.train.Bevel;
import steadycog.train.Differential;
import steadycog.train.MemberId;
import steadycog.train.Teeth;

/** Bevel gears where they stand: the crown and sides face on, pinion and spiders from the side. */
final class Bevels {
  /** Of the outer cone distance, as far as bevel teeth usually reach inwards (Niemann). */
  private static final double FACE_SHARE = 0.3;

  private static final double SHAFT_STUB = 3;
  private static final double CASE_WALL = 2.5;
  private static final double CASE_GAP = 1.2;
  private static final double HUB = 0.3;
  private static final double BOLT = 0.7;
  private static final int BOLTS = 8;

  /** More teeth than this would blur at any size that the window has. */
  private static final int MOST_DRAWN = 1000;

  private Bevels() {}

  static double crownRadius(Bevel pair) {
    return pair.crown() / 2.0 + 1;
  }

  static double pinionRadius(Bevel pair) {
    return pair.pinion() / 2.0 + 1;
  }

  /** Half the length that the pinion stands out behind the crown's rim. */
  static double pinionReach(Bevel pair) {
    return SHAFT_STUB + pair.crown() / 2.0;
  }

  static double caseRadius(Differential sides) {
    return sides.side() / 2.0 + CASE_GAP + CASE_WALL;
  }

  static double sideRadius(Differential sides) {
    return sides.side() / 2.0;
  }

  /** The face of the crown, to be seen by the eye where the pinion lies before it. */
  static PlacedPlate crown(Bevel pair, int axis, int plane, double[] at) {
    return faceOn(pair.crownId(), pair.crown(), Kind.CROWN, axis, plane, at);
  }

  private static PlacedPlate faceOn(
      MemberId id, int teeth, Kind kind, int axis, int plane, double[] at) {
    boolean toothed = teeth <= MOST_DRAWN;
    List<Outline> rim =
        toothed
            ? List.of(
                GearOutline.of(Teeth.external(teeth), Detail.MEDIUM, GearOutline.DRAWN_THINNING))
            : List.of();
    List<Circle> plain = toothed ? List.of() : List.of(new Circle(0, 0, teeth / 2.0));
    double inner = teeth / 2.0 * (1 - FACE_SHARE);
    double hub = Math.max(1, HUB * inner);
    return new PlacedPlate(
        id,
        kind,
        0,
        axis,
        plane,
        at[0],
        at[1],
        Optional.empty(),
        teeth / 2.0 + 1,
        rim,
        plain,
        List.of(new Circle(0, 0, inner), new Circle(0, 0, hub)),
        inner);
  }

  /** The pinion beside the crown, its shaft going out to where other wheels on it are drawn. */
  static PlacedCone pinion(Bevel pair, int axis, int plane, double[] crown, double[] own) {
    double towards = Math.atan2(crown[1] - own[1], crown[0] - own[0]);
    double outer = pair.crown() / 2.0;
    double length = FACE_SHARE * outer;
    double middle = outer - length / 2;
    double distance = Math.hypot(crown[0] - own[0], crown[1] - own[1]);
    return new PlacedCone(
        pair.pinionId(),
        0,
        axis,
        plane,
        crown[0] - middle * Math.cos(towards),
        crown[1] - middle * Math.sin(towards),
        towards,
        pair.pinion() / 2.0,
        pair.pinion() / 2.0 * (1 - FACE_SHARE),
        length,
        pair.pinion(),
        Math.max(SHAFT_STUB, distance - outer),
        pair.side() == Bevel.Side.RIGHT,
        new PlacedCone.Rolling(pair.pinionId(), Optional.empty(), 1),
        Optional.empty());
  }

  /**
   * The right side with the spiders before it in their case, and the left side, which would hide
   * them, beside.
   */
  static List<Placed> of(
      Differential sides, int[] axes, int plane, double[] caseAt, double[] leftAt) {
    List<Placed> all = new ArrayList<>();
    all.add(faceOn(sides.leftId(), sides.side(), Kind.SIDE, axes[1], plane, leftAt));
    double outer = caseRadius(sides);
    List<Circle> bolts = new ArrayList<>();
    for (int k = 0; k < BOLTS; k++) {
      double angle = 2 * Math.PI * (k + 0.5) / BOLTS;
      double radius = outer - CASE_WALL / 2;
      bolts.add(new Circle(radius * Math.cos(angle), radius * Math.sin(angle), BOLT));
    }
    all.add(
        new PlacedPlate(
            sides.caseId(),
            Kind.CASE,
            0,
            axes[0],
            plane,
            caseAt[0],
            caseAt[1],
            Optional.empty(),
            outer,
            List.of(),
            List.of(new Circle(0, 0, outer), new Circle(0, 0, outer - CASE_WALL)),
            bolts,
            outer));
    all.add(faceOn(sides.rightId(), sides.side(), Kind.SIDE, axes[0], plane, caseAt));
    for (int k = 0; k < sides.spiders(); k++) {
      all.add(spider(sides, k, axes[0], plane, caseAt));
    }
    return all;
  }

  private static PlacedCone spider(
      Differential sides, int k, int axis, int plane, double[] caseAt) {
    double angle = Math.PI / 2 + 2 * Math.PI * k / sides.spiders();
    double outer = sides.side() / 2.0;
    double length = FACE_SHARE * outer;
    double middle = outer - length / 2;
    return new PlacedCone(
        sides.caseId(),
        k + 1,
        axis,
        plane,
        caseAt[0] + middle * Math.cos(angle),
        caseAt[1] + middle * Math.sin(angle),
        angle + Math.PI,
        sides.spider() / 2.0,
        sides.spider() / 2.0 * (1 - FACE_SHARE),
        length,
        sides.spider(),
        CASE_GAP + CASE_WALL / 2,
        true,
        new PlacedCone.Rolling(
            sides.leftId(), Optional.of(sides.caseId()), -(double) sides.side() / sides.spider()),
        Optional.of(new Orbit(sides.caseId(), caseAt[0], caseAt[1])));
  }
}
