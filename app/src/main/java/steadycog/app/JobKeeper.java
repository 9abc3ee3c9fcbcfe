package steadycog.app;

import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import steadycog.app.Question.Answer;
import steadycog.app.desk.Desk;
import steadycog.app.memory.RecentFiles;
import steadycog.format.file.JobFiles;
import steadycog.format.json.UnreadableException;

/** Opens, saves and closes jobs, and asks before anything would be lost. */
final class JobKeeper {
  private final Desk desk;
  private final FileDialogs dialogs;
  private final Consumer<Question> ask;
  private final Consumer<String> notify;
  private final RecentFiles recent;

  /**
   * A keeper of the desk's job.
   *
   * @param ask shows a question
   * @param notify shows a notice, or with "" takes it away
   */
  JobKeeper(
      Desk desk,
      FileDialogs dialogs,
      RecentFiles recent,
      Consumer<Question> ask,
      Consumer<String> notify) {
    this.desk = desk;
    this.recent = recent;
    this.dialogs = dialogs;
    this.ask = ask;
    this.notify = notify;
  }

  /** What the job is called: its title, else its file, else a word. */
  static String titleOf(Desk desk) {
    String title = desk.job().title();
    if (!title.isBlank()) {
      return title;
    }
    return desk.fileProperty()
        .get()
        .map(file -> JobFiles.plainName(file.getFileName().toString()))
        .orElse("New job");
  }

  void startNew() {
    unlessUnsaved(desk::startNew);
  }

  void open() {
    unlessUnsaved(() -> dialogs.askOpen().ifPresent(this::open));
  }

  /** Opens without asking; a file that cannot be read leaves the desk as it is. */
  void open(Path file) {
    try {
      desk.open(file);
      notify.accept("");
      remember(file);
    } catch (UnreadableException unreadable) {
      notify.accept(unreadable.at(file.getFileName().toString()) + ". The open job is unchanged.");
    } catch (IOException failed) {
      notify.accept(file + ": " + reason(failed) + ". The open job is unchanged.");
    }
  }

  /** Opens a file that was dropped on the window or chosen from the recent ones. */
  void openRecent(Path file) {
    unlessUnsaved(() -> open(file));
  }

  List<Path> recentFiles() {
    return recent.all();
  }

  private void remember(Path file) {
    try {
      recent.add(file);
    } catch (IOException failed) {
      notify.accept("The list of recent files cannot be kept: " + reason(failed));
    }
  }

  void save() {
    saveThen(() -> {});
  }

  void saveAs() {
    dialogs.askSave(titleOf(desk)).ifPresent(file -> write(file, () -> {}));
  }

  /** Runs {@code action} at once, or after the person has settled what becomes of unsaved work. */
  void unlessUnsaved(Runnable action) {
    if (!desk.isUnsaved()) {
      action.run();
      return;
    }
    ask.accept(
        new Question(
            "Save the changes to " + titleOf(desk) + "?",
            "Otherwise what was changed since it was last saved is lost.",
            List.of(
                new Answer("Save", () -> saveThen(action)),
                new Answer("Do not save", action),
                new Answer("Cancel", () -> {}))));
  }

  private void saveThen(Runnable next) {
    Optional<Path> file = desk.fileProperty().get();
    if (file.isEmpty()) {
      file = dialogs.askSave(titleOf(desk));
    }
    file.ifPresent(path -> write(path, next));
  }

  private void write(Path file, Runnable next) {
    if (desk.wouldDropTrains(file)) {
      notify.accept(
          file.getFileName()
              + ": a card holds one train and this job has several. Save it as "
              + JobFiles.JOB_ENDING
              + ".");
      return;
    }
    try {
      desk.save(file);
      notify.accept("");
      remember(file);
      next.run();
    } catch (IOException failed) {
      notify.accept(file + ": not saved, " + reason(failed) + ". Save it elsewhere.");
    }
  }

  private static String reason(IOException failed) {
    return switch (failed) {
      case NoSuchFileException missing -> "no such file or folder";
      case AccessDeniedException denied -> "access is denied";
      default -> failed.getMessage() == null ? failed.toString() : failed.getMessage();
    };
  }
}
