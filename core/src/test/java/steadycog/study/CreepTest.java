package steadycog.study;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;
import steadycog.RandomTrains;
import steadycog.motion.Mechanism;
import steadycog.motion.MotionSolver;
import steadycog.train.MemberId;
import steadycog.train.Part;
import steadycog.train.Roles;
import steadycog.train.Train;

class CreepTest {
  /** What is counted tooth by tooth is what the solver says of the slow member's turns. */
  @Test
  void countingTeethGivesTheRatio() {
    Random random = new Random(5);
    for (int k = 0; k < 200; k++) {
      Part drive = RandomTrains.drive("", random);
      Creep creep = Creep.of(drive).orElseThrow();
      MemberId held = drive.shafts().getLast();
      Train train =
          Train.of(List.of(drive))
              .withRoles(Roles.between(creep.fast(), List.of(held), creep.slow()));
      BigFraction turns =
          MotionSolver.solve(Mechanism.of(train)).turnsPerInputTurn(creep.slow()).orElseThrow();
      assertEquals(BigFraction.of(-creep.each(), creep.all()), turns, drive.toString());
      assertTrue(creep.words().contains(creep.each() * 100 + "."), creep.words());
    }
    assertEquals(Optional.empty(), Creep.of(RandomTrains.planetary("", random)));
    assertEquals(Optional.empty(), Creep.of(RandomTrains.parallel("", random, 4)));
  }
}
