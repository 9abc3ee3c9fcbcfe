package steadycog.shape;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Planetary;
import steadycog.train.Train;

/** Which plane along the axes each wheel lies in: meshing wheels share one, keyed wheels do not. */
final class Planes {
  private final Map<MemberId, Integer> planes = new HashMap<>();

  private Planes() {}

  static Map<MemberId, Integer> of(Train train, MemberId first) {
    Axes shafts = Axes.ofShafts(train);
    Planes planes = new Planes();
    planes.spread(train, shafts, first, 0);
    for (Member member : train.members()) {
      if (!planes.planes.containsKey(member.id())) {
        planes.spread(train, shafts, member.id(), planes.beyond());
      }
    }
    return planes.planes;
  }

  private void spread(Train train, Axes shafts, MemberId from, int plane) {
    Deque<MemberId> queue = new ArrayDeque<>(List.of(from));
    planes.put(from, plane);
    while (!queue.isEmpty()) {
      MemberId at = queue.remove();
      for (MemberId mate : mates(train, at)) {
        if (planes.putIfAbsent(mate, planes.get(at)) == null) {
          queue.add(mate);
        }
      }
      List<Member> shaft = shafts.wheelsOn(shafts.of(at));
      for (Member keyed : shaft) {
        if (!planes.containsKey(keyed.id())) {
          int step = isBefore(train, keyed.id(), at) ? -1 : 1;
          planes.put(keyed.id(), nextFree(shaft, planes.get(at), step));
          queue.add(keyed.id());
        }
      }
    }
  }

  /** A plane clear of all used so far: a piece of its own stands beside the others. */
  private int beyond() {
    return planes.values().stream().mapToInt(Integer::intValue).max().orElse(-1) + 1;
  }

  private int nextFree(List<Member> shaft, int from, int step) {
    Set<Integer> taken = new HashSet<>();
    shaft.forEach(member -> taken.add(planes.getOrDefault(member.id(), Integer.MIN_VALUE)));
    int plane = from;
    while (taken.contains(plane)) {
      plane += step;
    }
    return plane;
  }

  /**
   * Whatever {@code member} meshes with, and the carriers of those meshes; of a carrier its wheels.
   * A carrier goes with the first row of its planets.
   */
  private static List<MemberId> mates(Train train, MemberId member) {
    List<MemberId> all = new ArrayList<>();
    for (Mesh mesh : train.meshes()) {
      boolean carried = mesh.carrier().isPresent() && inFirstRow(train, mesh);
      if (mesh.touches(member)) {
        all.add(mesh.other(member));
        mesh.carrier().filter(carrier -> carried).ifPresent(all::add);
      } else if (carried && mesh.carrier().get().equals(member)) {
        all.add(mesh.a());
        all.add(mesh.b());
      }
    }
    return all;
  }

  private static boolean inFirstRow(Train train, Mesh mesh) {
    return !(train.partOf(mesh.a()) instanceof Planetary set) || set.rowOf(mesh.a()).orElse(0) == 0;
  }

  /** Whether {@code member} lies in an earlier row of its set than {@code other} does. */
  private static boolean isBefore(Train train, MemberId member, MemberId other) {
    return train.partOf(member) instanceof Planetary set
        && set.rowOf(member).orElse(0) < set.rowOf(other).orElse(0);
  }
}
