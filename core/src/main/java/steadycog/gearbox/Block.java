package steadycog.gearbox;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import steadycog.piece.Region;
import steadycog.piece.Region.Round;
import steadycog.piece.Slab;

/** A body between two heights with round holes, some of them not all the way through. */
final class Block {
  private final double from;
  private final double to;
  private final Region body;
  private final List<Hole> holes = new ArrayList<>();

  private record Hole(Round round, double from, double to) {
    boolean isAt(Hole other) {
      return Math.hypot(round.x() - other.round.x(), round.y() - other.round.y()) < 1e-9;
    }
  }

  Block(double from, double to, Region body) {
    this.from = from;
    this.to = to;
    this.body = body;
  }

  /** A hole all the way through. */
  Block through(List<double[]> places, double radius) {
    return hole(places, radius, from, to);
  }

  Block hole(List<double[]> places, double radius, double low, double high) {
    for (double[] at : places) {
      holes.add(new Hole(new Round(at[0], at[1], radius), low, high));
    }
    return this;
  }

  Block hole(double x, double y, double radius, double low, double high) {
    return hole(List.of(new double[] {x, y}), radius, low, high);
  }

  /** Slab by slab from the lowest up; of holes about one axis the widest counts. */
  List<Slab> slabs() {
    TreeSet<Double> cuts = new TreeSet<>(List.of(from, to));
    for (Hole hole : holes) {
      for (double cut : new double[] {hole.from, hole.to}) {
        if (cut > from && cut < to) {
          cuts.add(cut);
        }
      }
    }
    List<Double> levels = List.copyOf(cuts);
    List<Slab> slabs = new ArrayList<>();
    for (int k = 0; k + 1 < levels.size(); k++) {
      slabs.add(
          new Slab("", levels.get(k), levels.get(k + 1), at(levels.get(k), levels.get(k + 1))));
    }
    return slabs;
  }

  private Region at(double low, double high) {
    List<Hole> open =
        holes.stream().filter(hole -> hole.from <= low + 1e-9 && hole.to >= high - 1e-9).toList();
    List<Round> circles = new ArrayList<>(body.circles());
    for (Hole hole : open) {
      boolean widest =
          open.stream()
              .noneMatch(
                  other ->
                      other.isAt(hole)
                          && (other.round.radius() > hole.round.radius()
                              || (other.round.radius() == hole.round.radius()
                                  && open.indexOf(other) < open.indexOf(hole))));
      if (widest) {
        circles.add(hole.round);
      }
    }
    return new Region(body.lines(), circles);
  }
}
