package steadycog.app.cut;

import java.nio.file.Path;
import java.util.Optional;

/** Asks the designer where to write a file. */
public interface AskFile {

  /**
   * The file, ending on {@code ending}; empty if the person changed their mind.
   *
   * @param suggested name without the ending
   * @param says what such a file is
   */
  Optional<Path> askExport(String suggested, String says, String ending);
}
