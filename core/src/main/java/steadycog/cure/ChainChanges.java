package steadycog.cure;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.shape.Axes;
import steadycog.shape.PairGeometry;
import steadycog.shape.PairShift;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Place;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * Changes of wheels on fixed axes near those that a finding concerns: counts of one, of two, of all
 * wheels of a pair in proportion, and of two pairs between the same axes together; shifts; places.
 */
final class ChainChanges {
  /** Teeth up to which one wheel's count is changed. */
  private static final int REACH = 40;

  /** The same of two wheels together. */
  private static final int TOGETHER = 4;

  /** The same of the four wheels of two pairs. */
  private static final int ALL_FOUR = 2;

  /** A pair is made at most so many times as large. */
  private static final int LARGEST_SCALE = 2;

  private static final int MOST_WHEELS = 6;
  private static final int DEGREES = 15;

  private final Train train;
  private final List<MemberId> wheels;
  private final List<Mesh> meshes;

  /** Changes near {@code concerned}, which are wheels of chains. */
  ChainChanges(Train train, List<MemberId> concerned) {
    this.train = train;
    Axes axes = Axes.of(train);
    List<Mesh> onFixedAxes =
        train.involuteMeshes().stream().filter(mesh -> mesh.carrier().isEmpty()).toList();
    Set<Mesh> near = new LinkedHashSet<>();
    onFixedAxes.stream()
        .filter(mesh -> concerned.stream().anyMatch(mesh::touches))
        .forEach(near::add);
    for (Mesh mesh : List.copyOf(near)) {
      onFixedAxes.stream().filter(other -> parallel(axes, mesh, other)).forEach(near::add);
    }
    Set<MemberId> all = new LinkedHashSet<>(concerned);
    near.forEach(
        mesh -> {
          all.add(mesh.a());
          all.add(mesh.b());
        });
    all.removeIf(wheel -> !train.partOf(wheel).isChain());
    wheels = all.stream().limit(MOST_WHEELS).toList();
    meshes = near.stream().filter(m -> wheels.contains(m.a()) && wheels.contains(m.b())).toList();
  }

  /** Whether two meshes join the same axes. */
  private static boolean parallel(Axes axes, Mesh one, Mesh other) {
    Set<Integer> here = new HashSet<>(List.of(axes.of(one.a()), axes.of(one.b())));
    return here.contains(axes.of(other.a())) && here.contains(axes.of(other.b()));
  }

  /** Places and shifts. */
  List<Change> free() {
    List<Change> all = new ArrayList<>();
    all.addAll(places());
    all.addAll(shifts());
    return all;
  }

  List<Change> counts() {
    Set<Map<MemberId, Integer>> all = new LinkedHashSet<>();
    for (int k = 0; k < wheels.size(); k++) {
      for (int step = -REACH; step <= REACH; step++) {
        Map<MemberId, Integer> one = Map.of();
        all.add(with(one, wheels.get(k), step));
        boolean small = Math.abs(step) <= TOGETHER;
        for (int j = k + 1; small && j < wheels.size(); j++) {
          for (int more = -TOGETHER; more <= TOGETHER; more++) {
            all.add(with(with(one, wheels.get(k), step), wheels.get(j), more));
          }
        }
      }
    }
    meshes.forEach(mesh -> scaled(mesh).forEach(all::add));
    for (int k = 0; k < meshes.size(); k++) {
      for (int j = k + 1; j < meshes.size(); j++) {
        together(meshes.get(k), meshes.get(j), all);
      }
    }
    all.removeIf(counts -> counts.isEmpty() || !counts.values().stream().allMatch(Teeth::isCount));
    return all.stream().map(counts -> Change.teeth(train, counts)).toList();
  }

  private Map<MemberId, Integer> with(Map<MemberId, Integer> counts, MemberId wheel, int step) {
    if (step == 0) {
      return counts;
    }
    Map<MemberId, Integer> more = new LinkedHashMap<>(counts);
    more.put(wheel, count(wheel) + step);
    return more;
  }

  private int count(MemberId wheel) {
    return train.member(wheel).teeth().orElseThrow().count();
  }

  /** Both wheels of a pair larger or smaller in one proportion: the ratio stays. */
  private List<Map<MemberId, Integer>> scaled(Mesh mesh) {
    int a = count(mesh.a());
    int b = count(mesh.b());
    int common = BigInteger.valueOf(a).gcd(BigInteger.valueOf(b)).intValue();
    List<Map<MemberId, Integer>> all = new ArrayList<>();
    for (int parts = 1; parts <= LARGEST_SCALE * common; parts++) {
      if (parts != common) {
        Map<MemberId, Integer> both = new LinkedHashMap<>();
        both.put(mesh.a(), a / common * parts);
        both.put(mesh.b(), b / common * parts);
        all.add(both);
      }
    }
    return all;
  }

  /** Two pairs changed together, in proportion or by a tooth or two a wheel. */
  private void together(Mesh one, Mesh other, Set<Map<MemberId, Integer>> all) {
    Set<MemberId> four = new LinkedHashSet<>(List.of(one.a(), one.b()));
    four.add(other.a());
    four.add(other.b());
    if (four.size() < 4) {
      return;
    }
    for (Map<MemberId, Integer> first : scaled(one)) {
      for (Map<MemberId, Integer> second : scaled(other)) {
        Map<MemberId, Integer> both = new LinkedHashMap<>(first);
        both.putAll(second);
        all.add(both);
      }
    }
    around(List.copyOf(four), 0, Map.of(), all);
  }

  private void around(
      List<MemberId> four,
      int next,
      Map<MemberId, Integer> sofar,
      Set<Map<MemberId, Integer>> all) {
    if (next == four.size()) {
      all.add(sofar);
      return;
    }
    for (int step = -ALL_FOUR; step <= ALL_FOUR; step++) {
      around(four, next + 1, with(sofar, four.get(next), step), all);
    }
  }

  /**
   * Shifts of one pair: of the pinion alone, of both by as much against each other, which keeps the
   * distance, and of both freely; and what brings a pair to the distance of another.
   */
  private List<Change> shifts() {
    List<Change> all = new ArrayList<>();
    for (Mesh mesh : meshes) {
      boolean free = train.partOf(mesh.a()).takesShift(mesh.a());
      if (free) {
        for (BigFraction x : Shifts.worthTrying(train, mesh.pinion())) {
          for (BigFraction y : gearShifts(mesh, x)) {
            Map<MemberId, BigFraction> both = new LinkedHashMap<>();
            both.put(mesh.pinion(), x);
            both.put(mesh.gear(), y);
            Change change = Change.shifts(train, both);
            if (!change.isEmpty()) {
              all.add(change);
            }
          }
        }
      }
      PairShift.reaching(train, mesh, distance(mesh))
          .ifPresent(found -> all.add(new Change(found.words(), found.sized(), 0, 2)));
      statedDistance(mesh, all);
    }
    for (Mesh mesh : meshes) {
      for (Mesh other : meshes) {
        if (!mesh.equals(other)) {
          PairShift.reaching(train, mesh, distance(other))
              .filter(found -> !found.sized().equals(train))
              .ifPresent(found -> all.add(new Change(found.words(), found.sized(), 0, 2)));
        }
      }
    }
    return all;
  }

  private void statedDistance(Mesh mesh, List<Change> all) {
    if (train.sizes().distanceMm(mesh.a(), mesh.b()).isPresent()) {
      all.add(
          Change.sized(
              "no stated distance of " + mesh.a() + " and " + mesh.b(),
              train.withSizes(train.sizes().withDistance(mesh.a(), mesh.b(), Optional.empty()))));
    }
  }

  private double distance(Mesh mesh) {
    return PairGeometry.in(train, mesh).centreDistance()
        * train.moduleMm(mesh.a())
        / train.moduleMm();
  }

  private List<BigFraction> gearShifts(Mesh mesh, BigFraction pinion) {
    Set<BigFraction> all = new LinkedHashSet<>(Shifts.worthTrying(train, mesh.gear()));
    all.add(mesh.internal() ? pinion : pinion.negate());
    all.removeIf(shift -> Exact.compare(shift.abs(), BigFraction.ONE) > 0);
    return List.copyOf(all);
  }

  /** Shafts in other directions. */
  private List<Change> places() {
    List<Change> all = new ArrayList<>();
    for (MemberId wheel : wheels) {
      for (int degrees = 0; degrees < 360; degrees += DEGREES) {
        Place place = new Place(wheel, Exact.of(degrees, 1));
        all.add(
            Change.sized("place " + wheel + " " + degrees + "\u00b0", train.placing(place))
                .worth(1 + degrees / 1000.0));
      }
    }
    return all;
  }
}
