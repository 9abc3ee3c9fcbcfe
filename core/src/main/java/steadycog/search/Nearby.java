package steadycog.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.check.Severity;
import steadycog.train.Bevel;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.Member;
import steadycog.train.Parallel;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Shaft;
import steadycog.train.StrainWave;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * Looks near a train that is there already: as few wheels as possible are given other counts, so
 * that it reaches a ratio or is free of errors. One wheel is tried first, then two together, then
 * three; the fewest that do it are listed, and no more wheels are tried then.
 */
public final class Nearby {
  private static final int MOST_WHEELS = 3;
  private static final int REACH_FOR_RATIO = 8;
  private static final int REACH_FOR_CURE = 3;

  /** Where no tolerance is given they are tried one after the other, until something is found. */
  private static final List<Tolerance> USUAL =
      List.of(Tolerance.parse("0.1%"), Tolerance.parse("1%"), Tolerance.parse("5%"));

  /**
   * A train near the one there is.
   *
   * @param words what is changed: {@code A 18 -> 19, B 72 -> 71}
   * @param wheels how many counts differ
   * @param teeth by how many teeth in all
   */
  public record Change(Candidate candidate, String words, int wheels, int teeth) {}

  /** What was found, in order; see {@link Found} for the rest. */
  public record Changes(List<Change> list, long examined, boolean whole) {}

  /** A wheel and a change of its count. */
  private record Step(Member wheel, int by) {}

  private final Train train;
  private final Optional<Target> target;
  private final BigFraction wanted;
  private final double tolerance;
  private final int top;
  private final Watch watch;
  private final Tally tally = new Tally();

  private Nearby(Train train, Optional<Target> target, Tolerance tolerance, int top, Watch watch) {
    this.train = train;
    this.target = target;
    this.top = top;
    this.watch = watch;
    this.wanted =
        target
            .map(Target::ratio)
            .or(
                () ->
                    Candidate.of(kind(train), train, BigFraction.ONE)
                        .map(now -> now.ratio().reduction().abs()))
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        "the train has no ratio yet: drive a member, hold and take off others"));
    this.tolerance = tolerance.share(Candidate.size(train));
  }

  /**
   * Trains near {@code train} that make {@code target} within the tolerance (without one, within as
   * small a one as gives any), or without a target whose findings hold no error. All of them are
   * free of errors.
   *
   * @throws IllegalArgumentException where the train has no ratio
   */
  public static Changes of(
      Train train, Optional<Target> target, Optional<Tolerance> tolerance, int top, Watch watch) {
    List<Tolerance> tolerances = tolerance.map(List::of).orElse(USUAL);
    Changes changes = new Changes(List.of(), 0, true);
    for (Tolerance next : target.isPresent() ? tolerances : tolerances.subList(0, 1)) {
      Changes more = new Nearby(train, target, next, top, watch).run();
      changes = new Changes(more.list, changes.examined + more.examined, more.whole);
      if (!more.list.isEmpty() || !more.whole) {
        return changes;
      }
    }
    return changes;
  }

  private Changes run() {
    List<Member> wheels =
        train.members().stream().filter(member -> member.teeth().isPresent()).toList();
    List<Change> found = new ArrayList<>();
    for (int many = 1; many <= Math.min(MOST_WHEELS, wheels.size()) && found.isEmpty(); many++) {
      List<List<Step>> all = new ArrayList<>();
      choose(wheels, 0, many, new ArrayList<>(), all);
      AtomicInteger done = new AtomicInteger();
      List<Change> level =
          IntStream.range(0, all.size())
              .parallel()
              .mapToObj(
                  k -> {
                    watch.progress(
                        kind(train),
                        done.incrementAndGet() / (double) all.size(),
                        tally.examined());
                    return watch.cancelled() ? Optional.<Change>empty() : changed(all.get(k));
                  })
              .flatMap(Optional::stream)
              .toList();
      found.addAll(level);
    }
    found.sort(
        Comparator.comparingInt(Change::wheels)
            .thenComparingInt(Change::teeth)
            .thenComparing(Change::candidate, Candidate.BEST_FIRST));
    List<Change> best = found.subList(0, Math.min(top, found.size()));
    return new Changes(List.copyOf(best), tally.examined(), !watch.cancelled());
  }

  private void choose(
      List<Member> wheels, int from, int many, List<Step> chosen, List<List<Step>> all) {
    if (chosen.size() == many) {
      all.add(List.copyOf(chosen));
      return;
    }
    int reach = target.isPresent() ? REACH_FOR_RATIO : REACH_FOR_CURE;
    for (int k = from; k < wheels.size(); k++) {
      int count = wheels.get(k).teeth().orElseThrow().count();
      for (int by = -reach; by <= reach; by++) {
        if (by != 0 && count + by >= Limits.FEWEST_TEETH) {
          chosen.add(new Step(wheels.get(k), by));
          choose(wheels, k + 1, many, chosen, all);
          chosen.removeLast();
        }
      }
    }
  }

  private Optional<Change> changed(List<Step> steps) {
    tally.examine(1);
    Train other = train;
    List<String> words = new ArrayList<>();
    int teeth = 0;
    try {
      for (Step step : steps) {
        Teeth old = step.wheel.teeth().orElseThrow();
        Teeth now = new Teeth(old.count() + step.by, old.internal());
        other = other.withTeeth(step.wheel.id(), now);
        words.add(step.wheel.id() + " " + old.count() + " -> " + now.count());
        teeth += Math.abs(step.by);
      }
    } catch (IllegalArgumentException impossible) {
      return Optional.empty();
    }
    if (target.isPresent() && Candidate.error(other, wanted) > tolerance) {
      return Optional.empty();
    }
    int sum = teeth;
    return Candidate.of(kind(train), other, wanted)
        .filter(candidate -> candidate.worst() != Severity.ERROR)
        .map(candidate -> new Change(candidate, String.join(", ", words), steps.size(), sum));
  }

  /** The kind by which a train would be looked for. */
  static Kind kind(Train train) {
    Part first = train.parts().getFirst();
    return switch (first) {
      case Parallel chain -> Kind.PARALLEL;
      case Planetary set -> set.stepped() ? Kind.TWO_ROW : Kind.PLANETARY;
      case Cycloidal drive -> Kind.CYCLOIDAL;
      case StrainWave drive -> Kind.STRAIN_WAVE;
      case Bevel pair -> Kind.PARALLEL;
      case Differential sides -> Kind.PARALLEL;
      case Shaft shaft -> Kind.PARALLEL;
    };
  }
}
