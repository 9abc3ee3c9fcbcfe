package steadycog.gearbox;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import steadycog.piece.Piece;
import steadycog.piece.Piece.Stand;
import steadycog.piece.Region;
import steadycog.piece.Region.Round;
import steadycog.piece.Slab;
import steadycog.shape.Outline;
import steadycog.train.MemberId;

/**
 * A test for the fits of a gearbox before anything large is made: for each size of bearing and of
 * pin that it takes a plate with holes, each wider than the last. The tightest into which it can be
 * pressed by hand tells the room to state for seats. Small holes beside a hole count its step.
 */
public final class FitGauge {
  /** By how much the holes are wider than what goes in, mm. */
  static final double[] WIDER = {0, 0.05, 0.1, 0.15, 0.2, 0.3};

  private static final int COLUMNS = 3;
  private static final double THICK = 4;

  /** Material round a hole, mm. */
  private static final double WALL = 3;

  private static final double MARK = 0.6;
  private static final double MARK_STEP = 2;

  private FitGauge() {}

  /** One plate a size, the smallest first; none where nothing is pressed in. */
  public static List<Piece> of(Gearbox box) {
    SortedMap<Double, List<String>> sizes = new TreeMap<>();
    for (Component one : box.components()) {
      if (one.isBought() && (one.name().contains("bearing") || one.name().contains("pin"))) {
        double[] bounds = one.piece().bounds();
        double outside = Math.round((bounds[2] - bounds[0]) * 100) / 100.0;
        sizes.computeIfAbsent(outside, any -> new ArrayList<>()).add(one.name());
      }
    }
    List<Piece> all = new ArrayList<>();
    for (Map.Entry<Double, List<String>> size : sizes.entrySet()) {
      all.add(plate(size.getKey(), String.join(", ", size.getValue())));
    }
    return all;
  }

  private static Piece plate(double outside, String goesIn) {
    double marks = (WIDER.length - 1) * MARK_STEP + 2 * MARK;
    double wide = Math.max(outside + WIDER[WIDER.length - 1] + WALL, marks + WALL);
    double deep = outside + 2 * WALL + 2 * MARK;
    List<Round> holes = new ArrayList<>();
    for (int step = 0; step < WIDER.length; step++) {
      double x = WALL / 2 + (step % COLUMNS + 0.5) * wide;
      int row = step / COLUMNS;
      double foot = row * deep;
      holes.add(
          new Round(
              x, foot + WALL + 2 * MARK + WALL / 2 + outside / 2, (outside + WIDER[step]) / 2));
      for (int mark = 0; mark <= step; mark++) {
        holes.add(new Round(x + (mark - step / 2.0) * MARK_STEP, foot + WALL, MARK));
      }
    }
    double right = COLUMNS * wide + WALL;
    int rows = WIDER.length / COLUMNS;
    double top = rows * deep + WALL;
    Region region =
        new Region(
            List.of(new Outline(new double[] {0, right, right, 0}, new double[] {0, 0, top, top})),
            holes);
    return Box.piece(
        new MemberId("", "fits"),
        "gauge " + Box.mm(outside) + " mm",
        "for " + goesIn + ", 0 to " + Box.mm(WIDER[WIDER.length - 1]) + " mm wider",
        List.of(new Slab("", 0, THICK, region)),
        List.of(Stand.at(0, 0, 0, 0)));
  }
}
