package steadycog.app.look;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.layout.Pane;

/**
 * Children beside one another, in further rows where they do not fit, each centred in its row; one
 * that is wider than a row gets the row and wraps its text. What it measures depends on nothing but
 * the width it is asked about.
 */
public final class Flow extends Pane {
  private static final double BESIDE = 6;
  private static final double BELOW = 4;

  public Flow() {
    setMinWidth(0);
  }

  @Override
  public Orientation getContentBias() {
    return Orientation.HORIZONTAL;
  }

  @Override
  protected double computePrefWidth(double height) {
    double sum = 0;
    for (Node child : getManagedChildren()) {
      sum += (sum > 0 ? BESIDE : 0) + snapSizeX(child.prefWidth(-1));
    }
    return sum;
  }

  @Override
  protected double computeMinHeight(double width) {
    return computePrefHeight(width);
  }

  @Override
  protected double computePrefHeight(double width) {
    double sum = 0;
    for (List<Node> row : rows(width)) {
      sum += (sum > 0 ? BELOW : 0) + height(row, width);
    }
    return sum;
  }

  @Override
  protected void layoutChildren() {
    double y = 0;
    for (List<Node> row : rows(getWidth())) {
      double height = height(row, getWidth());
      double x = 0;
      for (Node child : row) {
        double tall = tall(child, getWidth());
        child.resizeRelocate(
            x, snapPositionY(y + (height - tall) / 2), wide(child, getWidth()), tall);
        x += wide(child, getWidth()) + BESIDE;
      }
      y += height + BELOW;
    }
  }

  private List<List<Node>> rows(double width) {
    List<List<Node>> rows = new ArrayList<>();
    double x = Double.POSITIVE_INFINITY;
    for (Node child : getManagedChildren()) {
      double wide = wide(child, width);
      if (rows.isEmpty() || (width >= 0 && x + wide > width)) {
        rows.add(new ArrayList<>());
        x = 0;
      }
      rows.getLast().add(child);
      x += wide + BESIDE;
    }
    return rows;
  }

  private double wide(Node child, double width) {
    double wish = snapSizeX(child.prefWidth(-1));
    return width < 0 ? wish : Math.min(wish, width);
  }

  private double tall(Node child, double width) {
    return snapSizeY(child.prefHeight(wide(child, width)));
  }

  private double height(List<Node> row, double width) {
    return row.stream().mapToDouble(child -> tall(child, width)).max().orElse(0);
  }
}
