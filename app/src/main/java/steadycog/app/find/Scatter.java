package steadycog.app.find;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.geometry.Point2D;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.shape.Polyline;
import javafx.scene.text.Text;
import steadycog.app.look.Look;
import steadycog.number.Known;
import steadycog.search.Candidate;
import steadycog.search.Front;

/**
 * Error against size, a point a candidate: the further down the nearer, the further left the
 * smaller. A line joins those of which no other is both. Errors run by powers of ten; exact ones
 * lie on the bottom line.
 */
final class Scatter extends Pane {
  private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");
  private static final PseudoClass BEST = PseudoClass.getPseudoClass("best");
  private static final PseudoClass COMPARED = PseudoClass.getPseudoClass("compared");
  private static final double WIDE = 480;
  private static final double LEFT = 62;
  private static final double RIGHT = 18;
  private static final double TOP = 16;
  private static final double BOTTOM = 30;
  private static final double LABEL_ROOM = 26;
  private static final double ONE_LINE = TOP + BOTTOM + 32;

  private final Finder finder;

  Scatter(Finder finder) {
    this.finder = finder;
    setId("scatter");
    getStyleClass().addAll("panel", "scatter");
    setMinHeight(0);
    setAccessibleText("Error against size of the candidates");
    Look.clip(this);
    widthProperty().addListener(o -> draw());
    heightProperty().addListener(o -> draw());
    finder.candidatesProperty().addListener(o -> draw());
    finder.chosenProperty().addListener(o -> mark());
    finder.comparedProperty().addListener(o -> mark());
  }

  /** Of {@code most} so much as is needed: where all are exact there is only one line to see. */
  double height(double most) {
    List<Candidate> all = finder.candidatesProperty().get();
    return all.stream().allMatch(c -> c.error() == 0) ? Math.min(most, ONE_LINE) : most;
  }

  private void draw() {
    getChildren().clear();
    List<Candidate> all = finder.candidatesProperty().get();
    if (all.isEmpty() || getWidth() < LEFT + 80 || getHeight() < TOP + BOTTOM + 30) {
      return;
    }
    int least = all.stream().mapToInt(Candidate::size).min().orElseThrow();
    int most = all.stream().mapToInt(Candidate::size).max().orElseThrow();
    int pad = Math.max(5, (most - least) / 12);
    List<Double> powers = new ArrayList<>();
    all.stream().filter(c -> c.error() != 0).forEach(c -> powers.add(power(c)));
    double low = Math.floor(powers.stream().mapToDouble(p -> p).min().orElse(0));
    double high = Math.max(low + 1, Math.ceil(powers.stream().mapToDouble(p -> p).max().orElse(1)));
    boolean exact = powers.size() < all.size();
    double bottom = getHeight() - BOTTOM - (exact && !powers.isEmpty() ? 22 : 0);
    axes(least - pad, most + pad, low, high, bottom, exact, powers.isEmpty());
    Map<Candidate, Point2D> places = new HashMap<>();
    List<Candidate> front = Front.of(all);
    Polyline line = Look.styled(new Polyline(), "scatter-front");
    getChildren().add(line);
    for (Candidate candidate : all) {
      double x = x(candidate.size(), least - pad, most + pad);
      double y =
          candidate.error() == 0
              ? getHeight() - BOTTOM
              : bottom - (power(candidate) - low) / (high - low) * (bottom - TOP);
      Circle point = point(candidate, x, y);
      point.pseudoClassStateChanged(BEST, front.contains(candidate));
      getChildren().add(point);
      places.put(candidate, new Point2D(x, y));
    }
    for (Candidate best : front) {
      Point2D at = Known.in(places, best);
      double before = line.getPoints().isEmpty() ? at.getY() : line.getPoints().getLast();
      line.getPoints().addAll(at.getX(), before, at.getX(), at.getY());
    }
    mark();
  }

  private static double power(Candidate candidate) {
    return Math.log10(Math.abs(candidate.errorPpm()));
  }

  private double x(double size, double least, double most) {
    return LEFT + (size - least) / (most - least) * (getWidth() - LEFT - RIGHT);
  }

  private void axes(
      int least, int most, double low, double high, double bottom, boolean exact, boolean none) {
    if (!none) {
      double step = Math.max(1, Math.ceil((high - low) * LABEL_ROOM / (bottom - TOP)));
      for (double power = low; power <= high; power += step) {
        double y = bottom - (power - low) / (high - low) * (bottom - TOP);
        rule(LEFT, y, getWidth() - RIGHT, y);
        text(name(power), 6, y + 4);
      }
    }
    if (exact) {
      rule(LEFT, getHeight() - BOTTOM, getWidth() - RIGHT, getHeight() - BOTTOM);
      text("exact", 6, getHeight() - BOTTOM + 4);
    }
    text(least + "", LEFT, getHeight() - 8);
    Text end = text(most + "", 0, getHeight() - 8);
    Look.anchor(end, getWidth() - RIGHT, 1);
    String front = getWidth() < WIDE ? "" : "; on the line none is both smaller and nearer";
    Text title = text("teeth of all wheels" + front, 0, getHeight() - 8);
    Look.anchor(title, (LEFT + getWidth() - RIGHT) / 2, 0.5);
  }

  /** Powers of ten of a part in a million, in the unit that people would use. */
  private static String name(double power) {
    int whole = (int) power;
    return whole >= 4
        ? plain(whole - 4) + "\u2009%"
        : whole >= 3 ? "0.1\u2009%" : plain(whole) + "\u2009ppm";
  }

  private static String plain(int power) {
    return power >= 0 ? "1" + "0".repeat(power) : "0." + "0".repeat(-power - 1) + "1";
  }

  private void rule(double x1, double y1, double x2, double y2) {
    getChildren().add(Look.styled(new Line(x1, y1, x2, y2), "scatter-rule"));
  }

  private Text text(String words, double x, double y) {
    Text text = Look.styled(new Text(x, y, words), "scatter-text");
    getChildren().add(text);
    return text;
  }

  private Circle point(Candidate candidate, double x, double y) {
    Circle point = Look.styled(new Circle(x, y, 5), "scatter-point");
    point.setUserData(candidate);
    point.setOnMousePressed(press -> finder.chosenProperty().set(Optional.of(candidate)));
    Tooltip.install(
        point,
        new Tooltip(
            Candidates.wheels(candidate)
                + "\n"
                + Candidates.ratio(candidate)
                + ", "
                + Candidates.error(candidate)));
    return point;
  }

  private void mark() {
    for (var node : getChildren()) {
      if (node.getUserData() instanceof Candidate candidate) {
        boolean chosen = finder.chosenProperty().get().filter(candidate::equals).isPresent();
        node.pseudoClassStateChanged(CHOSEN, chosen);
        node.pseudoClassStateChanged(COMPARED, finder.comparedProperty().get().contains(candidate));
        ((Circle) node).setRadius(chosen ? 7 : 5);
      }
    }
  }
}
