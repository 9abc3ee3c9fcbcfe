package steadycog.cli;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Objects;
import java.util.Properties;
import picocli.CommandLine.IVersionProvider;

/** Which Steady Cog this is. */
public final class Version implements IVersionProvider {
  private static final String FILE = "version.properties";

  /** {@code Steady Cog 1.0.0 (ab12cd3)}: with the commit where it was built from one. */
  public static String text() {
    Properties known = known();
    String commit = known.getProperty("commit", "");
    // What the build could not fill in stands there as it was.
    return "Steady Cog "
        + known.getProperty("version", "")
        + (commit.matches("[0-9a-f]+") ? " (" + commit + ")" : "");
  }

  /** {@code 1.0}: what changes of it is what files may have to know. */
  public static String number() {
    return known().getProperty("version", "").replaceFirst("^(\\d+\\.\\d+).*", "$1");
  }

  private static Properties known() {
    Properties known = new Properties();
    try (InputStream in = Objects.requireNonNull(Version.class.getResourceAsStream(FILE), FILE)) {
      known.load(in);
      return known;
    } catch (IOException broken) {
      throw new UncheckedIOException("a file of the program itself", broken);
    }
  }

  @Override
  public String[] getVersion() {
    return new String[] {text()};
  }
}
