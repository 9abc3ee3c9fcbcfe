package steadycog.app.memory;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.LongPredicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import steadycog.format.file.JobFiles;
import steadycog.format.json.JobJson;
import steadycog.format.json.UnreadableException;
import steadycog.job.Job;

/**
 * Copies of unsaved work, one a running program, so that a crash or a power cut loses nothing. A
 * copy belongs to a process; once that is gone the copy is offered to the next start.
 */
public final class Recovery {
  private static final Pattern COPY = Pattern.compile("unsaved-(\\d+)\\.cog\\.json");

  private final Path folder;
  private final long process;
  private final LongPredicate alive;

  /** Recovery for this process. */
  public Recovery(Path folder) {
    this(folder, ProcessHandle.current().pid(), pid -> ProcessHandle.of(pid).isPresent());
  }

  Recovery(Path folder, long process, LongPredicate alive) {
    this.folder = folder;
    this.process = process;
    this.alive = alive;
  }

  /**
   * Work that was left behind.
   *
   * @param job as it stood
   * @param file where it was last saved or opened from, if anywhere
   * @param when it was last changed
   */
  public record Lost(Job job, Optional<Path> file, FileTime when, Path copy) {}

  /** Keeps a copy of unsaved work, in one step. */
  public void keep(Job job, Optional<Path> file) throws IOException {
    Files.createDirectories(folder);
    JobFiles.write(originOf(copy(process)), file.map(Path::toString).orElse(""));
    JobFiles.write(copy(process), JobJson.write(job));
  }

  /** Drops this process's copy: everything is saved, or given up knowingly. */
  public void drop() throws IOException {
    drop(copy(process));
  }

  /** Drops work that was found, once it has been brought back or refused. */
  public void drop(Lost lost) throws IOException {
    drop(lost.copy);
  }

  private static void drop(Path copy) throws IOException {
    Files.deleteIfExists(copy);
    Files.deleteIfExists(originOf(copy));
  }

  /**
   * Work that processes now gone have left, newest first; what cannot be read is left where it is.
   */
  public List<Lost> find() throws IOException {
    if (!Files.isDirectory(folder)) {
      return List.of();
    }
    List<Lost> found = new ArrayList<>();
    try (Stream<Path> files = Files.list(folder)) {
      for (Path copy : (Iterable<Path>) files::iterator) {
        if (isOrphan(copy)) {
          read(copy).ifPresent(found::add);
        }
      }
    }
    found.sort(Comparator.comparing(Lost::when).reversed());
    return found;
  }

  private boolean isOrphan(Path copy) {
    Matcher name = COPY.matcher(copy.getFileName().toString());
    return name.matches() && !alive.test(Long.parseLong(name.group(1)));
  }

  private static Optional<Lost> read(Path copy) throws IOException {
    try {
      Job job = JobFiles.open(copy);
      Path origin = originOf(copy);
      String file = Files.exists(origin) ? Files.readString(origin).strip() : "";
      return Optional.of(
          new Lost(
              job,
              file.isEmpty() ? Optional.empty() : Optional.of(Path.of(file)),
              Files.getLastModifiedTime(copy),
              copy));
    } catch (UnreadableException damaged) {
      return Optional.empty();
    }
  }

  private Path copy(long pid) {
    return folder.resolve("unsaved-" + pid + JobFiles.JOB_ENDING);
  }

  private static Path originOf(Path copy) {
    return copy.resolveSibling(copy.getFileName() + ".from");
  }
}
