package steadycog.app.geartable;

import java.util.HashMap;
import java.util.Map;
import javafx.scene.Group;
import javafx.scene.shape.Circle;
import steadycog.app.desk.Bench;
import steadycog.app.look.Look;
import steadycog.shape.CycloidGeometry;
import steadycog.shape.Drives;
import steadycog.shape.Polar;
import steadycog.train.Cycloidal;

/** Dots where the lobes of the first disc press on the pins. */
final class ContactMarks extends Group {
  private static final double RADIUS = 2.6;

  /** Worked out once a train, not at every frame of the crank. */
  private final Map<Cycloidal, CycloidGeometry> geometries = new HashMap<>();

  ContactMarks() {
    setMouseTransparent(true);
  }

  /**
   * Marks the contacts of a drive.
   *
   * @param from the first dot that is free
   * @return the first dot that is free now
   */
  int show(
      Cycloidal drive,
      Bench bench,
      BodyView ring,
      double ringTurns,
      double eccentricTurns,
      int from) {
    CycloidGeometry geometry = geometries.computeIfAbsent(drive, CycloidGeometry::new);
    double scale = ring.scale() / Drives.moduleMm(bench.card().train());
    double eccentric = 2 * Math.PI * (eccentricTurns - Math.rint(eccentricTurns));
    double turned = 2 * Math.PI * (ringTurns - Math.rint(ringTurns));
    int next = from;
    for (Polar pin : geometry.pins()) {
      double angle = pin.angle() + turned;
      if (CycloidGeometry.carries(angle, eccentric)) {
        Polar at = geometry.contact(angle, eccentric);
        Circle dot = dot(next++);
        dot.setVisible(true);
        dot.setCenterX(ring.getTranslateX() + at.radius() * Math.cos(at.angle()) * scale);
        dot.setCenterY(ring.getTranslateY() - at.radius() * Math.sin(at.angle()) * scale);
      }
    }
    return next;
  }

  /** Another train is shown: what was worked out for the last one goes. */
  void forget() {
    geometries.clear();
  }

  private Circle dot(int index) {
    while (getChildren().size() <= index) {
      getChildren().add(Look.styled(new Circle(RADIUS), "contact"));
    }
    return (Circle) getChildren().get(index);
  }

  void hideFrom(int index) {
    for (int k = index; k < getChildren().size(); k++) {
      getChildren().get(k).setVisible(false);
    }
  }
}
