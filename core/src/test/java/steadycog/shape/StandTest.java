package steadycog.shape;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import steadycog.RandomTrains;
import steadycog.notation.Card;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Train;

/** Axes stand in the drawing as their meshes have them, whatever the kind. */
class StandTest {
  private static final double EXACT = 1e-6;

  @Test
  void wheelsThatMeshAreDrawnAtTheirWorkingDistance() {
    Random random = new Random(61);
    Map<Stand, Integer> seen = new EnumMap<>(Stand.class);
    for (int k = 0; k < 200; k++) {
      Train train = k % 2 == 0 ? RandomTrains.combined(random) : RandomTrains.driven(random, 7);
      FaceLayout layout = FaceLayout.of(train);
      Axes drawn = Axes.drawn(train);
      for (Mesh mesh : train.meshes()) {
        Stand stand = Stand.of(train, mesh);
        seen.merge(stand, 1, Integer::sum);
        switch (stand) {
          case APART, CARRIED -> {
            PlacedWheel a = wheel(layout, mesh.a());
            PlacedWheel b = wheel(layout, mesh.b());
            double scale = train.moduleMm(mesh.a()) / train.moduleMm();
            double wanted = Math.abs(PairGeometry.in(train, mesh).centreDistance()) * scale;
            if (Double.isFinite(wanted)) {
              assertEquals(wanted, a.distanceTo(b), EXACT, () -> mesh + " of " + train);
            }
          }
          case ACROSS -> assertNotEquals(drawn.of(mesh.a()), drawn.of(mesh.b()));
          case TOGETHER ->
              assertTrue(
                  drawn.of(mesh.a()) == drawn.of(mesh.b()) || mesh.carrier().isPresent(),
                  mesh::toString);
        }
      }
    }
    assertTrue(seen.size() >= 3, seen::toString);
  }

  private static PlacedWheel wheel(FaceLayout layout, MemberId id) {
    return layout.wheels().stream()
        .filter(one -> one.id().equals(id) && one.copy() == 0)
        .findFirst()
        .orElseThrow(() -> new AssertionError(id));
  }

  @Test
  void keyedWheelsShareTheirAxisAndLieInPlanesOfTheirOwn() {
    Random random = new Random(62);
    for (int k = 0; k < 200; k++) {
      Train train = Train.of(List.of(RandomTrains.parallel("", random, 9)));
      FaceLayout layout = FaceLayout.of(train);
      train
          .keyed()
          .forEach(
              join -> {
                PlacedWheel a = wheel(layout, join.a());
                PlacedWheel b = wheel(layout, join.b());
                assertEquals(0, a.distanceTo(b), EXACT);
                assertNotEquals(a.plane(), b.plane(), () -> join + " of " + train);
              });
      train
          .meshes()
          .forEach(
              mesh ->
                  assertEquals(wheel(layout, mesh.a()).plane(), wheel(layout, mesh.b()).plane()));
    }
  }

  @Test
  void copiesOfAPlanetStandRoundTheirCarrierEachAtThePlanetsRadius() {
    Random random = new Random(63);
    for (int k = 0; k < 200; k++) {
      Train train = Train.of(List.of(RandomTrains.planetary("", random)));
      FaceLayout layout = FaceLayout.of(train);
      PlacedCarrier carrier = layout.carriers().getFirst();
      for (PlacedWheel wheel : layout.wheels()) {
        if (wheel.orbit().isPresent()) {
          PlacedWheel first = wheel(layout, wheel.id());
          assertEquals(
              Math.hypot(first.x() - carrier.x(), first.y() - carrier.y()),
              Math.hypot(wheel.x() - carrier.x(), wheel.y() - carrier.y()),
              EXACT,
              train::toString);
        }
      }
    }
  }

  @Test
  void aPlaceThatWasChosenIsKept() throws Exception {
    for (int degrees = -170; degrees <= 180; degrees += 35) {
      Train train =
          Card.read("parallel 20 ~ 40 = 18 ~ 30; place B " + degrees + " deg; place D 15 deg")
              .train();
      FaceLayout layout = FaceLayout.of(train);
      PlacedWheel a = wheel(layout, new MemberId("", "A"));
      PlacedWheel b = wheel(layout, new MemberId("", "B"));
      double found = Math.toDegrees(Math.atan2(b.y() - a.y(), b.x() - a.x()));
      assertEquals(0, Math.IEEEremainder(found - degrees, 360), 1e-6);
    }
  }

  @Test
  void whatIsBehindAndHowManyRowsThereAreIsAskedOfTheParts() throws Exception {
    Train two = Card.read("planetary sun 12/- planet 18=20 x3 ring 48/50").train();
    FaceLayout layout = FaceLayout.of(two);
    List<Integer> planes =
        layout.wheels().stream()
            .filter(wheel -> wheel.copy() == 0)
            .map(PlacedWheel::plane)
            .distinct()
            .sorted()
            .toList();
    assertEquals(2, planes.size());
    Optional<PlacedWheel> ring2 =
        layout.wheels().stream().filter(one -> one.id().name().equals("ring2")).findFirst();
    assertEquals(planes.getLast(), ring2.orElseThrow().plane());
  }
}
