package steadycog.app;

import java.nio.file.Files;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import javafx.animation.AnimationTimer;
import steadycog.app.SteadyCogApp.Opened;
import steadycog.train.MemberId;

/**
 * Measures the real window without a display: frames a second while the crank runs, and how long an
 * edit takes until everything is laid out again. Run as CONTRIBUTING.md says; never part of the
 * tests.
 */
final class WindowBenchmark {
  private static final String TWELVE =
      "parallel 18 ~ 72 = 20 ~ 80 = 17 ~ 60 ~ 24 = 19 ~ 57 = 21 ~ 45 ~ 30\ndrive A\ntake L\n";
  private static int edits = 1500;
  private static final int FIRST = 200;
  private static final long RUN_NANOS = 6_000_000_000L;

  private WindowBenchmark() {}

  public static void main(String[] args) throws Exception {
    edits = args.length > 0 ? Integer.parseInt(args[0]) : edits;
    System.setProperty("glass.platform", "Headless");
    System.setProperty("prism.order", "sw");
    SteadyCogApp.run(Files.createTempDirectory("steady-cog-bench"), WindowBenchmark::measure);
  }

  private static void measure(Opened opened) {
    opened.desk().train().type(TWELVE);
    Picture.whenDrawn(() -> new Edits(opened).start());
  }

  /** Changes a tooth count at every frame and times it to the end of the frame's layout. */
  private static final class Edits extends AnimationTimer {
    private final Opened opened;
    private final List<Double> millis = new ArrayList<>();
    private final Runnable afterLayout = this::finish;
    private long start;

    Edits(Opened opened) {
      this.opened = opened;
      opened.stage().getScene().addPostLayoutPulseListener(afterLayout);
    }

    @Override
    public void handle(long now) {
      start = System.nanoTime();
      opened.desk().train().changeTeeth(new MemberId("", "F"), millis.size() % 2 == 0 ? 1 : -1);
    }

    private void finish() {
      if (start == 0) {
        return;
      }
      millis.add((System.nanoTime() - start) / 1e6);
      start = 0;
      if (millis.size() < edits) {
        return;
      }
      stop();
      opened.stage().getScene().removePostLayoutPulseListener(afterLayout);
      print("after " + edits / 2 + " edits", millis.subList(edits / 2, edits));
      print("in the first " + FIRST, millis.subList(FIRST / 2, FIRST));
      opened.desk().crank().toggleRunning();
      new Frames(opened).start();
    }
  }

  private static void print(String when, List<Double> measured) {
    List<Double> sorted = new ArrayList<>(measured);
    Collections.sort(sorted);
    System.out.printf(
        Locale.ROOT,
        "edit of 12 wheels to a laid-out window, %s: median %.1f ms, 90 %% below %.1f ms%n",
        when,
        sorted.get(sorted.size() / 2),
        sorted.get(sorted.size() * 9 / 10));
  }

  /** Counts frames while the crank runs. */
  private static final class Frames extends AnimationTimer {
    private final Opened opened;
    private final List<Double> gaps = new ArrayList<>();
    private long first;
    private long last;

    Frames(Opened opened) {
      this.opened = opened;
    }

    @Override
    public void handle(long now) {
      if (first == 0) {
        first = now;
      } else {
        gaps.add((now - last) / 1e6);
      }
      last = now;
      if (now - first > RUN_NANOS) {
        stop();
        Collections.sort(gaps);
        Runtime memory = Runtime.getRuntime();
        System.out.printf(
            Locale.ROOT,
            "crank of 12 wheels: %.1f frames a second, median gap %.1f ms, 99 %% below %.1f ms;"
                + " heap %d MB%n",
            gaps.size() * 1e9 / (now - first),
            gaps.get(gaps.size() / 2),
            gaps.get(gaps.size() * 99 / 100),
            (memory.totalMemory() - memory.freeMemory()) >> 20);
        opened.desk().crank().toggleRunning();
        SteadyCogApp.end();
      }
    }
  }
}
