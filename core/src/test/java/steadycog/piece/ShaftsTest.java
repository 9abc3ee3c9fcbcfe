package steadycog.piece;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import steadycog.RandomTrains;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.piece.Region.Round;
import steadycog.shape.Axes;
import steadycog.shape.Cut;
import steadycog.shape.GearOutline;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Train;

/** A shaft is one thing, and a hole is what is left when its material is taken away. */
class ShaftsTest {

  /** Wheels of one shaft have one bore, which leaves a wall in the smallest of them. */
  @Test
  void aShaftHasOneSizeThatItsSmallestWheelBears() {
    Random random = new Random(20);
    int shared = 0;
    for (int run = 0; run < 80; run++) {
      Train train = Train.of(List.of(RandomTrains.parallel("", random, 9)));
      Axes shafts = Axes.ofShafts(train);
      for (int shaft = 0; shaft < shafts.count(); shaft++) {
        List<Member> wheels =
            shafts.on(shaft).stream().filter(m -> !m.teeth().orElseThrow().internal()).toList();
        List<Double> bores = wheels.stream().map(m -> bore(train, m.id())).distinct().toList();
        assertTrue(bores.size() <= 1, () -> wheels + " have bores of " + bores);
        shared += wheels.size() > 1 ? 1 : 0;
        for (Member wheel : wheels) {
          double root =
              2 * GearOutline.rootRadius(wheel.teeth().orElseThrow(), Cut.of(train, wheel.id()));
          assertTrue(bores.getFirst() <= 0.35 * root + 1e-9);
        }
      }
    }
    assertTrue(shared > 30);
  }

  private static double bore(Train train, MemberId wheel) {
    return Blank.of(train, wheel).bore().orElseThrow().size().inBase();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          parallel 20 ~ 60 = 30 ~ 60; bore B 8 mm               | 8
          parallel 20 ~ 60 = 30 ~ 60; bore C 7 mm               | 7
          parallel 20 ~ 60 = 30 ~ 60; bore B 8 mm; bore C 6 mm  | 6
          a: parallel 20 ~ 30; b: parallel 60 ~ 20; join a.B = b.A; bore a.B 5 mm key | 5
          """)
  void whatIsStatedOfOneWheelHoldsForItsShaft(String card, double bore) throws CardException {
    Train train = Card.read(card).train();
    MemberId last = train.parts().size() > 1 ? new MemberId("b", "A") : new MemberId("", "C");
    assertEquals(bore, bore(train, last), 1e-9);
    assertTrue(Blank.of(train, last).boreStated());
  }

  @Test
  void twoSizesAreAStep() throws CardException {
    Train train = Card.read("parallel 20 ~ 60 = 30 ~ 60; bore B 8 mm; bore C 6 mm").train();
    List<List<Shafts.Seat>> stepped = Shafts.stepped(train);
    assertEquals(1, stepped.size());
    assertEquals(2, stepped.getFirst().size());
    Train same = Card.read("parallel 20 ~ 60 = 30 ~ 60; bore B 8 mm; bore C 8 mm").train();
    assertTrue(Shafts.stepped(same).isEmpty());
  }

  /** Holes inside stay circles; others are truly taken away, wherever they lie. */
  @Test
  void holesAreTakenAway() {
    Random random = new Random(8);
    int inside = 0;
    int across = 0;
    for (int run = 0; run < 200; run++) {
      double radius = random.nextDouble(2, 9);
      Round hole =
          new Round(random.nextDouble(-8, 8), random.nextDouble(-8, 8), random.nextDouble(0.3, 5));
      Region body = Region.disc(radius);
      Region taken = new Region(List.of(), List.of(hole));
      Region left = body.minus(taken, 0.01);
      Geometry expected = Region.overlay(body.area(0.01), taken.area(0.01), OverlayNG.DIFFERENCE);
      assertEquals(expected.getArea(), left.area(0.01).getArea(), 1e-9);
      boolean whole = Math.hypot(hole.x(), hole.y()) + hole.radius() < radius - 0.02;
      boolean apart = Math.hypot(hole.x(), hole.y()) > radius + hole.radius() + 0.02;
      inside += whole ? 1 : 0;
      across += whole || apart ? 0 : 1;
      assertTrue(!whole || left.circles().size() == 2);
    }
    assertTrue(inside > 20 && across > 20, inside + " inside, " + across + " across");
  }
}
