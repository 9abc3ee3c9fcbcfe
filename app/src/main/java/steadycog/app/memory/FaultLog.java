package steadycog.app.memory;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;

/** Faults of the program with their traces, for whoever mends them; nobody else needs to look. */
public final class FaultLog {
  /** A log that has grown further is begun anew: what counts is what happened last. */
  private static final long MOST_BYTES = 1_000_000;

  private final Path file;

  public FaultLog(Path folder) {
    file = folder.resolve("faults.txt");
  }

  public Path file() {
    return file;
  }

  /** Adds a fault. */
  public synchronized void add(Throwable fault) throws IOException {
    StringWriter trace = new StringWriter();
    fault.printStackTrace(new PrintWriter(trace));
    MemoryFolder.makeFor(file);
    boolean full = Files.exists(file) && Files.size(file) > MOST_BYTES;
    Files.writeString(
        file,
        Instant.now() + "\n" + trace + "\n",
        StandardOpenOption.CREATE,
        full ? StandardOpenOption.TRUNCATE_EXISTING : StandardOpenOption.APPEND);
  }
}
