package steadycog.app;

import java.io.File;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.css.PseudoClass;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.control.TextInputControl;
import javafx.scene.image.WritableImage;
import javafx.scene.input.DragEvent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import steadycog.app.Acts.Act;
import steadycog.app.Acts.Group;
import steadycog.app.crank.CrankBar;
import steadycog.app.desk.Desk;
import steadycog.app.desk.Station;
import steadycog.app.geartable.GearTable;
import steadycog.app.geartable.RoleStrip;
import steadycog.app.guide.GuidePane;
import steadycog.app.look.Look;
import steadycog.app.memory.RecentFiles;
import steadycog.app.rail.CompareTrains;
import steadycog.app.rail.JobRail;
import steadycog.job.Sheet;

/** Everything in the window: the top line, the trains of the job, and the station at work. */
public final class MainWindow extends StackPane {
  private static final PseudoClass PRESENTING = PseudoClass.getPseudoClass("presenting");

  /** Of the column beside the drawing, at the usual size of text. */
  private static final double COLUMN_WIDTH = 486;

  /** However large the text, the drawing keeps so much. */
  private static final double LEAST_DRAWING = 386;

  private static final double GAP = 6;

  /** From this width on, at the usual size of text, the names of the trains stand beside all. */
  private static final double WIDE_WINDOW = 1180;

  private static final double WIDE_AT_STATIONS = 1500;

  private final Desk desk;
  private final JobKeeper keeper;
  private final TrainSide side;
  private final GearTable gearTable;
  private final JobRail rail;
  private final Head head;
  private final FileDialogs dialogs;
  private final Acts acts;
  private Optional<Boolean> railFolded = Optional.empty();

  private final Stations stations;
  private final Notices notices = new Notices(() -> tell(""));

  MainWindow(Desk desk, FileDialogs dialogs, Path memory) {
    this.desk = desk;
    Look.dress(this);
    keeper = new JobKeeper(desk, dialogs, new RecentFiles(memory), this::ask, this::tell);
    this.dialogs = dialogs;
    RoleStrip tools = new RoleStrip(desk);
    side = new TrainSide(desk, tools);
    gearTable =
        new GearTable(desk, tools, new CrankBar(desk), new WaysIn(desk, keeper, this::stations));
    rail = new JobRail(desk, this::toggleRail, this::compare);
    acts = new WindowActs(desk, keeper, rail, side.line(), this).all();
    head = new Head(desk, keeper, acts, new StationBar(desk), this);
    HBox.setHgrow(gearTable, Priority.ALWAYS);
    HBox middle = new HBox(GAP, gearTable, side.column());
    stations = new Stations(desk, dialogs, middle);
    VBox.setVgrow(stations, Priority.ALWAYS);
    desk.preferencesProperty()
        .subscribe(
            preferences -> {
              Look.setDark(this, preferences.dark());
              Look.setTextSize(this, preferences.shownSize());
              present();
            });
    widthProperty().addListener(o -> placeAll());
    VBox work = Look.styled(new VBox(GAP, side.band(), stations), "work");
    BorderPane frame = new BorderPane(work);
    frame.setTop(new VBox(head, notices));
    frame.setLeft(rail);
    desk.stationProperty()
        .subscribe(
            station -> {
              stations.show(station);
              present();
              leaveHidden();
            });
    desk.refusalProperty().addListener((o, old, now) -> refused(now));
    setAlignment(Pos.TOP_LEFT);
    getChildren().add(frame);
    setOnDragOver(this::acceptDrag);
    setOnDragDropped(this::takeDrop);
    addEventFilter(KeyEvent.KEY_PRESSED, this::onShortcut);
    addEventFilter(MouseEvent.MOUSE_PRESSED, this::settleTyped);
    addEventHandler(KeyEvent.KEY_PRESSED, this::onKey);
    addEventHandler(KeyEvent.KEY_TYPED, this::onTyped);
  }

  /** While others look on there is only the drawing, with the card in a line and the ratio. */
  private void present() {
    boolean alone = desk.preferences().presenting();
    side.stand(stations.isTable() && !alone);
    Look.show(side.column(), !alone);
    Look.show(rail, !alone);
    Look.show(head, !alone);
    pseudoClassStateChanged(PRESENTING, alone);
    placeAll();
  }

  /** The guide over the figures, open at what the station is about; once more takes it away. */
  void toggleGuide() {
    if (!getChildren().removeIf(GuidePane.class::isInstance)) {
      guide().openAt(desk.stationProperty().get());
    } else {
      stations.takeKeys();
    }
  }

  /** Which version this is, and the licences of what is inside, in the guide. */
  void about() {
    getChildren().removeIf(GuidePane.class::isInstance);
    guide().openAbout();
  }

  private GuidePane guide() {
    GuidePane guide = new GuidePane(this::tryCard, this::toggleGuide);
    guide.setMaxWidth(Math.min(getWidth(), side.column().getMaxWidth() + GAP));
    setAlignment(guide, Pos.TOP_RIGHT);
    setMargin(guide, new Insets(head.getHeight(), 0, 0, 0));
    getChildren().add(guide);
    return guide;
  }

  private void tryCard(String card) {
    desk.trains().add();
    desk.train().type(card + "\n");
  }

  /** The train in view beside another of the job. */
  void compare() {
    CompareTrains both = new CompareTrains(desk);
    getChildren().add(both);
    both.focusFirst();
  }

  void togglePresenting() {
    boolean now = !desk.preferences().presenting();
    if (now && !stations.isTable()) {
      desk.stationProperty().set(Station.LAY_OUT);
    }
    desk.preferencesProperty().set(desk.preferences().presenting(now));
    stations.takeKeys();
  }

  /** Gives the names of the trains and the figures beside the drawing the room that there is. */
  private void placeAll() {
    double zoom = desk.preferences().zoom();
    boolean table = stations.isTable();
    double wide = (table ? WIDE_WINDOW : WIDE_AT_STATIONS) * zoom;
    rail.setNarrow(railFolded.orElse(getWidth() < wide));
    double left = getWidth() - rail.getPrefWidth() - 3 * GAP - LEAST_DRAWING;
    double column = Math.max(LEAST_DRAWING, Math.min(COLUMN_WIDTH * zoom, left));
    side.column().setMinWidth(column);
    side.column().setPrefWidth(column);
    side.column().setMaxWidth(column);
  }

  void toggleRail() {
    foldRail(Optional.of(!rail.isNarrow()));
  }

  /** Whether the trains are folded away by hand; empty where that goes by the window's width. */
  Optional<Boolean> railFolded() {
    return railFolded;
  }

  void foldRail(Optional<Boolean> now) {
    railFolded = now;
    placeAll();
  }

  JobKeeper keeper() {
    return keeper;
  }

  /** Scrolls the ledger to what the meshes lose. */
  void showLosses() {
    side.ledger().showLosses();
  }

  Stations stations() {
    return stations;
  }

  /** A picture of the face view alone. */
  WritableImage drawing() {
    return gearTable.drawing(2);
  }

  /** Names the train, since the notice outlives a look at another one; a change ends it. */
  private void refused(Optional<String> why) {
    String told = desk.sheet().name() + ", not changed: ";
    if (why.isPresent()) {
      tell(told + why.get());
    } else if (notices.told().startsWith(told)) {
      tell("");
    }
  }

  /** Shows a notice under the top line until it is dismissed; an empty one takes it away. */
  void tell(String words) {
    notices.tell(words);
    head.refresh();
  }

  /**
   * Shows what can be decided under the top line, until it has been, whatever else is told there;
   * an empty offer takes it away.
   */
  void offer(String words, List<Question.Answer> answers) {
    notices.offer(words, answers);
  }

  private void acceptDrag(DragEvent drag) {
    if (drag.getDragboard().hasFiles() && !isAsking()) {
      drag.acceptTransferModes(TransferMode.COPY);
    }
  }

  private void takeDrop(DragEvent drop) {
    List<File> files = drop.getDragboard().getFiles();
    drop.setDropCompleted(!files.isEmpty());
    files.stream().findFirst().ifPresent(file -> keeper.openRecent(file.toPath()));
  }

  private void ask(Question question) {
    getChildren().removeIf(Question.class::isInstance);
    getChildren().add(question);
    question.focusFirst();
  }

  private boolean isAsking() {
    return getChildren().getLast().getStyleClass().contains("veil");
  }

  /** Keys go to the gear table once the station that had them is out of view. */
  private void leaveHidden() {
    Node owner = getScene() == null ? null : getScene().getFocusOwner();
    boolean hidden = false;
    for (Node at = owner; at != null; at = at.getParent()) {
      hidden = hidden || !at.isVisible();
    }
    if (hidden && gearTable.getParent().isVisible()) {
      gearTable.requestFocus();
    }
  }

  void showKeys() {
    KeyMap keys = new KeyMap();
    getChildren().add(keys);
    keys.focusFirst();
  }

  private void onShortcut(KeyEvent event) {
    if (event.getCode() == KeyCode.F11 || event.getCode() == KeyCode.F1) {
      Runnable act = event.getCode() == KeyCode.F1 ? this::toggleGuide : this::togglePresenting;
      act.run();
      event.consume();
    }
    if (event.getCode() == KeyCode.ESCAPE && desk.rig().isOn()) {
      // The nearest thing to a large red button, wherever the keys go.
      desk.rig().stop();
      event.consume();
    }
    boolean presenting = desk.preferences().presenting() && !isTyping() && !isAsking();
    if (event.getCode() == KeyCode.ESCAPE && presenting) {
      togglePresenting();
      event.consume();
    }
    if (event.getCode() == KeyCode.ESCAPE && getScene().getFocusOwner() instanceof TextArea) {
      stations.takeKeys();
      event.consume();
    }
    if (event.isShortcutDown() && !isAsking()) {
      acts.on(event.getCode(), event.isShiftDown())
          .ifPresent(
              act -> {
                leaveField();
                act.run().run();
                event.consume();
              });
    }
  }

  /** A click elsewhere takes what is typed first, for whatever it was typed for. */
  private void settleTyped(MouseEvent press) {
    Node owner = getScene().getFocusOwner();
    boolean inside = false;
    for (Node at = (Node) press.getTarget(); at != null; at = at.getParent()) {
      inside |= at == owner;
    }
    if (!inside) {
      leaveField();
    }
  }

  private void leaveField() {
    if (getScene().getFocusOwner() instanceof TextField) {
      requestFocus();
    }
  }

  /** Every act by its name, and every train of the job by its own. */
  void findAct() {
    List<Act> known = new ArrayList<>(acts.all());
    List<Sheet> sheets = desk.job().sheets();
    for (int k = 0; k < sheets.size(); k++) {
      int index = k;
      known.add(
          new Act(
              Group.GO, sheets.get(k).name(), "", Set.of(), false, () -> desk.showSheet(index)));
    }
    ActFinder finder = new ActFinder(known);
    getChildren().add(finder);
    finder.focusFirst();
  }

  void showReport() {
    desk.stationProperty().set(Station.BENCH_BOOK);
    stations.showBench("report");
  }

  /** The drawing with its scale, as it is in view, in a file. */
  void writePicture() {
    new PictureWork(desk, dialogs, gearTable, this::ask, this::tell).begin();
  }

  void writeWorkbook() {
    new WorkbookWork(desk, dialogs, this::tell).begin();
  }

  private void onKey(KeyEvent event) {
    if (event.getCode() == KeyCode.ESCAPE && isTyping()) {
      stations.takeKeys();
      event.consume();
    }
    if (event.getCode() == KeyCode.SPACE && !isTyping() && !isAsking()) {
      desk.crank().toggleRunning();
      event.consume();
    }
  }

  private void onTyped(KeyEvent event) {
    if (isTyping() || isAsking() || event.isShortcutDown() || event.isAltDown()) {
      return;
    }
    switch (event.getCharacter()) {
      case "." -> desk.crank().tooth(1);
      case "," -> desk.crank().tooth(-1);
      case ">" -> desk.crank().turn(1);
      case "<" -> desk.crank().turn(-1);
      case "0" -> desk.crank().reset();
      case "?" -> showKeys();
      default -> {
        return;
      }
    }
    event.consume();
  }

  private boolean isTyping() {
    Node owner = getScene().getFocusOwner();
    return owner instanceof TextInputControl
        || (owner != null && owner.getAccessibleRole() == AccessibleRole.TEXT_AREA);
  }
}
