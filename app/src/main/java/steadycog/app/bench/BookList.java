package steadycog.app.bench;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import steadycog.app.desk.BookWork;
import steadycog.app.desk.BookWork.Leaf;
import steadycog.app.desk.Desk;
import steadycog.app.look.Icon;
import steadycog.app.look.Look;
import steadycog.bench.BenchTest;
import steadycog.bench.Build;
import steadycog.bench.LoadTest;
import steadycog.bench.Outcome;
import steadycog.bench.TestHead;
import steadycog.bench.TurnTest;
import steadycog.number.Figures;
import steadycog.number.Unit;

/** The builds of the train in view and their tests, to choose from and to add to. */
final class BookList extends VBox {
  private static final PseudoClass SELECTED = PseudoClass.getPseudoClass("selected");
  private static final int DIGITS = 4;

  private final Desk desk;
  private final BookWork book;
  private final VBox lines = new VBox(1);
  private final ScrollPane scroll = Look.styled(new ScrollPane(), "side-scroll");
  private Leaf scrolledTo = new Leaf(-1, -1);
  private final Button turns = Look.styled(new Button("+ turn count"), "cure");
  private final Button load = Look.styled(new Button("+ load test"), "cure");
  private final Button build = Look.styled(new Button("+ build"), "cure");

  BookList(Desk desk, Runnable readRecording) {
    super(6);
    this.desk = desk;
    book = desk.book();
    setId("book-list");
    getStyleClass().addAll("panel", "working");
    build.setId("add-build");
    build.setTooltip(new Tooltip("Freezes the card as it is now: what was made of it"));
    build.setOnAction(e -> book.addBuild(LocalDate.now()));
    turns.setId("add-turns");
    turns.setTooltip(new Tooltip("Count turns of the build that is open"));
    turns.setOnAction(e -> book.addTurns(LocalDate.now()));
    load.setId("add-load");
    load.setTooltip(new Tooltip("Load the build that is open, step by step"));
    load.setOnAction(e -> book.addLoad(LocalDate.now()));
    Button recording = Look.styled(new Button("Read a recording \u2026"), "cure");
    recording.setId("read-recording");
    recording.setTooltip(new Tooltip("What instruments wrote down as comma-separated values"));
    recording.setOnAction(e -> readRecording.run());
    scroll.setContent(lines);
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    FlowPane tools = new FlowPane(6, 5, build, turns, load, recording);
    getChildren().addAll(Look.label("Builds and their tests", "caption"), scroll, tools);
  }

  void show() {
    lines.getChildren().clear();
    List<Build> builds = book.book().builds();
    Leaf open = book.leafProperty().get();
    for (int b = 0; b < builds.size(); b++) {
      Build one = builds.get(b);
      lines.getChildren().add(line(one.name(), TestHead.day(one.date()), new Leaf(b, -1), open));
      for (int t = 0; t < one.tests().size(); t++) {
        BenchTest test = one.tests().get(t);
        lines.getChildren().add(line(test.head().title(), said(test), new Leaf(b, t), open));
      }
    }
    if (builds.isEmpty()) {
      Label empty =
          Look.label(
              desk.bench().isEmpty()
                  ? "Put a train on the bench first; what you build of it stands here."
                  : "Nothing built yet. Once something is made, + build freezes its card; turn"
                      + " counts and load tests belong to it.",
              "soft");
      empty.setWrapText(true);
      empty.setMinHeight(USE_PREF_SIZE);
      lines.getChildren().add(empty);
    }
    scrollTo(open);
    build.setDisable(desk.sheet().card().isEmpty());
    turns.setDisable(book.build().isEmpty());
    load.setDisable(book.build().isEmpty());
  }

  /** Brings what is open into view where the list is longer than its room. */
  private void scrollTo(Leaf open) {
    if (open.equals(scrolledTo)) {
      return;
    }
    scrolledTo = open;
    int at = 0;
    for (int b = 0; b < open.build(); b++) {
      at += 1 + book.book().builds().get(b).tests().size();
    }
    at += open.test() + 1;
    scroll.setVvalue((double) at / Math.max(1, lines.getChildren().size() - 1));
  }

  private HBox line(String title, String said, Leaf leaf, Leaf open) {
    boolean whole = leaf.test() < 0;
    Button name = Look.styled(new Button(title), "leaf", whole ? "leaf-build" : "leaf-test");
    name.setMnemonicParsing(false);
    name.setId("leaf-" + leaf.build() + (whole ? "" : "-" + leaf.test()));
    name.setOnAction(e -> book.open(leaf.build(), leaf.test()));
    name.pseudoClassStateChanged(SELECTED, leaf.equals(open));
    name.setMaxWidth(Double.MAX_VALUE);
    name.setMinWidth(0);
    HBox.setHgrow(name, Priority.ALWAYS);
    Label words = Look.label(said, "small", "soft");
    name.setGraphic(words);
    name.setContentDisplay(ContentDisplay.RIGHT);
    name.setTooltip(new Tooltip(title + (said.isEmpty() ? "" : ", " + said)));
    Button close = Look.styled(new Button(), "plain");
    close.setGraphic(Icon.CLOSE.node());
    close.setAccessibleText("Take " + title + " out of the book");
    close.setTooltip(new Tooltip("Out of the book; undo brings it back"));
    close.setOnAction(
        e -> {
          if (whole) {
            book.removeBuild(leaf.build());
          } else {
            book.removeTest(leaf.build(), leaf.test());
          }
        });
    HBox row = new HBox(2, name, close);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  /** What a test came to, in a few words; what is slow to work out is left to the test itself. */
  private String said(BenchTest test) {
    return switch (test) {
      case TurnTest turnTest -> {
        int count = turnTest.readings().size();
        yield count == 0 ? "nothing read" : count + (count == 1 ? " reading" : " readings");
      }
      case LoadTest loadTest -> {
        Unit unit = desk.preferences().torque();
        Optional<Double> best =
            loadTest.steps().stream()
                .filter(step -> step.outcome() == Outcome.HELD)
                .map(step -> loadTest.rigging().torque(step.load()))
                .max(Double::compare);
        yield best.map(
                nm ->
                    "held " + Figures.significant(nm / unit.inBase(), DIGITS) + " " + unit.symbol())
            .orElse("nothing held");
      }
    };
  }
}
