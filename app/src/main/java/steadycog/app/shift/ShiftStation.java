package steadycog.app.shift;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.input.Clipboard;
import javafx.scene.input.DataFormat;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.geartable.EdgeView;
import steadycog.app.ledger.FindingRow;
import steadycog.app.look.Later;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.check.Finding;
import steadycog.format.csv.PlanCsv;
import steadycog.study.ShiftTable;
import steadycog.train.Shaft;
import steadycog.train.Train;

/**
 * The shift plan: the train from the side with its brakes and clutches, its states as a table to
 * click in, their charts, and every ratio that there could be.
 */
public final class ShiftStation extends HBox {
  private static final double RIGHT_WIDTH = 352;
  private static final double EDGE_SHARE = 0.29;
  private static final double LEAST_HEIGHT_FOR_CHARTS = 530;
  private static final double CHART_HEIGHT = 126;

  private final Desk desk;
  private final Label title = Look.label("", "caption");
  private final Label caption = Look.label("", "caption");
  private final Label spread = Look.label("", "soft");
  private final Label empty = Look.label("", "soft");
  private final PlanGrid grid;
  private final StateCharts charts;
  private final ElementTools tools;
  private final FoundList found;
  private final VBox findings = Look.styled(new VBox(), "panel", "findings");
  private final Label fine = Look.label("", "soft");
  private final List<FindingRow> rows = new ArrayList<>();
  private final VBox chart;
  private final Label caution;
  private final ScrollPane scroll;
  private ShiftTable plan;

  public ShiftStation(Desk desk) {
    super(8);
    this.desk = desk;
    setId("shift-station");
    plan = nothing();
    EdgeView edge = new EdgeView(desk);
    grid = new PlanGrid(desk, row -> lookAt(edge, row));
    charts = new StateCharts(plan);
    tools = new ElementTools(desk);
    found = new FoundList(desk);
    edge.setMinHeight(0);
    edge.prefHeightProperty().bind(heightProperty().multiply(EDGE_SHARE));
    VBox side = Look.styled(new VBox(title, edge), "panel", "shift-side");
    VBox.setVgrow(edge, Priority.ALWAYS);
    empty.setWrapText(true);
    caution =
        Look.label(
            "Two states engaged at once lock up or slip: interlock what must never be on together.",
            "caution");
    caution.setWrapText(true);
    caution.setMinHeight(USE_PREF_SIZE);
    caution.setTooltip(
        new Tooltip(
            "Brakes and clutches take the torque shown, and more while they slip. Never rely on one"
                + " to hold a load over people. Guards, local codes and licensed practice"
                + " decide."));
    scroll = new ScrollPane(grid);
    scroll.setFitToWidth(true);
    scroll.setMinHeight(90);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    VBox table =
        Look.styled(new VBox(6, head(), empty, scroll, tools, caution), "panel", "working");
    VBox.setVgrow(table, Priority.ALWAYS);
    chart = Look.styled(new VBox(charts), "panel", "shift-charts");
    VBox left = new VBox(8, side, table, chart);
    HBox.setHgrow(left, Priority.ALWAYS);
    left.setMinWidth(0);
    findings.setId("plan-findings");
    VBox right = new VBox(8, found, findingsPane());
    VBox.setVgrow(found, Priority.ALWAYS);
    desk.preferencesProperty()
        .subscribe(
            preferences -> {
              right.setMinWidth(RIGHT_WIDTH * preferences.zoom());
              right.setPrefWidth(RIGHT_WIDTH * preferences.zoom());
            });
    heightProperty().addListener(o -> showChart());
    getChildren().addAll(left, right);
    Later later = Later.nextFrame(this::show);
    desk.benchProperty().addListener(o -> later.ask());
    desk.preferencesProperty().addListener(o -> later.ask());
    visibleProperty().addListener(o -> show());
    show();
  }

  /** Whether states are being looked for. */
  public boolean isSearching() {
    return found.isSearching();
  }

  private HBox head() {
    Button copy = Look.styled(new Button("Copy as CSV"), "cure");
    copy.setTooltip(new Tooltip("The plan to the clipboard, a line a state"));
    copy.setOnAction(
        e ->
            Clipboard.getSystemClipboard()
                .setContent(Map.of(DataFormat.PLAIN_TEXT, PlanCsv.write(plan))));
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    spread.setMinWidth(USE_PREF_SIZE);
    copy.setMinWidth(USE_PREF_SIZE);
    caption.setWrapText(true);
    caption.setMinHeight(USE_PREF_SIZE);
    HBox head = new HBox(12, caption, spread, gap, copy);
    head.setAlignment(Pos.CENTER_LEFT);
    return head;
  }

  private ScrollPane findingsPane() {
    findings.getChildren().addAll(Look.label("Findings about the plan", "caption"), fine);
    ScrollPane scroll = new ScrollPane(findings);
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    findings.minHeightProperty().bind(scroll.heightProperty().subtract(2));
    scroll.setMinHeight(60);
    scroll.prefHeightProperty().bind(heightProperty().multiply(EDGE_SHARE));
    return scroll;
  }

  private static ShiftTable nothing() {
    return ShiftTable.of(Train.of(List.of(new Shaft(""))));
  }

  /** The flow of power in a state, before the train is put in it. */
  private void lookAt(EdgeView edge, Optional<ShiftTable.Row> row) {
    edge.lookAt(
        desk.bench()
            .flatMap(
                bench -> row.map(r -> new Bench(bench.card(), Optional.of(r.state()), r.study()))));
    title.setText(
        row.map(r -> "From the side, state " + r.state().name() + ": its flow of power")
            .or(
                () ->
                    desk.state()
                        .map(name -> "From the side, state " + name + ": filled is engaged"))
            .orElse("From the side"));
  }

  /** Works the plan out; only while it is looked at. */
  private void show() {
    if (!isVisible()) {
      return;
    }
    plan =
        desk.bench()
            .map(bench -> ShiftTable.of(bench.card().train()))
            .orElseGet(ShiftStation::nothing);
    caption.setText(
        "Shift plan: engaged brakes and clutches show their torque in "
            + desk.preferences().torque().symbol());
    spread.setText(plan.spread().map(one -> "spread " + Sign.number(one.doubleValue())).orElse(""));
    Look.show(spread, plan.spread().isPresent());
    empty.setText(
        desk.bench().isEmpty()
            ? "Put a train on the bench first: its brakes, clutches and states will stand here."
            : plan.elements().isEmpty()
                ? "No brakes or clutches yet: add them below, or tick ratios on the right, which"
                    + " brings what they need."
                : plan.rows().isEmpty()
                    ? "No states yet: add one, or tick ratios on the right."
                    : "");
    Look.show(empty, !empty.getText().isEmpty());
    boolean any = desk.bench().isPresent();
    Look.show(tools, any);
    Look.show(caution, any);
    Look.show(scroll, !plan.elements().isEmpty() || !plan.rows().isEmpty());
    grid.show(plan);
    charts.show(plan, desk.preferences().zoom());
    charts.setPrefHeight(CHART_HEIGHT * desk.preferences().zoom());
    showChart();
    tools.show();
    found.look();
    fine.setText(plan.rows().isEmpty() ? "None yet." : "Nothing to object to.");
    Look.show(fine, plan.findings().isEmpty());
    showFindings(plan.findings());
  }

  /** The charts, where there is something to draw and room for it. */
  private void showChart() {
    Look.show(chart, !plan.rows().isEmpty() && getHeight() >= LEAST_HEIGHT_FOR_CHARTS);
  }

  private void showFindings(List<Finding> all) {
    while (rows.size() < all.size()) {
      FindingRow row = new FindingRow(desk);
      rows.add(row);
      findings.getChildren().add(row);
    }
    for (int k = 0; k < rows.size(); k++) {
      Look.show(rows.get(k), k < all.size());
      if (k < all.size()) {
        rows.get(k).show(all.get(k));
      }
    }
  }
}
