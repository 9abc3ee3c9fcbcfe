package steadycog.app.files;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/** Asks the designer for files to write and to read. */
public interface AskFile {

  /**
   * The file, ending on {@code ending}; empty if the person changed their mind.
   *
   * @param suggested name without the ending
   * @param says what such a file is
   */
  Optional<Path> askExport(String suggested, String says, String ending);

  /**
   * A file to read; empty if the person changed their mind.
   *
   * @param says what such a file is
   * @param endings with their dots
   */
  Optional<Path> askRead(String says, List<String> endings);

  /** Any files; none if the person changed their mind. */
  List<Path> askAny(String says);
}
