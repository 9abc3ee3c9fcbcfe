package steadycog.bench;

import java.util.ArrayList;
import java.util.List;
import steadycog.number.Figures;

/**
 * A picture of numbers, to be drawn on screen or paper.
 *
 * @param title what it shows
 * @param across axis from left to right
 * @param up axis from bottom to top
 */
public record Chart(String title, Axis across, Axis up, List<Series> series) {
  private static final int MOST_SAID = 16;

  /**
   * An axis.
   *
   * @param title with its unit
   * @param from the least value shown
   * @param to the greatest value shown, above {@code from}
   * @param step between marks
   */
  public record Axis(String title, double from, double to, double step) {
    private static final int MARKS = 5;

    /** An axis with round marks that holds all of {@code values} and 0. */
    public static Axis over(String title, List<Double> values) {
      double from = 0;
      double to = 0;
      for (double value : values) {
        from = Math.min(from, value);
        to = Math.max(to, value);
      }
      double span = to > from ? to - from : 1;
      double step = round(span / MARKS);
      return new Axis(
          title,
          step * Math.floor(from / step + 1e-9),
          step * Math.ceil((to > from ? to : from + 1) / step - 1e-9),
          step);
    }

    /** The least of 1, 2, 5 times a power of ten that is not below {@code size}. */
    private static double round(double size) {
      double power = Math.pow(10, Math.floor(Math.log10(size)));
      for (double times : new double[] {1, 2, 5}) {
        if (times * power >= size * (1 - 1e-9)) {
          return times * power;
        }
      }
      return 10 * power;
    }

    /** Where marks stand. */
    public List<Double> marks() {
      List<Double> all = new ArrayList<>();
      for (int k = 0; from + k * step <= to + step * 1e-6; k++) {
        double mark = from + k * step;
        all.add(Math.abs(mark) < step * 1e-6 ? 0 : mark);
      }
      return all;
    }

    /** How far along the axis a value lies, 0 to 1. */
    public double part(double value) {
      return (value - from) / (to - from);
    }
  }

  /** How a series is drawn. */
  public enum Style {
    /** Dots joined by lines. */
    READ,
    /** The same in another colour and with other dots. */
    READ_ALSO,
    /** A broken line. */
    WORKED_OUT,
    /** Crosses. */
    FAILED
  }

  /** A point. */
  public record Point(double x, double y) {}

  /**
   * Points that belong together.
   *
   * @param name in the legend; empty for none
   */
  public record Series(String name, Style style, List<Point> points) {
    public Series {
      points = List.copyOf(points);
    }
  }

  public Chart {
    series = List.copyOf(series);
  }

  /** What it shows, for those who do not see it: every series with its points, the first ones. */
  public String words() {
    StringBuilder text = new StringBuilder(title + ", over " + across.title());
    for (Series one : series) {
      text.append("; ").append(one.name().isEmpty() ? "read" : one.name());
      text.append(one.points.isEmpty() ? ": nothing" : ":");
      int every = Math.max(1, (int) Math.ceil((double) one.points.size() / MOST_SAID));
      for (int k = 0; k < one.points.size(); k += every) {
        Point point = one.points.get(k);
        text.append(k == 0 ? " " : ", ").append(Figures.shown(point.y));
        text.append(" at ").append(Figures.shown(point.x));
      }
    }
    return text.append('.').toString();
  }

  /** Whether there is anything to draw that was read. */
  public boolean isEmpty() {
    return series.stream().allMatch(one -> one.style == Style.WORKED_OUT || one.points.isEmpty());
  }
}
