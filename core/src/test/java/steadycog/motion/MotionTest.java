package steadycog.motion;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.math.BigInteger;
import java.util.List;
import java.util.Random;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import steadycog.RandomTrains;
import steadycog.motion.TurnCount.TurnsAndDegrees;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Exact;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Parallel;
import steadycog.train.Train;

class MotionTest {

  private static Motion motion(String card) throws CardException {
    return MotionSolver.solve(Mechanism.of(Card.read(card).train()));
  }

  private static String ratio(String card) throws CardException {
    return Exact.text(motion(card).ratio().orElseThrow().reduction());
  }

  @ParameterizedTest
  @CsvSource({
    "parallel 18 ~ 72 = 20 ~ 80 = 17 ~ 136,-128",
    "parallel 20 ~ 33 ~ 50,5/2",
    "parallel 20 ~ 33 = 25 ~ 50,33/10",
    "parallel 24 ~ 36 = 18 ~ 60i,-5",
    "parallel 60i ~ 20,1/3",
    "parallel 30 = 40,1"
  })
  void textbookRatios(String card, String reduction) throws CardException {
    assertEquals(reduction, ratio(card));
  }

  @Test
  void randomChainsEqualTheProductOfTheirMeshes() {
    Random random = new Random(5);
    for (int k = 0; k < 200; k++) {
      Train train = RandomTrains.driven(random, 40);
      Motion motion = MotionSolver.solve(Mechanism.of(train));
      assertEquals(Motion.Status.DETERMINED, motion.status());
      assertEquals(1, motion.freedoms());
      Parallel part = (Parallel) train.parts().getFirst();
      BigFraction turns = BigFraction.ONE;
      for (int w = 1; w < part.wheels().size(); w++) {
        if (part.links().get(w - 1) == Parallel.Link.MESH) {
          boolean internal = part.wheels().get(w).internal() || part.wheels().get(w - 1).internal();
          BigFraction step =
              Exact.of(part.wheels().get(w - 1).count(), part.wheels().get(w).count());
          turns = turns.multiply(internal ? step : step.negate());
        }
        MemberId id = part.members().get(w).id();
        assertEquals(turns, motion.turnsPerInputTurn(id).orElseThrow());
      }
      assertEquals(turns.reciprocal(), motion.ratio().orElseThrow().reduction());
    }
  }

  @Test
  void teethPastAMeshAreEqualOnBothSides() {
    Random random = new Random(6);
    for (int k = 0; k < 100; k++) {
      Train train = RandomTrains.driven(random, 20);
      Motion motion = MotionSolver.solve(Mechanism.of(train));
      TurnCount count = TurnCount.of(motion, Exact.of(random.nextInt(-900, 900), 360));
      for (Mesh mesh : train.meshes()) {
        BigFraction otherSide =
            count.turns(mesh.b()).orElseThrow().multiply(mesh.teethB().count()).abs();
        assertEquals(otherSide, count.teethPassed(mesh).orElseThrow());
      }
    }
  }

  @Test
  void twoPathsThatDisagreeJamAndEachNamedRelationIsNeeded() throws CardException {
    String p = "p: parallel 20 ~ 40\n";
    String q = "q: parallel 20 ~ 30 ~ 12\n";
    Motion motion = motion(p + q + "join p.A = q.A\njoin p.B = q.B\ndrive p.A 10 rpm\ntake q.C");
    assertEquals(Motion.Status.JAMMED, motion.status());
    assertEquals(
        List.of("p.A ~ p.B", "q.A ~ q.B", "join p.A = q.A", "join p.B = q.B", "drive p.A"),
        words(motion));
    assertTrue(motion.ratio().isEmpty());
    assertEquals(
        Motion.Status.DETERMINED, motion(p + q + "join p.A = q.A\ndrive p.A\ntake q.C").status());
  }

  @Test
  void jamsAreSeenWithADriveAtRestWithoutADriveAndBetweenTwoDrives() throws CardException {
    String closed = "parallel 20 ~ 40 = 30 ~ 10\nlock A = D\n";
    assertEquals(Motion.Status.JAMMED, motion(closed + "drive A 0 rpm").status());
    assertEquals(Motion.Status.JAMMED, motion(closed + "hold B").status());
    Motion held = motion("parallel 20 ~ 40\ndrive A\nhold B");
    assertEquals(List.of("A ~ B", "hold B", "drive A"), words(held));
    Motion two = motion("parallel 20 ~ 40\ndrive A 10 rpm\ndrive B 5 rpm");
    assertEquals(List.of("A ~ B", "drive A", "drive B"), words(two));
    Motion agreeing = motion("parallel 20 ~ 40\ndrive A 10 rpm\ndrive B -5 rpm");
    assertEquals(Motion.Status.DETERMINED, agreeing.status());
    Motion pi = motion("parallel 20 ~ 40\ndrive A 10 rpm\ndrive B 1 rad/s");
    assertEquals(List.of("A ~ B", "drive A", "drive B"), words(pi));
  }

  @Test
  void whatNothingTiesDownFloats() throws CardException {
    Motion motion = motion("p: parallel 20 ~ 40\nq: parallel 20 ~ 30\ndrive p.A\ntake q.B");
    assertEquals(Motion.Status.UNDETERMINED, motion.status());
    assertEquals("[q.A, q.B]", motion.floating().toString());
    assertEquals(2, motion.freedoms());
    assertEquals("-1/2", Exact.text(motion.turnsPerInputTurn(id("p.B")).orElseThrow()));
    assertEquals(Motion.Status.UNDETERMINED, motion("parallel 18").status());
  }

  private static MemberId id(String text) {
    String[] parts = text.split("\\.");
    return new MemberId(parts[0], parts[1]);
  }

  @Test
  void aLockMakesTwoWheelsOne() throws CardException {
    String parts = "p: parallel 20 ~ 40\nq: parallel 15 ~ 45\ndrive p.A\ntake q.B\n";
    assertEquals("6", ratio(parts + "lock p.B = q.A"));
    assertEquals("-3", ratio(parts + "lock p.A = q.A"));
  }

  @Test
  void marksLineUpAfterTheCommonDenominator() throws CardException {
    Motion motion = motion("parallel 18 ~ 72 = 20 ~ 80 = 17 ~ 136");
    assertEquals(BigInteger.valueOf(128), TurnCount.lineUp(motion));
    // 13 : 29 : 31 in a row: the last wheel needs 31, the idler 29 turns of the input.
    assertEquals(BigInteger.valueOf(29 * 31), TurnCount.lineUp(motion("parallel 13 ~ 29 ~ 31")));
  }

  @Test
  void turnsSplitIntoWholeTurnsAndDegrees() {
    assertEquals(
        new TurnsAndDegrees(BigInteger.valueOf(-1), BigFraction.of(-72)),
        TurnsAndDegrees.of(Exact.of(-6, 5)));
    assertEquals(
        new TurnsAndDegrees(BigInteger.ZERO, BigFraction.of(-288)),
        TurnsAndDegrees.of(Exact.of(-4, 5)));
  }

  private static List<String> words(Motion motion) {
    return motion.conflict().stream().map(Relation.Cause::toString).toList();
  }
}
