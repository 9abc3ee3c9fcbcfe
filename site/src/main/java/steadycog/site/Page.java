package steadycog.site;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.commonmark.ext.gfm.tables.TablesExtension;
import org.commonmark.node.AbstractVisitor;
import org.commonmark.node.Code;
import org.commonmark.node.CustomNode;
import org.commonmark.node.Heading;
import org.commonmark.node.Image;
import org.commonmark.node.IndentedCodeBlock;
import org.commonmark.node.Link;
import org.commonmark.node.ListItem;
import org.commonmark.node.Node;
import org.commonmark.node.SoftLineBreak;
import org.commonmark.node.Text;
import org.commonmark.parser.Parser;
import org.commonmark.renderer.html.HtmlRenderer;
import steadycog.number.Known;

/** One document: its text with a mark at each heading, and where it leads. */
final class Page {
  private static final List<TablesExtension> EXTENSIONS =
      List.of((TablesExtension) TablesExtension.create());

  private final Node document;
  private final Map<Heading, String> marks = new LinkedHashMap<>();

  /** What stands under one heading, for the search. */
  record Passage(String mark, String title, String text) {}

  Page(String markdown) {
    document = Parser.builder().extensions(EXTENSIONS).build().parse(markdown);
    document.accept(
        new AbstractVisitor() {
          @Override
          public void visit(Heading heading) {
            marks.put(heading, mark(plain(heading)));
          }
        });
  }

  /** {@code 1. Count and type} is {@code 1-count-and-type}. */
  private String mark(String title) {
    String plain =
        title
            .toLowerCase(Locale.ROOT)
            .replaceAll("[^\\p{L}\\p{N} -]", "")
            .strip()
            .replace(' ', '-');
    String mark = plain;
    for (int k = 2; marks.containsValue(mark); k++) {
      mark = plain + "-" + k;
    }
    return mark;
  }

  String title() {
    return plain(marks.keySet().iterator().next());
  }

  Set<String> marks() {
    return Set.copyOf(marks.values());
  }

  /** Where its links and pictures lead, as they are written; what {@code change} makes of each. */
  void lead(UnaryOperator<String> change) {
    document.accept(
        new AbstractVisitor() {
          @Override
          public void visit(Link link) {
            link.setDestination(change.apply(link.getDestination()));
            visitChildren(link);
          }

          @Override
          public void visit(Image image) {
            image.setDestination(change.apply(image.getDestination()));
            visitChildren(image);
          }
        });
  }

  String html() {
    return HtmlRenderer.builder()
        .extensions(EXTENSIONS)
        .attributeProviderFactory(
            context ->
                (node, tag, attributes) -> {
                  if (node instanceof Heading heading) {
                    attributes.put("id", Known.in(marks, heading));
                  } else if (node instanceof Image) {
                    attributes.put("loading", "lazy");
                  }
                })
        .build()
        .render(document);
  }

  List<Passage> passages() {
    List<Passage> all = new ArrayList<>();
    StringBuilder text = new StringBuilder();
    Node block = document.getFirstChild();
    while (block != null) {
      if (block instanceof Heading heading) {
        text.setLength(0);
        Node next = heading.getNext();
        for (; next != null && !(next instanceof Heading); next = next.getNext()) {
          text.append(plain(next)).append(' ');
        }
        all.add(
            new Passage(
                Known.in(marks, heading),
                plain(heading),
                text.toString().replaceAll("\\s+", " ").strip()));
        block = next;
      } else {
        block = block.getNext();
      }
    }
    return all;
  }

  /** Its words: code without quotes, pictures left out. */
  private static String plain(Node node) {
    StringBuilder words = new StringBuilder();
    node.accept(
        new AbstractVisitor() {
          @Override
          public void visit(Text text) {
            words.append(text.getLiteral());
          }

          @Override
          public void visit(Code code) {
            words.append(code.getLiteral());
          }

          @Override
          public void visit(IndentedCodeBlock card) {
            words.append(card.getLiteral());
          }

          @Override
          public void visit(SoftLineBreak end) {
            words.append(' ');
          }

          @Override
          public void visit(CustomNode cell) {
            visitChildren(cell);
            words.append(' ');
          }

          @Override
          public void visit(ListItem item) {
            visitChildren(item);
            words.append(' ');
          }

          @Override
          public void visit(Image picture) {
            // Its words are those of the text beside it.
          }
        });
    return words.toString().strip();
  }
}
