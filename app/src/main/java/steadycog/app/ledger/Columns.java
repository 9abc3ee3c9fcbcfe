package steadycog.app.ledger;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.text.Text;
import steadycog.app.desk.Desk;
import steadycog.app.ledger.MemberRow.Column;

/**
 * Rows whose columns are as wide as the widest figure in them, and no narrower than usual: no
 * figure is ever shortened. Their widths follow from what stands in them alone.
 */
final class Columns extends VBox {
  private final Desk desk;
  private final VBox titles;
  private final VBox lines;
  private final Text measure = new Text();

  Columns(Desk desk, VBox titles, VBox lines) {
    super(titles, lines);
    this.desk = desk;
    this.titles = titles;
    this.lines = lines;
  }

  @Override
  protected double computeMinWidth(double height) {
    return computePrefWidth(height);
  }

  @Override
  protected double computePrefWidth(double height) {
    double[] wide = needed(rows());
    return Arrays.stream(wide).sum();
  }

  @Override
  protected void layoutChildren() {
    List<HBox> rows = rows();
    double[] wide = needed(rows);
    double spare = Math.max(0, getWidth() - Arrays.stream(wide).sum());
    for (Column column : Column.values()) {
      // Figures spread over what is left; the sign of the direction stays beside its speed.
      double more = column == Column.WAY ? 0 : spare / (wide.length - 1);
      double width = Math.floor(wide[column.ordinal()] + more);
      for (HBox row : rows) {
        Region cell = (Region) row.getChildren().get(column.ordinal());
        if (cell.getPrefWidth() != width) {
          cell.setMinWidth(width);
          cell.setPrefWidth(width);
          cell.setMaxWidth(width);
        }
      }
    }
    super.layoutChildren();
  }

  private List<HBox> rows() {
    return Stream.concat(titles.getChildren().stream(), lines.getChildren().stream())
        .filter(HBox.class::isInstance)
        .map(HBox.class::cast)
        .filter(row -> row.getChildren().size() == Column.values().length)
        .toList();
  }

  /** The width of every column. */
  private double[] needed(List<HBox> rows) {
    double[] wide = new double[Column.values().length];
    for (Column column : Column.values()) {
      wide[column.ordinal()] = column.width() * desk.preferences().zoom();
      for (HBox row : rows) {
        wide[column.ordinal()] =
            Math.max(wide[column.ordinal()], needed(row.getChildren().get(column.ordinal())));
      }
    }
    return wide;
  }

  /** The width of a cell's words, with what stands beside them in it. */
  private double needed(Node cell) {
    return switch (cell) {
      case Label label -> {
        measure.setFont(label.getFont());
        measure.setText(label.getText());
        yield Math.ceil(measure.getLayoutBounds().getWidth())
            + label.getInsets().getLeft()
            + label.getInsets().getRight()
            + 1;
      }
      case HBox box -> {
        double sum = box.getInsets().getLeft() + box.getInsets().getRight();
        for (Node child : box.getChildren()) {
          sum += (child instanceof Label ? needed(child) : child.prefWidth(-1)) + box.getSpacing();
        }
        yield sum;
      }
      default -> 0;
    };
  }
}
