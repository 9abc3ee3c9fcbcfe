package steadycog.torque;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Random;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;
import steadycog.RandomTrains;
import steadycog.motion.Mechanism;
import steadycog.motion.Motion;
import steadycog.motion.MotionSolver;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Exact;
import steadycog.train.MemberId;
import steadycog.train.Train;

class TorqueTest {

  private static Torques torques(String card) throws CardException {
    return TorqueSolver.solve(MotionSolver.solve(Mechanism.of(Card.read(card).train())));
  }

  private static String external(Torques torques, String member) {
    return Exact.text(torques.external(new MemberId("", member)).orElseThrow());
  }

  private static String carried(Torques torques, String member) {
    return Exact.text(torques.carried(new MemberId("", member)).orElseThrow());
  }

  @Test
  void compoundTrainMultipliesTorqueFromShaftToShaft() throws CardException {
    Torques torques =
        torques("parallel 18 ~ 72 = 20 ~ 80 = 17 ~ 136\ndrive A 1500 rpm 0.4 Nm\ntake F");
    assertEquals("2/5", external(torques, "A"));
    assertEquals("256/5", external(torques, "F"));
    assertEquals("0", external(torques, "C"));
    assertEquals("8/5", carried(torques, "B"));
    assertEquals("8/5", carried(torques, "C"));
    assertEquals("32/5", carried(torques, "D"));
    assertEquals("256/5", carried(torques, "F"));
  }

  @Test
  void anIdlerCarriesItsToothForceTimesItsRadius() throws CardException {
    Torques torques = torques("parallel 20 ~ 33 ~ 50\ndrive A -10 rpm 2 Nm\ntake C");
    assertEquals("-2", external(torques, "A"));
    assertEquals("33/10", carried(torques, "B"));
    assertEquals("5", external(torques, "C"));
  }

  @Test
  void aLoadOrAPowerSettlesTheTorques() throws CardException {
    Torques load = torques("parallel 20 ~ 50\ndrive A 10 rpm\ntake B 5 Nm");
    assertEquals("2", external(load, "A"));
    assertEquals("5", external(load, "B"));
    Torques power = torques("parallel 20 ~ 50\ndrive A 10 rad/s 50 W\ntake B");
    assertEquals(5, power.external(new MemberId("", "A")).orElseThrow().doubleValue(), 1e-12);
  }

  @Test
  void powerInEqualsPowerOutExactly() {
    Random random = new Random(7);
    for (int k = 0; k < 200; k++) {
      Train train = RandomTrains.driven(random, 40);
      Motion motion = MotionSolver.solve(Mechanism.of(train));
      Torques torques = TorqueSolver.solve(motion);
      assertEquals(Torques.Status.DETERMINED, torques.status());
      BigFraction sum = BigFraction.ZERO;
      for (MemberId member : motion.mechanism().bodies()) {
        BigFraction speed = motion.speed(member).orElseThrow().rpm();
        sum = sum.add(torques.external(member).orElseThrow().multiply(speed));
      }
      assertTrue(Exact.isZero(sum));
      // What the output gets is the reduction ratio times what the input gives.
      BigFraction in = torques.external(train.members().getFirst().id()).orElseThrow();
      BigFraction out = torques.external(train.members().getLast().id()).orElseThrow();
      assertEquals(motion.ratio().orElseThrow().reduction().multiply(in).negate(), out);
    }
  }

  @Test
  void equalPathsLeaveTheSplitOpenAndTheEndsKnown() throws CardException {
    Torques torques =
        torques(
            """
            p: parallel 20 ~ 40
            q: parallel 10 ~ 20
            join p.A = q.A
            join p.B = q.B
            drive p.A 1 rpm 3 Nm
            take p.B
            """);
    assertEquals(Torques.Status.INDETERMINATE, torques.status());
    assertEquals("6", Exact.text(torques.external(new MemberId("p", "B")).orElseThrow()));
    assertTrue(torques.carried(new MemberId("q", "B")).isEmpty());
  }

  @Test
  void aHeldWheelTakesTheReaction() throws CardException {
    Torques free = torques("parallel 20 ~ 50\ndrive A");
    assertEquals(Torques.Status.NONE, free.status());
    Torques jammed = torques("parallel 20 ~ 50\ndrive A\nhold B");
    assertEquals(Torques.Status.NONE, jammed.status());
    assertTrue(jammed.external(new MemberId("", "A")).isEmpty());
  }
}
