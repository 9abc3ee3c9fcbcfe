package steadycog.app.geartable;

import javafx.css.PseudoClass;
import javafx.scene.AccessibleRole;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.shape.Circle;
import javafx.scene.shape.FillRule;
import javafx.scene.shape.Line;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.SVGPath;
import javafx.scene.transform.Rotate;
import steadycog.app.geartable.WheelPath.Holes;
import steadycog.app.look.Look;
import steadycog.app.look.Roles;
import steadycog.shape.GearOutline;
import steadycog.shape.PlacedWheel;
import steadycog.train.Role;

/** One wheel: its turning body with the felt-pen mark, and its role drawn on the rim. */
final class WheelView extends Group {
  private static final PseudoClass SELECTED = PseudoClass.getPseudoClass("selected");
  private static final PseudoClass STUCK = PseudoClass.getPseudoClass("stuck");
  private static final int HOLES = 6;
  private static final double LINE = 1;
  private static final double LEAST_WEB = 34;
  private static final double ARROW_AT = Math.toRadians(50);

  private final PlacedWheel wheel;
  private final double scale;
  private final Rotate spin = new Rotate();
  private final Group turning = new Group();
  private final Node mark;

  WheelView(PlacedWheel wheel, double scale) {
    this.wheel = wheel;
    this.scale = scale;
    getStyleClass().add("wheel");
    setId("wheel-" + wheel.id());
    setAccessibleRole(AccessibleRole.BUTTON);
    mark = mark();
    turning.getTransforms().add(spin);
    turning.getChildren().add(body());
    if (wheel.teeth().internal()) {
      addSpokes();
    } else {
      addHub();
    }
    mark.getTransforms().add(spin);
    getChildren().add(turning);
  }

  PlacedWheel wheel() {
    return wheel;
  }

  /** Radius of everything drawn, in pixels. */
  double outerRadius() {
    return wheel.bodyRadius() * scale;
  }

  /** Radius inside which (of a ring: outside which) the body is solid, in pixels. */
  double rootRadius() {
    return GearOutline.rootRadius(wheel.teeth()) * scale;
  }

  double hubRadius() {
    return Math.clamp(0.2 * rootRadius(), 5, 22);
  }

  /** Turns the body by {@code turns} from where the marks stood at twelve o'clock. */
  void turnTo(double turns) {
    spin.setAngle(-360 * (turns - Math.rint(turns)));
  }

  /**
   * Draws the role.
   *
   * @param way +1 counter-clockwise, -1 clockwise, 0 at rest or unknown
   */
  void showRole(Role role, int way) {
    Roles.mark(this, role);
    getChildren().setAll(turning);
    double radius = bandRadius();
    if (role != Role.FREE && radius > 8) {
      getChildren().add(band(radius, "outer"));
      getChildren().add(band(radius - 5, "inner"));
      if (role == Role.DRIVE && way != 0) {
        getChildren().add(arrow(radius, way));
      }
    }
    getChildren().addAll(mark, halo());
  }

  void showSelected(boolean selected) {
    pseudoClassStateChanged(SELECTED, selected);
  }

  void showStuck(boolean stuck) {
    pseudoClassStateChanged(STUCK, stuck);
  }

  private double bandRadius() {
    return wheel.teeth().internal()
        ? rootRadius() + 0.6 * (outerRadius() - rootRadius())
        : rootRadius() - Math.max(4, 0.35 * scale);
  }

  private Node body() {
    double web = bandRadius() - 6 - hubRadius();
    boolean holed = !wheel.teeth().internal() && web > LEAST_WEB;
    double circle = hubRadius() + 0.5 * web;
    double hole = Math.min(0.3 * web, 0.7 * circle * Math.sin(Math.PI / HOLES));
    Holes holes = holed ? new Holes(HOLES, circle, hole) : Holes.NONE;
    SVGPath ink = path(holes, 0, "wheel-ink");
    SVGPath material = path(holes, LINE, "wheel-body");
    if (wheel.plane() % 2 != 0) {
      material.getStyleClass().add("odd");
    }
    Group body = new Group(ink, material);
    body.getTransforms().add(new Rotate(-Math.toDegrees(wheel.phase())));
    return body;
  }

  private SVGPath path(Holes holes, double inset, String style) {
    SVGPath path = new SVGPath();
    path.setContent(WheelPath.of(wheel.teeth(), scale, holes, inset));
    path.setFillRule(FillRule.EVEN_ODD);
    return Look.styled(path, style);
  }

  private void addHub() {
    turning.getChildren().add(Look.styled(new Circle(hubRadius()), "wheel-hub"));
  }

  /** A ring hangs on its shaft by a plate at the back, hinted at by three lines. */
  private void addSpokes() {
    for (int k = 0; k < 3; k++) {
      double angle = 2 * Math.PI * k / 3 - Math.PI / 2;
      double inner = 6;
      double outer = GearOutline.tipRadius(wheel.teeth()) * scale;
      turning
          .getChildren()
          .add(
              Look.styled(
                  new Line(
                      inner * Math.cos(angle),
                      inner * Math.sin(angle),
                      outer * Math.cos(angle),
                      outer * Math.sin(angle)),
                  "wheel-line"));
    }
    turning.getChildren().add(Look.styled(new Circle(5), "wheel-hub"));
  }

  /** The felt-pen mark, at twelve o'clock before the crank is turned. */
  private Node mark() {
    boolean ring = wheel.teeth().internal();
    double outer = ring ? outerRadius() - 3 : rootRadius() - 2;
    double length = Math.clamp(0.16 * rootRadius(), 7, 22);
    double inner = ring ? rootRadius() + 3 : outer - length;
    Line line = Look.styled(new Line(0, -outer, 0, -inner), "wheel-mark");
    line.setMouseTransparent(true);
    return line;
  }

  private static Node band(double radius, String which) {
    Circle band = Look.styled(new Circle(Math.max(1, radius)), "wheel-band", which);
    band.setMouseTransparent(true);
    return band;
  }

  private static Node arrow(double radius, int way) {
    double size = Math.clamp(radius * 0.22, 9, 15);
    Polygon head = new Polygon(0, -size, size * 1.25, 0, 0, size);
    double screen = -ARROW_AT;
    head.setTranslateX(radius * Math.cos(screen));
    head.setTranslateY(radius * Math.sin(screen));
    head.getTransforms().add(new Rotate(Math.toDegrees(screen) + (way > 0 ? -90 : 90)));
    head.setMouseTransparent(true);
    return Look.styled(head, "wheel-arrow");
  }

  private Node halo() {
    Circle halo = Look.styled(new Circle(outerRadius() + 3), "wheel-halo");
    halo.setMouseTransparent(true);
    return halo;
  }
}
