package steadycog.train;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import steadycog.RandomTrains;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.notation.CardPrinter;
import steadycog.study.Study;

class ChainEditTest {

  private static Train train(String card) throws CardException {
    return Card.read(card).train();
  }

  private static MemberId id(String name) {
    return new MemberId("", name);
  }

  @Test
  void anIdlerGoesBetweenAndRolesFollowTheirWheels() throws CardException {
    Train plain = train("parallel 20 ~ 50 = 30 ~ 60\ndrive A 5 rpm\nhold D\ntake C\nlock B = D");
    assertEquals(
        "parallel 20 ~ 25 ~ 50 = 30 ~ 60\ndrive A 5 rpm\nhold E\ntake D\nlock C = E\n",
        CardPrinter.print(ChainEdit.insertAfter(plain, id("A"), Teeth.external(25)).train()));
  }

  @Test
  void aKeyedWheelTakesOverWhatFollows() throws CardException {
    Train pair = train("parallel 20 ~ 50 ~ 60\ndrive A\ntake C");
    assertEquals(
        "parallel 20 ~ 50 = 18 ~ 60\ndrive A\ntake D\n",
        CardPrinter.print(ChainEdit.keyTo(pair, id("B"), Teeth.external(18)).train()));
    assertEquals(
        "parallel 20 ~ 50 ~ 60 = 18\ndrive A\ntake C\n",
        CardPrinter.print(ChainEdit.keyTo(pair, id("C"), Teeth.external(18)).train()));
  }

  @Test
  void meshingGoesOnAtTheEndAndBranchesInTheMiddle() throws CardException {
    Train pair = train("parallel 20 ~ 50 ~ 60\ndrive A\ntake C");
    assertEquals(
        "parallel 20 ~ 50 ~ 60 ~ 90i\ndrive A\ntake C\n",
        CardPrinter.print(ChainEdit.meshWith(pair, id("C"), Teeth.internal(90)).train()));
    Train branched = ChainEdit.meshWith(pair, id("B"), Teeth.external(25)).train();
    assertEquals(
        """
        main: parallel 20 ~ 50 ~ 60
        branch: parallel 50 ~ 25
        join main.B = branch.A
        drive main.A
        take main.C
        """,
        CardPrinter.print(branched));
    Train twice =
        ChainEdit.meshWith(branched, new MemberId("main", "A"), Teeth.external(30)).train();
    assertEquals("branch2", twice.parts().getLast().name());
  }

  @Test
  void removingTiesTheNeighbours() throws CardException {
    Train chain = train("parallel 20 ~ 50 = 30 ~ 60\ndrive A\ntake D");
    assertEquals(
        "parallel 20 ~ 30 ~ 60\ndrive A\ntake C\n",
        CardPrinter.print(ChainEdit.remove(chain, id("B")).orElseThrow().train()));
    assertEquals(
        "parallel 50 = 30 ~ 60\ntake C\n",
        CardPrinter.print(ChainEdit.remove(chain, id("A")).orElseThrow().train()));
    assertTrue(ChainEdit.remove(train("parallel 9"), id("A")).isEmpty());
    assertTrue(ChainEdit.remove(train("parallel 60i ~ 20 ~ 70i"), id("B")).isEmpty());
  }

  @Test
  void insertingAndRemovingAgainChangesNothing() {
    Random random = new Random(41);
    for (int k = 0; k < 300; k++) {
      Train train = RandomTrains.driven(random, 10);
      List<Member> members = train.members();
      int at = random.nextInt(members.size());
      MemberId member = members.get(at).id();
      Parallel part = (Parallel) train.parts().getFirst();
      boolean meshed = at == part.links().size() || part.links().get(at) == Parallel.Link.MESH;
      Edited grown =
          at == part.links().size()
              ? ChainEdit.meshWith(train, member, Teeth.external(33))
              : ChainEdit.insertAfter(train, member, Teeth.external(33));
      Train longer = grown.train();
      assertEquals(members.size() + 1, longer.members().size());
      MemberId fresh = new MemberId("", Parallel.letters(at + 1));
      assertEquals(Optional.of(fresh), grown.fresh(train));
      if (meshed) {
        ChainEdit.remove(longer, fresh).ifPresent(shorter -> assertEquals(train, shorter.train()));
      }
      assertEquals(longer, Study.of(longer).train());
    }
  }
}
