package steadycog.app.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.bench.Chart;
import steadycog.bench.Chart.Axis;
import steadycog.bench.Chart.Point;
import steadycog.bench.Chart.Series;
import steadycog.bench.Chart.Style;
import steadycog.bench.Recording;
import steadycog.bench.Recording.Channel;

/** Charts of what an instrument wrote. */
final class RecordingCharts {
  private RecordingCharts() {}

  private static final int MOST_POINTS = 400;

  /** What was recorded, thinned to what can be seen: of each piece its least and its greatest. */
  static List<Chart> of(Recording recording) {
    List<Chart> charts = new ArrayList<>();
    for (Channel channel : List.of(Channel.INPUT, Channel.OUTPUT, Channel.TORQUE)) {
      Optional<double[]> values = recording.column(channel);
      if (values.isEmpty()) {
        continue;
      }
      Optional<double[]> time = recording.column(Channel.TIME);
      List<Point> points = thinned(time, values.get());
      charts.add(
          new Chart(
              "Recorded " + channel.title(),
              Axis.over(time.isPresent() ? "s" : "row", points.stream().map(Point::x).toList()),
              Axis.over(
                  channel == Channel.TORQUE ? "Nm" : "turns",
                  points.stream().map(Point::y).toList()),
              List.of(new Series("", Style.READ, points))));
    }
    return charts;
  }

  private static List<Point> thinned(Optional<double[]> time, double[] values) {
    List<Point> points = new ArrayList<>();
    int every = Math.max(1, 2 * values.length / MOST_POINTS);
    for (int from = 0; from < values.length; from += every) {
      int least = from;
      int most = from;
      for (int k = from; k < Math.min(values.length, from + every); k++) {
        least = values[k] < values[least] ? k : least;
        most = values[k] > values[most] ? k : most;
      }
      for (int k : least < most ? new int[] {least, most} : new int[] {most, least}) {
        double x = time.isPresent() ? time.get()[k] : k;
        if (Double.isFinite(values[k]) && Double.isFinite(x)) {
          points.add(new Point(x, values[k]));
        }
      }
    }
    return points;
  }
}
