package steadycog.app.ledger;

import javafx.scene.layout.Pane;
import javafx.scene.shape.Line;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;
import steadycog.app.look.Look;
import steadycog.torque.Backwards;

/**
 * How near a train stands to the edge between turning back and holding itself: losses from an
 * eighth to eight times the present ones, to the right, and where it tips.
 */
final class TippingBar extends Pane {
  private static final double HEIGHT = 40;
  private static final double TOP = 14;
  private static final double DEEP = 10;
  private static final double REACH = 8;

  private final Rectangle turns = Look.styled(new Rectangle(), "tip-turns");
  private final Rectangle holds = Look.styled(new Rectangle(), "tip-holds");
  private final Line edge = Look.styled(new Line(), "tip-edge");
  private final Polygon now = Look.styled(new Polygon(), "plot-now");
  private final Text left = Look.styled(new Text("turns back"), "plot-text");
  private final Text right = Look.styled(new Text("holds itself"), "plot-text");
  private final Text losses = Look.styled(new Text(), "plot-text");
  private double tip = REACH;

  TippingBar() {
    setMinHeight(HEIGHT);
    setPrefHeight(HEIGHT);
    getChildren().addAll(turns, holds, edge, now, left, right, losses);
    widthProperty().addListener(o -> draw());
  }

  void show(boolean turnsBack, Backwards.Tipping tipping) {
    tip = tipping.factor();
    String where =
        tip > REACH
            ? "more than 8 times these losses to the edge"
            : tip < 1 / REACH
                ? "less than an eighth of these losses to the edge"
                : String.format(java.util.Locale.ROOT, "edge at %.2f times these losses", tip);
    losses.setText(where);
    setAccessibleText((turnsBack ? "turns back; " : "holds itself; ") + where);
    draw();
  }

  private double x(double factor) {
    double share = 0.5 + Math.log(Math.clamp(factor, 1 / REACH, REACH)) / (2 * Math.log(REACH));
    return 2 + share * (getWidth() - 4);
  }

  private void draw() {
    double at = x(tip);
    place(turns, 2, at);
    place(holds, at, getWidth() - 2);
    Plot.span(edge, at, TOP - 3, at, TOP + DEEP + 3);
    edge.setVisible(tip <= REACH && tip >= 1 / REACH);
    double one = x(1);
    now.getPoints().setAll(one, TOP + 2, one - 5, TOP - 7, one + 5, TOP - 7);
    Plot.put(left, 2, HEIGHT - 4);
    Plot.putBefore(right, getWidth() - 2, HEIGHT - 4);
    Look.anchor(losses, getWidth() / 2, 0.5);
    losses.setY(HEIGHT - 4);
  }

  private static void place(Rectangle bar, double from, double to) {
    bar.setX(from);
    bar.setY(TOP);
    bar.setWidth(Math.max(0, to - from));
    bar.setHeight(DEEP);
  }
}
