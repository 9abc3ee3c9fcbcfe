package steadycog.gearbox;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.locationtech.jts.geom.Geometry;
import steadycog.piece.Piece;
import steadycog.piece.Piece.Stand;
import steadycog.piece.Region;
import steadycog.piece.Region.Round;
import steadycog.piece.Slab;
import steadycog.shape.CycloidGeometry;
import steadycog.shape.PlacedWheel;
import steadycog.shape.PlanetPlaces;
import steadycog.shape.Polar;
import steadycog.train.Cycloidal;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Planetary;

/**
 * Dots by which pieces go in at the right tooth where several go in that would each mesh by itself:
 * planets of two rows, and discs on one eccentric. What goes to a place of its own, or goes in with
 * a tooth of its own, has its own number of dots.
 */
final class Marks {
  /** Radius of a dot, mm. */
  private static final double DOT = 0.5;

  /** Material between a dot and the roots of teeth, or the next dot, mm. */
  private static final double WALL = 0.6;

  /** The least between a dot and anything else, mm. */
  private static final double LEAST = 0.5;

  /** More in a row are not told apart at a glance. */
  private static final int MOST = 5;

  /** Angles that differ by less are one, radians. */
  private static final double SAME = 1e-6;

  /** Dots side by side through a piece, about an angle of its own, radians. */
  private record Row(Component component, double radius, double angle, int count) {
    List<Round> dots() {
      double step = (2 * DOT + WALL) / radius;
      return IntStream.range(0, count)
          .mapToDouble(k -> angle + (k - (count - 1) / 2.0) * step)
          .mapToObj(at -> new Round(radius * Math.cos(at), radius * Math.sin(at), DOT))
          .toList();
    }
  }

  private final CentralBox box;
  private final List<Row> rows = new ArrayList<>();

  private Marks(CentralBox box) {
    this.box = box;
  }

  /** Marks discs, each with as many dots as its number says, all in one line between two holes. */
  static void on(CentralBox box, Cycloidal drive) {
    Marks marks = new Marks(box);
    CycloidGeometry geometry = new CycloidGeometry(drive);
    Polar hole = geometry.outputPins().getFirst();
    double between = hole.angle() + Math.PI / geometry.outputs();
    List<Component> discs =
        marks.of(drive.discId()).stream()
            .filter(one -> one.piece().stands().getFirst().orbit().isPresent())
            .toList();
    for (Component disc : discs) {
      marks.rows.add(new Row(disc, hole.radius(), between, discs.indexOf(disc) + 1));
    }
    if (discs.size() > 1) {
      marks.cut(discs, "the dots of all in one line");
    }
  }

  /**
   * Marks planets of two rows, and the sun of their first row, or else its ring, which is in its
   * place before them: the tooth of a planet that is next to it, and the space for that tooth.
   */
  static void on(CentralBox box, Planetary set) {
    Marks marks = new Marks(box);
    if (set.stepped() && set.count() > 1) {
      Mesh mesh = set.meshes(0).getFirst();
      boolean sun = set.isPlanet(mesh.b());
      marks.planets(set, sun ? mesh.b() : mesh.a(), sun ? mesh.a() : mesh.b());
    }
  }

  private void planets(Planetary set, MemberId planet, MemberId middle) {
    List<Component> round = of(set.body(middle));
    List<Component> planets = of(set.body(planet));
    boolean whole = planets.stream().mapToInt(Component::count).sum() == set.count();
    if (round.size() != 1 || !whole) {
      return; // Halves are clocked by each other.
    }
    Component central = round.getFirst();
    PlacedWheel centre = wheels(middle).getFirst();
    double rest = central.piece().stands().getFirst().angle();
    double outside = dotsAt(set, set.body(middle), centre.teeth().internal());
    double inside = dotsAt(set, set.body(planet), false);
    double alike = 2 * Math.PI / new PlanetPlaces(set).common();
    List<Component> standing = new ArrayList<>();
    int kinds = 0;
    for (Component each : planets) {
      List<Stand> at = new ArrayList<>();
      List<Double> known = new ArrayList<>();
      for (Stand stand : each.piece().stands()) {
        Contact contact = Contact.of(centre, nearest(wheels(planet), stand));
        double tooth = contact.tooth - stand.angle();
        double own = tooth - alike * Math.floor(tooth / alike + SAME);
        at.add(
            new Stand(stand.x(), stand.y(), stand.z(), stand.angle() + tooth - own, stand.orbit()));
        int kind =
            IntStream.range(0, known.size())
                .filter(k -> Math.abs(known.get(k) - own) < SAME)
                .findFirst()
                .orElse(known.size());
        if (kind == known.size()) {
          known.add(own);
        }
        rows.add(new Row(central, outside, contact.space - rest, kinds + 1 + kind));
      }
      Component turned = Component.made(each.piece().remade(each.name(), each.piece().slabs(), at));
      box.all.set(box.all.indexOf(each), turned);
      standing.add(turned);
      for (double own : known) {
        kinds++;
        rows.add(new Row(turned, inside, own, kinds));
      }
    }
    if (cut(standing, "its dots at as many of the " + central.name())) {
      rows.stream().map(row -> row.component.name()).distinct().forEach(box.dotted::add);
    }
  }

  /**
   * Where a planet's tooth meets the wheel in the middle, radians.
   *
   * @param tooth angle of the tooth nearest to the line of centres, about the planet's axis
   * @param space angle of the space that it stands in, about the axis in the middle
   */
  private record Contact(double tooth, double space) {
    static Contact of(PlacedWheel centre, PlacedWheel planet) {
      boolean internal = centre.teeth().internal();
      double across = Math.atan2(planet.y() - centre.y(), planet.x() - centre.x());
      double facing = internal ? across : across + Math.PI;
      double count = planet.teeth().count();
      double off = Math.IEEEremainder(planet.phase() - facing, 2 * Math.PI / count);
      double turned = off * count / centre.teeth().count();
      return new Contact(facing + off, internal ? across + turned : across - turned);
    }
  }

  /** How far from its axis a body has its dots: inside all of its teeth, of a ring outside, mm. */
  private double dotsAt(Planetary set, MemberId body, boolean isRing) {
    DoubleStream roots = Carriage.roots(box, set, body);
    return isRing ? roots.max().orElseThrow() + WALL + DOT : roots.min().orElseThrow() - WALL - DOT;
  }

  private List<PlacedWheel> wheels(MemberId id) {
    return box.layout.wheels().stream().filter(one -> one.id().equals(id)).toList();
  }

  private PlacedWheel nearest(List<PlacedWheel> wheels, Stand stand) {
    return wheels.stream()
        .min(
            Comparator.comparing(
                one ->
                    Math.hypot(one.x() * box.module - stand.x(), one.y() * box.module - stand.y())))
        .orElseThrow();
  }

  /** What is in the gearbox of the train's own pieces of a body. */
  private List<Component> of(MemberId body) {
    List<String> names =
        box.pieces.all().stream()
            .filter(piece -> piece.member().equals(body))
            .map(Piece::name)
            .toList();
    return box.all.stream().filter(one -> names.contains(one.name())).toList();
  }

  /** Makes the dots where all have room, and says with some pieces what they are for. */
  private boolean cut(List<Component> told, String remark) {
    boolean fits = rows.stream().allMatch(this::hasRoom);
    for (Component one : List.copyOf(box.all)) {
      List<Round> dots =
          rows.stream()
              .filter(row -> fits && row.component.equals(one))
              .flatMap(row -> row.dots().stream())
              .toList();
      boolean tell = told.contains(one);
      if (tell || !dots.isEmpty()) {
        Region holes = new Region(List.of(), dots);
        List<Slab> slabs =
            one.piece().slabs().stream()
                .map(slab -> slab.over(slab.region().minus(holes, box.chord)))
                .toList();
        Piece marked = one.piece().remade(one.name(), slabs, one.piece().stands());
        box.all.set(
            box.all.indexOf(one),
            Component.made(
                tell ? marked.with(fits ? remark : "too small for dots: as drawn") : marked));
      }
    }
    return fits;
  }

  /** Whether its dots lie in solid material, clear of those of other rows. */
  private boolean hasRoom(Row row) {
    List<Geometry> areas =
        row.component.piece().slabs().stream().map(slab -> slab.region().area(box.chord)).toList();
    return row.count <= MOST
        && row.radius > DOT + LEAST
        && row.dots().stream()
            .map(dot -> Shell.disc(dot.x(), dot.y(), DOT + LEAST))
            .allMatch(disc -> areas.stream().allMatch(area -> area.contains(disc)))
        && rows.stream()
            .filter(other -> !other.equals(row) && other.component.equals(row.component))
            .flatMap(other -> other.dots().stream())
            .allMatch(dot -> row.dots().stream().allMatch(own -> isClear(own, dot)));
  }

  private static boolean isClear(Round one, Round other) {
    return Math.hypot(one.x() - other.x(), one.y() - other.y()) > 2 * DOT + LEAST;
  }
}
