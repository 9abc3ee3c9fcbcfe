package steadycog.app.desk;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import steadycog.format.file.JobFiles;
import steadycog.format.file.Stamp;
import steadycog.format.json.UnreadableException;
import steadycog.format.table.CountTable;
import steadycog.job.Job;

/** The file that the job was opened from or saved in, and what of the job is not in it yet. */
public final class FileWork {
  private final Desk desk;
  private final ReadOnlyObjectWrapper<Optional<Path>> file =
      new ReadOnlyObjectWrapper<>(Optional.empty());

  /** The job as its file has it; empty where no file has it. */
  private Optional<Job> saved;

  /** What was in the file when it was last opened or saved. */
  private Stamp stamp = Stamp.NONE;

  FileWork(Desk desk) {
    this.desk = desk;
    saved = Optional.of(desk.job());
  }

  /** Where the job is saved; empty for one that never was. */
  public ReadOnlyObjectProperty<Optional<Path>> pathProperty() {
    return file.getReadOnlyProperty();
  }

  /** Whether something would be lost if the job were closed now. */
  public boolean isUnsaved() {
    return !saved.equals(Optional.of(desk.job()));
  }

  /** Puts an empty job on the desk; what was there is gone, so ask before. */
  public void startNew() {
    putDown(Job.empty(), Optional.empty());
  }

  /** Puts a job on the desk that has no file of its own yet. */
  public void putDown(Job fresh) {
    putDown(fresh, Optional.empty());
  }

  /**
   * Opens a job or card; or the trains of a table, as a job that has no file of its own yet.
   *
   * @throws UnreadableException if it makes no job; the desk is left as it was
   * @throws IOException if it cannot be read; the desk is left as it was
   */
  public void open(Path path) throws IOException, UnreadableException {
    if (CountTable.isTable(path)) {
      putDown(JobFiles.open(path));
      return;
    }
    Stamp found = Stamp.of(path);
    putDown(JobFiles.open(path), Optional.of(path));
    stamp = found;
  }

  /**
   * Brings back work that was never saved: it counts as changed, and goes on in its old file.
   *
   * @param then what was in that file when the work was done
   */
  public void recover(Job lost, Optional<Path> from, Stamp then) {
    putDown(lost, from);
    saved = Optional.empty();
    stamp = then;
  }

  /** What was in the file when it was last opened or saved here. */
  public Stamp stamp() {
    return stamp;
  }

  /**
   * Whether somebody else has written the file since it was opened or saved here, so that saving
   * would lose what they wrote; false for any other file.
   *
   * @throws IOException if the file cannot be read
   */
  public boolean writtenByOthers(Path path) throws IOException {
    if (file.get().isEmpty() || !Files.exists(path) || !Files.exists(file.get().get())) {
      return false;
    }
    return Files.isSameFile(path, file.get().get()) && !Stamp.of(path).equals(stamp);
  }

  /**
   * Saves by the file's ending, and goes on working in that file.
   *
   * @throws IOException if the disk refuses; the job stays unsaved
   */
  public void save(Path path) throws IOException {
    stamp = JobFiles.save(desk.job(), desk.page().index(), path);
    saved = Optional.of(desk.job());
    file.set(Optional.of(path));
  }

  /** Whether {@code path} would keep only the train in view and drop the others. */
  public boolean wouldDropTrains(Path path) {
    return JobFiles.isCard(path) && desk.job().sheets().size() > 1;
  }

  private void putDown(Job fresh, Optional<Path> from) {
    saved = Optional.of(fresh);
    stamp = Stamp.NONE;
    file.set(from);
    desk.layOpen(fresh);
  }
}
