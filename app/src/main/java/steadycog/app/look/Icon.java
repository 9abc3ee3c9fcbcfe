package steadycog.app.look;

import javafx.scene.layout.Region;
import steadycog.check.Severity;

/** Small symbols, drawn on a 16 x 16 field and coloured by style class. */
public enum Icon {
  /** Counter-clockwise: an open ring with its arrow head to the left of the top. */
  CCW("M 12.6 5.2 A 5.4 5.4 0 1 1 5.4 3.3 M 8.1 1.2 L 4.9 3.5 L 7.4 6.5", true),
  /** Clockwise. */
  CW("M 3.4 5.2 A 5.4 5.4 0 1 0 10.6 3.3 M 7.9 1.2 L 11.1 3.5 L 8.6 6.5", true),
  /** At rest. */
  REST("M 4 8 L 12 8", true),
  /** Driven: a thick ring with an arrow. */
  DRIVE(
      "M 8 1 A 7 7 0 1 0 15 8 L 11.6 8 A 3.6 3.6 0 1 1 8 4.4 Z M 9.4 0 L 15 3 L 9.4 6.4 Z", false),
  /** Held: hatching. */
  HOLD("M 2 2 H 14 V 14 H 2 Z M 2 9 L 9 2 M 2 14 L 14 2 M 7 14 L 14 7", true),
  /** Taken off: a double ring. */
  TAKE("M 8 1.4 A 6.6 6.6 0 1 0 8.01 1.4 Z M 8 4.6 A 3.4 3.4 0 1 0 8.01 4.6 Z", true),
  /** Free: a plain ring. */
  FREE("M 8 3.4 A 4.6 4.6 0 1 0 8.01 3.4 Z", true),
  /** Locked: two rings tied by a bar. */
  LOCKED("M 4.4 5 A 3 3 0 1 0 4.41 5 Z M 11.6 5 A 3 3 0 1 0 11.61 5 Z M 4.4 8 L 11.6 8", true),
  /** Severity marks. */
  ERROR("M 4.9 1.5 H 11.1 L 14.5 4.9 V 11.1 L 11.1 14.5 H 4.9 L 1.5 11.1 V 4.9 Z M 5 8 H 11", true),
  WARNING("M 8 1.6 L 15 14 H 1 Z M 8 6 V 10 M 8 11.6 V 12.4", true),
  NOTE("M 3 2 H 13 V 14 H 3 Z M 5.5 6 H 10.5 M 5.5 9 H 10.5", true),
  /** Nothing to object to. */
  SOUND("M 2.5 8.5 L 6.4 12.4 L 13.5 4", true),
  /** Output and input turn the same way, or against each other. */
  SAME(
      "M 2 5.5 H 13 M 10 2.5 L 13.5 5.5 L 10 8.5 M 2 11.5 H 13 M 10 8.8 L 13.5 11.5 L 10 14.2",
      true),
  OPPOSITE("M 2 5 H 13 M 10 2 L 13.5 5 L 10 8 M 3 11.5 H 14 M 6 8.5 L 2.5 11.5 L 6 14.5", true),
  RUN("M 4 2 L 13.5 8 L 4 14 Z", false),
  PAUSE("M 3.5 2.5 H 6.7 V 13.5 H 3.5 Z M 9.3 2.5 H 12.5 V 13.5 H 9.3 Z", false),
  CLOSE("M 4 4 L 12 12 M 12 4 L 4 12", true),
  /** A list beside the drawing, wide or narrow. */
  FOLD("M 2 2.5 H 14 V 13.5 H 2 Z M 6.5 2.5 V 13.5 M 11.5 5.5 L 9 8 L 11.5 10.5", true),
  UNFOLD("M 2 2.5 H 14 V 13.5 H 2 Z M 6.5 2.5 V 13.5 M 9 5.5 L 11.5 8 L 9 10.5", true),
  /** What stands under a line is put away, or seen. */
  CLOSED("M 6 3.5 L 10.5 8 L 6 12.5", true),
  OPEN("M 3.5 6 L 8 10.5 L 12.5 6", true);

  static final double FIELD = 16;

  /** The sign of a severity. */
  public static Icon of(Severity severity) {
    return switch (severity) {
      case ERROR -> ERROR;
      case WARNING -> WARNING;
      case NOTE, OK -> NOTE;
    };
  }

  private final String path;
  private final boolean stroked;

  Icon(String path, boolean stroked) {
    this.path = path;
    this.stroked = stroked;
  }

  /** The shape as SVG path text on its 16 x 16 field. */
  String path() {
    return path;
  }

  boolean isStroked() {
    return stroked;
  }

  /** The symbol as a node of fixed size. */
  public Region node() {
    return new IconView(this);
  }
}
