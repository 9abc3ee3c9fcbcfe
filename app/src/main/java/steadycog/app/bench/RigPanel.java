package steadycog.app.bench;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Desk;
import steadycog.app.desk.RigWork;
import steadycog.app.desk.RigWork.State;
import steadycog.app.files.AskFile;
import steadycog.app.files.Shop;
import steadycog.app.look.Beat;
import steadycog.app.look.ChartView;
import steadycog.app.look.Look;
import steadycog.bench.Chart;
import steadycog.bench.Chart.Axis;
import steadycog.bench.Chart.Point;
import steadycog.bench.Chart.Series;
import steadycog.bench.Chart.Style;
import steadycog.bench.LoadTest;
import steadycog.bench.Measure;
import steadycog.bench.rig.Rig;
import steadycog.bench.rig.RigReading;
import steadycog.bench.rig.RigSettings;
import steadycog.bench.rig.RigSettings.Fault;
import steadycog.format.csv.BenchCsv;

/** The simulated rig: how it is made, start, pause, emergency stop, and what streams from it. */
final class RigPanel extends VBox {
  /** So many points of the stream are drawn. */
  private static final int MOST_POINTS = 160;

  private static final double REDRAW = 0.12;
  private static final double BAR_HEIGHT = 12;
  private static final double CHART_HEIGHT = 118;

  private final Desk desk;
  private final RigWork rig;
  private final AskFile ask;
  private final Shop shop = new Shop(Platform::runLater);
  private final TextField seed = Look.field("rig-seed", 3, "The same seed gives the same rig");
  private final TextField limit =
      Look.field("rig-limit", 4, "Current that the supply gives at most");
  private final MenuButton fault = Look.styled(new MenuButton(Fault.NONE.words()), "plain");
  private final MenuButton pace = Look.styled(new MenuButton("\u00d7 10"), "plain");
  private final CheckBox clear = new CheckBox("shield up, hands clear");
  private final Button start = Look.styled(new Button("Start"), "main");
  private final Button pause = new Button("Pause");
  private final Button stop = Look.styled(new Button("Emergency stop"), "danger");
  private final Button inside = Look.styled(new Button("Look inside"), "cure");
  private final Button save = Look.styled(new Button("Keep readings \u2026"), "cure");
  private final ProgressBar bar = new ProgressBar(0);
  private final Label doing = Look.label("", "soft");
  private final Label said = Look.label("", "soft");
  private final ChartView stream = new ChartView(chart(List.of(), r -> 0.0, "", ""));
  private final Beat beat = new Beat(this::advance);
  private double faster = 10;
  private double sinceDrawn;

  RigPanel(Desk desk, AskFile ask) {
    super(6);
    this.desk = desk;
    rig = desk.rig();
    this.ask = ask;
    setId("rig");
    getStyleClass().addAll("panel", "working");
    seed.setText(Long.toString(rig.settingsProperty().get().seed()));
    seed.setOnAction(e -> settings());
    limit.setPromptText("no limit");
    limit.setOnAction(e -> settings());
    fault.setId("rig-fault");
    fault.setTooltip(new Tooltip("Something wrong on purpose, to be found by counting"));
    for (Fault one : Fault.values()) {
      MenuItem item = new MenuItem(one.words());
      item.setOnAction(
          e -> {
            fault.setText(one.words());
            rig.settingsProperty().set(rig.settingsProperty().get().with(one));
          });
      fault.getItems().add(item);
    }
    pace.setId("rig-pace");
    pace.setTooltip(new Tooltip("How much faster than on a real rig time goes by"));
    for (int times : new int[] {1, 10, 60}) {
      MenuItem item = new MenuItem("\u00d7 " + times);
      item.setOnAction(
          e -> {
            faster = times;
            pace.setText(item.getText());
          });
      pace.getItems().add(item);
    }
    clear.setId("rig-clear");
    clear.setTooltip(new Tooltip("A load test starts only once this is true"));
    start.setId("rig-start");
    start.setOnAction(e -> start());
    pause.setId("rig-pause");
    pause.setOnAction(e -> rig.pause());
    stop.setId("rig-stop");
    stop.setTooltip(new Tooltip("Motor and brake off at once (Esc); what was logged stays"));
    stop.setOnAction(e -> rig.stop());
    inside.setId("rig-inside");
    inside.setTooltip(new Tooltip("What is found when the build is taken off and opened"));
    inside.setOnAction(e -> say("Inside: " + rig.inspect() + "."));
    save.setId("rig-save");
    save.setTooltip(new Tooltip("All that the instruments read, as comma-separated values"));
    save.setOnAction(e -> save());
    said.setId("rig-said");
    said.setWrapText(true);
    doing.setId("rig-doing");
    doing.setWrapText(true);
    bar.setMaxWidth(Double.MAX_VALUE);
    bar.setMinHeight(BAR_HEIGHT);
    stream.setMinHeight(CHART_HEIGHT);
    stream.setPrefHeight(CHART_HEIGHT);
    VBox.setVgrow(stream, Priority.ALWAYS);
    Label supply = new Label("supply");
    Label seedName = new Label("seed");
    for (Control one : List.of(supply, seedName, pace)) {
      one.setMinWidth(USE_PREF_SIZE);
    }
    HBox made = new HBox(5, seedName, seed, supply, limit, pace);
    made.setAlignment(Pos.CENTER_LEFT);
    Label built = new Label("built");
    built.setMinWidth(USE_PREF_SIZE);
    HBox wrong = new HBox(6, built, fault);
    wrong.setAlignment(Pos.CENTER_LEFT);
    HBox buttons = new HBox(6, start, pause, stop);
    HBox after = new HBox(6, inside, save);
    after.managedProperty().bind(inside.managedProperty());
    getChildren()
        .addAll(
            Look.label("Simulated rig", "caption"),
            made,
            wrong,
            clear,
            buttons,
            bar,
            doing,
            said,
            after,
            stream);
    rig.stateProperty()
        .subscribe(
            now -> {
              // To be said anew before every load.
              clear.setSelected(now != State.IDLE && clear.isSelected());
              show();
            });
    rig.saidProperty().subscribe(this::say);
    shop.saidProperty().addListener((o, old, now) -> say(now));
    show();
  }

  private void say(String words) {
    said.setText(words);
    Look.show(said, !words.isEmpty());
  }

  /** Takes seed and limit over; false where one of them cannot be read. */
  private boolean settings() {
    String number = seed.getText().strip();
    if (!number.matches("-?\\d{1,15}")) {
      say("'" + number + "': a seed is a whole number.");
      return false;
    }
    try {
      Optional<Double> amperes =
          limit.getText().isBlank()
              ? Optional.empty()
              : Optional.of(Measure.CURRENT.read(limit.getText()).inBase());
      RigSettings now = rig.settingsProperty().get();
      rig.settingsProperty().set(now.seeded(Long.parseLong(number)).limitedTo(amperes));
      return true;
    } catch (IllegalArgumentException wrong) {
      say(String.valueOf(wrong.getMessage()));
      return false;
    }
  }

  private void start() {
    boolean load = desk.book().test().filter(LoadTest.class::isInstance).isPresent();
    if (load && rig.stateProperty().get() == State.IDLE && !clear.isSelected()) {
      say("A load test starts with the shield up and hands clear: tick it first.");
      return;
    }
    if (rig.stateProperty().get() == State.PAUSED || settings()) {
      rig.start();
    }
  }

  private void save() {
    Optional<Rig> used = rig.rig();
    if (used.isEmpty()) {
      return;
    }
    List<RigReading> all = List.copyOf(rig.readings());
    ask.askExport(desk.sheet().name() + " readings", "Readings of the rig", ".csv")
        .ifPresent(
            file ->
                shop.make(
                    file,
                    (cancelled, progress) ->
                        BenchCsv.readings(used.get(), all).getBytes(StandardCharsets.UTF_8)));
  }

  /** What can be done now. */
  void show() {
    State now = rig.stateProperty().get();
    boolean idle = now == State.IDLE;
    boolean load = desk.book().test().filter(LoadTest.class::isInstance).isPresent();
    start.setText(now == State.PAUSED ? "Go on" : "Start");
    start.setDisable(now == State.RUNNING || desk.book().test().isEmpty());
    pause.setDisable(now != State.RUNNING);
    stop.setDisable(idle);
    Look.show(clear, load);
    for (var one : List.of(seed, limit, fault)) {
      one.setDisable(!idle);
    }
    boolean any = !rig.readings().isEmpty();
    Look.show(inside, idle && any);
    Look.show(save, idle && any);
    Look.show(bar, !idle);
    Look.show(doing, !idle || !any);
    Look.show(stream, any);
    if (now == State.RUNNING) {
      beat.start();
    } else {
      beat.stop();
    }
    draw();
  }

  private void advance(double seconds) {
    rig.advance(seconds * faster);
    sinceDrawn += seconds;
    if (sinceDrawn >= REDRAW) {
      sinceDrawn = 0;
      draw();
    }
  }

  private void draw() {
    boolean idle = rig.stateProperty().get() == State.IDLE;
    doing.setText(
        idle
            ? desk.book().test().isEmpty()
                ? "Open a turn count or a load test to run it here."
                : "Runs the open test; its readings stream below."
            : rig.doing());
    bar.setProgress(rig.progress());
    List<RigReading> all = rig.readings();
    if (all.isEmpty()) {
      return;
    }
    Look.show(stream, true);
    Rig used = rig.rig().orElseThrow();
    stream.show(
        rig.isLoading()
            ? chart(
                all,
                reading -> reading.torque() / desk.preferences().torque().inBase(),
                "Torque at the output",
                desk.preferences().torque().symbol())
            : chart(
                all,
                reading -> (double) reading.outputCounts() / used.outputCounts(),
                "Turns of the output",
                "turns"));
  }

  private static Chart chart(
      List<RigReading> all, Function<RigReading, Double> value, String title, String unit) {
    List<Point> points = new ArrayList<>();
    int every = Math.max(1, all.size() / MOST_POINTS);
    for (int k = 0; k < all.size(); k += every) {
      points.add(new Point(all.get(k).time(), value.apply(all.get(k))));
    }
    return new Chart(
        title,
        Axis.over("s", points.stream().map(Point::x).toList()),
        Axis.over(unit, points.stream().map(Point::y).toList()),
        List.of(new Series("", Style.READ, points)));
  }
}
