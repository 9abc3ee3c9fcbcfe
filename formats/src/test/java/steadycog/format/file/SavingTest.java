package steadycog.format.file;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import steadycog.format.json.JobJson;
import steadycog.job.Job;
import steadycog.job.Sheet;
import steadycog.notation.Card;

/** What a save may not do to files that are there. */
class SavingTest {
  @TempDir Path folder;

  private static String rights(Path file) throws IOException {
    return PosixFilePermissions.toString(Files.getPosixFilePermissions(file));
  }

  private List<String> names() throws IOException {
    try (var files = Files.list(folder)) {
      return files.map(file -> file.getFileName().toString()).sorted().toList();
    }
  }

  @Test
  void aFileKeepsItsRights() throws IOException {
    for (String kept : List.of("rw-------", "rw-rw-r--", "r--r--r--")) {
      Path file = folder.resolve(kept);
      Files.writeString(file, "old");
      Files.setPosixFilePermissions(file, PosixFilePermissions.fromString(kept));
      JobFiles.write(file, "new");
      assertEquals(kept, rights(file));
      assertEquals("new", Files.readString(file));
    }
    Path secret = folder.resolve("secret");
    JobFiles.writePrivately(secret, "mine");
    assertEquals("rw-------", rights(secret));
  }

  @Test
  void linksLeadWhereTheyLed() throws IOException {
    Path file = Files.writeString(folder.resolve("job"), "old");
    Path hard = Files.createLink(folder.resolve("hard"), file);
    Path soft = Files.createSymbolicLink(folder.resolve("soft"), Path.of("job"));
    Path far = Files.createSymbolicLink(folder.resolve("far"), soft);
    JobFiles.write(far, "a much longer text");
    assertEquals("a much longer text", Files.readString(hard));
    JobFiles.write(hard, "short");
    assertEquals("short", Files.readString(file), "both names of one file");
    assertTrue(Files.isSymbolicLink(soft) && Files.isSymbolicLink(far));
    Path nowhere = Files.createSymbolicLink(folder.resolve("nowhere"), Path.of("not yet"));
    JobFiles.write(nowhere, "here");
    assertEquals("here", Files.readString(folder.resolve("not yet")));
    Path round = folder.resolve("round");
    Files.createSymbolicLink(round, round);
    assertTrue(
        Trouble.words(assertThrows(IOException.class, () -> JobFiles.write(round, "x")))
            .contains("circle"));
    assertEquals(List.of("far", "hard", "job", "not yet", "nowhere", "round", "soft"), names());
  }

  @Test
  void aFolderIsNeverWrittenOverAndAMissingOneIsNamed() throws IOException {
    Path empty = Files.createDirectory(folder.resolve("empty.png"));
    IOException refused = assertThrows(IOException.class, () -> JobFiles.write(empty, "x"));
    assertEquals("it is a folder", Trouble.words(refused));
    assertTrue(Files.isDirectory(empty));
    Path far = folder.resolve("none").resolve("job");
    IOException missing = assertThrows(IOException.class, () -> JobFiles.write(far, "x"));
    assertEquals("the folder " + far.getParent() + " does not exist", Trouble.words(missing));
  }

  @Test
  void whatAKilledSaveLeftIsTidiedAwayButNotWhatIsBeingWritten() throws IOException {
    Path left = folder.resolve(".job." + UUID.randomUUID() + ".part");
    Path busy = folder.resolve(".job." + UUID.randomUUID() + ".part");
    Path own = folder.resolve(".notes.part");
    for (Path file : List.of(left, busy, own)) {
      Files.writeString(file, "half");
    }
    try (FileChannel writing = FileChannel.open(busy, StandardOpenOption.WRITE)) {
      assertTrue(writing.tryLock().isValid());
      JobFiles.tidy(folder);
      assertFalse(Files.exists(left));
      assertTrue(Files.exists(busy) && Files.exists(own));
    }
    JobFiles.tidy(folder.resolve("none"));
  }

  @Test
  void aStampTellsWhetherAFileWasWritten() throws IOException {
    Path file = folder.resolve("job");
    assertEquals(Stamp.NONE, Stamp.of(file));
    Files.writeString(file, "one");
    Stamp one = Stamp.of(file);
    Files.writeString(file, "two");
    assertNotEquals(one, Stamp.of(file));
    Files.writeString(file, "one");
    assertEquals(one, Stamp.of(file), "by contents, not by time");
  }

  @Test
  void whatCanBeWrittenCanBeRead() throws Exception {
    Path file = folder.resolve("long.cog.json");
    Card card = Card.read("parallel 18 ~ 72 # " + "x".repeat(3_000_000) + "\n");
    Job job = new Job("", List.of(Sheet.of("long", card)));
    JobFiles.save(job, 0, file);
    assertEquals(job, JobFiles.open(file));
    Job larger = new Job("", List.of(Sheet.of("a", card).noting("y".repeat(JobFiles.MOST_BYTES))));
    IOException refused = assertThrows(IOException.class, () -> JobFiles.save(larger, 0, file));
    assertTrue(Trouble.words(refused).contains("larger than 16 MB"), Trouble.words(refused));
    assertEquals(JobJson.write(job), Files.readString(file));
  }
}
