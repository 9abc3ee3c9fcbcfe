package steadycog.motion;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import steadycog.RandomTrains;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.train.Join;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Train;

class FreeMotionTest {

  /** Whatever is chosen, teeth pass alike on both sides of every mesh, and joins turn as one. */
  @Test
  void everyChoiceKeepsTeethAndJoinsTogether() {
    Random random = new Random(303);
    int several = 0;
    for (int run = 0; run < 150; run++) {
      Train train = RandomTrains.combined(random);
      FreeMotion free = FreeMotion.of(Mechanism.of(train));
      double[] choice = random.doubles(free.choices(), -50, 50).toArray();
      several += free.choices() > 1 ? 1 : 0;
      for (Mesh mesh : train.meshes()) {
        double frame = mesh.carrier().map(carrier -> free.turns(carrier, choice)).orElse(0.0);
        double a = (free.turns(mesh.a(), choice) - frame) * mesh.teethA().count();
        double b = (free.turns(mesh.b(), choice) - frame) * mesh.teethB().count();
        assertEquals(0, a + mesh.sign() * b, 1e-6 * (1 + Math.abs(a)));
      }
      for (Join join : train.joins()) {
        assertTrue(free.turnAsOne(join.a(), join.b()));
      }
    }
    assertTrue(several > 50);
  }

  /** Under one drive with all else held it is the motion that the solver gives, times its drive. */
  @Test
  void itHoldsEveryMotionOfTheSolver() throws CardException {
    for (String roles :
        List.of("hold ring1; drive sun", "hold ring2; drive sun", "hold sun; drive ring1")) {
      Train train = Card.read("planetary sun 12/- planet 18=18 x3 ring 48/51; " + roles).train();
      Motion motion = MotionSolver.solve(Mechanism.of(train));
      FreeMotion free = FreeMotion.of(Mechanism.of(train));
      assertEquals(2, free.choices());
      // The two members chosen turn as in that motion: then all others do.
      double[] choice = new double[2];
      List<MemberId> bodies = motion.mechanism().bodies();
      for (MemberId body : bodies) {
        for (int k = 0; k < 2; k++) {
          if (free.share(body, k) == 1 && free.share(body, 1 - k) == 0) {
            choice[k] = motion.turnsPerInputTurn(body).orElseThrow().doubleValue();
          }
        }
      }
      for (MemberId body : bodies) {
        double turns = motion.turnsPerInputTurn(body).orElseThrow().doubleValue();
        assertEquals(turns, free.turns(body, choice), 1e-12, roles + ": " + body);
      }
    }
  }

  @Test
  void wheelsThatJamHaveNoChoice() throws CardException {
    Train train = Card.read("parallel 20 ~ 40 = 30 ~ 10; lock A = D").train();
    assertEquals(1, FreeMotion.of(Mechanism.of(train)).choices(), "a clutch can be let go");
    Train jammed =
        Card.read("a: parallel 20 ~ 40; b: parallel 20 ~ 30; join a.A = b.A; join a.B = b.B")
            .train();
    assertEquals(0, FreeMotion.of(Mechanism.of(jammed)).choices());
  }
}
