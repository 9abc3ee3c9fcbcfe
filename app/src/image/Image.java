import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.FileTime;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.spi.ToolProvider;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;

/**
 * Makes what is handed out: a folder with the program and a runtime of its own, and of it what the
 * platform installs: on Linux a .deb and an archive, on Windows an .msi, on macOS a .dmg, as far as
 * the platform's own tools are there.
 *
 * <p>Run by the Java that the runtime is taken from: {@code java Image.java DIST VERSION ROOT OUT},
 * with the folder of jars, the version, the root of the sources and the folder to fill.
 */
final class Image {
  private static final String NAME = "steady-cog";

  /** What the jars ask for, and beside it what they reach for by name: unsafe memory, charsets. */
  private static final String MODULES =
      "java.base,java.desktop,java.sql,jdk.charsets,jdk.unsupported";

  private static final String ABOUT = "Lays out gear trains and makes gearboxes of them";

  private final Path dist;
  private final String version;
  private final Path root;
  private final Path out;
  private final String system = System.getProperty("os.name").toLowerCase(Locale.ROOT);

  private Image(String[] args) {
    dist = Path.of(args[0]).toAbsolutePath();
    version = args[1];
    root = Path.of(args[2]).toAbsolutePath();
    out = Path.of(args[3]).toAbsolutePath();
  }

  public static void main(String[] args) throws Exception {
    new Image(args).make();
  }

  private void make() throws IOException, InterruptedException {
    delete(out);
    Files.createDirectories(out);
    Path runtime = out.resolve("runtime");
    tool(
        "jlink",
        "--add-modules",
        MODULES,
        "--strip-debug",
        "--no-header-files",
        "--no-man-pages",
        "--compress",
        "zip-6",
        "--output",
        runtime.toString());
    Path input = input();
    List<String> image =
        new ArrayList<>(
            List.of(
                "--type",
                "app-image",
                "--name",
                NAME,
                "--app-version",
                version,
                "--description",
                ABOUT,
                "--vendor",
                "Steady Cog",
                "--dest",
                out.toString(),
                "--runtime-image",
                runtime.toString(),
                "--input",
                input.toString(),
                "--main-jar",
                "steady-cog-cli-" + version + ".jar",
                "--main-class",
                "steadycog.cli.SteadyCog"));
    for (String option : options()) {
      image.addAll(List.of("--java-options", option));
    }
    if (system.contains("win")) {
      // The window without a console, and beside it a command that speaks on one.
      Path console = Files.writeString(out.resolve("console.properties"), "win-console=true\n");
      image.addAll(List.of("--add-launcher", NAME + "-command=" + console));
    }
    tool("jpackage", image.toArray(String[]::new));
    Path folder = out.resolve(system.contains("mac") ? NAME + ".app" : NAME);
    if (system.contains("linux")) {
      ownLauncher(folder);
    }
    install(folder);
    delete(input);
    delete(runtime);
  }

  /** What the launchers of jpackage need; on Linux the script takes their place. */
  private static List<String> options() {
    return List.of(
        "-Xmx1g",
        "-Xms32m",
        "-Xmn24m",
        "-XX:MinHeapFreeRatio=15",
        "-XX:MaxHeapFreeRatio=30",
        "-XX:+UseSerialGC",
        "--module-path",
        "$APPDIR/window",
        "--add-modules",
        "javafx.controls",
        "--enable-native-access=javafx.graphics");
  }

  /** The jars as they lie in the build, whole seconds old, so that caches know them again. */
  private Path input() throws IOException {
    Path input = out.resolve("input");
    for (String part : List.of("lib", "lib/window", "lib/app")) {
      Path from = dist.resolve(part);
      Path to = Files.createDirectories(input.resolve(part.replaceFirst("^lib/?", "")));
      try (Stream<Path> jars = Files.list(from)) {
        for (Path jar : jars.filter(file -> file.toString().endsWith(".jar")).toList()) {
          copy(jar, to.resolve(jar.getFileName()));
        }
      }
    }
    natives(input.resolve("window"));
    Files.copy(root.resolve("LICENSE"), input.resolve("LICENSE"));
    Files.copy(root.resolve("docs/licences.md"), input.resolve("licences.md"));
    return input;
  }

  private static void copy(Path from, Path to) throws IOException {
    Files.copy(from, to, StandardCopyOption.REPLACE_EXISTING);
    Files.setLastModifiedTime(
        to, FileTime.fromMillis(Files.getLastModifiedTime(from).toMillis() / 1000 * 1000));
  }

  /** Libraries beside the jars that hold them: else JavaFX unpacks them into the user's home. */
  private static void natives(Path window) throws IOException {
    List<Path> jars;
    try (Stream<Path> all = Files.list(window)) {
      jars = all.filter(file -> file.toString().endsWith(".jar")).toList();
    }
    for (Path jar : jars) {
      try (ZipFile zip = new ZipFile(jar.toFile())) {
        for (ZipEntry entry : zip.stream().toList()) {
          if (entry.getName().matches("[^/]+\\.(so|dll|dylib)")) {
            Files.copy(zip.getInputStream(entry), window.resolve(entry.getName()));
          }
        }
      }
    }
  }

  /** The script that the sources start by, which knows what each command needs, and its caches. */
  private void ownLauncher(Path folder) throws IOException, InterruptedException {
    Path script = folder.resolve("bin").resolve(NAME);
    Files.copy(root.resolve(NAME), script, StandardCopyOption.REPLACE_EXISTING);
    Files.setPosixFilePermissions(script, PosixFilePermissions.fromString("rwxr-xr-x"));
    run(script.toString(), "prepare");
  }

  private void install(Path folder) throws IOException, InterruptedException {
    String type = system.contains("win") ? "msi" : system.contains("mac") ? "dmg" : "deb";
    Path files =
        Files.writeString(
            out.resolve("file.properties"),
            "extension=cog.json\nmime-type=application/x-steady-cog\ndescription=Steady Cog job\n");
    List<String> all =
        new ArrayList<>(
            List.of(
                "--type",
                type,
                "--name",
                NAME,
                "--app-version",
                version,
                "--description",
                ABOUT,
                "--vendor",
                "Steady Cog",
                "--app-image",
                folder.toString(),
                "--dest",
                out.toString(),
                "--file-associations",
                files.toString(),
                "--license-file",
                root.resolve("LICENSE").toString()));
    if (type.equals("deb")) {
      all.addAll(
          List.of(
              "--icon",
              root.resolve("app/src/main/resources/steadycog/app/look/icon.png").toString(),
              "--linux-shortcut",
              "--linux-menu-group",
              "Engineering",
              "--linux-deb-maintainer",
              "steady-cog@example.org",
              "--linux-app-category",
              "science",
              "--linux-package-deps",
              "libgtk-3-0, libgl1, libxtst6",
              "--resource-dir",
              root.resolve("app/src/image/deb").toString()));
    }
    try {
      tool("jpackage", all.toArray(String[]::new));
    } catch (IllegalStateException missing) {
      System.out.println(
          "no ."
              + type
              + " is made: its tools are not on this machine (Debian: dpkg-deb and fakeroot;"
              + " Windows: WiX; macOS: none but Xcode's). The folder is whole.");
    }
    if (type.equals("deb")) {
      run(
          "tar",
          "-C",
          out.toString(),
          "-czf",
          out.resolve(NAME + "-" + version + ".tar.gz").toString(),
          NAME);
    }
    Files.delete(files);
  }

  private static void tool(String name, String... args) {
    int code = ToolProvider.findFirst(name).orElseThrow().run(System.out, System.err, args);
    if (code != 0) {
      throw new IllegalStateException(name + " ended with " + code);
    }
  }

  private static void run(String... command) throws IOException, InterruptedException {
    int code = new ProcessBuilder(command).inheritIO().start().waitFor();
    if (code != 0) {
      throw new IllegalStateException(command[0] + " ended with " + code);
    }
  }

  private static void delete(Path path) throws IOException {
    if (Files.exists(path)) {
      try (Stream<Path> all = Files.walk(path)) {
        for (Path one : all.sorted(Comparator.reverseOrder()).toList()) {
          Files.delete(one);
        }
      }
    }
  }
}
