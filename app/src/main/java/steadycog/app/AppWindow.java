package steadycog.app;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import steadycog.app.SteadyCogApp.Opened;
import steadycog.app.memory.MemoryFolder;
import steadycog.cli.Window;
import steadycog.format.demo.TernRock;
import steadycog.job.Job;
import steadycog.job.Sheet;

/** The window's commands, found by the command line when this module is on the class path. */
public final class AppWindow implements Window {

  @Override
  public int open(Optional<Path> file, PrintWriter out) {
    return show(out, opened -> file.ifPresent(path -> opened.window().keeper().open(path)));
  }

  @Override
  public int demo(PrintWriter out) {
    return show(
        out,
        opened -> {
          opened.desk().file().putDown(TernRock.job());
          out.println("Open: " + TernRock.job().title());
          out.flush();
        });
  }

  @Override
  public int shots(Path folder, PrintWriter out) {
    goHeadless();
    return new Shots(folder, out).take();
  }

  @Override
  public void picture(Sheet sheet, Path file) throws IOException {
    goHeadless();
    AtomicReference<IOException> failure = new AtomicReference<>();
    SteadyCogApp.run(
        Files.createTempDirectory("steady-cog-picture"),
        opened -> {
          opened.desk().file().putDown(new Job("", List.of(sheet)));
          Picture.whenDrawn(
              () -> {
                try {
                  Picture.write(opened.window().drawing(), file);
                } catch (IOException failed) {
                  failure.set(failed);
                }
                SteadyCogApp.end();
              });
        });
    if (failure.get() != null) {
      throw failure.get();
    }
  }

  private static int show(PrintWriter out, Consumer<Opened> whenOpen) {
    if (!hasDisplay()) {
      goHeadless();
      out.println(
          "No display found: running headless, so no window is seen. Stop with Ctrl+C;"
              + " ./steady-cog shots DIR makes pictures.");
      out.flush();
    }
    SteadyCogApp.run(MemoryFolder.path(), whenOpen);
    return 0;
  }

  /** Only Unix desktops can be without a display; elsewhere there is always one. */
  private static boolean hasDisplay() {
    String system = System.getProperty("os.name", "").toLowerCase(Locale.ROOT);
    boolean mayLackOne = !system.contains("win") && !system.contains("mac");
    return !mayLackOne || isSet("DISPLAY") || isSet("WAYLAND_DISPLAY") || isHeadlessAlready();
  }

  private static boolean isHeadlessAlready() {
    return "Headless".equals(System.getProperty("glass.platform"));
  }

  private static boolean isSet(String variable) {
    String value = System.getenv(variable);
    return value != null && !value.isBlank();
  }

  /** JavaFX's own platform without a display: no system package is needed. */
  private static void goHeadless() {
    System.setProperty("glass.platform", "Headless");
    System.setProperty("prism.order", "sw");
  }
}
