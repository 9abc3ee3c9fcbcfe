package steadycog.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.check.Inspection;
import steadycog.check.Subject;
import steadycog.number.Exact;
import steadycog.number.Ratio;
import steadycog.search.Wanted.Field;
import steadycog.shape.BevelPair;
import steadycog.train.Bevel;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Parallel;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Planetary.Spacing;
import steadycog.train.Shaft;
import steadycog.train.StrainWave;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * Looks near a train that is there already: as few wheels as possible are given other counts, so
 * that it reaches a ratio or is free of errors. The train as it is comes first, then one wheel,
 * then two together, then three; the fewest that do it are listed, and no more wheels are tried
 * then. Where counts alone do not do it their planets may go in in other numbers or places, and
 * wheels be shifted, as little as will do.
 */
public final class Nearby {
  private static final int MOST_WHEELS = 3;
  private static final int FEW = 1;
  private static final int REACH_FOR_RATIO = 8;
  private static final int REACH_FOR_CURE = 3;

  /** Where no tolerance is given they are tried one after the other, until something is found. */
  private static final List<TargetTolerance> USUAL =
      List.of(
          TargetTolerance.parse("0.1%"), TargetTolerance.parse("1%"), TargetTolerance.parse("5%"));

  /**
   * A train near the one there is.
   *
   * @param words what is changed: {@code A 18 -> 19, B 72 -> 71}; empty where nothing is
   * @param wheels how many counts differ
   * @param teeth by how many teeth in all
   * @param others how much else is changed: 0 where counts alone do it
   */
  public record Change(Candidate candidate, String words, int wheels, int teeth, int others) {}

  /** What was found, in order; see {@link Found} for the rest. */
  public record Changes(Query query, List<Change> list, long examined, boolean whole) {
    public Found found() {
      List<Candidate> candidates = list.stream().map(Change::candidate).toList();
      return new Found(query, candidates, examined, Map.of(), whole);
    }
  }

  /** A wheel and a change of its count. */
  private record Step(Member wheel, int by) {}

  private final Train train;
  private final boolean toRatio;
  private final Query query;
  private final double tolerance;
  private final Watch watch;
  private final Tally tally = new Tally();

  private Nearby(Train train, boolean toRatio, Query query, TargetTolerance within, Watch watch) {
    this.train = train;
    this.toRatio = toRatio;
    this.query = query;
    this.watch = watch;
    this.tolerance = within.share(Candidate.size(train));
  }

  /**
   * Trains near {@code train} that make the wanted target within the tolerance (without one, within
   * as small a one as gives any), or without a target any that are free of errors, as all are. Of
   * what is wanted all limits that are said hold.
   *
   * @throws IllegalArgumentException where the train has no ratio, or what is wanted cannot be
   *     understood
   */
  public static Changes of(Train train, Wanted wanted, Watch watch) {
    for (Field field : List.of(Field.HELIX, Field.DISTANCE)) {
      if (!wanted.text(field).isEmpty()) {
        throw new Wanted.BadField(
            field, "near a train its own helices and distances are kept: leave it out");
      }
    }
    Ratio now =
        Subject.of(train)
            .motion()
            .ratio()
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        "the train has no ratio yet: drive a member, hold and take off others"));
    Optional<Target> target = wanted.target();
    BigFraction size = now.reduction().abs();
    Query query =
        wanted.query(target.orElseGet(() -> new Target(size, Exact.text(size))), Limits.WIDEST);
    List<TargetTolerance> tolerances = wanted.tolerance().map(List::of).orElse(USUAL);
    Changes changes = new Changes(query, List.of(), 0, true);
    for (TargetTolerance next : target.isPresent() ? tolerances : tolerances.subList(0, 1)) {
      Changes more = new Nearby(train, target.isPresent(), query, next, watch).run();
      changes = new Changes(query, more.list, changes.examined + more.examined, more.whole);
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
    for (int many = 0; many <= Math.min(MOST_WHEELS, wheels.size()) && found.isEmpty(); many++) {
      List<List<Step>> all = new ArrayList<>();
      choose(wheels, 0, many, new ArrayList<>(), all);
      AtomicInteger done = new AtomicInteger();
      List<Change> level =
          IntStream.range(0, all.size())
              .parallel()
              .mapToObj(
                  k -> {
                    double share = done.incrementAndGet() / (double) all.size();
                    watch.progress(kind(train), share, tally.examined());
                    return watch.cancelled() ? Optional.<Change>empty() : changed(all.get(k));
                  })
              .flatMap(Optional::stream)
              .toList();
      found.addAll(level);
    }
    found.sort(
        Comparator.comparingInt(Change::wheels)
            .thenComparingInt(Change::teeth)
            .thenComparingInt(Change::others)
            .thenComparing(Change::candidate, Best.order(query.listing().rank())));
    List<Change> best = found.subList(0, Math.min(query.listing().top(), found.size()));
    return new Changes(query, List.copyOf(best), tally.examined(), !watch.cancelled());
  }

  private void choose(
      List<Member> wheels, int from, int many, List<Step> chosen, List<List<Step>> all) {
    if (chosen.size() == many) {
      all.add(List.copyOf(chosen));
      return;
    }
    int reach = toRatio ? REACH_FOR_RATIO : REACH_FOR_CURE;
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
    Optional<Ratio> ratio = Subject.of(other).motion().ratio();
    boolean wanted =
        ratio
            .filter(
                made ->
                    query.limits().direction().allows(made.reduction().signum())
                        && (!toRatio
                            || Math.abs(Candidate.error(made, query.target().ratio()))
                                <= tolerance))
            .isPresent();
    return wanted ? adapted(other, words, steps.size(), teeth) : Optional.empty();
  }

  /** The least that must be done beyond the counts: nothing, planets, shifts, or both. */
  private Optional<Change> adapted(Train counted, List<String> words, int wheels, int teeth) {
    if (!query.limits().allowTeeth(counted) || !query.wheels().mayHave(counted)) {
      return Optional.empty();
    }
    int others = 0;
    for (Train other : (Iterable<Train>) adaptations(counted, wheels <= FEW)::iterator) {
      if (watch.cancelled()) {
        return Optional.empty();
      }
      Subject subject = Subject.of(other);
      Optional<Candidate> candidate =
          Inspection.of(subject).isFreeOfErrors()
              ? Candidate.of(kind(train), subject, query.target().ratio())
              : Optional.empty();
      if (candidate.filter(this::isWanted).isPresent()) {
        List<String> all = new ArrayList<>(words);
        all.addAll(said(other));
        return Optional.of(
            new Change(candidate.get(), String.join(", ", all), wheels, teeth, others));
      }
      others++;
    }
    return Optional.empty();
  }

  private boolean isWanted(Candidate candidate) {
    return query.limits().allow(candidate)
        && query.wheels().allow(candidate.train())
        && query.running().refusal(candidate.eachWay()).isEmpty();
  }

  /** With few changed counts all other planets are tried, with more only other places of them. */
  private static Stream<Train> adaptations(Train counted, boolean few) {
    List<Train> all = new ArrayList<>(List.of(counted));
    for (Planetary set : counted.parts(Planetary.class)) {
      for (Train before : List.copyOf(all)) {
        numbers(set).stream()
            .filter(other -> few || other.count() == set.count())
            .forEach(other -> all.add(before.withPart(other)));
      }
    }
    Stream<Train> shifted = all.stream().flatMap(Nearby::shifted);
    return Stream.concat(all.stream(), shifted.filter(other -> !all.contains(other)));
  }

  /** With the least shifts that its sets ask for, its chains and its bevel gears. */
  private static Stream<Train> shifted(Train train) {
    Train shifted = train;
    for (Planetary set : train.parts(Planetary.class)) {
      shifted = fitted(shifted, set);
    }
    boolean pairs =
        train.parts().stream().anyMatch(p -> p.isChain() || BevelPair.of(train, p).isPresent());
    return pairs ? ChainFit.of(shifted).stream() : Stream.of(shifted);
  }

  /** Other places of the planets, then other numbers of them, the nearest first. */
  private static List<Planetary> numbers(Planetary set) {
    List<Planetary> all = new ArrayList<>();
    for (int n = 1; n <= Planetary.MOST_PLANETS; n++) {
      all.add(set.withCount(n).spaced(Spacing.EQUAL));
      all.add(set.withCount(n).spaced(Spacing.UNEVEN));
    }
    all.remove(set);
    all.sort(
        Comparator.comparingInt((Planetary other) -> Math.abs(other.count() - set.count()))
            .thenComparing(Planetary::spacing));
    return all;
  }

  private static Train fitted(Train train, Planetary set) {
    Range many = new Range(set.count(), set.count());
    return SetFit.of(many, set.named(""), Optional.empty()).ways().stream()
        .filter(way -> way.set().spacing() == set.spacing())
        .findFirst()
        .map(way -> way.named(set.name()).sizing(train))
        .orElse(train);
  }

  /** What other than counts differs from the train that there is. */
  private List<String> said(Train other) {
    List<String> words = new ArrayList<>();
    for (Planetary now : other.parts(Planetary.class)) {
      Planetary old = train.partOf(now.carrierId(), Planetary.class).orElseThrow();
      String planet = now.planetIds().getFirst().toString();
      if (now.count() != old.count()) {
        words.add(planet + " x" + old.count() + " -> x" + now.count());
      }
      if (now.spacing() != old.spacing()) {
        words.add(planet + " spaced " + now.spacing().name().toLowerCase(Locale.ROOT));
      }
    }
    for (Member member : other.members()) {
      MemberId wheel = member.id();
      Optional<BigFraction> now = other.sizes().shift(wheel);
      if (!now.equals(train.sizes().shift(wheel))) {
        words.add("shift " + wheel + " " + Exact.plain(now.orElse(BigFraction.ZERO)));
      }
    }
    return words;
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
