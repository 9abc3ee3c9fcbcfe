package steadycog.search;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.train.Join;
import steadycog.train.MemberId;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Roles;
import steadycog.train.Train;

/**
 * Stages one after the other, all sets slowing down, or driven from the other end all speeding up.
 * Those of one ratio make a group, and groups rise by ratio: two of them are matched by two
 * pointers that run towards each other, three by doing so for every first. Only groups near the
 * target are opened, the smaller stages first.
 */
final class Series {
  private static final List<String> NAMES = List.of("first", "second", "third");

  /** More steps than these are not taken. */
  private static final double MOST_WORK = 4e9;

  private final Query query;
  private final Goal goal;
  private final Outputs outputs;
  private final Reach reach;
  private final List<Group> sets;
  private final double[] ratios;
  private final Map<SetShape, SetFit> fits;

  /**
   * Series of one step.
   *
   * @param sets rising by ratio
   * @param fits how sets go together, as far as it is known; filled further
   */
  Series(Query query, List<Group> sets, Map<SetShape, SetFit> fits, Reach reach) {
    this.query = query;
    this.goal = Goal.slowing(query);
    this.outputs = Outputs.of(query, goal.faster());
    this.reach = reach;
    this.sets = sets;
    this.fits = fits;
    this.ratios = sets.stream().mapToDouble(Group::ratio).toArray();
  }

  void sweep() {
    int stages = reach.step().stages();
    if (reach.step().first()) {
      reach.tally().examine((long) Math.pow(sets.size(), stages));
    }
    double among = Math.max(1, ratios.length * Math.min(1, reach.step().upTo()) / 4);
    if (Math.pow(ratios.length, stages - 1) * among > MOST_WORK) {
      reach.leads().cutShort();
    } else if (stages == 2) {
      two(List.of(), 0, goal.ratio());
      if (!query.limits().coaxial()) {
        withPair();
      }
    } else {
      three();
    }
  }

  private void three() {
    AtomicInteger done = new AtomicInteger();
    IntStream.range(0, sets.size())
        .parallel()
        .filter(k -> Math.pow(ratios[k], 3) <= goal.most(reach.step().upTo()))
        .forEach(
            k -> {
              if (!reach.watch().cancelled()) {
                two(List.of(sets.get(k)), k, goal.ratio() / ratios[k]);
                reach.progress(Kind.PLANETARY, (double) done.incrementAndGet() / sets.size());
              }
            });
  }

  /** Two sets whose product is near {@code rest}, the slower one not before {@code from}. */
  private void two(List<Group> before, int from, double rest) {
    double share = rest / goal.ratio();
    double most = goal.most(reach.step().upTo()) * share;
    double least = goal.least(reach.step().upTo()) * share;
    int high = ratios.length - 1;
    for (int low = from; low <= high && !reach.watch().cancelled(); low++) {
      double one = ratios[low];
      while (high > low && one * ratios[high] > most) {
        high--;
      }
      for (int k = high; k >= low && one * ratios[k] >= least; k--) {
        if (one * ratios[k] <= most) {
          List<Group> all = new ArrayList<>(before);
          all.add(sets.get(low));
          all.add(sets.get(k));
          offer(all);
        }
      }
    }
  }

  /** A set with a pair of wheels before it or behind it. */
  private void withPair() {
    int[] counts = query.wheels().counts(query.limits());
    List<SeriesStage.OfPair> options = new ArrayList<>();
    for (int driver : counts) {
      for (int driven : counts) {
        SeriesStage.OfPair pair = new SeriesStage.OfPair(driver, driven);
        boolean under = reach.step().under(query.listing().rank(), pair.size(), pair.diameter());
        if (under && driver != driven && query.limits().allowsStep(pair.ratio())) {
          options.add(pair);
        }
      }
    }
    List<Group> pairs = Group.of(options);
    double[] steps = pairs.stream().mapToDouble(Group::ratio).toArray();
    if (reach.step().first()) {
      reach.tally().examine(2L * sets.size() * pairs.size());
    }
    for (Group set : sets) {
      if (reach.watch().cancelled()) {
        return;
      }
      double most = goal.most(reach.step().upTo()) / set.ratio();
      double least = goal.least(reach.step().upTo()) / set.ratio();
      int at = Arrays.binarySearch(steps, least);
      for (int k = at < 0 ? -at - 1 : at; k < steps.length && steps[k] <= most; k++) {
        offer(List.of(pairs.get(k), set));
        offer(List.of(set, pairs.get(k)));
      }
    }
  }

  private void offer(List<Group> groups) {
    double product = 1;
    int sign = 1;
    int size = 0;
    for (Group group : groups) {
      product *= group.ratio();
      sign *= group.sign();
      size += group.leastSize();
    }
    double error = goal.error(product);
    boolean under = reach.step().under(query.listing().rank(), size, 0);
    if (!under || !reach.contains(error) || !reach.turns(sign)) {
      return;
    }
    double diameter = 0;
    double share = 1;
    if (query.listing().rank() != Rank.ERROR) {
      for (Group group : groups) {
        diameter = Math.max(diameter, group.leastDiameter());
        share *= outputs.of(group.elements().getFirst());
      }
    }
    reach
        .leads()
        .add(
            new Measures(error, groups.size(), size, diameter, share),
            judge -> open(groups, new ArrayList<>(), judge));
  }

  /** Every choice of a stage from each group for which there is room, small ones first. */
  @SuppressWarnings("ReferenceEquality") // A group is taken again as itself.
  private void open(List<Group> groups, List<SeriesStage> chosen, Judge judge) {
    int next = chosen.size();
    if (next == groups.size()) {
      int size = chosen.stream().mapToInt(SeriesStage::size).sum();
      double diameter = chosen.stream().mapToDouble(SeriesStage::diameter).max().orElse(0);
      if (reach.step().takes(query.listing().rank(), size, diameter)) {
        judge.offer(fit(chosen));
      }
      return;
    }
    boolean again = next > 0 && groups.get(next) == groups.get(next - 1);
    int from = again ? groups.get(next).elements().indexOf(chosen.get(next - 1)) : 0;
    List<SeriesStage> elements = groups.get(next).elements();
    for (int k = from; k < elements.size(); k++) {
      chosen.add(elements.get(k));
      int size = chosen.stream().mapToInt(SeriesStage::size).sum();
      double diameter = chosen.stream().mapToDouble(SeriesStage::diameter).max().orElse(0);
      for (Group later : groups.subList(next + 1, groups.size())) {
        size += later.leastSize();
      }
      boolean fits = judge.takes(size, diameter);
      if (fits) {
        open(groups, chosen, judge);
      }
      chosen.removeLast();
      if ((!fits && query.listing().rank() != Rank.DIAMETER) || judge.cancelled()) {
        return;
      }
    }
  }

  private Fit fit(List<SeriesStage> elements) {
    List<List<SeriesStage.Made>> choices = new ArrayList<>();
    List<SeriesStage.Made> plain = new ArrayList<>();
    String trouble = "";
    boolean mixed = elements.stream().anyMatch(SeriesStage.OfPair.class::isInstance);
    for (int k = 0; k < elements.size(); k++) {
      switch (elements.get(k)) {
        case SeriesStage.OfPair pair -> {
          Part part = pair.part("pair");
          plain.add(made(part, Map.of()));
          choices.add(List.of(made(part, pair.shifts(part))));
        }
        case SeriesStage.OfSet one -> {
          String name = mixed ? "set" : NAMES.get(k);
          int most = query.limits().planets().to();
          SetFit fit =
              fits.computeIfAbsent(
                  one.shape(), s -> SetFit.of(query.limits().planets(), s.set(most), s.modules()));
          trouble = trouble.isEmpty() ? fit.trouble() : trouble;
          plain.add(
              made(
                  one.use(),
                  new SetFit.Way(one.shape().set(most), Map.of(), Optional.empty()).named(name)));
          choices.add(fit.ways().stream().map(way -> made(one.use(), way.named(name))).toList());
        }
      }
    }
    return new Fit(() -> ways(choices, List.of()).iterator(), train(plain), trouble);
  }

  /** Every choice of a way for each stage. */
  private Stream<Train> ways(List<List<SeriesStage.Made>> choices, List<SeriesStage.Made> chosen) {
    if (chosen.size() == choices.size()) {
      return Stream.of(train(chosen));
    }
    return choices.get(chosen.size()).stream()
        .flatMap(
            next -> {
              List<SeriesStage.Made> more = new ArrayList<>(chosen);
              more.add(next);
              return ways(choices, more);
            });
  }

  private static SeriesStage.Made made(Part pair, Map<MemberId, BigFraction> shifts) {
    MemberId in = pair.shafts().getFirst();
    return new SeriesStage.Made(pair, in, Optional.empty(), pair.shafts().getLast(), shifts);
  }

  private static SeriesStage.Made made(Use use, SetFit.Way way) {
    Planetary set = way.set();
    return new SeriesStage.Made(
        set, use.in().of(set), Optional.of(use.held().of(set)), use.out().of(set), way.shifts());
  }

  private Train train(List<SeriesStage.Made> stages) {
    List<Part> parts = new ArrayList<>();
    List<Join> joins = new ArrayList<>();
    List<MemberId> holds = new ArrayList<>();
    for (int k = 0; k < stages.size(); k++) {
      parts.add(stages.get(k).part());
      stages.get(k).held().ifPresent(holds::add);
      if (k > 0) {
        joins.add(new Join(stages.get(k - 1).out(), stages.get(k).in()));
      }
    }
    Roles roles = goal.roles(stages.getFirst().in(), holds, stages.getLast().out());
    Train train = new Train(parts, joins, List.of(), List.of(), Optional.empty(), roles);
    for (SeriesStage.Made stage : stages) {
      train = train.withSizes(SetFit.shifted(train.sizes(), stage.shifts()));
    }
    return train;
  }
}
