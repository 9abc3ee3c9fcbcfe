package steadycog.app.geartable;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.shape.FillRule;
import javafx.scene.shape.SVGPath;
import javafx.scene.transform.Rotate;
import steadycog.app.look.Look;
import steadycog.shape.Outline;
import steadycog.shape.Placed;
import steadycog.shape.PlacedPlate;
import steadycog.shape.PlacedPlate.Kind;

/** A disc with lobes, a ring of pins, an eccentric, a circular spline or a wave generator. */
final class PlateView extends BodyView {
  private static final double LINE = 1;
  private static final double BAND = 0.3;

  /** In the middle of a case's wall, in modules from its outside. */
  private static final double CASE_BAND = 1.25;

  /** A cam out of round carries its band well inside. */
  private static final double CAM_BAND = 0.6;

  /** Kinds in the second of the two tones of metal, to stand out from what they mesh with. */
  private static final Set<Kind> ODD =
      EnumSet.of(Kind.ECCENTRIC, Kind.CIRCULAR_SPLINE, Kind.GENERATOR, Kind.CASE, Kind.SHAFT);

  private final SVGPath ink = path("wheel-ink");
  private final SVGPath material = path("wheel-body");
  private final SVGPath studs = Look.styled(new SVGPath(), "output-pin");
  private final SVGPath outputs = Look.styled(new SVGPath(), "output-pin");
  private final Group outputGroup = new Group(outputs);
  private final Rotate outputSpin = new Rotate();

  PlateView(PlacedPlate plate) {
    super(plate);
    setId("wheel-" + plate.id() + (plate.copy() == 0 ? "" : "-" + (plate.copy() + 1)));
    addTurning(new Group(ink, material, studs));
    if (ODD.contains(plate.kind())) {
      material.getStyleClass().add("odd");
    }
    if (plate.copy() > 0) {
      material.getStyleClass().add("behind");
    }
    outputGroup.getTransforms().add(outputSpin);
  }

  private PlacedPlate plate() {
    return (PlacedPlate) placed();
  }

  private static SVGPath path(String style) {
    SVGPath path = new SVGPath();
    path.setFillRule(FillRule.EVEN_ODD);
    return Look.styled(path, style);
  }

  @Override
  double bandRadius() {
    double mark = plate().markRadius() * scale();
    return switch (plate().kind()) {
      case PIN_RING, CIRCULAR_SPLINE -> mark - Math.max(4, BAND * 3 * scale());
      case DISC -> mark - 7;
      case ECCENTRIC -> mark - 4;
      case GENERATOR -> CAM_BAND * mark;
      case CROWN, SIDE -> mark - 5;
      case CASE -> mark - CASE_BAND * scale();
      case SHAFT -> mark - 3;
    };
  }

  @Override
  double[] markPlace() {
    double outer = plate().markRadius() * scale() - 3;
    return new double[] {outer, Math.clamp(0.16 * outer, 6, 16)};
  }

  @Override
  boolean suits(Placed now) {
    return now instanceof PlacedPlate other && other.kind() == plate().kind();
  }

  @Override
  boolean hasShapeOf(Placed now) {
    return now instanceof PlacedPlate other
        && other.circles().equals(plate().circles())
        && other.studs().equals(plate().studs())
        && sameLines(other.lines(), plate().lines());
  }

  private static boolean sameLines(List<Outline> one, List<Outline> other) {
    return one.size() == other.size() && (one.isEmpty() || one.getFirst().equals(other.getFirst()));
  }

  @Override
  void turnShape() {
    // Outlines stand as the layout says.
  }

  @Override
  void reshape() {
    draw(plate().lines());
  }

  /** Draws the plate between other lines than its own: an exaggerated generator. */
  void draw(List<Outline> lines) {
    ink.setContent(WheelPath.of(plate(), lines, scale(), 0));
    material.setContent(WheelPath.of(plate(), lines, scale(), LINE));
    boolean ofDisc = plate().kind() == Kind.DISC;
    boolean lined = plate().kind() == Kind.CROWN || plate().kind() == Kind.SIDE;
    studs.getStyleClass().setAll(lined ? "cone-line" : "output-pin");
    studs.setContent(ofDisc ? "" : WheelPath.of(plate().studs(), scale()));
    outputs.setContent(ofDisc ? WheelPath.of(plate().studs(), scale()) : "");
  }

  /** Members of a drive lie one in the other: their tags stand on different sides. */
  @Override
  Optional<TagSpot> tagSpot() {
    return Optional.of(
        switch (plate().kind()) {
          case PIN_RING, CIRCULAR_SPLINE ->
              new TagSpot(0.98 * outerRadius(), Math.toRadians(-52), false);
          case DISC -> new TagSpot(0.9 * outerRadius(), Math.toRadians(-128), false);
          case ECCENTRIC, GENERATOR -> new TagSpot(0, 0, false);
          case CROWN -> new TagSpot(0.85 * outerRadius(), Math.toRadians(-40), false);
          case SIDE -> new TagSpot(0, 0, false);
          case CASE -> new TagSpot(0.96 * outerRadius(), Math.toRadians(140), false);
          case SHAFT -> new TagSpot(0, 0, false);
        });
  }

  /** Output pins turn with the disc, but about the drive's axis. */
  @Override
  Optional<Node> overlay() {
    return plate().kind() == Kind.DISC && plate().copy() == 0
        ? Optional.of(outputGroup)
        : Optional.empty();
  }

  @Override
  void moved() {
    outputSpin.setAngle(spin());
    outputGroup.setTranslateX(middleX());
    outputGroup.setTranslateY(middleY());
  }
}
