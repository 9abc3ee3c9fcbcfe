package steadycog.app.memory;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.CharacterCodingException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.FileTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import steadycog.format.file.JobFiles;
import steadycog.format.file.Stamp;
import steadycog.format.json.JobJson;
import steadycog.format.json.UnreadableException;
import steadycog.job.Job;

/**
 * Copies of unsaved work, one a running program, so that a crash or a power cut loses nothing. A
 * program holds a lock on its copy as long as it runs, however it ends: a copy without a lock has
 * been left behind and is offered to the next start. Numbers of processes say nothing, since they
 * come again.
 */
public final class Recovery implements AutoCloseable {
  private static final Pattern COPY = Pattern.compile("unsaved-[0-9a-f-]+\\.cog\\.json");
  private static final String LOCK_ENDING = ".lock";

  /**
   * Locks that programs in this process hold. They are never tried: closing a second channel on a
   * file may give up the lock that the first one holds.
   */
  private static final Set<Path> HELD = new HashSet<>();

  private final Path folder;
  private final Path own;

  /** The locks of this program: on its own copy, and on those that it offers. */
  private final Map<Path, FileChannel> locks = new HashMap<>();

  /** Recovery for one running program; its lock is held until {@link #close}. */
  public Recovery(Path folder) {
    this.folder = folder;
    own = folder.resolve("unsaved-" + UUID.randomUUID() + JobFiles.JOB_ENDING);
  }

  /**
   * Work that was left behind.
   *
   * @param job as it stood
   * @param file where it was last saved or opened from, if anywhere
   * @param stamp what was in that file then
   * @param when it was last changed
   */
  public record Lost(Job job, Optional<Path> file, Stamp stamp, FileTime when, Path copy) {}

  /** Keeps a copy of unsaved work, in one step, for its owner's eyes alone. */
  public synchronized void keep(Job job, Optional<Path> file, Stamp stamp) throws IOException {
    MemoryFolder.make(folder);
    lock(own);
    String path = file.map(known -> known.toAbsolutePath().toString()).orElse("");
    JobFiles.writePrivately(originOf(own), path + "\n" + stamp.digest() + "\n");
    JobFiles.writePrivately(own, JobJson.write(job));
  }

  /** Drops this program's copy: everything is saved, or given up knowingly. */
  public synchronized void drop() throws IOException {
    remove(own);
  }

  /** Drops work that was found, once it is safe elsewhere or has been refused. */
  public synchronized void drop(Lost lost) throws IOException {
    remove(lost.copy);
    unlock(lost.copy);
    Files.deleteIfExists(lockOf(lost.copy));
  }

  private static void remove(Path copy) throws IOException {
    Files.deleteIfExists(copy);
    Files.deleteIfExists(originOf(copy));
  }

  /**
   * Work that programs have left that run no more, newest first. It is this one's to offer from now
   * on, and no other's. What cannot be read is left where it is.
   */
  public synchronized List<Lost> find() throws IOException {
    if (!Files.isDirectory(folder)) {
      return List.of();
    }
    JobFiles.tidy(folder);
    List<Lost> found = new ArrayList<>();
    for (Path copy : copies()) {
      if (!copy.equals(own) && lock(copy)) {
        Optional<Lost> lost = read(copy);
        lost.ifPresent(found::add);
        if (lost.isEmpty()) {
          unlock(copy);
        }
      }
    }
    found.sort(Comparator.comparing(Lost::when).reversed());
    return found;
  }

  private List<Path> copies() throws IOException {
    try (Stream<Path> files = Files.list(folder)) {
      return files.filter(file -> COPY.matcher(file.getFileName().toString()).matches()).toList();
    }
  }

  private static Optional<Lost> read(Path copy) throws IOException {
    try {
      Job job = JobFiles.open(copy);
      Path origin = originOf(copy);
      List<String> said = Files.exists(origin) ? Files.readAllLines(origin) : List.of();
      return Optional.of(
          new Lost(
              job,
              said.stream().limit(1).filter(line -> !line.isBlank()).map(Path::of).findFirst(),
              said.size() > 1 ? new Stamp(said.get(1).strip()) : Stamp.NONE,
              Files.getLastModifiedTime(copy),
              copy));
    } catch (UnreadableException | CharacterCodingException | InvalidPathException damaged) {
      return Optional.empty();
    }
  }

  /** Takes the lock of a copy; false where another program, or this one, holds it. */
  private boolean lock(Path copy) throws IOException {
    if (locks.containsKey(copy)) {
      return false;
    }
    Path file = lockOf(copy).toAbsolutePath().normalize();
    synchronized (HELD) {
      if (HELD.contains(file)) {
        return false;
      }
      FileChannel channel =
          FileChannel.open(file, StandardOpenOption.CREATE, StandardOpenOption.WRITE);
      try {
        FileLock lock = channel.tryLock();
        if (lock == null) {
          channel.close();
          return false;
        }
      } catch (OverlappingFileLockException ours) {
        channel.close();
        return false;
      }
      HELD.add(file);
      locks.put(copy, channel);
      return true;
    }
  }

  private void unlock(Path copy) throws IOException {
    FileChannel channel = locks.remove(copy);
    if (channel != null) {
      channel.close();
      synchronized (HELD) {
        HELD.remove(lockOf(copy).toAbsolutePath().normalize());
      }
    }
  }

  /** The program ends: what it has not dropped is the next one's to offer. */
  @Override
  public synchronized void close() throws IOException {
    for (Path copy : List.copyOf(locks.keySet())) {
      unlock(copy);
      if (!Files.exists(copy)) {
        Files.deleteIfExists(lockOf(copy));
      }
    }
  }

  private static Path originOf(Path copy) {
    return copy.resolveSibling(copy.getFileName() + ".from");
  }

  private static Path lockOf(Path copy) {
    return copy.resolveSibling(copy.getFileName() + LOCK_ENDING);
  }
}
