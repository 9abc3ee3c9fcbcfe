package steadycog.format.file;

import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.NoSuchFileException;
import java.nio.file.NotDirectoryException;

/** What went wrong with a file, in words that a person can act on. */
public final class Trouble {
  private Trouble() {}

  /** {@code access is denied}, without the file's name. */
  public static String words(IOException failed) {
    return switch (failed) {
      case NoSuchFileException missing -> "no such file or folder";
      case AccessDeniedException denied -> "access is denied";
      case NotDirectoryException plain -> "a part of its path is no folder";
      case FileSystemException system when system.getReason() != null -> system.getReason();
      default ->
          failed.getMessage() == null ? failed.getClass().getSimpleName() : failed.getMessage();
    };
  }
}
