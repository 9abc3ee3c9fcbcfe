package steadycog.app.geartable;

import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.scene.AccessibleRole;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.shape.Polygon;
import javafx.scene.transform.Rotate;
import steadycog.app.look.Look;
import steadycog.app.look.RoleLook;
import steadycog.shape.Placed;
import steadycog.shape.PlacedCarrier;
import steadycog.shape.PlacedCone;
import steadycog.shape.PlacedFlex;
import steadycog.shape.PlacedPlate;
import steadycog.shape.PlacedWheel;
import steadycog.train.MemberId;
import steadycog.train.Role;

/**
 * A member in the face view: its turning body with the felt-pen mark, and its role drawn on it. The
 * nodes stay the same for every train that has this member, since making nodes anew is what costs.
 */
abstract sealed class BodyView extends Group
    permits WheelView, CarrierView, PlateView, FlexView, ConeView {
  private static final PseudoClass SELECTED = PseudoClass.getPseudoClass("selected");
  private static final PseudoClass STUCK = PseudoClass.getPseudoClass("stuck");
  private static final PseudoClass BEHIND = PseudoClass.getPseudoClass("behind");
  private static final double ARROW_AT = Math.toRadians(50);
  private static final double LEAST_BAND = 8;

  private final Rotate spin = new Rotate();
  private final Group turning = new Group();
  private final Circle outerBand = band("outer");
  private final Circle innerBand = band("inner");
  private final Polygon arrow = Look.styled(new Polygon(), "wheel-arrow");
  private final Line mark = Look.styled(new Line(), "wheel-mark");
  private final Circle halo = Look.styled(new Circle(), "wheel-halo");
  private Placed placed;
  private double scale;
  private double restX;
  private double restY;
  private double middleX;
  private double middleY;
  private boolean behind;

  BodyView(Placed placed) {
    this.placed = placed;
    getStyleClass().add("wheel");
    setAccessibleRole(AccessibleRole.BUTTON);
    turning.getTransforms().add(spin);
    mark.getTransforms().add(spin);
    for (Node decoration : new Node[] {arrow, mark, halo}) {
      decoration.setMouseTransparent(true);
    }
    getChildren().addAll(turning, outerBand, innerBand, arrow, mark, halo);
  }

  /** Lets {@code nodes} turn with the body. */
  final void addTurning(Node... nodes) {
    turning.getChildren().addAll(nodes);
  }

  final Placed placed() {
    return placed;
  }

  final MemberId id() {
    return placed.id();
  }

  /** Pixels a module. */
  final double scale() {
    return scale;
  }

  /** Radius of everything drawn, in pixels. */
  final double outerRadius() {
    return placed.bodyRadius() * scale;
  }

  /** Where the band that shows the role runs, in pixels. */
  abstract double bandRadius();

  /** Outer end and length of the mark, in pixels. */
  abstract double[] markPlace();

  /**
   * Whether this view can show {@code now}: a body of the same kind. Members of different trains,
   * or of one whose part has become another, may share their name.
   */
  boolean suits(Placed now) {
    return now.getClass() == placed.getClass();
  }

  /** Whether {@code now} looks as {@link #placed} does, wherever it stands. */
  abstract boolean hasShapeOf(Placed now);

  /** Turns the shapes to where their teeth stand before the crank is turned. */
  abstract void turnShape();

  /** Brings the shapes in step with {@link #placed} at {@link #scale}. */
  abstract void reshape();

  /** Shows another place, size or count of the same member. */
  final void show(Placed now, double pixels) {
    boolean same = pixels == scale && hasShapeOf(now);
    placed = now;
    scale = pixels;
    turnShape();
    if (!same) {
      reshape();
      double[] place = markPlace();
      mark.setStartY(-place[0]);
      mark.setEndY(-place[0] + place[1]);
      halo.setRadius(outerRadius() + 3);
    }
  }

  /** Puts the body down; {@code x0}, {@code y0} is where the drawing's origin lies in the view. */
  final void putDown(double x0, double y0) {
    restX = x0 + placed.x() * scale;
    restY = y0 - placed.y() * scale;
    setTranslateX(restX);
    setTranslateY(restY);
    middleX = x0 + placed.orbit().map(Placed.Orbit::x).orElse(placed.x()) * scale;
    middleY = y0 - placed.orbit().map(Placed.Orbit::y).orElse(placed.y()) * scale;
  }

  /**
   * Turns the body by {@code turns} from where the marks stood at twelve o'clock, and its axis with
   * its carrier by {@code carried} turns.
   */
  final void turnTo(double turns, double carried) {
    spin.setAngle(-360 * (turns - Math.rint(turns)));
    bendTo(carried, turns);
    if (placed.orbit().isPresent()) {
      Placed.Orbit about = placed.orbit().get();
      double angle = 2 * Math.PI * (carried - Math.rint(carried));
      double dx = (placed.x() - about.x()) * scale;
      double dy = (placed.y() - about.y()) * scale;
      setTranslateX(middleX + dx * Math.cos(angle) - dy * Math.sin(angle));
      setTranslateY(middleY - dx * Math.sin(angle) - dy * Math.cos(angle));
    }
    moved();
  }

  /** Called when the body has been turned, for what goes along. */
  void moved() {
    // Most bodies have nothing besides themselves.
  }

  /** Bends a body that is no rigid one: the generator and the body itself after so many turns. */
  void bendTo(double generatorTurns, double ownTurns) {
    // Rigid.
  }

  /** Where its axis stands with all marks at twelve o'clock, in pixels. */
  final double restX() {
    return restX;
  }

  final double restY() {
    return restY;
  }

  /** Where the axis lies about which the body is taken round, in pixels. */
  final double middleX() {
    return middleX;
  }

  final double middleY() {
    return middleY;
  }

  /** The turned angle in degrees, clockwise on the screen. */
  final double spin() {
    return spin.getAngle();
  }

  /**
   * Draws the role.
   *
   * @param way +1 counter-clockwise, -1 clockwise, 0 at rest or unknown
   */
  final void showRole(Role role, int way) {
    RoleLook.mark(this, role);
    double radius = bandRadius();
    boolean banded = role != Role.FREE && radius > LEAST_BAND;
    outerBand.setVisible(banded);
    outerBand.setRadius(Math.max(1, radius));
    innerBand.setRadius(Math.max(1, radius - 5));
    innerBand.setOpacity(banded ? 1 : 0);
    arrow.setOpacity(banded && way != 0 ? 1 : 0);
    if (banded && way != 0) {
      pointArrow(radius, way);
    }
  }

  private void pointArrow(double radius, int way) {
    double size = Math.clamp(radius * 0.22, 9, 15);
    arrow.getPoints().setAll(0.0, -size, size * 1.25, 0.0, 0.0, size);
    arrow.setTranslateX(radius * Math.cos(-ARROW_AT));
    arrow.setTranslateY(radius * Math.sin(-ARROW_AT));
    arrow.getTransforms().setAll(new Rotate(Math.toDegrees(-ARROW_AT) + (way > 0 ? -90 : 90)));
  }

  final void showSelected(boolean selected) {
    pseudoClassStateChanged(SELECTED, selected);
  }

  final void showStuck(boolean stuck) {
    pseudoClassStateChanged(STUCK, stuck);
  }

  /** Whether it shows faintly, behind a row that is looked at. */
  final void showBehind(boolean now) {
    behind = now;
    pseudoClassStateChanged(BEHIND, now);
  }

  final boolean isBehind() {
    return behind;
  }

  private static Circle band(String which) {
    Circle band = Look.styled(new Circle(), "wheel-band", which);
    band.setMouseTransparent(true);
    return band;
  }

  /** Whether it is the first of several equal bodies, or the only one. */
  final boolean isFirst() {
    return placed.copy() == 0;
  }

  /**
   * A fixed place for a tag about the body's axis.
   *
   * @param radius in pixels
   * @param angle in radians, counter-clockwise from the right
   * @param turning whether the place goes round with the body
   */
  record TagSpot(double radius, double angle, boolean turning) {}

  /** Where the tag stands, or nothing where a place is to be looked for. */
  Optional<TagSpot> tagSpot() {
    return Optional.empty();
  }

  /** The view of {@code placed}'s kind. */
  static BodyView of(Placed placed) {
    return switch (placed) {
      case PlacedWheel wheel -> new WheelView(wheel);
      case PlacedCarrier carrier -> new CarrierView(carrier);
      case PlacedPlate plate -> new PlateView(plate);
      case PlacedFlex flex -> new FlexView(flex);
      case PlacedCone cone -> new ConeView(cone);
    };
  }

  /** What is drawn over all wheels, as the pins of a carrier; turns and is chosen with the body. */
  Optional<Node> overlay() {
    return Optional.empty();
  }
}
