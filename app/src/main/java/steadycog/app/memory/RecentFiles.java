package steadycog.app.memory;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import steadycog.app.desk.Station;
import steadycog.format.file.JobFiles;

/**
 * The files last opened or saved, newest first, each with what of it was in view: a line a file,
 * its path, station and train parted by tabs.
 */
public final class RecentFiles {
  private static final int MOST = 8;
  private static final Pattern LINE =
      Pattern.compile("(?<path>.*?)(\t(?<station>\\w+)\t(?<train>\\d+))?");

  private final Path list;

  /**
   * What of a job was in view.
   *
   * @param train which of its trains, from 0
   */
  public record View(Station station, int train) {}

  private record Recent(Path file, Optional<View> view) {
    static Optional<Recent> read(String line) {
      Matcher found = LINE.matcher(line);
      if (line.isBlank() || !found.matches()) {
        return Optional.empty();
      }
      return Optional.of(new Recent(Path.of(found.group("path")), view(found)));
    }

    private static Optional<View> view(Matcher found) {
      return Arrays.stream(Station.values())
          .filter(station -> station.name().equals(found.group("station")))
          .findFirst()
          .map(station -> new View(station, Integer.parseInt(found.group("train"))));
    }

    String line() {
      return file + view.map(v -> "\t" + v.station + "\t" + v.train).orElse("") + "\n";
    }
  }

  public RecentFiles(Path folder) {
    list = folder.resolve("recent.txt");
  }

  /** Those that still exist; none where the list cannot be read. */
  public List<Path> all() {
    return read().stream().map(Recent::file).toList();
  }

  /** What of {@code file} was in view when it was last left; empty where nobody knows. */
  public Optional<View> view(Path file) {
    return of(file).findFirst().flatMap(Recent::view);
  }

  /** Puts {@code file} first. */
  public void add(Path file) throws IOException {
    put(file, view(file));
  }

  /** Puts {@code file} first, with what is in view of it. */
  public void add(Path file, View view) throws IOException {
    put(file, Optional.of(view));
  }

  private Stream<Recent> of(Path file) {
    Path whole = whole(file);
    return read().stream().filter(recent -> recent.file.equals(whole));
  }

  private static Path whole(Path file) {
    return file.toAbsolutePath().normalize();
  }

  private void put(Path file, Optional<View> view) throws IOException {
    Recent first = new Recent(whole(file), view);
    Stream<Recent> others = read().stream().filter(recent -> !recent.file.equals(first.file));
    MemoryFolder.makeFor(list);
    JobFiles.write(
        list,
        Stream.concat(Stream.of(first), others)
            .limit(MOST)
            .map(Recent::line)
            .collect(Collectors.joining()));
  }

  private List<Recent> read() {
    try {
      return Files.exists(list)
          ? Files.readAllLines(list).stream()
              .flatMap(line -> Recent.read(line).stream())
              .filter(recent -> Files.exists(recent.file))
              .toList()
          : List.of();
    } catch (IOException | InvalidPathException | NumberFormatException unreadable) {
      return List.of();
    }
  }
}
