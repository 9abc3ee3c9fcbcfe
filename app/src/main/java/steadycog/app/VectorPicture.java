package steadycog.app;

import java.io.StringWriter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.layout.BackgroundFill;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.paint.Paint;
import javafx.scene.shape.Circle;
import javafx.scene.shape.ClosePath;
import javafx.scene.shape.CubicCurveTo;
import javafx.scene.shape.Line;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.PathElement;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Polyline;
import javafx.scene.shape.QuadCurveTo;
import javafx.scene.shape.Rectangle;
import javafx.scene.shape.SVGPath;
import javafx.scene.shape.Shape;
import javafx.scene.text.Text;
import javafx.scene.transform.NonInvertibleTransformException;
import javafx.scene.transform.Transform;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/** What a part of the window shows, as lines and letters that can be scaled: SVG. */
final class VectorPicture {
  private static final String NAMESPACE = "http://www.w3.org/2000/svg";

  private final XMLStreamWriter xml;
  private final Transform toRoot;
  private int clips;

  private VectorPicture(XMLStreamWriter xml, Transform toRoot) {
    this.xml = xml;
    this.toRoot = toRoot;
  }

  /** What {@code root} shows; {@code title} says what it is. */
  static String of(Region root, String title) {
    try {
      StringWriter text = new StringWriter();
      XMLStreamWriter xml = XMLOutputFactory.newDefaultFactory().createXMLStreamWriter(text);
      Transform toRoot = root.getLocalToSceneTransform().createInverse();
      new VectorPicture(xml, toRoot).document(root, title);
      xml.close();
      return text.toString();
    } catch (XMLStreamException | NonInvertibleTransformException never) {
      throw new IllegalStateException("what is written to memory, and seen on screen", never);
    }
  }

  private void document(Region root, String title) throws XMLStreamException {
    xml.writeStartDocument("UTF-8", "1.0");
    xml.writeStartElement("svg");
    xml.writeDefaultNamespace(NAMESPACE);
    put("width", root.getWidth());
    put("height", root.getHeight());
    xml.writeAttribute(
        "viewBox", "0 0 " + number(root.getWidth()) + " " + number(root.getHeight()));
    xml.writeStartElement("title");
    xml.writeCharacters(title);
    xml.writeEndElement();
    add(root, 1);
    xml.writeEndElement();
    xml.writeEndDocument();
  }

  private void add(Node node, double opacity) throws XMLStreamException {
    double seen = opacity * node.getOpacity();
    if (!node.isVisible() || seen == 0) {
      return;
    }
    boolean clipped = node.getClip() instanceof Rectangle;
    if (node.getClip() instanceof Rectangle clip) {
      openClip(node, clip);
    }
    if (node instanceof Region region) {
      background(region, seen);
    }
    if (node instanceof Shape shape) {
      shape(shape, seen);
    } else if (node instanceof Parent parent) {
      List<Node> children = new ArrayList<>(parent.getChildrenUnmodifiable());
      children.sort(Comparator.comparingDouble(Node::getViewOrder).reversed());
      for (Node child : children) {
        add(child, seen);
      }
    }
    if (clipped) {
      xml.writeEndElement();
    }
  }

  private void openClip(Node node, Rectangle clip) throws XMLStreamException {
    clips++;
    xml.writeStartElement("clipPath");
    xml.writeAttribute("id", "clip" + clips);
    xml.writeEmptyElement("rect");
    box(clip.getX(), clip.getY(), clip.getWidth(), clip.getHeight());
    place(node);
    xml.writeEndElement();
    xml.writeStartElement("g");
    xml.writeAttribute("clip-path", "url(#clip" + clips + ")");
  }

  private void background(Region region, double opacity) throws XMLStreamException {
    if (region.getBackground() == null) {
      return;
    }
    for (BackgroundFill fill : region.getBackground().getFills()) {
      Insets in = fill.getInsets();
      double width = region.getWidth() - in.getLeft() - in.getRight();
      double height = region.getHeight() - in.getTop() - in.getBottom();
      if (fill.getFill() instanceof Color colour && width * height > 0) {
        xml.writeEmptyElement("rect");
        box(in.getLeft(), in.getTop(), width, height);
        put("rx", fill.getRadii().getTopLeftHorizontalRadius());
        paint("fill", colour, opacity);
        place(region);
      }
    }
  }

  private void shape(Shape shape, double opacity) throws XMLStreamException {
    if (shape instanceof Text text) {
      text(text, opacity);
      return;
    }
    String outline = outline(shape);
    if (outline.isBlank()) {
      return;
    }
    xml.writeEmptyElement("path");
    xml.writeAttribute("d", outline);
    if (shape instanceof SVGPath path) {
      xml.writeAttribute(
          "fill-rule", path.getFillRule().name().replace("_", "").toLowerCase(Locale.ROOT));
    }
    paint("fill", shape.getFill(), opacity);
    paint("stroke", shape.getStroke(), opacity);
    put("stroke-width", shape.getStrokeWidth());
    xml.writeAttribute(
        "stroke-linejoin", shape.getStrokeLineJoin().name().toLowerCase(Locale.ROOT));
    xml.writeAttribute("stroke-linecap", shape.getStrokeLineCap().name().toLowerCase(Locale.ROOT));
    if (!shape.getStrokeDashArray().isEmpty()) {
      xml.writeAttribute(
          "stroke-dasharray",
          shape.getStrokeDashArray().stream()
              .map(VectorPicture::number)
              .collect(Collectors.joining(" ")));
    }
    place(shape);
  }

  /** Letters as they stand, since the typeface may be missing where the picture is looked at. */
  private void text(Text text, double opacity) throws XMLStreamException {
    if (text.getText().isBlank()) {
      return;
    }
    // An area that letters are joined with is seen in the scene's place.
    Shape letters = Shape.union(text, new Rectangle());
    xml.writeEmptyElement("path");
    xml.writeAttribute("aria-label", text.getText());
    xml.writeAttribute("d", outline(letters));
    paint("fill", text.getFill(), opacity);
    place(toRoot);
  }

  private static String outline(Shape shape) {
    return switch (shape) {
      case SVGPath path -> path.getContent();
      case Circle c -> circle(c.getCenterX(), c.getCenterY(), c.getRadius());
      case Line l ->
          "M" + pair(l.getStartX(), l.getStartY()) + "L" + pair(l.getEndX(), l.getEndY());
      case Polygon polygon when polygon.getPoints().isEmpty() -> "";
      case Polygon polygon -> points(polygon.getPoints()) + "Z";
      case Polyline polyline -> points(polyline.getPoints());
      case Rectangle r ->
          "M"
              + pair(r.getX(), r.getY())
              + "h"
              + number(r.getWidth())
              + "v"
              + number(r.getHeight())
              + "h"
              + number(-r.getWidth())
              + "Z";
      case javafx.scene.shape.Path path ->
          path.getElements().stream().map(VectorPicture::element).collect(Collectors.joining());
      default -> throw new IllegalStateException("a shape that is drawn nowhere: " + shape);
    };
  }

  private static String circle(double x, double y, double r) {
    String arc = "a" + pair(r, r) + " 0 1 0 ";
    return "M" + pair(x - r, y) + arc + pair(2 * r, 0) + arc + pair(-2 * r, 0) + "Z";
  }

  private static String points(List<Double> points) {
    StringBuilder all = new StringBuilder();
    for (int k = 0; k + 1 < points.size(); k += 2) {
      all.append(k == 0 ? 'M' : 'L').append(pair(points.get(k), points.get(k + 1)));
    }
    return all.toString();
  }

  private static String element(PathElement element) {
    return switch (element) {
      case MoveTo move -> "M" + pair(move.getX(), move.getY());
      case LineTo line -> "L" + pair(line.getX(), line.getY());
      case QuadCurveTo curve ->
          "Q"
              + pair(curve.getControlX(), curve.getControlY())
              + " "
              + pair(curve.getX(), curve.getY());
      case CubicCurveTo curve ->
          "C"
              + pair(curve.getControlX1(), curve.getControlY1())
              + " "
              + pair(curve.getControlX2(), curve.getControlY2())
              + " "
              + pair(curve.getX(), curve.getY());
      case ClosePath close -> "Z";
      default -> throw new IllegalStateException("an element that is drawn nowhere: " + element);
    };
  }

  private void box(double x, double y, double width, double height) throws XMLStreamException {
    put("x", x);
    put("y", y);
    put("width", width);
    put("height", height);
  }

  private void place(Node node) throws XMLStreamException {
    place(toRoot.createConcatenation(node.getLocalToSceneTransform()));
  }

  private void place(Transform at) throws XMLStreamException {
    xml.writeAttribute(
        "transform",
        "matrix("
            + List.of(at.getMxx(), at.getMyx(), at.getMxy(), at.getMyy(), at.getTx(), at.getTy())
                .stream()
                .map(VectorPicture::number)
                .collect(Collectors.joining(" "))
            + ")");
  }

  private void paint(String what, Paint paint, double opacity) throws XMLStreamException {
    if (!(paint instanceof Color colour) || colour.getOpacity() == 0) {
      xml.writeAttribute(what, "none");
      return;
    }
    xml.writeAttribute(
        what,
        String.format(
            Locale.ROOT,
            "#%02x%02x%02x",
            Math.round(255 * colour.getRed()),
            Math.round(255 * colour.getGreen()),
            Math.round(255 * colour.getBlue())));
    if (opacity * colour.getOpacity() < 1) {
      put(what + "-opacity", opacity * colour.getOpacity());
    }
  }

  private void put(String name, double value) throws XMLStreamException {
    xml.writeAttribute(name, number(value));
  }

  private static String pair(double x, double y) {
    return number(x) + " " + number(y);
  }

  private static String number(double value) {
    double rounded = Math.round(value * 1e4) / 1e4;
    return rounded == Math.rint(rounded) ? Long.toString((long) rounded) : Double.toString(rounded);
  }
}
