package steadycog.app.memory;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import steadycog.app.desk.Preferences;
import steadycog.app.desk.Station;
import steadycog.app.memory.RecentFiles.View;
import steadycog.format.demo.TernRock;
import steadycog.format.file.Stamp;
import steadycog.format.json.JobJson;
import steadycog.job.Job;
import steadycog.number.Unit;
import steadycog.piece.Plates;

class MemoryTest {
  @TempDir Path folder;

  private static final Stamp STAMP = new Stamp("17a3");

  @Test
  void onlyWhatNoRunningProgramHoldsIsOfferedAndOnlyOnce() throws Exception {
    Path file = folder.resolve("tern.cog.json");
    Recovery running = new Recovery(folder);
    running.keep(Job.empty(), Optional.empty(), Stamp.NONE);
    Recovery crashed = new Recovery(folder);
    crashed.keep(Job.empty(), Optional.empty(), Stamp.NONE);
    crashed.keep(TernRock.job(), Optional.of(file), STAMP);
    Recovery next = new Recovery(folder);
    assertEquals(List.of(), next.find(), "both run");
    crashed.close();
    List<Recovery.Lost> found = next.find();
    assertEquals(List.of(TernRock.job()), found.stream().map(Recovery.Lost::job).toList());
    assertEquals(Optional.of(file), found.getFirst().file());
    assertEquals(STAMP, found.getFirst().stamp());
    try (Recovery third = new Recovery(folder)) {
      assertEquals(List.of(), third.find(), "what one offers no other does");
      next.close();
      assertEquals(1, third.find().size(), "until it ends without an answer");
      third.drop(found.getFirst());
    }
    running.drop();
    running.close();
    try (var left = Files.list(folder)) {
      assertEquals(List.of(), left.toList());
    }
  }

  @Test
  void copiesNamedByTheNumberOfAProcessAreOfferedWhateverRunsUnderItNow() throws Exception {
    for (long number : new long[] {1, ProcessHandle.current().pid()}) {
      Files.writeString(
          folder.resolve("unsaved-" + number + ".cog.json"), JobJson.write(TernRock.job()));
    }
    try (Recovery next = new Recovery(folder)) {
      next.keep(Job.empty(), Optional.empty(), Stamp.NONE);
      List<Recovery.Lost> found = next.find();
      assertEquals(2, found.size());
      found.forEach(lost -> assertEquals(TernRock.job(), lost.job()));
    }
  }

  @Test
  void aDamagedCopyDoesNotStopTheStart() throws Exception {
    Files.writeString(folder.resolve("unsaved-7.cog.json"), "{\"format\":");
    Files.write(folder.resolve("unsaved-8.cog.json"), new byte[] {(byte) 0xff, 0});
    try (Recovery next = new Recovery(folder);
        Recovery nowhere = new Recovery(folder.resolve("none"))) {
      assertEquals(List.of(), next.find());
      assertEquals(List.of(), nowhere.find());
    }
    assertTrue(Files.exists(folder.resolve("unsaved-7.cog.json")));
  }

  @Test
  void copiesAreForTheirOwnersEyesAlone() throws Exception {
    Path own = folder.resolve("memory");
    try (Recovery recovery = new Recovery(own)) {
      recovery.keep(TernRock.job(), Optional.empty(), Stamp.NONE);
      assertEquals("rwx------", PosixFilePermissions.toString(Files.getPosixFilePermissions(own)));
      try (var files = Files.list(own)) {
        for (Path copy :
            (Iterable<Path>) files.filter(f -> !f.toString().endsWith(".lock"))::iterator) {
          assertEquals(
              "rw-------", PosixFilePermissions.toString(Files.getPosixFilePermissions(copy)));
        }
      }
    }
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

  /**
   * What was in view comes back with its file, and lines of before and broken ones still name
   * theirs.
   */
  @Test
  void aFileIsOpenedWhereItWasLeft() throws Exception {
    RecentFiles recent = new RecentFiles(folder);
    Path one = Files.createFile(folder.resolve("one\ttwo.cog.json"));
    Path two = Files.createFile(folder.resolve("two.cog.json"));
    for (Station station : Station.values()) {
      View left = new View(station, station.ordinal());
      recent.add(one, left);
      recent.add(two);
      assertEquals(List.of(two, one), recent.all());
      assertEquals(Optional.of(left), recent.view(one));
      assertEquals(Optional.empty(), recent.view(two));
      recent.add(one);
      assertEquals(Optional.of(left), recent.view(one), "opened again");
    }
    Files.writeString(folder.resolve("recent.txt"), two + "\n" + one + "\tSHOP\t3\n\n");
    assertEquals(List.of(two, one), recent.all());
    assertEquals(Optional.empty(), recent.view(one), "a station that there is not");
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
            .standingStill(true)
            .sized(16)
            .onPlates(new Plates.Size(250, 210.5));
    file.save(odd);
    assertEquals(odd, file.load());
    Files.writeString(
        folder.resolve("preferences.properties"), "speed=furlong\ntext-size=900\ndark=\\u12");
    assertEquals(Preferences.USUAL, file.load());
    Files.writeString(
        folder.resolve("preferences.properties"), "speed=furlong\ntext-size=900\nplate=wide\n");
    assertEquals(Preferences.USUAL.sized(Preferences.LARGEST_TEXT), file.load());
  }

  /** A window is brought back whole, or not at all where what was kept makes no window. */
  @Test
  void theWindowIsKeptWholeOrNotAtAll() throws Exception {
    WindowFile file = new WindowFile(folder);
    assertEquals(Optional.empty(), file.load());
    for (Optional<Boolean> folded :
        List.of(Optional.<Boolean>empty(), Optional.of(true), Optional.of(false))) {
      WindowFile.Left left = new WindowFile.Left(-12.5, 40, 1280, 800, true, folded);
      file.save(left);
      assertEquals(Optional.of(left), file.load());
    }
    Path kept = folder.resolve("window.properties");
    String whole = Files.readString(kept);
    for (String[] spoilt :
        new String[][] {
          {"width=1280.0", "width=wide"},
          {"height=800.0", "height=NaN"},
          {"x=-12.5", ""}
        }) {
      assertTrue(whole.contains(spoilt[0]), spoilt[0]);
      Files.writeString(kept, whole.replace(spoilt[0], spoilt[1]));
      assertEquals(Optional.empty(), file.load(), spoilt[1]);
    }
  }
}
