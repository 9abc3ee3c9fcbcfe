package steadycog.app.find;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.beans.binding.Bindings;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.Clipboard;
import javafx.scene.input.DataFormat;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Desk;
import steadycog.app.desk.Station;
import steadycog.app.files.AskFile;
import steadycog.app.geartable.Preview;
import steadycog.app.look.Later;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.format.csv.FoundCsv;
import steadycog.search.Candidate;
import steadycog.search.Found;
import steadycog.search.Loosen.Hint;
import steadycog.search.Wanted.Field;

/** From a ratio in mind to tooth counts: what is wanted, what there is, and what it looks like. */
public final class FindStation extends HBox {
  /** So wide in heights of the text buttons leave room for what is said of the search. */
  private static final double BESIDE = 44;

  private static final double FORM_WIDTH = 244;
  private static final double MOST_WIDENED = 1.25;
  private static final String FIRST_STEPS =
      "Write the ratio you have in mind on the left: 85, or 1500 rpm to 12 rpm, or how long one"
          + " turn of the output takes. Tooth counts that make it appear here, the nearest first.";
  private static final double COMPARE_HEIGHT = 262;
  private static final double SIDE_WIDTH = 268;
  private static final double SCATTER_SHARE = 0.34;

  private final Desk desk;
  private final Finder finder;
  private final Label status = Look.label("", "soft");
  private final ProgressBar bar = new ProgressBar(0);
  private final Button stop = Look.styled(new Button("Stop"), "cure");
  private final Button copy = Look.styled(new Button("Copy as CSV"), "cure");
  private final Button bring = Look.styled(new Button("To the bench"), "main");
  private final Button keep = Look.styled(new Button("Compare"), "cure");
  private final Label name = Look.label("", "candidate-name");
  private final Label ratio = Look.label("", "soft");
  private final Preview preview = new Preview();
  private final CandidateTable table;

  public FindStation(Desk desk, AskFile dialogs) {
    this.desk = desk;
    finder = new Finder(desk, Platform::runLater);
    table = new CandidateTable(finder);
    setId("find-station");
    setSpacing(8);
    ScrollPane form = new ScrollPane(new WantedForm(desk, finder, dialogs));
    form.setFitToWidth(true);
    form.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    form.getStyleClass().add("side-scroll");
    desk.preferencesProperty()
        .subscribe(
            now -> {
              double width = FORM_WIDTH * Math.clamp(now.zoom(), 1, MOST_WIDENED);
              form.setMinWidth(width);
              form.setPrefWidth(width);
            });
    VBox middle = middle();
    HBox.setHgrow(middle, Priority.ALWAYS);
    getChildren().addAll(form, middle, side());
    Later later = Later.whenQuiet(this::lookIfInView);
    desk.pageProperty().addListener(o -> later.ask());
    desk.stationProperty().subscribe(station -> lookIfInView());
    desk.benchProperty().addListener(o -> later.ask());
    desk.preferencesProperty().subscribe(now -> table.sized(now.shownSize()));
    desk.preferencesProperty().addListener(o -> turnIfInView());
    finder.progressProperty().addListener(o -> say());
    finder.endedProperty().addListener(o -> say());
    finder.candidatesProperty().addListener(o -> say());
    finder.hintsProperty().addListener(o -> say());
    finder.problemProperty().addListener(o -> say());
    finder.chosenProperty().subscribe(this::show);
    finder.comparedProperty().addListener(o -> show(finder.chosenProperty().get()));
    say();
  }

  /** Whether a search is going on. */
  public boolean isSearching() {
    return finder.progressProperty().get().isPresent();
  }

  private void lookIfInView() {
    turnIfInView();
    if (isInView()) {
      finder.look();
    }
  }

  private void turnIfInView() {
    preview.run(isInView() && !desk.preferences().still());
  }

  private boolean isInView() {
    return desk.stationProperty().get() == Station.FIND_TEETH;
  }

  private VBox middle() {
    status.setId("find-status");
    status.setWrapText(true);
    status.setMinHeight(USE_PREF_SIZE);
    bar.setPrefWidth(80);
    stop.setId("find-stop");
    stop.setTooltip(new Tooltip("Keep what has been found so far"));
    stop.setOnAction(e -> stop());
    copy.setOnAction(e -> copy());
    copy.setTooltip(new Tooltip("All candidates with their cards to the clipboard"));
    TextField narrow = new TextField();
    narrow.setId("narrow");
    narrow.setPromptText("narrow: same");
    narrow.setAccessibleText("Words that a candidate must have");
    narrow.setPrefColumnCount(9);
    narrow.setMinWidth(90);
    narrow.textProperty().addListener((o, old, now) -> table.narrow(now));
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    for (Region fixed : new Region[] {bar, stop, copy}) {
      fixed.setMinWidth(USE_PREF_SIZE);
    }
    HBox head = new HBox(8, status, bar, stop, gap, narrow, copy);
    head.setAlignment(Pos.CENTER_LEFT);
    VBox top = new VBox(4, head);
    Scatter scatter = new Scatter(finder);
    VBox.setVgrow(table, Priority.ALWAYS);
    table.setMinHeight(120);
    VBox middle = new VBox(6, top, table, scatter);
    middle.widthProperty().subscribe(width -> placeStatus(top, head, width.doubleValue()));
    scatter
        .prefHeightProperty()
        .bind(
            Bindings.createDoubleBinding(
                () -> scatter.height(SCATTER_SHARE * middle.getHeight()),
                middle.heightProperty(),
                finder.candidatesProperty()));
    middle.setMinWidth(0);
    return middle;
  }

  /** What is said of the search stands beside its buttons, or above where it would be squeezed. */
  private void placeStatus(VBox top, HBox head, double width) {
    boolean beside = width > BESIDE * desk.preferences().shownSize();
    if (beside != head.getChildren().contains(status)) {
      top.getChildren().remove(status);
      head.getChildren().remove(status);
      (beside ? head : top).getChildren().addFirst(status);
    }
  }

  private VBox side() {
    name.setWrapText(true);
    ratio.setWrapText(true);
    bring.setId("bring");
    bring.setTooltip(new Tooltip("Put it on the bench as a train of its own (Enter)"));
    bring.setOnAction(e -> finder.chosenProperty().get().ifPresent(this::bring));
    keep.setId("keep");
    keep.setTooltip(new Tooltip("Keep it for comparing, or let it go (C)"));
    keep.setOnAction(e -> finder.chosenProperty().get().ifPresent(finder::compare));
    HBox buttons = new HBox(6, bring, keep);
    VBox about = Look.styled(new VBox(4, name, ratio, buttons), "panel", "about");
    VBox.setVgrow(preview, Priority.ALWAYS);
    ScrollPane compare = new ScrollPane(new CompareCandidates(finder));
    compare.setFitToWidth(true);
    compare.getStyleClass().add("side-scroll");
    compare.setMinHeight(60);
    finder
        .comparedProperty()
        .subscribe(kept -> compare.setPrefHeight(kept.isEmpty() ? 64 : COMPARE_HEIGHT));
    VBox side = new VBox(6, preview, about, compare);
    side.setMinWidth(SIDE_WIDTH);
    side.setPrefWidth(SIDE_WIDTH);
    side.setMaxWidth(SIDE_WIDTH);
    return side;
  }

  private void bring(Candidate candidate) {
    finder.bring(candidate);
    desk.stationProperty().set(Station.LAY_OUT);
  }

  private void stop() {
    finder.stop();
    say();
  }

  private void copy() {
    Clipboard.getSystemClipboard()
        .setContent(
            Map.of(DataFormat.PLAIN_TEXT, FoundCsv.write(finder.candidatesProperty().get())));
  }

  private void show(Optional<Candidate> candidate) {
    name.setText(
        candidate
            .map(c -> Candidates.kind(c.kind()) + ": " + Candidates.wheels(c))
            .orElse("Nothing chosen"));
    ratio.setText(
        candidate
            .map(
                c ->
                    "i = "
                        + Sign.exact(c.ratio().reduction())
                        + ", "
                        + Candidates.error(c)
                        + ", turns "
                        + (c.ratio().sameDirection() ? "the same way" : "the other way")
                        + (Candidates.shifts(c).isEmpty() ? "" : "; shift " + Candidates.shifts(c)))
            .orElse("Candidates appear as soon as there is a target."));
    bring.setDisable(candidate.isEmpty());
    keep.setDisable(candidate.isEmpty());
    boolean kept = candidate.filter(finder.comparedProperty().get()::contains).isPresent();
    keep.setText(kept ? "Let go" : "Compare");
    preview.show(candidate.map(Candidate::train));
  }

  private void say() {
    Optional<Finder.Progress> progress = finder.progressProperty().get();
    Optional<Found> ended = finder.endedProperty().get();
    Look.show(bar, progress.isPresent());
    Look.show(stop, progress.isPresent());
    Look.show(copy, progress.isEmpty());
    copy.setDisable(finder.candidatesProperty().get().isEmpty());
    boolean nothing = ended.filter(found -> found.candidates().isEmpty()).isPresent();
    table.explain(
        nothing
            ? why(ended.orElseThrow()) + loosen(finder.hintsProperty().get())
            : finder.wanted().text(Field.TARGET).isBlank() && finder.onTheBench().isEmpty()
                ? FIRST_STEPS
                : "");
    progress.ifPresent(now -> bar.setProgress(now.share()));
    status.setText(
        progress
            .map(FindStation::going)
            .or(() -> finder.problemProperty().get().map(bad -> "See what is wanted."))
            .or(() -> ended.map(FindStation::said))
            .orElse(
                finder.candidatesProperty().get().isEmpty()
                    ? "Say what ratio is wanted."
                    : "Stopped: what was found so far."));
  }

  private static String going(Finder.Progress now) {
    return Candidates.kind(now.kind())
        + " "
        + Math.round(100 * now.share())
        + "\u2009%, "
        + many(now.perSecond())
        + "/s";
  }

  /** {@code 20, the nearest first, proven of 36 million}. */
  private static String said(Found found) {
    if (found.candidates().isEmpty()) {
      return "Nothing found.";
    }
    return found.candidates().size()
        + ", "
        + found.query().order()
        + (found.provenBest() ? ", proven of " : found.cutShort() ? ", cut short after " : ", of ")
        + many((double) found.examined());
  }

  /** Why nothing was found. */
  private static String why(Found found) {
    String refused =
        found.rejected().entrySet().stream()
            .map(e -> e.getKey() + " turned down " + e.getValue())
            .collect(Collectors.joining(", "));
    String covered = many((double) found.examined()) + " combinations covered. ";
    return found.rejected().isEmpty()
        ? covered + "None comes near enough. "
        : covered + "Of those near enough " + refused + ". ";
  }

  private static String loosen(Optional<List<Hint>> hints) {
    return hints
        .map(
            found ->
                found.isEmpty()
                    ? "No single limit stands in the way: loosen several."
                    : "Loosen one of these limits, and there is something:")
        .orElse("Looking which limit stands in the way \u2026");
  }

  private static String many(double number) {
    String[] names = {"", " thousand", " million", " thousand million", " million million"};
    int at = 0;
    while (number >= 1000 && at < names.length - 1) {
      number /= 1000;
      at++;
    }
    return String.format(Locale.ROOT, number < 10 && at > 0 ? "%.1f" : "%.0f", number) + names[at];
  }
}
