package steadycog.app.geartable;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.ReadOnlyDoubleWrapper;
import javafx.geometry.Insets;
import javafx.scene.Group;
import javafx.scene.layout.Pane;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.look.Look;
import steadycog.app.look.RoleLook;
import steadycog.app.look.Sign;
import steadycog.motion.Motion;
import steadycog.number.AngularSpeed;
import steadycog.number.Known;
import steadycog.shape.Drives;
import steadycog.shape.FaceLayout;
import steadycog.shape.Placed;
import steadycog.shape.PlacedCone;
import steadycog.shape.PlacedCone.Rolling;
import steadycog.shape.PlacedFlex;
import steadycog.shape.PlacedWheel;
import steadycog.train.Cycloidal;
import steadycog.train.Helices;
import steadycog.train.MemberId;
import steadycog.train.Role;
import steadycog.train.Teeth;

/** All members seen along their axes, to true scale and fitted to the space there is. */
final class FaceView extends Pane {
  private static final double LARGEST_ZOOM = 40;
  private static final double LARGEST_SCALE = 26;
  private static final double SHORTEST_BAR = 50;
  private static final double SCALE_STEP = 1.012;

  /** However small the drawing, the scale bar stands for no more than 10^9 modules. */
  private static final int LONGEST_DECADE = 8;

  private final Desk desk;
  private final Group bodies = new Group();

  /** In a lower drawing names would cover the wheels; the side view has them. */
  private static final double LEAST_FOR_NAMES = 150;

  private final TagLayer tags = new TagLayer();
  private final Captions captions = new Captions();
  private final ContactMarks contacts = new ContactMarks();
  private final Map<Key, BodyView> views = new HashMap<>();
  private final FaceHand hand;
  private final ReadOnlyDoubleWrapper drawn = new ReadOnlyDoubleWrapper();
  private double scale = 1;
  private double zoom = 1;
  private double panX;
  private double panY;

  private final FaceRoom room;

  /** Which of several equal wheels. */
  private record Key(MemberId id, int copy) {
    static Key of(Placed placed) {
      return new Key(placed.id(), placed.copy());
    }
  }

  FaceView(Desk desk) {
    this.desk = desk;
    room = new FaceRoom(this, desk);
    hand = new FaceHand(desk, this);
    bodies.setManaged(false);
    tags.setManaged(false);
    getChildren().addAll(bodies, contacts, captions, tags);
    contacts.setManaged(false);
    Look.clip(this);
    widthProperty().addListener(o -> rebuild());
    heightProperty().addListener(o -> rebuild());
    desk.inViewProperty()
        .addListener(
            o -> {
              zoom = 1;
              panX = 0;
              panY = 0;
            });
    desk.benchProperty().addListener(o -> rebuild());
    desk.litProperty().addListener(o -> select());
    desk.crank().positionProperty().addListener(o -> turn());
    desk.exaggerationProperty().addListener(o -> exaggerate());
    // Names are as large as the text.
    desk.textSize().addListener((o, old, now) -> rebuild());
  }

  /** Pixels a module; 0 while nothing is drawn. */
  ReadOnlyDoubleProperty scaleProperty() {
    return drawn.getReadOnlyProperty();
  }

  /** Zooms about a point of the view, in pixels. */
  void zoomBy(double factor, double x, double y) {
    double next = Math.clamp(zoom * factor, 1, LARGEST_ZOOM);
    double change = next / zoom;
    panX = change * (panX - (x - room.centreX())) + (x - room.centreX());
    panY = change * (panY - (y - room.centreY())) + (y - room.centreY());
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

  /** What the train is fitted to. */
  FaceRoom room() {
    return room;
  }

  /** Fits the train to what is left between what lies over the view at its edges. */
  void leaveRoom(Insets over) {
    if (room.leave(over)) {
      rebuild();
    }
  }

  /** The drawn body of {@code id}, the first of several. */
  Optional<BodyView> view(MemberId id) {
    return Optional.ofNullable(views.get(new Key(id, 0)));
  }

  private void rebuild() {
    Optional<Bench> bench = desk.bench();
    bodies.setVisible(bench.isPresent() && room.isEnough());
    tags.setVisible(bodies.isVisible() && room.high() >= LEAST_FOR_NAMES);
    captions.setVisible(bodies.isVisible());
    contacts.setVisible(bodies.isVisible());
    if (!bodies.isVisible()) {
      drawn.set(0);
      return;
    }
    FaceLayout layout = bench.get().study().layout();
    double[] box = layout.bounds();
    scale = zoom * Math.min(LARGEST_SCALE, stepped(room.fitting(room.wide(), room.high())));
    double x0 = room.centreX() + panX - (box[0] + box[2]) / 2 * scale;
    double y0 = room.centreY() + panY + (box[1] + box[3]) / 2 * scale;
    List<Placed> order = FaceOrder.backToFront(bench.get(), desk.selection());
    drop(order);
    List<BodyView> shown = new ArrayList<>();
    for (Placed placed : order) {
      BodyView view = views.computeIfAbsent(Key.of(placed), key -> added(BodyView.of(placed)));
      view.show(placed, scale);
      view.putDown(x0, y0);
      if (view instanceof WheelView wheel) {
        wheel.showPlate(layout.carriers().stream().noneMatch(c -> c.axis() == placed.axis()));
      }
      shown.add(view);
    }
    stack(shown);
    drawn.set(scale);
    contacts.forget();
    showRoles(bench.get());
    captions.place(bench.get(), views.values());
    tags.place(bench.get(), shown, room.box(), captions.boxes());
    showSelection();
    if (desk.exaggerationProperty().get() != 1) {
      exaggerate();
    }
    turn();
  }

  /**
   * The scale in steps of a hundredth, downwards: a tooth more or less then leaves most wheels as
   * large as they were, and their outlines need not be made anew.
   */
  private static double stepped(double fitting) {
    return Math.pow(SCALE_STEP, Math.floor(Math.log(fitting) / Math.log(SCALE_STEP)));
  }

  private BodyView added(BodyView view) {
    hand.hold(view, view.id());
    bodies.getChildren().add(view);
    view.overlay()
        .ifPresent(
            over -> {
              hand.hold(over, view.id());
              bodies.getChildren().add(over);
            });
    return view;
  }

  /** Lays the bodies over each other, in their order from the back. */
  private void stack(List<BodyView> order) {
    for (int k = 0; k < order.size(); k++) {
      BodyView view = order.get(k);
      view.setViewOrder(-k);
      view.overlay().ifPresent(over -> over.setViewOrder(-order.size()));
      view.showBehind(
          desk.bench()
              .filter(bench -> FaceOrder.isBehind(bench, view.placed(), desk.selection()))
              .isPresent());
    }
  }

  /** Takes away what the train has no more, or has as a body of another kind. */
  private void drop(List<Placed> kept) {
    Map<Key, Placed> now = new HashMap<>();
    kept.forEach(placed -> now.put(Key.of(placed), placed));
    views
        .entrySet()
        .removeIf(
            entry -> {
              Placed placed = now.get(entry.getKey());
              boolean gone = placed == null || !entry.getValue().suits(placed);
              if (gone) {
                bodies.getChildren().remove(entry.getValue());
                entry.getValue().overlay().ifPresent(bodies.getChildren()::remove);
              }
              return gone;
            });
  }

  private void showRoles(Bench bench) {
    boolean jammed = bench.study().motion().status() == Motion.Status.JAMMED;
    for (BodyView view : views.values()) {
      Role role = bench.study().role(view.id());
      view.showRole(role, way(bench, view.id()));
      if (view instanceof WheelView wheel) {
        wheel.showClocking(PlanetMarks.clocking(bench, wheel.wheel()));
        wheel.showHand(Helices.of(bench.study().train(), wheel.id()));
      }
      view.showStuck(
          (jammed && isInConflict(bench, view.id())) || PlanetMarks.isMisfit(bench, view));
      view.setAccessibleText(
          Sign.called(view.id())
              + teeth(view).map(count -> ", " + count + " teeth").orElse("")
              + ", "
              + RoleLook.word(role));
    }
  }

  private static Optional<Teeth> teeth(BodyView view) {
    return view.placed() instanceof PlacedWheel wheel
        ? Optional.of(wheel.teeth())
        : Optional.empty();
  }

  private static boolean isInConflict(Bench bench, MemberId id) {
    return bench.study().findings().stream()
        .anyMatch(finding -> finding.code().equals("jam") && finding.members().contains(id));
  }

  private static int way(Bench bench, MemberId id) {
    return bench.study().motion().speed(id).map(AngularSpeed::signum).orElse(0);
  }

  /** Choosing a member of the other row brings that row to the front. */
  private void select() {
    Optional<Bench> bench = desk.bench();
    if (bench.isPresent() && bodies.isVisible()) {
      List<BodyView> shown = new ArrayList<>();
      FaceOrder.backToFront(bench.get(), desk.selection())
          .forEach(placed -> shown.add(views.get(Key.of(placed))));
      if (!shown.contains(null)) {
        stack(shown);
        tags.place(bench.get(), shown, room.box(), captions.boxes());
        tags.follow();
      }
    }
    showSelection();
  }

  private void showSelection() {
    for (BodyView view : views.values()) {
      view.showSelected(desk.isLit(view.id()));
    }
  }

  private void turn() {
    Optional<Bench> bench = desk.bench();
    if (bench.isEmpty() || !bodies.isVisible()) {
      // What is drawn out of sight may be another train still.
      return;
    }
    Motion motion = bench.get().study().motion();
    views.forEach(
        (key, view) -> {
          Optional<Double> own =
              view.placed() instanceof PlacedCone cone
                  ? rolled(motion, cone.rolling())
                  : turned(motion, view.id());
          Optional<Double> carried =
              view.placed().orbit().flatMap(orbit -> turned(motion, orbit.carrier()));
          // What floats stands at its marks, wherever it stood in another train or role.
          view.turnTo(own.orElse(0.0), carried.orElse(0.0));
        });
    tags.follow();
    showContacts(bench.get());
  }

  /** Marks where lobes press on pins: several at once, which is why such a drive takes shock. */
  private void showContacts(Bench bench) {
    Motion motion = bench.study().motion();
    int used = 0;
    for (Cycloidal drive : bench.card().train().parts(Cycloidal.class)) {
      if (views.containsKey(new Key(drive.ringId(), 0))) {
        BodyView ring = Known.in(views, new Key(drive.ringId(), 0));
        double ringTurns = turned(motion, drive.ringId()).orElse(0.0);
        double eccentricTurns = turned(motion, drive.eccentricId()).orElse(0.0);
        used = contacts.show(drive, bench, ring, ringTurns, eccentricTurns, used);
      }
    }
    contacts.hideFrom(used);
  }

  /** Draws flexsplines and generators with a multiple of their true deflection. */
  private void exaggerate() {
    double times = desk.exaggerationProperty().get();
    for (BodyView view : views.values()) {
      if (view instanceof FlexView flex && flex.placed() instanceof PlacedFlex placed) {
        flex.exaggerate(times);
        if (views.get(new Key(placed.generator(), 0)) instanceof PlateView generator) {
          generator.draw(List.of(Drives.generator(placed, times)));
        }
      }
    }
  }

  /** Turns of a bevel gear about its own axis. */
  private Optional<Double> rolled(Motion motion, Rolling rolling) {
    Optional<Double> driver = turned(motion, rolling.driver());
    Optional<Double> frame =
        rolling.frame().isEmpty() ? Optional.of(0.0) : turned(motion, rolling.frame().get());
    return driver.flatMap(turns -> frame.map(own -> rolling.ratio() * (turns - own)));
  }

  private Optional<Double> turned(Motion motion, MemberId id) {
    return desk.crank().turned(motion, id);
  }

  /** The length of the scale bar: the first of 1, 2, 5, 10, 20 … modules that is long enough. */
  int scaleBarModules() {
    double wanted = SHORTEST_BAR / scale;
    double decade = Math.pow(10, Math.clamp(Math.floor(Math.log10(wanted)), 0, LONGEST_DECADE));
    for (int step : new int[] {1, 2, 5}) {
      if (step * decade >= wanted) {
        return (int) (step * decade);
      }
    }
    return (int) (10 * decade);
  }
}
