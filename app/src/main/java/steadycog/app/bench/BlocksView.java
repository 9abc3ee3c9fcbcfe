package steadycog.app.bench;

import java.util.List;
import javafx.geometry.HPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.scene.shape.ClosePath;
import javafx.scene.shape.FillRule;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import steadycog.app.look.ChartView;
import steadycog.app.look.Look;
import steadycog.bench.Chart;
import steadycog.piece.Region;
import steadycog.report.Block;
import steadycog.shape.Outline;

/** Blocks of a report on screen: the same words and numbers as on paper. */
final class BlocksView extends VBox {
  private static final double CHART_HEIGHT = 196;
  private static final double WIDEST_CHART = 460;
  private static final double DRAWING = 300;
  private static final double CHORD = 0.1;

  BlocksView() {
    super(4);
    getStyleClass().add("blocks");
    setFillWidth(true);
  }

  void show(List<Block> blocks) {
    getChildren().setAll(blocks.stream().map(BlocksView::node).toList());
  }

  private static Node node(Block block) {
    return switch (block) {
      case Block.Heading heading -> paragraph(heading.text(), "block-heading");
      case Block.Text text -> paragraph(text.text(), "block-text");
      case Block.Remark remark -> paragraph(remark.text(), "soft");
      case Block.Caution caution -> paragraph(caution.text(), "caution");
      case Block.Lines lines -> paragraph(String.join("\n", lines.lines()), "block-lines");
      case Block.Finding finding -> finding(finding);
      case Block.Table table -> table(table);
      case Block.Drawing drawing -> drawing(drawing);
      case Block.Assembly whole -> paragraph(whole.words(), "soft");
      case Block.Charts charts -> charts(charts.charts());
    };
  }

  private static Label paragraph(String text, String style) {
    Label label = Look.label(text, style);
    label.setWrapText(true);
    label.setMinHeight(USE_PREF_SIZE);
    return label;
  }

  private static Node finding(Block.Finding finding) {
    Label severity = Look.label(finding.severity(), "block-severity", finding.severity());
    severity.setMinWidth(USE_PREF_SIZE);
    VBox words = new VBox(paragraph(finding.text(), "block-text"));
    if (!finding.settled().isEmpty()) {
      words.getChildren().add(paragraph("Settled: " + finding.settled(), "soft"));
    }
    HBox.setHgrow(words, Priority.ALWAYS);
    HBox row = new HBox(8, severity, words);
    row.setMinHeight(USE_PREF_SIZE);
    return row;
  }

  private static Node table(Block.Table table) {
    GridPane grid = Look.styled(new GridPane(14, 1), "block-table");
    for (int c = 0; c < table.heads().size(); c++) {
      ColumnConstraints column = new ColumnConstraints();
      column.setHalignment(c == 0 ? HPos.LEFT : HPos.RIGHT);
      grid.getColumnConstraints().add(column);
      grid.add(Look.label(table.heads().get(c), "ledger-head"), c, 0);
    }
    for (int r = 0; r < table.rows().size(); r++) {
      for (int c = 0; c < table.heads().size(); c++) {
        Label cell = Look.label(table.rows().get(r).get(c), "block-cell");
        cell.setMinWidth(USE_PREF_SIZE);
        grid.add(cell, c, r + 1);
      }
    }
    return new Wide(grid);
  }

  /** Charts side by side. */
  static HBox charts(List<Chart> charts) {
    HBox row = new HBox(18);
    row.setMinHeight(CHART_HEIGHT);
    row.setPrefHeight(CHART_HEIGHT);
    for (Chart chart : charts) {
      ChartView view = new ChartView(chart);
      HBox.setHgrow(view, Priority.ALWAYS);
      view.setPrefWidth(100);
      view.setMaxWidth(WIDEST_CHART);
      row.getChildren().add(view);
    }
    return row;
  }

  private static Node drawing(Block.Drawing drawing) {
    double[] box = drawing.bounds();
    double scale = DRAWING / Math.max(box[2] - box[0], box[3] - box[1]);
    Pane pane = new Pane();
    for (Region region : drawing.regions()) {
      Path path = Look.styled(new Path(), "block-drawing");
      path.setFillRule(FillRule.EVEN_ODD);
      for (Outline line : region.outlines(CHORD / scale)) {
        for (int k = 0; k < line.size(); k++) {
          double x = (line.x()[k] - box[0]) * scale;
          double y = (box[3] - line.y()[k]) * scale;
          path.getElements().add(k == 0 ? new MoveTo(x, y) : new LineTo(x, y));
        }
        path.getElements().add(new ClosePath());
      }
      pane.getChildren().add(path);
    }
    for (Block.Name name : drawing.names()) {
      Label label = Look.label(name.text(), "mesh-name");
      label.relocate((name.x() - box[0]) * scale, (box[3] - name.y()) * scale);
      label.translateXProperty().bind(label.widthProperty().divide(-2));
      label.translateYProperty().bind(label.heightProperty().divide(-2));
      pane.getChildren().add(label);
    }
    pane.setAccessibleText(drawing.words());
    pane.setMinSize((box[2] - box[0]) * scale, (box[3] - box[1]) * scale);
    pane.setMaxSize((box[2] - box[0]) * scale, (box[3] - box[1]) * scale);
    return pane;
  }
}
