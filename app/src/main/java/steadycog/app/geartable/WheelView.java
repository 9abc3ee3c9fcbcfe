package steadycog.app.geartable;

import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.scene.Group;
import javafx.scene.shape.Circle;
import javafx.scene.shape.FillRule;
import javafx.scene.shape.Line;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.SVGPath;
import javafx.scene.text.Text;
import javafx.scene.transform.Rotate;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.app.geartable.WheelPath.Holes;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.shape.Placed;
import steadycog.shape.PlacedWheel;
import steadycog.train.Helix;

/** A toothed wheel, or a ring with its teeth inside. */
final class WheelView extends BodyView {
  private static final int HOLES = 6;
  private static final double LINE = 1;
  private static final double LEAST_WEB = 34;
  private static final int SPOKES = 3;

  /** Half the height of the sign of a hand and how far its strokes are apart, in pixels. */
  private static final double HAND = 6;

  private static final double CLOCKING = 15;
  private static final double LEAST_HAND = 3.5;
  private static final PseudoClass CLOCKED = PseudoClass.getPseudoClass("clocked");
  private static final String[] BODY = {"wheel-body"};

  private final SVGPath ink = path("wheel-ink");
  private final SVGPath material = path("wheel-body");
  private final Rotate phase = new Rotate();
  private final Circle hub = Look.styled(new Circle(), "wheel-hub");
  private final Line[] spokes = new Line[SPOKES];
  private final Path hand = Look.styled(new Path(), "wheel-hand");
  private final Text clocking = Look.styled(new Text(), "clocking");

  WheelView(PlacedWheel wheel) {
    super(wheel);
    setId("wheel-" + wheel.id() + (wheel.copy() == 0 ? "" : "-" + (wheel.copy() + 1)));
    Group body = new Group(ink, material);
    body.getTransforms().add(phase);
    addTurning(body);
    for (int k = 0; k < SPOKES; k++) {
      spokes[k] = Look.styled(new Line(), "wheel-line");
      addTurning(spokes[k]);
    }
    addTurning(hub);
    clocking.setMouseTransparent(true);
    Look.anchor(clocking, 0, 0.5);
    hand.setMouseTransparent(true);
    getChildren().addAll(clocking, hand);
  }

  PlacedWheel wheel() {
    return (PlacedWheel) placed();
  }

  boolean isRing() {
    return wheel().teeth().internal();
  }

  /** Radius inside which (of a ring: outside which) the body is solid, in pixels. */
  double rootRadius() {
    return wheel().rootRadius() * scale();
  }

  /** Radius of what is free within the teeth and the band that shows a role. */
  double webRadius() {
    return Math.min(rootRadius(), bandRadius()) - 1;
  }

  /** Of a ring, within the tips of its teeth. */
  double innerRadius() {
    return wheel().tipRadius() * scale();
  }

  double hubRadius() {
    return Math.clamp(0.2 * rootRadius(), 5, 22);
  }

  @Override
  double bandRadius() {
    return isRing()
        ? rootRadius() + 0.6 * (outerRadius() - rootRadius())
        : rootRadius() - Math.max(4, 0.35 * scale());
  }

  /** At twelve o'clock: on a ring's rim, just inside the roots of a wheel. */
  @Override
  double[] markPlace() {
    return isRing()
        ? new double[] {outerRadius() - 3, outerRadius() - rootRadius() - 6}
        : new double[] {rootRadius() - 2, Math.clamp(0.16 * rootRadius(), 7, 22)};
  }

  @Override
  boolean hasShapeOf(Placed now) {
    return now instanceof PlacedWheel other
        && other.teeth().equals(wheel().teeth())
        && other.cut().equals(wheel().cut())
        && other.hollow() == wheel().hollow()
        && other.scale() == wheel().scale()
        && other.plane() % 2 == wheel().plane() % 2;
  }

  @Override
  void turnShape() {
    phase.setAngle(-Math.toDegrees(wheel().phase()));
  }

  @Override
  void reshape() {
    double web = bandRadius() - 6 - hubRadius();
    boolean holed =
        !isRing() && web > LEAST_WEB && wheel().orbit().isEmpty() && wheel().hollow() == 0;
    double circle = hubRadius() + 0.5 * web;
    double hole = Math.min(0.3 * web, 0.7 * circle * Math.sin(Math.PI / HOLES));
    Holes holes = holed ? new Holes(HOLES, circle, hole) : Holes.NONE;
    ink.setContent(WheelPath.of(wheel(), scale(), holes, 0));
    material.setContent(WheelPath.of(wheel(), scale(), holes, LINE));
    boolean odd = wheel().plane() % 2 != 0;
    if (material.getStyleClass().contains("odd") != odd) {
      material.getStyleClass().setAll(odd ? new String[] {"wheel-body", "odd"} : BODY);
    }
    hub.setRadius(isRing() ? 5 : hubRadius());
    for (int k = 0; k < SPOKES; k++) {
      point(spokes[k], 2 * Math.PI * k / SPOKES - Math.PI / 2, wheel().tipRadius() * scale());
    }
  }

  /**
   * Whether a ring hangs on a shaft of its own by a plate at the back, hinted at by three lines; in
   * a planetary set the carrier takes that room.
   */
  void showPlate(boolean hangs) {
    hub.setVisible(wheel().hollow() == 0 && (!isRing() || hangs));
    for (Line spoke : spokes) {
      spoke.setVisible(isRing() && hangs);
    }
  }

  /** Writes on a planet by how much of a tooth its rows are turned against each other. */
  void showClocking(Optional<BigFraction> teeth) {
    clocking.setText(teeth.map(Sign::exact).orElse(""));
    clocking.setY(hub.getRadius() + CLOCKING);
    pseudoClassStateChanged(CLOCKED, teeth.isPresent());
  }

  /**
   * Three strokes below the hub, at the foot of the rim of a ring: as teeth look from the side with
   * the axis upright, a right hand rising to the right. None where there is no room.
   */
  void showHand(Helix helix) {
    hand.getElements().clear();
    double low = isRing() ? rootRadius() + 1 : hubRadius() + 2 + (isClocked() ? CLOCKING : 0);
    double high = isRing() ? outerRadius() - 1 : Math.min(rootRadius(), bandRadius()) - 2;
    double half = Math.min(HAND, (high - low) / 2);
    if (helix.isStraight() || half < LEAST_HAND) {
      return;
    }
    double y = isRing() ? (low + high) / 2 : low + half;
    double slope = helix.sign() * half * Math.tan(helix.radians());
    for (int k = -1; k <= 1; k++) {
      double x = k * HAND;
      hand.getElements()
          .addAll(
              new MoveTo(x - slope, y + half),
              new LineTo(helix.isDouble() ? x + slope : x, y),
              new LineTo(helix.isDouble() ? x - slope : x + slope, y - half));
    }
  }

  private boolean isClocked() {
    return !clocking.getText().isEmpty();
  }

  private static void point(Line spoke, double angle, double outer) {
    spoke.setStartX(6 * Math.cos(angle));
    spoke.setStartY(6 * Math.sin(angle));
    spoke.setEndX(outer * Math.cos(angle));
    spoke.setEndY(outer * Math.sin(angle));
  }

  private static SVGPath path(String style) {
    SVGPath path = new SVGPath();
    path.setFillRule(FillRule.EVEN_ODD);
    return Look.styled(path, style);
  }
}
