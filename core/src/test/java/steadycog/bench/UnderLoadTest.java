package steadycog.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import steadycog.RandomTrains;
import steadycog.motion.Mechanism;
import steadycog.motion.Motion;
import steadycog.motion.MotionSolver;
import steadycog.notation.Card;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.sizing.Screening;
import steadycog.sizing.ToothLoad;
import steadycog.study.Study;
import steadycog.torque.Loading;
import steadycog.train.Member;
import steadycog.train.Train;

/** A load on the take-off: what is worked out from the motion that there is, and anew. */
class UnderLoadTest {
  private static final Quantity LOAD = Quantity.of("1.75", Unit.NM);

  @Test
  void aLoadTurnsNothingAndIsBorneAsIfItStoodOnTheCard() {
    Random random = new Random(21);
    int loaded = 0;
    for (int k = 0; k < 300; k++) {
      Train train = RandomTrains.losing(RandomTrains.driven(random, 3), random);
      if (train.rolesInForce().take().isEmpty()) {
        continue;
      }
      loaded++;
      Motion own = MotionSolver.solve(Mechanism.of(train)).under(LOAD);
      Train stated = train.withRoles(train.rolesInForce().loaded(Optional.of(LOAD)));
      Motion anew = MotionSolver.solve(Mechanism.of(stated));
      assertEquals(anew.perDrive(), own.perDrive());
      assertEquals(anew.ratio(), own.ratio());
      Loading one = Loading.of(train, own);
      Loading other = Loading.of(stated, anew);
      for (Member member : train.members()) {
        assertEquals(
            other.flow().torques().external(member.id()),
            one.flow().torques().external(member.id()),
            () -> member + " of " + train);
        assertEquals(other.ideal().external(member.id()), one.ideal().external(member.id()));
      }
      assertEquals(other.flow().verdict(), one.flow().verdict());
    }
    assertTrue(loaded > 100, "loads were tried");
  }

  @Test
  void theWeakestToothIsThatOfTheCardUnderThatLoad() throws Exception {
    String card =
        """
        planetary sun 24 planet 15 x3 ring 54
        module 1 mm; material pla; width 8 mm
        drive sun 200 rpm; hold ring; take carrier
        """;
    Train train = Card.read(card).train();
    for (double nm : new double[] {0.01, 0.4, 3, 250}) {
      Train stated = Card.read(card.replace("take carrier", "take carrier " + nm + " Nm")).train();
      Optional<ToothLoad.Weakest> expected = weakest(stated);
      Optional<ToothLoad.Weakest> found = LoadResult.weakest(Study.of(train), nm);
      assertEquals(expected.orElseThrow().wheel(), found.orElseThrow().wheel());
      assertEquals(expected.get().factor(), found.get().factor(), 1e-9 * expected.get().factor());
    }
    assertEquals(Optional.empty(), LoadResult.weakest(Study.of(train), 0));
    assertEquals(Optional.empty(), LoadResult.weakest(Study.of(train), Double.NaN));
  }

  private static Optional<ToothLoad.Weakest> weakest(Train stated) {
    Study study = Study.of(stated);
    return Screening.of(stated, study.motion(), study.torques()).weakest();
  }

  @Test
  void bendingGrowsWithTheLoadAndPressureWithItsRoot() throws Exception {
    Train train =
        Card.read(
                "parallel 17 ~ 51; module 2 mm; width 20 mm; material steel; drive A 60 rpm; take"
                    + " B")
            .train();
    Study study = Study.of(train);
    for (double load = 0.5; load < 500; load *= 3) {
      ToothLoad.Weakest one = LoadResult.weakest(study, load).orElseThrow();
      ToothLoad.Weakest four = LoadResult.weakest(study, 4 * load).orElseThrow();
      if (one.bending() == four.bending()) {
        assertEquals(one.bending() ? 4 : 2, one.factor() / four.factor(), 1e-6);
      }
    }
  }
}
