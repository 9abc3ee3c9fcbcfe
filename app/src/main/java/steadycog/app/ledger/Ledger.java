package steadycog.app.ledger;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.desk.Preferences;
import steadycog.app.look.Look;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Part;

/**
 * A line for every member, with what can be done to the chosen one under its own, then the findings
 * and all else that is known of the train.
 */
public final class Ledger extends VBox {
  private static final double SCROLL_BAR = 12;

  private final Desk desk;
  private final Node tools;
  private final FindingsList findings;
  private final VBox titles = new VBox();
  private final VBox lines = new VBox();
  private final LossPanel losses;
  private final ScrollPane scroll;
  private final List<MemberRow> rows = new ArrayList<>();
  private Preferences shownPreferences = Preferences.USUAL;

  /** A ledger with {@code tools} for the chosen member. */
  public Ledger(Desk desk, Node tools) {
    this.desk = desk;
    this.tools = tools;
    getStyleClass().add("ledger");
    lines.setId("ledger-lines");
    // Where the text is large its columns are scrolled to, never cut.
    Columns columns = new Columns(desk, titles, lines);
    ScrollPane table = new ScrollPane(columns);
    table.setFitToWidth(true);
    // For the bar that moves the columns, which would lie over the last row.
    columns.setPadding(new Insets(0, 0, SCROLL_BAR, 0));
    table.setVbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    table.setFocusTraversable(false);
    table.getStyleClass().addAll("panel", "ledger-table");
    table.setMinHeight(USE_PREF_SIZE);
    findings = new FindingsList(desk);
    losses = new LossPanel(desk);
    VBox scrolled =
        new VBox(
            8,
            table,
            new TwoInputsPanel(desk),
            new DifferentialPanel(desk),
            new DrivePanel(desk),
            findings,
            new TeethPast(desk),
            losses,
            new MotorPanel(desk),
            new RunPanel(desk),
            new SetPanel(desk),
            new EpicyclicPanel(desk),
            new WorkingPanel(desk),
            new TorquePanel(desk),
            new RoomPanel(desk),
            new KindPanel(desk));
    scrolled.setMinWidth(0);
    scroll = new ScrollPane(scrolled);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    scroll.setFitToWidth(true);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    getChildren().add(scroll);
    desk.benchProperty().addListener((o, old, now) -> rebuild(now));
    desk.preferencesProperty().addListener(o -> rebuild(desk.bench()));
    desk.litProperty().addListener(o -> showSelection());
    desk.crank().countedProperty().addListener(o -> showTurns());
    rebuild(desk.bench());
  }

  /** Scrolls to what the meshes lose. */
  public void showLosses() {
    scrollTo(losses);
  }

  /** Scrolls to all that there is to object to. */
  public void showFindings() {
    scrollTo(findings);
  }

  private void scrollTo(Node panel) {
    layout();
    double height = scroll.getContent().getLayoutBounds().getHeight();
    double room = height - scroll.getViewportBounds().getHeight();
    if (room > 0) {
      scroll.setVvalue(Math.min(1, panel.getBoundsInParent().getMinY() / room));
    }
  }

  /** Brings the rows in step; they are made anew only where members or preferences change. */
  private void rebuild(Optional<Bench> bench) {
    List<MemberId> members =
        bench
            .map(b -> b.card().train().members().stream().map(Member::id).toList())
            .orElse(List.of());
    boolean same =
        members.equals(rows.stream().map(MemberRow::member).toList())
            && desk.preferences().equals(shownPreferences);
    if (!same || members.isEmpty()) {
      makeRows(bench);
    }
    bench.ifPresent(this::showNumbers);
    showSelection();
    showTurns();
  }

  private void makeRows(Optional<Bench> bench) {
    shownPreferences = desk.preferences();
    rows.clear();
    lines.getChildren().clear();
    titles.getChildren().setAll(MemberRow.titles(shownPreferences));
    bench.ifPresent(b -> b.card().train().parts().forEach(this::addPart));
    if (rows.isEmpty()) {
      lines.getChildren().add(Look.label("Each member's numbers will stand here.", "soft", "cell"));
    }
  }

  /** A part's members, under its name where it has one. */
  private void addPart(Part part) {
    if (!part.name().isEmpty()) {
      lines.getChildren().add(Look.label(part.name(), "caption", "part-name"));
    }
    for (Member member : part.members()) {
      MemberRow row = new MemberRow(member, shownPreferences);
      row.setOnMousePressed(press -> desk.select(Optional.of(row.member())));
      rows.add(row);
      lines.getChildren().add(row);
    }
  }

  private void showNumbers(Bench bench) {
    List<Member> members = bench.card().train().members();
    for (int k = 0; k < rows.size(); k++) {
      rows.get(k).show(bench.study(), members.get(k));
    }
  }

  private void showSelection() {
    lines.getChildren().remove(tools);
    for (MemberRow row : rows) {
      row.showSelected(desk.isLit(row.member()));
      if (desk.selection().filter(row.member()::equals).isPresent()) {
        lines.getChildren().add(lines.getChildren().indexOf(row) + 1, tools);
      }
    }
  }

  private void showTurns() {
    desk.crank().count().ifPresent(count -> rows.forEach(row -> row.showTurns(count)));
  }
}
