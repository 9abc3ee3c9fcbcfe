package steadycog.cure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.function.Predicate;
import java.util.stream.Stream;
import steadycog.check.Finding;
import steadycog.check.Inspection;
import steadycog.check.Severity;
import steadycog.number.Pace;
import steadycog.train.Member;
import steadycog.train.Part;
import steadycog.train.State;
import steadycog.train.StateEdit;
import steadycog.train.Train;

/**
 * The least change of a whole train after which nothing worse than a note is left. Shifts and sizes
 * are tried first, then one count, then two and more; the number and the spacing of planets weigh
 * as much as a count. At one number of counts the fewest teeth decide, then the ratio.
 */
public final class PutRight {
  /** What may not be changed. */
  public enum Keep {
    /** Anything may. */
    NOTHING,
    /** The exact ratio stays. */
    RATIO,
    /** Every tooth count and every number of planets stays. */
    TEETH
  }

  /**
   * What came of it.
   *
   * @param cure the change; empty where none is needed or none was found
   * @param left the worst finding that no change within reach puts right; empty where all is right
   * @param still the notes that are left after it
   * @param searched false where the train is too large for changes to be tried, see {@link
   *     Cures#soughtFor}
   */
  public record Outcome(
      Optional<Cure> cure, Optional<Finding> left, List<Finding> still, boolean searched) {
    public Outcome {
      still = List.copyOf(still);
    }

    private static Outcome of(Cure cure, Inspection after) {
      return new Outcome(Optional.of(cure), Optional.empty(), notes(after), true);
    }

    private static Outcome sound(Inspection now) {
      return new Outcome(Optional.empty(), Optional.empty(), notes(now), true);
    }

    private static Outcome stuck(Finding finding) {
      return new Outcome(Optional.empty(), Optional.of(finding), List.of(), true);
    }

    private static Outcome tooLarge(Finding finding) {
      return new Outcome(Optional.empty(), Optional.of(finding), List.of(), false);
    }

    private static List<Finding> notes(Inspection inspection) {
      return inspection.findings().stream().filter(f -> f.severity() == Severity.NOTE).toList();
    }

    public boolean isSound() {
      return left.isEmpty();
    }
  }

  /** Steps from one train to the next that are followed, at one number of counts. */
  private static final int MOST_STEPS = 24;

  /** Ways on from one train that are followed. */
  private static final int MOST_WAYS = 8;

  private static final int MOST_COUNTS = 4;

  /** What puts one state right may be wrong in another: times that all are looked at. */
  private static final int MOST_ROUNDS = 4;

  /** So much of the ratio is as bad as a tooth. */
  private static final double A_TOOTH = 0.02;

  /** A train whose ratio moves further is another train: looked at only where nothing else is. */
  private static final double FAR = 0.1;

  private static final Comparator<Trial> LEAST_FIRST =
      Comparator.comparing(Trial::turnsRound)
          .thenComparingInt(trial -> trial.change().weight())
          .thenComparingDouble(PutRight::cost);

  private final Train train;
  private final Inspection before;
  private final Keep keep;
  private final Pace pace;

  private PutRight(Train train, Keep keep, Pace pace) {
    this.train = train;
    this.before = Inspection.of(train);
    this.keep = keep;
    this.pace = pace;
  }

  /** For a train; of one with states every state is put right, one after the other. */
  public static Outcome of(Train train, Keep keep, Pace pace) {
    return train.shifts().states().isEmpty()
        ? new PutRight(train, keep, pace).found()
        : ofStates(train, keep, pace);
  }

  private static Outcome ofStates(Train train, Keep keep, Pace pace) {
    Train now = train;
    List<String> words = new ArrayList<>();
    boolean again = true;
    for (int round = 0; again && round < MOST_ROUNDS; round++) {
      again = false;
      for (State state : train.shifts().states()) {
        PutRight here = new PutRight(now.in(state), keep, pace);
        if (here.isNeutral()) {
          continue; // Wanted as a state; its teeth are those of the others.
        }
        Outcome one = here.found();
        if (!one.isSound()) {
          return one;
        }
        if (one.cure().isPresent()) {
          again = true;
          Optional<Train> adopted = StateEdit.adopting(now, state, one.cure().get().train());
          if (adopted.isEmpty()) {
            return Outcome.stuck(worst(now));
          }
          now = adopted.get();
          words.add(one.cure().get().change());
        }
      }
    }
    if (again) {
      return Outcome.stuck(worst(now));
    }
    Inspection first = Inspection.of(now.in(train.shifts().states().getFirst()));
    return words.isEmpty() ? Outcome.sound(first) : Outcome.of(inStates(train, now, words), first);
  }

  private static Finding worst(Train train) {
    return train.shifts().states().stream()
        .flatMap(state -> Inspection.of(train.in(state)).findings().stream())
        .max(Comparator.comparing(Finding::severity))
        .orElseThrow();
  }

  private boolean isNeutral() {
    return before.findings().stream().anyMatch(finding -> finding.code().equals("floating"));
  }

  /** What was done in all states, with what it does in the first. */
  private static Cure inStates(Train train, Train now, List<String> words) {
    State first = train.shifts().states().getFirst();
    Change change = new Change(String.join(", ", words), now.in(first), 0, 0);
    return new Trial(Inspection.of(train.in(first)), change).cure(now);
  }

  private Outcome found() {
    List<Finding> bad = bad(before);
    if (bad.isEmpty()) {
      return before.collisions().stream()
          .filter(Finding::isBad)
          .findFirst()
          .map(Outcome::stuck)
          .orElseGet(() -> Outcome.sound(before));
    }
    if (!Cures.soughtFor(train)) {
      return Outcome.tooLarge(bad.getFirst());
    }
    List<Trial> single = single(bad);
    for (double limit : new double[] {FAR, Double.POSITIVE_INFINITY}) {
      for (int weight = 0; weight <= MOST_COUNTS; weight++) {
        pace.at((double) weight / (MOST_COUNTS + 1));
        Optional<Trial> found = least(single, weight, limit);
        if (found.isPresent()) {
          return Outcome.of(whole(found.get()), found.get().after());
        }
      }
    }
    return Outcome.stuck(unmet(bad));
  }

  /** The worst finding that no change clears at all; where each can be cleared, the worst. */
  private Finding unmet(List<Finding> bad) {
    Proposals proposals = new Proposals(before);
    return bad.stream()
        .filter(
            finding ->
                proposals.of(finding).stream()
                    .noneMatch(trial -> allowed(trial) && trial.clears(finding)))
        .findFirst()
        .orElse(bad.getFirst());
  }

  /** The least change with so many counts whose ratio moves by no more than {@code limit}. */
  private Optional<Trial> least(List<Trial> single, int weight, double limit) {
    Optional<Trial> atOnce =
        single.stream()
            .filter(trial -> trial.change().weight() == weight && isWithin(trial, limit))
            .sorted(LEAST_FIRST)
            .filter(trial -> trial.after().isSound() && goesTogether(trial.after()))
            .findFirst();
    return weight == 0 && atOnce.isPresent()
        ? atOnce
        : Stream.of(atOnce, stepwise(weight, limit)).flatMap(Optional::stream).min(LEAST_FIRST);
  }

  /** Whether its made pieces show nothing bad: asked last, since it costs most. */
  private static boolean goesTogether(Inspection inspection) {
    return inspection.collisions().stream().noneMatch(Finding::isBad);
  }

  private static boolean isWithin(Trial trial, double limit) {
    return Math.abs(trial.ratioChange()) <= limit;
  }

  private static List<Finding> bad(Inspection inspection) {
    return inspection.findings().stream().filter(Finding::isBad).toList();
  }

  /** Every change that is proposed for any of the findings, each once. */
  private List<Trial> single(List<Finding> findings) {
    Proposals proposals = new Proposals(before);
    Map<Train, Trial> all = new LinkedHashMap<>();
    for (Finding finding : findings) {
      for (Trial trial : proposals.of(finding)) {
        if (allowed(trial)) {
          all.putIfAbsent(trial.change().train(), trial);
        }
      }
    }
    return List.copyOf(all.values());
  }

  private boolean allowed(Trial trial) {
    return switch (keep) {
      case NOTHING -> !trial.losesRatio();
      case RATIO -> !trial.losesRatio() && trial.keepsRatio();
      case TEETH -> sameTeeth(trial.change().train());
    };
  }

  private boolean sameTeeth(Train other) {
    return Stream.of(train, other).map(PutRight::teeth).distinct().count() == 1;
  }

  private static List<String> teeth(Train train) {
    return train.members().stream()
        .map(member -> member + " x" + train.partOf(member.id()).copies(member.id()))
        .toList();
  }

  private static double cost(Trial trial) {
    return trial.change().effort() + Math.abs(trial.ratioChange()) / A_TOOTH;
  }

  /**
   * Cures of the worst finding one after the other, the least change in all first, until nothing
   * bad is left; no more than {@code most} counts in all.
   */
  private Optional<Trial> stepwise(int most, double limit) {
    PriorityQueue<Change> open =
        new PriorityQueue<>(
            Comparator.comparingInt(Change::weight).thenComparingDouble(Change::effort));
    open.add(new Change("", train, 0, 0));
    for (int step = 0; step < MOST_STEPS && !open.isEmpty(); step++) {
      Change sofar = open.poll();
      Inspection here = Inspection.of(sofar.train());
      List<Finding> bad = bad(here);
      if (bad.isEmpty()) {
        if (goesTogether(here)) {
          return Optional.of(new Trial(before, sofar));
        }
        continue;
      }
      pace.at((double) most / (MOST_COUNTS + 1));
      ways(here, bad.getFirst(), way -> fits(sofar.and(way.change()), most, limit))
          .forEach(way -> open.add(sofar.and(way.change())));
    }
    return Optional.empty();
  }

  private boolean fits(Change change, int most, double limit) {
    Trial whole = new Trial(before, change);
    return change.weight() <= most && allowed(whole) && isWithin(whole, limit);
  }

  private static List<Trial> ways(Inspection here, Finding finding, Predicate<Trial> allowed) {
    List<Trial> ways = new ArrayList<>();
    List<Trial> ordered =
        new Proposals(here)
            .of(finding).stream()
                .filter(trial -> trial.clears(finding))
                .filter(allowed)
                .sorted(LEAST_FIRST)
                .toList();
    for (Trial trial : ordered) {
      boolean another = ways.stream().noneMatch(trial::isLike);
      if (another && trial.isClean(finding)) {
        ways.add(trial);
      }
      if (ways.size() >= MOST_WAYS) {
        break;
      }
    }
    return ways;
  }

  /** The change from the first train to the last in one, each thing said once. */
  private Cure whole(Trial trial) {
    Map<String, String> said = new LinkedHashMap<>();
    for (Part part : train.parts()) {
      Part now = trial.change().train().partOf(part.members().getFirst().id());
      counts(part, now, said);
    }
    for (String words : trial.change().words().split(", ")) {
      if (!words.matches("\\S+ \\d+i? -> \\d+i?")) {
        said.put(Change.withoutAmount(words), words);
      }
    }
    Cure cure = trial.cure();
    return new Cure(
        String.join(", ", said.values()),
        cure.train(),
        cure.ratio(),
        cure.ratioChange(),
        cure.clears(),
        cure.brings());
  }

  private void counts(Part before, Part after, Map<String, String> said) {
    for (int k = 0; k < before.members().size(); k++) {
      Member old = before.members().get(k);
      Member now = after.members().get(k);
      if (!old.teeth().equals(now.teeth())) {
        said.put("count " + old.id(), Change.counted(train, old.id(), now.teeth().orElseThrow()));
      }
    }
  }
}
