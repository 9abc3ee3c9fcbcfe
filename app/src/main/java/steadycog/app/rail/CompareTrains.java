package steadycog.app.rail;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import javafx.beans.InvalidationListener;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.geartable.Preview;
import steadycog.app.look.Look;
import steadycog.job.Sheet;
import steadycog.notation.Card;
import steadycog.study.Study;

/**
 * Two trains of the job side by side: drawn, and line by line what they give, differences marked.
 */
public final class CompareTrains extends StackPane {
  private static final double LEAST_DRAWING = 150;

  /** One side: which train, and its drawing. */
  private final class Side {
    private final ComboBox<String> name = new ComboBox<>();
    private final Preview drawing = new Preview();

    Side(String id, int index) {
      name.setId(id);
      name.setAccessibleText("Train to compare");
      name.setMaxWidth(Double.MAX_VALUE);
      name.getItems().setAll(desk.job().sheets().stream().map(Sheet::name).toList());
      name.getSelectionModel().select(index);
      name.getSelectionModel().selectedIndexProperty().addListener(o -> show());
      drawing.setId(id + "-drawing");
      drawing.setMinHeight(LEAST_DRAWING);
    }

    Sheet sheet() {
      return desk.job().sheets().get(name.getSelectionModel().getSelectedIndex());
    }

    Optional<Study> study() {
      return desk.glances().of(sheet()).map(Bench::study);
    }

    void draw() {
      drawing.show(sheet().card().map(Card::train));
    }

    VBox node() {
      VBox node = new VBox(6, name, drawing);
      VBox.setVgrow(drawing, Priority.ALWAYS);
      return node;
    }
  }

  private final Desk desk;
  private final Side left;
  private final Side right;
  private final GridPane lines = Look.styled(new GridPane(), "compare-grid");
  private final InvalidationListener follow = o -> showLines();

  /** The train in view beside the one behind it, or before it where it is the last. */
  public CompareTrains(Desk desk) {
    this.desk = desk;
    int shown = desk.pageProperty().get().index();
    int count = desk.job().sheets().size();
    left = new Side("compare-left", shown);
    right = new Side("compare-right", shown + 1 < count ? shown + 1 : Math.max(0, shown - 1));
    setId("compare-trains");
    getStyleClass().add("veil");
    for (double share : new double[] {16, 42, 42}) {
      ColumnConstraints column = new ColumnConstraints();
      column.setPercentWidth(share);
      lines.getColumnConstraints().add(column);
    }
    HBox drawings = new HBox(10, left.node(), right.node());
    drawings.getChildren().forEach(side -> HBox.setHgrow(side, Priority.ALWAYS));
    drawings
        .getChildren()
        .forEach(
            side -> ((Region) side).prefWidthProperty().bind(drawings.widthProperty().divide(2)));
    VBox.setVgrow(drawings, Priority.ALWAYS);
    ScrollPane scroll = new ScrollPane(lines);
    scroll.setFitToWidth(true);
    scroll.setMinHeight(LEAST_DRAWING);
    Button close = Look.styled(new Button("Close"), "main");
    close.setOnAction(e -> close());
    HBox foot = new HBox(close);
    foot.setAlignment(Pos.CENTER_RIGHT);
    VBox box =
        Look.styled(
            new VBox(8, Look.label("Side by side", "ask"), drawings, scroll, foot), "question");
    box.maxWidthProperty().bind(widthProperty().multiply(0.9));
    box.maxHeightProperty().bind(heightProperty().multiply(0.94));
    scroll.prefHeightProperty().bind(box.heightProperty().multiply(0.45));
    box.setOnMousePressed(MouseEvent::consume);
    getChildren().add(box);
    setOnMousePressed(press -> close());
    setOnKeyPressed(
        key -> {
          if (key.getCode() == KeyCode.ESCAPE) {
            close();
          }
          // No key reaches the drawing beneath.
          key.consume();
        });
    desk.glances().changesProperty().addListener(follow);
    show();
  }

  public void focusFirst() {
    right.name.requestFocus();
  }

  private void show() {
    left.draw();
    right.draw();
    showLines();
  }

  private void showLines() {
    List<SideBySide.Line> all =
        SideBySide.of(left.study(), right.study(), desk.preferences()).lines();
    lines.getChildren().clear();
    IntStream.range(0, all.size()).forEach(row -> add(all.get(row), row));
  }

  private void add(SideBySide.Line line, int row) {
    Label what = Look.label(line.what() + (line.differs() ? "  \u2260" : ""), "soft");
    Label one = wrapped(line.left());
    Label other = wrapped(line.right());
    if (line.differs()) {
      one.getStyleClass().add("differs");
      other.getStyleClass().add("differs");
    }
    lines.addRow(row, what, one, other);
  }

  private static Label wrapped(String words) {
    Label label = Look.label(words);
    label.setWrapText(true);
    return label;
  }

  /** Nothing more is worked out for a comparison that nobody sees. */
  private void close() {
    desk.glances().changesProperty().removeListener(follow);
    if (getParent() instanceof Pane window) {
      window.getChildren().remove(this);
    }
  }
}
