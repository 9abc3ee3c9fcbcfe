package steadycog.cli;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.Optional;
import java.util.ServiceLoader;

/** The commands that need the window; its module offers them when it is on the class path. */
public interface Window {

  /** Opens the window with {@code file}, or with an empty bench, and stays until it is closed. */
  int open(Optional<Path> file, PrintWriter out);

  /** Opens the window with the demo job. */
  int demo(PrintWriter out);

  /** Writes a picture of every main view into {@code folder}. */
  int shots(Path folder, PrintWriter out);

  /** The window, if its module is there. */
  static Optional<Window> find() {
    return ServiceLoader.load(Window.class).findFirst();
  }
}
