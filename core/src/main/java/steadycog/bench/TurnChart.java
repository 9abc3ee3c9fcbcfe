package steadycog.bench;

import java.util.ArrayList;
import java.util.List;
import steadycog.bench.Chart.Axis;
import steadycog.bench.Chart.Point;
import steadycog.bench.Chart.Series;
import steadycog.bench.Chart.Style;

/**
 * How far the output is ahead over the turns of the input: level where counts are right, a straight
 * line from the corner for a miscount, a level one off zero for a tooth that jumped.
 */
public final class TurnChart {
  private TurnChart() {}

  /**
   * The chart of a verdict's readings.
   *
   * @param tolerance how well the output is read, degrees
   */
  public static Chart of(List<TurnVerdict.Row> rows, double tolerance) {
    List<Point> read = new ArrayList<>();
    List<Double> xs = new ArrayList<>();
    List<Double> ys = new ArrayList<>(List.of(-tolerance, tolerance));
    for (TurnVerdict.Row row : rows) {
      double turns = Math.abs(row.reading().input().doubleValue());
      row.degrees().ifPresent(off -> read.add(new Point(turns, off)));
      row.degrees().ifPresent(ys::add);
      xs.add(turns);
    }
    Axis across = Axis.over("turns in", xs);
    List<Series> series = new ArrayList<>();
    for (double edge : new double[] {tolerance, -tolerance}) {
      series.add(
          new Series(
              edge > 0 ? "as well as it is read" : "",
              Style.WORKED_OUT,
              List.of(new Point(across.from(), edge), new Point(across.to(), edge))));
    }
    series.add(new Series("read", Style.READ, read));
    return new Chart(
        "Ahead of what was worked out", across, Axis.over("degrees at the output", ys), series);
  }
}
