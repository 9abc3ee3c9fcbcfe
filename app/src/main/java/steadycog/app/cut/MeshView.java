package steadycog.app.cut;

import java.util.Optional;
import javafx.scene.Group;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.shape.FillRule;
import javafx.scene.shape.Line;
import javafx.scene.shape.SVGPath;
import javafx.scene.text.Text;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.number.Figures;
import steadycog.number.Unit;
import steadycog.piece.Pieces;
import steadycog.shape.Drives;
import steadycog.shape.FaceLayout;
import steadycog.shape.Outline;
import steadycog.shape.PlacedWheel;
import steadycog.sizing.MeshFigures;
import steadycog.train.Train;

/** Two meshing wheels about their pitch point as they are made, much larger than they are. */
final class MeshView extends Pane {
  /** Modules across the shorter side of the view. */
  private static final double ACROSS = 4.6;

  private static final double BAR = 5;
  private static final double EDGE = 10;
  private static final double SEE_THROUGH = 0.72;
  private static final double NAME_EDGE = 4;

  private final SVGPath first = wheel("mesh-first");
  private final SVGPath second = wheel("mesh-second");
  private final Line bar = Look.styled(new Line(), "mesh-bar");
  private final Text barText = Look.styled(new Text(), "mesh-text");
  private final Label firstName = Look.label("", "mesh-name");
  private final Label secondName = Look.label("", "mesh-name");
  private Optional<Shown> shown = Optional.empty();

  private record Shown(Train train, FaceLayout layout, MeshFigures mesh, Unit length) {}

  MeshView() {
    setId("mesh-view");
    getStyleClass().add("mesh-view");
    setMinSize(120, 120);
    Look.clip(this);
    getChildren().addAll(new Group(first, second), bar, barText, firstName, secondName);
    widthProperty().addListener(o -> draw());
    heightProperty().addListener(o -> draw());
  }

  private static SVGPath wheel(String style) {
    SVGPath path = Look.styled(new SVGPath(), style);
    path.setFillRule(FillRule.EVEN_ODD);
    return path;
  }

  void show(Train train, FaceLayout layout, Optional<MeshFigures> mesh, Unit length) {
    shown = mesh.map(one -> new Shown(train, layout, one, length));
    setAccessibleText(
        mesh.map(one -> "Teeth of " + one.mesh().a() + " and " + one.mesh().b() + ", magnified")
            .orElse(""));
    draw();
  }

  private void draw() {
    boolean any = shown.isPresent() && getWidth() > 0 && getHeight() > 0;
    getChildren().forEach(node -> node.setVisible(any));
    if (any) {
      draw(shown.get());
    }
  }

  private void draw(Shown now) {
    MeshFigures mesh = now.mesh;
    PlacedWheel a = now.layout.wheel(mesh.mesh().a());
    PlacedWheel b = now.layout.wheel(mesh.mesh().b());
    double module = mesh.moduleMm();
    double scale = Math.min(getWidth(), getHeight()) / (ACROSS * module);
    // The pitch point, on the line of the axes; in a ring beyond the pinion.
    double towards = Math.atan2(b.y() - a.y(), b.x() - a.x());
    if (b.teeth().internal()) {
      towards += Math.PI;
    }
    double radius = mesh.workingRadius(mesh.mesh().a());
    double unit = Drives.moduleMm(now.train);
    double px = a.x() * unit + radius * Math.cos(towards);
    double py = a.y() * unit + radius * Math.sin(towards);
    // Turned so that the axes lie above each other, the first below.
    double turn = Math.PI / 2 - towards;
    place(first, now.train, a, module, scale, px, py, turn);
    // So that teeth which overlap are seen through each other.
    second.setOpacity(mesh.play() < 0 ? SEE_THROUGH : 1);
    place(second, now.train, b, module, scale, px, py, turn);
    double wanted = getWidth() / 4 / scale;
    double inUnit = round(now.length.fromBase(wanted));
    double length = now.length.toBase(inUnit);
    double right = getWidth() - EDGE;
    bar.setStartX(right - length * scale);
    bar.setEndX(right);
    bar.setStartY(getHeight() - EDGE);
    bar.setEndY(getHeight() - EDGE);
    barText.setText(Figures.significant(inUnit, 2) + "\u2009" + now.length.symbol());
    Look.anchor(barText, right, 1);
    barText.setY(getHeight() - EDGE - BAR);
    firstName.setText(Sign.shortName(mesh.mesh().a()));
    secondName.setText(Sign.shortName(mesh.mesh().b()));
    boolean ringBelow = a.teeth().internal();
    name(firstName, !ringBelow);
    name(secondName, ringBelow);
  }

  /** In the middle above or below, where there is always material. */
  private void name(Label name, boolean below) {
    name.autosize();
    name.relocate(
        (getWidth() - name.getWidth()) / 2,
        below ? getHeight() - name.getHeight() - NAME_EDGE : NAME_EDGE);
  }

  /** 1, 2 or 5 times a power of ten, not above {@code value}. */
  private static double round(double value) {
    double power = Math.pow(10, Math.floor(Math.log10(value)));
    double lead = value / power;
    return power * (lead >= 5 ? 5 : lead >= 2 ? 2 : 1);
  }

  private void place(
      SVGPath path,
      Train train,
      PlacedWheel wheel,
      double module,
      double scale,
      double px,
      double py,
      double turn) {
    Outline teeth = Pieces.teeth(train, wheel, module / 400);
    double unit = Drives.moduleMm(train);
    Outline standing = teeth.placed(wheel.phase(), wheel.x() * unit - px, wheel.y() * unit - py);
    Outline upright = standing.placed(turn, 0, 0);
    StringBuilder text = new StringBuilder();
    double x0 = getWidth() / 2;
    double y0 = getHeight() / 2;
    for (int k = 0; k < upright.size(); k++) {
      text.append(k == 0 ? 'M' : 'L');
      text.append(Math.round((x0 + upright.x()[k] * scale) * 100) / 100.0).append(' ');
      text.append(Math.round((y0 - upright.y()[k] * scale) * 100) / 100.0);
    }
    text.append('Z');
    if (wheel.teeth().internal()) {
      text.append(frame());
    }
    path.setContent(text.toString());
  }

  /** Round everything in view: the material of a ring goes on outside. */
  private String frame() {
    double far = 1e5;
    return "M-" + far + " -" + far + "L" + far + " -" + far + "L" + far + " " + far + "L-" + far
        + " " + far + "Z";
  }
}
