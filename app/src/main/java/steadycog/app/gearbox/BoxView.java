package steadycog.app.gearbox;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.ToIntFunction;
import javafx.geometry.VPos;
import javafx.scene.AccessibleRole;
import javafx.scene.Scene;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;
import javafx.scene.layout.Pane;
import javafx.scene.paint.Color;
import javafx.scene.paint.Paint;
import javafx.scene.shape.FillRule;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Font;
import javafx.scene.text.Text;
import javafx.scene.text.TextAlignment;
import javafx.stage.Window;
import steadycog.app.look.Look;
import steadycog.gearbox.Component;
import steadycog.gearbox.Exploded;
import steadycog.gearbox.Exploded.Area;
import steadycog.gearbox.Exploded.Mark;
import steadycog.gearbox.Exploded.Place;
import steadycog.gearbox.Exploded.Stroke;

/**
 * A gearbox drawn in as much room as there is, with the numbers of its bill. Thousands of areas are
 * painted one over the other, which is no work for nodes: this is the one drawing on a canvas, and
 * takes its colours from nodes that the style sheet dresses.
 */
final class BoxView extends Pane {
  private static final double EDGE = 26;
  private static final double LEADER = 16;
  private static final double APART = 3;

  /** A line as wide as this closes the seam between two walls, pixels. */
  private static final double HAIR = 0.6;

  private final Canvas canvas = new Canvas();
  private final Rectangle face = dressed("box-face");
  private final Rectangle shade = dressed("box-shade");
  private final Rectangle line = dressed("box-line");
  private final Rectangle lit = dressed("box-lit");
  private final Text number = Look.styled(new Text("8"), "box-number");
  private Optional<Exploded> drawing = Optional.empty();
  private Set<Component> chosen = Set.of();
  private ToIntFunction<Component> numbers = component -> 0;
  private boolean numbered;
  private boolean moving;
  private Consumer<Optional<Component>> choose = component -> {};
  private double scale = 1;
  private double left;
  private double top;

  BoxView() {
    setId("gearbox-view");
    getStyleClass().add("box-view");
    setAccessibleRole(AccessibleRole.IMAGE_VIEW);
    setMinSize(160, 160);
    Look.clip(this);
    number.setVisible(false);
    getChildren().addAll(face, shade, line, lit, number, canvas);
    widthProperty().addListener(o -> draw());
    heightProperty().addListener(o -> draw());
    face.fillProperty().addListener(o -> draw());
    lit.fillProperty().addListener(o -> draw());
    number.fontProperty().addListener(o -> draw());
    setOnMouseClicked(click -> choose.accept(at(click.getX(), click.getY())));
  }

  private static Rectangle dressed(String style) {
    Rectangle probe = Look.styled(new Rectangle(), style);
    probe.setVisible(false);
    return probe;
  }

  void onChoose(Consumer<Optional<Component>> then) {
    choose = then;
  }

  /**
   * Shows a drawing.
   *
   * @param withNumbers whether every component's number stands beside it
   * @param inMotion whether another follows at once: it is then painted without smoothing
   */
  void show(Exploded now, ToIntFunction<Component> number, boolean withNumbers, boolean inMotion) {
    drawing = Optional.of(now);
    moving = inMotion;
    numbers = number;
    numbered = withNumbers;
    draw();
  }

  void clear() {
    drawing = Optional.empty();
    draw();
  }

  /** Lights up these components, and no others. */
  void choose(Set<Component> now) {
    chosen = Set.copyOf(now);
    draw();
  }

  private void draw() {
    canvas.setWidth(getWidth());
    canvas.setHeight(getHeight());
    GraphicsContext pen = canvas.getGraphicsContext2D();
    pen.clearRect(0, 0, getWidth(), getHeight());
    if (drawing.isEmpty() || getWidth() <= 2 * EDGE || getHeight() <= 3 * EDGE) {
      return;
    }
    double[] box = drawing.get().bounds();
    double above = numbered ? 2 * EDGE : EDGE;
    scale =
        Math.min(
            (getWidth() - 2 * EDGE) / (box[2] - box[0]),
            (getHeight() - EDGE - above) / (box[3] - box[1]));
    left = (getWidth() - scale * (box[0] + box[2])) / 2;
    top = (getHeight() + above - EDGE + scale * (box[1] + box[3])) / 2;
    pen.setFillRule(FillRule.EVEN_ODD);
    pen.setLineWidth(1);
    if (moving) {
      pen.drawImage(quick(drawing.get().marks()), 0, 0, getWidth(), getHeight());
    } else {
      for (Mark mark : drawing.get().marks()) {
        switch (mark) {
          case Area area -> area(pen, area);
          case Stroke stroke -> stroke(pen, stroke);
        }
      }
    }
    numbers(pen);
  }

  /** The same at a fraction of the cost: in pixels of the screen, without smoothing. */
  private Image quick(List<Mark> marks) {
    double fine =
        Optional.ofNullable(getScene())
            .map(Scene::getWindow)
            .map(Window::getOutputScaleX)
            .orElse(1.0);
    Raster raster =
        new Raster((int) Math.ceil(fine * getWidth()), (int) Math.ceil(fine * getHeight()));
    for (Mark mark : marks) {
      switch (mark) {
        case Area area -> {
          List<double[][]> rings = new ArrayList<>();
          for (double[][] ring : area.rings()) {
            rings.add(new double[][] {scaled(xs(ring[0]), fine), scaled(ys(ring[1]), fine)});
          }
          raster.fill(rings, bits(color(area)));
        }
        case Stroke stroke ->
            raster.line(
                scaled(xs(stroke.x()), fine), scaled(ys(stroke.y()), fine), bits(color(line)));
      }
    }
    return raster.image();
  }

  private static double[] scaled(double[] all, double by) {
    for (int k = 0; k < all.length; k++) {
      all[k] *= by;
    }
    return all;
  }

  private static int bits(Color color) {
    return 0xff << 24
        | (int) Math.round(255 * color.getRed()) << 16
        | (int) Math.round(255 * color.getGreen()) << 8
        | (int) Math.round(255 * color.getBlue());
  }

  private double x(double right) {
    return left + scale * right;
  }

  private double y(double up) {
    return top - scale * up;
  }

  private static Color color(Rectangle probe) {
    Paint paint = probe.getFill();
    return paint instanceof Color color ? color : Color.GRAY;
  }

  private Color color(Area area) {
    Color bright = chosen.contains(area.component()) ? color(lit) : color(face);
    return color(shade).interpolate(bright, area.light());
  }

  private void area(GraphicsContext pen, Area area) {
    Color paint = color(area);
    pen.setFill(paint);
    if (area.rings().size() == 1) {
      double[][] ring = area.rings().getFirst();
      double[] px = xs(ring[0]);
      double[] py = ys(ring[1]);
      pen.fillPolygon(px, py, px.length);
      // Areas beside each other leave a hair between them.
      pen.setStroke(paint);
      pen.setLineWidth(HAIR);
      pen.strokePolygon(px, py, px.length);
      pen.setLineWidth(1);
      return;
    }
    pen.beginPath();
    for (double[][] ring : area.rings()) {
      path(pen, ring[0], ring[1]);
      pen.closePath();
    }
    pen.fill();
  }

  private void path(GraphicsContext pen, double[] right, double[] up) {
    pen.moveTo(x(right[0]), y(up[0]));
    for (int k = 1; k < right.length; k++) {
      pen.lineTo(x(right[k]), y(up[k]));
    }
  }

  private double[] xs(double[] right) {
    double[] all = new double[right.length];
    for (int k = 0; k < all.length; k++) {
      all[k] = x(right[k]);
    }
    return all;
  }

  private double[] ys(double[] up) {
    double[] all = new double[up.length];
    for (int k = 0; k < all.length; k++) {
      all[k] = y(up[k]);
    }
    return all;
  }

  private void stroke(GraphicsContext pen, Stroke stroke) {
    pen.setStroke(color(line));
    double[] px = xs(stroke.x());
    pen.strokePolyline(px, ys(stroke.y()), px.length);
  }

  /** Each number once, above what it is of, and none over another. */
  private void numbers(GraphicsContext pen) {
    Font font = number.getFont();
    double size = 1.5 * font.getSize();
    pen.setFont(font);
    pen.setTextAlign(TextAlignment.CENTER);
    pen.setTextBaseline(VPos.CENTER);
    List<double[]> taken = new ArrayList<>();
    Set<Integer> said = new HashSet<>();
    List<Place> places =
        drawing.get().places().stream()
            .filter(place -> numbered || chosen.contains(place.component()))
            .sorted(Comparator.comparingDouble(Place::x))
            .toList();
    for (Place place : places) {
      int says = numbers.applyAsInt(place.component());
      if (!said.add(says)) {
        continue;
      }
      double px = x(place.x());
      double py = Math.max(size, y(place.y()) - LEADER);
      while (isTaken(taken, px, py, size) && py > size) {
        py -= size / 2;
      }
      while (isTaken(taken, px, py, size)) {
        px += size / 2;
      }
      taken.add(new double[] {px, py});
      pen.setStroke(color(line));
      pen.strokeLine(px, py, x(place.x()), y(place.y()));
      boolean bright = chosen.contains(place.component());
      pen.setFill(bright ? color(lit) : color(face));
      pen.fillOval(px - size / 2, py - size / 2, size, size);
      pen.strokeOval(px - size / 2, py - size / 2, size, size);
      pen.setFill(color(line));
      pen.fillText(Integer.toString(says), px, py);
    }
  }

  private static boolean isTaken(List<double[]> taken, double px, double py, double size) {
    return taken.stream().anyMatch(one -> Math.hypot(one[0] - px, one[1] - py) < size + APART);
  }

  /** What is seen at a point: the last that was painted there. */
  Optional<Component> at(double px, double py) {
    double right = (px - left) / scale;
    double up = (top - py) / scale;
    List<Mark> marks = drawing.map(Exploded::marks).orElse(List.of());
    for (int k = marks.size() - 1; k >= 0; k--) {
      if (marks.get(k) instanceof Area area && area.isAt(right, up)) {
        return Optional.of(area.component());
      }
    }
    return Optional.empty();
  }
}
