package steadycog.app.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import steadycog.app.bench.EntryGrid.Column;
import steadycog.app.desk.Desk;
import steadycog.app.look.Sign;
import steadycog.bench.LoadResult;
import steadycog.bench.LoadStep;
import steadycog.bench.LoadTest;
import steadycog.bench.Measure;
import steadycog.bench.Outcome;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.number.Quantity;

/** The columns of a load test: what is typed, and what follows from it. */
final class LoadColumns {
  private final Desk desk;
  private final Supplier<LoadTest> test;
  private final BiConsumer<Integer, UnaryOperator<LoadStep>> change;

  /**
   * The columns of the test in view.
   *
   * @param change changes the step of a row
   */
  LoadColumns(
      Desk desk, Supplier<LoadTest> test, BiConsumer<Integer, UnaryOperator<LoadStep>> change) {
    this.desk = desk;
    this.test = test;
    this.change = change;
  }

  List<Column<LoadResult.Row>> all() {
    List<Column<LoadResult.Row>> all = new ArrayList<>();
    all.add(
        Column.field(
            "load",
            "load",
            "A weight, a force or a torque, with its unit",
            8,
            row -> row.step().load().toString(),
            (row, text) ->
                change.accept(row, step -> step.under(test.get().rigging().readLoad(text)))));
    all.add(
        Column.follows(
            "torque",
            "torque out",
            "At the output, in the unit of torque",
            row -> torque(row.torque())));
    for (Measure measure : Measure.values()) {
      all.add(
          Column.field(
              measure.key(),
              head(measure),
              measure.help() + ", " + measure.usual().symbol(),
              4,
              row -> row.step().of(measure).map(value -> shown(measure, value)).orElse(""),
              take(measure)));
    }
    all.add(
        new Column<>(
            "outcome",
            "outcome",
            "How the step ended",
            0,
            row -> row.step().outcome().word(),
            Optional.of(
                (row, word) ->
                    change.accept(row, step -> step.ended(Outcome.of(word).orElseThrow()))),
            Arrays.stream(Outcome.values()).map(Outcome::word).toList()));
    all.add(
        Column.follows(
            "efficiency",
            "eff.",
            "(torque out / torque in) / i",
            row -> row.efficiency().map(e -> Sign.percent(e, 1)).orElse(Sign.DASH)));
    all.add(
        Column.follows(
            "factor",
            "factor",
            "Stress allowed over stress of the tooth that gives way first, as screened",
            row -> row.factor().map(f -> Figures.significant(f.factor(), 3)).orElse(Sign.DASH)));
    all.add(
        Column.field(
            "where",
            "where, and what was seen",
            "Where it gave way, what it sounded like",
            13,
            row -> row.step().where(),
            (row, text) -> change.accept(row, step -> step.at(text))));
    return all;
  }

  private static String head(Measure measure) {
    return switch (measure) {
      case CURRENT -> "A";
      case VOLTAGE -> "V";
      case SPEED -> "rpm in";
      case TORQUE_IN -> "Nmm in";
      case TEMPERATURE -> "\u00b0C";
      case NOISE -> "dB";
      case BACKLASH -> "play \u2032";
    };
  }

  /** A bare number in the usual unit, else with its own. */
  private static String shown(Measure measure, Quantity value) {
    return value.unit() == measure.usual() ? Exact.plain(value.value()) : value.toString();
  }

  private BiConsumer<Integer, String> take(Measure measure) {
    return (row, text) ->
        change.accept(
            row,
            step ->
                step.with(
                    measure, text.isEmpty() ? Optional.empty() : Optional.of(measure.read(text))));
  }

  private String torque(double nm) {
    return Figures.typeset(
        Figures.significant(nm / desk.preferences().torque().inBase(), LoadPanel.DIGITS));
  }
}
