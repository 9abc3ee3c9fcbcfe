package steadycog.app;

import java.io.IOException;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import steadycog.app.Question.Answer;
import steadycog.app.desk.Desk;
import steadycog.app.memory.Recovery;
import steadycog.app.memory.Recovery.Lost;

/**
 * Offers work that an earlier run left unsaved, one piece after the other, without stopping
 * anybody.
 */
final class LostWork {
  private static final DateTimeFormatter WHEN =
      DateTimeFormatter.ofPattern("d MMMM, HH:mm", Locale.ENGLISH).withZone(ZoneId.systemDefault());

  private final Recovery recovery;
  private final MainWindow window;
  private final Desk desk;

  LostWork(Recovery recovery, MainWindow window, Desk desk) {
    this.recovery = recovery;
    this.window = window;
    this.desk = desk;
  }

  void offer(List<Lost> lost) {
    if (lost.isEmpty()) {
      return;
    }
    Lost first = lost.getFirst();
    List<Lost> rest = lost.subList(1, lost.size());
    String name =
        first.job().title().isBlank()
            ? first.job().sheets().getFirst().name()
            : first.job().title();
    window.offer(
        "Work on "
            + name
            + " was not saved when the program ended ("
            + WHEN.format(first.when().toInstant())
            + ").",
        List.of(
            new Answer("Bring it back", () -> bringBack(first)),
            new Answer(
                "Drop it",
                () -> {
                  drop(first);
                  offer(rest);
                })));
  }

  private void bringBack(Lost lost) {
    window
        .keeper()
        .unlessUnsaved(
            () -> {
              desk.recover(lost.job(), lost.file());
              drop(lost);
            });
  }

  private void drop(Lost lost) {
    try {
      recovery.drop(lost);
    } catch (IOException failed) {
      window.tell("The copy cannot be removed: " + failed.getMessage());
    }
  }
}
