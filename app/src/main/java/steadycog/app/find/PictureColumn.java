package steadycog.app.find;

import java.util.Objects;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.scene.control.TableCell;
import javafx.scene.control.TableColumn;
import steadycog.app.geartable.Sketch;
import steadycog.app.look.Look;
import steadycog.search.Candidate;
import steadycog.shape.FaceLayout;

/** Each candidate as a small sketch: what kind it is, and how its wheels compare in size. */
final class PictureColumn extends TableColumn<Candidate, Candidate> {
  private static final double EDGE = 3;

  private double row;

  PictureColumn() {
    setId("column-picture");
    setSortable(false);
    setReorderable(false);
    setCellValueFactory(cell -> new ReadOnlyObjectWrapper<>(cell.getValue()));
    setCellFactory(column -> new Picture());
  }

  /** As wide as a row is high. */
  void sized(double rowHeight) {
    row = rowHeight;
    setMinWidth(rowHeight + 2 * EDGE);
    setMaxWidth(rowHeight + 2 * EDGE);
  }

  private final class Picture extends TableCell<Candidate, Candidate> {
    /** The row's height that the sketch was made for. */
    private double made;

    Picture() {
      Look.styled(this, "picture-cell");
    }

    @Override
    protected void updateItem(Candidate candidate, boolean empty) {
      boolean other = !Objects.equals(candidate, getItem()) || made != row;
      super.updateItem(candidate, empty);
      if (empty || candidate == null) {
        setGraphic(null);
      } else if (other || getGraphic() == null) {
        Sketch sketch = new Sketch(row - 2 * EDGE);
        sketch.show(FaceLayout.of(candidate.train()));
        setGraphic(sketch);
        made = row;
      }
    }
  }
}
