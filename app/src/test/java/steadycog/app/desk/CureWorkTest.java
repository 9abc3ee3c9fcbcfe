package steadycog.app.desk;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.Test;
import steadycog.app.desk.CureWork.Proposal;
import steadycog.cure.Advice;

/** Cures found aside; this test's own thread is the screen's, and runs what comes back in order. */
class CureWorkTest {
  private final BlockingQueue<Runnable> screen = new LinkedBlockingQueue<>();
  private final Desk desk = new Desk(screen::add);
  private final CureWork cures = desk.cures();

  private void until(BooleanSupplier holds) throws InterruptedException {
    while (!holds.getAsBoolean()) {
      Runnable next = screen.poll(60, TimeUnit.SECONDS);
      assertTrue(next != null, "nothing more comes back");
      next.run();
    }
  }

  private int offered() {
    return cures.advice().stream().mapToInt(advice -> advice.cures().size()).sum();
  }

  @Test
  void findingsStandAtOnceAndCuresFollow() throws InterruptedException {
    assertTrue(cures.isDone(), "an empty bench has nothing to look for");
    desk.train().type("parallel 14 ~ 30");
    assertFalse(cures.isDone());
    assertEquals("interference", cures.advice().getFirst().finding().code());
    assertEquals(0, offered());
    until(cures::isDone);
    assertEquals("interference", cures.advice().getFirst().finding().code());
    assertTrue(offered() > 2, offered() + " cures");
  }

  @Test
  void anEditDropsWhatIsBeingLookedForAndWhatWasFound() throws InterruptedException {
    desk.train().type("parallel 14 ~ 30");
    desk.train().type("parallel 15 ~ 40");
    until(cures::isDone);
    assertEquals("undercut", cures.advice().getFirst().finding().code());
    desk.train().type("parallel 16 ~ 40");
    assertFalse(cures.isDone());
    assertEquals(0, offered(), "a cure for another card would undo the edit");
    until(cures::isDone);
    for (Advice advice : cures.advice()) {
      advice.cures().forEach(cure -> assertFalse(cure.change().startsWith("A 15"), cure.change()));
    }
  }

  @Test
  void aProposalIsShownThenTakenAndUndoneInOneStep() throws InterruptedException {
    desk.train().type("planetary sun 24 planet 15 x3 ring 54\ndrive sun; hold ring; take carrier");
    String before = desk.sheet().text();
    cures.putRight();
    assertInstanceOf(Proposal.Seeking.class, cures.proposalProperty().get());
    cures.putRight();
    until(() -> cures.proposalProperty().get() instanceof Proposal.Found);
    assertEquals(before, desk.sheet().text());
    cures.putRight();
    assertTrue(desk.sheet().text().contains("shift planet 0.2"), desk.sheet().text());
    assertInstanceOf(Proposal.None.class, cures.proposalProperty().get());
    desk.undo();
    assertEquals(before, desk.sheet().text());
  }

  @Test
  void aProposalGoesWithTheNextEditAndWhenItIsLeft() throws InterruptedException {
    desk.train().type("parallel 15 ~ 40; drive A; take B");
    cures.putRight();
    until(() -> cures.proposalProperty().get() instanceof Proposal.Found);
    cures.leave();
    assertInstanceOf(Proposal.None.class, cures.proposalProperty().get());
    cures.putRight();
    cures.leave();
    assertInstanceOf(Proposal.None.class, cures.proposalProperty().get());
    until(cures::isDone);
    cures.putRight();
    desk.train().type("parallel 15 ~ 41; drive A; take B");
    assertInstanceOf(Proposal.None.class, cures.proposalProperty().get());
    until(cures::isDone);
  }

  @Test
  void inOneStateTheOthersStay() throws InterruptedException {
    desk.train()
        .type(
            "planetary sun 17 planet 17 x4 ring 51\ndrive sun\n"
                + "state low: hold ring; take carrier\nstate back: hold carrier; take ring");
    desk.showState("back");
    until(cures::isDone);
    Advice worst = cures.advice().getFirst();
    desk.train().cure(worst.cures().getFirst());
    assertTrue(desk.sheet().text().contains("state low: hold ring; take carrier"));
    assertEquals("back", desk.state().orElseThrow());
  }
}
