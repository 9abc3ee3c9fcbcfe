package steadycog.app.geartable;

import javafx.geometry.Insets;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import steadycog.app.desk.Desk;
import steadycog.app.desk.PowerShown;

/**
 * The face view on all of the paper, and what lies over its edges: the crank on top, the side view
 * below it or beside it, whichever leaves the larger drawing.
 */
final class Paper extends Pane {
  private static final double EDGE = 12;

  /** Shares of the paper's height, without and with power shown. */
  private static final double SHARE = 0.21;

  private static final double POWER_SHARE = 0.42;

  /** What a flat train leaves free goes to the side view, up to this share. */
  private static final double LARGEST_SHARE = 0.45;

  private static final double LOWEST = 110;

  /** A drawing of fewer pixels across gives no room away. */
  private static final double SMALL = 335;

  private static final double NEARLY = 0.97;
  private static final double WIDE_SHARE = 0.34;
  private static final double NARROWEST = 300;
  private final WorkNote work;
  private boolean forced;

  private final Desk desk;
  private final FaceView face;
  private final Region side;
  private final Region over;
  private final Region scale;
  private final Region caution;
  private final Region banner;
  private final Region firstSteps;

  /** The paper with the face view, and in this order what lies over it. */
  Paper(
      Desk desk,
      FaceView face,
      Region side,
      Region over,
      Region scale,
      Region caution,
      Region banner,
      Region firstSteps) {
    this.desk = desk;
    this.face = face;
    this.side = side;
    this.over = over;
    this.scale = scale;
    this.caution = caution;
    this.banner = banner;
    this.firstSteps = firstSteps;
    work = new WorkNote(desk);
    setMinSize(0, 0);
    getChildren().addAll(face, side, over, scale, caution, banner, firstSteps, work);
    desk.powerProperty().addListener(o -> requestLayout());
  }

  @Override
  protected void layoutChildren() {
    double top = over.isVisible() ? snapSizeY(over.prefHeight(getWidth())) : 0;
    double free = Math.max(0, getHeight() - top);
    over.resizeRelocate(0, 0, getWidth(), top);
    double low = Math.min(free, snapSizeY(lowSide(free)));
    double wide = snapSizeX(Math.max(NARROWEST, WIDE_SHARE * getWidth()));
    double belowIt = face.room().fitting(getWidth(), free - low);
    double besideIt = face.room().fitting(getWidth() - wide, free);
    boolean worth = forced || isWorthIt(Math.max(belowIt, besideIt), free);
    side.setVisible(side.isManaged() && worth);
    low = side.isVisible() ? low : 0;
    wide = side.isVisible() ? wide : 0;
    boolean under = belowIt >= besideIt;
    double right = under ? 0 : wide;
    double bottom = under ? low : 0;
    if (under) {
      side.resizeRelocate(0, getHeight() - low, getWidth(), low);
    } else {
      side.resizeRelocate(getWidth() - wide, top, wide, free);
    }
    face.resizeRelocate(0, 0, getWidth(), getHeight());
    face.leaveRoom(new Insets(top, right, bottom, 0));
    place(banner, (getWidth() - right - wished(banner)) / 2, top + EDGE);
    double foot = getHeight() - bottom - EDGE / 2;
    place(scale, EDGE, foot - scale.prefHeight(-1));
    double end = getWidth() - right - EDGE;
    place(caution, end - wished(caution), foot - caution.prefHeight(-1));
    caution.setVisible(over.isVisible() && EDGE + wished(scale) + EDGE + wished(caution) < end);
    for (Region middle : new Region[] {firstSteps, work}) {
      double width = Math.min(wished(middle), getWidth());
      double height = middle.prefHeight(width);
      middle.resizeRelocate(
          snapPositionX((getWidth() - width) / 2),
          snapPositionY(Math.max(top, top + (free - height) / 2)),
          width,
          height);
    }
  }

  /** Shows the side view however small the drawing gets. */
  void forceSide(boolean now) {
    forced = now;
    requestLayout();
  }

  /** Not where a drawing that is small already would have to be smaller still for it. */
  private boolean isWorthIt(double scale, double free) {
    double alone = face.room().fitting(getWidth(), free);
    return scale > NEARLY * alone || face.room().extent(scale) >= SMALL;
  }

  private double lowSide(double free) {
    boolean powered = desk.powerProperty().get() != PowerShown.NONE;
    double usual = Math.max(LOWEST, free * (powered ? POWER_SHARE : SHARE));
    double spare = free - usual - face.room().heightFor(getWidth());
    return Math.min(Math.max(usual, free * LARGEST_SHARE), usual + Math.max(0, spare) / 2);
  }

  private static double wished(Region node) {
    return node.prefWidth(-1);
  }

  private void place(Region node, double x, double y) {
    node.resizeRelocate(snapPositionX(x), snapPositionY(y), wished(node), node.prefHeight(-1));
  }
}
