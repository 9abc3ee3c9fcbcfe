package steadycog.app.geartable;

import steadycog.shape.Detail;
import steadycog.shape.GearOutline;
import steadycog.shape.Outline;
import steadycog.train.Teeth;

/** SVG path text of a wheel's body about the origin, in pixels, y down; fill rule even-odd. */
final class WheelPath {
  private static final double FINE_FROM = 26;
  private static final double MEDIUM_FROM = 10;

  /** Teeth closer than this blur: the wheel is drawn as a plain disc with its pitch line. */
  private static final double TEETH_FROM = 2.2;

  private final Teeth teeth;
  private final double scale;
  private final StringBuilder text = new StringBuilder();

  private WheelPath(Teeth teeth, double scale) {
    this.teeth = teeth;
    this.scale = scale;
  }

  /** The body with {@code holes} round holes on a circle. */
  static String of(Teeth teeth, double scale, int holes, double holeCircle, double holeRadius) {
    WheelPath path = new WheelPath(teeth, scale);
    path.addTeeth();
    if (teeth.internal()) {
      path.addCircle(0, 0, GearOutline.bodyRadius(teeth) * scale);
    }
    for (int k = 0; k < holes; k++) {
      double angle = 2 * Math.PI * (k + 0.5) / holes + Math.PI / 2;
      path.addCircle(holeCircle * Math.cos(angle), holeCircle * Math.sin(angle), holeRadius);
    }
    return path.text.toString();
  }

  private void addTeeth() {
    double pitch = Math.PI * scale;
    if (pitch < TEETH_FROM) {
      addCircle(0, 0, teeth.count() / 2.0 * scale);
      return;
    }
    Detail detail =
        pitch >= FINE_FROM ? Detail.FINE : pitch >= MEDIUM_FROM ? Detail.MEDIUM : Detail.COARSE;
    Outline outline = GearOutline.of(teeth, detail, GearOutline.DRAWN_THINNING);
    for (int k = 0; k < outline.size(); k++) {
      text.append(k == 0 ? "M" : "L");
      number(outline.x()[k] * scale);
      text.append(' ');
      number(-outline.y()[k] * scale);
    }
    text.append('Z');
  }

  private void addCircle(double x, double y, double radius) {
    text.append('M');
    number(x - radius);
    text.append(' ');
    number(y);
    for (int half = 0; half < 2; half++) {
      text.append('a');
      number(radius);
      text.append(' ');
      number(radius);
      text.append(" 0 1 0 ");
      number(half == 0 ? 2 * radius : -2 * radius);
      text.append(" 0");
    }
    text.append('Z');
  }

  /** Hundredths of a pixel, without the cost of a formatter. */
  private void number(double value) {
    long hundredths = Math.round(value * 100);
    if (hundredths < 0) {
      text.append('-');
      hundredths = -hundredths;
    }
    text.append(hundredths / 100).append('.');
    long rest = hundredths % 100;
    text.append(rest < 10 ? "0" : "").append(rest);
  }
}
