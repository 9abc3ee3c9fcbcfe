package steadycog.report;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import steadycog.bench.BenchTest;
import steadycog.bench.Build;
import steadycog.bench.Chart;
import steadycog.bench.Comparison;
import steadycog.bench.LoadCharts;
import steadycog.bench.LoadResult;
import steadycog.bench.LoadTest;
import steadycog.bench.Measure;
import steadycog.bench.Slip;
import steadycog.bench.TestHead;
import steadycog.bench.TurnChart;
import steadycog.bench.TurnTest;
import steadycog.bench.TurnVerdict;
import steadycog.number.Figures;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.number.Units;
import steadycog.report.Block.Charts;
import steadycog.report.Block.Heading;
import steadycog.report.Block.Lines;
import steadycog.report.Block.Remark;
import steadycog.report.Block.Table;
import steadycog.report.Block.Text;
import steadycog.train.Train;

/** What was built and tested, in blocks: for paper and for the terminal. */
public final class BenchBlocks {
  private static final int COLUMNS = 7;
  private static final int DIGITS = 4;

  private final Units units;

  public BenchBlocks(Units units) {
    this.units = units;
  }

  /** A build with all its tests. */
  public List<Block> build(Build build, Optional<Build> before) {
    List<Block> blocks = new ArrayList<>();
    blocks.add(
        new Heading(build.name() + build.date().map(day -> ", built " + day).orElse(", undated")));
    if (!build.changed().isBlank()) {
      blocks.add(new Text("Changed: " + build.changed().strip()));
    }
    before
        .map(build::newSince)
        .filter(lines -> !lines.isEmpty())
        .ifPresent(
            lines -> {
              blocks.add(new Remark("New on its card since " + before.get().name() + ":"));
              blocks.add(new Lines(lines));
            });
    if (!build.files().isEmpty()) {
      blocks.add(new Remark("With it: " + String.join(", ", build.files())));
    }
    if (build.tests().isEmpty()) {
      blocks.add(new Remark("Not tested yet."));
    }
    build.tests().forEach(test -> blocks.addAll(test(build.train(test), test)));
    return blocks;
  }

  /** A test of a train in its roles, worked out. */
  public List<Block> test(Train train, BenchTest test) {
    List<Block> blocks = new ArrayList<>();
    TestHead head = test.head();
    String state = head.state().isEmpty() ? "" : ", state " + head.state();
    blocks.add(
        new Heading(
            head.title() + ", " + TestHead.day(head.date()) + ", " + head.source() + state));
    switch (test) {
      case TurnTest turns -> turns(TurnVerdict.of(train, turns), turns, blocks);
      case LoadTest load -> load(LoadResult.of(train, load), load, blocks);
    }
    if (!head.notes().isBlank()) {
      blocks.add(new Remark(head.notes().strip()));
    }
    return blocks;
  }

  private static void turns(TurnVerdict verdict, TurnTest test, List<Block> blocks) {
    blocks.add(new Text(verdict.words()));
    List<List<String>> rows = new ArrayList<>();
    for (TurnVerdict.Row row : verdict.rows()) {
      rows.add(
          List.of(
              turns(row.reading().input().doubleValue()),
              turns(row.reading().output().doubleValue()),
              shown(row.ratio()),
              signed(row.percent(), 3),
              signed(row.degrees(), 1),
              signed(row.teeth(), 2)));
    }
    if (!rows.isEmpty()) {
      blocks.add(
          new Table(
              "Turns counted, and how far each reading lies off",
              List.of("turns in", "turns out", "i = in/out", "off, %", "off, \u00b0", "off, teeth"),
              rows,
              COLUMNS));
      blocks.add(
          new Remark(
              "Read to "
                  + Figures.significant(test.tolerance(), 3)
                  + "\u00b0 at the output"
                  + verdict
                      .last()
                      .map(teeth -> "; the last mesh has " + teeth.count() + " teeth")
                      .orElse("")
                  + "."));
    }
    Chart chart = TurnChart.of(verdict.rows(), test.tolerance());
    if (!chart.isEmpty() && verdict.kind() != TurnVerdict.Kind.RIGHT) {
      blocks.add(new Charts(List.of(chart)));
    }
    verdict
        .counts()
        .forEach(
            count ->
                blocks.add(
                    new Remark(
                        "Would explain it: "
                            + count.text()
                            + ", i = "
                            + Figures.exact(count.ratio().reduction())
                            + (count.sound() ? "." : " (such a train has errors)."))));
    verdict
        .configurations()
        .forEach(
            one ->
                blocks.add(
                    new Remark(
                        "Would explain it: "
                            + Slip.words(one)
                            + ", i = "
                            + Figures.exact(one.ratio().reduction())
                            + ".")));
  }

  private static String turns(double value) {
    return Figures.typeset(Figures.significant(value, 7));
  }

  private void load(LoadResult result, LoadTest test, List<Block> blocks) {
    blocks.add(new Text(result.words(units.torque())));
    result.doubts().forEach(doubt -> blocks.add(new Text(doubt.text())));
    blocks.add(new Remark("Loaded by " + test.rigging().text() + "."));
    blocks.add(steps(result));
    for (LoadResult.Row row : result.rows()) {
      if (!row.step().where().isBlank()) {
        blocks.add(
            new Remark(
                "At "
                    + number(row.torque(), units.torque())
                    + " "
                    + units.torque().symbol()
                    + ": "
                    + row.step().where().strip()
                    + "."));
      }
    }
    charts(List.of(new LoadCharts.Named("read", result)), blocks);
  }

  private void charts(List<LoadCharts.Named> results, List<Block> blocks) {
    List<Chart> charts =
        LoadCharts.of(results, units.torque()).stream().filter(c -> !c.isEmpty()).toList();
    if (!charts.isEmpty()) {
      blocks.add(new Charts(charts));
    }
  }

  /** A column of steps, left out where it has nothing. */
  private record Column(String head, Function<LoadResult.Row, Optional<String>> cell) {}

  private Table steps(LoadResult result) {
    Unit torque = units.torque();
    List<Column> columns = new ArrayList<>();
    columns.add(
        new Column(
            "torque out, " + torque.symbol(), row -> Optional.of(number(row.torque(), torque))));
    columns.add(new Column("outcome", row -> Optional.of(row.step().outcome().word())));
    columns.add(new Column("efficiency", row -> row.efficiency().map(e -> Figures.percent(e, 1))));
    columns.add(new Column("with motor", row -> row.whole().map(e -> Figures.percent(e, 1))));
    columns.add(
        new Column("factor", row -> row.factor().map(f -> Figures.significant(f.factor(), 3))));
    for (Measure measure : Measure.values()) {
      columns.add(
          new Column(measure.title(), row -> row.step().of(measure).map(Quantity::toString)));
    }
    List<Column> used =
        columns.stream()
            .filter(c -> result.rows().stream().anyMatch(row -> c.cell.apply(row).isPresent()))
            .toList();
    List<String> heads = new ArrayList<>(List.of("load"));
    used.forEach(column -> heads.add(column.head));
    List<List<String>> rows = new ArrayList<>();
    for (LoadResult.Row row : result.rows()) {
      List<String> cells = new ArrayList<>(List.of(row.step().load().toString()));
      used.forEach(column -> cells.add(column.cell.apply(row).orElse(Table.NONE)));
      rows.add(cells);
    }
    return new Table("Loads, and what was read at each", heads, rows, COLUMNS);
  }

  /** Two builds beside each other. */
  public List<Block> comparison(Comparison comparison) {
    List<Block> blocks = new ArrayList<>();
    String older = comparison.older().name();
    String newer = comparison.newer().name();
    blocks.add(new Heading(newer + " against " + older));
    blocks.add(new Text(gained(comparison)));
    if (!comparison.statements().isEmpty()) {
      blocks.add(new Remark("New on its card: " + String.join("; ", comparison.statements())));
    }
    Unit torque = units.torque();
    List<List<String>> rows = new ArrayList<>();
    for (Comparison.Pair pair : comparison.steps()) {
      rows.add(
          List.of(
              number(pair.torque(), torque),
              outcome(pair.before()),
              outcome(pair.after()),
              percent(pair.before()),
              percent(pair.after()),
              signed(pair.gain().map(g -> 100 * g), 1),
              signed(pair.change(Measure.BACKLASH).map(degrees -> 60 * degrees), 1),
              signed(pair.change(Measure.CURRENT), 3)));
    }
    blocks.add(
        new Table(
            "Both builds load by load",
            List.of(
                "torque out, " + torque.symbol(),
                older,
                newer,
                "efficiency, " + older,
                "efficiency, " + newer,
                "gain, points",
                "play more, \u2032",
                "current more, A"),
            rows,
            COLUMNS));
    charts(
        List.of(
            new LoadCharts.Named(older, comparison.before()),
            new LoadCharts.Named(newer, comparison.after())),
        blocks);
    return blocks;
  }

  /** What the newer build gained, in a sentence. */
  public String gained(Comparison comparison) {
    StringBuilder words = new StringBuilder();
    if (!comparison.newer().changed().isBlank()) {
      String changed = comparison.newer().changed().strip();
      words.append("Changed: ").append(changed).append(changed.endsWith(".") ? " " : ". ");
    }
    comparison
        .stronger()
        .ifPresentOrElse(
            times ->
                words
                    .append("It holds ")
                    .append(Figures.significant(times, 3))
                    .append(" \u00d7 as much."),
            () -> words.append("What they hold cannot be compared yet."));
    List<Double> gains = comparison.steps().stream().flatMap(pair -> pair.gain().stream()).toList();
    if (!gains.isEmpty()) {
      double mean = gains.stream().mapToDouble(gain -> gain).average().orElse(0);
      words
          .append(" Efficiency at equal loads ")
          .append(Figures.typeset(Figures.signed(100 * mean, 1)))
          .append(" points.");
    }
    return words.toString();
  }

  private static String outcome(Optional<LoadResult.Row> row) {
    return row.map(one -> one.step().outcome().word()).orElse(Table.NONE);
  }

  private static String percent(Optional<LoadResult.Row> row) {
    return row.flatMap(LoadResult.Row::efficiency)
        .map(e -> Figures.percent(e, 1))
        .orElse(Table.NONE);
  }

  private static String number(double torque, Unit unit) {
    return Figures.typeset(Figures.significant(torque / unit.inBase(), DIGITS));
  }

  private static String shown(Optional<Double> value) {
    return value.map(v -> Figures.typeset(Figures.significant(v, 6))).orElse(Table.NONE);
  }

  private static String signed(Optional<Double> value, int decimals) {
    return value.map(v -> Figures.typeset(Figures.signed(v, decimals))).orElse(Table.NONE);
  }
}
