package steadycog.app.memory;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import steadycog.app.desk.Preferences;
import steadycog.format.demo.TernRock;
import steadycog.job.Job;
import steadycog.number.Unit;

class MemoryTest {
  @TempDir Path folder;

  @Test
  void workOfAProcessThatIsGoneIsFoundOnceAndOthersAreLeftAlone() throws Exception {
    Path file = folder.resolve("tern.cog.json");
    Recovery crashed = new Recovery(folder, 11, pid -> true);
    crashed.keep(Job.empty(), Optional.empty());
    crashed.keep(TernRock.job(), Optional.of(file));
    new Recovery(folder, 12, pid -> true).keep(Job.empty(), Optional.empty());
    Recovery next = new Recovery(folder, 13, pid -> pid == 12);
    List<Recovery.Lost> found = next.find();
    assertEquals(1, found.size());
    assertEquals(TernRock.job(), found.getFirst().job());
    assertEquals(Optional.of(file), found.getFirst().file());
    next.drop(found.getFirst());
    assertEquals(List.of(), next.find());
    new Recovery(folder, 12, pid -> true).drop();
    try (var left = Files.list(folder)) {
      assertEquals(0, left.count());
    }
  }

  @Test
  void aDamagedCopyDoesNotStopTheStart() throws Exception {
    Files.writeString(folder.resolve("unsaved-7.cog.json"), "{\"format\":");
    assertEquals(List.of(), new Recovery(folder, 8, pid -> false).find());
    assertEquals(List.of(), new Recovery(folder.resolve("none"), 8, pid -> false).find());
  }

  @Test
  void recentFilesAreNewestFirstWithoutRepeatsOrGhosts() throws Exception {
    RecentFiles recent = new RecentFiles(folder.resolve("memory"));
    assertEquals(List.of(), recent.all());
    for (int k = 0; k < 10; k++) {
      recent.add(Files.createFile(folder.resolve("job" + k + ".cog.json")));
    }
    recent.add(folder.resolve("job5.cog.json"));
    Files.delete(folder.resolve("job9.cog.json"));
    List<String> names = recent.all().stream().map(f -> f.getFileName().toString()).toList();
    assertEquals("job5.cog.json", names.getFirst());
    assertEquals("job8.cog.json", names.get(1));
    assertEquals(7, names.size());
  }

  @Test
  void theFolderFollowsTheSystemsCustom() {
    assertEquals(
        Path.of("/home/tern/.local/state/steady-cog"),
        MemoryFolder.path(Map.of(), "Linux", "/home/tern"));
    assertEquals(
        Path.of("/state/steady-cog"),
        MemoryFolder.path(Map.of("XDG_STATE_HOME", "/state"), "Linux", "/home/tern"));
    assertTrue(
        MemoryFolder.path(Map.of(), "Mac OS X", "/Users/tern").toString().contains("Library"));
    assertEquals(
        Path.of("/elsewhere"),
        MemoryFolder.path(Map.of("STEADY_COG_HOME", "/elsewhere"), "Linux", "/home/tern"));
  }

  @Test
  void preferencesComeBackAndDamageFallsBackToTheUsual() throws Exception {
    PreferenceFile file = new PreferenceFile(folder);
    assertEquals(Preferences.USUAL, file.load());
    Preferences odd =
        Preferences.USUAL
            .leading(true)
            .in(Unit.RAD_PER_S)
            .in(Unit.LBF_IN)
            .in(Unit.HP)
            .inDark(true)
            .sized(16);
    file.save(odd);
    assertEquals(odd, file.load());
    Files.writeString(
        folder.resolve("preferences.properties"), "speed=furlong\ntext-size=900\ndark=\\u12");
    assertEquals(Preferences.USUAL, file.load());
    Files.writeString(folder.resolve("preferences.properties"), "speed=furlong\ntext-size=900\n");
    assertEquals(Preferences.USUAL.sized(Preferences.LARGEST_TEXT), file.load());
  }
}
