package steadycog.app.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.app.bench.EntryGrid.Column;
import steadycog.app.desk.BookWork;
import steadycog.app.desk.Desk;
import steadycog.app.look.ChartView;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.bench.Slip;
import steadycog.bench.TurnChart;
import steadycog.bench.TurnTest;
import steadycog.bench.TurnTest.Reading;
import steadycog.bench.TurnVerdict;
import steadycog.motion.TurnCount.TurnsAndDegrees;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.train.Train;

/** Turns counted: what to turn, what was read, and what that says. */
final class TurnPanel extends VBox {
  private static final PseudoClass RIGHT = PseudoClass.getPseudoClass("right");
  private static final PseudoClass OPEN = PseudoClass.getPseudoClass("open");
  private static final long DEGREES = 360;
  private static final int DIGITS = 6;
  private static final double CHART_HEIGHT = 210;
  private static final double CHART_WIDTH = 560;
  private static final List<TurnVerdict.Row> NOTHING = List.of();

  private final BookWork book;
  private final Label prompt = Look.label("", "soft");
  private final Label said = Look.label("", "bad-word");
  private final Label verdict = Look.label("", "verdict");
  private final VBox explanations = new VBox(2);
  private final TextField tolerance =
      Look.field("turn-tolerance", 4, "How well the output can be read, degrees");
  private final ChartView chart = new ChartView(TurnChart.of(NOTHING, 1));
  private final EntryGrid<TurnVerdict.Row> grid;
  private Optional<TurnTest> shown = Optional.empty();

  TurnPanel(Desk desk) {
    super(6);
    book = desk.book();
    setId("turn-panel");
    grid =
        new EntryGrid<>(
            "turns",
            List.of(
                Column.field(
                    "input",
                    "turns in",
                    "Turns of the input, with their sign",
                    7,
                    row -> whole(row.reading().input()),
                    this::takeInput),
                Column.field(
                    "output",
                    "turns out",
                    "Whole turns of the output, with their sign",
                    6,
                    row -> TurnsAndDegrees.of(row.reading().output()).whole().toString(),
                    this::takeOutput),
                Column.field(
                    "degrees",
                    "and degrees",
                    "Beyond the whole turns, in the same sense",
                    6,
                    row -> degrees(row.reading()),
                    this::takeDegrees),
                Column.follows(
                    "ratio", "i = in/out", "As measured", row -> shown(row.ratio(), DIGITS)),
                Column.follows(
                    "percent",
                    "off, %",
                    "Measured over worked out, less one",
                    row -> signed(row.percent(), 2)),
                Column.follows(
                    "off",
                    "off, \u00b0",
                    "Ahead of what was worked out, at the output",
                    row -> signed(row.degrees(), 1)),
                Column.follows(
                    "teeth",
                    "off, teeth",
                    "The same in teeth of the last mesh",
                    row -> signed(row.teeth(), 2))),
            row -> book.changeTurns(test -> without(test, row)),
            this::say,
            desk.textSize());
    prompt.setWrapText(true);
    verdict.setWrapText(true);
    verdict.setId("turn-verdict");
    verdict.setMinHeight(USE_PREF_SIZE);
    said.setWrapText(true);
    said.setId("turn-said");
    Button add = Look.styled(new Button("+ reading"), "cure");
    add.setId("add-reading");
    add.setTooltip(new Tooltip("Another count from marks at rest"));
    add.setOnAction(
        e -> {
          grid.enterNext();
          book.changeTurns(test -> test.adding(new Reading(suggested(), BigFraction.ZERO)));
        });
    tolerance.setAlignment(Pos.CENTER_RIGHT);
    tolerance.setOnAction(e -> takeTolerance());
    HBox tools = new HBox(10, add, new Label("read to"), tolerance, new Label("\u00b0"));
    tools.setAlignment(Pos.CENTER_LEFT);
    chart.setPrefHeight(CHART_HEIGHT);
    chart.setMinHeight(CHART_HEIGHT);
    chart.setMaxWidth(CHART_WIDTH);
    getChildren().addAll(prompt, new Wide(grid), tools, said, verdict, explanations, chart);
    say("");
  }

  private void say(String words) {
    said.setText(words);
    Look.show(said, !words.isEmpty());
  }

  /**
   * Shows a turn count of a train in its roles.
   *
   * @param other whether it is another one than before
   */
  void show(Train train, TurnTest test, boolean other) {
    if (other) {
      grid.forget();
      say("");
    }
    shown = Optional.of(test);
    TurnVerdict now = TurnVerdict.of(train, test);
    prompt.setText(prompt(train, test));
    grid.show(now.rows());
    if (other || !tolerance.isFocused()) {
      tolerance.setText(Figures.significant(test.tolerance(), 4));
    }
    verdict.setText(now.words());
    Look.show(chart, now.rows().stream().anyMatch(row -> row.degrees().isPresent()));
    chart.show(TurnChart.of(now.rows(), test.tolerance()));
    verdict.pseudoClassStateChanged(RIGHT, now.kind() == TurnVerdict.Kind.RIGHT);
    verdict.pseudoClassStateChanged(OPEN, now.kind() == TurnVerdict.Kind.UNSURE);
    explanations.getChildren().clear();
    now.counts().forEach(count -> explain(count.text(), count.ratio().reduction(), count.sound()));
    now.configurations().forEach(one -> explain(Slip.words(one), one.ratio().reduction(), true));
    if (!explanations.getChildren().isEmpty()) {
      explanations.getChildren().addFirst(Look.label("Would explain it", "caption"));
    }
  }

  private void explain(String words, BigFraction ratio, boolean sound) {
    Label label =
        Look.label(
            words
                + "   i = "
                + Sign.exact(ratio)
                + (sound ? "" : "   (such a train has errors; so may the build)"),
            "explains");
    label.setWrapText(true);
    explanations.getChildren().add(label);
  }

  private static String prompt(Train train, TurnTest test) {
    return "Put marks on input and output at twelve o\u2019clock, turn the input, read the output."
        + TurnVerdict.turnsToTell(train, test.tolerance())
            .map(
                turns ->
                    " "
                        + turns
                        + (turns == 1 ? " turn" : " turns")
                        + " of the input tell a wheel with one tooth too many or too few;"
                        + " another reading twice as far tells a slip from a miscount.")
            .orElse("");
  }

  /** Turns for the next reading: what decides, else those that tell, twice as many, and so on. */
  private BigFraction suggested() {
    Optional<Integer> deciding =
        shown.flatMap(
            test -> book.build().flatMap(b -> TurnVerdict.of(b.train(test), test).next()));
    if (deciding.isPresent()) {
      return BigFraction.of(deciding.get());
    }
    int next = shown.map(test -> test.readings().size()).orElse(0) + 1;
    return shown
        .flatMap(
            test ->
                book.build()
                    .flatMap(build -> TurnVerdict.turnsToTell(build.train(test), test.tolerance())))
        .map(turns -> BigFraction.of(turns).multiply(next))
        .orElse(BigFraction.of(10L * next));
  }

  // ---- what is typed

  private static TurnTest without(TurnTest test, int row) {
    List<Reading> fewer = new ArrayList<>(test.readings());
    fewer.remove(row);
    return test.with(fewer);
  }

  private static BigFraction number(String text) {
    String plain = text.replace('\u2212', '-').replace("+", "");
    if (plain.isEmpty()) {
      return BigFraction.ZERO;
    }
    if (!Exact.isNumber(plain)) {
      throw new IllegalArgumentException(
          "'" + text + "': expected a number such as 85, -3 or 12.5");
    }
    return Exact.parse(plain);
  }

  private void change(int row, Function<Reading, Reading> change) {
    book.changeTurns(
        test -> {
          List<Reading> all = new ArrayList<>(test.readings());
          all.set(row, change.apply(all.get(row)));
          return test.with(all);
        });
  }

  private void takeInput(int row, String text) {
    BigFraction turns = number(text);
    change(row, old -> new Reading(turns, old.output()));
  }

  private void takeOutput(int row, String text) {
    BigFraction turns = number(text);
    change(
        row,
        old -> {
          BigFraction rest = TurnsAndDegrees.of(old.output()).degrees().divide(DEGREES);
          boolean against = turns.signum() * rest.signum() < 0;
          return new Reading(old.input(), turns.add(against ? rest.negate() : rest));
        });
  }

  /** Degrees without a sign go on in the sense of the whole turns. */
  private void takeDegrees(int row, String text) {
    BigFraction degrees = number(text);
    change(
        row,
        old -> {
          BigFraction turns = BigFraction.of(TurnsAndDegrees.of(old.output()).whole());
          boolean back = turns.signum() < 0 && degrees.signum() > 0;
          BigFraction rest = (back ? degrees.negate() : degrees).divide(DEGREES);
          return new Reading(old.input(), turns.add(rest));
        });
  }

  private void takeTolerance() {
    try {
      double degrees = number(tolerance.getText().strip()).doubleValue();
      book.changeTurns(test -> test.within(degrees));
      say("");
    } catch (IllegalArgumentException wrong) {
      say(String.valueOf(wrong.getMessage()));
    }
  }

  // ---- what is shown

  private static String whole(BigFraction turns) {
    return Figures.typeset(Figures.significant(turns.doubleValue(), DIGITS + 1));
  }

  private static String degrees(Reading reading) {
    double rest = TurnsAndDegrees.of(reading.output()).degrees().doubleValue();
    return Figures.typeset(Figures.significant(rest, 4));
  }

  private static String shown(Optional<Double> value, int digits) {
    return value.map(v -> Figures.typeset(Figures.significant(v, digits))).orElse(Sign.DASH);
  }

  private static String signed(Optional<Double> value, int decimals) {
    return value.map(v -> Figures.typeset(Figures.signed(v, decimals))).orElse(Sign.DASH);
  }
}
