package steadycog.shape;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import steadycog.number.Known;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Train;

/**
 * Which plane along the axes each wheel lies in: meshing wheels share one, keyed wheels do not, and
 * sets on one line stand behind each other.
 */
final class Planes {
  private final Map<MemberId, Integer> planes = new HashMap<>();
  private final Train train;
  private final Axes shafts;
  private final Axes lines;
  private final Map<MemberId, MemberId> rims;
  private final Map<MemberId, List<Mesh>> meshes = new HashMap<>();

  private Planes(Train train) {
    this.train = train;
    shafts = Axes.ofShafts(train);
    lines = Axes.of(train);
    rims = Rims.of(train);
    for (Mesh mesh : train.meshes()) {
      touching(mesh.a()).add(mesh);
      touching(mesh.b()).add(mesh);
      mesh.carrier().ifPresent(carrier -> touching(carrier).add(mesh));
    }
  }

  /** The meshes of a member, and those on it as a carrier. */
  private List<Mesh> touching(MemberId member) {
    return meshes.computeIfAbsent(member, none -> new ArrayList<>());
  }

  static Map<MemberId, Integer> of(Train train, MemberId first) {
    Planes planes = new Planes(train);
    planes.spread(first, 0);
    for (Member member : train.members()) {
      if (!planes.planes.containsKey(member.id())) {
        planes.spread(member.id(), planes.beyond() + planes.row(member.id()));
      }
    }
    return planes.planes;
  }

  private void spread(MemberId from, int plane) {
    Deque<MemberId> queue = new ArrayDeque<>(List.of(from));
    planes.put(from, plane);
    while (!queue.isEmpty()) {
      MemberId at = queue.remove();
      for (MemberId mate : mates(at)) {
        if (planes.putIfAbsent(mate, planes.get(at)) == null) {
          queue.add(mate);
        }
      }
      for (Member keyed : shafts.on(shafts.of(at))) {
        if (!planes.containsKey(keyed.id())) {
          planes.put(keyed.id(), beside(keyed.id(), at));
          queue.add(keyed.id());
        }
      }
    }
  }

  /** A plane clear of all used so far: a piece of its own stands beside the others. */
  private int beyond() {
    return planes.values().stream().mapToInt(Integer::intValue).max().orElse(-1) + 1;
  }

  private int row(MemberId member) {
    return train.partOf(member).row(member);
  }

  private int rows(MemberId member) {
    return train.partOf(member).rowCount();
  }

  /** The first plane of the member's set or drive, where one of it has a plane already. */
  private OptionalInt known(MemberId member) {
    if (train.partOf(member).inLine().isEmpty()) {
      return OptionalInt.empty();
    }
    return planes.entrySet().stream()
        .filter(entry -> entry.getKey().part().equals(member.part()))
        .mapToInt(entry -> entry.getValue() - row(entry.getKey()))
        .findFirst();
  }

  /** The next plane from {@code at} where {@code member}, with all rows of its set, has room. */
  private int beside(MemberId member, MemberId at) {
    OptionalInt known = known(member);
    if (known.isPresent()) {
      return known.getAsInt() + row(member);
    }
    Set<Integer> taken = new HashSet<>();
    int line = lines.of(member);
    planes.forEach(
        (other, plane) -> {
          if (lines.of(other) == line) {
            reserve(other, plane, taken);
          }
        });
    int first = Known.in(planes, at);
    while (isTaken(taken, first, rows(member))) {
      first++;
    }
    return first + row(member);
  }

  /** A member takes the planes of all rows of its set. */
  private void reserve(MemberId member, int plane, Set<Integer> taken) {
    int first = plane - row(member);
    for (int row = 0; row < rows(member); row++) {
      taken.add(first + row);
    }
  }

  private static boolean isTaken(Set<Integer> taken, int first, int rows) {
    for (int plane = first; plane < first + rows; plane++) {
      if (taken.contains(plane)) {
        return true;
      }
    }
    return false;
  }

  /**
   * Whatever {@code member} meshes with, and the carriers of those meshes; of a carrier its wheels;
   * of a ring the wheel cut on its outside. A carrier goes with the first row of its planets.
   */
  private List<MemberId> mates(MemberId member) {
    List<MemberId> all = new ArrayList<>();
    for (Mesh mesh : touching(member)) {
      boolean carried = mesh.carrier().isPresent() && row(mesh.a()) == 0;
      if (mesh.touches(member)) {
        all.add(mesh.other(member));
        mesh.carrier().filter(carrier -> carried).ifPresent(all::add);
      } else if (carried && mesh.carrier().get().equals(member)) {
        all.add(mesh.a());
        all.add(mesh.b());
      }
    }
    rims.forEach(
        (wheel, ring) -> {
          if (wheel.equals(member)) {
            all.add(ring);
          } else if (ring.equals(member)) {
            all.add(wheel);
          }
        });
    return all;
  }
}
