package steadycog.cli;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;
import steadycog.format.demo.TernRock;
import steadycog.format.file.JobFiles;

/** Types commands and keeps what they print. */
abstract class Shell {
  /** What the test on this thread types: tests of other classes run beside it. */
  private static final ThreadLocal<InputStream> TYPED =
      ThreadLocal.withInitial(InputStream::nullInputStream);

  static {
    System.setIn(
        new InputStream() {
          @Override
          public int read() throws IOException {
            return TYPED.get().read();
          }

          @Override
          public int read(byte[] into, int from, int most) throws IOException {
            return TYPED.get().read(into, from, most);
          }
        });
  }

  @TempDir Path folder;
  final StringWriter out = new StringWriter();
  final StringWriter err = new StringWriter();

  /** Runs a command with {@code stdin} typed into it; returns its exit code. */
  int run(String stdin, String... args) {
    out.getBuffer().setLength(0);
    err.getBuffer().setLength(0);
    TYPED.set(new ByteArrayInputStream(stdin.getBytes(StandardCharsets.UTF_8)));
    try {
      CommandLine line = SteadyCog.commandLine();
      return line.setOut(new PrintWriter(out)).setErr(new PrintWriter(err, true)).execute(args);
    } finally {
      TYPED.remove();
    }
  }

  /** The demo job, saved as a file. */
  String demo() throws IOException {
    Path job = folder.resolve("tern.cog.json");
    JobFiles.save(TernRock.job(), 0, job);
    return job.toString();
  }

  /** What the last command printed, read as JSON. */
  JsonNode json() throws JsonProcessingException {
    return new ObjectMapper().readTree(out.toString());
  }
}
