package steadycog.app.geartable;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import javafx.geometry.Bounds;
import javafx.scene.Group;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Polyline;
import javafx.scene.shape.Rectangle;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.shape.StrokeLineJoin;
import javafx.scene.text.Text;
import steadycog.app.look.Look;
import steadycog.number.Figures;
import steadycog.number.Unit;
import steadycog.study.PowerPicture;
import steadycog.study.PowerPicture.Heat;
import steadycog.study.PowerPicture.Point;
import steadycog.study.PowerPicture.Run;

/** Power over the side view: as wide as there is much of it, with its direction and its losses. */
final class PowerView extends Group {
  private static final double WIDEST = 15;
  private static final double THINNEST = 1.2;
  private static final double LANE = 10;
  private static final double LEAST_FOR_ARROW = 12;
  private static final double LARGEST_HEAT = 13;

  /** Less than this share of what goes in is too little to be written at a mesh. */
  private static final double WORTH_WRITING = 0.002;

  /** More than so many times what goes in is worth saying. */
  private static final double LOOP = 1.2;

  private DoubleUnaryOperator x = at -> at;
  private DoubleUnaryOperator y = height -> height;

  PowerView() {
    setMouseTransparent(true);
    setManaged(false);
  }

  void show(
      Optional<PowerPicture> picture, DoubleUnaryOperator toX, DoubleUnaryOperator toY, Unit unit) {
    x = toX;
    y = toY;
    getChildren().clear();
    picture.ifPresent(drawn -> draw(drawn, unit));
  }

  /** Says why there is nothing to see. */
  void explain(String words, double left, double base) {
    getChildren().clear();
    place(word(words, "power-end"), left, base);
  }

  private void draw(PowerPicture picture, Unit unit) {
    double lost = picture.heats().stream().mapToDouble(Heat::watts).sum();
    setAccessibleText(
        "Power: " + words(picture.in(), unit) + " goes in, " + words(lost, unit) + " is lost");
    List<Polygon> arrows = new ArrayList<>();
    for (Run run : picture.runs()) {
      double width = Math.max(THINNEST, WIDEST * Math.abs(run.watts()) / picture.most());
      Polyline line = Look.styled(new Polyline(), "power-flow");
      for (Point point : run.path()) {
        line.getPoints().addAll(px(point), py(point));
      }
      line.setStrokeWidth(width);
      line.setStrokeLineJoin(StrokeLineJoin.ROUND);
      line.setStrokeLineCap(StrokeLineCap.BUTT);
      getChildren().add(line);
      arrow(run, width).ifPresent(arrows::add);
    }
    getChildren().addAll(arrows);
    picture.heats().forEach(heat -> showHeat(heat, picture, unit));
    picture.runs().stream().filter(Run::end).forEach(run -> showEnd(run, unit));
    showLoop(picture, unit);
  }

  private double px(Point point) {
    return x.applyAsDouble(point.at());
  }

  private double py(Point point) {
    return y.applyAsDouble(point.height()) + point.lane() * LANE;
  }

  /** In the middle of the longest stretch of a run. */
  private Optional<Polygon> arrow(Run run, double width) {
    Point from = run.path().getFirst();
    Point to = run.path().get(1);
    double longest = -1;
    for (int k = 1; k < run.path().size(); k++) {
      Point a = run.path().get(k - 1);
      Point b = run.path().get(k);
      double length = Math.hypot(px(b) - px(a), py(b) - py(a));
      if (length > longest) {
        longest = length;
        from = a;
        to = b;
      }
    }
    if (longest < LEAST_FOR_ARROW) {
      return Optional.empty();
    }
    int way = run.watts() < 0 ? -1 : 1;
    double dx = way * (px(to) - px(from)) / longest;
    double dy = way * (py(to) - py(from)) / longest;
    double half = Math.max(3, width * 0.5);
    double tip = half * 1.1;
    double cx = (px(from) + px(to)) / 2;
    double cy = (py(from) + py(to)) / 2;
    return Optional.of(
        Look.styled(
            new Polygon(
                cx + dx * tip,
                cy + dy * tip,
                cx - dx * tip - dy * half,
                cy - dy * tip + dx * half,
                cx - dx * tip + dy * half,
                cy - dy * tip - dx * half),
            "power-arrow"));
  }

  private void showHeat(Heat heat, PowerPicture picture, Unit unit) {
    if (heat.watts() <= WORTH_WRITING * picture.in()) {
      return;
    }
    double share = Math.min(1, heat.watts() / picture.in());
    Circle spot =
        new Circle(px(heat.at()), py(heat.at()), 2.5 + LARGEST_HEAT * Math.sqrt(share) / 2);
    getChildren().add(Look.styled(spot, "power-heat"));
    Text word = word(words(heat.watts(), unit), "power-loss");
    place(word, spot.getCenterX() - spot.getRadius() - 5 - width(word), spot.getCenterY() + 4);
  }

  /** What enters or leaves, at the end of its shaft. */
  private void showEnd(Run run, Unit unit) {
    Point first = run.path().getFirst();
    Point last = run.path().getLast();
    Point outer = Math.abs(first.at()) > Math.abs(last.at()) || first.at() < 0 ? first : last;
    Text word = word(words(Math.abs(run.watts()), unit), "power-end");
    // Of two shafts at one end the lower is named below.
    double base = outer.lane() > 0 ? py(outer) + 21 : py(outer) - 12;
    place(word, px(outer) - width(word) / 2, base);
  }

  /** Where more goes round than goes in, how much. */
  private void showLoop(PowerPicture picture, Unit unit) {
    picture.runs().stream()
        .filter(run -> !run.end() && run.path().size() == 2)
        .max(Comparator.comparingDouble(run -> Math.abs(run.watts())))
        .filter(run -> Math.abs(run.watts()) > LOOP * picture.in())
        .ifPresent(
            run -> {
              Point a = run.path().getFirst();
              Point b = run.path().getLast();
              Text word = word(words(Math.abs(run.watts()), unit) + " goes round", "power-end");
              double above = WIDEST / 2 + 6;
              place(word, (px(a) + px(b) - width(word)) / 2, py(a) - above);
            });
  }

  private static Text word(String text, String style) {
    return Look.styled(new Text(text), style);
  }

  private static double width(Text word) {
    return word.getLayoutBounds().getWidth();
  }

  /** A word on a ground that parts it from what it lies over. */
  private void place(Text word, double left, double base) {
    word.setX(left);
    word.setY(base);
    Bounds bounds = word.getLayoutBounds();
    Rectangle ground =
        new Rectangle(left - 2, bounds.getMinY(), bounds.getWidth() + 4, bounds.getHeight());
    getChildren().addAll(Look.styled(ground, "power-ground"), word);
  }

  private static String words(double watts, Unit unit) {
    return Figures.typeset(Figures.significant(watts / unit.inBase(), 3))
        + "\u2009"
        + unit.symbol();
  }
}
