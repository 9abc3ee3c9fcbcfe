package steadycog.shape;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import steadycog.number.Known;
import steadycog.train.Bevel;
import steadycog.train.Join;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Train;

/** Unfolds axes into the plane of the paper, one after the other, each up or down. */
final class EdgeFolding {
  private static final double CLASH_COST = 10_000;

  private final Train train;
  private final Axes lines;
  private final List<Mesh> meshes;
  private final Map<MemberId, PlacedWheel> byId = new HashMap<>();
  private final Map<Integer, List<PlacedWheel>> onLine = new HashMap<>();
  private final Set<Join> mates = new HashSet<>();
  private final Map<Integer, Double> heights = new HashMap<>();

  /** A wheel at the height of its axis. */
  private record Raised(PlacedWheel wheel, double height) {
    double top() {
      return height + wheel.bodyRadius();
    }

    double bottom() {
      return height - wheel.bodyRadius();
    }
  }

  private EdgeFolding(Train train, FaceLayout face) {
    this.train = train;
    lines = Axes.of(train);
    meshes =
        train.meshes().stream().filter(mesh -> Stand.of(train, mesh) != Stand.TOGETHER).toList();
    meshes.forEach(mesh -> mates.add(new Join(mesh.a(), mesh.b())));
    for (PlacedWheel wheel : face.wheels()) {
      if (wheel.copy() == 0) {
        byId.put(wheel.id(), wheel);
        onLine.computeIfAbsent(lines.of(wheel.id()), none -> new ArrayList<>()).add(wheel);
      }
    }
  }

  /** The height of every line of axes, in modules, up; numbered as by {@link Axes#of}. */
  static Map<Integer, Double> heights(Train train, FaceLayout face) {
    EdgeFolding folding = new EdgeFolding(train, face);
    folding.unfold();
    return folding.heights;
  }

  private void unfold() {
    for (Member member : train.members()) {
      heights.putIfAbsent(lines.of(member.id()), 0.0);
      Optional<Mesh> next = meshes.stream().filter(this::reaches).findFirst();
      while (next.isPresent()) {
        unfoldAcross(next.get());
        next = meshes.stream().filter(this::reaches).findFirst();
      }
    }
  }

  private boolean known(MemberId id) {
    return heights.containsKey(lines.of(id));
  }

  private boolean reaches(Mesh mesh) {
    return known(mesh.a()) != known(mesh.b());
  }

  private void unfoldAcross(Mesh mesh) {
    MemberId from = known(mesh.a()) ? mesh.a() : mesh.b();
    MemberId to = mesh.other(from);
    double start = Known.in(heights, lines.of(from));
    int line = lines.of(to);
    heights.put(
        line,
        switch (Stand.of(train, mesh)) {
          case ACROSS -> {
            Bevel pair = train.partOf(from, Bevel.class).orElseThrow();
            double away = Bevels.pinionReach(pair) + largestOn(lines.of(pair.pinionId()));
            yield from.equals(pair.crownId()) ? start + away : start - away;
          }
          case CARRIED -> start - fromMiddle(Known.in(byId, from)) + fromMiddle(Known.in(byId, to));
          case APART -> {
            double distance =
                Math.abs(PairGeometry.in(train, mesh).centreDistance())
                    * train.moduleMm(mesh.a())
                    / train.moduleMm();
            double down = start - distance;
            double up = start + distance;
            yield cost(line, down) <= cost(line, up) ? down : up;
          }
          case TOGETHER -> throw new IllegalStateException("one line: " + mesh);
        });
  }

  private double largestOn(int line) {
    return onLine.getOrDefault(line, List.of()).stream()
        .mapToDouble(PlacedWheel::bodyRadius)
        .max()
        .orElse(0);
  }

  /** Planets are unfolded upwards from their carrier's axis. */
  private static double fromMiddle(PlacedWheel wheel) {
    return wheel.orbit().map(o -> Math.hypot(wheel.x() - o.x(), wheel.y() - o.y())).orElse(0.0);
  }

  /** How high the whole becomes, and whether wheels of one plane would lie over each other. */
  private double cost(int axis, double height) {
    double low = Double.MAX_VALUE;
    double high = -Double.MAX_VALUE;
    double cost = 0;
    List<Raised> fresh = on(axis, height);
    List<Raised> placed = new ArrayList<>(fresh);
    heights.forEach((other, known) -> placed.addAll(on(other, known)));
    for (Raised raised : placed) {
      low = Math.min(low, raised.bottom());
      high = Math.max(high, raised.top());
      for (Raised own : fresh) {
        cost += clashing(own, raised) ? CLASH_COST : 0;
      }
    }
    return cost + high - low;
  }

  private List<Raised> on(int axis, double height) {
    return onLine.getOrDefault(axis, List.of()).stream()
        .map(wheel -> new Raised(wheel, height))
        .toList();
  }

  /** The quick tests first: they rule out nearly every pair. */
  private boolean clashing(Raised a, Raised b) {
    return a.bottom() < b.top()
        && b.bottom() < a.top()
        && a.wheel.plane() == b.wheel.plane()
        && lines.of(a.wheel.id()) != lines.of(b.wheel.id())
        && !mates.contains(new Join(a.wheel.id(), b.wheel.id()))
        && !mates.contains(new Join(b.wheel.id(), a.wheel.id()));
  }
}
