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
import steadycog.format.file.Trouble;

/**
 * Offers work that an earlier run left unsaved, one piece after the other, without stopping
 * anybody.
 */
final class LostWork {
  private static final DateTimeFormatter WHEN =
      DateTimeFormatter.ofPattern("d MMMM, HH:mm", Locale.ENGLISH).withZone(ZoneId.systemDefault());

  private final Recovery recovery;
  private final AutoKeeper auto;
  private final MainWindow window;
  private final Desk desk;

  LostWork(Recovery recovery, AutoKeeper auto, MainWindow window, Desk desk) {
    this.recovery = recovery;
    this.auto = auto;
    this.window = window;
    this.desk = desk;
  }

  /** Offers all of {@code lost}, the first at once, each until it has been answered. */
  void offer(List<Lost> lost) {
    if (lost.isEmpty()) {
      window.offer("", List.of());
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
            + ")."
            + (rest.isEmpty() ? "" : " " + rest.size() + " more to decide on."),
        List.of(
            new Answer("Bring it back", () -> bringBack(first, rest)),
            new Answer("Drop it", () -> drop(first, rest))));
  }

  /** The old copy goes only once the new one is on the disk. */
  private void bringBack(Lost lost, List<Lost> rest) {
    window
        .keeper()
        .unlessUnsaved(
            () -> {
              desk.file().recover(lost.job(), lost.file(), lost.stamp());
              try {
                auto.keepAtOnce();
                drop(lost, rest);
              } catch (IOException failed) {
                window.tell(
                    "It is back, and its old copy stays: it cannot be kept anew ("
                        + Trouble.words(failed)
                        + "). Save it.");
                offer(rest);
              }
            });
  }

  private void drop(Lost lost, List<Lost> rest) {
    try {
      recovery.drop(lost);
    } catch (IOException failed) {
      window.tell("The copy cannot be removed: " + Trouble.words(failed));
    }
    offer(rest);
  }
}
