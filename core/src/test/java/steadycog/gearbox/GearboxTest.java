package steadycog.gearbox;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.FieldSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Geometry;
import steadycog.notation.CardException;
import steadycog.piece.Piece;
import steadycog.piece.Region;
import steadycog.piece.Slab;
import steadycog.piece.Solid;
import steadycog.train.BallBearing;
import steadycog.train.Material;
import steadycog.train.Screw;

/** Whole gearboxes: what they hold, and that the proof proves. */
class GearboxTest {
  @ParameterizedTest
  @FieldSource("steadycog.gearbox.Boxes#ALL")
  void goesTogetherWithEveryPieceOnce(String card) throws CardException {
    Gearbox box = Boxes.of(card);
    Proof proof = Boxes.proof(box);
    assertEquals(List.of(), proof.problems(), card);
    assertTrue(proof.holds());
    int moved = proof.order().stream().mapToInt(move -> move.copies().size()).sum();
    assertEquals(box.components().stream().mapToInt(Component::count).sum(), moved);
    Set<String> names = new HashSet<>();
    box.components().forEach(one -> assertTrue(names.add(one.name()), one.name()));
  }

  /** Shafts past a motor's shoulder, spacers through the bottom of a cup. */
  @ParameterizedTest
  @CsvSource({
    "71, cup; module 2 mm; clearance laser; motor face 35 mm",
    "71, cup; module 1.5 mm; clearance laser",
    "63, hat; module 1.5 mm; clearance laser; motor face 42 mm"
  })
  void largeStrainWaveDrivesGoTogether(int nominal, String rest) throws CardException {
    String card = "strainwave nominal " + nominal + " " + rest;
    Gearbox box = Boxes.of(card + "; drive wave; hold circular; take flex");
    assertEquals(List.of(), Boxes.proof(box).problems());
  }

  /** A way for torque in and out, a way to bolt it down, and bought parts that exist. */
  @ParameterizedTest
  @FieldSource("steadycog.gearbox.Boxes#ALL")
  void canBeDrivenAndBoltedDownAndBought(String card) throws CardException {
    Gearbox box = Boxes.of(card);
    double front = box.component("front plate").piece().stands().getFirst().z();
    Component rear = box.component("rear plate");
    double end = top(rear);
    assertTrue(box.components().stream().anyMatch(one -> turns(one) && low(one) < front - 5));
    assertTrue(box.components().stream().anyMatch(one -> turns(one) && top(one) > end + 5));
    int bolts = box.housing().bolts().orElseThrow().count();
    Slab plate = box.component("front plate").piece().slabs().getFirst();
    double hole = box.housing().bolts().orElseThrow().screw().hole() / 2;
    long holes = plate.region().circles().stream().filter(c -> c.radius() == hole).count();
    assertTrue(holes >= 2L * bolts, holes + " holes for bolts and feet");
    for (Component one : box.components()) {
      one.size().ifPresent(size -> assertTrue(isUsual(one, size), one.name() + " " + size));
    }
    for (Support support : box.supports()) {
      assertTrue(support.to() > support.from(), support.toString());
      assertTrue(
          support.isPlain() || BallBearing.of(support.bearing()).isPresent(), support.bearing());
    }
  }

  private static boolean turns(Component one) {
    return !one.member().equals(Piece.FRAME);
  }

  private static double low(Component one) {
    return one.piece().stands().getFirst().z();
  }

  private static double top(Component one) {
    return low(one) + one.piece().slabs().getLast().to();
  }

  private static boolean isUsual(Component one, String size) {
    String first = size.split("[ ,]")[0].toUpperCase(Locale.ROOT);
    return Screw.of(first).isPresent()
        || BallBearing.of(first).isPresent()
        || one.name().contains("pin")
        || one.name().contains("key");
  }

  @Test
  void proofHoldsForTrainsAtRandomOrSaysWhatIsWrong() throws CardException {
    Random random = new Random(27);
    int proved = 0;
    for (int k = 0; k < 24; k++) {
      String card = Boxes.random(random);
      Gearbox.Result result = Boxes.result(card);
      if (result.box().isEmpty()) {
        assertFalse(result.why().isBlank(), card);
        continue;
      }
      Proof proof = Boxes.proof(result.box().get());
      proved += proof.holds() ? 1 : 0;
      proof.problems().forEach(one -> assertTrue(one.length() > 15, one));
    }
    assertTrue(proved >= 19, proved + " of 24 go together");
  }

  @Test
  void whatIsTooLargeIsSeenToOverlap() throws CardException {
    Gearbox box = Boxes.of(Boxes.FILTER);
    Piece ball = box.component("front bearing of shaft").piece();
    Slab slab = ball.slabs().getFirst();
    Piece larger = ball.remade(ball.name(), List.of(slab.over(Box.annulus(3, 11))), ball.stands());
    List<String> problems = Boxes.proof(Boxes.with(box, ball.name(), larger)).problems();
    assertTrue(problems.toString().contains("front bearing of shaft"), problems.toString());
    assertTrue(problems.toString().contains("in one place"), problems.toString());
  }

  @Test
  void whatClosesInBeforeIsInIsSaidToBeInTheWay() throws CardException {
    Gearbox box = Boxes.of(Boxes.WINCH);
    // A shaft with a collar at its other end too: nothing can be put on it any more.
    Piece shaft = box.component("shaft C").piece();
    List<Slab> slabs = new ArrayList<>(shaft.slabs());
    Slab last = slabs.removeLast();
    double cut = last.to() - 5;
    slabs.add(last.cut(last.from(), cut));
    slabs.add(last.cut(cut, last.to()).over(Region.disc(60)));
    Gearbox closed = Boxes.with(box, "shaft C", shaft.remade(shaft.name(), slabs, shaft.stands()));
    List<String> problems = Boxes.proof(closed).problems();
    assertTrue(problems.toString().contains("cannot be put in"), problems.toString());
  }

  @ParameterizedTest
  @CsvSource({
    "shaft A spacer, wheel A is loose: nothing stops it away from the drive end",
    "bolt, nut 1 is loose: nothing stops it away from the drive end",
    "rear plate, is loose"
  })
  void whatIsLeftOutLetsOthersSlide(String left, String expected) throws CardException {
    List<String> problems = Boxes.proof(Boxes.of(Boxes.WINCH + "; leave out " + left)).problems();
    assertTrue(problems.toString().contains(expected), problems.toString());
  }

  /** A bearing that is left out carries nothing; all else stays as it is. */
  @ParameterizedTest
  @FieldSource("steadycog.gearbox.Boxes#ALL")
  void bearingsLeftOutCarryNothing(String card) throws CardException {
    Gearbox whole = Boxes.of(card);
    for (Component one : whole.components()) {
      if (one.name().contains("bearing")) {
        Gearbox box = Boxes.of(card + "; leave out " + one.name());
        assertEquals(whole.components().size() - 1, box.components().size(), one.name());
        assertEquals(List.of(one.name()), box.housing().leftOut());
        List<Support> gone = new ArrayList<>(whole.supports());
        gone.removeAll(box.supports());
        assertEquals(one.count(), gone.size(), one.name());
        gone.forEach(at -> assertTrue(one.size().orElseThrow().startsWith(at.bearing() + ",")));
      }
    }
    Proof proof = Boxes.proof(Boxes.of(card + "; leave out dowl pin; leave out dowel pin"));
    assertEquals(
        List.of("leave out dowl pin: no piece is called so; take a name of the bill"),
        proof.problems());
  }

  /** Holes for bearings are wider than these by what the card says, where nothing else is said. */
  @ParameterizedTest
  @FieldSource("steadycog.gearbox.Boxes#ALL")
  void seatsLeaveTheRoomThatIsStated(String card) throws CardException {
    Gearbox box = Boxes.of(card.replaceFirst("clearance \\w+", "$0 seat 0.3 mm"));
    List<Item> items = Item.all(box, 0.002);
    for (Item ball : items) {
      if (!ball.component().name().contains("bearing")) {
        continue;
      }
      double middle = (ball.from() + ball.to()) / 2;
      Geometry axis = Shell.disc(ball.stand().x(), ball.stand().y(), 0.001);
      double seat =
          items.stream()
              .filter(item -> !item.component().isBought())
              .flatMap(item -> item.layers().stream())
              .filter(layer -> layer.from() < middle && middle < layer.to())
              .mapToDouble(layer -> layer.area().distance(axis))
              .filter(away -> away > ball.layers().getFirst().box().getWidth() / 2)
              .min()
              .orElseThrow();
      double outside = ball.layers().getFirst().box().getWidth() / 2;
      assertEquals(outside + 0.15, seat, 0.005, ball.says());
    }
    assertEquals(List.of(), Boxes.proof(box).problems());
  }

  /** Every size that is pressed in has a plate with holes in steps, apart from each other. */
  @ParameterizedTest
  @FieldSource("steadycog.gearbox.Boxes#ALL")
  void gaugesHoldEveryFit(String card) throws CardException {
    Gearbox box = Boxes.of(card);
    List<Piece> gauges = FitGauge.of(box);
    for (Component one : box.components()) {
      if (one.isBought() && one.name().matches(".*(bearing|pin).*")) {
        double size = one.piece().bounds()[2] - one.piece().bounds()[0];
        Piece gauge =
            gauges.stream()
                .filter(piece -> piece.remark().contains(one.name()))
                .findFirst()
                .orElseThrow();
        Region region = gauge.slabs().getFirst().region();
        for (double wider : FitGauge.WIDER) {
          assertTrue(
              region.circles().stream()
                  .anyMatch(hole -> Math.abs(2 * hole.radius() - size - wider) < 0.011),
              gauge.name());
        }
        double holes = region.circles().stream().mapToDouble(c -> c.radius() * c.radius()).sum();
        double[] frame = region.bounds();
        double whole = (frame[2] - frame[0]) * (frame[3] - frame[1]);
        assertEquals(whole - Math.PI * holes, region.area(0.001).getArea(), 0.001 * whole);
        assertEquals(Optional.empty(), gauge.flaw(0.05));
      }
    }
    assertEquals(gauges.size(), gauges.stream().map(Piece::name).distinct().count());
  }

  @Test
  void whatIsCarriedAtOnePlaceIsSaid() throws CardException {
    Gearbox box = Boxes.of(Boxes.AZIMUTH);
    Gearbox one =
        new Gearbox(
            box.train(),
            box.components(),
            box.supports().stream()
                .filter(s -> !s.member().name().equals("eccentric") || s.from() < 0)
                .toList(),
            box.housing(),
            box.dotted(),
            box.shafts());
    assertEquals(List.of("eccentric is carried at one narrow place"), Boxes.proof(one).problems());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "a: parallel 20 ~ 30; b: parallel 20 ~ 30; join a.B = b.A | trains of one part",
        "a: planetary sun 18 planet 27 x3 ring 72; b: planetary sun 18 planet 27 x3 ring 72; join"
            + " a.sun = b.sun; drive a.sun; hold a.ring; hold b.ring; take a.carrier | in a row",
        "a: planetary sun 18 planet 27 x3 ring 72; b: planetary sun 18 planet 27 x3 ring 72; join"
            + " a.carrier = b.sun; drive a.sun; hold a.ring; drive b.ring; take b.carrier | is"
            + " free",
        "a: planetary sun 18 planet 27 x3 ring 72; b: planetary sun 18 planet 27 x3 ring 72; join"
            + " a.carrier = b.sun; drive a.sun; hold a.ring; hold b.ring; take b.sun | from a.sun"
            + " to",
        "a: planetary sun 18 planet 27 x3 ring 72; b: planetary sun 18 planet 27 x3 ring 72; join"
            + " a.carrier = b.sun; bore b.sun 60 mm; drive a.sun; hold a.ring; hold b.ring; take"
            + " b.carrier | too thick",
        "bevel 11 ~ 43 | parallel, planetary, cycloidal and strain wave",
        "strainwave nominal 80; drive wave; hold flex; take circular | circular spline is not held",
        "strainwave nominal 30; module 0.1 mm; drive wave; hold circular; take flex | no room for",
        "parallel 20 ~ 60i | internal",
        "parallel 20 ~ 40 ~ 20; coaxial A = C | lie in line",
        "planetary sun 24 planet 15 x3 ring 54; drive sun; hold carrier; take planet | one ring",
        "planetary sun 20/- planet 25=23 x3 ring 70/68; drive sun; hold carrier; take ring1 | one",
        "planetary sun 24 planet 15 x3 ring 54; drive ring; hold sun; take carrier | drive it at 0",
        "planetary sun 24 planet 15 x3 ring 54; drive ring; take sun | all drive or are driven",
        "planetary sun 24 planet 15 x3 ring 54; drive ring; drive sun; take carrier; motor face 35"
            + " mm | leave that out",
        "planetary sun 24 planet 15 x3 ring 54; bore sun 55 mm; module 3 mm; drive ring; drive sun;"
            + " take carrier | room for a hub",
        "planetary sun 20/- planet 25=23 x3 ring 70/68; drive sun; hold ring1; take carrier | idly",
        "planetary sun 24 planet 15 x3 ring 54; drive sun; hold ring; take planet | to carrier",
        "planetary sun 20/- planet 25=23 x3 ring 70/68; drive sun; hold ring2; take ring1 | first",
        "cycloidal lobes 9; drive eccentric; hold disc; take ring | its ring is not held"
      })
  void saysOfWhichTrainsNoneIsMade(String card, String why) throws CardException {
    Gearbox.Result result = Boxes.result(card);
    assertEquals(Optional.empty(), result.box());
    assertTrue(result.why().contains(why), result.why());
  }

  /** Wheels wider than their mates reach into no plate, and leave none of them loose. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "sun 12 mm | hold ring; take carrier | planet ring",
        "sun 9 mm | hold carrier; take ring | planet ring",
        "ring 20 mm | hold ring; take carrier | sun",
        "ring 20 mm | hold carrier; take ring | sun",
        "ring 20 mm | drive ring; take carrier | sun",
        "sun 12 mm | drive ring; take carrier | planet ring"
      })
  void wheelsOfAnyWidthGoTogether(String width, String roles, String piece) throws CardException {
    Gearbox box =
        Boxes.of(
            "planetary sun 24 planet 15 x3 ring 54; module 0.8 mm; width 5 mm; clearance machined;"
                + " drive sun; width "
                + width
                + "; "
                + roles);
    assertEquals(List.of(), Boxes.proof(box).problems());
    assertTrue(box.components().stream().anyMatch(one -> one.name().equals(piece)), piece);
  }

  /** Every set in a row is held by the one before: one shaft, plates between, one output. */
  @Test
  void setsInARowShareOneHousing() throws CardException {
    Gearbox box = Boxes.of(Boxes.STAGES);
    Component middle = box.component("near middle plate");
    assertTrue(low(box.component("far.sun")) > top(middle));
    assertTrue(top(box.component("near.sun")) < low(middle));
    Component shaft = box.component("near carrier rear plate");
    assertTrue(top(shaft) > top(box.component("far.sun")), "it is the next sun's shaft");
    Region grooved = shaft.piece().slabs().getLast().region();
    assertEquals(1, grooved.lines().size(), "its keyway is open to the end");
    Slab plate = middle.piece().slabs().getFirst();
    int bolts = box.housing().bolts().orElseThrow().count();
    double hole = box.housing().bolts().orElseThrow().screw().hole() / 2;
    assertEquals(bolts, plate.region().circles().stream().filter(c -> c.radius() == hole).count());
  }

  /** Of shafts in line each ends in its own half of the plate, on bearings and in plain holes. */
  @ParameterizedTest
  @ValueSource(
      strings = {"", "; bearing A 6802; bore A 15 mm; bearing D 608", "; bore 2 mm; width 5 mm"})
  void shaftsInLineEndBackToBack(String said) throws CardException {
    Gearbox box = Boxes.of(Boxes.REVERTED + said);
    assertEquals(List.of(), Boxes.proof(box).problems());
    assertTrue(top(box.component("shaft A")) < low(box.component("shaft D")) - 1);
    assertTrue(box.component("middle plate").piece().slabs().size() > 1 || said.contains("bore 2"));
  }

  /** Of nothing held: threads in the hub's end, or the section that the card states. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "| 6802 | 5",
        "; bore carrier 16 mm flat 14 mm | 6803 | 2",
        "; bearing carrier 6804 | 6804 | 5"
      })
  void hubsGoOutRoundTheShaft(String said, String bearing, int lines) throws CardException {
    Gearbox box = Boxes.of(Boxes.GUIDING + Optional.ofNullable(said).orElse(""));
    assertTrue(box.component("hub bearing").size().orElseThrow().startsWith(bearing));
    Region end = box.component("carrier front plate").piece().slabs().getFirst().region();
    assertEquals(lines, end.lines().size() + end.circles().size());
    assertEquals(List.of(), Boxes.proof(box).problems());
    double shaft = low(box.component("shaft"));
    assertTrue(shaft < low(box.component("carrier front plate")) - 10, "it goes out further");
  }

  /** Mass by area and height against the volume of the closed solids that are exported. */
  @ParameterizedTest
  @FieldSource("steadycog.gearbox.Boxes#ALL")
  void billCountsAndWeighsWhatThereIs(String card) throws CardException {
    Gearbox box = Boxes.of(card);
    Bill bill = Bill.of(box, 0.01);
    int count = 0;
    for (Bill.Line line : bill.lines()) {
      assertEquals(bill.lines().indexOf(line) + 1, line.number());
      assertEquals(line.isBought(), line.components().getFirst().isBought());
      line.components().forEach(one -> assertEquals(line, bill.of(one)));
      count += line.count();
      if (!line.isBought()) {
        Material material = line.material().orElseThrow();
        double volume = Solid.of(line.components().getFirst().piece(), 0.01).volume();
        double grams = volume * material.density() * 1e-6;
        assertEquals(grams, line.grams().orElseThrow(), 0.005 * grams, line.name());
      }
    }
    assertEquals(box.components().stream().mapToInt(Component::count).sum(), count);
    assertTrue(bill.grams() > 0);
  }

  @Test
  void wishesAreKeptAndWhatIsNotWishedFollows() throws CardException {
    Gearbox usual = Boxes.of(Boxes.FILTER);
    Gearbox wished = Boxes.of(Boxes.FILTER + "; housing wall 6 mm bolts 6 x M4; motor face 42 mm");
    assertEquals("4 x M3", usual.housing().bolts().orElseThrow().toString());
    assertEquals("6 x M4", wished.housing().bolts().orElseThrow().toString());
    assertEquals(6, wished.component("bolt").count());
    assertEquals(6, wished.housing().wall().orElseThrow().inBase());
    assertEquals(4, wished.component("motor screw").count());
    assertTrue(Boxes.proof(wished).holds(), Boxes.proof(wished).problems().toString());
    Slab face = wished.component("motor plate").piece().slabs().getFirst();
    assertTrue(face.region().circles().stream().anyMatch(c -> c.radius() == 11), "the pilot");
  }

  @Test
  void statedBearingsAreTaken() throws CardException {
    Gearbox box = Boxes.of(Boxes.FILTER + "; bearing carrier 6802");
    assertEquals(
        "6802, 15 \u00d7 24 \u00d7 5", box.component("output bearing").size().orElseThrow());
    assertTrue(Boxes.proof(box).holds());
  }
}
