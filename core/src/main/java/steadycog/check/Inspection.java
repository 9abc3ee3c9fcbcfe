package steadycog.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import steadycog.number.Once;
import steadycog.number.Pace;
import steadycog.number.Ratio;
import steadycog.number.Units;
import steadycog.train.Train;

/**
 * A train under the rules. Each rule is asked at most once, and only when somebody wants to know
 * its answer: a change that fails the first cheap rule costs no more than that. For one thread at a
 * time.
 */
public final class Inspection {
  private static final Comparator<Finding> WORST_FIRST =
      Comparator.comparing(Finding::severity).reversed();

  private final Subject subject;
  private final @Nullable List<Finding>[] answers = Checks.answers();
  private final Once<Units> units = Once.of(() -> train().units());

  private Inspection(Subject subject) {
    this.subject = subject;
  }

  public static Inspection of(Subject subject) {
    return new Inspection(subject);
  }

  public static Inspection of(Train train) {
    return of(Subject.of(train));
  }

  public Train train() {
    return subject.train();
  }

  public Optional<Ratio> ratio() {
    return subject.motion().ratio();
  }

  /** All findings, worst first; within a severity in the order of the rules and of the card. */
  public List<Finding> findings() {
    return findings(Pace.FREE);
  }

  /** The same, watched and perhaps stopped by {@code pace}. */
  public List<Finding> findings(Pace pace) {
    return findings(IntStream.range(0, answers.length).toArray(), pace);
  }

  /** The same by the rules that need not know where wheels stand: a tenth of the cost. */
  public List<Finding> withoutLayout() {
    return findings(Checks.withoutLayout(), Pace.FREE);
  }

  private List<Finding> findings(int[] rules, Pace pace) {
    List<Finding> all = new ArrayList<>();
    for (int k = 0; k < rules.length; k++) {
      pace.at((double) k / rules.length);
      all.addAll(by(rules[k]));
    }
    all.sort(WORST_FIRST);
    return List.copyOf(all);
  }

  private List<Finding> by(int rule) {
    List<Finding> answer = answers[rule];
    if (answer == null) {
      answer = Checks.ask(rule, subject).stream().map(finding -> finding.in(units.get())).toList();
      answers[rule] = answer;
    }
    return answer;
  }

  /** What the rules that brought {@code finding} about say about this train under its code. */
  public List<Finding> ofSort(Finding finding) {
    return by(finding.rule()).stream().filter(f -> f.code().equals(finding.code())).toList();
  }

  /**
   * Whether every finding of at least {@code least} is among those of {@code before}, no worse than
   * there. Rules that need little are asked first, and the first finding that is not ends it.
   */
  public boolean addsNothing(Severity least, Inspection before) {
    for (int rule : Checks.cheapestFirst()) {
      for (Finding finding : by(rule)) {
        boolean bad = finding.severity().compareTo(least) >= 0;
        if (bad && before.by(rule).stream().noneMatch(finding::isNoWorseThan)) {
          return false;
        }
      }
    }
    return true;
  }

  /** What its made pieces show, apart from what the rules find. */
  public List<Finding> collisions() {
    return Collisions.of(subject.train(), subject.layout(), Pace.FREE);
  }

  /** Whether nothing worse than a note is found; cheap rules first. */
  public boolean isSound() {
    return findsNone(Severity.WARNING);
  }

  /** Whether no error is found; cheap rules first. */
  public boolean isFreeOfErrors() {
    return findsNone(Severity.ERROR);
  }

  private boolean findsNone(Severity least) {
    for (int rule : Checks.cheapestFirst()) {
      if (by(rule).stream().anyMatch(finding -> finding.severity().compareTo(least) >= 0)) {
        return false;
      }
    }
    return true;
  }
}
