package steadycog.app.memory;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import steadycog.format.file.JobFiles;

/** The files last opened or saved, newest first. */
public final class RecentFiles {
  private static final int MOST = 8;

  private final Path list;

  public RecentFiles(Path folder) {
    list = folder.resolve("recent.txt");
  }

  /** Those that still exist; none where the list cannot be read. */
  public List<Path> all() {
    try {
      return Files.exists(list)
          ? Files.readAllLines(list).stream()
              .filter(line -> !line.isBlank())
              .map(Path::of)
              .filter(Files::exists)
              .toList()
          : List.of();
    } catch (IOException unreadable) {
      return List.of();
    }
  }

  /** Puts {@code file} first. */
  public void add(Path file) throws IOException {
    List<Path> files = new ArrayList<>(all());
    Path whole = file.toAbsolutePath().normalize();
    files.remove(whole);
    files.addFirst(whole);
    MemoryFolder.makeFor(list);
    JobFiles.write(
        list, files.stream().limit(MOST).map(path -> path + "\n").collect(Collectors.joining()));
  }
}
