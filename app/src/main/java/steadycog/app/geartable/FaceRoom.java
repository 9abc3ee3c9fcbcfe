package steadycog.app.geartable;

import javafx.geometry.Insets;
import javafx.scene.layout.Region;
import steadycog.app.desk.Desk;
import steadycog.app.geartable.TagPlaces.Box;

/**
 * The part of a view that a train is fitted to: all but its margin and what lies over its edges.
 */
final class FaceRoom {
  private static final double MARGIN = 22;
  private static final double BARE_MARGIN = 4;

  /** Height of the line with the scale under the drawing. */
  private static final double NOTE = 14;

  private static final double EDGE = 4;

  private final Region view;
  private final Desk desk;
  private double margin = MARGIN;
  private boolean bare;
  private Insets over = Insets.EMPTY;

  FaceRoom(Region view, Desk desk) {
    this.view = view;
    this.desk = desk;
  }

  /** For a small picture without a scale: nearly all of it is the train. */
  void fillPicture() {
    margin = BARE_MARGIN;
    bare = true;
  }

  /** What lies over the view at its edges from now on; whether that is new. */
  boolean leave(Insets now) {
    boolean other = !now.equals(over);
    over = now;
    return other;
  }

  /** Whether anything can be drawn. */
  boolean isEnough() {
    return wide() > 2 * margin && high() > 2 * margin + note();
  }

  private double note() {
    return bare ? 0 : NOTE * desk.preferences().zoom();
  }

  double wide() {
    return view.getWidth() - over.getRight();
  }

  double high() {
    return view.getHeight() - over.getTop() - over.getBottom();
  }

  /** Where names may stand. */
  Box box() {
    return new Box(wide() / 2, centreY(), wide() - 2 * EDGE, high() - note() - 2 * EDGE);
  }

  double centreX() {
    return wide() / 2;
  }

  double centreY() {
    return over.getTop() + (high() - note()) / 2;
  }

  /** The scale, in pixels a module, that fits the train to so much room. */
  double fitting(double width, double height) {
    double[] box = bounds();
    return Math.min(
        (width - 2 * margin) / (box[2] - box[0]),
        (height - 2 * margin - note()) / (box[3] - box[1]));
  }

  /** How high the train is drawn, with all round it, where only so much width is given. */
  double heightFor(double width) {
    double[] box = bounds();
    return (width - 2 * margin) * (box[3] - box[1]) / (box[2] - box[0]) + 2 * margin + note();
  }

  /** The greater of width and height of the train at that scale, in pixels. */
  double extent(double scale) {
    double[] box = bounds();
    return scale * Math.max(box[2] - box[0], box[3] - box[1]);
  }

  private double[] bounds() {
    return desk.bench()
        .map(bench -> bench.study().layout().bounds())
        .orElse(new double[] {0, 0, 1, 1});
  }
}
