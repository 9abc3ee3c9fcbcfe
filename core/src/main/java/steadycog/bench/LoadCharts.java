package steadycog.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import steadycog.bench.Chart.Axis;
import steadycog.bench.Chart.Point;
import steadycog.bench.Chart.Series;
import steadycog.bench.Chart.Style;
import steadycog.bench.LoadResult.Row;
import steadycog.number.Unit;
import steadycog.sizing.Band;

/** The charts of one load test, or of two builds over each other. */
public final class LoadCharts {
  private static final double PERCENT = 100;

  private LoadCharts() {}

  /** A result with the name that the legend gives it. */
  public record Named(String name, LoadResult result) {}

  /**
   * Torque by step, efficiency over torque, play over torque; the last one carries the latest.
   *
   * @param results one, or an older and a newer one
   * @param unit of torque
   */
  public static List<Chart> of(List<Named> results, Unit unit) {
    return List.of(torque(results, unit), efficiency(results, unit), play(results, unit));
  }

  private static Chart torque(List<Named> results, Unit unit) {
    List<Series> series = new ArrayList<>();
    List<Point> failed = new ArrayList<>();
    for (int k = 0; k < results.size(); k++) {
      List<Row> rows = results.get(k).result.rows();
      List<Point> held = new ArrayList<>();
      for (int step = 0; step < rows.size(); step++) {
        Row row = rows.get(step);
        Point point = new Point(step + 1, row.torque() / unit.inBase());
        if (row.step().outcome() == Outcome.HELD) {
          held.add(point);
        } else if (row.step().outcome().failed()) {
          failed.add(point);
        }
      }
      add(series, results.get(k).name, style(k), held);
    }
    // Last, so that no dot hides a cross.
    add(series, "gave way", Style.FAILED, failed);
    return chart("Torque held", "step", "torque out, " + unit.symbol(), series);
  }

  private static Chart efficiency(List<Named> results, Unit unit) {
    return overTorque(
        "Efficiency",
        "efficiency, %",
        results,
        unit,
        row -> row.efficiency().map(share -> share * PERCENT),
        result -> result.predicted().map(share -> share * PERCENT));
  }

  private static Chart play(List<Named> results, Unit unit) {
    return overTorque(
        "Play at the output",
        "play, \u2032",
        results,
        unit,
        row -> row.step().of(Measure.BACKLASH).map(value -> value.inBase() * 60),
        result -> result.play().map(Band::nominal));
  }

  private static Chart overTorque(
      String title,
      String up,
      List<Named> results,
      Unit unit,
      Function<Row, Optional<Double>> read,
      Function<LoadResult, Optional<Double>> workedOut) {
    List<Series> series = new ArrayList<>();
    double most = 0;
    for (int k = 0; k < results.size(); k++) {
      List<Point> points = new ArrayList<>();
      for (Row row : results.get(k).result.rows()) {
        double torque = row.torque() / unit.inBase();
        most = Math.max(most, torque);
        read.apply(row).ifPresent(value -> points.add(new Point(torque, value)));
      }
      points.sort((a, b) -> Double.compare(a.x(), b.x()));
      add(series, results.get(k).name, style(k), points);
    }
    double right = most;
    workedOut
        .apply(results.getLast().result)
        .ifPresent(
            value ->
                add(
                    series,
                    "worked out",
                    Style.WORKED_OUT,
                    List.of(new Point(0, value), new Point(right, value))));
    return chart(title, "torque out, " + unit.symbol(), up, series);
  }

  private static Style style(int index) {
    return index == 0 ? Style.READ : Style.READ_ALSO;
  }

  private static void add(List<Series> series, String name, Style style, List<Point> points) {
    if (!points.isEmpty()) {
      series.add(new Series(name, style, points));
    }
  }

  private static Chart chart(String title, String across, String up, List<Series> series) {
    List<Double> xs = new ArrayList<>();
    List<Double> ys = new ArrayList<>();
    for (Series one : series) {
      one.points().forEach(point -> xs.add(point.x()));
      one.points().forEach(point -> ys.add(point.y()));
    }
    return new Chart(title, Axis.over(across, xs), Axis.over(up, ys), series);
  }
}
