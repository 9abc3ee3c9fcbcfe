package steadycog.app.geartable;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import javafx.css.PseudoClass;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.look.Look;
import steadycog.app.look.Roles;
import steadycog.app.look.Sign;
import steadycog.shape.EdgeLayout;
import steadycog.shape.EdgeLayout.EdgeWheel;
import steadycog.shape.GearOutline;
import steadycog.train.MemberId;
import steadycog.train.Role;
import steadycog.train.Teeth;

/**
 * The train from the side: which wheel sits on which shaft, in which plane, and where it is held.
 */
final class EdgeView extends Pane {
  private static final PseudoClass SELECTED = PseudoClass.getPseudoClass("selected");
  private static final double MARGIN = 14;
  private static final double WIDEST_PLANE = 96;
  private static final double FACE_SHARE = 0.34;
  private static final double THINNEST = 3;
  private static final double BEARING = 5;
  private static final double NAME_HEIGHT = 13;

  private final Desk desk;
  private final Group drawing = new Group();
  private final List<EdgeFace> faces = new ArrayList<>();
  private final Map<Integer, List<Double>> namesOfPlane = new TreeMap<>();
  private double scale = 1;
  private double pitch = 1;
  private double left;
  private double middle;
  private int planes;

  /** A wheel's drawn body, to be marked when chosen. */
  private record EdgeFace(MemberId id, Group body) {}

  EdgeView(Desk desk) {
    this.desk = desk;
    getStyleClass().add("edge-view");
    setId("edge-view");
    drawing.setManaged(false);
    getChildren().add(drawing);
    Look.clip(this);
    widthProperty().addListener(o -> rebuild());
    heightProperty().addListener(o -> rebuild());
    desk.benchProperty().addListener(o -> rebuild());
    desk.selectionProperty().addListener(o -> showSelection());
  }

  private void rebuild() {
    drawing.getChildren().clear();
    faces.clear();
    namesOfPlane.clear();
    Optional<Bench> bench = desk.bench();
    if (bench.isEmpty() || getHeight() < 4 * MARGIN || getWidth() < 4 * MARGIN) {
      return;
    }
    EdgeLayout layout = EdgeLayout.of(bench.get().card().train(), bench.get().study().layout());
    double[] range = layout.range();
    planes = layout.planes();
    scale = (getHeight() - 2 * MARGIN) / (range[1] - range[0]);
    pitch = Math.min(WIDEST_PLANE, (getWidth() - 12 * MARGIN) / planes);
    left = getWidth() / 2 - pitch * planes / 2;
    middle = getHeight() / 2 + (range[0] + range[1]) / 2 * scale;
    addHousing();
    shafts(layout).values().forEach(shaft -> addShaft(bench.get(), shaft));
    layout.wheels().forEach(wheel -> addWheel(bench.get(), wheel));
    showSelection();
  }

  private double x(double plane) {
    return left + (plane + 0.5) * pitch;
  }

  private double y(double height) {
    return middle - height * scale;
  }

  /** Wheels by the shaft that they turn on: of one axis and with nothing but ties between them. */
  private static Map<Integer, List<EdgeWheel>> shafts(EdgeLayout layout) {
    Map<Integer, List<EdgeWheel>> byAxis = new TreeMap<>();
    for (EdgeWheel wheel : layout.wheels()) {
      byAxis.computeIfAbsent(wheel.wheel().axis(), axis -> new ArrayList<>()).add(wheel);
    }
    return byAxis;
  }

  /** The walls in which all shafts run, at both ends. */
  private void addHousing() {
    for (double plane : new double[] {-0.75, planes - 0.25}) {
      Line wall = new Line(x(plane), MARGIN / 2, x(plane), getHeight() - MARGIN / 2);
      drawing.getChildren().add(Look.styled(wall, "edge-wall"));
    }
  }

  private void addShaft(Bench bench, List<EdgeWheel> wheels) {
    double y = y(wheels.getFirst().height());
    double from = wheels.stream().mapToInt(EdgeWheel::plane).min().orElse(0) - 0.45;
    double to = wheels.stream().mapToInt(EdgeWheel::plane).max().orElse(0) + 0.45;
    for (EdgeWheel wheel : wheels) {
      Role role = bench.study().role(wheel.wheel().id());
      if (role == Role.DRIVE) {
        from = -1.15;
        addSymbol(role, x(from) - 12, y);
      } else if (role == Role.TAKE) {
        to = planes + 0.15;
        addSymbol(role, x(to) + 12, y);
      } else if (role == Role.HOLD) {
        to = planes - 0.25;
        addSymbol(role, x(to) + 14, y);
      }
    }
    drawing.getChildren().add(Look.styled(new Line(x(from), y, x(to), y), "edge-shaft"));
    addBearing(x(from) + BEARING, y);
    addBearing(x(to) - BEARING, y);
  }

  /** Two short lines along the shaft: it turns in a bearing here. */
  private void addBearing(double x, double y) {
    for (int side = -1; side <= 1; side += 2) {
      double beside = y + side * 4.5;
      Line line = new Line(x - BEARING, beside, x + BEARING, beside);
      drawing.getChildren().add(Look.styled(line, "edge-bearing"));
    }
  }

  private void addSymbol(Role role, double x, double y) {
    Region icon = Roles.icon(role).node();
    icon.getStyleClass().add("role-icon");
    Group holder = new Group(icon);
    Roles.mark(holder, role);
    holder.getStyleClass().add("edge-symbol");
    holder.setLayoutX(x - 8);
    holder.setLayoutY(y - 8);
    drawing.getChildren().add(holder);
  }

  private void addWheel(Bench bench, EdgeWheel wheel) {
    Teeth teeth = wheel.wheel().teeth();
    double width = Math.max(8, pitch * FACE_SHARE);
    double tip = GearOutline.tipRadius(teeth) * scale;
    double root = GearOutline.rootRadius(teeth) * scale;
    double outer = wheel.wheel().bodyRadius() * scale;
    double centre = y(wheel.height());
    Group body = Look.styled(new Group(), "edge-wheel");
    if (teeth.internal()) {
      body.getChildren().add(plate(wheel, width, centre, root));
      addBand(body, wheel, width, centre, tip, outer);
    } else {
      addBand(body, wheel, width, centre, 0, outer);
      addLine(body, wheel, width, centre, root);
    }
    if (hasRoomForName(wheel.plane(), centre)) {
      body.getChildren().add(name(wheel, width, centre));
    }
    Role role = bench.study().role(wheel.wheel().id());
    Roles.mark(body, role);
    body.setOnMousePressed(press -> desk.select(Optional.of(wheel.wheel().id())));
    faces.add(new EdgeFace(wheel.wheel().id(), body));
    drawing.getChildren().add(body);
  }

  /** The body above and below the axis between two radii. */
  private void addBand(
      Group body, EdgeWheel wheel, double width, double centre, double inner, double outer) {
    double height = Math.max(THINNEST, outer - inner);
    for (double top : new double[] {centre - outer, centre + inner}) {
      Rectangle half = new Rectangle(x(wheel.plane()) - width / 2, top, width, height);
      body.getChildren()
          .add(Look.styled(half, "edge-body", wheel.plane() % 2 == 0 ? "even" : "odd"));
    }
  }

  /** The roots of the teeth. */
  private void addLine(Group body, EdgeWheel wheel, double width, double centre, double root) {
    for (int side = -1; side <= 1; side += 2) {
      double y = centre + side * root;
      Line line = new Line(x(wheel.plane()) - width / 2, y, x(wheel.plane()) + width / 2, y);
      body.getChildren().add(Look.styled(line, "edge-root"));
    }
  }

  /** The plate by which a ring hangs on its shaft. */
  private Node plate(EdgeWheel wheel, double width, double centre, double root) {
    double x = x(wheel.plane()) + width / 2;
    return Look.styled(new Rectangle(x - 2, centre - root, 4, 2 * root), "edge-body");
  }

  /** Names of one plane stand above each other; one that would cover another is left out. */
  private boolean hasRoomForName(int plane, double centre) {
    List<Double> names = namesOfPlane.computeIfAbsent(plane, none -> new ArrayList<>());
    boolean free = names.stream().allMatch(other -> Math.abs(other - centre) >= NAME_HEIGHT);
    if (free) {
      names.add(centre);
    }
    return free;
  }

  private Node name(EdgeWheel wheel, double width, double centre) {
    Text text = Look.styled(new Text(Sign.shortName(wheel.wheel().id())), "edge-name");
    text.setX(x(wheel.plane()) + width / 2 + 4);
    text.setY(centre - 4);
    text.setMouseTransparent(true);
    return text;
  }

  private void showSelection() {
    for (EdgeFace face : faces) {
      boolean chosen = desk.selection().filter(face.id::equals).isPresent();
      face.body.pseudoClassStateChanged(SELECTED, chosen);
    }
  }
}
