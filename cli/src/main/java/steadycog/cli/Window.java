package steadycog.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.Optional;
import java.util.ServiceLoader;
import steadycog.job.Sheet;

/** The commands that need the window; its module offers them when it is on the class path. */
public interface Window {

  /** Opens the window with {@code file}, or with an empty bench, and stays until it is closed. */
  int open(Optional<Path> file, PrintWriter out);

  /** Opens the window with the demo job. */
  int demo(PrintWriter out);

  /** Writes a picture of every main view into {@code folder}. */
  int shots(Path folder, PrintWriter out);

  /**
   * Writes a PNG of the train's gear table.
   *
   * @throws IOException if the file cannot be written
   */
  void picture(Sheet sheet, Path file) throws IOException;

  /** The window, if its module is there. */
  static Optional<Window> find() {
    return ServiceLoader.load(Window.class).findFirst();
  }
}
