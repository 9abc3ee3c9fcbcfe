package steadycog.app.ledger;

import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import javafx.animation.PauseTransition;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.look.EachWayWords;
import steadycog.app.look.Flow;
import steadycog.app.look.Look;
import steadycog.app.look.RatioWords;
import steadycog.app.look.Sign;
import steadycog.check.Finding;
import steadycog.check.Severity;
import steadycog.number.Ratio;
import steadycog.study.Study;
import steadycog.train.State;

/** The ratio, large, and once more in both schools with exact numbers. */
public final class Headline extends VBox {
  private static final PseudoClass STUCK = PseudoClass.getPseudoClass("stuck");
  private static final PseudoClass TERSE = PseudoClass.getPseudoClass("terse");

  /** So long it is told what an edit has changed. */
  private static final Duration TOLD = Duration.seconds(8);

  private final Desk desk;
  private final Label was = Look.label("", "small", "was", "passing");
  private final Tooltip changes = new Tooltip();
  private final PauseTransition telling = new PauseTransition(TOLD);
  private Optional<Told> base = Optional.empty();
  private boolean terse;

  /** What stood here before an edit. */
  private record Told(Optional<State> state, String ratio, Set<String> findings) {
    static Told of(String ratio, Bench bench) {
      return new Told(
          bench.state(),
          ratio,
          bench.study().findings().stream()
              .filter(finding -> finding.severity() != Severity.OK)
              .map(Finding::code)
              .collect(Collectors.toCollection(TreeSet::new)));
    }

    /** What of it is other in {@code now}. */
    String changedTo(Told now) {
      String words = ratio.equals(now.ratio) ? "" : "was " + ratio + "\n";
      int fresh = without(now.findings, findings).size();
      int gone = without(findings, now.findings).size();
      return words
          + (fresh > 0 ? fresh + " new" : "")
          + (fresh * gone > 0 ? ", " : "")
          + (gone > 0 ? gone + " gone" : "");
    }

    /** The findings that are new in {@code now}, and those that are gone, by their names. */
    String namesOf(Told now) {
      return String.join(
          "\n",
          "New findings: " + String.join(", ", without(now.findings, findings)),
          "Gone: " + String.join(", ", without(findings, now.findings)));
    }

    private static Set<String> without(Set<String> all, Set<String> some) {
      Set<String> left = new TreeSet<>(all);
      left.removeAll(some);
      return left;
    }
  }

  private final Label ratio = Look.label("", "ratio");
  private final Label sentence = Look.label("", "sentence");
  private final Label reduction = Look.label("", "school-value");
  private final Label trainValue = Look.label("", "school-value");
  private final Label losses = Look.label("", "school-value");
  private final GridPane schools = new GridPane(10, 1);

  /** {@code toLosses} leads to more about them. */
  public Headline(Desk desk, Runnable toLosses) {
    this.desk = desk;
    getStyleClass().add("headline");
    setId("headline");
    setAlignment(Pos.CENTER_LEFT);
    ratio.setId("ratio");
    sentence.setId("ratio-sentence");
    sentence.setWrapText(true);
    addSchool(
        0,
        "Reduction ratio  i = in / out",
        reduction,
        "Speed of the input over speed of the output; also what torque is multiplied by, were"
            + " nothing lost.");
    addSchool(
        1,
        "Train value  e = out / in",
        trainValue,
        "The other school: speed of the output over speed of the input, 1/i.");
    addSchool(
        2,
        "With losses",
        losses,
        "Power out over power in, and what it does when its take-off is pushed.");
    losses.setId("headline-losses");
    Button more = Look.styled(new Button("more"), "cure");
    more.setId("more-losses");
    more.setTooltip(new Tooltip("Where the losses come from, and how to change them"));
    more.setMinWidth(USE_PREF_SIZE);
    more.setOnAction(e -> toLosses.run());
    schools.add(more, 2, 2);
    ratio.setMinWidth(USE_PREF_SIZE);
    Flow top = new Flow();
    top.getChildren().addAll(ratio, sentence);
    was.setId("was");
    was.setManaged(false);
    was.setVisible(false);
    was.setTooltip(changes);
    telling.setOnFinished(e -> forget());
    getChildren().addAll(top, schools, was);
    desk.inViewProperty().addListener((o, old, now) -> startAnew());
    desk.benchProperty().addListener(o -> show());
    desk.preferencesProperty()
        .addListener(
            o -> {
              startAnew();
              show();
            });
    show();
  }

  private void addSchool(int row, String name, Label value, String help) {
    Label title = Look.label(name, "school");
    title.setTooltip(new Tooltip(help));
    title.setMinWidth(USE_PREF_SIZE);
    value.setWrapText(true);
    schools.addRow(row, title, value);
  }

  /** Beside a station that has its own figures only the ratio is shown, and smaller. */
  public void setTerse(boolean now) {
    pseudoClassStateChanged(TERSE, now);
    terse = now;
    setMinWidth(now ? USE_PREF_SIZE : 0);
    show();
  }

  private void show() {
    boolean valueLeads = desk.preferences().trainValueLeads();
    Optional<Study> study = desk.bench().map(Bench::study);
    Optional<Ratio> known = study.flatMap(Study::ratio);
    pseudoClassStateChanged(STUCK, study.filter(RatioWords::isStuck).isPresent());
    ratio.getStyleClass().setAll("label", known.isPresent() ? "ratio" : "no-ratio");
    ratio.setText(
        study.map(s -> RatioWords.of(s, valueLeads, desk.preferences().speed())).orElse(Sign.DASH));
    desk.bench().ifPresent(now -> tell(Told.of(ratio.getText(), now)));
    sentence.setText(known.map(RatioWords::sentence).orElse(""));
    if (study.flatMap(Study::twoInputs).isPresent()) {
      sentence.setText("The sum of two inputs: no single ratio");
    }
    Look.show(sentence, !sentence.getText().isEmpty() && !terse);
    Look.show(schools, known.isPresent() && !terse);
    known.ifPresent(
        r -> {
          reduction.setText(
              "i = "
                  + Sign.exact(r.reduction())
                  + (valueLeads ? "   (" + Sign.reduction(r) + ")" : ""));
          trainValue.setText(
              "e = " + Sign.exact(r.trainValue()) + "   (" + Sign.trainValue(r) + ")");
          losses.setText(EachWayWords.of(study.orElseThrow().loading().eachWay()));
        });
  }

  /** After an edit, for a while, what it was before. */
  private void tell(Told now) {
    if (base.filter(then -> then.state.equals(now.state)).isEmpty()) {
      base = Optional.of(now);
    }
    was.setText(base.get().changedTo(now).strip());
    changes.setText(base.get().namesOf(now));
    was.setVisible(!was.getText().isEmpty() && !terse);
    if (was.isVisible()) {
      telling.playFromStart();
      requestLayout();
    }
  }

  /** What stands here next is what the edits after it are measured by. */
  private void startAnew() {
    telling.stop();
    was.setVisible(false);
    base = Optional.empty();
  }

  /** What stands here now is. */
  private void forget() {
    startAnew();
    base = desk.bench().map(bench -> Told.of(ratio.getText(), bench));
  }

  @Override
  protected void layoutChildren() {
    super.layoutChildren();
    double wide = was.prefWidth(-1);
    // Under the words beside the ratio, which reach the right edge.
    double beside = schools.isVisible() ? schools.getLayoutY() : 0;
    was.resizeRelocate(getWidth() - wide, beside, wide, was.prefHeight(wide));
  }
}
