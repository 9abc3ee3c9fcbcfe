package steadycog.cure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import steadycog.check.Finding;
import steadycog.check.Inspection;
import steadycog.check.Severity;
import steadycog.number.Pace;
import steadycog.train.State;
import steadycog.train.StateEdit;
import steadycog.train.Train;

/**
 * What puts the findings of a train right. A change is offered only if the finding goes and nothing
 * comes that is as bad or worse. First come changes that keep the ratio, then those that change it
 * least; at one ratio shifts and the like before counts, then the least change. One that turns the
 * output the other way is offered only where nothing else is.
 */
public final class Cures {
  private static final int MOST = 3;

  /** No more changes are tried under all rules for one finding; of a note, for which all count. */
  private static final int MOST_TRIED = 400;

  private static final int MOST_TRIED_FOR_A_NOTE = 40;

  /** Of larger trains each trial is dear: cures are not looked for. */
  private static final int MOST_MEMBERS = 60;

  /** Counts so many teeth away are near; others are looked at where none of these will do. */
  private static final int NEAR = 4;

  private static final Comparator<Trial> BEST_FIRST =
      Comparator.comparing(Trial::turnsRound)
          .thenComparing(trial -> !trial.keepsRatio())
          .thenComparingDouble(trial -> Math.abs(trial.ratioChange()))
          .thenComparing(trial -> trial.change().counts() > 0)
          .thenComparingDouble(trial -> trial.change().effort());

  private final Inspection before;
  private final Proposals proposals;

  /** The train with all its states for one that was changed in one of them, where there is one. */
  private final Function<Train, Optional<Train>> whole;

  private Cures(Inspection before, Function<Train, Optional<Train>> whole) {
    this.before = before;
    this.proposals = new Proposals(before);
    this.whole = whole;
  }

  /** For a train that runs in one way. */
  public static Cures of(Train train) {
    return new Cures(Inspection.of(train), Optional::of);
  }

  /** For a train in one of its states: the cures' trains have all of them. */
  public static Cures of(Train train, State state) {
    return new Cures(
        Inspection.of(train.in(state)), cured -> StateEdit.adopting(train, state, cured));
  }

  /** Whether cures are looked for in {@code train}: it may be too large for that. */
  public static boolean soughtFor(Train train) {
    return train.members().size() <= MOST_MEMBERS;
  }

  /** Every finding of the train with its cures, worst first. */
  public List<Advice> all(Pace pace) {
    List<Finding> findings = before.findings();
    List<Advice> all = new ArrayList<>();
    for (int k = 0; k < findings.size(); k++) {
      double share = (double) k / findings.size();
      Pace here = none -> pace.at(share);
      all.add(new Advice(findings.get(k), of(findings.get(k), here)));
    }
    return List.copyOf(all);
  }

  /** The cures of one finding of the train, best first; at most {@value #MOST}. */
  private List<Cure> of(Finding finding, Pace pace) {
    return trials(finding, pace).stream()
        .map(trial -> trial.cure(whole(trial).orElseThrow()))
        .toList();
  }

  private Optional<Train> whole(Trial trial) {
    return whole.apply(trial.change().train());
  }

  /**
   * Changes that leave the counts alone come first and in their order, so that no more of them are
   * tried than needed; then counts near those there are; and all others only where no change so far
   * keeps the ratio.
   */
  private List<Trial> trials(Finding finding, Pace pace) {
    if (finding.severity() == Severity.OK || !soughtFor(before.train())) {
      return List.of();
    }
    List<Trial> found = new ArrayList<>();
    List<Trial> free =
        proposals.free(finding).stream()
            .sorted(Comparator.comparingDouble(trial -> trial.change().effort()))
            .toList();
    clean(free, finding, MOST - 1, found, pace);
    List<Trial> counts = proposals.counts(finding);
    List<Trial> near = counts.stream().filter(Cures::isNear).toList();
    clean(bestFirst(near, finding, pace), finding, MOST, found, pace);
    boolean kept = found.stream().anyMatch(Trial::keepsRatio);
    if ((!kept && finding.isBad()) || found.isEmpty()) {
      List<Trial> far = new ArrayList<>();
      clean(bestFirst(counts, finding, pace), finding, 1, far, pace);
      far.stream().filter(trial -> found.isEmpty() || trial.keepsRatio()).forEach(found::add);
    }
    boolean straight = found.stream().anyMatch(trial -> !trial.turnsRound());
    return found.stream()
        .filter(trial -> !straight || !trial.turnsRound())
        .sorted(BEST_FIRST)
        .limit(MOST)
        .toList();
  }

  private static boolean isNear(Trial trial) {
    return trial.change().effort() <= NEAR;
  }

  private static List<Trial> bestFirst(List<Trial> trials, Finding finding, Pace pace) {
    List<Trial> clearing = new ArrayList<>();
    for (Trial trial : trials) {
      pace.at(0);
      if (trial.clears(finding) && !trial.losesRatio()) {
        clearing.add(trial);
      }
    }
    clearing.sort(BEST_FIRST);
    return clearing;
  }

  /** Fills {@code found} up to {@code wanted} with the first that may be offered. */
  private void clean(
      List<Trial> ordered, Finding finding, int wanted, List<Trial> found, Pace pace) {
    int most = finding.isBad() ? MOST_TRIED : MOST_TRIED_FOR_A_NOTE;
    int tried = 0;
    for (Trial trial : ordered) {
      pace.at(0);
      if (found.size() >= wanted || tried >= most) {
        break;
      }
      boolean another = found.stream().noneMatch(trial::isLike);
      if (another && trial.clears(finding) && !trial.losesRatio()) {
        tried++;
        if (trial.isClean(finding) && whole(trial).isPresent()) {
          found.add(trial);
        }
      }
    }
  }
}
