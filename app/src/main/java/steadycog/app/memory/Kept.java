package steadycog.app.memory;

import java.io.IOException;
import java.io.Reader;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.Properties;
import steadycog.format.file.JobFiles;

/** Named values in a file of the memory's folder. */
final class Kept {
  private Kept() {}

  /** What is kept in {@code file}; empty where there is none, or it cannot be read. */
  static Optional<Properties> load(Path file) {
    if (!Files.exists(file)) {
      return Optional.empty();
    }
    Properties kept = new Properties();
    try (Reader reader = Files.newBufferedReader(file)) {
      kept.load(reader);
      return Optional.of(kept);
    } catch (IOException | IllegalArgumentException unreadable) {
      return Optional.empty();
    }
  }

  /** Writes {@code file} whole or not at all. */
  static void save(Properties kept, Path file) throws IOException {
    StringWriter text = new StringWriter();
    kept.store(text, null);
    MemoryFolder.makeFor(file);
    JobFiles.write(file, text.toString());
  }
}
