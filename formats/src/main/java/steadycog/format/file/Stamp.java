package steadycog.format.file;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/**
 * What was in a file at some time, to see later whether somebody else has written it. By its
 * contents, since times of files are coarse and copied along.
 *
 * @param digest SHA-256; empty where there was no file
 */
public record Stamp(String digest) {
  /** There is no file. */
  public static final Stamp NONE = new Stamp("");

  /** What is in {@code file} now. */
  public static Stamp of(Path file) throws IOException {
    MessageDigest digest = sha256();
    try (InputStream in = new DigestInputStream(Files.newInputStream(file), digest)) {
      in.transferTo(OutputStream.nullOutputStream());
    } catch (NoSuchFileException none) {
      return NONE;
    }
    return new Stamp(HexFormat.of().formatHex(digest.digest()));
  }

  /** What is in a file that holds just this. */
  static Stamp of(byte[] contents) {
    return new Stamp(HexFormat.of().formatHex(sha256().digest(contents)));
  }

  private static MessageDigest sha256() {
    try {
      return MessageDigest.getInstance("SHA-256");
    } catch (NoSuchAlgorithmException never) {
      throw new IllegalStateException("every Java has SHA-256", never);
    }
  }
}
