package steadycog.app;

import java.nio.file.Path;
import java.util.Random;
import javafx.animation.AnimationTimer;
import steadycog.app.SteadyCogApp.Opened;
import steadycog.format.demo.TernRock;

/**
 * A window of its own process that edits and saves without end and says so, to be killed. Its notes
 * hold the number of its last edit.
 */
public final class Victim {
  private Victim() {}

  /** Arguments: the memory folder, the file to save in, the seed. */
  public static void main(String[] args) {
    System.setProperty("glass.platform", "Headless");
    System.setProperty("prism.order", "sw");
    Path memory = Path.of(args[0]);
    Path file = Path.of(args[1]);
    Random random = new Random(Long.parseLong(args[2]));
    SteadyCogApp.run(memory, opened -> work(opened, file, random));
  }

  private static void work(Opened opened, Path file, Random random) {
    opened.desk().file().putDown(TernRock.job());
    new AnimationTimer() {
      private int edit;

      @Override
      public void handle(long now) {
        edit++;
        opened.desk().trains().note(edit + "\n");
        say("edit " + edit);
        if (random.nextInt(20) == 0) {
          try {
            say("saving " + edit);
            opened.desk().file().save(file);
            say("saved " + edit);
          } catch (java.io.IOException failed) {
            say("failed " + failed);
          }
        }
      }
    }.start();
  }

  private static void say(String words) {
    System.out.println(System.currentTimeMillis() + " " + words);
    System.out.flush();
  }
}
