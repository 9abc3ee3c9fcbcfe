package steadycog.format.file;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFileAttributes;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.EnumSet;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Writes files whole or not at all: first beside the file and flushed to disk, then in its place in
 * one step. A file that is there keeps its rights, links lead to where they led, and a folder is
 * never written over.
 */
final class Saving {
  private static final String ENDING = ".part";

  /** {@code .NAME.UUID.part}: what is written before it takes the place of {@code NAME}. */
  private static final Pattern PART =
      Pattern.compile("\\..+\\.[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}\\.part");

  private static final Set<PosixFilePermission> OWNER_ALONE =
      EnumSet.of(PosixFilePermission.OWNER_READ, PosixFilePermission.OWNER_WRITE);

  /** As many links as this are a circle. */
  private static final int MOST_LINKS = 40;

  private Saving() {}

  static void write(Path file, byte[] contents, boolean ownerAlone) throws IOException {
    Path target = behindLinks(file.toAbsolutePath());
    if (Files.isDirectory(target)) {
      throw new FileSystemException(file.toString(), null, "it is a folder");
    }
    Path folder = folder(target);
    if (!Files.isDirectory(folder)) {
      throw new FileSystemException(
          file.toString(), null, "the folder " + folder + " does not exist");
    }
    Path beside = folder.resolve("." + target.getFileName() + "." + UUID.randomUUID() + ENDING);
    try {
      put(beside, contents, target, ownerAlone);
      if (hasOtherNames(target)) {
        // Another file in its place would leave its other names with what was there before.
        overwrite(target, contents);
      } else {
        move(beside, target);
      }
    } catch (NoSuchFileException gone) {
      throw new FileSystemException(file.toString(), null, "its folder has gone");
    } finally {
      Files.deleteIfExists(beside);
    }
  }

  /** Where a link leads, also one to a file that is not there yet. */
  private static Path behindLinks(Path file) throws IOException {
    Path at = file;
    for (int k = 0; Files.isSymbolicLink(at); k++) {
      if (k == MOST_LINKS) {
        throw new FileSystemException(file.toString(), null, "its links lead round in a circle");
      }
      at = at.resolveSibling(Files.readSymbolicLink(at));
    }
    return at;
  }

  /** Locked while it is written, so that nobody takes it for one that was left behind. */
  private static void put(Path beside, byte[] contents, Path target, boolean ownerAlone)
      throws IOException {
    try (FileChannel channel = create(beside, ownerAlone || Files.exists(target))) {
      tryLock(channel);
      fill(channel, contents);
      if (!ownerAlone && Files.exists(target)) {
        takeRights(target, beside);
      }
    }
  }

  private static Path folder(Path file) {
    return Objects.requireNonNullElse(file.getParent(), file);
  }

  /** Rights to the owner alone until those of the file are known: it is never more open. */
  private static FileChannel create(Path beside, boolean ownerAlone) throws IOException {
    Set<StandardOpenOption> options =
        EnumSet.of(StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE);
    return ownerAlone && posix(folder(beside)).isPresent()
        ? FileChannel.open(beside, options, PosixFilePermissions.asFileAttribute(OWNER_ALONE))
        : FileChannel.open(beside, options);
  }

  private static void fill(FileChannel channel, byte[] contents) throws IOException {
    ByteBuffer bytes = ByteBuffer.wrap(contents);
    while (bytes.hasRemaining()) {
      channel.write(bytes);
    }
    channel.force(true);
  }

  private static Optional<PosixFileAttributeView> posix(Path file) {
    return Optional.ofNullable(Files.getFileAttributeView(file, PosixFileAttributeView.class));
  }

  /** Owner and group where the system lets them be given, and the rights in any case. */
  private static void takeRights(Path from, Path to) throws IOException {
    Optional<PosixFileAttributeView> old = posix(from);
    if (old.isEmpty()) {
      return;
    }
    PosixFileAttributes rights = old.get().readAttributes();
    PosixFileAttributeView fresh = posix(to).orElseThrow();
    try {
      if (!fresh.readAttributes().owner().equals(rights.owner())) {
        fresh.setOwner(rights.owner());
      }
      if (!fresh.readAttributes().group().equals(rights.group())) {
        fresh.setGroup(rights.group());
      }
    } catch (IOException notOurs) {
      // Whoever may write a file need not be allowed to give it away: then it becomes theirs.
    }
    fresh.setPermissions(rights.permissions());
  }

  private static boolean hasOtherNames(Path target) throws IOException {
    return Files.exists(target)
        && Files.getFileStore(target).supportsFileAttributeView("unix")
        && (Integer) Files.getAttribute(target, "unix:nlink") > 1;
  }

  private static void overwrite(Path target, byte[] contents) throws IOException {
    try (FileChannel channel = FileChannel.open(target, StandardOpenOption.WRITE)) {
      fill(channel, contents);
      channel.truncate(contents.length);
      channel.force(true);
    }
  }

  private static void move(Path from, Path to) throws IOException {
    try {
      Files.move(from, to, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    } catch (AtomicMoveNotSupportedException plainly) {
      Files.move(from, to, StandardCopyOption.REPLACE_EXISTING);
    }
  }

  /** Takes away what a save that was killed has left in {@code folder}. */
  static void tidy(Path folder) throws IOException {
    if (!Files.isDirectory(folder)) {
      return;
    }
    try (Stream<Path> files = Files.list(folder)) {
      for (Path file : (Iterable<Path>) files::iterator) {
        if (PART.matcher(file.getFileName().toString()).matches() && isLeft(file)) {
          Files.deleteIfExists(file);
        }
      }
    }
  }

  private static boolean isLeft(Path part) throws IOException {
    try (FileChannel channel = FileChannel.open(part, StandardOpenOption.WRITE)) {
      Optional<FileLock> lock = tryLock(channel);
      return lock.isPresent();
    } catch (FileSystemException notOurs) {
      return false;
    }
  }

  private static Optional<FileLock> tryLock(FileChannel channel) throws IOException {
    try {
      return Optional.ofNullable(channel.tryLock());
    } catch (OverlappingFileLockException ours) {
      return Optional.empty();
    }
  }
}
