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
import steadycog.motion.Mechanism;
import steadycog.motion.Motion;
import steadycog.motion.MotionSolver;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Exact;
import steadycog.train.MemberId;
import steadycog.train.Planetary;
import steadycog.train.Train;

/** Drawn planets against the rules: teeth that the rules let in mesh, others visibly clash. */
class PlanetShapeTest {
  private static final GeometryFactory GEOMETRY = new GeometryFactory();

  /** A hair: a strip 0.002 modules wide along a whole tooth flank. */
  private static final double HAIR = 0.002 * 2.25;

  /** A layout of a driven set and how it moves. */
  private record Scene(Planetary set, FaceLayout layout, Motion motion) {
    static Scene of(Planetary set) {
      String roles =
          set.sun().isPresent() && set.ring().isPresent()
              ? "hold ring; drive sun"
              : set.sun().isPresent() ? "hold sun; drive carrier" : "hold ring; drive carrier";
      try {
        Train parts = Train.of(List.of(set));
        Train train = Card.read(Card.of(parts).text() + roles).train();
        return new Scene(set, FaceLayout.of(train), MotionSolver.solve(Mechanism.of(train)));
      } catch (CardException unreadable) {
        throw new AssertionError(unreadable);
      }
    }

    double turns(MemberId id, double crank) {
      return crank * motion.turnsPerInputTurn(id).map(BigFraction::doubleValue).orElse(0.);
    }

    /** The wheel's material after {@code crank} input turns, taken round by its carrier. */
    Geometry body(PlacedWheel wheel, double crank) {
      double x = wheel.x();
      double y = wheel.y();
      if (wheel.orbit().isPresent()) {
        Placed.Orbit about = wheel.orbit().get();
        double angle = 2 * Math.PI * turns(about.carrier(), crank);
        double dx = wheel.x() - about.x();
        double dy = wheel.y() - about.y();
        x = about.x() + dx * Math.cos(angle) - dy * Math.sin(angle);
        y = about.y() + dx * Math.sin(angle) + dy * Math.cos(angle);
      }
      double phase = wheel.phase() + 2 * Math.PI * turns(wheel.id(), crank);
      Outline outline = wheel.outline(Detail.FINE, GearOutline.DRAWN_THINNING).placed(phase, x, y);
      Coordinate[] ring = new Coordinate[outline.size() + 1];
      for (int k = 0; k < outline.size(); k++) {
        ring[k] = new Coordinate(outline.x()[k], outline.y()[k]);
      }
      ring[outline.size()] = ring[0];
      Polygon teeth = GEOMETRY.createPolygon(ring);
      return wheel.teeth().internal()
          ? GEOMETRY.createPoint(new Coordinate(x, y)).buffer(wheel.bodyRadius()).difference(teeth)
          : teeth;
    }

    List<PlacedWheel> copies(MemberId id) {
      return layout.wheels().stream().filter(wheel -> wheel.id().equals(id)).toList();
    }

    /** The overlap of copy {@code k}'s wheels with all that they mesh with. */
    double overlap(int k, double crank) {
      double most = 0;
      for (var mesh : set.meshes()) {
        List<PlacedWheel> a = copies(mesh.a());
        List<PlacedWheel> b = copies(mesh.b());
        Geometry one = body(a.get(Math.min(k, a.size() - 1)), crank);
        Geometry two = body(b.get(Math.min(k, b.size() - 1)), crank);
        most = Math.max(most, one.intersection(two).getArea());
      }
      return most;
    }
  }

  private static Planetary random(Random random) {
    int sun = random.nextInt(18, 40);
    int planet = random.nextInt(18, 30);
    int stretch = random.nextInt(4) == 0 ? random.nextInt(-1, 2) : 0;
    Planetary set = Planetary.of("", sun, planet, random.nextInt(2, 6), sun + 2 * planet + stretch);
    return switch (random.nextInt(5)) {
      case 0 -> set.spaced(Planetary.Spacing.UNEVEN);
      case 1 -> set.without(set.sunId()).orElseThrow();
      default -> set;
    };
  }

  @Test
  void planetsMeshAtEveryAngleWhereTheRuleHoldsAndClashWhereItDoesNot() {
    Random random = new Random(17);
    int clashing = 0;
    for (int run = 0; run < 40; run++) {
      Planetary set = random(random);
      PlanetGeometry geometry = new PlanetGeometry(set);
      Scene scene = Scene.of(set);
      double crank = random.nextDouble(-2, 2);
      for (int k = 0; k < set.count(); k++) {
        double overlap = scene.overlap(k, crank);
        String what = Card.of(Train.of(List.of(set))).text() + "planet " + k + " " + overlap;
        double misfit = Math.abs(geometry.misfit(k).doubleValue());
        if (misfit == 0) {
          assertTrue(overlap < HAIR, what);
        } else if (misfit > 0.1) {
          assertTrue(overlap > 10 * HAIR, what);
          clashing++;
        }
      }
    }
    assertTrue(clashing > 10, "some sets that do not assemble");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "planetary sun 30 planet 20~22 x4 ring 86",
        "planetary sun 36 planet 20~24 x3 uneven ring 100",
        "planetary sun 30 planet 20~22 x3"
      })
  void pairsMeshWithEachOtherAndWithSunAndRing(String card) throws CardException {
    Planetary set = (Planetary) Card.read(card).train().parts().getFirst();
    Scene scene = Scene.of(set);
    for (double crank = 0; crank < 1; crank += 0.17) {
      for (int k = 0; k < set.count(); k++) {
        assertTrue(scene.overlap(k, crank) < HAIR, card + " planet " + k + " at " + crank);
      }
    }
  }

  @Test
  void theNeighbourMarginIsTheGapBetweenDrawnTips() throws CardException {
    for (String card :
        List.of(
            "planetary planet 14 x2 ring 32",
            "planetary sun 24 planet 15 x3 ring 54",
            "planetary sun 20 planet 30 x3 ring 80",
            "planetary sun 30 planet 20 x3 uneven ring 70")) {
      Planetary set = (Planetary) Card.read(card).train().parts().getFirst();
      FaceLayout layout = FaceLayout.of(Card.read(card).train());
      List<PlacedWheel> planets =
          layout.wheels().stream().filter(wheel -> set.isPlanet(wheel.id())).toList();
      double least = Double.MAX_VALUE;
      for (PlacedWheel a : planets) {
        for (PlacedWheel b : planets) {
          if (a != b) {
            least = Math.min(least, a.distanceTo(b) - a.bodyRadius() - b.bodyRadius());
          }
        }
      }
      assertEquals(least, new PlanetGeometry(set).neighbourMargin(), 1e-9, card);
    }
  }

  @Test
  void unevenPlacesAreThoseNextToEqualSpacing() throws CardException {
    Planetary set =
        (Planetary)
            Card.read("planetary sun 30 planet 20 x3 uneven ring 70").train().parts().getFirst();
    PlanetGeometry geometry = new PlanetGeometry(set);
    assertEquals(Exact.of(33, 100), geometry.turnsTo(1));
    assertEquals(Exact.of(67, 100), geometry.turnsTo(2));
    assertTrue(geometry.assembles());
  }

  @Test
  void aRingOffByATeethIsShiftedToThePlanetsAtItsWorkingAngle() throws CardException {
    Planetary set =
        (Planetary) Card.read("planetary sun 30 planet 20 x2 ring 71").train().parts().getFirst();
    PlanetGeometry geometry = new PlanetGeometry(set);
    double working = geometry.ringWorkingAngle();
    assertEquals(25 * Math.cos(working), 25.5 * Math.cos(Math.toRadians(20)), 1e-12);
    assertTrue(geometry.ringShift() < 0, "inwards, since it is too large");
    assertTrue(Math.toDegrees(working) < 20);
  }
}
