package steadycog.app.guide;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Stream;
import org.commonmark.ext.gfm.tables.TablesExtension;
import org.commonmark.node.Heading;
import org.commonmark.node.Node;
import org.commonmark.parser.Parser;
import org.commonmark.renderer.text.TextContentRenderer;
import steadycog.cli.Version;

/** The designer's guide, a section a heading. */
record Guide(List<Section> sections) {
  /**
   * What stands under one heading.
   *
   * @param level 1 for the whole guide, 2 for a chapter, 3 within one
   */
  record Section(int level, String title, List<Node> blocks) {
    /** Whether every word of {@code wish} stands in its title or text, in any case. */
    boolean answers(String wish) {
      StringBuilder all = new StringBuilder(title);
      blocks.forEach(block -> all.append('\n').append(plain(block)));
      String text = all.toString().toLowerCase(Locale.ROOT);
      return Stream.of(wish.toLowerCase(Locale.ROOT).strip().split("\\s+"))
          .allMatch(text::contains);
    }
  }

  /** The chapter on the program itself. */
  static final String ABOUT = "About Steady Cog";

  /** The guide that ships with the program, and what is said of the program. */
  static Guide load() {
    String about = text("licences.md").replace("%version%", Version.text());
    return of(text("guide.md") + "\n" + about.replace("\n## ", "\n### ").replaceFirst("# ", "## "));
  }

  private static String text(String file) {
    try (InputStream text = Objects.requireNonNull(Guide.class.getResourceAsStream(file), file)) {
      return new String(text.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException broken) {
      throw new UncheckedIOException("the guide that ships with the program", broken);
    }
  }

  static Guide of(String markdown) {
    Node document =
        Parser.builder().extensions(List.of(TablesExtension.create())).build().parse(markdown);
    List<Section> sections = new ArrayList<>();
    for (Node block = document.getFirstChild(); block != null; block = block.getNext()) {
      if (block instanceof Heading heading) {
        sections.add(new Section(heading.getLevel(), plain(heading), new ArrayList<>()));
      } else if (!sections.isEmpty()) {
        sections.getLast().blocks().add(block);
      }
    }
    return new Guide(sections);
  }

  private static String plain(Node node) {
    return TextContentRenderer.builder()
        .extensions(List.of(TablesExtension.create()))
        .build()
        .render(node);
  }
}
