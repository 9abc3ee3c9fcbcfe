package steadycog.app;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import steadycog.app.Question.Answer;
import steadycog.app.desk.Desk;
import steadycog.app.memory.RecentFiles;
import steadycog.app.memory.RecentFiles.View;
import steadycog.format.file.JobFiles;
import steadycog.format.file.Trouble;
import steadycog.format.json.UnreadableException;
import steadycog.job.Job;
import steadycog.job.JobDifference;

/** Opens, saves and closes jobs, and asks before anything would be lost. */
final class JobKeeper {
  private final Desk desk;
  private final FileDialogs dialogs;
  private final Consumer<Question> ask;
  private final Consumer<String> notify;
  private final RecentFiles recent;
  private Safety safety = () -> {};

  /** Brings unsaved work into safety before its file is touched. */
  interface Safety {
    void secure() throws IOException;
  }

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
    // The old job is in view until the new one lies on the desk.
    desk.file().pathProperty().addListener((o, old, now) -> old.ifPresent(this::keepView));
  }

  /** Lets {@code first} be done before any file is written. */
  void beforeSaving(Safety first) {
    safety = first;
  }

  /** What the job is called: its title, else its file, else a word. */
  static String titleOf(Desk desk) {
    String title = desk.job().title();
    if (!title.isBlank()) {
      return title;
    }
    return desk.file()
        .pathProperty()
        .get()
        .map(file -> JobFiles.plainName(file.getFileName().toString()))
        .orElse("New job");
  }

  void startNew() {
    unlessUnsaved(desk.file()::startNew);
  }

  void open() {
    unlessUnsaved(() -> dialogs.askOpen().ifPresent(this::open));
  }

  /** Opens without asking; a file that cannot be read leaves the desk as it is. */
  void open(Path file) {
    try {
      desk.file().open(file);
      notify.accept("");
      recent.view(file).ifPresent(this::show);
      remember(file);
      tidy(file);
    } catch (UnreadableException unreadable) {
      notify.accept(unreadable.at(file.getFileName().toString()) + ". The open job is unchanged.");
    } catch (IOException failed) {
      notify.accept(file + ": " + Trouble.words(failed) + ". The open job is unchanged.");
    }
  }

  /** Takes away what a save that was killed has left beside {@code file}. */
  private static void tidy(Path file) {
    try {
      Path folder = file.toAbsolutePath().getParent();
      if (folder != null) {
        JobFiles.tidy(folder);
      }
    } catch (IOException kept) {
      // Nobody misses what stays there.
    }
  }

  /** The same for all files that were worked on lately, at the start. */
  void tidyRecent() {
    List<Path> all = recent.all();
    Thread.ofPlatform().daemon().name("tidying").start(() -> all.forEach(JobKeeper::tidy));
  }

  /** Opens a file that was dropped on the window or chosen from the recent ones. */
  void openRecent(Path file) {
    unlessUnsaved(() -> open(file));
  }

  /** Keeps what is in view for the next time that the job is opened. */
  void leave() {
    desk.file().pathProperty().get().ifPresent(this::keepView);
  }

  private void keepView(Path file) {
    try {
      recent.add(file, new View(desk.stationProperty().get(), desk.pageProperty().get().index()));
    } catch (IOException unkept) {
      // It is no loss worth a word: the job is opened at its first train.
    }
  }

  private void show(View view) {
    desk.showSheet(Math.min(view.train(), desk.job().sheets().size() - 1));
    desk.stationProperty().set(view.station());
  }

  List<Path> recentFiles() {
    return recent.all();
  }

  private void remember(Path file) {
    try {
      recent.add(file);
    } catch (IOException failed) {
      notify.accept("The list of recent files cannot be kept: " + Trouble.words(failed));
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
    if (!desk.file().isUnsaved()) {
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
    Optional<Path> file = desk.file().pathProperty().get();
    if (file.isEmpty()) {
      file = dialogs.askSave(titleOf(desk));
    }
    file.ifPresent(path -> write(path, next));
  }

  private void write(Path file, Runnable next) {
    if (desk.file().wouldDropTrains(file)) {
      notify.accept(
          file.getFileName()
              + ": a card holds one train and this job has several. Save it as "
              + JobFiles.JOB_ENDING
              + ".");
      return;
    }
    try {
      if (desk.file().writtenByOthers(file)) {
        askAboutOthers(file, next);
      } else {
        save(file, next);
      }
    } catch (IOException failed) {
      notSaved(file, failed);
    }
  }

  private void save(Path file, Runnable next) {
    try {
      safety.secure();
    } catch (IOException unkept) {
      // Saving is what is asked for; without a copy it is only less safe for a moment.
      notify.accept("Unsaved work cannot be kept safe (" + Trouble.words(unkept) + ").");
    }
    try {
      desk.file().save(file);
      notify.accept("");
      remember(file);
      next.run();
    } catch (IOException failed) {
      notSaved(file, failed);
    }
  }

  private void notSaved(Path file, IOException failed) {
    notify.accept(file + ": not saved, " + Trouble.words(failed) + ". Save it elsewhere.");
  }

  /** Somebody else has written the file since it was opened here: nobody's work is lost. */
  private void askAboutOthers(Path file, Runnable next) {
    Path beside = freeName(file);
    ask.accept(
        new Question(
            file.getFileName() + " has been changed by someone else",
            "Another program or window wrote it after it was opened here. What stands only here (+)"
                + " and only in the file (\u2212):",
            differences(file),
            List.of(
                new Answer("Keep both: save as " + beside.getFileName(), () -> save(beside, next)),
                new Answer("Write over theirs", () -> save(file, next)),
                new Answer("Cancel", () -> {}))));
  }

  private List<String> differences(Path file) {
    try {
      Job theirs = JobFiles.open(file);
      List<String> found = JobDifference.of(desk.job(), theirs);
      return found.isEmpty() ? List.of("Nothing: it says the same.") : found;
    } catch (UnreadableException noJob) {
      return List.of("The file is no job any more: " + noJob.at(file.getFileName().toString()));
    } catch (IOException failed) {
      return List.of("The file cannot be read: " + Trouble.words(failed));
    }
  }

  /** {@code winch (2).cog.json} beside {@code winch.cog.json}. */
  private static Path freeName(Path file) {
    String whole = file.getFileName().toString();
    String plain = JobFiles.plainName(whole);
    String ending = whole.substring(plain.length());
    int number = 2;
    while (Files.exists(file.resolveSibling(plain + " (" + number + ")" + ending))) {
      number++;
    }
    return file.resolveSibling(plain + " (" + number + ")" + ending);
  }
}
