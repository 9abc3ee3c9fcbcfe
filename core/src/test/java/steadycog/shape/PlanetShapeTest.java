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
import steadycog.number.Exact;
import steadycog.train.MemberId;
import steadycog.train.Planetary;
import steadycog.train.SetEdit;
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
          set.meshes().size() > 1
              ? "hold " + set.shafts().get(1) + "; drive " + set.shafts().getFirst()
              : "hold " + set.shafts().get(set.row().sun().isPresent() ? 0 : 1) + "; drive carrier";
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

    /**
     * Puts a planet that is the first one's twin, but for {@code clocked} teeth by which its second
     * row is turned clockwise, in the place of planet {@code k}: with its first row in mesh, one
     * tooth after the other, until its second row runs into nothing.
     */
    double leastOverlapOfPlanetsAlike(int k, double clocked) {
      PlacedWheel one = copies(set.planetIds().getFirst()).getFirst();
      PlacedWheel two = copies(set.planetIds().getLast()).getFirst();
      PlacedWheel oneThere = copies(set.planetIds().getFirst()).get(k);
      PlacedWheel place = copies(set.planetIds().getLast()).get(k);
      MemberId central = set.meshes(1).getFirst().other(set.planetIds().getLast());
      Geometry mate = body(layout.wheel(central), 0);
      double apart = two.phase() - one.phase() - 2 * Math.PI * clocked / two.teeth().count();
      double least = Double.MAX_VALUE;
      for (int tooth = 0; tooth < one.teeth().count(); tooth++) {
        double turned = oneThere.phase() + 2 * Math.PI * tooth / one.teeth().count();
        Geometry tried = body(place.withPhase(turned + apart), 0);
        least = Math.min(least, tried.intersection(mate).getArea());
      }
      return least;
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
      case 1 -> SetEdit.without(set, set.sunId(0)).orElseThrow();
      default -> set;
    };
  }

  @Test
  void planetsMeshAtEveryAngleWhereTheRuleHoldsAndClashWhereItDoesNot() {
    Random random = new Random(17);
    int clashing = 0;
    for (int run = 0; run < 40; run++) {
      Planetary set = random(random);
      PlanetPlaces places = new PlanetPlaces(set);
      Scene scene = Scene.of(set);
      double crank = random.nextDouble(-2, 2);
      for (int k = 0; k < set.count(); k++) {
        double overlap = scene.overlap(k, crank);
        String what = Card.of(Train.of(List.of(set))).text() + "planet " + k + " " + overlap;
        double misfit = Math.abs(places.misfit(0, k).doubleValue());
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
          if (!a.equals(b)) {
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
    PlanetPlaces places = new PlanetPlaces(set);
    assertEquals(Exact.of(33, 100), places.turnsTo(1));
    assertEquals(Exact.of(67, 100), places.turnsTo(2));
    assertTrue(places.assembles());
  }

  @Test
  void aRingOffByATeethIsShiftedToThePlanetsAtItsWorkingAngle() throws CardException {
    Planetary set =
        (Planetary) Card.read("planetary sun 30 planet 20 x2 ring 71").train().parts().getFirst();
    PlanetGeometry geometry = new PlanetGeometry(set);
    double working = geometry.workingAngle(set.meshes().getLast());
    assertEquals(25 * Math.cos(working), 25.5 * Math.cos(Math.toRadians(20)), 1e-12);
    assertTrue(geometry.shift(set.ringId(0)) < 0, "inwards, since it is too large");
    assertTrue(Math.toDegrees(working) < 20);
  }

  @Test
  void rowsMeshAtEveryAngleAlsoWhereTheyAreDistortedAndEachPlanetClocked() {
    Random random = new Random(23);
    int distorted = 0;
    int drawn = 0;
    while (drawn < 30) {
      Planetary set = RandomTrains.twoRows("", random).withCount(random.nextInt(2, 5));
      PlanetGeometry geometry = new PlanetGeometry(set);
      PlanetPlaces places = new PlanetPlaces(set);
      if (!geometry.reaches() || !places.assembles(0) || !places.assembles(1)) {
        continue;
      }
      drawn++;
      distorted += geometry.distortion() > 0 ? 1 : 0;
      Scene scene = Scene.of(set);
      double crank = random.nextDouble(-2, 2);
      for (int k = 0; k < set.count(); k++) {
        double overlap = scene.overlap(k, crank);
        assertTrue(overlap < HAIR, () -> Card.of(Train.of(List.of(set))).text() + overlap);
      }
    }
    assertTrue(distorted > 5, "some rows with shifted teeth");
  }

  @Test
  void theIndexingRuleSaysWhatTryingEveryToothSays() {
    Random random = new Random(5);
    int alike = 0;
    int unlike = 0;
    while (alike < 8 || unlike < 8) {
      Planetary set = RandomTrains.twoRows("", random).withCount(random.nextInt(2, 5));
      PlanetPlaces places = new PlanetPlaces(set);
      boolean usual = set.spacing() == Planetary.Spacing.EQUAL && set.meshes().size() == 2;
      double least = places.clocking(1).doubleValue();
      boolean sharp = least == 0 || least > 0.05;
      if (!usual || !sharp || !new PlanetGeometry(set).reaches() || alike > 20) {
        continue;
      }
      Scene scene = Scene.of(set);
      double tried = scene.leastOverlapOfPlanetsAlike(1, 0);
      String what = Card.of(Train.of(List.of(set))).text() + least + " " + tried;
      assertEquals(least == 0, tried < HAIR, what);
      double clocked = scene.leastOverlapOfPlanetsAlike(1, least);
      assertTrue(clocked < HAIR, what + " clocked " + clocked);
      if (least == 0) {
        alike++;
      } else {
        unlike++;
      }
    }
  }
}
