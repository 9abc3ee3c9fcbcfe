package steadycog.app.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import steadycog.app.desk.BookWork;
import steadycog.app.desk.Desk;
import steadycog.app.look.ChartView;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.bench.Chart;
import steadycog.bench.Doubt;
import steadycog.bench.LoadCharts;
import steadycog.bench.LoadResult;
import steadycog.bench.LoadStep;
import steadycog.bench.LoadTest;
import steadycog.bench.Measure;
import steadycog.bench.Outcome;
import steadycog.bench.Rigging;
import steadycog.bench.Rigging.Way;
import steadycog.bench.TestHead;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.report.Cautions;
import steadycog.train.Train;

/** A load test: how it is loaded, the plan, what was read step by step, and what that says. */
final class LoadPanel extends VBox {
  private static final double CHART_HEIGHT = 174;
  static final int DIGITS = 4;
  private static final double USUAL_ARM = 100;

  private final Desk desk;
  private final BookWork book;
  private final Label caution = Look.label(Cautions.LOADING, "caution");
  private final MenuButton way = Look.styled(new MenuButton(), "plain");
  private final Label lengthName = new Label();
  private final TextField length =
      Look.field("load-length", 6, "Of the arm, or the pulley\u2019s diameter");
  private final TextField constant =
      Look.field(
          "motor-constant",
          8,
          "Torque of the motor for an ampere, Nmm/A: gives torque in from current");
  private final TextField idle = Look.field("motor-idle", 5, "Current of the motor by itself, A");
  private final TextField top = Look.field("plan-top", 4, "The largest load of the plan");
  private final TextField count = Look.field("plan-steps", 2, "Steps of the plan");
  private final Label said = Look.label("", "bad-word");
  private final Label summary = Look.label("", "verdict");
  private final Label doubts = Look.label("", "bad-word");
  private final EntryGrid<LoadResult.Row> grid;
  private final HBox charts = new HBox(18);
  private final Label caption = Look.label("", "caption");
  private List<ChartView> views = List.of();
  private LoadTest test =
      new LoadTest(new TestHead("-", LocalDate.EPOCH, "", "", ""), Rigging.METER, List.of());

  LoadPanel(Desk desk) {
    super(6);
    this.desk = desk;
    book = desk.book();
    setId("load-panel");
    grid =
        new EntryGrid<>(
            "steps",
            new LoadColumns(desk, () -> test, this::changeStep).all(),
            row -> book.changeLoad(old -> without(old, row)),
            this::say,
            desk.textSize());
    caution.setWrapText(true);
    caution.setMinHeight(USE_PREF_SIZE);
    summary.setWrapText(true);
    summary.setMinHeight(USE_PREF_SIZE);
    summary.setId("load-summary");
    doubts.setWrapText(true);
    doubts.setMinHeight(USE_PREF_SIZE);
    doubts.setId("load-doubts");
    said.setWrapText(true);
    said.setId("load-said");
    charts.setMinHeight(CHART_HEIGHT);
    charts.setPrefHeight(CHART_HEIGHT);
    VBox.setVgrow(charts, Priority.SOMETIMES);
    getChildren()
        .addAll(
            caution, rigging(), summary, doubts, caption, new Wide(grid), adding(), said, charts);
    say("");
  }

  // ---- how it is loaded

  private FlowPane rigging() {
    way.setId("load-way");
    way.setTooltip(new Tooltip("What puts the torque on the output"));
    for (Way one : Way.values()) {
      MenuItem item = new MenuItem(one.title());
      item.setOnAction(e -> changeWay(one));
      way.getItems().add(item);
    }
    length.setOnAction(
        e ->
            rig(
                old ->
                    new Rigging(
                        old.way(), Optional.of(lengthTyped()), old.torqueConstant(), old.idle())));
    constant.setOnAction(e -> rig(old -> old.turnedBy(constantTyped(), old.idle())));
    idle.setOnAction(e -> rig(old -> old.turnedBy(old.torqueConstant(), idleTyped())));
    FlowPane row =
        new FlowPane(
            8,
            4,
            new Label("Loaded by"),
            way,
            lengthName,
            length,
            new Label("motor"),
            constant,
            new Label("idle"),
            idle,
            planning());
    row.setRowValignment(VPos.CENTER);
    return row;
  }

  private void rig(UnaryOperator<Rigging> change) {
    try {
      book.changeLoad(old -> old.on(change.apply(old.rigging())));
      say("");
    } catch (IllegalArgumentException wrong) {
      say(String.valueOf(wrong.getMessage()));
    }
  }

  /** Loads are kept as the torques that they were. */
  private void changeWay(Way now) {
    Rigging old = test.rigging();
    if (old.way() == now) {
      return;
    }
    Optional<Quantity> size =
        now == Way.METER
            ? Optional.empty()
            : old.length()
                .or(() -> Optional.of(Quantity.of(Figures.significant(USUAL_ARM, 3), Unit.MM)));
    Rigging other = new Rigging(now, size, old.torqueConstant(), old.idle());
    double lever = now == Way.METER ? 1 : other.torque(new Quantity(Exact.of(1, 1), Unit.N));
    Unit unit = now == Way.METER ? Unit.NM : Unit.N;
    List<LoadStep> steps =
        test.steps().stream()
            .map(
                step ->
                    other.way().loads().contains(step.load().unit().dimension())
                        ? step
                        : step.under(
                            Quantity.of(
                                Figures.significant(old.torque(step.load()) / lever, DIGITS),
                                unit)))
            .toList();
    LoadTest changed = new LoadTest(test.head(), other, steps);
    book.changeLoad(ignored -> changed);
  }

  private Quantity lengthTyped() {
    return Measure.read(length.getText(), Unit.MM, Unit.Dimension.LENGTH);
  }

  private Optional<Double> constantTyped() {
    String text = constant.getText().replace("Nmm/A", "").strip();
    return text.isEmpty() ? Optional.empty() : Optional.of(Measure.TORQUE_IN.read(text).inBase());
  }

  private double idleTyped() {
    return idle.getText().isBlank() ? 0 : Measure.CURRENT.read(idle.getText()).inBase();
  }

  // ---- the plan

  private HBox planning() {
    count.setText("8");
    Button plan = Look.styled(new Button("Plan"), "cure");
    plan.setId("plan-load");
    plan.setTooltip(
        new Tooltip("Even steps up to that load, still to be tried; steps that were tried stay"));
    plan.setOnAction(e -> plan());
    top.setOnAction(e -> plan());
    count.setOnAction(e -> plan());
    HBox row =
        new HBox(8, new Label("plan up to"), top, new Label("in"), count, new Label("steps"), plan);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private void plan() {
    try {
      Quantity most = test.rigging().readLoad(top.getText());
      String words = count.getText().strip();
      if (!words.matches("\\d{1,3}") || Integer.parseInt(words) < 1 || most.value().signum() <= 0) {
        throw new IllegalArgumentException("a plan has a load above 0 and at least one step");
      }
      List<LoadStep> planned = LoadTest.plan(most, Integer.parseInt(words));
      book.changeLoad(old -> old.with(planned(old, planned)));
      say("");
    } catch (IllegalArgumentException wrong) {
      say(String.valueOf(wrong.getMessage()));
    }
  }

  /** What was tried stays; what was planned gives way. */
  private static List<LoadStep> planned(LoadTest old, List<LoadStep> planned) {
    List<LoadStep> steps = new ArrayList<>(old.steps());
    steps.removeIf(step -> step.outcome() == Outcome.NOT_TRIED && step.read().isEmpty());
    steps.addAll(planned);
    return steps;
  }

  private HBox adding() {
    Button add = Look.styled(new Button("+ step"), "cure");
    add.setId("add-step");
    add.setTooltip(new Tooltip("Another load, as much more as the last step was"));
    add.setOnAction(
        e -> {
          grid.enterNext();
          book.changeLoad(old -> old.with(old.steps().size(), next(old)));
        });
    return new HBox(8, add);
  }

  private static LoadStep next(LoadTest old) {
    if (old.steps().isEmpty()) {
      return LoadStep.planned(Quantity.of("1", old.rigging().way().usual()));
    }
    Quantity last = old.steps().getLast().load();
    int size = old.steps().size();
    boolean same = size > 1 && old.steps().get(size - 2).load().unit() == last.unit();
    double rise =
        same
            ? last.value().subtract(old.steps().get(size - 2).load().value()).doubleValue()
            : last.value().doubleValue();
    double more = last.value().doubleValue() + Math.abs(rise);
    return LoadStep.planned(Quantity.of(Figures.significant(more, DIGITS), last.unit()));
  }

  private static LoadTest without(LoadTest test, int row) {
    List<LoadStep> fewer = new ArrayList<>(test.steps());
    fewer.remove(row);
    return test.with(fewer);
  }

  // ---- what is read

  private void changeStep(int row, UnaryOperator<LoadStep> change) {
    book.changeLoad(old -> old.with(row, change.apply(old.steps().get(row))));
  }

  private void say(String words) {
    said.setText(words);
    Look.show(said, !words.isEmpty());
  }

  /**
   * Shows a load test of a train in its roles.
   *
   * @param other whether it is another one than before
   */
  void show(Train train, LoadTest now, boolean other) {
    if (other) {
      grid.forget();
      say("");
      top.setText("");
    }
    test = now;
    LoadResult result = LoadResult.of(train, now);
    Rigging rigging = now.rigging();
    way.setText(rigging.way().title());
    lengthName.setText(rigging.way().size());
    Look.show(lengthName, rigging.length().isPresent());
    Look.show(length, rigging.length().isPresent());
    fill(other, length, rigging.length().map(Quantity::toString).orElse(""));
    fill(
        other,
        constant,
        rigging
            .torqueConstant()
            .map(k -> Figures.significant(k / Unit.NMM.inBase(), DIGITS) + " Nmm/A")
            .orElse(""));
    fill(other, idle, rigging.idle() > 0 ? Figures.significant(rigging.idle(), DIGITS) + " A" : "");
    top.setPromptText(rigging.way() == Way.METER ? "1.2 Nm" : "1 kg");
    Unit torque = desk.preferences().torque();
    caption.setText(
        "Steps: torque out in "
            + torque.symbol()
            + result
                .predicted()
                .map(p -> ", efficiency worked out " + Sign.percent(p, 1))
                .orElse("")
            + result
                .play()
                .map(play -> ", play worked out " + Sign.number(play.nominal()) + "\u2032")
                .orElse(""));
    grid.show(result.rows());
    Look.show(grid, !result.rows().isEmpty());
    summary.setText(
        now.steps().isEmpty()
            ? "No steps yet: plan some, or add them as they are tried."
            : result.words(torque));
    doubts.setText(result.doubts().stream().map(Doubt::text).collect(Collectors.joining("\n")));
    Look.show(doubts, !result.doubts().isEmpty());
    showCharts(LoadCharts.of(List.of(new LoadCharts.Named("read", result)), torque));
  }

  private static void fill(boolean other, TextField field, String text) {
    if (other || !field.isFocused()) {
      field.setText(text);
    }
  }

  private void showCharts(List<Chart> now) {
    boolean any = now.stream().anyMatch(chart -> !chart.isEmpty());
    Look.show(charts, any);
    if (views.size() != now.size()) {
      views = now.stream().map(ChartView::new).toList();
      for (ChartView view : views) {
        HBox.setHgrow(view, Priority.ALWAYS);
        view.setPrefWidth(100);
      }
      charts.getChildren().setAll(views);
    }
    for (int k = 0; k < views.size(); k++) {
      views.get(k).show(now.get(k));
    }
  }
}
