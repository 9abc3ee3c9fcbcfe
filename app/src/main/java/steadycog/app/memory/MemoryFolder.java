package steadycog.app.memory;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import steadycog.number.Known;

/** Where the program keeps what it remembers, by the custom of each system. */
public final class MemoryFolder {
  /** Names another folder, for tests and for several installations side by side. */
  static final String OVERRIDE = "STEADY_COG_HOME";

  private MemoryFolder() {}

  /** The folder for this person on this system; it need not exist yet. */
  public static Path path() {
    return path(
        System.getenv(), System.getProperty("os.name", ""), System.getProperty("user.home"));
  }

  /** Makes the folder, where it is not there yet, for its owner alone. */
  static void make(Path folder) throws IOException {
    if (!Files.isDirectory(folder)) {
      Files.createDirectories(folder);
      PosixFileAttributeView rights =
          Files.getFileAttributeView(folder, PosixFileAttributeView.class);
      if (rights != null) {
        rights.setPermissions(PosixFilePermissions.fromString("rwx------"));
      }
    }
  }

  /** Makes the folder in which {@code file} lies. */
  static void makeFor(Path file) throws IOException {
    make(Objects.requireNonNull(file.toAbsolutePath().getParent(), "a file without a folder"));
  }

  static Path path(Map<String, String> environment, String system, String home) {
    String override = environment.getOrDefault(OVERRIDE, "");
    if (!override.isBlank()) {
      return Path.of(override);
    }
    String name = system.toLowerCase(Locale.ROOT);
    if (name.contains("win") && environment.containsKey("LOCALAPPDATA")) {
      return Path.of(Known.in(environment, "LOCALAPPDATA"), "Steady Cog");
    }
    if (name.contains("mac")) {
      return Path.of(home, "Library", "Application Support", "Steady Cog");
    }
    String state = environment.getOrDefault("XDG_STATE_HOME", "");
    Path base = state.isBlank() ? Path.of(home, ".local", "state") : Path.of(state);
    return base.resolve("steady-cog");
  }
}
