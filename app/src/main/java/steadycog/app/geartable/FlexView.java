package steadycog.app.geartable;

import java.util.Optional;
import javafx.scene.shape.Polygon;
import steadycog.app.look.Look;
import steadycog.shape.GearOutline;
import steadycog.shape.Outline;
import steadycog.shape.Placed;
import steadycog.shape.PlacedFlex;

/** A flexspline; its shape is made anew as the generator goes round inside it. */
final class FlexView extends BodyView {
  private static final int BORE_POINTS = 120;

  private final Polygon teeth = Look.styled(new Polygon(), "flex-teeth");
  private final Polygon bore = Look.styled(new Polygon(), "flex-bore");
  private double times = 1;
  private double lobe = Double.NaN;

  FlexView(PlacedFlex flex) {
    super(flex);
    setId("wheel-" + flex.id());
    addTurning(teeth, bore);
  }

  private PlacedFlex flex() {
    return (PlacedFlex) placed();
  }

  /** Draws it with a multiple of its true deflection. */
  void exaggerate(double changed) {
    if (changed != times) {
      times = changed;
      redraw();
    }
  }

  @Override
  double bandRadius() {
    // Its teeth show the role: a round band would not fit it.
    return 0;
  }

  @Override
  double[] markPlace() {
    double outer = flex().scale() * flex().geometry().flexRadius() * scale();
    return new double[] {outer - 3, 12};
  }

  @Override
  boolean hasShapeOf(Placed now) {
    return now instanceof PlacedFlex other
        && other.geometry().equals(flex().geometry())
        && other.boreDepth() == flex().boreDepth()
        && other.scale() == flex().scale();
  }

  @Override
  void turnShape() {
    // Its teeth are turned into mesh by the outline itself.
  }

  @Override
  Optional<TagSpot> tagSpot() {
    return Optional.of(new TagSpot(0.97 * outerRadius(), Math.toRadians(-128), false));
  }

  @Override
  void reshape() {
    redraw();
  }

  @Override
  void bendTo(double generatorTurns, double ownTurns) {
    // The generator's lobe stands at twelve o'clock with the marks.
    double now = Math.PI / 2 + 2 * Math.PI * (generatorTurns - ownTurns);
    if (now != lobe) {
      lobe = now;
      redraw();
    }
  }

  private void redraw() {
    if (scale() > 0 && !Double.isNaN(lobe)) {
      fill(teeth, flex().geometry().flexInMesh(lobe, times, GearOutline.DRAWN_THINNING));
      fill(bore, flex().geometry().inside(lobe, times, flex().boreDepth(), BORE_POINTS));
    }
  }

  private void fill(Polygon polygon, Outline outline) {
    Double[] points = new Double[2 * outline.size()];
    double own = flex().scale() * scale();
    for (int k = 0; k < outline.size(); k++) {
      points[2 * k] = outline.x()[k] * own;
      points[2 * k + 1] = -outline.y()[k] * own;
    }
    polygon.getPoints().setAll(points);
  }
}
