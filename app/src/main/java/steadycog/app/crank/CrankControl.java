package steadycog.app.crank;

import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.Group;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.transform.Rotate;
import steadycog.app.desk.Crank;
import steadycog.app.look.Look;

/** A hand crank to drag round; its arm stands as the input does. */
final class CrankControl extends Pane {
  private static final double RADIUS = 25;
  private static final double ARM = 16;
  private static final int TICKS = 12;

  private final Crank crank;
  private final Rotate spin = new Rotate();
  private double lastAngle;

  CrankControl(Crank crank) {
    this.crank = crank;
    setId("crank");
    getStyleClass().add("crank-control");
    setFocusTraversable(true);
    setAccessibleRole(AccessibleRole.SLIDER);
    setAccessibleText("Crank on the input: drag it round, or press full stop and comma");
    setMinSize(2 * RADIUS, 2 * RADIUS);
    setMaxSize(2 * RADIUS, 2 * RADIUS);
    setCursor(Cursor.HAND);
    Tooltip.install(this, new Tooltip("Drag to turn the input by hand"));
    Group arm =
        new Group(
            Look.styled(new Line(0, 0, 0, -ARM), "crank-arm"),
            Look.styled(new Circle(0, -ARM, 6), "crank-knob"),
            Look.styled(new Circle(4), "crank-axis"));
    arm.getTransforms().add(spin);
    Group dial = new Group(Look.styled(new Circle(RADIUS - 1), "crank-plate"));
    for (int k = 0; k < TICKS; k++) {
      Line tick = Look.styled(new Line(0, 3 - RADIUS, 0, (k == 0 ? 7 : 5) - RADIUS), "crank-tick");
      tick.getTransforms().add(new Rotate(360.0 * k / TICKS));
      dial.getChildren().add(tick);
    }
    dial.getChildren().add(arm);
    dial.setLayoutX(RADIUS);
    dial.setLayoutY(RADIUS);
    getChildren().add(dial);
    setOnMousePressed(this::grasp);
    setOnMouseDragged(this::drag);
    crank.positionProperty().addListener(o -> showPosition());
    showPosition();
  }

  private void grasp(MouseEvent press) {
    requestFocus();
    lastAngle = angle(press);
  }

  private void drag(MouseEvent move) {
    double now = angle(move);
    double step = Math.IEEEremainder(now - lastAngle, 2 * Math.PI);
    lastAngle = now;
    crank.drag(step / (2 * Math.PI));
  }

  /** Counter-clockwise, in radians. */
  private static double angle(MouseEvent event) {
    return Math.atan2(RADIUS - event.getY(), event.getX() - RADIUS);
  }

  private void showPosition() {
    double turns = crank.inputTurns().doubleValue();
    spin.setAngle(-360 * (turns - Math.rint(turns)));
  }
}
