import com.google.googlejavaformat.java.Formatter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;

/** Checks, or with {@code write} rewrites, the layout of every Java source of the project. */
class Format {
  public static void main(String[] args) throws Exception {
    boolean write = args.length == 1 && args[0].equals("write");
    var formatter = new Formatter();
    var off = new ArrayList<Path>();
    for (String room :
        new String[] {"core", "formats", "cli", "app", "site", "benchmarks", ".ci"}) {
      try (var files = Files.walk(Path.of(room))) {
        for (Path file : (Iterable<Path>) files.filter(Format::isSource)::iterator) {
          String before = Files.readString(file);
          String after = formatter.formatSourceAndFixImports(before);
          if (before.equals(after)) {
            continue;
          }
          off.add(file);
          if (write) {
            Files.writeString(file, after);
          }
        }
      }
    }
    off.forEach(file -> System.err.println((write ? "laid out " : "not laid out: ") + file));
    if (!write && !off.isEmpty()) {
      System.err.println("Run: mvn -N validate dependency:copy@fetch-formatter exec:exec@format");
      System.exit(1);
    }
  }

  private static boolean isSource(Path file) {
    return file.toString().endsWith(".java") && !file.toString().contains("/target/");
  }
}
