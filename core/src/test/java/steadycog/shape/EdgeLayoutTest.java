package steadycog.shape;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import steadycog.RandomTrains;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.shape.EdgeLayout.EdgeShaft;
import steadycog.shape.EdgeLayout.EdgeWheel;
import steadycog.shape.EdgeLayout.Way;
import steadycog.train.MemberId;
import steadycog.train.Planetary;
import steadycog.train.Train;

/** The side view of sets and drives: what sits on which shaft, and on which side it comes out. */
class EdgeLayoutTest {

  private static EdgeLayout edge(Train train) {
    return EdgeLayout.of(train, FaceLayout.of(train), List.of());
  }

  private static EdgeLayout edge(String card) throws CardException {
    return edge(Card.read(card).train());
  }

  private static List<EdgeWheel> wheels(EdgeLayout edge, String name) {
    return edge.wheels().stream().filter(wheel -> wheel.id().name().equals(name)).toList();
  }

  private static EdgeShaft shaft(EdgeLayout edge, String name) {
    return edge.shafts().stream()
        .filter(shaft -> shaft.members().stream().map(MemberId::name).anyMatch(name::equals))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void planetsStandAboveAndBelowTheirCarriersAxisInReachOfSunAndRing() {
    Random random = new Random(3);
    for (int run = 0; run < 60; run++) {
      Planetary set = RandomTrains.planetary("", random);
      EdgeLayout edge = edge(Train.of(List.of(set)));
      PlanetGeometry geometry = new PlanetGeometry(set);
      List<EdgeWheel> planets =
          edge.wheels().stream().filter(wheel -> set.isPlanet(wheel.id())).toList();
      int each = set.planetIds().size();
      assertEquals(set.count() > 1 ? 2 * each : each, planets.size());
      double axis = edge.carriers().getFirst().height();
      for (EdgeWheel planet : planets) {
        boolean inner = !set.paired() || planet.id().equals(set.planetIds().getFirst());
        double radius = inner ? geometry.innerRadius() : geometry.outerRadius();
        assertEquals(radius, Math.abs(planet.height() - axis), 1e-9);
        assertEquals(planet.copy() == 0, planet.height() >= axis, planet.toString());
      }
      assertTrue(
          edge.shafts().stream().noneMatch(s -> s.members().stream().anyMatch(set::isPlanet)),
          "planets have pins, not shafts");
    }
  }

  @Test
  void sunAndRingComeOutAtTheDriveEndTheRingHollowAndTheCarrierBehind() throws CardException {
    EdgeLayout edge = edge("planetary sun 24 planet 15 x3 ring 54");
    assertEquals(Way.LEFT, shaft(edge, "sun").way());
    assertEquals(0, shaft(edge, "sun").bore());
    assertEquals(Way.LEFT, shaft(edge, "ring").way());
    assertTrue(shaft(edge, "ring").bore() > 0, "the sun's shaft passes through");
    assertEquals(Way.RIGHT, shaft(edge, "carrier").way());
    assertTrue(shaft(edge, "carrier").from() > shaft(edge, "sun").to());
  }

  @Test
  void joinedMembersShareOneShaftAcrossPlanes() throws CardException {
    EdgeLayout edge =
        edge(
            """
            one: planetary sun 20 planet 25 x3 ring 70
            two: planetary sun 20 planet 25 x3 ring 70
            join one.carrier = two.sun\
            """);
    EdgeShaft joined = shaft(edge, "sun");
    assertEquals(2, edge.planes());
    assertTrue(
        edge.shafts().stream()
            .anyMatch(
                s ->
                    s.members()
                        .containsAll(
                            List.of(new MemberId("one", "carrier"), new MemberId("two", "sun")))));
    assertFalse(joined.members().isEmpty());
  }

  @Test
  void discsSitOppositeEachOtherInsideTheirRing() throws CardException {
    EdgeLayout edge = edge("cycloidal lobes 14 pins 15 eccentric 2 mm discs 2");
    List<EdgeWheel> discs = wheels(edge, "disc");
    assertEquals(2, discs.size());
    assertEquals(4, Math.abs(discs.get(0).height() - discs.get(1).height()), 1e-9);
    assertEquals(0.34 / 2, Math.abs(discs.get(0).at() - discs.get(1).at()), 1e-9, "side by side");
    EdgeWheel ring = wheels(edge, "ring").getFirst();
    assertTrue(ring.isRing());
    assertTrue(discs.getFirst().outer() + 2 > ring.inner(), "lobes reach between the pins");
    assertEquals(Way.RIGHT, shaft(edge, "disc").way(), "by its output pins");
    assertEquals(Way.LEFT, shaft(edge, "eccentric").way());
  }

  @Test
  void aFlexsplineIsClosedToAShaftOrByAFlange() throws CardException {
    EdgeLayout cup = edge("strainwave flex 160 circular 162");
    assertFalse(cup.cups().getFirst().hat());
    assertTrue(wheels(cup, "flex").getFirst().hung() == Way.EITHER);
    assertTrue(edge("strainwave flex 160 circular 162 hat").cups().getFirst().hat());
    assertEquals(Way.RIGHT, shaft(cup, "flex").way());
    EdgeWheel spline = wheels(cup, "circular").getFirst();
    assertTrue(wheels(cup, "flex").getFirst().outer() < spline.outer());
  }

  /**
   * Sets on one line are drawn beside each other from the front, behind each other from the side.
   */
  @Test
  void setsOfACombinedTrainNeverLieOnEachOther() {
    Random random = new Random(17);
    for (int run = 0; run < 60; run++) {
      Train train = RandomTrains.combined(random);
      FaceLayout face = FaceLayout.of(train);
      List<Placed> middles = new ArrayList<>();
      face.bodies().stream()
          .filter(body -> body instanceof PlacedCarrier || body instanceof PlacedPlate)
          .filter(body -> body.copy() == 0 && body.orbit().isEmpty())
          .forEach(middles::add);
      for (Placed a : middles) {
        for (Placed b : middles) {
          boolean apart = !a.id().part().equals(b.id().part());
          double distance = Math.hypot(a.x() - b.x(), a.y() - b.y());
          assertTrue(!apart || distance >= a.bodyRadius() + b.bodyRadius(), train.toString());
        }
      }
      Axes lines = Axes.of(train);
      EdgeLayout edge = EdgeLayout.of(train, face, train.shifts().elements());
      for (EdgeLayout.EdgeWheel a : edge.wheels()) {
        for (EdgeLayout.EdgeWheel b : edge.wheels()) {
          boolean apart = !a.id().part().equals(b.id().part());
          boolean inLine = lines.of(a.id()) == lines.of(b.id());
          assertTrue(!apart || !inLine || a.plane() != b.plane(), train.toString());
        }
      }
      double[] range = edge.range();
      edge.elements()
          .forEach(one -> assertTrue(one.level() >= range[0] && one.level() <= range[1]));
    }
  }

  /** A shaft that is free to go on to the wall passes no body and no other shaft on its way. */
  @Test
  void aFreeShaftMeetsNothingOnItsWayToTheWall() {
    Random random = new Random(8);
    int free = 0;
    for (int run = 0; run < 200; run++) {
      EdgeLayout edge =
          edge(
              run % 2 == 0
                  ? Train.of(List.of(RandomTrains.parallel("", random, 8)))
                  : RandomTrains.combined(random));
      for (EdgeShaft shaft : edge.shafts()) {
        for (boolean right : new boolean[] {true, false}) {
          if (edge.isFree(shaft, right)) {
            free++;
            double end = right ? shaft.to() : shaft.from();
            for (EdgeWheel wheel : edge.wheels()) {
              boolean onTheWay =
                  right ? wheel.at() + wheel.wide() / 2 > end : wheel.at() - wheel.wide() / 2 < end;
              boolean own = shaft.members().contains(wheel.id());
              assertTrue(
                  own || !onTheWay || Math.abs(wheel.height() - shaft.height()) >= wheel.outer(),
                  () -> shaft + " would pass through " + wheel);
            }
          }
        }
      }
    }
    assertTrue(free > 200, free + " ends");
  }
}
