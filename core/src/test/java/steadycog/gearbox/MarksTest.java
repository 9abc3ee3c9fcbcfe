package steadycog.gearbox;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.FieldSource;
import steadycog.notation.CardException;
import steadycog.piece.Piece.Stand;
import steadycog.piece.Region.Round;

/** Dots, read as a person reads them: groups that lie together, as many to as many. */
class MarksTest {
  private static final double APART = 1.7;

  static final List<String> STEPPED =
      List.of(
          Boxes.FOCUSER,
          Boxes.STEPPED,
          "planetary sun -/27 planet 18=21 x3 ring 66/-; module 1 mm; clearance printed; drive sun;"
              + " hold ring; take carrier",
          "planetary sun 24/- planet 30=18 x3 ring -/72; module 1 mm; clearance printed; drive sun;"
              + " hold ring; take carrier",
          "planetary sun 23/- planet 26=20 x3 clocked ring -/69; module 1 mm; clearance printed;"
              + " drive sun; hold ring; take carrier");

  /** Dots that lie together, about an axis. */
  private record Group(double angle, int count) {
    double off(double other) {
      return Math.abs(Math.IEEEremainder(angle - other, 2 * Math.PI));
    }
  }

  /** The groups of a piece, as it stands. */
  private static List<Group> groups(Component one, Stand stand) {
    List<List<Round>> groups = new ArrayList<>();
    for (Round dot : one.piece().slabs().getFirst().region().circles()) {
      if (Math.abs(dot.radius() - 0.5) < 1e-9) {
        List<List<Round>> near =
            groups.stream()
                .filter(
                    group ->
                        group.stream()
                            .anyMatch(d -> Math.hypot(d.x() - dot.x(), d.y() - dot.y()) < APART))
                .toList();
        groups.removeAll(near);
        List<Round> all = new ArrayList<>(List.of(dot));
        near.forEach(all::addAll);
        groups.add(all);
      }
    }
    return groups.stream()
        .map(
            dots ->
                new Group(
                    stand.angle()
                        + Math.atan2(
                            dots.stream().mapToDouble(Round::y).sum(),
                            dots.stream().mapToDouble(Round::x).sum()),
                    dots.size()))
        .toList();
  }

  private static Group towards(List<Group> groups, double angle) {
    return groups.stream().min(Comparator.comparing(group -> group.off(angle))).orElseThrow();
  }

  private static List<Component> planets(Gearbox box) {
    return box.dotted().stream()
        .map(box::component)
        .filter(one -> one.name().startsWith("planet"))
        .toList();
  }

  @ParameterizedTest
  @FieldSource("STEPPED")
  void everyPlanetHasAsManyDotsToTheMiddleAsTheWheelThereHasToIt(String card) throws CardException {
    Gearbox box = Boxes.of(card);
    Component middle = box.component(box.dotted().getFirst());
    Stand rest = middle.piece().stands().getFirst();
    int planets = 0;
    for (Component planet : planets(box)) {
      for (Stand stand : planet.piece().stands()) {
        double across = Math.atan2(stand.y() - rest.y(), stand.x() - rest.x());
        double facing = middle.name().startsWith("ring") ? across : across + Math.PI;
        Group own = towards(groups(planet, stand), facing);
        Group other = towards(groups(middle, rest), across);
        assertEquals(own.count, other.count, planet.name());
        assertTrue(own.off(facing) < Math.PI / 17 && other.off(across) < Math.PI / 17);
        planets++;
      }
    }
    assertEquals(3, planets);
    assertTrue(Boxes.proof(box).holds(), () -> Boxes.proof(box).problems().toString());
  }

  /** A planet put in by the dots of another place runs into what it meshes with. */
  @ParameterizedTest
  @FieldSource("STEPPED")
  void otherDotsAreOtherTeeth(String card) throws CardException {
    Gearbox box = Boxes.of(card);
    for (Component planet : planets(box)) {
      List<Stand> stands = planet.piece().stands();
      List<Group> groups = groups(planet, stands.getFirst());
      double own = towards(groups, 0).angle();
      for (Group other : groups) {
        if (other.angle() != own) {
          Stand at = stands.getFirst();
          List<Stand> turned = new ArrayList<>(stands);
          turned.set(
              0, new Stand(at.x(), at.y(), at.z(), at.angle() + other.angle() - own, at.orbit()));
          Gearbox wrong =
              Boxes.with(
                  box,
                  planet.name(),
                  planet.piece().remade(planet.name(), planet.piece().slabs(), turned));
          assertFalse(Boxes.proof(wrong).holds(), planet.name());
        }
      }
    }
  }

  @Test
  void discsAreNumberedAlongOneLine() throws CardException {
    Gearbox box = Boxes.of(Boxes.AZIMUTH.replace("discs 2", "discs 3"));
    List<List<Group>> dots = new ArrayList<>();
    for (int k = 1; k <= 3; k++) {
      Component disc = box.component("disc " + k);
      dots.add(groups(disc, disc.piece().stands().getFirst()));
      assertEquals(1, dots.getLast().size());
      assertEquals(k, dots.getLast().getFirst().count());
      assertEquals(0, dots.getFirst().getFirst().off(dots.getLast().getFirst().angle()), 1e-9);
    }
  }
}
