package steadycog.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import steadycog.bench.Chart.Axis;
import steadycog.bench.Chart.Point;
import steadycog.bench.Chart.Series;
import steadycog.bench.Chart.Style;
import steadycog.bench.ChartPainter.Ink;
import steadycog.bench.ChartPainter.Wording;

/** Where everything of a chart stands, whatever it is drawn on. */
class ChartPainterTest {
  /** A canvas that keeps what is drawn; every letter is as wide as a digit. */
  private static final class Drawn implements ChartPainter.Canvas {
    private static final double LETTER = 6;

    private record Word(Wording type, String words, double x, double y) {
      private double end() {
        return x + LETTER * words.length();
      }
    }

    private record Stroke(Ink ink, double x1, double y1, double x2, double y2) {}

    private record Dot(Style style, double x, double y) {}

    private final List<Word> words = new ArrayList<>();
    private final List<Stroke> lines = new ArrayList<>();
    private final List<Dot> dots = new ArrayList<>();
    private final List<List<Point>> curves = new ArrayList<>();

    @Override
    public double width(Wording type, String text) {
      return LETTER * text.length();
    }

    @Override
    public void word(Wording type, String text, double x, double y) {
      words.add(new Word(type, text, x, y));
    }

    @Override
    public void line(Ink ink, double x1, double y1, double x2, double y2) {
      lines.add(new Stroke(ink, x1, y1, x2, y2));
    }

    @Override
    public void curve(Style style, List<Point> points) {
      curves.add(points);
    }

    @Override
    public void dot(Style style, double x, double y) {
      dots.add(new Dot(style, x, y));
    }
  }

  private static Chart chart(Random random, int points) {
    List<Series> series = new ArrayList<>();
    List<Double> x = new ArrayList<>();
    List<Double> y = new ArrayList<>();
    double size = Math.pow(10, random.nextInt(-4, 5));
    for (int k = 0; k < 1 + random.nextInt(3); k++) {
      List<Point> all = new ArrayList<>();
      for (int n = 0; n < points; n++) {
        Point point = new Point(random.nextDouble() * 200, (random.nextDouble() - 0.3) * size);
        all.add(point);
        x.add(point.x());
        y.add(point.y());
      }
      Style style = Style.values()[random.nextInt(Style.values().length)];
      series.add(new Series(random.nextBoolean() ? "Build " + k : "", style, all));
    }
    return new Chart("Torque held", Axis.over("turns", x), Axis.over("Nm", y), series);
  }

  private static Drawn drawn(Chart chart, double width, double height) {
    Drawn canvas = new Drawn();
    ChartPainter.paint(chart, canvas, width, height);
    return canvas;
  }

  @Test
  void everythingStandsInItsRoomAndNoMarkRunsIntoTheNext() {
    Random random = new Random(7);
    for (int run = 0; run < 400; run++) {
      double width = random.nextDouble(160, 900);
      double height = random.nextDouble(120, 400);
      Drawn canvas = drawn(chart(random, 1 + random.nextInt(30)), width, height);
      for (Drawn.Word word : canvas.words) {
        assertTrue(word.x >= -1e-9 && word.end() <= width + 26, word::toString);
        assertTrue(word.y > 0 && word.y <= height, word::toString);
      }
      for (Drawn.Stroke line : canvas.lines) {
        assertTrue(line.x1 >= 0 && line.x2 <= width && line.y2 <= height, line::toString);
      }
      for (Drawn.Dot dot : canvas.dots) {
        assertTrue(dot.x >= 0 && dot.x <= width && dot.y >= 0 && dot.y <= height, dot::toString);
      }
      double foot = axis(canvas).y1;
      List<Drawn.Word> across = canvas.words.stream().filter(word -> word.y == foot + 14).toList();
      for (int k = 1; k < across.size(); k++) {
        assertTrue(across.get(k - 1).end() < across.get(k).x, across::toString);
      }
    }
  }

  /** The line along the foot. */
  private static Drawn.Stroke axis(Drawn canvas) {
    return canvas.lines.stream()
        .filter(line -> line.ink == Ink.AXIS && line.y1 == line.y2)
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aValueIsReadBackFromWhereItsDotStands() {
    Random random = new Random(8);
    for (int run = 0; run < 200; run++) {
      Chart chart = chart(random, 4);
      Drawn canvas = drawn(chart, 400, 240);
      Drawn.Stroke axis = axis(canvas);
      double top =
          canvas.lines.stream()
              .filter(line -> line.ink == Ink.RULE)
              .mapToDouble(Drawn.Stroke::y1)
              .min()
              .orElseThrow();
      List<Drawn.Dot> legend = canvas.dots.stream().filter(dot -> dot.y == 240 - 6).toList();
      List<Drawn.Dot> dots = new ArrayList<>(canvas.dots);
      dots.removeAll(legend);
      for (Series one : chart.series()) {
        for (Point point : one.style() == Style.WORKED_OUT ? List.<Point>of() : one.points()) {
          Drawn.Dot dot = dots.removeFirst();
          double x =
              chart.across().from()
                  + (dot.x - axis.x1)
                      / (axis.x2 - axis.x1)
                      * (chart.across().to() - chart.across().from());
          double span = chart.up().to() - chart.up().from();
          double y = chart.up().from() + (axis.y1 - dot.y) / (axis.y1 - top) * span;
          assertEquals(point.x(), x, 1e-9 * 200);
          assertEquals(point.y(), y, 1e-9 * span);
        }
      }
      assertTrue(dots.isEmpty());
    }
  }

  @Test
  void crossesAreNotJoinedAndBrokenLinesHaveNoDots() {
    List<Point> points = List.of(new Point(0, 1), new Point(2, 3));
    Axis axis = Axis.over("x", List.of(0.0, 3.0));
    for (Style style : Style.values()) {
      Drawn canvas =
          drawn(new Chart("t", axis, axis, List.of(new Series("", style, points))), 300, 200);
      assertEquals(style == Style.FAILED ? 0 : 1, canvas.curves.size());
      assertEquals(style == Style.WORKED_OUT ? 0 : 2, canvas.dots.size());
    }
  }

  @Test
  void manyReadingsAreALineWithoutDots() {
    List<Point> many = new ArrayList<>();
    for (int k = 0; k < 200; k++) {
      many.add(new Point(k, k % 7));
    }
    Axis axis = Axis.over("x", List.of(0.0, 200.0));
    Chart chart = new Chart("t", axis, axis, List.of(new Series("", Style.READ, many)));
    Drawn canvas = drawn(chart, 300, 200);
    assertEquals(0, canvas.dots.size());
    assertEquals(200, canvas.curves.getFirst().size());
  }

  @Test
  void whereNothingCouldBeReadNothingIsDrawn() {
    Drawn canvas = drawn(chart(new Random(1), 3), 59, 200);
    assertTrue(canvas.words.isEmpty() && canvas.lines.isEmpty() && canvas.curves.isEmpty());
    assertTrue(drawn(chart(new Random(1), 3), 300, 40).words.isEmpty());
  }

  @Test
  void aLongNameEndsInThreeDots() {
    Axis axis = Axis.over("x", List.of(0.0, 1.0));
    String name = "Build B with a carrier plate at the far ends of the planet pins";
    Chart chart =
        new Chart("t", axis, axis, List.of(new Series(name, Style.READ, List.of(new Point(0, 0)))));
    Drawn.Word shown = drawn(chart, 200, 160).words.getLast();
    assertTrue(shown.words.endsWith("\u2026") && shown.end() <= 200, shown::toString);
  }

  @ParameterizedTest
  @CsvSource({
    "0, 10, 0, 10, 2",
    "0, 11, 0, 15, 5",
    "0, 0.6, 0, 0.6, 0.2",
    "-3, 7, -4, 8, 2",
    "5, 9, 0, 10, 2",
    "-8, -2, -8, 0, 2",
    "0, 1e-5, 0, 1e-5, 2e-6",
    "0, 0, 0, 1, 0.2"
  })
  void marksAreRoundAndBeginAtNothing(
      double least, double most, double from, double to, double step) {
    Axis axis = Axis.over("Nm", List.of(least, most));
    assertEquals(from, axis.from(), 1e-12);
    assertEquals(to, axis.to(), 1e-12);
    assertEquals(step, axis.step(), 1e-12);
  }

  @Test
  void anAxisHoldsAllValuesBetweenFewMarks() {
    Random random = new Random(3);
    for (int run = 0; run < 2_000; run++) {
      double size = Math.pow(10, random.nextInt(-8, 9));
      double[] values =
          DoubleStream.generate(() -> (random.nextDouble() - 0.5) * size).limit(9).toArray();
      Axis axis = Axis.over("", DoubleStream.of(values).boxed().toList());
      for (double value : values) {
        assertTrue(axis.part(value) >= -1e-9 && axis.part(value) <= 1 + 1e-9);
      }
      assertTrue(axis.marks().size() >= 3 && axis.marks().size() <= 8, axis::toString);
      assertTrue(axis.marks().contains(0.0), axis::toString);
    }
  }
}
