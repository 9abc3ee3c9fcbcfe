package steadycog.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Stream;
import javafx.stage.Stage;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.testfx.util.WaitForAsyncUtils;
import steadycog.app.SteadyCogApp.Opened;

/** The pictures of the documents show what the window shows now. */
class ShotsTest extends InWindow {
  private static final Path KEPT = Path.of("..", "docs", "screenshots");

  /** Edges of letters may differ by a shade where another machine draws them. */
  private static final int SHADES = 48;

  private static final double SHARE = 0.002;

  @Test
  void everyPictureOfTheDocumentsIsAsThatViewLooksNow() throws Exception {
    Path fresh = Files.createDirectory(folder.resolve("shots"));
    StringWriter out = new StringWriter();
    AtomicBoolean done = new AtomicBoolean();
    Stage stage = ofFirstSize();
    robot.interact(() -> take(stage, new Shots(fresh, new PrintWriter(out)), done));
    try {
      WaitForAsyncUtils.waitFor(5, TimeUnit.MINUTES, done::get);
    } catch (TimeoutException late) {
      throw new AssertionError("pictures taken until now: " + out, late);
    } finally {
      robot.interact(stage::close);
    }
    assertEquals(names(KEPT), names(fresh));
    List<String> stale = new ArrayList<>();
    for (String name : names(KEPT)) {
      double share = differing(KEPT.resolve(name), fresh.resolve(name));
      if (share > SHARE) {
        stale.add("%s: %.1f %% of it".formatted(name, 100 * share));
      }
    }
    assertEquals(List.of(), stale, "take them again by ./steady-cog shots docs/screenshots");
  }

  /** The window of the tests may still have the size that the test before gave it. */
  private Stage ofFirstSize() {
    Stage[] stage = new Stage[1];
    robot.interact(() -> stage[0] = new Stage());
    return stage[0];
  }

  private void take(Stage stage, Shots shots, AtomicBoolean done) {
    Opened shown = SteadyCogApp.open(stage, dialogs, folder.resolve("memory of pictures"));
    shots.take(shown, () -> done.set(true));
  }

  private static List<String> names(Path folder) throws IOException {
    try (Stream<Path> files = Files.list(folder)) {
      return files.map(file -> file.getFileName().toString()).sorted().toList();
    }
  }

  /** The share of pixels, 0 to 1, that differ in more than a shade. */
  private static double differing(Path one, Path two) throws IOException {
    BufferedImage a = ImageIO.read(one.toFile());
    BufferedImage b = ImageIO.read(two.toFile());
    assertTrue(a.getWidth() == b.getWidth() && a.getHeight() == b.getHeight(), one::toString);
    int other = 0;
    for (int y = 0; y < a.getHeight(); y++) {
      for (int x = 0; x < a.getWidth(); x++) {
        other += isOther(a.getRGB(x, y), b.getRGB(x, y)) ? 1 : 0;
      }
    }
    return other / (double) (a.getWidth() * a.getHeight());
  }

  private static boolean isOther(int a, int b) {
    int apart = 0;
    for (int shift = 0; shift < 24; shift += 8) {
      apart = Math.max(apart, Math.abs((a >> shift & 0xff) - (b >> shift & 0xff)));
    }
    return apart > SHADES;
  }
}
