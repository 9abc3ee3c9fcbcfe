package steadycog.app;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.DoubleStream;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollBar;
import javafx.scene.control.TextInputControl;
import javafx.scene.layout.Region;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Polyline;
import javafx.scene.shape.Rectangle;
import javafx.scene.shape.SVGPath;
import javafx.scene.text.Text;
import org.jspecify.annotations.Nullable;

/**
 * All that a window shows, a line a node: what it is, what it says, how it is marked, and where it
 * stands in what it lies in. Where the keys go, what the pointer is over, how far lists are
 * scrolled and what is not seen (by which columns are dragged) are left out.
 */
final class Fingerprint {
  private static final Set<String> PASSING =
      Set.of("hover", "focused", "focus-visible", "focus-within", "armed", "pressed", "showing");

  /** Of a window that has not been worked in nothing can be undone. */
  private static final Set<String> HISTORY = Set.of("Undo", "Redo");

  /** Half a pixel, which text that is laid out anew may move by. */
  private static final double NEAR = 0.6;

  private static final int MOST_TOLD = 9;

  private final List<Line> lines = new ArrayList<>();

  /** A node: what is to be equal, and what is to be near. */
  @SuppressWarnings("ArrayRecordComponent") // Compared by matches alone.
  record Line(String words, double[] numbers) {
    boolean matches(Line other) {
      boolean near = words.equals(other.words) && numbers.length == other.numbers.length;
      for (int k = 0; near && k < numbers.length; k++) {
        near = Math.abs(numbers[k] - other.numbers[k]) <= NEAR;
      }
      return near;
    }

    @Override
    public String toString() {
      return words + " " + Arrays.toString(Arrays.copyOf(numbers, Math.min(12, numbers.length)));
    }
  }

  private Fingerprint() {}

  static List<Line> of(Node root) {
    Fingerprint print = new Fingerprint();
    print.add(root, "");
    return print.lines;
  }

  private void add(Node node, String indent) {
    boolean passing =
        node instanceof ScrollBar
            || node.getStyleClass().contains("passing")
            || (node instanceof Rectangle && node.getStyleClass().isEmpty())
            || (node instanceof Labeled labeled
                && HISTORY.contains(String.valueOf(labeled.getText())));
    boolean nothing =
        (node instanceof Region region && region.getWidth() * region.getHeight() == 0)
            || (node instanceof Text text && text.getText().isEmpty());
    if (!node.isVisible() || node.getOpacity() == 0 || passing || nothing) {
      return;
    }
    lines.add(new Line(indent + words(node), numbers(node)));
    if (node instanceof Parent parent && !(node instanceof TextInputControl)) {
      List<Node> children = new ArrayList<>(parent.getChildrenUnmodifiable());
      children.sort(Comparator.comparingDouble(Node::getViewOrder).reversed());
      if (node.getStyleClass().contains("sheet")) {
        // The rows of a list lie as they come.
        children.sort(Comparator.comparingDouble(Node::getLayoutY));
      }
      children.forEach(child -> add(child, indent + " "));
    }
  }

  private static String words(Node node) {
    StringBuilder line = new StringBuilder(node.getClass().getSimpleName());
    line.append(node.getId() == null ? "" : " #" + node.getId());
    line.append(' ').append(node.getStyleClass());
    Set<String> marks = new TreeSet<>();
    node.getPseudoClassStates().forEach(state -> marks.add(state.getPseudoClassName()));
    marks.removeIf(mark -> PASSING.contains(mark) || mark.contains("child"));
    line.append(marks.isEmpty() ? "" : " " + marks);
    switch (node) {
      case Labeled labeled -> line.append(" '").append(labeled.getText()).append('\'');
      case TextInputControl input -> line.append(" '").append(input.getText()).append('\'');
      case Text text -> line.append(" '").append(text.getText()).append('\'');
      case SVGPath path -> line.append(" path ").append(path.getContent().hashCode());
      default -> {}
    }
    return line.toString();
  }

  /** Where it stands, but for what a list scrolls, its size, and the corners of its outline. */
  private static double[] numbers(Node node) {
    boolean scrolled = isScrolled(node.getParent()) || isScrolled(parent(node.getParent()));
    if (node instanceof Parent) {
      // Its bounds would reach round what is not seen as well.
      double x = scrolled ? 0 : node.getLayoutX() + node.getTranslateX();
      double y = scrolled ? 0 : node.getLayoutY() + node.getTranslateY();
      return node instanceof Region region
          ? new double[] {x, y, region.getWidth(), region.getHeight()}
          : new double[] {x, y};
    }
    Bounds at = node.getBoundsInParent();
    DoubleStream place =
        DoubleStream.of(
            scrolled ? 0 : at.getMinX(),
            scrolled ? 0 : at.getMinY(),
            at.getWidth(),
            at.getHeight());
    DoubleStream corners =
        switch (node) {
          case Polygon polygon -> polygon.getPoints().stream().mapToDouble(d -> d);
          case Polyline polyline -> polyline.getPoints().stream().mapToDouble(d -> d);
          default -> DoubleStream.empty();
        };
    return DoubleStream.concat(place, corners).toArray();
  }

  private static @Nullable Parent parent(@Nullable Node node) {
    return node == null ? null : node.getParent();
  }

  private static boolean isScrolled(@Nullable Node node) {
    return node != null && node.getStyleClass().contains("viewport");
  }

  /** The first places where two windows differ; empty where they do not. */
  static String difference(List<Line> kept, List<Line> fresh) {
    List<String> differing = new ArrayList<>();
    for (int k = 0; k < Math.max(kept.size(), fresh.size()) && differing.size() < MOST_TOLD; k++) {
      boolean both = k < kept.size() && k < fresh.size();
      if (!both || !kept.get(k).matches(fresh.get(k))) {
        differing.add("line " + k + "\nkept:  " + at(kept, k) + "\nfresh: " + at(fresh, k));
      }
    }
    return String.join("\n", differing);
  }

  private static String at(List<Line> lines, int k) {
    return k < lines.size() ? lines.get(k).toString() : "nothing more";
  }
}
