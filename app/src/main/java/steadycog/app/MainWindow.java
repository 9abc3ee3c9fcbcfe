package steadycog.app;

import java.io.File;
import java.nio.file.Path;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
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
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;
import steadycog.app.bench.BenchStation;
import steadycog.app.crank.CrankBar;
import steadycog.app.cut.CutStation;
import steadycog.app.desk.Desk;
import steadycog.app.desk.Preferences;
import steadycog.app.desk.Station;
import steadycog.app.find.FindStation;
import steadycog.app.geartable.GearTable;
import steadycog.app.ledger.Ledger;
import steadycog.app.look.Icon;
import steadycog.app.look.Look;
import steadycog.app.memory.RecentFiles;
import steadycog.app.shift.ShiftStation;
import steadycog.app.trainline.TrainLine;

/** Everything in the window, from the top line to the crank. */
public final class MainWindow extends StackPane {
  private static final double LEDGER_WIDTH = 486;

  private final Desk desk;
  private final JobKeeper keeper;
  private final TrainLine trainLine;
  private final Ledger ledger;
  private final GearTable gearTable;
  private final Head head;

  /** Made when they are first gone to, so that they cost nothing at the start. */
  private final Map<Station, HBox> made = new EnumMap<>(Station.class);

  private final Label noticeText = new Label();
  private final HBox notice = new HBox();
  private final Label offerText = new Label();
  private final HBox offer = new HBox();

  MainWindow(Desk desk, FileDialogs dialogs, Path memory) {
    this.desk = desk;
    Look.dress(this);
    keeper = new JobKeeper(desk, dialogs, new RecentFiles(memory), this::ask, this::tell);
    head = new Head(desk, keeper, this::showKeys);
    trainLine = new TrainLine(desk, new StationBar(desk));
    gearTable = new GearTable(desk);
    ledger = new Ledger(desk);
    desk.preferencesProperty()
        .subscribe(
            preferences -> {
              Look.setDark(this, preferences.dark());
              Look.setTextSize(this, preferences.textSize());
              ledger.setMinWidth(LEDGER_WIDTH * preferences.zoom());
              ledger.setPrefWidth(LEDGER_WIDTH * preferences.zoom());
            });
    HBox.setHgrow(gearTable, Priority.ALWAYS);
    HBox middle = new HBox(8, gearTable, ledger);
    middle.setPadding(new Insets(0, 14, 2, 14));
    CrankBar crank = new CrankBar(desk);
    StackPane stations = new StackPane(middle);
    BorderPane frame = new BorderPane(stations);
    frame.setTop(new VBox(head, offer(), notice(), trainLine));
    frame.setBottom(crank);
    desk.stationProperty()
        .subscribe(
            station -> {
              if (!made.containsKey(station)) {
                station(station, dialogs)
                    .ifPresent(fresh -> made.put(station, added(fresh, stations, frame)));
              }
              made.forEach((one, shown) -> Look.show(shown, one == station));
              // What was changed out of sight may still be as high as it was at another width.
              Optional.ofNullable(made.get(station)).ifPresent(Look::layOutAnew);
              if (station == Station.CUT_SHEET || station == Station.BENCH_BOOK) {
                // Or the first field would be typed over by the next key.
                Objects.requireNonNull(made.get(station)).requestFocus();
              }
              boolean table = !made.containsKey(station);
              Look.show(middle, table);
              Look.show(crank, table);
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

  /** A station of its own; empty for those at the gear table. */
  private Optional<HBox> station(Station station, FileDialogs dialogs) {
    return switch (station) {
      case LAY_OUT, DRIVE_AND_HOLD -> Optional.empty();
      case FIND_TEETH -> Optional.of(new FindStation(desk));
      case SHIFT_PLAN -> Optional.of(new ShiftStation(desk));
      case CUT_SHEET -> Optional.of(new CutStation(desk, dialogs));
      case BENCH_BOOK -> Optional.of(new BenchStation(desk, dialogs));
    };
  }

  JobKeeper keeper() {
    return keeper;
  }

  /** A station laid out at once, so that the first click finds everything in its place. */
  private static HBox added(HBox station, Pane stations, BorderPane frame) {
    station.setPadding(new Insets(0, 14, 12, 14));
    stations.getChildren().add(station);
    frame.applyCss();
    frame.layout();
    return station;
  }

  /** Scrolls the ledger to what the meshes lose. */
  void showLosses() {
    ledger.showLosses();
  }

  /** Opens a view of the bench book. */
  void showBench(String view) {
    if (made.get(Station.BENCH_BOOK) instanceof BenchStation bench) {
      bench.lookAt(view);
    }
  }

  /** Whether teeth or states are being looked for. */
  boolean isSearching() {
    return (made.get(Station.FIND_TEETH) instanceof FindStation find && find.isSearching())
        || (made.get(Station.SHIFT_PLAN) instanceof ShiftStation shift && shift.isSearching());
  }

  /** A picture of the face view alone. */
  WritableImage drawing() {
    return gearTable.drawing();
  }

  private Node notice() {
    noticeText.setId("notice");
    Button close = Look.styled(new Button(), "plain");
    close.setGraphic(Icon.CLOSE.node());
    close.setAccessibleText("Dismiss the notice");
    close.setOnAction(e -> tell(""));
    notice.getChildren().setAll(Icon.ERROR.node(), wide(noticeText), close);
    Look.show(notice, false);
    return Look.styled(notice, "notice");
  }

  private Node offer() {
    offerText.setId("offer");
    Look.show(offer, false);
    return Look.styled(offer, "notice", "offer");
  }

  private static Label wide(Label words) {
    words.setWrapText(true);
    words.setMaxWidth(Double.MAX_VALUE);
    HBox.setHgrow(words, Priority.ALWAYS);
    return words;
  }

  /** Names the train, since the notice outlives a look at another one; a change ends it. */
  private void refused(Optional<String> why) {
    String told = desk.sheet().name() + ", not changed: ";
    if (why.isPresent()) {
      tell(told + why.get());
    } else if (noticeText.getText().startsWith(told)) {
      tell("");
    }
  }

  /** Shows a notice under the top line until it is dismissed; an empty one takes it away. */
  void tell(String words) {
    noticeText.setText(words);
    Look.show(notice, !words.isEmpty());
    head.refresh();
  }

  /**
   * Shows what can be decided under the top line, until it has been, whatever else is told there;
   * an empty offer takes it away.
   */
  void offer(String words, List<Question.Answer> answers) {
    offerText.setText(words);
    offer.getChildren().setAll(Icon.NOTE.node(), wide(offerText));
    for (Question.Answer answer : answers) {
      Button button = new Button(answer.words());
      button.setMinWidth(USE_PREF_SIZE);
      button.setOnAction(e -> answer.action().run());
      offer.getChildren().add(button);
    }
    Look.show(offer, !words.isEmpty());
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
    return getChildren().getLast() instanceof Question || getChildren().getLast() instanceof KeyMap;
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

  private void showKeys() {
    KeyMap keys = new KeyMap();
    getChildren().add(keys);
    keys.focusFirst();
  }

  private void changeLight() {
    Preferences now = desk.preferences();
    desk.preferencesProperty().set(now.inDark(!now.dark()));
  }

  private void onShortcut(KeyEvent event) {
    if (event.getCode() == KeyCode.ESCAPE && desk.rig().isOn()) {
      // The nearest thing to a large red button, wherever the keys go.
      desk.rig().stop();
      event.consume();
    }
    if (event.isShortcutDown() && !isAsking()) {
      Runnable action = shortcut(event.getCode(), event.isShiftDown());
      if (action != null) {
        leaveField();
        action.run();
        event.consume();
      }
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

  private @Nullable Runnable shortcut(KeyCode code, boolean shift) {
    return switch (code) {
      case N -> keeper::startNew;
      case O -> keeper::open;
      case S -> shift ? keeper::saveAs : keeper::save;
      case Z -> shift ? desk::redo : desk::undo;
      case Y -> desk::redo;
      case D -> this::changeLight;
      case L -> trainLine::startTyping;
      case DIGIT1, NUMPAD1 -> () -> desk.stationProperty().set(Station.LAY_OUT);
      case DIGIT2, NUMPAD2 -> () -> desk.stationProperty().set(Station.DRIVE_AND_HOLD);
      case DIGIT3, NUMPAD3 -> () -> desk.stationProperty().set(Station.FIND_TEETH);
      case DIGIT4, NUMPAD4 -> () -> desk.stationProperty().set(Station.SHIFT_PLAN);
      case DIGIT5, NUMPAD5 -> () -> desk.stationProperty().set(Station.CUT_SHEET);
      case DIGIT6, NUMPAD6 -> () -> desk.stationProperty().set(Station.BENCH_BOOK);
      case PLUS, EQUALS, ADD -> () -> resizeText(1);
      case MINUS, SUBTRACT -> () -> resizeText(-1);
      case PAGE_DOWN -> () -> showNext(1);
      case PAGE_UP -> () -> showNext(-1);
      case ENTER -> desk.cures()::putRight;
      default -> null;
    };
  }

  private void resizeText(int steps) {
    Preferences now = desk.preferences();
    desk.preferencesProperty().set(now.sized(now.textSize() + 1.5 * steps));
  }

  private void showNext(int step) {
    int count = desk.job().sheets().size();
    desk.showSheet(Math.floorMod(desk.pageProperty().get().index() + step, count));
  }

  private void onKey(KeyEvent event) {
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
    return getScene().getFocusOwner() instanceof TextInputControl;
  }
}
