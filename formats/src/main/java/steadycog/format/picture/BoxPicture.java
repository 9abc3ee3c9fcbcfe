package steadycog.format.picture;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import steadycog.format.picture.LinePicture.Cap;
import steadycog.format.picture.LinePicture.Close;
import steadycog.format.picture.LinePicture.Ink;
import steadycog.format.picture.LinePicture.Join;
import steadycog.format.picture.LinePicture.Line;
import steadycog.format.picture.LinePicture.Move;
import steadycog.format.picture.LinePicture.Outline;
import steadycog.format.picture.LinePicture.Pen;
import steadycog.format.picture.LinePicture.Piece;
import steadycog.format.picture.LinePicture.Step;
import steadycog.gearbox.Axonometry;
import steadycog.gearbox.Bill;
import steadycog.gearbox.Build.Whole;
import steadycog.gearbox.Component;
import steadycog.gearbox.Exploded;
import steadycog.gearbox.Exploded.Area;
import steadycog.gearbox.Exploded.Mark;
import steadycog.gearbox.Exploded.Place;
import steadycog.gearbox.Exploded.Stroke;
import steadycog.report.Block.Assembly;

/** A gearbox pulled apart as lines and areas on white, with the numbers of its bill. */
public final class BoxPicture {
  /** As wide as a page. */
  public static final double PAGE = 1000;

  private static final double HIGHEST = 3000;
  private static final double EDGE = 24;

  /** How much of each colour of the light what is tinted gives back. */
  private static final double[] TINT = {1, 0.86, 0.58};

  private static final double FINE = 0.03;
  private static final Ink BLACK = new Ink(0x20262a, 1);
  private static final Pen HAIR = new Pen(0.5, Join.ROUND, Cap.ROUND, List.of());
  private static final Pen FIGURE = new Pen(1.1, Join.ROUND, Cap.ROUND, List.of());

  /** How large a digit is, and the circle round a number. */
  private static final double DIGIT = 2.2;

  private static final double CIRCLE = 10;

  /** Room for numbers above what is drawn. */
  private static final double HEAD = 60;

  /** The strokes of each digit on a grid of 4 by 6, y down. */
  private static final String[] DIGITS = {
    "1 0 3 0 4 1 4 5 3 6 1 6 0 5 0 1 1 0",
    "1 1 2 0 2 6",
    "0 1 1 0 3 0 4 1 4 2 0 6 4 6",
    "0 0 4 0 2 2 3 2 4 3 4 5 3 6 1 6 0 5",
    "3 6 3 0 0 4 4 4",
    "4 0 0 0 0 3 3 2 4 3 4 5 3 6 1 6 0 5",
    "3 0 1 1 0 3 0 5 1 6 3 6 4 5 4 4 3 3 1 3 0 4",
    "0 0 4 0 1 6",
    "1 3 0 2 0 1 1 0 3 0 4 1 4 2 3 3 1 3 0 4 0 5 1 6 3 6 4 5 4 4 3 3",
    "4 2 3 3 1 3 0 2 0 1 1 0 3 0 4 1 4 3 3 5 1 6"
  };

  private final List<Piece> pieces = new ArrayList<>();
  private final double scale;
  private final double left;
  private final double top;

  private BoxPicture(double[] box, double width, double height) {
    scale =
        Math.min(
            (width - 2 * EDGE) / (box[2] - box[0]), (height - HEAD - EDGE) / (box[3] - box[1]));
    left = EDGE - scale * box[0];
    top = HEAD + scale * box[3];
  }

  /** Draws it, pulled apart all the way. */
  public static LinePicture of(Whole whole, String title) {
    Exploded drawing =
        new Exploded.Model(whole.gearbox(), whole.proof().order(), FINE)
            .draw(1, 0, Axonometry.USUAL);
    return of(
        new Assembly(drawing, whole.bill(), Set.of(), title + ", pulled apart"), PAGE, HIGHEST);
  }

  /**
   * A drawing with its numbers; where some of it is tinted, with their numbers alone.
   *
   * @param width that it fills at the most
   * @param height that it fills at the most
   */
  public static LinePicture of(Assembly whole, double width, double height) {
    Exploded drawing = whole.drawing();
    Set<Component> fresh = whole.fresh();
    double[] box = drawing.bounds();
    BoxPicture picture = new BoxPicture(box, width, height);
    for (Mark mark : drawing.marks()) {
      picture.add(mark, fresh.contains(mark.component()));
    }
    picture.numbers(
        whole.bill(),
        drawing.places().stream()
            .filter(place -> fresh.isEmpty() || fresh.contains(place.component()))
            .toList());
    return new LinePicture(
        picture.scale * (box[2] - box[0]) + 2 * EDGE,
        picture.high(box),
        whole.words(),
        picture.pieces);
  }

  /** How high such a drawing is, without drawing it. */
  public static double height(Assembly whole, double width, double height) {
    double[] box = whole.drawing().bounds();
    return new BoxPicture(box, width, height).high(box);
  }

  private double high(double[] box) {
    return scale * (box[3] - box[1]) + HEAD + EDGE;
  }

  private void add(Mark mark, boolean tinted) {
    switch (mark) {
      case Area area -> {
        Ink ink = lit(area.light(), tinted);
        List<Step> steps = new ArrayList<>();
        area.rings().forEach(ring -> line(steps, ring[0], ring[1], true));
        boolean wall = area.rings().size() == 1;
        pieces.add(
            new Outline(
                "", steps, Optional.of(ink), wall ? Optional.of(ink) : Optional.empty(), HAIR));
      }
      case Stroke stroke -> {
        List<Step> steps = new ArrayList<>();
        line(steps, stroke.x(), stroke.y(), false);
        pieces.add(new Outline("", steps, Optional.empty(), Optional.of(BLACK), HAIR));
      }
    }
  }

  private static Ink lit(double light, boolean tinted) {
    double level = 255 * Math.min(1, 0.08 + light);
    int rgb = 0;
    for (double share : TINT) {
      rgb = rgb << 8 | (int) Math.round(tinted ? share * level : level);
    }
    return new Ink(rgb, 1);
  }

  private void line(List<Step> steps, double[] x, double[] y, boolean closed) {
    for (int k = 0; k < x.length; k++) {
      double px = left + scale * x[k];
      double py = top - scale * y[k];
      steps.add(k == 0 ? new Move(px, py) : new Line(px, py));
    }
    if (closed) {
      steps.add(new Close());
    }
  }

  private void numbers(Bill bill, List<Place> places) {
    List<double[]> taken = new ArrayList<>();
    Set<Integer> said = new HashSet<>();
    for (Place place : places.stream().sorted(Comparator.comparingDouble(Place::x)).toList()) {
      int number = bill.of(place.component()).number();
      if (said.add(number)) {
        double x = left + scale * place.x();
        double y = top - scale * place.y();
        double py = y - 2 * CIRCLE;
        while (isTaken(taken, x, py)) {
          py -= CIRCLE;
        }
        taken.add(new double[] {x, py});
        pieces.add(
            new Outline(
                "",
                List.of(new Move(x, py + CIRCLE), new Line(x, y)),
                Optional.empty(),
                Optional.of(BLACK),
                HAIR));
        number(Integer.toString(number), x, py);
      }
    }
  }

  private static boolean isTaken(List<double[]> taken, double x, double y) {
    return taken.stream().anyMatch(one -> Math.hypot(one[0] - x, one[1] - y) < 2.2 * CIRCLE);
  }

  private void number(String text, double x, double y) {
    List<Step> circle = new ArrayList<>();
    for (int k = 0; k < 24; k++) {
      double angle = 2 * Math.PI * k / 24;
      double px = x + CIRCLE * Math.cos(angle);
      double py = y + CIRCLE * Math.sin(angle);
      circle.add(k == 0 ? new Move(px, py) : new Line(px, py));
    }
    circle.add(new Close());
    pieces.add(
        new Outline("", circle, Optional.of(new Ink(0xffffff, 1)), Optional.of(BLACK), HAIR));
    double unit = DIGIT / 2;
    double wide = (6 * text.length() - 2) * unit;
    List<Step> strokes = new ArrayList<>();
    for (int k = 0; k < text.length(); k++) {
      String[] grid = DIGITS[text.charAt(k) - '0'].split(" ");
      for (int p = 0; p < grid.length; p += 2) {
        double px = x - wide / 2 + (6 * k + Integer.parseInt(grid[p])) * unit;
        double py = y + (Integer.parseInt(grid[p + 1]) - 3) * unit;
        strokes.add(p == 0 ? new Move(px, py) : new Line(px, py));
      }
    }
    pieces.add(new Outline(text, strokes, Optional.empty(), Optional.of(BLACK), FIGURE));
  }
}
