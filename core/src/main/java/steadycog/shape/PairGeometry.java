package steadycog.shape;

import steadycog.train.Bevel;
import steadycog.train.Clearance.Gap;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.Mesh;
import steadycog.train.Parallel;
import steadycog.train.Planetary;
import steadycog.train.Shaft;
import steadycog.train.StrainWave;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * The geometry of one meshing pair, in modules and radians (ISO 21771): as a rule at its standard
 * centre distance without profile shift, so that the working pressure angle is the rack's.
 *
 * <p>Counts need not be whole: bevel gears run as pairs of virtual counts.
 *
 * @param pinion teeth of the smaller external wheel; of an internal pair of the wheel inside
 * @param gear teeth of the other wheel
 * @param internal whether the gear is a ring
 * @param ringAddendum addendum of an internal gear, in modules; the rack's unless it is shortened
 * @param centreDistance at which the two run
 */
public record PairGeometry(
    double pinion,
    double gear,
    boolean internal,
    double ringAddendum,
    Cut pinionCut,
    Cut gearCut,
    double centreDistance) {
  public static PairGeometry of(Mesh mesh) {
    return of(mesh.teeth(mesh.pinion()), mesh.teeth(mesh.gear()));
  }

  /** The pair without shift at its standard distance. */
  public static PairGeometry of(Teeth pinion, Teeth gear) {
    double distance = (gear.count() + (gear.internal() ? -1 : 1) * pinion.count()) / 2.0;
    return new PairGeometry(
        pinion.count(),
        gear.count(),
        gear.internal(),
        Cut.STANDARD.rack().addendum(),
        Cut.STANDARD,
        Cut.STANDARD,
        distance);
  }

  /** External teeth at their standard distance, whole or not. */
  static PairGeometry external(double pinion, Cut pinionCut, double gear, Cut gearCut) {
    return new PairGeometry(
        pinion, gear, false, gearCut.rack().addendum(), pinionCut, gearCut, (pinion + gear) / 2);
  }

  /** A mesh as it runs in {@code train}: shifted as the card or its set asks, where axes stand. */
  public static PairGeometry in(Train train, Mesh mesh) {
    return switch (train.partOf(mesh.a())) {
      case Planetary set -> in(PlanetGeometry.of(train, set), mesh);
      case Parallel _, Cycloidal _, StrainWave _, Bevel _, Differential _, Shaft _ ->
          asStated(train, mesh);
    };
  }

  private static PairGeometry asStated(Train train, Mesh mesh) {
    Cut pinion = Cut.of(train, mesh.pinion());
    Cut gear = Cut.of(train, mesh.gear());
    int pinions = mesh.teeth(mesh.pinion()).count();
    int gears = mesh.teeth(mesh.gear()).count();
    double standard = (mesh.internal() ? gears - pinions : gears + pinions) / 2.0;
    double shifts = mesh.internal() ? gear.shift() - pinion.shift() : gear.shift() + pinion.shift();
    double module = train.moduleMm(mesh.a());
    double apart = train.sizes().clearance().mm(Gap.APART) / module;
    double distance =
        train
            .sizes()
            .distanceMm(mesh.a(), mesh.b())
            .map(mm -> mm / module)
            .orElseGet(
                () ->
                    tightDistance(pinion.rack(), standard, shifts)
                        + (mesh.internal() ? -apart : apart));
    return new PairGeometry(
        pinions, gears, mesh.internal(), gear.rack().addendum(), pinion, gear, distance);
  }

  /**
   * The centre distance at which shifted teeth run without play: inv aw = inv a + 2 tan a (x1 ±
   * x2)/(z1 ± z2) (ISO 21771, working pressure angle).
   *
   * @param standard half the sum (of an internal pair the difference) of teeth
   * @param shifts sum (difference) of profile shifts
   */
  static double tightDistance(BasicRack rack, double standard, double shifts) {
    if (shifts == 0 || standard == 0) {
      return standard;
    }
    double angle = rack.pressureAngle();
    double involute = BasicRack.involute(angle) + Math.tan(angle) * shifts / standard;
    return standard * Math.cos(angle) / Math.cos(BasicRack.angleOf(involute));
  }

  /** The shifts, in sum or difference, with which teeth run without play at {@code distance}. */
  static double tightShifts(BasicRack rack, double standard, double distance) {
    double angle = rack.pressureAngle();
    double working = Math.acos(standard * Math.cos(angle) / distance);
    return standard * (BasicRack.involute(working) - BasicRack.involute(angle)) / Math.tan(angle);
  }

  /** A mesh of {@code set}, shifted as its rows ask for. */
  public static PairGeometry in(Planetary set, Mesh mesh) {
    return in(new PlanetGeometry(set), mesh);
  }

  /** A mesh of a set whose geometry is known already. */
  public static PairGeometry in(PlanetGeometry geometry, Mesh mesh) {
    return new PairGeometry(
        mesh.teeth(mesh.pinion()).count(),
        mesh.teeth(mesh.gear()).count(),
        mesh.internal(),
        geometry.rack(mesh).addendum(),
        geometry.cut(mesh.pinion()),
        geometry.cut(mesh.gear()),
        geometry.distance(mesh));
  }

  public PairGeometry withRingAddendum(double addendum) {
    return new PairGeometry(pinion, gear, internal, addendum, pinionCut, gearCut, centreDistance);
  }

  private double pinionTip() {
    return externalTip(pinion, pinionCut);
  }

  private double gearTip() {
    return internal
        ? gear / 2 + gearCut.shift() - ringAddendum + gearCut.shortening()
        : externalTip(gear, gearCut);
  }

  private static double externalTip(double teeth, Cut cut) {
    return teeth / 2 + cut.rack().addendum() + cut.shift() - cut.shortening();
  }

  /** Radius of curvature of the gear's flank at its tips, in modules. */
  double gearTipCurvature() {
    return reach(gearTip(), base(gear));
  }

  /** Radius of curvature of the pinion's flank at its tips, in modules. */
  double pinionTipCurvature() {
    return reach(pinionTip(), base(pinion));
  }

  /** The working pressure angle in radians: the rack's at the standard distance. */
  public double working() {
    return acos(leastDistance() / centreDistance);
  }

  /** The distance below which no flank lies on another, in modules: base circles side by side. */
  public double leastDistance() {
    return internal ? base(gear) - base(pinion) : base(gear) + base(pinion);
  }

  /** Whether flanks can lie on each other at this distance. */
  public boolean runs() {
    return centreDistance > leastDistance();
  }

  private double base(double teeth) {
    return teeth / 2 * Math.cos(pinionCut.rack().pressureAngle());
  }

  /**
   * Length along the line of action from the base circle to {@code tip}; 0 inside the base circle.
   */
  private static double reach(double tip, double base) {
    return Math.sqrt(Math.max(0, tip * tip - base * base));
  }

  /**
   * Transverse contact ratio ea: how many pairs of teeth are in touch on average (ISO 21771,
   * transverse contact ratio; full involutes, undercut not subtracted).
   */
  public double contactRatio() {
    return recess() + approach();
  }

  /**
   * The part of the contact ratio in which the pinion's addendum works: e2 where the pinion drives.
   */
  public double recess() {
    return pitches(reach(pinionTip(), base(pinion)) - base(pinion) * Math.tan(working()));
  }

  /** The part in which the gear's addendum works: e1 where the pinion drives. */
  public double approach() {
    double along = base(gear) * Math.tan(working()) - reach(gearTip(), base(gear));
    return pitches(internal ? along : -along);
  }

  /** A length along the line of action, in modules, over the base pitch. */
  private double pitches(double length) {
    return length / (Math.PI * Math.cos(pinionCut.rack().pressureAngle()));
  }

  /**
   * How far an external gear's tip circle stays inside the pinion's interference point, in modules;
   * negative when its tips run into flank that is no involute (Shigley, interference in spur
   * gears).
   */
  public double interferenceMargin() {
    double furthest = Math.hypot(base(gear), centreDistance * Math.sin(working()));
    return furthest - gearTip();
  }

  /**
   * Involute interference of an internal pair: z1/z2 - (1 - tan aa2 / tan aw); negative when the
   * ring's tips reach below the pinion's base circle.
   */
  public double involuteMargin() {
    return pinion / gear - 1 + Math.tan(tipAngle(gearTip(), base(gear))) / Math.tan(working());
  }

  /**
   * Trochoid interference of an internal pair, where tips leave the mesh: th1 z1/z2 + inv aw - inv
   * aa2 - th2 in radians; negative when they collide.
   */
  public double trochoidMargin() {
    double a = centreDistance;
    double r1 = pinionTip();
    double r2 = gearTip();
    if (r2 >= a + r1) {
      return Math.PI;
    }
    double invWorking = BasicRack.involute(working());
    double invTip1 = BasicRack.involute(tipAngle(r1, base(pinion)));
    double invTip2 = BasicRack.involute(tipAngle(r2, base(gear)));
    double th1 = acos((r2 * r2 - r1 * r1 - a * a) / (2 * a * r1)) + invTip1 - invWorking;
    double th2 = acos((a * a + r2 * r2 - r1 * r1) / (2 * a * r2));
    return th1 * pinion / gear + invWorking - invTip2 - th2;
  }

  /**
   * Trimming interference of an internal pair: whether the pinion can be put in from the side, in
   * radians; negative when it must be slid in along its axis, as it must where it is wider across
   * its tips than the ring between its own.
   */
  public double trimmingMargin() {
    double ratio = pinion / gear;
    double tip1 = tipAngle(pinionTip(), base(pinion));
    double tip2 = tipAngle(gearTip(), base(gear));
    double cosines = Math.cos(tip1) / Math.cos(tip2);
    if (cosines >= 1) {
      return Math.PI;
    }
    if (cosines <= ratio) {
      return -Math.PI;
    }
    double th1 = Math.asin(Math.sqrt((1 - cosines * cosines) / (1 - ratio * ratio)));
    double th2 = Math.asin(Math.sqrt((1 / (cosines * cosines) - 1) / (1 / (ratio * ratio) - 1)));
    double working = BasicRack.involute(working());
    return th1
        + BasicRack.involute(tip1)
        - working
        - (th2 + BasicRack.involute(tip2) - working) / ratio;
  }

  /** Radius of the working pitch circle of the pinion, in modules. */
  public double pinionWorkingRadius() {
    return workingRadius(pinion);
  }

  /** Radius of the working pitch circle of the gear, in modules. */
  public double gearWorkingRadius() {
    return workingRadius(gear);
  }

  private double workingRadius(double teeth) {
    return centreDistance * teeth / (internal ? gear - pinion : gear + pinion);
  }

  /**
   * Play between flanks at right angles to them, in modules, before anything is taken off flanks:
   * by what the axes stand off the distance without play; negative where teeth bind (ISO 21771,
   * normal backlash).
   */
  public double play() {
    double thickness = thickness(pinion, pinionCut);
    double gap =
        internal
            ? thickness(gear, gearCut)
            : 2 * Math.PI * workingRadius(gear) / gear - thickness(gear, gearCut);
    return (gap - thickness) * Math.cos(working());
  }

  /** Of a tooth (of a ring's space) along the working pitch circle. */
  private double thickness(double teeth, Cut cut) {
    double angle = cut.rack().pressureAngle();
    double half =
        (Math.PI / 2 + 2 * cut.shift() * Math.tan(angle)) / teeth
            + BasicRack.involute(angle)
            - BasicRack.involute(working());
    return 2 * workingRadius(teeth) * half;
  }

  /** Least room between the tips of one wheel and the roots of the other, in modules. */
  public double tipClearance() {
    double pinionRoot = GearOutline.rootRadius(pinion, false, pinionCut);
    double gearRoot = GearOutline.rootRadius(gear, internal, gearCut);
    return internal
        ? Math.min(gearRoot - centreDistance - pinionTip(), gearTip() - centreDistance - pinionRoot)
        : Math.min(
            centreDistance - gearTip() - pinionRoot, centreDistance - pinionTip() - gearRoot);
  }

  /** Whether nothing of an internal pair runs into anything in the mesh itself. */
  public boolean internalClear() {
    return involuteMargin() >= 0 && trochoidMargin() >= 0;
  }

  private static double tipAngle(double tip, double base) {
    return acos(base / tip);
  }

  private static double acos(double cosine) {
    return Math.acos(Math.clamp(cosine, -1, 1));
  }
}
