package steadycog.app.memory;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Optional;
import java.util.Properties;

/** Where the window stood, kept as a properties file. */
public final class WindowFile {
  private static final String[] PLACE = {"x", "y", "width", "height"};

  private final Path file;

  public WindowFile(Path folder) {
    file = folder.resolve("window.properties");
  }

  /**
   * A window as it was left.
   *
   * @param x left edge, y top edge, width, height, in pixels of the screen
   * @param railFolded whether the trains were folded away; empty where that was left to the window
   */
  public record Left(
      double x,
      double y,
      double width,
      double height,
      boolean maximized,
      Optional<Boolean> railFolded) {}

  /** The window as it was left; empty where none is kept, or what is kept cannot be read. */
  public Optional<Left> load() {
    return Kept.load(file).flatMap(WindowFile::read);
  }

  private static Optional<Left> read(Properties kept) {
    try {
      double[] place = new double[PLACE.length];
      for (int k = 0; k < place.length; k++) {
        place[k] = Double.parseDouble(kept.getProperty(PLACE[k], ""));
      }
      if (!Arrays.stream(place).allMatch(Double::isFinite)) {
        return Optional.empty();
      }
      return Optional.of(
          new Left(
              place[0],
              place[1],
              place[2],
              place[3],
              Boolean.parseBoolean(kept.getProperty("maximized")),
              Optional.ofNullable(kept.getProperty("trains-folded")).map(Boolean::parseBoolean)));
    } catch (IllegalArgumentException unreadable) {
      return Optional.empty();
    }
  }

  public void save(Left left) throws IOException {
    Properties kept = new Properties();
    double[] place = {left.x, left.y, left.width, left.height};
    for (int k = 0; k < place.length; k++) {
      kept.setProperty(PLACE[k], Double.toString(place[k]));
    }
    kept.setProperty("maximized", Boolean.toString(left.maximized));
    left.railFolded.ifPresent(is -> kept.setProperty("trains-folded", Boolean.toString(is)));
    Kept.save(kept, file);
  }
}
