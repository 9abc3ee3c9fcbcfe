package steadycog.app.bench;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import steadycog.app.desk.BookWork;
import steadycog.app.desk.Desk;
import steadycog.app.files.AskFile;
import steadycog.app.files.Shop;
import steadycog.app.look.Later;
import steadycog.app.look.Look;
import steadycog.bench.BenchTest;
import steadycog.bench.Build;
import steadycog.bench.LoadTest;
import steadycog.bench.TestHead;
import steadycog.bench.TurnTest;
import steadycog.format.csv.BenchCsv;
import steadycog.format.file.Trouble;
import steadycog.format.json.UnreadableException;

/**
 * The bench book: builds and tests on the left with the rig below them; what is open of the book,
 * builds compared, or the report beside them.
 */
public final class BenchStation extends HBox {
  private static final double LEFT_WIDTH = 272;
  private static final double RIG_SHARE = 0.62;
  private static final double LEAST_HEIGHT = 120;
  private static final List<String> TABLES = List.of(".csv", ".txt", ".tsv");

  private final Desk desk;
  private final BookWork book;
  private final AskFile ask;
  private final Shop shop = new Shop(Platform::runLater);
  private final BookList list;
  private final RigPanel rig;
  private final BuildPanel build;
  private final TurnPanel turns;
  private final LoadPanel load;
  private final CompareBuilds compare;
  private final ReportPanel report;
  private final RecordingPanel recording;
  private final Label title = Look.label("", "page-title");
  private final Label about = Look.label("", "soft");
  private final TextField notes = Look.styled(new TextField(), "sheet-field");
  private final Label said = Look.label("", "soft");
  private final HBox testTools;
  private final VBox page = Look.styled(new VBox(8), "panel", "bench-page");
  private final ToggleGroup views = new ToggleGroup();
  private final Label empty =
      Look.label(
          "Freeze the card as a build once something is made of it. Then count turns against it,"
              + " load it step by step, change one thing, and compare.",
          "soft");
  private Show showing = Show.BOOK;
  private Place place = new Place("", new BookWork.Leaf(-1, -1));

  /** What stands beside the list. */
  private enum Show {
    BOOK("Book"),
    COMPARE("Compare builds"),
    REPORT("Report"),
    RECORDING("Recording");

    private final String title;

    Show(String title) {
      this.title = title;
    }
  }

  public BenchStation(Desk desk, AskFile ask) {
    super(8);
    this.desk = desk;
    book = desk.book();
    this.ask = ask;
    setId("bench-station");
    list = new BookList(desk, this::readRecording);
    rig = new RigPanel(desk, ask);
    build = new BuildPanel(desk, ask);
    turns = new TurnPanel(desk);
    load = new LoadPanel(desk);
    compare = new CompareBuilds(desk);
    report = new ReportPanel(desk, ask);
    recording = new RecordingPanel(desk);
    testTools = testTools();
    empty.setWrapText(true);
    said.setId("bench-said");
    said.setWrapText(true);
    HBox chips = new HBox(4);
    for (Show one : Show.values()) {
      chips.getChildren().add(chip(one));
    }
    notes.setId("test-notes");
    notes.setPromptText("notes; Enter takes them");
    notes.setAccessibleText("Notes of the test; Enter takes them");
    notes.setOnAction(e -> takeNotes());
    notes.focusedProperty().addListener((o, was, now) -> takeNotesIf(was && !now));
    page.getChildren()
        .addAll(chips, head(), empty, build, turns, load, notes, said, compare, report, recording);
    ScrollPane scroll = Look.styled(new ScrollPane(page), "side-scroll");
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    page.setMinWidth(0);
    page.minHeightProperty().bind(scroll.heightProperty().subtract(2));
    scroll.setMinWidth(0);
    HBox.setHgrow(scroll, Priority.ALWAYS);
    ScrollPane rigScroll = Look.styled(new ScrollPane(rig), "side-scroll");
    rigScroll.setFitToWidth(true);
    rigScroll.setFitToHeight(true);
    rigScroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    rigScroll.maxHeightProperty().bind(heightProperty().multiply(RIG_SHARE));
    rigScroll.setMinHeight(LEAST_HEIGHT);
    VBox left = new VBox(8, list, rigScroll);
    VBox.setVgrow(list, Priority.ALWAYS);
    list.setMinHeight(LEAST_HEIGHT);
    desk.preferencesProperty()
        .subscribe(
            preferences -> {
              left.setMinWidth(LEFT_WIDTH * preferences.zoom());
              left.setPrefWidth(LEFT_WIDTH * preferences.zoom());
              left.setMaxWidth(LEFT_WIDTH * preferences.zoom());
            });
    getChildren().addAll(left, scroll);
    Later later = Later.nextFrame(this::show);
    desk.pageProperty().addListener(o -> later.ask());
    desk.benchProperty().addListener(o -> later.ask());
    desk.preferencesProperty().addListener(o -> later.ask());
    book.leafProperty()
        .addListener(
            (o, old, now) -> {
              if (showing != Show.BOOK && book.test().isPresent()) {
                choose(Show.BOOK);
              }
              later.ask();
            });
    shop.saidProperty().addListener((o, old, now) -> say(now));
    visibleProperty().addListener(o -> show());
    choose(Show.BOOK);
  }

  private ToggleButton chip(Show one) {
    ToggleButton chip = Look.styled(new ToggleButton(one.title), "chip");
    chip.setId("bench-" + one.name().toLowerCase(Locale.ROOT));
    chip.setToggleGroup(views);
    chip.setUserData(one);
    chip.setOnAction(e -> choose(one));
    return chip;
  }

  private void choose(Show one) {
    showing = one;
    for (var toggle : views.getToggles()) {
      toggle.setSelected(toggle.getUserData() == one);
    }
    show();
  }

  private HBox head() {
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    title.setMinWidth(USE_PREF_SIZE);
    HBox head = new HBox(12, title, about, gap, testTools);
    head.setAlignment(Pos.BASELINE_LEFT);
    head.managedProperty().bind(title.managedProperty());
    head.visibleProperty().bind(title.managedProperty());
    return head;
  }

  private HBox testTools() {
    Button write = Look.styled(new Button("Write CSV \u2026"), "cure");
    write.setId("test-write");
    write.setTooltip(new Tooltip("This test as comma-separated values"));
    write.setOnAction(e -> writeTest());
    Button read = Look.styled(new Button("Read CSV \u2026"), "cure");
    read.setId("test-read");
    read.setTooltip(
        new Tooltip("Lines typed in elsewhere, in place of those here; heads say what they hold"));
    read.setOnAction(e -> readTest());
    HBox tools = new HBox(6, write, read);
    tools.setMinWidth(USE_PREF_SIZE);
    return tools;
  }

  private void say(String words) {
    said.setText(words);
    Look.show(said, !words.isEmpty());
  }

  // ---- what is shown

  /** Works out what is in view; only while it is looked at. */
  private void show() {
    if (!isVisible()) {
      return;
    }
    list.show();
    rig.show();
    Optional<Build> open = book.build();
    Optional<BenchTest> test = book.test();
    boolean inBook = showing == Show.BOOK;
    Look.show(build, inBook && open.isPresent() && test.isEmpty());
    Look.show(turns, inBook && test.filter(TurnTest.class::isInstance).isPresent());
    Look.show(load, inBook && test.filter(LoadTest.class::isInstance).isPresent());
    Look.show(notes, inBook && test.isPresent());
    Look.show(testTools, inBook && test.isPresent());
    Look.show(empty, inBook && open.isEmpty());
    Look.show(compare, showing == Show.COMPARE);
    Look.show(report, showing == Show.REPORT);
    Look.show(recording, showing == Show.RECORDING);
    title.setText(test.map(one -> one.head().title()).or(() -> open.map(Build::name)).orElse(""));
    title.setManaged(inBook && open.isPresent());
    about.setText(test.map(one -> about(open.orElseThrow(), one.head())).orElse(""));
    if (!inBook) {
      say("");
    }
    switch (showing) {
      case BOOK -> showBook(open, test);
      case COMPARE -> compare.show();
      case REPORT -> report.show();
      case RECORDING -> {}
    }
  }

  private static String about(Build build, TestHead head) {
    return build.name()
        + ", "
        + TestHead.day(head.date())
        + ", "
        + head.source()
        + (head.state().isEmpty() ? "" : ", state " + head.state());
  }

  /** What of the book is shown: what was typed and not taken belongs to it alone. */
  private record Place(String train, BookWork.Leaf leaf) {}

  private void showBook(Optional<Build> open, Optional<BenchTest> test) {
    Place now = new Place(desk.sheet().name(), book.leafProperty().get());
    boolean other = !now.equals(place);
    place = now;
    if (open.isEmpty()) {
      return;
    }
    if (test.isEmpty()) {
      build.show(open.get(), other);
      return;
    }
    if (other || !notes.isFocused()) {
      notes.setText(test.get().head().notes());
    }
    switch (test.get()) {
      case TurnTest one -> turns.show(open.get().train(one), one, other);
      case LoadTest one -> load.show(open.get().train(one), one, other);
    }
  }

  private void takeNotesIf(boolean left) {
    if (left) {
      takeNotes();
    }
  }

  private void takeNotes() {
    String words = notes.getText();
    book.test()
        .filter(test -> !test.head().notes().equals(words))
        .ifPresent(old -> book.changeTest(test -> test.headed(test.head().noting(words)), ""));
  }

  // ---- files

  private void readRecording() {
    ask.askRead("Recording", TABLES)
        .ifPresent(
            file -> {
              choose(Show.RECORDING);
              recording.open(file);
            });
  }

  private void writeTest() {
    Optional<Build> open = book.build();
    Optional<BenchTest> test = book.test();
    if (open.isEmpty() || test.isEmpty()) {
      return;
    }
    String name = open.get().name() + " " + test.get().head().title();
    ask.askExport(name, "Test", ".csv")
        .ifPresent(
            file ->
                shop.make(
                    file,
                    (cancelled, progress) ->
                        BenchCsv.write(open.get().train(test.get()), test.get())
                            .getBytes(StandardCharsets.UTF_8)));
  }

  private void readTest() {
    Optional<Path> file = ask.askRead("Test", TABLES);
    if (file.isEmpty() || book.test().isEmpty()) {
      return;
    }
    try {
      BenchTest read = BenchCsv.read(Files.readString(file.get()), book.test().get());
      book.changeTest(old -> read, "");
      say("");
    } catch (UnreadableException unreadable) {
      say(unreadable.at(file.get().getFileName().toString()) + ". Nothing was taken over.");
    } catch (IOException failed) {
      say(file.get().getFileName() + " cannot be read: " + Trouble.words(failed));
    }
  }

  /** The panel of that name, for pictures. */
  public void lookAt(String view) {
    choose(Show.valueOf(view.toUpperCase(Locale.ROOT)));
  }
}
