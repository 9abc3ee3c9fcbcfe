package steadycog.site;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * Makes the site: {@code Site ROOT OUT} with the root of the sources and the folder to fill. It
 * begins at the README; every document that one of its pages leads to is a page, everything else
 * that is led to goes along as a file.
 */
public final class Site {
  private static final String BEGIN = "README.md";
  private static final String FINDINGS = "docs/findings.md";
  private static final String RULES = "cli/src/test/resources/frozen/rules.txt";
  private static final String MARKDOWN = ".md";

  /** What the head of every page leads to, by what it is called there. */
  private static final Map<String, String> HEAD = new LinkedHashMap<>();

  static {
    HEAD.put("Overview", BEGIN);
    HEAD.put("Guide", "docs/guide.md");
    HEAD.put("Card and files", "docs/format.md");
    HEAD.put("Methods", "docs/methods.md");
    HEAD.put("Findings", FINDINGS);
    HEAD.put("Decisions", "docs/decisions");
    HEAD.put("Changes", "CHANGELOG.md");
  }

  private final Path root;
  private final Path out;
  private final Map<String, Page> pages = new LinkedHashMap<>();
  private final Set<String> files = new TreeSet<>();
  private final Map<String, String> pictures = new LinkedHashMap<>();
  private final List<String> dead = new ArrayList<>();

  Site(Path root, Path out) {
    this.root = root.toAbsolutePath().normalize();
    this.out = out;
  }

  public static void main(String[] args) throws IOException {
    Site site = new Site(Path.of(args[0]), Path.of(args[1]));
    List<String> dead = site.make();
    dead.forEach(link -> System.err.println("dead link: " + link));
    if (!dead.isEmpty()) {
      System.exit(1);
    }
    System.out.println(site.pages.size() + " pages in " + site.out);
  }

  /**
   * Writes it.
   *
   * @return links that lead nowhere, with where they stand
   */
  List<String> make() throws IOException {
    Deque<String> open = new ArrayDeque<>(HEAD.values());
    while (!open.isEmpty()) {
      String at = open.remove();
      if (!pages.containsKey(at)) {
        Page page = new Page(text(at));
        pages.put(at, page);
        page.lead(
            to -> {
              String path = path(at, to);
              if (isPage(path)) {
                open.add(path);
              }
              return to;
            });
      }
    }
    pages.forEach((at, page) -> page.lead(to -> led(at, to)));
    if (dead.isEmpty()) {
      write();
    }
    return dead;
  }

  private String text(String at) throws IOException {
    Path path = root.resolve(at);
    if (Files.isDirectory(path)) {
      return listed(path);
    }
    String text = Files.readString(path);
    if (at.equals(FINDINGS)) {
      Catalogue catalogue = Catalogue.of(text, root.resolve(RULES));
      pictures.putAll(catalogue.pictures());
      return catalogue.text();
    }
    return text;
  }

  /** A folder of documents as a page that leads to each. */
  private static String listed(Path folder) throws IOException {
    String name = folder.getFileName().toString();
    StringBuilder text = new StringBuilder("# ");
    text.append(Character.toUpperCase(name.charAt(0))).append(name.substring(1)).append("\n\n");
    try (Stream<Path> all = Files.list(folder)) {
      for (Path one : all.filter(f -> f.toString().endsWith(MARKDOWN)).sorted().toList()) {
        String title = new Page(Files.readString(one)).title();
        text.append("* [").append(title.replaceFirst("\\. ", "\\\\. ")).append("](");
        text.append(name).append('/').append(one.getFileName()).append(")\n");
      }
    }
    return text.toString();
  }

  private static boolean isElsewhere(String to) {
    return to.contains("://") || to.startsWith("mailto:");
  }

  /** The path from the root that a link of a page leads to; empty where it leaves the sources. */
  private String path(String at, String to) {
    String file = to.replaceFirst("#.*", "");
    if (isElsewhere(to) || to.startsWith("pictures/")) {
      return "";
    } else if (file.isEmpty()) {
      return at;
    }
    Path here = root.resolve(at);
    return root.relativize(here.resolveSibling(file).normalize()).toString().replace('\\', '/');
  }

  private boolean isPage(String path) {
    Path file = root.resolve(path);
    return !path.isEmpty()
        && (path.endsWith(MARKDOWN) ? Files.isRegularFile(file) : Files.isDirectory(file));
  }

  /** Where a link leads on the site. */
  private String led(String at, String to) {
    String path = path(at, to);
    String mark = to.contains("#") ? to.substring(to.indexOf('#') + 1) : "";
    Page page = pages.get(path);
    if (path.isEmpty()) {
      return to;
    } else if (page != null) {
      if (!mark.isEmpty() && !page.marks().contains(mark)) {
        dead.add(at + ": " + to);
      }
      return name(path) + (mark.isEmpty() ? "" : "#" + mark);
    } else if (!Files.isRegularFile(root.resolve(path)) || path.startsWith("..")) {
      dead.add(at + ": " + to);
    } else {
      files.add(path);
    }
    return path;
  }

  /** {@code docs/guide.md} is {@code guide.html}. */
  private static String name(String path) {
    String name = path.substring(path.lastIndexOf('/') + 1).replace(MARKDOWN, "");
    return (path.equals(BEGIN) ? "index" : name.toLowerCase(Locale.ROOT)) + ".html";
  }

  private void write() throws IOException {
    Files.createDirectories(out.resolve("pictures"));
    for (String own : List.of("site.css", "search.js")) {
      Files.writeString(out.resolve(own), own(own));
    }
    for (String file : files) {
      Path to = out.resolve(file);
      Files.createDirectories(Objects.requireNonNull(to.getParent()));
      Files.write(to, Files.readAllBytes(root.resolve(file)));
    }
    for (Map.Entry<String, String> picture : pictures.entrySet()) {
      Files.writeString(out.resolve("pictures").resolve(picture.getKey()), picture.getValue());
    }
    List<List<String>> passages = new ArrayList<>();
    String frame = own("page.html");
    for (Map.Entry<String, Page> one : pages.entrySet()) {
      Page page = one.getValue();
      String name = name(one.getKey());
      Files.writeString(
          out.resolve(name),
          frame
              .replace("{title}", page.title())
              .replace("{head}", head(one.getKey()))
              .replace("{text}", page.html()));
      for (Page.Passage passage : page.passages()) {
        passages.add(
            List.of(name + "#" + passage.mark(), page.title(), passage.title(), passage.text()));
      }
    }
    Files.writeString(
        out.resolve("passages.js"),
        "const PASSAGES = " + new ObjectMapper().writeValueAsString(passages) + ";\n");
  }

  private static String head(String at) {
    StringBuilder html = new StringBuilder();
    HEAD.forEach(
        (called, path) ->
            html.append("<a href=\"")
                .append(name(path))
                .append(path.equals(at) ? "\" aria-current=\"page\">" : "\">")
                .append(called)
                .append("</a>\n"));
    return html.toString();
  }

  private static String own(String name) throws IOException {
    try (InputStream text = Objects.requireNonNull(Site.class.getResourceAsStream(name), name)) {
      return new String(text.readAllBytes(), StandardCharsets.UTF_8);
    }
  }
}
