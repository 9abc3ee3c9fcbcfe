package steadycog.app.geartable;

import java.util.List;
import java.util.function.DoubleUnaryOperator;
import javafx.css.PseudoClass;
import javafx.geometry.Bounds;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.control.Tooltip;
import javafx.scene.shape.Line;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Rectangle;
import javafx.scene.shape.Shape;
import steadycog.app.geartable.TagPlaces.Point;
import steadycog.app.look.Look;
import steadycog.app.look.RoleLook;
import steadycog.number.Figures;
import steadycog.shape.EdgeLayout.EdgeCarrier;
import steadycog.shape.EdgeLayout.EdgeCone;
import steadycog.shape.EdgeLayout.EdgeCup;
import steadycog.shape.EdgeLayout.EdgeWheel;
import steadycog.shape.EdgeLayout.Way;
import steadycog.train.Helix;
import steadycog.train.Role;

/** A wheel, ring or carrier from the side: what can be chosen and carries a role. */
final class EdgeBody extends Group {
  private static final PseudoClass SELECTED = PseudoClass.getPseudoClass("selected");
  private static final PseudoClass ODD = PseudoClass.getPseudoClass("odd");
  private static final double THINNEST = 3;
  private static final double PLATE = 5;
  private static final double WALL = 3;
  private static final double FLANGE = 0.25;
  private static final double SHAFT = 6;

  private static final double LINE_SHARE = 0.8;
  private static final double LINES_APART = 5;

  /** What is lower has room for one line, in pixels. */
  private static final double LEAST_FOR_THREE = 14;

  /** By how much an arrow goes beyond the face, and how large its head is. */
  private static final double BEYOND = 11;

  private static final double HEAD = 6;

  /** What is thinner is cut through without being hatched. */
  private static final double LEAST_HATCHED = 5;

  /** From the rim of a body to where a leader ends on it. */
  private static final double END = 4;

  private final Rectangle plate = rectangle();
  private final Rectangle plateBelow = rectangle();
  private final Rectangle upper = rectangle();
  private final Rectangle lower = rectangle();
  private final Polygon cone = Look.styled(new Polygon(), "edge-body");
  private final Hatch hatch = new Hatch("edge-hatch");
  private final Path winding = Look.styled(new Path(), "edge-winding");
  private final Path arrow = Look.styled(new Path(), "edge-thrust");
  private final Tooltip pressed = new Tooltip();
  private final Line upperRoot = Look.styled(new Line(), "edge-root");
  private final Line lowerRoot = Look.styled(new Line(), "edge-root");
  private Shape main = upper;

  EdgeBody() {
    getStyleClass().add("edge-wheel");
    getChildren()
        .addAll(plate, plateBelow, upper, lower, cone, hatch, upperRoot, lowerRoot, winding, arrow);
    Tooltip.install(arrow, pressed);
  }

  private static Rectangle rectangle() {
    return Look.styled(new Rectangle(), "edge-body");
  }

  /**
   * A body of rotation about {@code x}, {@code y}, in pixels, cut through its axis; teeth are left
   * whole, as is usual.
   *
   * @param shaft half the thickness of what it sits on, which is not cut
   * @param rising which way its hatching runs
   */
  void showWheel(
      EdgeWheel edge,
      double x,
      double y,
      double width,
      double scale,
      double shaft,
      boolean rising) {
    main = upper;
    double outer = edge.outer() * scale;
    double inner = edge.inner() * scale;
    double root = edge.root() * scale;
    double height = Math.max(THINNEST, outer - inner);
    put(upper, x - width / 2, y - outer, width, height);
    put(lower, x - width / 2, y + inner, width, height);
    lower.setVisible(true);
    hatch.clear();
    double within = edge.isRing() ? Math.max(inner, root) : shaft;
    double cut = (edge.isRing() || root <= 0 ? outer : root) - within;
    if (cut >= LEAST_HATCHED) {
      hatch.over(x - width / 2, y - within - cut, width, cut, rising);
      hatch.over(x - width / 2, y + within, width, cut, rising);
    }
    root(upperRoot, x, y - root, width);
    root(lowerRoot, x, y + root, width);
    upperRoot.setVisible(root > 0);
    lowerRoot.setVisible(root > 0);
    plate.setVisible(edge.hung() != Way.EITHER);
    plateBelow.setVisible(edge.hung() != Way.EITHER);
    // The plate by which a ring hangs on its shaft: in a set on the side away from the carrier.
    double bore = edge.bore() * scale;
    double side = edge.hung() == Way.LEFT ? x - width / 2 - 2 : x + width / 2 - 2;
    put(plate, side, y - outer + 4, 4, outer - 4 - bore);
    put(plateBelow, side, y + bore, 4, outer - 4 - bore);
    pseudoClassStateChanged(ODD, edge.plane() % 2 != 0 || (edge.copy() > 0 && !edge.isRing()));
  }

  /**
   * Of a body whose teeth wind three lines aslant above its axis, as a drawing office shows them
   * (ISO 2203), and below it an arrow the way its teeth press it.
   *
   * @param thrust N, towards the drive end positive
   */
  void showTeeth(
      Helix helix, double thrust, EdgeWheel edge, double x, double y, double width, double scale) {
    // In the middle of what is hatched, of a ring in its wall.
    double inside = scale * Math.max(edge.inner(), edge.root() * (edge.isRing() ? 1 : 0));
    double outside = scale * (edge.isRing() ? edge.outer() : edge.root());
    double middle = (inside + outside) / 2;
    winding.getElements().clear();
    if (!helix.isStraight()) {
      showWinding(helix, x, y - middle, width, outside - inside);
    }
    arrow.setVisible(thrust != 0);
    double tip = x - Math.signum(thrust) * (width / 2 + BEYOND);
    double tail = x + Math.signum(thrust) * width / 4;
    double head = tip + Math.signum(thrust) * HEAD;
    arrow
        .getElements()
        .setAll(
            new MoveTo(tail, y + middle),
            new LineTo(tip, y + middle),
            new MoveTo(head, y + middle - HEAD / 2),
            new LineTo(tip, y + middle),
            new LineTo(head, y + middle + HEAD / 2));
    pressed.setText("Its teeth press it this way: " + Figures.shown(Math.abs(thrust)) + " N");
  }

  /** A right hand falls to the right, a herringbone is bent in its middle. */
  private void showWinding(Helix helix, double x, double y, double width, double room) {
    double half = width * LINE_SHARE / 2;
    double slope = helix.sign() * Math.tan(helix.radians());
    int beside = room < LEAST_FOR_THREE ? 0 : 1;
    for (int k = -beside; k <= beside; k++) {
      double middle = y + k * Math.min(LINES_APART, room / 4);
      double bend = helix.isDouble() ? slope * half / 2 : 0;
      winding
          .getElements()
          .addAll(
              new MoveTo(x - half, middle - (helix.isDouble() ? bend : slope * half)),
              new LineTo(x, middle + bend),
              new LineTo(x + half, middle + (helix.isDouble() ? -bend : slope * half)));
    }
  }

  /**
   * The wall of a flexspline behind its teeth, closed inwards to a shaft or outwards to a flange.
   */
  void showCup(EdgeCup cup, DoubleUnaryOperator x, DoubleUnaryOperator y, double scale) {
    main = upper;
    leaveWhole();
    double from = x.applyAsDouble(cup.plane() + 0.17);
    double to = x.applyAsDouble(cup.plane() + 0.42);
    double above = y.applyAsDouble(cup.height() + cup.radius());
    double below = y.applyAsDouble(cup.height() - cup.radius());
    put(upper, from, above - WALL / 2, to - from, WALL);
    put(lower, from, below - WALL / 2, to - from, WALL);
    lower.setVisible(true);
    double middle = y.applyAsDouble(cup.height());
    double flange = FLANGE * cup.radius() * scale;
    put(
        plate,
        to - WALL,
        cup.hat() ? above - flange : above,
        WALL,
        cup.hat() ? flange : middle - above);
    put(
        plateBelow,
        to - WALL,
        cup.hat() ? below : middle,
        WALL,
        cup.hat() ? flange : below - middle);
    plate.setVisible(true);
    plateBelow.setVisible(true);
    upperRoot.setVisible(false);
    lowerRoot.setVisible(false);
  }

  /** A bevel gear on an upright shaft. */
  void showCone(EdgeCone edge, double x, DoubleUnaryOperator y, double scale, double widest) {
    main = cone;
    leaveWhole();
    double large = Math.min(edge.large() * scale, widest);
    double small = large * edge.small() / edge.large();
    double far = y.applyAsDouble(edge.height());
    double near = y.applyAsDouble(edge.toward());
    double end = y.applyAsDouble(edge.shaftTo());
    cone.getPoints().setAll(x - large, far, x + large, far, x + small, near, x - small, near);
    put(upper, x - SHAFT / 2, Math.min(far, end), SHAFT, Math.abs(end - far));
    for (Node unused : new Node[] {plate, plateBelow, lower, upperRoot, lowerRoot}) {
      unused.setVisible(false);
    }
  }

  /** A carrier's plate beside its planets with the pins on which they turn. */
  void showCarrier(
      EdgeCarrier carrier, DoubleUnaryOperator x, DoubleUnaryOperator y, double scale) {
    main = plate;
    leaveWhole();
    boolean before = carrier.pinTo() > carrier.plateAt();
    double at = x.applyAsDouble(carrier.plateAt()) - (before ? PLATE : 0);
    double top = y.applyAsDouble(carrier.height() + carrier.reach());
    double bottom = y.applyAsDouble(carrier.height() - (carrier.bothSides() ? carrier.reach() : 0));
    put(plate, at, top, PLATE, bottom - top);
    plate.setVisible(true);
    plateBelow.setVisible(false);
    double pinEnd = x.applyAsDouble(carrier.pinTo());
    double pinFrom = Math.min(at, pinEnd);
    double pinLength = Math.abs(at - pinEnd);
    double pin = Math.clamp(1.4 * scale, 2, 8);
    double above = y.applyAsDouble(carrier.height() + carrier.pinHeight());
    double below = y.applyAsDouble(carrier.height() - carrier.pinHeight());
    put(upper, pinFrom, above - pin / 2, pinLength, pin);
    put(lower, pinFrom, below - pin / 2, pinLength, pin);
    lower.setVisible(carrier.bothSides());
    upperRoot.setVisible(false);
    lowerRoot.setVisible(false);
    pseudoClassStateChanged(ODD, true);
  }

  /** Neither hatched nor wound. */
  private void leaveWhole() {
    hatch.clear();
    winding.setVisible(false);
  }

  /** Points of the body that a leader may end on. */
  List<Point> ends() {
    Bounds at = EdgeNames.outline(main);
    double in = Math.min(END, at.getHeight() / 2);
    return List.of(
        new Point(at.getCenterX(), at.getMinY() + in),
        new Point(at.getMaxX() - 1, at.getMinY() + in),
        new Point(at.getMinX() + 1, at.getMinY() + in),
        new Point(at.getCenterX(), at.getMaxY() - in));
  }

  void showRole(Role role) {
    RoleLook.mark(this, role);
  }

  void showSelected(boolean selected) {
    pseudoClassStateChanged(SELECTED, selected);
  }

  private static void put(Rectangle body, double x, double y, double width, double height) {
    body.setX(x);
    body.setY(y);
    body.setWidth(width);
    body.setHeight(Math.max(1, height));
  }

  private static void root(Line line, double x, double y, double width) {
    line.setStartX(x - width / 2);
    line.setEndX(x + width / 2);
    line.setStartY(y);
    line.setEndY(y);
  }
}
