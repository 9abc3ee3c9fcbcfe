package steadycog.app.geartable;

import java.util.Optional;
import javafx.scene.Group;
import javafx.scene.shape.Line;
import javafx.scene.shape.Polygon;
import javafx.scene.transform.Rotate;
import steadycog.app.look.Look;
import steadycog.shape.Placed;
import steadycog.shape.PlacedCone;

/** A bevel gear from the side: its teeth pass over it as it turns on its own axis. */
final class ConeView extends BodyView {
  private static final double SHAFT_SHARE = 0.34;
  private static final double LEAST_GAP = 2.5;

  private static final double TAG = 30;

  private final Group side = new Group();
  private final Rotate lie = new Rotate();
  private final Polygon shaft = Look.styled(new Polygon(), "wheel-body", "cone-shaft");
  private final Polygon body = Look.styled(new Polygon(), "wheel-body", "cone");
  private final Group teeth = new Group();
  private double rolled;

  ConeView(PlacedCone cone) {
    super(cone);
    setId("wheel-" + cone.id() + (cone.copy() == 0 ? "" : "-" + (cone.copy() + 1)));
    getStyleClass().add("from-side");
    teeth.setMouseTransparent(true);
    side.getTransforms().add(lie);
    side.getChildren().addAll(shaft, body, teeth);
    getChildren().addFirst(side);
  }

  private PlacedCone cone() {
    return (PlacedCone) placed();
  }

  /** A role shows on the outline: there is no room for a band. */
  @Override
  double bandRadius() {
    return 0;
  }

  @Override
  double[] markPlace() {
    return new double[] {0, 0};
  }

  @Override
  boolean hasShapeOf(Placed now) {
    return now instanceof PlacedCone other
        && other.large() == cone().large()
        && other.length() == cone().length()
        && other.shaft() == cone().shaft()
        && other.teeth() == cone().teeth();
  }

  @Override
  void turnShape() {
    lie.setAngle(-Math.toDegrees(cone().towards()));
  }

  /** Drawn with its small end to the right, then turned to where it lies. */
  @Override
  void reshape() {
    double half = cone().length() / 2 * scale();
    double large = cone().large() * scale();
    double small = cone().small() * scale();
    body.getPoints().setAll(-half, -large, half, -small, half, small, -half, large);
    double thick = SHAFT_SHARE * large;
    double end = -half - cone().shaft() * scale();
    shaft.getPoints().setAll(end, -thick, -half, -thick, -half, thick, end, thick);
    double gap = Math.PI * large / cone().teeth();
    teeth.setVisible(gap >= LEAST_GAP);
    if (gap < LEAST_GAP) {
      return;
    }
    while (teeth.getChildren().size() < cone().teeth()) {
      teeth.getChildren().add(Look.styled(new Line(), "cone-tooth"));
    }
    for (int k = 0; k < teeth.getChildren().size(); k++) {
      teeth.getChildren().get(k).setVisible(k < cone().teeth());
    }
    roll();
  }

  /** In the middle of its cone. */
  @Override
  Optional<TagSpot> tagSpot() {
    return Optional.of(new TagSpot(0, 0, false));
  }

  @Override
  void bendTo(double carriedTurns, double ownTurns) {
    rolled = ownTurns;
    boolean carried = placed().orbit().isPresent();
    lie.setAngle(-Math.toDegrees(cone().towards()) - (carried ? 360 * carriedTurns : 0));
    roll();
  }

  /** Puts every tooth where it stands; those on the far side are not seen. */
  private void roll() {
    double half = cone().length() / 2 * scale();
    for (int k = 0; teeth.isVisible() && k < cone().teeth(); k++) {
      double angle = 2 * Math.PI * (rolled + (double) k / cone().teeth());
      Line tooth = (Line) teeth.getChildren().get(k);
      double across = -Math.sin(angle) * scale();
      tooth.setVisible(Math.cos(angle) > 0);
      tooth.setStartX(-half);
      tooth.setEndX(half);
      tooth.setStartY(across * cone().large());
      tooth.setEndY(across * cone().small());
    }
  }
}
