package steadycog.app.geartable;

import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.SnapshotParameters;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Line;
import javafx.scene.transform.Scale;
import steadycog.app.board.BoardView;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.desk.PowerShown;
import steadycog.app.desk.Station;
import steadycog.app.look.Flow;
import steadycog.app.look.Look;
import steadycog.app.look.OneOf;
import steadycog.app.look.Sign;
import steadycog.motion.Motion;
import steadycog.number.Unit;
import steadycog.train.Helices;
import steadycog.train.MemberId;
import steadycog.train.Part;
import steadycog.train.Train;

/**
 * The drawing: the face view as large as the paper, over its edges the crank and the side view, and
 * beside or below it the ratio board where roles are the work.
 */
public final class GearTable extends BorderPane {
  private static final String BARE = "bare";
  private static final int MOST_NAMED = 4;

  /** Lower than this the paper has no room for a side view, unless it is asked for. */
  private static final double LEAST_HEIGHT_FOR_EDGE = 330;

  private static final double LEAST_WIDTH_FOR_NOTE = 380;
  private static final double LEAST_WIDTH_FOR_BOARD = 640;
  private static final double LEAST_HEIGHT_FOR_BOTH = 560;
  private static final double BOARD_WIDTH = 0.63;
  private static final double BOARD_HEIGHT = 0.5;

  private final Desk desk;
  private final FaceView face;
  private final RoleStrip strip;
  private final EdgeView edge;
  private final Paper paper;
  private final VBox side;
  private final BoardView board;
  private final HBox beside;
  private final VBox below;
  private final Node power;
  private Optional<Boolean> edgeWanted = Optional.empty();
  private final Label state = new Label();
  private final HBox banner = new HBox(state);
  private final Label scaleText = Look.label("", "table-note");
  private final Line scaleBar = Look.styled(new Line(), "scale-bar");
  private final HBox scale = new HBox(8, scaleBar, scaleText);
  private final Label caution = Look.label("Mind your fingers at running gears", "caution");
  private final Doors firstSteps;
  private final VBox over;

  /**
   * The drawing.
   *
   * @param strip holds what its keys do
   * @param crank stands over it
   * @param ways are open from an empty bench
   */
  public GearTable(Desk desk, RoleStrip strip, Node crank, Doors.Ways ways) {
    this.desk = desk;
    this.strip = strip;
    face = new FaceView(desk);
    face.setId("face-view");
    firstSteps = new Doors(desk, ways);
    setId("gear-table");
    getStyleClass().add("gear-table");
    setFocusTraversable(true);
    setAccessibleText(
        "Gear table: left and right choose a wheel, D H T F give it a role, E shows the side view");
    setMinSize(240, 160);
    scaleText.setId("face-scale");
    scale.setAlignment(Pos.CENTER_LEFT);
    scale.setMouseTransparent(true);
    caution.setTooltip(
        new Tooltip(
            "Pinch points: keep hands, sleeves and hair clear of running gears and guard them."
                + " Local codes and licensed practice decide what is required."));
    edge = new EdgeView(desk);
    edge.setMinHeight(0);
    VBox.setVgrow(edge, Priority.ALWAYS);
    board = new BoardView(desk);
    power = powerChoice();
    side = Look.styled(new VBox(power, edge), "side-view");
    over = Look.styled(new VBox(crank, new StateBar(desk)), "over-drawing");
    paper = new Paper(desk, face, side, over, scale, caution, banner, firstSteps);
    beside = new HBox(paper);
    below = new VBox();
    beside.setMinWidth(0);
    HBox.setHgrow(paper, Priority.ALWAYS);
    setCenter(beside);
    setBottom(below);
    widthProperty().addListener(o -> placeBoard());
    heightProperty().addListener(o -> placeBoard());
    placeBoard();
    desk.stationProperty()
        .addListener(
            o -> {
              showEdge();
              placeBoard();
            });
    addEventHandler(KeyEvent.KEY_PRESSED, this::onKey);
    setOnMousePressed(
        press -> {
          requestFocus();
          if (press.getTarget() == face) {
            desk.select(Optional.empty());
          }
        });
    desk.benchProperty().addListener(o -> refresh());
    desk.pageProperty().addListener(o -> firstSteps.setVisible(desk.sheet().card().isEmpty()));
    desk.preferencesProperty().addListener(o -> refresh());
    heightProperty().addListener(o -> showEdge());
    face.widthProperty().addListener(o -> refresh());
    face.heightProperty().addListener(o -> refresh());
    face.scaleProperty().addListener(o -> showScale());
    refresh();
  }

  /** A picture of the face and side views with their scale, {@code times} as large as on screen. */
  public WritableImage drawing(double times) {
    SnapshotParameters larger = new SnapshotParameters();
    larger.setTransform(new Scale(times, times));
    return bare(() -> snapshot(larger, null));
  }

  /** What {@code picture} makes of the drawing without what it is worked with. */
  public <P> P bare(Supplier<P> picture) {
    showTools(false);
    applyCss();
    layout();
    try {
      return picture.get();
    } finally {
      showTools(true);
    }
  }

  /** What is worked with over the drawing, and the frame that tells where keys go. */
  private void showTools(boolean shown) {
    if (shown) {
      getStyleClass().remove(BARE);
    } else {
      getStyleClass().add(BARE);
    }
    Look.show(over, shown);
    Look.show(power, shown);
  }

  /** What the side view shows of the power, above it. */
  private VBox powerChoice() {
    Flow choice = new Flow();
    choice.getChildren().add(Look.label("power", "soft"));
    OneOf group = new OneOf();
    for (PowerShown one : PowerShown.values()) {
      ToggleButton button = Look.styled(new ToggleButton(one.word()), "chip");
      button.setId("power-" + one.name().toLowerCase(Locale.ROOT));
      button.setTooltip(new Tooltip(one.help() + " (V)"));
      button.setAccessibleText("Power shown: " + one.word());
      button.setToggleGroup(group);
      button.setFocusTraversable(false);
      button.setOnAction(e -> desk.powerProperty().set(one));
      desk.powerProperty().subscribe(now -> button.setSelected(now == one));
      choice.getChildren().add(button);
    }
    return Look.styled(new VBox(choice), "power-choice");
  }

  private void refresh() {
    Optional<Bench> bench = desk.bench();
    firstSteps.setVisible(desk.sheet().card().isEmpty());
    showEdge();
    placeBoard();
    showScale();
    banner.setVisible(false);
    bench.ifPresent(this::showState);
  }

  private void showScale() {
    double pixels = face.scaleProperty().get();
    Optional<Bench> bench = desk.bench().filter(b -> pixels > 0);
    scale.setVisible(bench.isPresent());
    if (bench.isPresent()) {
      int modules = face.scaleBarModules();
      scaleBar.setEndX(modules * pixels);
      scaleText.setText(
          barLength(bench.get(), modules)
              + (face.getWidth() > LEAST_WIDTH_FOR_NOTE * desk.preferences().zoom()
                  ? ", from the drive end" + section(bench.get())
                  : ""));
    }
  }

  /** Where teeth that wind are cut for the drawing. */
  private static String section(Bench bench) {
    return Helices.any(bench.card().train()) ? ", at mid-face" : "";
  }

  /** The length of the scale bar; a drive drawn from its sizes alone is in millimetres. */
  private String barLength(Bench bench, int modules) {
    Train train = bench.card().train();
    boolean sized = train.parts().stream().noneMatch(Part::takesModule);
    if ((sized && train.pitch().isEmpty()) || train.hasOwnPitches()) {
      Unit unit = desk.preferences().length();
      return Sign.number(unit.fromBase(modules * train.moduleMm())) + " " + unit.symbol();
    }
    return (modules == 1 ? "1 module" : modules + " modules") + length(bench, modules);
  }

  private String length(Bench bench, int modules) {
    Unit unit = desk.preferences().length();
    return bench
        .card()
        .train()
        .pitch()
        .map(pitch -> pitch.moduleMm().doubleValue() * modules / unit.inBase())
        .map(size -> " = " + Sign.number(size) + " " + unit.symbol())
        .orElse("");
  }

  private void showState(Bench bench) {
    Motion motion = bench.study().motion();
    switch (motion.status()) {
      case JAMMED -> show("stuck-banner", "Jammed: it cannot turn");
      case UNDETERMINED ->
          show(
              "neutral-banner",
              motion.mechanism().roles().drives().isEmpty()
                  ? "Nothing is driven: choose a member and press D"
                  : "Neutral: nothing holds "
                      + motion.floating().stream()
                          .map(Sign::shortName)
                          .limit(MOST_NAMED)
                          .collect(Collectors.joining(", ")));
      case DETERMINED -> banner.setVisible(false);
    }
  }

  private void show(String style, String words) {
    banner.getStyleClass().setAll(style);
    state.setText(words);
    banner.setVisible(true);
  }

  private void onKey(KeyEvent event) {
    if (event.isShortcutDown() || event.isAltDown()) {
      return;
    }
    if (handled(event.getCode(), event.getText())) {
      event.consume();
    }
  }

  private boolean handled(KeyCode code, String text) {
    Optional<MemberId> chosen = desk.selection();
    switch (code) {
      case LEFT, UP -> desk.selectNext(-1);
      case RIGHT, DOWN -> desk.selectNext(1);
      case ESCAPE -> {
        desk.work().stop();
        strip.cancelLock();
        desk.select(Optional.empty());
      }
      case D -> chosen.ifPresent(desk.train()::drive);
      case H -> chosen.ifPresent(desk.train()::hold);
      case T -> chosen.ifPresent(desk.train()::take);
      case F -> chosen.ifPresent(desk.train()::free);
      case L -> strip.startLock();
      case J -> strip.startJoin();
      case S -> StateBar.step(desk, 1);
      case E -> toggleEdge();
      case V -> nextPower();
      case M -> chosen.ifPresent(desk.train()::meshWheel);
      case K -> chosen.ifPresent(desk.train()::keyWheel);
      case I -> chosen.ifPresent(desk.train()::insertIdler);
      case ADD, PLUS -> chosen.ifPresent(id -> desk.train().changeTeeth(id, 1));
      case SUBTRACT, MINUS -> chosen.ifPresent(id -> desk.train().changeTeeth(id, -1));
      case W -> chosen.ifPresent(desk.train()::addRow);
      case P -> chosen.ifPresent(id -> desk.train().changePlanets(id, 1));
      case O -> chosen.ifPresent(id -> desk.train().changePlanets(id, -1));
      case DELETE, BACK_SPACE -> chosen.ifPresent(desk.train()::removeWheel);
      case R -> desk.train().layOutAgain();
      case HOME -> face.fit();
      default -> {
        return handledText(text, chosen);
      }
    }
    return true;
  }

  /** The ratio board stands beside the face view where there is width for both, else under it. */
  private void placeBoard() {
    boolean wide = getWidth() >= LEAST_WIDTH_FOR_BOARD;
    boolean roomForBoth = getHeight() >= LEAST_HEIGHT_FOR_BOTH;
    board.setPrefWidth(wide ? getWidth() * BOARD_WIDTH : getWidth());
    board.setMinWidth(wide ? getWidth() * BOARD_WIDTH : 0);
    board.setMaxHeight(wide || !roomForBoth ? Double.MAX_VALUE : getHeight() * BOARD_HEIGHT);
    board.setTerse(!wide);
    boolean laying = desk.stationProperty().get() == Station.LAY_OUT;
    boolean drawn = laying || wide || roomForBoth || desk.bench().isEmpty();
    beside.getChildren().getFirst().setVisible(drawn);
    beside.getChildren().getFirst().setManaged(drawn);
    Pane home = wide ? beside : below;
    if (board.getParent() != home) {
      beside.getChildren().remove(board);
      below.getChildren().remove(board);
      home.getChildren().add(board);
    }
  }

  /** The side view needs room beside the face view; in a low window it waits for key E. */
  private void showEdge() {
    boolean room = getHeight() >= LEAST_HEIGHT_FOR_EDGE;
    boolean laying = desk.stationProperty().get() == Station.LAY_OUT;
    boolean shown = laying && desk.bench().isPresent() && edgeWanted.orElse(room);
    edge.setVisible(shown);
    side.setManaged(shown);
    paper.forceSide(edgeWanted.isPresent());
    over.setVisible(desk.bench().isPresent());
    paper.requestLayout();
    boolean boarded = !laying && desk.bench().isPresent();
    board.setVisible(boarded);
    board.setManaged(boarded);
  }

  /** What is to be seen in the side view brings it up, also where there is little room. */
  private void nextPower() {
    desk.powerProperty().set(desk.powerProperty().get().next());
    if (desk.powerProperty().get() != PowerShown.NONE) {
      edgeWanted = Optional.of(true);
    }
    showEdge();
  }

  private void toggleEdge() {
    edgeWanted = Optional.of(!(edge.isVisible() && side.isVisible()));
    showEdge();
  }

  private boolean handledText(String text, Optional<MemberId> chosen) {
    switch (text) {
      case "+", "=" -> chosen.ifPresent(id -> desk.train().changeTeeth(id, 1));
      case "-" -> chosen.ifPresent(id -> desk.train().changeTeeth(id, -1));
      default -> {
        return false;
      }
    }
    return true;
  }
}
