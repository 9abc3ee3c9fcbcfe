package steadycog.app.geartable;

import java.util.Optional;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.shape.Circle;
import javafx.scene.transform.Rotate;
import steadycog.app.look.Look;
import steadycog.shape.Placed;
import steadycog.shape.PlacedCarrier;
import steadycog.shape.Polar;

/** A carrier: a plate behind the planets, and its pins in front of them. */
final class CarrierView extends BodyView {
  /** Inside its rim, where a leader ends. */
  private static final double SPOT = 8;

  private static final double MARK = 14;

  private final Circle plate = Look.styled(new Circle(), "carrier-plate");
  private final Group pins = Look.styled(new Group(), "carrier-pins");
  private final Rotate pinSpin = new Rotate();

  CarrierView(PlacedCarrier carrier) {
    super(carrier);
    setId("carrier-" + carrier.id());
    addTurning(plate);
    pins.getTransforms().add(pinSpin);
    pins.translateXProperty().bind(translateXProperty());
    pins.translateYProperty().bind(translateYProperty());
  }

  private PlacedCarrier carrier() {
    return (PlacedCarrier) placed();
  }

  @Override
  double bandRadius() {
    return outerRadius() - 5;
  }

  /** On the plate at twelve o'clock, between two planets. */
  @Override
  double[] markPlace() {
    return new double[] {outerRadius() - 8, MARK};
  }

  @Override
  boolean hasShapeOf(Placed now) {
    return now instanceof PlacedCarrier other
        && other.pins().equals(carrier().pins())
        && other.bodyRadius() == carrier().bodyRadius();
  }

  @Override
  void turnShape() {
    // A plate looks the same whichever way it is turned; its pins stand where the layout says.
  }

  @Override
  void reshape() {
    plate.setRadius(outerRadius());
    while (pins.getChildren().size() < carrier().pins().size()) {
      pins.getChildren().add(Look.styled(new Circle(), "carrier-pin"));
    }
    pins.getChildren().subList(carrier().pins().size(), pins.getChildren().size()).clear();
    for (int k = 0; k < carrier().pins().size(); k++) {
      Polar at = carrier().pins().get(k);
      Circle pin = (Circle) pins.getChildren().get(k);
      pin.setCenterX(at.radius() * Math.cos(at.angle()) * scale());
      pin.setCenterY(-at.radius() * Math.sin(at.angle()) * scale());
      pin.setRadius(Math.clamp(1.2 * scale(), 3, 9));
    }
  }

  @Override
  Optional<Node> overlay() {
    return Optional.of(pins);
  }

  /** On the plate, in the gap next to the one with the mark. */
  @Override
  Optional<TagSpot> tagSpot() {
    int planets = carrier().planets();
    double angle = Math.PI / 2 + (planets == 1 ? 0.5 : 2 * Math.PI / planets);
    return Optional.of(new TagSpot(outerRadius() - SPOT, angle, true));
  }

  @Override
  void moved() {
    pinSpin.setAngle(spin());
  }
}
