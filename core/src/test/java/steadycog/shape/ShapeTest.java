package steadycog.shape;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Random;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import steadycog.RandomTrains;
import steadycog.motion.Mechanism;
import steadycog.motion.Motion;
import steadycog.motion.MotionSolver;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Teeth;
import steadycog.train.Train;

class ShapeTest {
  private static final GeometryFactory GEOMETRY = new GeometryFactory();

  /** A hair: a strip 0.002 modules wide along a whole tooth flank. */
  private static final double HAIR = 0.002 * 2.25;

  private static Polygon polygon(Outline outline) {
    Coordinate[] ring = new Coordinate[outline.size() + 1];
    for (int k = 0; k < outline.size(); k++) {
      ring[k] = new Coordinate(outline.x()[k], outline.y()[k]);
    }
    ring[outline.size()] = ring[0];
    return GEOMETRY.createPolygon(ring);
  }

  /** The wheel's material at {@code turns} of its own. */
  private static Geometry body(PlacedWheel wheel, double turns, double thinning) {
    Outline outline = wheel.outline(Detail.FINE, thinning);
    Polygon teeth =
        polygon(outline.placed(wheel.phase() + 2 * Math.PI * turns, wheel.x(), wheel.y()));
    if (!wheel.teeth().internal()) {
      return teeth;
    }
    return GEOMETRY
        .createPoint(new Coordinate(wheel.x(), wheel.y()))
        .buffer(wheel.bodyRadius())
        .difference(teeth);
  }

  @ParameterizedTest
  @ValueSource(ints = {5, 8, 12, 17, 18, 40, 200})
  void outlinesAreSimpleAndHaveTheirTeeth(int count) {
    for (Teeth teeth : new Teeth[] {Teeth.external(count), Teeth.internal(count + 20)}) {
      Outline outline = GearOutline.of(teeth, Detail.FINE, 0);
      assertTrue(polygon(outline).isValid(), teeth.toString());
      int crossings = 0;
      double pitch = teeth.count() / 2.0;
      for (int k = 0; k < outline.size(); k++) {
        int next = (k + 1) % outline.size();
        double here = Math.hypot(outline.x()[k], outline.y()[k]) - pitch;
        double there = Math.hypot(outline.x()[next], outline.y()[next]) - pitch;
        crossings += here < 0 != there < 0 ? 1 : 0;
      }
      assertEquals(2 * teeth.count(), crossings);
    }
  }

  @Test
  void toothAndSpaceAreEquallyWideOnThePitchCircle() {
    ToothProfile profile = new ToothProfile(30, BasicRack.ISO_53_A, 0);
    assertEquals(Math.PI / 2, 2 * 15 * profile.involuteAngle(15), 1e-12);
  }

  @Test
  void drawnTeethOfMeshingWheelsDoNotOverlapAtAnyCrankAngle() {
    Random random = new Random(8);
    for (int run = 0; run < 60; run++) {
      Train train = RandomTrains.driven(random, 40);
      Motion motion = MotionSolver.solve(Mechanism.of(train));
      FaceLayout layout = FaceLayout.of(train);
      double crank = random.nextDouble(-3, 3);
      for (Mesh mesh : train.meshes()) {
        double overlap = overlap(layout, motion, mesh, crank, GearOutline.DRAWN_THINNING);
        assertTrue(overlap < HAIR, () -> mesh + " overlap " + overlap);
      }
    }
  }

  private static double overlap(
      FaceLayout layout, Motion motion, Mesh mesh, double crank, double thinning) {
    PlacedWheel a = layout.wheel(mesh.a());
    PlacedWheel b = layout.wheel(mesh.b());
    double turnsA =
        crank * motion.turnsPerInputTurn(a.id()).map(BigFraction::doubleValue).orElse(0.);
    double turnsB =
        crank * motion.turnsPerInputTurn(b.id()).map(BigFraction::doubleValue).orElse(0.);
    return body(a, turnsA, thinning).intersection(body(b, turnsB, thinning)).getArea();
  }

  @Test
  void withoutThinningTheFlanksTouchAndHalfAToothOffTheyClash() throws CardException {
    Train train = Card.read("parallel 19 ~ 33").train();
    Motion motion = MotionSolver.solve(Mechanism.of(train));
    FaceLayout layout = FaceLayout.of(train);
    Mesh mesh = train.meshes().getFirst();
    for (double crank = 0; crank < 1; crank += 0.013) {
      assertTrue(overlap(layout, motion, mesh, crank, 0) < HAIR);
      // Fattened by a hair on every flank they must collide: they really are in contact.
      assertTrue(overlap(layout, motion, mesh, crank, -0.01) > 0);
    }
    PlacedWheel b = layout.wheel(mesh.b());
    Geometry turned = body(b, 0.5 / 33, 0);
    assertTrue(body(layout.wheel(mesh.a()), 0, 0).intersection(turned).getArea() > 100 * HAIR);
  }

  @Test
  void layoutKeepsCentreDistancesAndWheelsOfOnePlaneApart() {
    Random random = new Random(9);
    for (int run = 0; run < 60; run++) {
      Train train = RandomTrains.driven(random, 40);
      FaceLayout layout = FaceLayout.of(train);
      for (Mesh mesh : train.meshes()) {
        double distance = layout.wheel(mesh.a()).distanceTo(layout.wheel(mesh.b()));
        assertEquals(standardDistance(mesh), distance, 1e-9);
        assertEquals(layout.wheel(mesh.a()).plane(), layout.wheel(mesh.b()).plane());
      }
      train
          .keyed()
          .forEach(
              join ->
                  assertEquals(0, layout.wheel(join.a()).distanceTo(layout.wheel(join.b())), 1e-9));
      if (train.meshes().stream().noneMatch(Mesh::internal)) {
        assertEquals(List.of(), layout.clashes());
      }
    }
  }

  @Test
  void unfoldedAxesLetMeshingWheelsTouchAndOthersOfThePlaneApart() throws CardException {
    Random random = new Random(10);
    for (int run = 0; run < 60; run++) {
      Train train = RandomTrains.driven(random, 12);
      EdgeLayout edge = EdgeLayout.of(train, FaceLayout.of(train), List.of());
      for (Mesh mesh : train.meshes()) {
        EdgeLayout.EdgeWheel a = edgeWheel(edge, mesh.a());
        EdgeLayout.EdgeWheel b = edgeWheel(edge, mesh.b());
        assertEquals(standardDistance(mesh), Math.abs(a.height() - b.height()), 1e-9);
        assertEquals(a.plane(), b.plane());
      }
    }
    Train idlers = Card.read("parallel 20 ~ 30 ~ 40 ~ 20").train();
    EdgeLayout line = EdgeLayout.of(idlers, FaceLayout.of(idlers), List.of());
    double[] range = line.range();
    assertEquals(1, line.planes());
    assertEquals(20 + 30 + 40 + 20 + 2, range[1] - range[0], 1e-9, "all in one column");
  }

  private static EdgeLayout.EdgeWheel edgeWheel(EdgeLayout edge, MemberId id) {
    return edge.wheels().stream().filter(w -> w.id().equals(id)).findFirst().orElseThrow();
  }

  /**
   * The rule against the drawing: where tips collide by the formula the drawn bodies overlap, where
   * nothing interferes by it they do not. Close calls are left to the formula; smaller rings are
   * drawn with tips that end at the base circle, so the rule does not speak of them.
   */
  @Test
  void internalInterferenceByTheRuleIsOverlapInTheDrawing() throws CardException {
    int colliding = 0;
    int clear = 0;
    for (int pinion = 34; pinion <= 58; pinion += 4) {
      for (int more = 2; more <= 40; more += 2) {
        PairGeometry pair = PairGeometry.of(Teeth.external(pinion), Teeth.internal(pinion + more));
        boolean collides = pair.trochoidMargin() < -0.01;
        boolean free = pair.trochoidMargin() > 0.004 && pair.involuteMargin() > 0;
        if (collides || free) {
          double overlap = largestOverlap("parallel " + pinion + " ~ " + (pinion + more) + "i");
          assertEquals(collides, overlap > 2 * HAIR, pair + " overlap " + overlap);
          colliding += collides ? 1 : 0;
          clear += free ? 1 : 0;
        }
      }
    }
    assertTrue(colliding > 10 && clear > 10, colliding + " and " + clear);
  }

  private static double largestOverlap(String card) throws CardException {
    Train train = Card.read(card).train();
    Motion motion = MotionSolver.solve(Mechanism.of(train));
    FaceLayout layout = FaceLayout.of(train);
    double most = 0;
    int teeth = train.members().getFirst().teeth().orElseThrow().count();
    for (int k = 0; k < 5; k++) {
      double crank = k / 5.0 / teeth;
      most =
          Math.max(
              most,
              overlap(
                  layout, motion, train.meshes().getFirst(), crank, GearOutline.DRAWN_THINNING));
    }
    return most;
  }

  private static double standardDistance(Mesh mesh) {
    int sign = mesh.internal() ? -1 : 1;
    return Math.abs(mesh.teethA().count() + sign * mesh.teethB().count()) / 2.0;
  }
}
