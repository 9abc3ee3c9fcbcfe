package steadycog.app.find;

import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.scene.control.Label;
import javafx.scene.control.TableCell;
import javafx.scene.control.TableColumn;
import javafx.scene.control.Tooltip;
import javafx.scene.text.Font;
import javafx.scene.text.FontWeight;
import javafx.scene.text.Text;
import steadycog.app.look.Look;
import steadycog.search.Candidate;

/** What one column of the candidates says, and the width in which none of it is shortened. */
final class CandidateColumn extends TableColumn<Candidate, Candidate> {
  private static final double EDGES = 15;

  /** A head is smaller than the text, and leaves room for the arrow of a sorted column. */
  private static final double HEAD = 0.86;

  private static final double ARROW = 12;

  private final String title;
  private final boolean words;
  private final Function<Candidate, String> said;
  private double need;

  /**
   * A column.
   *
   * @param words whether it holds words, which begin at the left
   */
  CandidateColumn(
      String title,
      boolean words,
      Function<Candidate, String> said,
      Comparator<Candidate> order,
      String help) {
    this.title = title;
    this.words = words;
    this.said = said;
    Label head = Look.label(title);
    if (!help.isEmpty()) {
      head.setTooltip(new Tooltip(help));
    }
    setGraphic(head);
    setId("column-" + title);
    setCellValueFactory(cell -> new ReadOnlyObjectWrapper<>(cell.getValue()));
    setComparator(order);
    getStyleClass().add(words ? "left-column" : "figure-column");
    setCellFactory(column -> new Cell());
  }

  /** Measures head and cells, written in {@code text} pixels. */
  void measure(List<Candidate> all, double text) {
    double widest = widest(List.of(title), FontWeight.BOLD, HEAD * text) + ARROW;
    List<String> cells = all.stream().map(said).distinct().toList();
    widest = Math.max(widest, widest(cells, FontWeight.NORMAL, text));
    if (words) {
      // Words of what is kept for comparing are bold, which is not always wider: dots are not.
      widest = Math.max(widest, widest(cells, FontWeight.BOLD, text));
    }
    need = Math.ceil(widest + EDGES);
    setWidth(need);
  }

  private static double widest(List<String> cells, FontWeight weight, double text) {
    Text probe = new Text();
    probe.setFont(Font.font("Lato", weight, text));
    double widest = 0;
    for (String cell : cells) {
      probe.setText(cell);
      widest = Math.max(widest, probe.getLayoutBounds().getWidth());
    }
    return widest;
  }

  /** The width that it needs. */
  double need() {
    return need;
  }

  /** Gives it more than it needs. */
  void stretch(double width) {
    setPrefWidth(Math.max(need, width));
  }

  private void setWidth(double width) {
    setMinWidth(width);
    setPrefWidth(width);
  }

  private final class Cell extends TableCell<Candidate, Candidate> {
    Cell() {
      Look.styled(this, words ? "left-cell" : "figure-cell");
    }

    @Override
    protected void updateItem(Candidate item, boolean empty) {
      super.updateItem(item, empty);
      setText(empty || item == null ? "" : said.apply(item));
    }
  }
}
