package steadycog.piece;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.locationtech.jts.algorithm.Orientation;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.triangulate.polygon.PolygonTriangulator;
import steadycog.number.Known;
import steadycog.shape.BevelPair;
import steadycog.shape.BevelPair.Gear;
import steadycog.shape.Outline;
import steadycog.shape.Polar;
import steadycog.train.Bore;
import steadycog.train.Clearance.Gap;
import steadycog.train.MemberId;
import steadycog.train.Train;

/**
 * A straight bevel gear as it is made: teeth whose lines all run to the apex of its pitch cone,
 * between the back cone at the heel and the like cone at the toe, on a body with a flat back to lie
 * on and a flat front. Their shape is that of spur teeth laid round the back cone (Tredgold); the
 * exact ones, on a sphere, differ by less than {@value #INEXACT} modules where teeth work.
 *
 * @param gear in modules at the heel
 * @param moduleMm at the heel
 * @param toe where the small end lies from the apex, as a share of the cone distance
 * @param thinning taken off each flank along the pitch circle at the heel, in modules
 * @param hole for its shaft, mm
 * @param reach the furthest that the hole reaches from the axis, mm
 */
public record BevelBody(
    Gear gear, double moduleMm, double toe, double thinning, Region hole, double reach) {
  /** How far Tredgold's teeth leave exact ones, in modules; measured on pairs of 8 to 50 teeth. */
  public static final double INEXACT = 0.002;

  /** Material below the roots along the back cone, in modules, and as a share of what is there. */
  private static final double RIM = 2;

  private static final double RIM_SHARE = 0.4;

  /** The front lies a little below the roots at the toe, so that no tooth ends on an edge. */
  private static final double FRONT = 0.2;

  /** Shorter cones are all tip, as a share of the cone distance. */
  private static final double LEAST_TOE = 0.1;

  /** Between the templates of heel and toe, mm. */
  private static final double APART = 4;

  private static final GeometryFactory FACTORY = new GeometryFactory();

  /** As a gear of its pair is made, with a hole for a shaft or pin. */
  static BevelBody of(Train train, BevelPair pair, Gear gear, Optional<Bore> bore, double chord) {
    double room = train.sizes().clearance().mm(Gap.BORE);
    return new BevelBody(
        gear,
        train.moduleMm(pair.one().id()),
        pair.toe(train),
        Blank.thinning(train, gear.id(), gear.cut().rack().pressureAngle()),
        bore.map(shaft -> Bores.hole(shaft, room, chord)).orElse(Region.none()),
        bore.map(shaft -> Bores.reach(shaft) + room / 2).orElse(0.0));
  }

  /** The body of a bevel gear, sides of a differential both; empty for members of other kinds. */
  public static Optional<BevelBody> of(Train train, MemberId member) {
    return BevelPair.of(train, member)
        .map(
            pair ->
                of(
                    train,
                    pair,
                    member.equals(pair.other().id()) ? pair.other() : pair.one(),
                    Blank.of(train, member).bore(),
                    Pieces.USUAL_CHORD));
  }

  /** Where the back ends inwards, along the developed back cone. */
  double back() {
    return gear.root() - Math.min(RIM, RIM_SHARE * gear.root());
  }

  /** Where the front begins, likewise. */
  double front() {
    return gear.root() - Math.min(FRONT, RIM_SHARE * gear.root());
  }

  /** The radius within which a hole leaves the body whole, mm. */
  public double leastRadius() {
    return moduleMm * Math.min(gear.radius(back()), toe * gear.radius(front()));
  }

  /** Over its tips, mm. */
  public double radius() {
    return moduleMm * gear.radius(gear.tip());
  }

  /** From the apex to the flat back, along the axis, mm: by it the gear is put in its place. */
  public double mounting() {
    return moduleMm * gear.depth(back());
  }

  /** From the flat back to the furthest of its teeth, along the axis, mm. */
  public double height() {
    double toeTip = toe * gear.depth(gear.tip());
    return moduleMm * (gear.depth(back()) - Math.min(toeTip, toe * gear.depth(front())));
  }

  /** Why it cannot be made; empty where it can. */
  Optional<String> flaw() {
    if (!(toe >= LEAST_TOE)) {
      return Optional.of("its face reaches the apex of its cone");
    }
    if (!(gear.root() > 0) || !(gear.tip() > gear.root())) {
      return Optional.of("its outline does not follow from these sizes");
    }
    if (reach >= leastRadius()) {
      return Optional.of("its bore breaks out of it");
    }
    boolean through = gear.depth(back()) <= toe * gear.depth(front());
    return through ? Optional.of("its face is too narrow to leave it a body") : Optional.empty();
  }

  /**
   * The lines of its teeth, flat, to be bent round the cones at heel and toe: side by side, the
   * scale of each its own.
   *
   * @param chord how far a straight piece may leave the true line, mm
   */
  List<Slab> templates(double chord) {
    Outline heel = template(chord);
    Region large = new Region(List.of(heel), List.of());
    Region small = new Region(List.of(heel.scaled(toe)), List.of());
    double aside = large.bounds()[2] - small.bounds()[0] + APART;
    return List.of(
        new Slab("heel template", 0, 1, large),
        new Slab("toe template", 0, 1, small.placed(0, aside, 0)));
  }

  /** A strip of the developed back cone, the middle of its teeth upwards. */
  private Outline template(double chord) {
    List<Polar> line = gear.line(chord / moduleMm, thinning);
    double pitch = 2 * Math.PI / gear.virtualTeeth();
    List<Polar> all = new ArrayList<>();
    for (int tooth = 0; tooth < gear.teeth(); tooth++) {
      double middle = (tooth - (gear.teeth() - 1) / 2.0) * pitch;
      for (Polar point : line.subList(tooth == 0 ? 0 : 1, line.size())) {
        all.add(new Polar(point.radius(), middle + point.angle()));
      }
    }
    double half = gear.teeth() * pitch / 2;
    int steps = Region.corners(back() * moduleMm, chord);
    for (int k = 0; k <= steps; k++) {
      all.add(new Polar(back(), half - 2 * half * k / steps));
    }
    double[] x = new double[all.size()];
    double[] y = new double[all.size()];
    for (int k = 0; k < x.length; k++) {
      Polar point = all.get(k);
      x[k] = moduleMm * point.radius() * Math.sin(point.angle());
      y[k] = moduleMm * point.radius() * Math.cos(point.angle());
    }
    return new Outline(x, y);
  }

  /**
   * Its surface, lying on its back. Cost: points of all teeth.
   *
   * @param chord how far straight pieces may leave true lines, mm
   */
  Solid solid(double chord) {
    return new Builder(chord).build();
  }

  /** Puts the surface together; every corner is made once, so that it closes. */
  private final class Builder {
    private final double chord;
    private final List<Polar> line;
    private final int arcs;
    private final Map<List<Double>, Integer> known = new HashMap<>();
    private final List<double[]> points = new ArrayList<>();
    private final List<int[]> triangles = new ArrayList<>();

    Builder(double chord) {
      this.chord = chord;
      this.line = gear.line(chord / moduleMm, thinning);
      double widest = moduleMm * gear.radius(gear.root());
      this.arcs = (int) Math.ceil((double) Region.corners(widest, chord) / gear.teeth());
    }

    Solid build() {
      end(back(), 1, false);
      end(front(), toe, true);
      flanks();
      List<int[]> behind = flat(back(), 1, false);
      List<int[]> ahead = flat(front(), toe, true);
      for (int k = 0; k < behind.size(); k++) {
        wall(behind.get(k), ahead.get(k));
      }
      return Solid.of(points, triangles);
    }

    private int tooth(Polar point, int tooth, double scale) {
      // The end of a pitch is the beginning of the next.
      boolean end = point.angle() == line.getLast().angle();
      int of = end ? (tooth + 1) % gear.teeth() : tooth;
      double own = end ? line.getFirst().angle() : point.angle();
      double angle = own / Math.cos(gear.angle()) + 2 * Math.PI * of / gear.teeth();
      double radius = scale * moduleMm * gear.radius(point.radius());
      return corner(radius * Math.cos(angle), radius * Math.sin(angle), z(point.radius(), scale));
    }

    /** Corner {@code k} of the edge of a cone within one pitch. */
    private Polar arc(double inner, int k) {
      double pitch = line.getLast().angle();
      return new Polar(inner, k == arcs ? pitch : -pitch + 2 * pitch * k / arcs);
    }

    private double z(double developed, double scale) {
      return mounting() - scale * moduleMm * gear.depth(developed);
    }

    private int corner(double x, double y, double z) {
      return known.computeIfAbsent(
          List.of(x, y, z),
          fresh -> {
            points.add(new double[] {x, y, z});
            return points.size() - 1;
          });
    }

    private void triangle(int a, int b, int c, boolean turned) {
      triangles.add(turned ? new int[] {a, c, b} : new int[] {a, b, c});
    }

    /**
     * The cone at heel or toe, from the teeth inwards to {@code inner}: rows round the axis, each
     * fine enough to follow the cone, with triangles between neighbours.
     */
    private void end(double inner, double scale, boolean up) {
      int last = line.size() - 1;
      int root = 0;
      while (line.get(root + 1).radius() == line.getFirst().radius()) {
        root++;
      }
      int tip = root;
      while (line.get(tip + 1).radius() > line.get(tip).radius()) {
        tip++;
      }
      List<Polar> edge = IntStream.rangeClosed(0, arcs).mapToObj(k -> arc(inner, k)).toList();
      List<Polar> roots = new ArrayList<>(line.subList(0, root));
      roots.addAll(across(line.get(root), line.get(last - root)));
      roots.addAll(line.subList(last - root + 1, last + 1));
      strip(edge, roots, scale, !up);
      for (int k = root; k < tip; k++) {
        List<Polar> below = across(line.get(k), line.get(last - k));
        List<Polar> above =
            k + 1 < tip
                ? across(line.get(k + 1), line.get(last - k - 1))
                : line.subList(tip, last - tip + 1);
        strip(below, above, scale, !up);
      }
    }

    private void strip(List<Polar> lower, List<Polar> upper, double scale, boolean turned) {
      for (int tooth = 0; tooth < gear.teeth(); tooth++) {
        between(lower, upper, tooth, scale, turned);
      }
    }

    /** Points from one side of a tooth to the other, as close as those of the inner edge. */
    private List<Polar> across(Polar left, Polar right) {
      double step = 2 * line.getLast().angle() / arcs;
      int steps = Math.max(1, (int) Math.ceil((right.angle() - left.angle()) / step));
      List<Polar> row = new ArrayList<>(List.of(left));
      for (int k = 1; k < steps; k++) {
        double share = (double) k / steps;
        row.add(new Polar(left.radius(), left.angle() + share * (right.angle() - left.angle())));
      }
      row.add(right);
      return row;
    }

    private void between(
        List<Polar> lower, List<Polar> upper, int tooth, double scale, boolean turned) {
      int i = 0;
      int j = 0;
      while (i + 1 < lower.size() || j + 1 < upper.size()) {
        int a = tooth(lower.get(i), tooth, scale);
        int b = tooth(upper.get(j), tooth, scale);
        boolean below =
            j + 1 == upper.size()
                || (i + 1 < lower.size() && share(lower, i + 1) <= share(upper, j + 1));
        if (below) {
          i++;
          triangle(a, b, tooth(lower.get(i), tooth, scale), turned);
        } else {
          j++;
          triangle(a, b, tooth(upper.get(j), tooth, scale), turned);
        }
      }
    }

    /** How far along its row a point lies, 0 to 1. */
    private static double share(List<Polar> row, int k) {
      double from = row.getFirst().angle();
      return (row.get(k).angle() - from) / (row.getLast().angle() - from);
    }

    /** Triangles of an area, all of them counter-clockwise. */
    private static List<Coordinate[]> faces(Polygon area) {
      Geometry all = PolygonTriangulator.triangulate(area);
      List<Coordinate[]> faces = new ArrayList<>();
      for (int k = 0; k < all.getNumGeometries(); k++) {
        Coordinate[] ring = all.getGeometryN(k).getCoordinates();
        boolean left = Orientation.isCCW(ring);
        faces.add(left ? ring : new Coordinate[] {ring[0], ring[2], ring[1]});
      }
      return faces;
    }

    private void flanks() {
      for (int tooth = 0; tooth < gear.teeth(); tooth++) {
        for (int k = 1; k < line.size(); k++) {
          int[] heel = {tooth(line.get(k - 1), tooth, 1), tooth(line.get(k), tooth, 1)};
          int[] small = {tooth(line.get(k - 1), tooth, toe), tooth(line.get(k), tooth, toe)};
          triangle(heel[0], heel[1], small[1], false);
          triangle(heel[0], small[1], small[0], false);
        }
      }
    }

    /**
     * The flat face within the cone at heel or toe, round the hole.
     *
     * @return the corners of its holes
     */
    private List<int[]> flat(double inner, double scale, boolean up) {
      double z = z(inner, scale);
      List<Coordinate> rim = new ArrayList<>();
      Map<Coordinate, Integer> of = new HashMap<>();
      for (int tooth = 0; tooth < gear.teeth(); tooth++) {
        for (int k = 0; k < arcs; k++) {
          int corner = tooth(arc(inner, k), tooth, scale);
          double[] at = points.get(corner);
          Coordinate place = new Coordinate(at[0], at[1]);
          rim.add(place);
          of.put(place, corner);
        }
      }
      rim.add(rim.getFirst());
      List<LinearRing> holes = new ArrayList<>();
      List<int[]> corners = new ArrayList<>();
      for (Outline outline : hole.outlines(chord)) {
        LinearRing ring = Region.polygon(outline).getExteriorRing();
        Coordinate[] places = ring.getCoordinates();
        int[] own = new int[places.length - 1];
        for (int k = 0; k < own.length; k++) {
          own[k] = corner(places[k].x, places[k].y, z);
          of.put(places[k], own[k]);
        }
        holes.add(ring);
        corners.add(own);
      }
      Polygon area =
          FACTORY.createPolygon(
              FACTORY.createLinearRing(rim.toArray(Coordinate[]::new)),
              holes.toArray(LinearRing[]::new));
      for (Coordinate[] face : faces(area)) {
        triangle(Known.in(of, face[0]), Known.in(of, face[1]), Known.in(of, face[2]), !up);
      }
      return corners;
    }

    /** The hole's wall, from its corners in the back to those in the front. */
    private void wall(int[] behind, int[] ahead) {
      for (int k = 0; k < behind.length; k++) {
        int next = (k + 1) % behind.length;
        triangle(behind[k], ahead[k], ahead[next], false);
        triangle(behind[k], ahead[next], behind[next], false);
      }
    }
  }
}
