package steadycog.shape;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntFunction;
import steadycog.number.Known;
import steadycog.shape.Placed.Orbit;
import steadycog.shape.PlacedPlate.Circle;
import steadycog.shape.PlacedPlate.Kind;
import steadycog.train.Bevel;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.MemberId;
import steadycog.train.Parallel;
import steadycog.train.Part;
import steadycog.train.PlanetRow;
import steadycog.train.Planetary;
import steadycog.train.Shaft;
import steadycog.train.StrainWave;
import steadycog.train.Train;

/** The members of parts that are not made of spur wheels alone, where they stand. */
public final class Drives {
  /**
   * How far drawn lobes may leave the true line, as a share of the pin circle: fine on any screen.
   */
  private static final double DRAWN_CHORD = 5e-4;

  private static final int GENERATOR_POINTS = 180;

  /** Of a shaft that carries no wheel, in modules. */
  private static final double SHAFT_RADIUS = 4;

  private static final double CAM_SHARE = 0.96;
  private static final double BEARING = 0.04;

  private final double moduleMm;
  private final List<Placed> all = new ArrayList<>();

  private Drives(double moduleMm) {
    this.moduleMm = moduleMm;
  }

  /** A drawn module in mm: as stated, else one. */
  public static double moduleMm(Train train) {
    return train.moduleMm();
  }

  /** Every body of such drives; {@code centre} gives where an axis stands. */
  static List<Placed> of(
      Train train, Axes axes, Map<MemberId, Integer> planes, IntFunction<double[]> centre) {
    Drives drives = new Drives(moduleMm(train));
    for (Part part : train.parts()) {
      MemberId any = part.members().getFirst().id();
      int axis = axes.of(any);
      double[] at = centre.apply(axis);
      switch (part) {
        case Cycloidal drive -> drives.add(drive, axis, Known.in(planes, any), at);
        case StrainWave drive ->
            drives.add(drive, scale(train, drive.flexId()), axis, Known.in(planes, any), at);
        case Bevel pair -> drives.add(pair, axes, Known.in(planes, any), centre);
        case Differential sides -> drives.add(sides, axes, Known.in(planes, any), centre);
        case Shaft shaft -> drives.add(shaft, axis, Known.in(planes, any), at);
        case Parallel none -> {
          // Wheels are placed one by one.
        }
        case Planetary none -> {
          // Wheels are placed one by one, carriers behind them.
        }
      }
    }
    return List.copyOf(drives.all);
  }

  /** Radius of the whole drive or set in modules; of parts on several axes the largest. */
  static double radius(Train train, Part part) {
    return switch (part) {
      case Cycloidal drive -> new CycloidGeometry(drive).ringRadius() / moduleMm(train);
      case StrainWave drive ->
          scale(train, drive.flexId()) * new StrainGeometry(drive).circularBody();
      case Planetary set -> reach(train, set);
      case Bevel pair -> Bevels.crownRadius(pair);
      case Differential sides -> Bevels.caseRadius(sides);
      case Shaft shaft -> SHAFT_RADIUS;
      case Parallel none -> 0;
    };
  }

  /** A wheel's module over that of the train. */
  private static double scale(Train train, MemberId wheel) {
    return train.moduleMm(wheel) / train.moduleMm();
  }

  /** How far planets reach from the middle. */
  private static double reach(Train train, Planetary set) {
    PlanetGeometry geometry = PlanetGeometry.of(train, set);
    double most = 0;
    for (PlanetRow row : set.rows()) {
      double scale = scale(train, set.planetIds(set.rows().indexOf(row)).getFirst());
      most = Math.max(most, geometry.innerRadius() + scale * (row.inner().count() / 2.0 + 1));
      most = Math.max(most, geometry.outerRadius() + scale * (row.outer().count() / 2.0 + 1));
    }
    return most;
  }

  /** Radius of all that parts have on an axis beside single wheels, in modules; zero for none. */
  static double radius(Train train, Axes axes, int axis) {
    double most = 0;
    for (Part part : train.parts()) {
      switch (part) {
        case Bevel pair -> {
          boolean crown = axes.of(pair.crownId()) == axis;
          boolean pinion = axes.of(pair.pinionId()) == axis;
          most = Math.max(most, crown ? Bevels.crownRadius(pair) : 0);
          most = Math.max(most, pinion ? Bevels.pinionRadius(pair) : 0);
        }
        case Differential sides -> {
          boolean left = axes.of(sides.leftId()) == axis;
          boolean middle = axes.of(sides.caseId()) == axis;
          most = Math.max(most, left ? Bevels.sideRadius(sides) + 1 : 0);
          most = Math.max(most, middle ? Bevels.caseRadius(sides) : 0);
        }
        case Parallel _, Planetary _, Cycloidal _, StrainWave _, Shaft _ -> {
          boolean here = axes.of(part.members().getFirst().id()) == axis;
          most = Math.max(most, here ? radius(train, part) : 0);
        }
      }
    }
    return most;
  }

  private void add(Bevel pair, Axes axes, int plane, IntFunction<double[]> centre) {
    int crown = axes.of(pair.crownId());
    int pinion = axes.of(pair.pinionId());
    all.add(Bevels.crown(pair, crown, plane, centre.apply(crown)));
    all.add(Bevels.pinion(pair, pinion, plane, centre.apply(crown), centre.apply(pinion)));
  }

  private void add(Differential sides, Axes axes, int plane, IntFunction<double[]> centre) {
    int[] both = {axes.of(sides.caseId()), axes.of(sides.leftId())};
    all.addAll(Bevels.of(sides, both, plane, centre.apply(both[0]), centre.apply(both[1])));
  }

  private void add(Shaft shaft, int axis, int plane, double[] at) {
    Circle round = new Circle(0, 0, SHAFT_RADIUS);
    all.add(
        new PlacedPlate(
            shaft.id(),
            Kind.SHAFT,
            0,
            axis,
            plane,
            at[0],
            at[1],
            Optional.empty(),
            SHAFT_RADIUS,
            List.of(),
            List.of(round),
            List.of(),
            SHAFT_RADIUS));
  }

  private void add(Cycloidal drive, int axis, int plane, double[] at) {
    CycloidGeometry geometry = new CycloidGeometry(drive);
    double ring = mm(geometry.ringRadius());
    List<Circle> ringPins = new ArrayList<>();
    for (Polar pin : geometry.pins()) {
      ringPins.add(circle(pin, geometry.pinRadius()));
    }
    all.add(
        new PlacedPlate(
            drive.ringId(),
            Kind.PIN_RING,
            0,
            axis,
            plane,
            at[0],
            at[1],
            Optional.empty(),
            ring,
            List.of(geometry.wall(DRAWN_CHORD * geometry.circleRadius()).scaled(1 / moduleMm)),
            List.of(new Circle(0, 0, ring)),
            ringPins,
            ring));
    for (int k = drive.sizes().discs() - 1; k >= 0; k--) {
      addDisc(drive, geometry, k, axis, plane, at);
    }
    double cam = mm(geometry.boreRadius()) * CAM_SHARE;
    double off = mm(geometry.eccentricity());
    all.add(
        new PlacedPlate(
            drive.eccentricId(),
            Kind.ECCENTRIC,
            0,
            axis,
            plane,
            at[0],
            at[1],
            Optional.empty(),
            cam + off,
            List.of(),
            List.of(new Circle(off, 0, cam)),
            List.of(new Circle(0, 0, Math.max(0.1, (cam - off) / 2))),
            cam - off));
  }

  private void addDisc(
      Cycloidal drive, CycloidGeometry geometry, int k, int axis, int plane, double[] at) {
    double angle = geometry.discAngle(k);
    double off = mm(geometry.eccentricity());
    List<Circle> holes = new ArrayList<>();
    List<Circle> outputs = new ArrayList<>();
    holes.add(new Circle(0, 0, mm(geometry.boreRadius())));
    for (Polar pin : geometry.outputPins()) {
      holes.add(circle(pin, geometry.holeRadius()));
      outputs.add(circle(pin, geometry.outputPinRadius()));
    }
    Outline disc =
        geometry.disc(DRAWN_CHORD * geometry.circleRadius(), 0).placed(geometry.discPhase(k), 0, 0);
    all.add(
        new PlacedPlate(
            drive.discId(),
            Kind.DISC,
            k,
            axis,
            plane,
            at[0] + off * Math.cos(angle),
            at[1] + off * Math.sin(angle),
            Optional.of(new Orbit(drive.eccentricId(), at[0], at[1])),
            mm(geometry.tipRadius()),
            List.of(disc.scaled(1 / moduleMm)),
            holes,
            k == 0 ? outputs : List.of(),
            mm(geometry.rootRadius()) * CAM_SHARE));
  }

  private double mm(double length) {
    return length / moduleMm;
  }

  private Circle circle(Polar at, double radius) {
    return new Circle(mm(at.x()), mm(at.y()), mm(radius));
  }

  /** The generator of a flexspline drawn with {@code times} its true deflection. */
  public static Outline generator(PlacedFlex flex, double times) {
    double inside = generatorDepth(flex.geometry(), flex.boreDepth());
    return flex.geometry()
        .inside(Math.PI / 2, times, inside, GENERATOR_POINTS)
        .scaled(flex.scale());
  }

  /** How far a generator lies inside the flexspline's pitch line: its bore and a thin bearing. */
  public static double generatorDepth(StrainGeometry geometry, double boreDepth) {
    return boreDepth + BEARING * geometry.flexRadius();
  }

  private void add(StrainWave drive, double scale, int axis, int plane, double[] at) {
    StrainGeometry geometry = new StrainGeometry(drive);
    double body = scale * geometry.circularBody();
    all.add(
        new PlacedPlate(
            drive.circularId(),
            Kind.CIRCULAR_SPLINE,
            0,
            axis,
            plane,
            at[0],
            at[1],
            Optional.empty(),
            body,
            List.of(geometry.circularTeeth(GearOutline.DRAWN_THINNING).scaled(scale)),
            List.of(new Circle(0, 0, body)),
            List.of(),
            body));
    double depth = geometry.boreDepth(scale * moduleMm);
    all.add(
        new PlacedFlex(
            drive.flexId(), drive.waveId(), axis, plane, at[0], at[1], geometry, depth, scale));
    double inside = generatorDepth(geometry, depth);
    all.add(
        new PlacedPlate(
            drive.waveId(),
            Kind.GENERATOR,
            0,
            axis,
            plane,
            at[0],
            at[1],
            Optional.empty(),
            scale * (geometry.circularRadius() - inside),
            List.of(geometry.inside(Math.PI / 2, 1, inside, GENERATOR_POINTS).scaled(scale)),
            List.of(),
            List.of(),
            scale * (geometry.circularRadius() - inside)));
  }
}
