package steadycog.format.file;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import steadycog.format.demo.TernRock;
import steadycog.format.json.UnreadableException;
import steadycog.job.Job;

class JobFilesTest {
  @TempDir Path folder;

  @Test
  void savesAndOpensByEnding() throws Exception {
    Job job = TernRock.job();
    Path file = folder.resolve("tern.cog.json");
    JobFiles.save(job, 0, file);
    assertEquals(job, JobFiles.open(file));
    Path card = folder.resolve("winch.txt");
    JobFiles.save(job, 1, card);
    Job one = JobFiles.open(card);
    assertEquals("winch", one.sheets().getFirst().name());
    assertEquals(job.sheets().get(1).card(), one.sheets().getFirst().card());
    try (var left = Files.list(folder)) {
      assertEquals(List.of(file, card), left.sorted().toList());
    }
  }

  @Test
  void aSaveThatFailsLeavesTheOldFileWhole() throws Exception {
    Path file = folder.resolve("kept").resolve("tern.cog.json");
    Files.createDirectory(file.getParent());
    JobFiles.write(file, "old");
    Path asFolder = folder.resolve("taken.cog.json");
    Files.createDirectories(asFolder.resolve("inside"));
    assertThrows(IOException.class, () -> JobFiles.write(asFolder, "new"));
    assertThrows(
        IOException.class, () -> JobFiles.write(folder.resolve("nowhere").resolve("f"), "new"));
    assertEquals("old", Files.readString(file));
    try (var left = Files.list(folder)) {
      assertEquals(2, left.count(), "nothing half-written is left behind");
    }
  }

  @Test
  void foreignAndHugeFilesAreRefused() throws Exception {
    Path binary = folder.resolve("picture.txt");
    Files.write(binary, new byte[] {(byte) 0x89, 'P', 'N', 'G', 0, (byte) 0xff});
    assertTrue(refusal(binary).getMessage().contains("not UTF-8"));
    UnreadableException huge =
        assertThrows(UnreadableException.class, () -> JobFiles.read(new Endless(), "x"));
    assertTrue(huge.getMessage().contains("larger than 16 MB"));
    Path marked = folder.resolve("marked.txt");
    Files.writeString(marked, "\ufeffparallel 9 ~ 18\r\ntake B\r\n");
    assertEquals(
        2, JobFiles.open(marked).sheets().getFirst().card().orElseThrow().train().members().size());
  }

  private static UnreadableException refusal(Path file) {
    return assertThrows(UnreadableException.class, () -> JobFiles.open(file));
  }

  private static final class Endless extends InputStream {
    @Override
    public int read() {
      return ' ';
    }
  }
}
