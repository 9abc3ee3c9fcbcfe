package steadycog.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.Mockito.mock;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.api.FxToolkit;
import steadycog.app.SteadyCogApp.Opened;
import steadycog.app.memory.Recovery;
import steadycog.bench.LoadTest;
import steadycog.bench.Outcome;
import steadycog.format.demo.TernRock;
import steadycog.number.Quantity;
import steadycog.number.Unit;

/** A program that was killed, and the one started after it. */
class LostWorkTest {
  @TempDir Path memory;
  private final FxRobot robot = new Hands();
  private Opened opened;

  private void start() throws Exception {
    FxToolkit.registerPrimaryStage();
    FxToolkit.setupStage(
        stage -> opened = SteadyCogApp.open(stage, mock(FileDialogs.class), memory));
    Hands.rest();
  }

  @AfterEach
  void closeWindow() throws Exception {
    FxToolkit.cleanupStages();
  }

  @Test
  void whatWasTypedIsOnDiskAMomentLaterAndComesBackAfterAKill() throws Exception {
    start();
    robot.clickOn("#train-line").write("parallel 18 ~ 72 ~");
    InWindow.waitUntil(() -> holds("parallel 18 ~ 72 ~"));
    FxToolkit.cleanupStages();
    start();
    assertTrue(robot.lookup("#offer").queryLabeled().getText().contains("Train 1 was not saved"));
    robot.clickOn("Bring it back");
    Hands.rest();
    assertEquals("parallel 18 ~ 72 ~\n", opened.desk().sheet().text());
    assertEquals(1, opened.desk().problemsProperty().get().size());
    assertTrue(opened.desk().file().isUnsaved());
  }

  /** A load test under way when the program is killed: every step until then is there. */
  @Test
  void whatTheRigLoggedIsThereAfterAKill() throws Exception {
    start();
    robot.interact(
        () -> {
          opened.desk().file().putDown(TernRock.job());
          opened.desk().showSheet(2);
          opened.desk().book().addBuild(LocalDate.of(2031, 5, 6));
          opened.desk().book().addLoad(LocalDate.of(2031, 5, 6));
          opened
              .desk()
              .book()
              .changeLoad(test -> test.with(LoadTest.plan(Quantity.of("0.4", Unit.NM), 8)));
          opened.desk().rig().start();
          opened.desk().rig().advance(11);
        });
    LoadTest logged = (LoadTest) opened.desk().book().test().orElseThrow();
    assertEquals(Outcome.HELD, logged.steps().get(1).outcome());
    assertEquals("under way", logged.steps().get(2).where());
    InWindow.waitUntil(() -> holds("under way"));
    FxToolkit.cleanupStages();
    start();
    robot.clickOn("Bring it back");
    Hands.rest();
    assertEquals(
        logged, opened.desk().job().sheets().get(2).book().builds().getFirst().tests().getFirst());
  }

  private boolean holds(String text) throws Exception {
    try (Stream<Path> files = Files.list(memory)) {
      for (Path file : (Iterable<Path>) files::iterator) {
        if (file.toString().endsWith(".cog.json") && Files.readString(file).contains(text)) {
          return true;
        }
      }
    }
    return false;
  }

  @Test
  void savedWorkLeavesNothingToRecover() throws Exception {
    start();
    robot.interact(() -> opened.desk().file().putDown(TernRock.job()));
    robot.interact(opened.stage()::close);
    try (Recovery next = new Recovery(memory)) {
      assertTrue(next.find().isEmpty());
    }
    assertEquals(Optional.empty(), opened.desk().file().pathProperty().get());
  }
}
