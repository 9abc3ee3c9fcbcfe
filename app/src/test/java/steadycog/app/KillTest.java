package steadycog.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;
import steadycog.app.memory.Recovery;
import steadycog.format.file.JobFiles;
import steadycog.job.Job;

/**
 * Real processes killed at random moments of edits and saves: the file holds what was saved last,
 * and edits older than two seconds are in a copy that the next start offers. {@code -Dkills=200}
 * makes it thorough.
 */
@Tag("slow")
class KillTest {
  private static final int KILLS = Integer.getInteger("kills", 4);
  private static final long OLD_MS = 2000;
  private static final long STARTED_MS = 3000;

  @TempDir Path folder;

  @Test
  @Timeout(value = 2, unit = TimeUnit.HOURS)
  void nothingSavedIsLostAndWhatIsTwoSecondsOldComesBack() throws Exception {
    Random random = new Random(5);
    for (int k = 0; k < KILLS; k++) {
      Path memory = folder.resolve("memory " + k);
      Path file = folder.resolve("job " + k + ".cog.json");
      kill(memory, file, k, 500 + random.nextInt(4000));
    }
  }

  private void kill(Path memory, Path file, int seed, long after) throws Exception {
    Process victim =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "--enable-native-access=ALL-UNNAMED",
                "-cp",
                System.getProperty("java.class.path"),
                Victim.class.getName(),
                memory.toString(),
                file.toString(),
                "" + seed)
            .redirectError(ProcessBuilder.Redirect.DISCARD)
            .redirectOutput(folder.resolve("said").toFile())
            .start();
    // Long enough to start, then at any moment.
    assertFalse(victim.waitFor(STARTED_MS + after, TimeUnit.MILLISECONDS), "it ended by itself");
    victim.destroyForcibly().waitFor();
    long killed = System.currentTimeMillis();
    Log log = new Log();
    for (String line : Files.readAllLines(folder.resolve("said"))) {
      log.add(line);
    }
    judge(log, memory, file, killed);
  }

  /** What the victim said: numbers of edits. */
  private static final class Log {
    private final java.util.TreeMap<Long, Integer> edits = new java.util.TreeMap<>();
    private int saving;
    private int saved;

    void add(String line) {
      String[] words = line.split(" ");
      if (words.length < 3) {
        return; // Killed in the middle of a word.
      }
      int edit = Integer.parseInt(words[2]);
      switch (words[1]) {
        case "edit" -> edits.put(Long.parseLong(words[0]), edit);
        case "saving" -> saving = edit;
        case "saved" -> saved = edit;
        default -> throw new AssertionError(line);
      }
    }
  }

  private static int number(Job job) {
    return Integer.parseInt(job.sheets().getFirst().notes().strip());
  }

  private static void judge(Log log, Path memory, Path file, long killed) throws Exception {
    int onDisk = Files.exists(file) ? number(JobFiles.open(file)) : 0;
    assertTrue(
        onDisk == log.saved || onDisk == log.saving,
        onDisk + " on disk, saved " + log.saved + ", saving " + log.saving);
    var old = log.edits.floorEntry(killed - OLD_MS);
    try (Recovery next = new Recovery(memory)) {
      List<Recovery.Lost> found = next.find();
      int copy = found.isEmpty() ? 0 : number(found.getFirst().job());
      assertTrue(
          old == null || Math.max(copy, onDisk) >= old.getValue(),
          "edit " + (old == null ? 0 : old.getValue()) + ", copy " + copy + ", disk " + onDisk);
      if (!found.isEmpty() && found.getFirst().file().isPresent()) {
        assertEquals(file.toAbsolutePath(), found.getFirst().file().get());
      }
    }
    JobFiles.tidy(file.getParent());
    try (var left = Files.list(file.getParent())) {
      assertFalse(left.anyMatch(f -> f.toString().endsWith(".part")), "nothing half-written stays");
    }
  }
}
