package steadycog.app;

import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import javafx.application.Platform;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.BeforeEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;

/**
 * Fails every test during which an exception went uncaught, on the interface's thread or another:
 * there it breaks off what was being shown without any test seeing it. Registered for the whole
 * module, so that no test can forget it.
 */
public final class Uncaught implements BeforeAllCallback, BeforeEachCallback, AfterEachCallback {
  private static final List<Throwable> SEEN = new CopyOnWriteArrayList<>();

  @Override
  public void beforeAll(ExtensionContext context) {
    Thread.setDefaultUncaughtExceptionHandler((thread, thrown) -> see(thrown));
  }

  /** The platform without a display keeps a picture of 1000 rows: larger windows run out of it. */
  private static void see(Throwable thrown) {
    boolean picture =
        Arrays.stream(thrown.getStackTrace())
            .anyMatch(at -> at.getClassName().endsWith("HeadlessWindow"));
    if (!picture) {
      SEEN.add(thrown);
    }
  }

  @Override
  public void beforeEach(ExtensionContext context) {
    SEEN.clear();
  }

  @Override
  public void afterEach(ExtensionContext context) {
    if (!SEEN.isEmpty()) {
      AssertionError failure =
          new AssertionError(SEEN.size() + " uncaught while this test ran: " + SEEN.getFirst());
      SEEN.forEach(failure::addSuppressed);
      SEEN.clear();
      throw failure;
    }
  }

  /** Throws what went uncaught so far, to see after which step of many it was. */
  static void check(Object after) {
    if (!SEEN.isEmpty()) {
      throw new AssertionError("uncaught after " + after, SEEN.getFirst());
    }
  }

  /** Lets the interface's thread be watched too; to be called on it. */
  static void watch() {
    if (Platform.isFxApplicationThread()) {
      Thread.currentThread().setUncaughtExceptionHandler((thread, thrown) -> see(thrown));
    }
  }
}
