package steadycog.gearbox;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.FieldSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import steadycog.gearbox.Exploded.Area;
import steadycog.gearbox.Exploded.Mark;
import steadycog.motion.FreeMotion;
import steadycog.motion.Mechanism;
import steadycog.motion.Motion;
import steadycog.motion.MotionSolver;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.piece.Piece;
import steadycog.piece.Piece.Stand;
import steadycog.piece.Region.Round;
import steadycog.piece.Slab;
import steadycog.train.MemberId;
import steadycog.train.Sizes;
import steadycog.train.Train;

/** Single pieces of gearboxes, and that turning is that of the train. */
class DetailsTest {
  private static final GeometryFactory FACTORY = new GeometryFactory();

  private static Geometry point(double x, double y) {
    return FACTORY.createPoint(new Coordinate(x, y));
  }

  /** A wall of the wished thickness all round, material round every hole, holes on the outline. */
  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
  void shellsHaveMaterialRoundTheirRoomAndHoles(int seed) {
    Random random = new Random(seed);
    List<Geometry> discs =
        random
            .doubles(1 + random.nextInt(3), 8, 40)
            .mapToObj(radius -> Shell.disc(random.nextInt(80), random.nextInt(50), radius))
            .toList();
    Geometry room = Shell.hull(discs);
    Shell shell = Shell.round(room, 60, Sizes.UNSTATED);
    Geometry wall = shell.ring(shell.room()).area(0.01);
    Geometry outside = shell.plate(false).area(0.01);
    assertEquals(0, wall.intersection(room.buffer(-0.01)).getArea(), 1e-6);
    assertTrue(outside.buffer(0.05).covers(room.buffer(shell.wall() - 0.05)));
    double hole = shell.bolts().screw().hole() / 2;
    assertEquals(shell.bolts().count(), shell.boltsAt().size());
    assertEquals(2, shell.dowelsAt().size());
    for (List<double[]> places : List.of(shell.boltsAt(), shell.dowelsAt())) {
      for (double[] at : places) {
        assertFalse(wall.contains(point(at[0], at[1])), "a hole");
        Geometry around =
            Shell.disc(at[0], at[1], hole + 1).difference(Shell.disc(at[0], at[1], hole + 0.1));
        assertTrue(wall.buffer(0.02).covers(around), "a millimetre round it");
      }
    }
    Geometry footed = shell.plate(true).area(0.01);
    assertTrue(footed.buffer(0.01).covers(outside));
    for (double[] at : shell.feetAt()) {
      assertTrue(footed.contains(point(at[0], at[1])));
      assertFalse(outside.contains(point(at[0], at[1])), "feet stand out");
    }
  }

  /** Every dowel and bolt goes through all layers, and dowels end inside the outer ones. */
  @ParameterizedTest
  @FieldSource("steadycog.gearbox.Boxes#ALL")
  void layersShareOneOutlineAndTheirHoles(String card) throws CardException {
    Gearbox box = Boxes.of(card);
    Component bolt = box.component("bolt");
    Component dowel = box.component("dowel pin");
    for (Item item : Item.all(box, 0.01)) {
      boolean layer =
          !item.component().isBought()
              && (item.component().member().equals(Piece.FRAME)
                  || List.of("ring", "ring1").contains(item.component().name()));
      for (Item.Layer slab : layer ? item.layers() : List.<Item.Layer>of()) {
        for (Stand at : bolt.piece().stands()) {
          assertFalse(slab.area().contains(point(at.x(), at.y())), item.says());
        }
      }
    }
    Component front = box.component("front plate");
    Component rear = box.component("rear plate");
    double low = front.piece().stands().getFirst().z();
    double high = rear.piece().stands().getFirst().z() + rear.piece().slabs().getLast().to();
    double from = dowel.piece().stands().getFirst().z();
    double to = from + dowel.piece().slabs().getFirst().to();
    assertTrue(from > low && to < high && to - from > 0.8 * (high - low - 4));
    int length = Integer.parseInt(bolt.size().orElseThrow().replaceAll(".* ", ""));
    assertTrue(length >= high - low, "through all layers");
  }

  /** Wheels of one shaft stand alike on it, so that their keyways and flats meet it. */
  @Test
  void wheelsOfOneShaftAreClockedTogether() throws CardException {
    String card =
        "parallel 18 ~ 41 = 19 ~ 47 = 17 ~ 53; module 1 mm; clearance laser; bore 5 mm key";
    Gearbox box = Boxes.of(card);
    for (List<String> shaft :
        List.of(
            List.of("wheel B", "wheel C", "shaft B"), List.of("wheel D", "wheel E", "shaft D"))) {
      double angle = box.component(shaft.getLast()).piece().stands().getFirst().angle();
      for (String name : shaft) {
        assertEquals(angle, box.component(name).piece().stands().getFirst().angle(), 1e-12, name);
      }
    }
    assertTrue(Boxes.proof(box).holds());
  }

  /** Pins have the bore of their planets and reach into both plates. */
  @Test
  void planetsTurnOnPinsBetweenPlates() throws CardException {
    Gearbox box = Boxes.of(Boxes.FOCUSER);
    Component pin = box.component("planet pin");
    Component planet = box.component("planet");
    assertEquals(3, pin.count());
    assertEquals("4 x 20.4", pin.size().orElseThrow());
    double from = pin.piece().stands().getFirst().z();
    double to = from + pin.piece().slabs().getFirst().to();
    for (int k = 0; k < 3; k++) {
      Stand at = pin.piece().stands().get(k);
      assertTrue(
          planet.piece().stands().stream()
              .anyMatch(one -> Math.hypot(one.x() - at.x(), one.y() - at.y()) < 1e-9));
    }
    double plate = box.component("carrier front plate").piece().stands().getFirst().z();
    assertTrue(from > plate && from < plate + 2.5);
    Support on =
        box.supports().stream()
            .filter(s -> s.member().name().equals("planet"))
            .findFirst()
            .orElseThrow();
    assertEquals("carrier", on.in().name());
    assertTrue(on.isPlain() && from < on.from() && on.to() < to && on.radius() == 2);
  }

  /** The output's shaft has the section that its card states, and a bearing that goes over it. */
  @Test
  void theOutputIsAsStated() throws CardException {
    Gearbox box = Boxes.of(Boxes.FILTER);
    Slab end = box.component("carrier rear plate").piece().slabs().getLast();
    assertEquals("output shaft", end.name());
    double[] bounds = end.region().bounds();
    assertEquals(8, bounds[3] - bounds[1], 1e-9, "across flats");
    List<Support> own =
        box.supports().stream().filter(s -> s.member().name().equals("carrier")).toList();
    assertEquals(2, own.size());
    assertTrue(own.getFirst().radius() * 2 >= bounds[2] - bounds[0]);
  }

  /** A plate stands between planes where a shaft would run into a wheel, and carries it. */
  @Test
  void aMiddlePlateCarriesWhatCannotGoPast() throws CardException {
    Gearbox box = Boxes.of(Boxes.TIGHT);
    Component middle = box.component("middle plate");
    double low = middle.piece().stands().getFirst().z();
    double high = low + middle.piece().slabs().getLast().to();
    assertTrue(
        box.supports().stream()
            .anyMatch(
                s ->
                    s.from() >= low - 1e-9 && s.to() <= high + 1e-9 && s.in().equals(Piece.FRAME)));
    Gearbox open = Boxes.of(Boxes.WINCH);
    assertTrue(open.components().stream().noneMatch(one -> one.name().contains("middle")));
  }

  /** Eccentrics of three discs are split, and their box goes together all the same. */
  @Test
  void splitCamsGoInWithTheirDiscs() throws CardException {
    Gearbox box =
        Boxes.of(
            "cycloidal lobes 11 discs 3; clearance laser; drive eccentric; hold ring; take disc");
    assertTrue(box.components().stream().anyMatch(one -> one.name().equals("eccentric cam 2")));
    assertEquals(List.of(), Boxes.proof(box).problems());
    Slab pins = box.component("output").piece().slabs().getFirst();
    assertEquals("pins", pins.name());
    double outer = pins.region().circles().stream().mapToDouble(Round::radius).max().orElseThrow();
    assertTrue(outer > 1 && pins.to() - pins.from() > 20);
  }

  /** Turned by the crank, every piece is turned as often as the train's exact motion says. */
  @ParameterizedTest
  @FieldSource("steadycog.gearbox.Boxes#ALL")
  void piecesTurnAsTheTrainDoes(String card) throws CardException {
    Gearbox box = Boxes.of(card);
    Train train = Card.read(card).train();
    Motion motion = MotionSolver.solve(Mechanism.of(train));
    Gearbox turned = box.turned(2.5);
    for (int k = 0; k < box.components().size(); k++) {
      Component before = box.components().get(k);
      double by =
          turned.components().get(k).piece().stands().getFirst().angle()
              - before.piece().stands().getFirst().angle();
      MemberId member = before.member();
      double expected =
          member.equals(Piece.FRAME)
              ? 0
              : 2.5 * motion.turnsPerInputTurn(member).orElseThrow().doubleValue();
      assertEquals(2 * Math.PI * expected, by, 1e-9, before.name());
    }
  }

  @Test
  void heldMembersStayHeld() throws CardException {
    Train train = Card.read(Boxes.FILTER).train();
    FreeMotion held = FreeMotion.held(Mechanism.of(train));
    FreeMotion free = FreeMotion.of(Mechanism.of(train));
    assertEquals(1, held.choices());
    assertEquals(2, free.choices());
    assertTrue(held.isStill(new MemberId("", "ring")));
    assertFalse(free.isStill(new MemberId("", "ring")));
    assertFalse(held.isStill(new MemberId("", "sun")));
  }

  /** Pulled apart nothing lies over another along the axis that it was pushed past. */
  @ParameterizedTest
  @FieldSource("steadycog.gearbox.Boxes#ALL")
  void pulledApartPiecesClearEachOther(String card) throws CardException {
    Gearbox box = Boxes.of(card);
    Spread spread = Spread.of(box, Boxes.proof(box).order());
    List<Item> items = Item.all(box, 0.05);
    for (Item one : items) {
      for (Item other : items) {
        boolean concentric =
            Math.hypot(one.stand().x() - other.stand().x(), one.stand().y() - other.stand().y())
                < 1e-9;
        if (concentric && !one.component().equals(other.component())) {
          double a = spread.of(one.component());
          double b = spread.of(other.component());
          assertTrue(
              one.from() + a >= other.to() + b - 1e-9 || other.from() + b >= one.to() + a - 1e-9,
              one.says() + " over " + other.says());
        }
      }
    }
  }

  @Test
  void holesOfFacesAreOpen() throws CardException {
    Gearbox box = Boxes.of(Boxes.FILTER);
    Exploded drawn =
        new Exploded.Model(box, Boxes.proof(box).order(), 0.02).draw(1, 0, Axonometry.USUAL);
    assertEquals(box.components().size(), drawn.places().size());
    double[] bounds = drawn.bounds();
    for (Mark mark : drawn.marks()) {
      if (mark instanceof Area area) {
        assertTrue(area.light() > 0.2 && area.light() < 1);
        assertTrue(area.rings().getFirst()[0][0] >= bounds[0] - 1e-9);
      }
    }
    Area face =
        drawn.marks().stream()
            .filter(mark -> mark.component().name().equals("ring") && mark instanceof Area)
            .map(Area.class::cast)
            .filter(area -> area.rings().size() > 1)
            .findFirst()
            .orElseThrow();
    double[][] outline = face.rings().getFirst();
    double x = 0;
    double y = 0;
    for (int k = 0; k < outline[0].length; k++) {
      x += outline[0][k] / outline[0].length;
      y += outline[1][k] / outline[0].length;
    }
    assertFalse(face.isAt(x, y), "a ring is open in its middle");
  }
}
