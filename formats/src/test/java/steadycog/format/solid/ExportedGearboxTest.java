package steadycog.format.solid;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayInputStream;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.function.ToDoubleFunction;
import java.util.zip.ZipInputStream;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import steadycog.format.demo.TernRock;
import steadycog.format.file.PieceFile;
import steadycog.gearbox.Build.Whole;
import steadycog.gearbox.Component;
import steadycog.gearbox.Move;
import steadycog.number.Pace;
import steadycog.piece.Piece;
import steadycog.piece.Piece.Stand;
import steadycog.study.Study;
import steadycog.train.MemberId;

/**
 * The proof of a gearbox once more from what is handed out: its 3MF is read back, the triangles are
 * cut into sections, these turned by the ratios of the train, and moved as the order has it.
 */
class ExportedGearboxTest {
  private static final GeometryFactory FACTORY = new GeometryFactory();
  private static final int POSITIONS = 12;
  private static final int LEVELS = 8;

  /** Bodies that share less all round only touch, mm. */
  private static final double TOUCH = 0.03;

  /** What the file holds of a made piece: areas at heights above its foot. */
  private record Section(double from, double to, Geometry area) {}

  /** One of the bodies where it stands. */
  private record Body(Component component, Stand stand, List<Section> sections) {
    Body at(ToDoubleFunction<MemberId> turned) {
      boolean still = component.member().equals(Piece.FRAME);
      double own = still ? 0 : turned.applyAsDouble(component.member());
      return new Body(component, stand.turned(own, turned), sections);
    }

    /** What it fills, level by level. */
    List<Section> placed() {
      AffineTransformation there =
          AffineTransformation.rotationInstance(stand.angle()).translate(stand.x(), stand.y());
      return sections.stream()
          .map(s -> new Section(stand.z() + s.from, stand.z() + s.to, there.transform(s.area)))
          .toList();
    }
  }

  @ParameterizedTest
  @ValueSource(strings = {"Filter wheel", "Focuser", "Azimuth axis"})
  void goesTogetherAndTurnsAsItIsRead(String name) throws Exception {
    Study study =
        Study.of(
            TernRock.job().sheets().stream()
                .filter(sheet -> sheet.name().equals(name))
                .findFirst()
                .orElseThrow()
                .card()
                .orElseThrow()
                .train());
    Whole whole = study.gearbox(Pace.FREE).box().orElseThrow();
    assertTrue(whole.proof().holds());
    List<Body> bodies = read(whole);
    MemberId input = study.train().rolesInForce().drives().getFirst().member();
    for (int k = 0; k < POSITIONS; k++) {
      double turns = k * 0.618;
      assertEquals(
          List.of(), overlaps(turned(bodies, study, turns), k == 0), name + " at " + turns);
    }
    // Turned by itself the input runs into what it drives: overlaps are seen.
    List<String> jammed = new ArrayList<>();
    for (double alone : new double[] {0.05, 0.15}) {
      jammed.addAll(
          overlaps(
              bodies.stream().map(b -> b.at(m -> m.equals(input) ? alone : 0)).toList(), false));
    }
    assertFalse(jammed.isEmpty(), name);
    putTogether(whole, bodies);
  }

  private static List<Body> turned(List<Body> bodies, Study study, double turns) {
    return bodies.stream()
        .map(
            body ->
                body.at(
                    member ->
                        2
                            * Math.PI
                            * turns
                            * study.motion().turnsPerInputTurn(member).orElseThrow().doubleValue()))
        .toList();
  }

  /**
   * @param all also such as turn as one, which need looking at but once
   */
  private static List<String> overlaps(List<Body> bodies, boolean all) {
    List<List<Section>> placed = bodies.stream().map(Body::placed).toList();
    List<String> found = new ArrayList<>();
    for (int a = 0; a < bodies.size(); a++) {
      for (int b = a + 1; b < bodies.size(); b++) {
        Component own = bodies.get(a).component;
        Component its = bodies.get(b).component;
        boolean asOne = own.member().equals(its.member()) && bodies.get(a).stand.orbit().isEmpty();
        for (Section one : asOne && !all ? List.<Section>of() : placed.get(a)) {
          for (Section other : placed.get(b)) {
            if (Math.min(one.to, other.to) - Math.max(one.from, other.from) > 1e-6
                && share(one, other)) {
              found.add(own.name() + " in " + its.name());
            }
          }
        }
      }
    }
    return found;
  }

  private static boolean share(Section one, Section other) {
    return one.area.getEnvelopeInternal().intersects(other.area.getEnvelopeInternal())
        && !OverlayNGRobust.overlay(one.area, other.area, OverlayNG.INTERSECTION)
            .buffer(-TOUCH / 2)
            .isEmpty();
  }

  /** Every made piece comes in from beyond all others, past those that are there already. */
  private static void putTogether(Whole whole, List<Body> bodies) {
    List<Body> there = new ArrayList<>();
    for (Move move : whole.proof().order()) {
      boolean fromAbove = move.way() == Move.Way.FROM_THE_FAR_END;
      for (int copy : move.copies()) {
        Stand at = move.component().piece().stands().get(copy);
        for (Body body : bodies) {
          if (body.component.equals(move.component()) && body.stand.equals(at)) {
            for (Section own : body.placed()) {
              for (Body other : there) {
                for (Section its : other.placed()) {
                  boolean passes = fromAbove ? its.to > own.from + 1e-6 : its.from < own.to - 1e-6;
                  assertFalse(
                      passes && share(own, its),
                      () -> move.says(whole.bill()) + " past " + other.component.name());
                }
              }
            }
            there.add(body);
          }
        }
      }
    }
    assertEquals(bodies.size(), there.size(), "every made piece goes in once");
  }

  // ---- the file

  private static List<Body> read(Whole whole) throws Exception {
    byte[] file =
        PieceFile.THREE_MF.write(
            whole.gearbox().made(), false, 0.02, "box", () -> false, done -> {});
    Map<String, double[][][]> meshes = new HashMap<>();
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file))) {
      while (!zip.getNextEntry().getName().endsWith(".model")) {}
      var document = DocumentBuilderFactory.newDefaultNSInstance().newDocumentBuilder().parse(zip);
      NodeList objects = document.getElementsByTagNameNS("*", "object");
      for (int k = 0; k < objects.getLength(); k++) {
        Element object = (Element) objects.item(k);
        meshes.put(object.getAttribute("name"), triangles(object));
      }
    }
    List<Body> bodies = new ArrayList<>();
    for (Component one : whole.gearbox().components()) {
      if (!one.isBought()) {
        List<Section> sections = sections(meshes.get(one.piece().title()));
        one.piece().stands().forEach(stand -> bodies.add(new Body(one, stand, sections)));
      }
    }
    return bodies;
  }

  private static double[][][] triangles(Element object) {
    List<double[]> points = new ArrayList<>();
    NodeList vertices = object.getElementsByTagNameNS("*", "vertex");
    for (int k = 0; k < vertices.getLength(); k++) {
      points.add(numbers((Element) vertices.item(k), "x", "y", "z"));
    }
    NodeList listed = object.getElementsByTagNameNS("*", "triangle");
    double[][][] all = new double[listed.getLength()][3][];
    for (int k = 0; k < all.length; k++) {
      double[] corners = numbers((Element) listed.item(k), "v1", "v2", "v3");
      for (int c = 0; c < 3; c++) {
        all[k][c] = points.get((int) corners[c]);
      }
    }
    return all;
  }

  private static double[] numbers(Element element, String... names) {
    return Arrays.stream(names)
        .mapToDouble(name -> Double.parseDouble(element.getAttribute(name)))
        .toArray();
  }

  /** Areas midway between all heights at which there are corners, or some of them. */
  private static List<Section> sections(double[][][] mesh) {
    TreeSet<Double> heights = new TreeSet<>();
    for (double[][] triangle : mesh) {
      for (double[] corner : triangle) {
        heights.add(corner[2]);
      }
    }
    List<Double> levels = List.copyOf(heights);
    int step = Math.max(1, levels.size() / LEVELS);
    List<Section> all = new ArrayList<>();
    for (int k = 0; k + 1 < levels.size(); k += step) {
      double from = levels.get(k) - levels.getFirst();
      double to = levels.get(k + 1) - levels.getFirst();
      all.add(new Section(from, to, cut(mesh, (levels.get(k) + levels.get(k + 1)) / 2)));
    }
    return all;
  }

  /** The area in which a plane cuts a closed solid: what lies within an odd number of its lines. */
  private static Geometry cut(double[][][] mesh, double z) {
    Map<Coordinate, Coordinate> next = new HashMap<>();
    for (double[][] triangle : mesh) {
      List<Coordinate> up = new ArrayList<>();
      List<Coordinate> down = new ArrayList<>();
      for (int c = 0; c < 3; c++) {
        double[] a = triangle[c];
        double[] b = triangle[(c + 1) % 3];
        if (a[2] < z != b[2] < z) {
          (a[2] < z ? up : down).add(a[2] < z ? crossing(a, b, z) : crossing(b, a, z));
        }
      }
      if (!up.isEmpty()) {
        next.put(up.getFirst(), down.getFirst());
      }
    }
    Geometry area = FACTORY.createPolygon();
    while (!next.isEmpty()) {
      Coordinate first = next.keySet().iterator().next();
      List<Coordinate> ring = new ArrayList<>(List.of(first));
      while (next.containsKey(ring.getLast())) {
        ring.add(next.remove(ring.getLast()));
      }
      assertEquals(first, ring.getLast(), "lines of a section close");
      Geometry polygon = FACTORY.createPolygon(ring.toArray(Coordinate[]::new));
      area = OverlayNGRobust.overlay(area, polygon, OverlayNG.SYMDIFFERENCE);
    }
    return area;
  }

  private static Coordinate crossing(double[] low, double[] high, double z) {
    double share = (z - low[2]) / (high[2] - low[2]);
    return new Coordinate(low[0] + share * (high[0] - low[0]), low[1] + share * (high[1] - low[1]));
  }
}
