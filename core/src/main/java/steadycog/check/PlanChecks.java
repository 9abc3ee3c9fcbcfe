package steadycog.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.Motion;
import steadycog.motion.RatioBoard;
import steadycog.number.Figures;
import steadycog.number.Mode;
import steadycog.number.Ratio;
import steadycog.train.MemberId;
import steadycog.train.ShiftPlan;
import steadycog.train.State;
import steadycog.train.Take;
import steadycog.train.Train;

/** Rules about a shift plan as a whole: its states side by side. */
public final class PlanChecks {
  /** A member faster than this many times the input is worth a word (Müller). */
  public static final int OVERSPEED = 3;

  private final List<State> states;
  private final List<Motion> motions;
  private final List<Finding> found = new ArrayList<>();

  private final Set<MemberId> shafts;

  private PlanChecks(Train train, List<Motion> motions) {
    states = train.shifts().states();
    this.motions = motions;
    shafts = Set.copyOf(RatioBoard.shafts(train));
  }

  public static boolean isOverspeed(BigFraction times) {
    return times.compareTo(BigFraction.of(OVERSPEED)) > 0;
  }

  /**
   * All findings, worst first.
   *
   * @param motions one a state, in the order of the plan
   */
  public static List<Finding> of(Train train, List<Motion> motions) {
    PlanChecks checks = new PlanChecks(train, motions);
    for (int k = 0; k < motions.size(); k++) {
      checks.checkState(k);
      if (k + 1 < motions.size()) {
        checks.checkStep(k);
      }
    }
    checks.checkTwins();
    checks.checkHeld();
    checks.found.sort(Comparator.comparing(Finding::severity).reversed());
    return List.copyOf(checks.found);
  }

  private void checkState(int k) {
    Motion motion = motions.get(k);
    String name = states.get(k).name();
    if (motion.status() == Motion.Status.JAMMED) {
      found.add(
          Finding.of("state-jammed", Severity.ERROR, List.of())
              .with("state", name)
              .with("conflict", motion.conflictText()));
      return;
    }
    Optional<Ratio> ratio = motion.ratio();
    Optional<MemberId> take = motion.mechanism().roles().take().map(Take::member);
    if (ratio.isEmpty() && take.isPresent()) {
      Finding neutral =
          Finding.of("state-neutral", Severity.NOTE, loose(motion)).with("state", name);
      found.add(motion.floating().contains(take.get()) ? neutral : neutral.worded("rest"));
    }
    ratio
        .filter(one -> one.mode() != Mode.DIRECT && one.isNearOne())
        .ifPresent(
            one ->
                found.add(
                    Finding.of("seldom-useful", Severity.NOTE, List.of())
                        .with("state", name)
                        .with("ratio", one.reductionText())));
    checkSpeeds(motion, name);
  }

  /** Shafts that float; what is inside of sets cannot be held. */
  private List<MemberId> loose(Motion motion) {
    return motion.floating().stream().filter(shafts::contains).toList();
  }

  private void checkSpeeds(Motion motion, String state) {
    List<MemberId> fast =
        motion.mechanism().bodies().stream().filter(member -> isOverspeed(motion, member)).toList();
    if (!fast.isEmpty()) {
      Motion.Fastest fastest = motion.fastest().orElseThrow();
      found.add(
          Finding.of("overspeed", Severity.WARNING, fast)
              .with("state", state)
              .with("fastest", fastest.member())
              .with("times", Figures.significant(fastest.times().doubleValue(), 3)));
    }
  }

  private static boolean isOverspeed(Motion motion, MemberId member) {
    return motion.turnsPerInputTurn(member).filter(turns -> isOverspeed(turns.abs())).isPresent();
  }

  /** Neighbours so near to each other that one of them is hardly needed, or with a hard change. */
  private void checkStep(int k) {
    Optional<Ratio> here = motions.get(k).ratio();
    Optional<Ratio> next = motions.get(k + 1).ratio();
    int changes = ShiftPlan.changes(states.get(k).engaged(), states.get(k + 1).engaged());
    if (changes > 1 && here.isPresent() && next.isPresent()) {
      found.add(
          Finding.of("hard-shift", Severity.NOTE, List.of())
              .with("from", states.get(k).name())
              .with("to", states.get(k + 1).name())
              .with("changes", changes));
    }
    if (here.isPresent() && next.isPresent()) {
      BigFraction step = here.get().reduction().divide(next.get().reduction());
      if (step.signum() > 0
          && new Ratio(step).isNearOne()
          && step.compareTo(BigFraction.ONE) != 0) {
        found.add(
            Finding.of("small-step", Severity.NOTE, List.of())
                .with("from", states.get(k).name())
                .with("to", states.get(k + 1).name())
                .with("step", Figures.significant(step.doubleValue(), 3)));
      }
    }
  }

  /** States that differ in what is engaged but not in ratio. */
  private void checkTwins() {
    Map<BigFraction, String> first = new LinkedHashMap<>();
    for (int k = 0; k < motions.size(); k++) {
      Optional<BigFraction> ratio = motions.get(k).ratio().map(Ratio::reduction);
      if (ratio.isPresent()) {
        String other = first.putIfAbsent(ratio.get(), states.get(k).name());
        if (other != null) {
          found.add(
              Finding.of("same-ratio", Severity.NOTE, List.of())
                  .with("one", other)
                  .with("two", states.get(k).name()));
        }
      }
    }
  }

  /** Members that float in every state: no brake or clutch reaches them. */
  private void checkHeld() {
    List<Motion> turning =
        motions.stream().filter(motion -> motion.status() != Motion.Status.JAMMED).toList();
    List<MemberId> never =
        turning.stream()
            .limit(1)
            .flatMap(motion -> motion.floating().stream())
            .filter(shafts::contains)
            .filter(m -> turning.stream().allMatch(motion -> motion.floating().contains(m)))
            .toList();
    if (!never.isEmpty()) {
      found.add(Finding.of("never-held", Severity.WARNING, never));
    }
  }
}
