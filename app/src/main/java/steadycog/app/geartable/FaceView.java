package steadycog.app.geartable;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import javafx.scene.Group;
import javafx.scene.layout.Pane;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.geartable.TagPlaces.Disc;
import steadycog.app.look.Look;
import steadycog.motion.Motion;
import steadycog.number.AngularSpeed;
import steadycog.shape.PlacedWheel;
import steadycog.train.MemberId;
import steadycog.train.Mesh;

/** All wheels seen along their axes, to true scale and fitted to the space there is. */
final class FaceView extends Pane {
  private static final double MARGIN = 22;

  /** Height of the line with the scale under the drawing. */
  private static final double NOTE = 14;

  private static final double LARGEST_ZOOM = 40;
  private static final double LARGEST_SCALE = 26;
  private static final double SHORTEST_BAR = 50;

  private final Desk desk;
  private final Group wheels = new Group();
  private final Group tags = new Group();
  private final List<WheelView> views = new ArrayList<>();
  private final FaceHand hand;
  private double scale = 1;
  private double zoom = 1;
  private double panX;
  private double panY;

  FaceView(Desk desk) {
    this.desk = desk;
    hand = new FaceHand(desk, this);
    wheels.setManaged(false);
    tags.setManaged(false);
    getChildren().addAll(wheels, tags);
    Look.clip(this);
    widthProperty().addListener(o -> rebuild());
    heightProperty().addListener(o -> rebuild());
    desk.benchProperty().addListener(o -> rebuild());
    desk.selectionProperty().addListener(o -> showSelection());
    desk.crank().inputTurnsProperty().addListener(o -> turn());
  }

  /** Pixels a module. */
  double scale() {
    return scale;
  }

  /** Zooms about a point of the view, in pixels. */
  void zoomBy(double factor, double x, double y) {
    double next = Math.clamp(zoom * factor, 1, LARGEST_ZOOM);
    double change = next / zoom;
    panX = change * (panX - (x - getWidth() / 2)) + (x - getWidth() / 2);
    panY = change * (panY - (y - (getHeight() - NOTE) / 2)) + (y - (getHeight() - NOTE) / 2);
    zoom = next;
    if (zoom == 1) {
      fit();
    } else {
      rebuild();
    }
  }

  void panBy(double dx, double dy) {
    panX += dx;
    panY += dy;
    rebuild();
  }

  /** The whole train, as large as there is room for. */
  void fit() {
    zoom = 1;
    panX = 0;
    panY = 0;
    rebuild();
  }

  /** The drawn wheel of {@code id}. */
  Optional<WheelView> view(MemberId id) {
    return views.stream().filter(view -> view.wheel().id().equals(id)).findFirst();
  }

  private void rebuild() {
    wheels.getChildren().clear();
    tags.getChildren().clear();
    views.clear();
    Optional<Bench> bench = desk.bench();
    if (bench.isEmpty() || getWidth() < 2 * MARGIN || getHeight() < 2 * MARGIN) {
      return;
    }
    double[] box = bench.get().study().layout().bounds();
    double width = getWidth() - 2 * MARGIN;
    double height = getHeight() - 2 * MARGIN - NOTE;
    scale =
        Math.min(LARGEST_SCALE, Math.min(width / (box[2] - box[0]), height / (box[3] - box[1])));
    scale *= zoom;
    double centreX = (box[0] + box[2]) / 2;
    double centreY = (box[1] + box[3]) / 2;
    for (PlacedWheel wheel : backToFront(bench.get())) {
      WheelView view = new WheelView(wheel, scale);
      view.setTranslateX(getWidth() / 2 + panX + (wheel.x() - centreX) * scale);
      view.setTranslateY((getHeight() - NOTE) / 2 + panY - (wheel.y() - centreY) * scale);
      hand.hold(view);
      views.add(view);
    }
    wheels.getChildren().setAll(views);
    showRoles(bench.get());
    placeTags(bench.get());
    showSelection();
    turn();
  }

  /**
   * Small wheels are drawn over large ones whatever their plane, so that every mesh is seen; a
   * ring, being hollow, comes right behind the wheel inside it.
   */
  private static List<PlacedWheel> backToFront(Bench bench) {
    return bench.study().layout().wheels().stream()
        .sorted(Comparator.comparingDouble((PlacedWheel w) -> sizeToEye(bench, w)).reversed())
        .toList();
  }

  private static double sizeToEye(Bench bench, PlacedWheel wheel) {
    if (!wheel.teeth().internal()) {
      return wheel.bodyRadius();
    }
    double largestInside = 0;
    for (Mesh mesh : bench.card().train().meshes()) {
      if (mesh.touches(wheel.id())) {
        MemberId inside = mesh.other(wheel.id());
        largestInside = Math.max(largestInside, bench.study().layout().wheel(inside).bodyRadius());
      }
    }
    return Math.nextUp(largestInside);
  }

  private void showRoles(Bench bench) {
    boolean jammed = bench.study().motion().status() == Motion.Status.JAMMED;
    for (WheelView view : views) {
      MemberId id = view.wheel().id();
      view.showRole(bench.study().role(id), way(bench, id));
      view.showStuck(jammed && isInConflict(bench, id));
      view.setAccessibleText(
          "Wheel " + id + ", " + view.wheel().teeth() + " teeth, " + bench.study().role(id).word());
    }
  }

  private static boolean isInConflict(Bench bench, MemberId id) {
    return bench.study().findings().stream()
        .anyMatch(finding -> finding.code().equals("jam") && finding.members().contains(id));
  }

  private static int way(Bench bench, MemberId id) {
    return bench.study().motion().speed(id).map(AngularSpeed::signum).orElse(0);
  }

  private void placeTags(Bench bench) {
    TagPlaces places = new TagPlaces();
    for (int k = views.size() - 1; k >= 0; k--) {
      WheelView view = views.get(k);
      List<Disc> front = new ArrayList<>();
      double covered = 0;
      for (WheelView other : views.subList(k + 1, views.size())) {
        front.add(disc(other));
        if (other.wheel().axis() == view.wheel().axis()) {
          covered = Math.max(covered, other.outerRadius());
        }
      }
      boolean ring = view.wheel().teeth().internal();
      double solid = ring ? view.outerRadius() : view.rootRadius();
      double inner = ring ? view.rootRadius() : covered;
      boolean small = ring || (solid - inner) / (inner == 0 ? 1 : 2) < WheelTag.RADIUS + 4;
      double radius = small ? WheelTag.SMALL_RADIUS : WheelTag.RADIUS;
      Disc place = places.place(disc(view), inner, solid, front, radius);
      WheelTag tag = new WheelTag(view.wheel(), way(bench, view.wheel().id()), small);
      tag.setTranslateX(place.x());
      tag.setTranslateY(place.y());
      tags.getChildren().add(tag);
    }
  }

  private static Disc disc(WheelView view) {
    return new Disc(view.getTranslateX(), view.getTranslateY(), view.outerRadius());
  }

  private void showSelection() {
    for (WheelView view : views) {
      view.showSelected(desk.selection().filter(view.wheel().id()::equals).isPresent());
    }
  }

  private void turn() {
    Optional<Bench> bench = desk.bench();
    if (bench.isEmpty()) {
      return;
    }
    BigFraction input = desk.crank().inputTurns();
    for (WheelView view : views) {
      bench
          .get()
          .study()
          .motion()
          .turnsPerInputTurn(view.wheel().id())
          .ifPresent(turns -> view.turnTo(turns.multiply(input).doubleValue()));
    }
  }

  /** The length of the scale bar: the first of 1, 2, 5, 10, 20 … modules that is long enough. */
  int scaleBarModules() {
    int decade = 1;
    while (true) {
      for (int step : new int[] {1, 2, 5}) {
        if (step * decade * scale >= SHORTEST_BAR) {
          return step * decade;
        }
      }
      decade *= 10;
    }
  }
}
