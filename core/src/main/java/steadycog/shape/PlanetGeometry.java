package steadycog.shape;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import steadycog.number.Memo;
import steadycog.number.Same;
import steadycog.train.Clearance.Gap;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Planetary;
import steadycog.train.Sizes;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * Where the planets of a set stand, in modules about the carrier's axis, and what its wheels must
 * do to reach them. Planets of one row run at the distance that the shifts of sun and planets ask
 * for (with no sun at the standard distance from the ring), and a ring of other than S + 2 P teeth
 * is cut with a profile shift that brings it to them. Two rows share one distance, halfway between
 * the smallest and the largest that their pairs would have by themselves, so that the worst pair is
 * distorted least; every wheel is shifted to it (Müller, <i>Epicyclic Drive Trains</i>; ISO 21771
 * for shift and working angle).
 */
public final class PlanetGeometry {
  /** Flatter flanks than this no longer carry: the shared distance is kept from asking for them. */
  private static final double LEAST_WORKING = Math.toRadians(14.5);

  /** Flatter ones leave hardly any curvature to the flanks, even where a designer asks for them. */
  public static final double FLATTEST_WORKING = Math.toRadians(10);

  /** Parts of a tooth that are nothing. */
  private static final double SAME = 1e-6;

  /** Steeper ones press the bearings apart and leave pointed teeth. */
  private static final double MOST_WORKING = Math.toRadians(30);

  private final Planetary part;
  private final List<List<Mesh>> rows = new ArrayList<>();
  private final PlanetShifts shifts;
  private final Sizes sizes;
  private final double moduleMm;
  private final double radius;
  private final Memo<MemberId, Cut> cuts;
  private final List<SetRow> teeth;

  /** How far axes stand off what runs without play, in modules of the train. */
  private final double apart;

  /** The geometry of {@code part} by its counts alone, of the usual rack. */
  public PlanetGeometry(Planetary part) {
    this(part, Sizes.UNSTATED, 1, Collections.nCopies(part.rows().size(), SetRow.USUAL));
  }

  /** Rules, layout and sizes of one train all ask for its sets: those asked for last are kept. */
  private static final Memo<Same<Train, Planetary>, PlanetGeometry> LATEST =
      Memo.of(
          16,
          set ->
              new PlanetGeometry(
                  set.other(),
                  set.one().sizes(),
                  set.one().moduleMm(),
                  SetRow.of(set.one(), set.other())));

  /** The geometry of a set as its train's card sizes it; of one train worked out once. */
  public static PlanetGeometry of(Train train, Planetary part) {
    return LATEST.get(new Same<>(train, part));
  }

  /** Its meshes are worked out once. */
  private PlanetGeometry(Planetary part, Sizes sizes, double moduleMm, List<SetRow> teeth) {
    this.part = part;
    this.sizes = sizes;
    this.moduleMm = moduleMm;
    this.teeth = List.copyOf(teeth);
    this.apart = sizes.clearance().mm(Gap.APART) / moduleMm;
    for (int row = 0; row < part.rows().size(); row++) {
      rows.add(part.meshes(row));
    }
    this.shifts = new PlanetShifts(this, part, rows, sizes);
    this.cuts = Memo.of(16, shifts::cut);
    this.radius = part.paired() ? pairRadius() : statedRadius().orElseGet(this::freeRadius);
  }

  private Mesh first() {
    return rows.getFirst().getFirst();
  }

  /** The module of a mesh's row over that of the train. */
  private double scale(Mesh mesh) {
    return scale(row(mesh));
  }

  private double scale(int row) {
    return teeth.get(row).scale();
  }

  private int row(Mesh mesh) {
    return part.rowOf(part.isPlanet(mesh.a()) ? mesh.a() : mesh.b()).orElse(0);
  }

  /** Half of it is the distance at which a mesh runs without shift, in modules of the train. */
  private double span(Mesh mesh) {
    return mesh.span() * scale(mesh);
  }

  private int planet(int index) {
    return part.row().planets().get(index).count();
  }

  private static int count(Optional<Teeth> teeth) {
    return teeth.orElseThrow().count();
  }

  /**
   * By how many teeth the larger wheel of a mesh differs from what the first mesh of the set asks
   * for: for the ring of one row R - S - 2 P. Positive, it is too large. Zero for paired planets,
   * which reach any ring in reach; of rows in modules of their own in teeth of their row, the next
   * whole number away from nothing.
   */
  public int stretch(Mesh mesh) {
    if (part.paired()) {
      return 0;
    }
    double teeth = (span(mesh) - span(first())) / scale(mesh);
    double whole = Math.rint(teeth);
    return (int)
        (Math.abs(teeth - whole) < SAME ? whole : Math.copySign(Math.ceil(Math.abs(teeth)), teeth));
  }

  /** The teeth by which all wheels together are too large or too small. */
  public int distortion() {
    int sum = 0;
    for (List<Mesh> row : rows) {
      for (Mesh mesh : row) {
        sum += Math.abs(stretch(mesh));
      }
    }
    return sum;
  }

  /**
   * By how many teeth the ring of one row differs from S + 2 P: positive, the ring is too large.
   * Empty for paired planets, for two rows, and where sun or ring is missing.
   */
  public OptionalInt stretch() {
    boolean closed = !part.stepped() && !part.paired() && rows.getFirst().size() == 2;
    return closed ? OptionalInt.of(stretch(rows.getFirst().getLast())) : OptionalInt.empty();
  }

  /** The rack that cuts the wheels of a row, in the plane of rotation. */
  BasicRack rack(int row) {
    return teeth.get(row).rack();
  }

  /** The rack of the two wheels of a mesh. */
  BasicRack rack(Mesh mesh) {
    return rack(row(mesh));
  }

  /** The stated shift of a wheel in modules of the plane of rotation; 0 where none is. */
  double statedShift(MemberId wheel) {
    return sizes.shift(wheel).map(x -> x.doubleValue()).orElse(0.0)
        * teeth.get(part.rowOf(wheel).orElse(0)).cosine();
  }

  /** Distance of the first planet's (of pairs the inner planet's) axis from the carrier's. */
  public double innerRadius() {
    return radius;
  }

  /** The distance of the axes of a mesh of the set, in modules of its own. */
  double distance(Mesh mesh) {
    boolean pair = part.isPlanet(mesh.a()) && part.isPlanet(mesh.b());
    double apart = pair ? pairDistance() : part.isPlanet(mesh.b()) ? innerRadius() : outerRadius();
    return apart / scale(mesh);
  }

  /** As the card states it for any mesh of sun or ring. */
  private Optional<Double> statedRadius() {
    return part.meshes().stream()
        .flatMap(m -> sizes.distanceMm(part.body(m.a()), part.body(m.b())).stream())
        .map(mm -> mm / moduleMm)
        .findFirst();
  }

  /** Whether the card says where the planets stand. */
  public boolean distanceStated() {
    return !part.paired() && statedRadius().isPresent();
  }

  /** The least working pressure angle of its meshes, radians; not a number where one has none. */
  public double leastWorkingAngle() {
    return rows.stream()
        .flatMap(List::stream)
        .mapToDouble(this::workingAngle)
        .reduce(Math.PI / 2, Math::min);
  }

  /** The least distance of the planets' axes at which no pair works at a flatter angle, modules. */
  public double leastDistance(double flattest) {
    double most = -Double.MAX_VALUE;
    for (Mesh mesh : part.meshes()) {
      most = Math.max(most, span(mesh) / 2.0 * Math.cos(rack(mesh).pressureAngle()));
    }
    return most / Math.cos(flattest);
  }

  /** Where nothing is stated: by the shifts of sun and planet, or between the rows. */
  private double freeRadius() {
    if (part.stepped()) {
      return sharedRadius();
    }
    double standard = Math.abs(first().span()) / 2.0;
    double scale = scale(0);
    if (part.row().sun().isEmpty()) {
      return scale * standard - apart;
    }
    double shifts = statedShift(part.sunId(0)) + statedShift(part.planetIds().getFirst());
    return scale * PairGeometry.tightDistance(rack(0), standard, shifts) + apart;
  }

  private double pairRadius() {
    if (part.row().sun().isPresent()) {
      return scale(0) * (count(part.row().sun()) + planet(0)) / 2.0;
    }
    double outer = scale(0) * (count(part.row().ring()) - part.row().outer().count()) / 2.0;
    return Math.abs(outer - pairDistance());
  }

  /** The distance at which the wheels of a mesh are cut to run without play, in their modules. */
  double tight(Mesh mesh) {
    boolean sunny = part.rows().stream().anyMatch(row -> row.sun().isPresent());
    return (mesh.internal() ? radius + (sunny ? 0 : apart) : radius - apart) / scale(mesh);
  }

  /** Distance of the outer planet's axis from the carrier's; without pairs the planet's. */
  public double outerRadius() {
    if (!part.paired()) {
      return innerRadius();
    }
    return part.row().ring().isPresent()
        ? scale(0) * (count(part.row().ring()) - planet(1)) / 2.0
        : innerRadius() + pairDistance();
  }

  private double sharedRadius() {
    Mesh widest = first();
    double least = Double.MAX_VALUE;
    double most = -Double.MAX_VALUE;
    for (List<Mesh> row : rows) {
      for (Mesh mesh : row) {
        least = Math.min(least, span(mesh));
        if (span(mesh) > most) {
          most = span(mesh);
          widest = mesh;
        }
      }
    }
    double halfway = (least + most) / 4.0;
    double flattest = Math.min(LEAST_WORKING, rack(widest).pressureAngle());
    double steep = most / 2.0 * Math.cos(rack(widest).pressureAngle()) / Math.cos(flattest);
    return Math.abs(Math.max(halfway, steep));
  }

  private double pairDistance() {
    return scale(0) * (planet(0) + planet(1)) / 2.0;
  }

  /**
   * How much room the triangle of a pair has left, in modules; negative when inner and outer planet
   * cannot touch while each runs on its central wheel.
   */
  public double pairMargin() {
    double distance = pairDistance();
    double inner = innerRadius();
    double outer = outerRadius();
    return Math.min(distance - Math.abs(inner - outer), inner + outer - distance);
  }

  /** The angle at the carrier's axis from a pair's inner to its outer planet, radians. */
  private double pairAngle() {
    double inner = innerRadius();
    double outer = outerRadius();
    double distance = pairDistance();
    double cos = (inner * inner + outer * outer - distance * distance) / (2 * inner * outer);
    return Math.acos(Math.clamp(cos, -1, 1));
  }

  /**
   * Where the axes of copy {@code k} stand, one a planet of the set, before the crank is turned;
   * both rows of a planet share one. The gap between the last and the first planet is at twelve
   * o'clock, where the carrier's mark is.
   */
  public List<Polar> axes(int k) {
    double first = Math.PI / 2 + Math.PI / part.count();
    double angle = first + 2 * Math.PI * new PlanetPlaces(part).turnsTo(k).doubleValue();
    return part.paired()
        ? List.of(new Polar(innerRadius(), angle), new Polar(outerRadius(), angle + pairAngle()))
        : List.of(new Polar(innerRadius(), angle));
  }

  /** Where the axis of {@code planet} of copy {@code k} stands. */
  public Polar axis(MemberId planet, int k) {
    List<Polar> axes = axes(k);
    return part.paired() ? axes.get(part.planetIds().indexOf(planet)) : axes.getFirst();
  }

  /**
   * The least distance between the tips of wheels of neighbouring planets, in modules; negative
   * when they run into each other. A single planet has no neighbour: infinite.
   */
  public double neighbourMargin() {
    double least = Double.POSITIVE_INFINITY;
    for (int row = 0; row < part.rows().size(); row++) {
      least = Math.min(least, neighbourMargin(row));
    }
    return least;
  }

  /** The same for the planets of one row. */
  public double neighbourMargin(int row) {
    double least = Double.POSITIVE_INFINITY;
    List<Teeth> planets = part.rows().get(row).planets();
    double addendum = rack(row).addendum() + shifts.planet(row) - shifts.shortening(row);
    List<Polar> first = new ArrayList<>();
    for (int k = 0; k < part.count(); k++) {
      List<Polar> next = axes(k);
      for (int earlier = 0; earlier < first.size(); earlier++) {
        Polar a = first.get(earlier);
        int teeth = planets.get(earlier % next.size()).count();
        for (int own = 0; own < next.size(); own++) {
          Polar b = next.get(own);
          double tips = scale(row) * ((teeth + planets.get(own).count()) / 2.0 + 2 * addendum);
          least = Math.min(least, Math.hypot(a.x() - b.x(), a.y() - b.y()) - tips);
        }
      }
      first.addAll(next);
    }
    return least;
  }

  /**
   * The working pressure angle of a pair, radians; not a number where no shift brings the two to
   * their distance.
   */
  public double workingAngle(Mesh mesh) {
    double angle = rack(mesh).pressureAngle();
    double standard = mesh.span() / 2.0;
    return part.paired() || standard == tight(mesh)
        ? angle
        : Math.acos(standard * Math.cos(angle) / tight(mesh));
  }

  /**
   * The profile shift of a wheel, in modules, outwards positive; zero where it needs none and where
   * none would do.
   */
  public double shift(MemberId wheel) {
    return shifts.shift(wheel);
  }

  /** The module of a row, mm. */
  double moduleMm(int row) {
    return moduleMm * scale(row);
  }

  /** How a wheel of the set is cut. */
  public Cut cut(MemberId wheel) {
    return cuts.get(wheel);
  }

  /**
   * The module at which the wheels of a mesh would meet at the set's distance without any shift, as
   * a multiple of the train's.
   */
  public double closingModule(Mesh mesh) {
    return 2 * innerRadius() / mesh.span();
  }

  /**
   * Whether profile shifts bring all wheels to the planets: by at most one module for the ring of
   * one row, at working angles that carry for two.
   */
  public boolean reaches() {
    return rows.stream().allMatch(row -> row.stream().allMatch(this::reaches));
  }

  private boolean reaches(Mesh mesh) {
    if (part.paired() || (!mesh.internal() && !part.stepped())) {
      return true;
    }
    double working = workingAngle(mesh);
    return part.stepped() ? working <= MOST_WORKING : Math.abs(shifts.of(mesh)) <= 1;
  }
}
