package steadycog.format.demo;

import java.io.IOException;
import java.io.InputStream;
import java.util.Objects;
import steadycog.format.file.JobFiles;
import steadycog.format.json.UnreadableException;
import steadycog.job.Job;

/** Opens the demo job that ships with the program. */
public final class TernRock {
  private static final String RESOURCE = "tern-rock.cog.json";

  private TernRock() {}

  public static Job job() {
    try (InputStream in = TernRock.class.getResourceAsStream(RESOURCE)) {
      return JobFiles.read(Objects.requireNonNull(in, RESOURCE), "Tern Rock");
    } catch (IOException | UnreadableException broken) {
      throw new IllegalStateException("the demo job that ships with the program", broken);
    }
  }
}
