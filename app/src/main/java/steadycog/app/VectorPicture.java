package steadycog.app;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.geometry.Insets;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.layout.BackgroundFill;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.paint.Paint;
import javafx.scene.shape.Circle;
import javafx.scene.shape.ClosePath;
import javafx.scene.shape.CubicCurveTo;
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
import steadycog.format.picture.LinePicture;
import steadycog.format.picture.LinePicture.Cap;
import steadycog.format.picture.LinePicture.Clip;
import steadycog.format.picture.LinePicture.Close;
import steadycog.format.picture.LinePicture.Curve;
import steadycog.format.picture.LinePicture.Faded;
import steadycog.format.picture.LinePicture.Ink;
import steadycog.format.picture.LinePicture.Join;
import steadycog.format.picture.LinePicture.Line;
import steadycog.format.picture.LinePicture.Move;
import steadycog.format.picture.LinePicture.Outline;
import steadycog.format.picture.LinePicture.Pen;
import steadycog.format.picture.LinePicture.Piece;
import steadycog.format.picture.LinePicture.Step;

/** What a part of the window shows, as lines and letters that can be scaled. */
final class VectorPicture {
  /** Control points of a quarter of a circle, in radii. */
  private static final double QUARTER = 4 * (Math.sqrt(2) - 1) / 3;

  private static final Pen NO_PEN = new Pen(0, Join.MITER, Cap.BUTT, List.of());

  private final Transform toRoot;

  private VectorPicture(Transform toRoot) {
    this.toRoot = toRoot;
  }

  /** What {@code root} shows; {@code title} says what it is. */
  static LinePicture of(Region root, String title) {
    try {
      VectorPicture picture = new VectorPicture(root.getLocalToSceneTransform().createInverse());
      return new LinePicture(
          root.getWidth(), root.getHeight(), title, picture.pieces(root).toList());
    } catch (NonInvertibleTransformException never) {
      throw new IllegalStateException("what is seen on screen", never);
    }
  }

  private Stream<Piece> pieces(Node node) {
    if (!node.isVisible() || node.getOpacity() == 0) {
      return Stream.empty();
    }
    Stream<Piece> ground = node instanceof Region region ? background(region) : Stream.empty();
    Stream<Piece> drawn =
        switch (node) {
          case Text text -> letters(text);
          case Shape shape -> outlines(shape);
          case Parent parent -> {
            List<Node> children = new ArrayList<>(parent.getChildrenUnmodifiable());
            children.sort(Comparator.comparingDouble(Node::getViewOrder).reversed());
            yield children.stream().flatMap(this::pieces);
          }
          default -> Stream.empty();
        };
    Stream<Piece> all = Stream.concat(ground, drawn);
    if (node.getClip() instanceof Rectangle clip) {
      all = Stream.of(clipped(node, clip, all));
    }
    return node.getOpacity() < 1 ? Stream.of(new Faded(node.getOpacity(), all.toList())) : all;
  }

  /** Clips lie straight in the window. */
  private Piece clipped(Node node, Rectangle clip, Stream<Piece> pieces) {
    Point2D from = placed(node).transform(clip.getX(), clip.getY());
    Point2D to =
        placed(node).transform(clip.getX() + clip.getWidth(), clip.getY() + clip.getHeight());
    return new Clip(
        from.getX(),
        from.getY(),
        to.getX() - from.getX(),
        to.getY() - from.getY(),
        pieces.toList());
  }

  private Stream<Piece> background(Region region) {
    if (region.getBackground() == null) {
      return Stream.empty();
    }
    return region.getBackground().getFills().stream().flatMap(fill -> ground(region, fill));
  }

  private Stream<Piece> ground(Region region, BackgroundFill fill) {
    Insets in = fill.getInsets();
    double width = region.getWidth() - in.getLeft() - in.getRight();
    double height = region.getHeight() - in.getTop() - in.getBottom();
    if (width <= 0 || height <= 0) {
      return Stream.empty();
    }
    double corner =
        Math.min(fill.getRadii().getTopLeftHorizontalRadius(), Math.min(width, height) / 2);
    List<Step> steps =
        rounded(in.getLeft(), in.getTop(), width, height, corner)
            .map(step -> step(step, placed(region)))
            .toList();
    Optional<Ink> ink = ink(fill.getFill());
    return ink.isPresent() ? filled("", steps, ink) : Stream.empty();
  }

  /** Letters as they stand, since the typeface may be missing where the picture is looked at. */
  private Stream<Piece> letters(Text text) {
    if (text.getText().isBlank()) {
      return Stream.empty();
    }
    // An area that letters are joined with is seen in the scene's place.
    return filled(
        text.getText(), steps(Shape.union(text, new Rectangle()), toRoot), ink(text.getFill()));
  }

  private Stream<Piece> outlines(Shape shape) {
    if (shape instanceof SVGPath sign) {
      return Stream.concat(area(sign, false), area(sign, true));
    }
    List<Step> steps = steps(shape, placed(shape));
    if (steps.isEmpty()) {
      return Stream.empty();
    }
    Pen pen =
        new Pen(
            shape.getStrokeWidth() * Math.sqrt(Math.abs(placed(shape).determinant())),
            Join.valueOf(shape.getStrokeLineJoin().name()),
            Cap.valueOf(shape.getStrokeLineCap().name()),
            shape.getStrokeDashArray());
    return Stream.of(new Outline("", steps, ink(shape.getFill()), ink(shape.getStroke()), pen));
  }

  /** What the fill or the stroke of a sign covers, whose outline is written as text. */
  private Stream<Piece> area(SVGPath sign, boolean stroke) {
    Optional<Ink> ink = ink(stroke ? sign.getStroke() : sign.getFill());
    if (ink.isEmpty()) {
      return Stream.empty();
    }
    SVGPath copy = new SVGPath();
    copy.setContent(sign.getContent());
    copy.setFillRule(sign.getFillRule());
    copy.setFill(stroke ? null : sign.getFill());
    copy.setStroke(stroke ? sign.getStroke() : null);
    copy.setStrokeWidth(sign.getStrokeWidth());
    copy.setStrokeLineCap(sign.getStrokeLineCap());
    copy.setStrokeLineJoin(sign.getStrokeLineJoin());
    return filled("", steps(Shape.union(copy, new Rectangle()), placed(sign)), ink);
  }

  private static Stream<Piece> filled(String words, List<Step> steps, Optional<Ink> ink) {
    return steps.isEmpty()
        ? Stream.empty()
        : Stream.of(new Outline(words, steps, ink, Optional.empty(), NO_PEN));
  }

  private static List<Step> steps(Shape shape, Transform at) {
    Stream<Step> local =
        switch (shape) {
          case Circle c -> circle(c.getCenterX(), c.getCenterY(), c.getRadius());
          case javafx.scene.shape.Line l ->
              Stream.of(new Move(l.getStartX(), l.getStartY()), new Line(l.getEndX(), l.getEndY()));
          case Polygon polygon when polygon.getPoints().isEmpty() -> Stream.empty();
          case Polygon polygon ->
              Stream.concat(points(polygon.getPoints()), Stream.of(new Close()));
          case Polyline polyline -> points(polyline.getPoints());
          case Rectangle r -> rounded(r.getX(), r.getY(), r.getWidth(), r.getHeight(), 0);
          case javafx.scene.shape.Path path -> elements(path.getElements());
          default -> throw new IllegalStateException("a shape that is drawn nowhere: " + shape);
        };
    return local.map(step -> step(step, at)).toList();
  }

  private static Stream<Step> circle(double x, double y, double r) {
    return rounded(x - r, y - r, 2 * r, 2 * r, r);
  }

  /** A rectangle whose corners are quarters of circles. */
  private static Stream<Step> rounded(double x, double y, double width, double height, double r) {
    double right = x + width;
    double foot = y + height;
    double c = r * (1 - QUARTER);
    if (r == 0) {
      return Stream.of(
          new Move(x, y),
          new Line(right, y),
          new Line(right, foot),
          new Line(x, foot),
          new Close());
    }
    return Stream.of(
        new Move(x + r, y),
        new Line(right - r, y),
        new Curve(right - c, y, right, y + c, right, y + r),
        new Line(right, foot - r),
        new Curve(right, foot - c, right - c, foot, right - r, foot),
        new Line(x + r, foot),
        new Curve(x + c, foot, x, foot - c, x, foot - r),
        new Line(x, y + r),
        new Curve(x, y + c, x + c, y, x + r, y),
        new Close());
  }

  private static Stream<Step> points(List<Double> points) {
    List<Step> all = new ArrayList<>();
    for (int k = 0; k + 1 < points.size(); k += 2) {
      double x = points.get(k);
      double y = points.get(k + 1);
      all.add(k == 0 ? new Move(x, y) : new Line(x, y));
    }
    return all.stream();
  }

  private static Stream<Step> elements(List<PathElement> elements) {
    List<Step> all = new ArrayList<>();
    double x = 0;
    double y = 0;
    for (PathElement element : elements) {
      Step step =
          switch (element) {
            case MoveTo move -> new Move(move.getX(), move.getY());
            case LineTo line -> new Line(line.getX(), line.getY());
            case CubicCurveTo c ->
                new Curve(
                    c.getControlX1(),
                    c.getControlY1(),
                    c.getControlX2(),
                    c.getControlY2(),
                    c.getX(),
                    c.getY());
            // The same curve as one of the third degree.
            case QuadCurveTo q ->
                new Curve(
                    x + 2 * (q.getControlX() - x) / 3,
                    y + 2 * (q.getControlY() - y) / 3,
                    q.getX() + 2 * (q.getControlX() - q.getX()) / 3,
                    q.getY() + 2 * (q.getControlY() - q.getY()) / 3,
                    q.getX(),
                    q.getY());
            case ClosePath close -> new Close();
            default ->
                throw new IllegalStateException("an element that is drawn nowhere: " + element);
          };
      all.add(step);
      switch (step) {
        case Move(double toX, double toY) -> {
          x = toX;
          y = toY;
        }
        case Line(double toX, double toY) -> {
          x = toX;
          y = toY;
        }
        case Curve curve -> {
          x = curve.x();
          y = curve.y();
        }
        case Close() -> {}
      }
    }
    return all.stream();
  }

  private static Step step(Step step, Transform at) {
    return switch (step) {
      case Move(double x, double y) -> {
        Point2D to = at.transform(x, y);
        yield new Move(to.getX(), to.getY());
      }
      case Line(double x, double y) -> {
        Point2D to = at.transform(x, y);
        yield new Line(to.getX(), to.getY());
      }
      case Curve c -> {
        Point2D one = at.transform(c.x1(), c.y1());
        Point2D two = at.transform(c.x2(), c.y2());
        Point2D to = at.transform(c.x(), c.y());
        yield new Curve(one.getX(), one.getY(), two.getX(), two.getY(), to.getX(), to.getY());
      }
      case Close() -> step;
    };
  }

  private Transform placed(Node node) {
    return toRoot.createConcatenation(node.getLocalToSceneTransform());
  }

  private static Optional<Ink> ink(Paint paint) {
    if (!(paint instanceof Color colour) || colour.getOpacity() == 0) {
      return Optional.empty();
    }
    long rgb =
        Math.round(255 * colour.getRed()) << 16
            | Math.round(255 * colour.getGreen()) << 8
            | Math.round(255 * colour.getBlue());
    return Optional.of(new Ink((int) rgb, colour.getOpacity()));
  }
}
