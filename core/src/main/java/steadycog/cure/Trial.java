package steadycog.cure;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.check.Finding;
import steadycog.check.Inspection;
import steadycog.check.Severity;
import steadycog.number.Exact;
import steadycog.number.Once;
import steadycog.number.Ratio;
import steadycog.train.Train;

/** A change as it is tried: what it does is worked out as far as somebody asks. */
final class Trial {
  private final Inspection before;
  private final Change change;
  private final Once<Inspection> after;
  private final Once<Optional<BigFraction>> times;

  Trial(Inspection before, Change change) {
    this.before = before;
    this.change = change;
    this.after = Once.of(() -> Inspection.of(change.train()));
    this.times = Once.of(this::ratioTimes);
  }

  Change change() {
    return change;
  }

  Inspection after() {
    return after.get();
  }

  /** Whether it changes all that {@code other} does, by other amounts, and perhaps more. */
  boolean isLike(Trial other) {
    return change.shape().containsAll(other.change.shape());
  }

  private Optional<BigFraction> ratioTimes() {
    Optional<Ratio> old = before.ratio();
    Optional<Ratio> now = after().ratio();
    return old.isPresent() && now.isPresent()
        ? Optional.of(now.get().reduction().divide(old.get().reduction()))
        : Optional.empty();
  }

  /** Whether a ratio that there was is lost. */
  boolean losesRatio() {
    return before.ratio().isPresent() && after().ratio().isEmpty();
  }

  boolean keepsRatio() {
    return times.get().map(BigFraction.ONE::equals).orElse(before.ratio().isEmpty());
  }

  boolean turnsRound() {
    return times.get().filter(t -> t.signum() < 0).isPresent();
  }

  /** New ratio over the old one less 1; 0 where there is none to compare. */
  double ratioChange() {
    return times.get().map(t -> t.subtract(BigFraction.ONE).doubleValue()).orElse(0.0);
  }

  /** Whether {@code finding} is gone: of its sort nothing but praise is left about its members. */
  boolean clears(Finding finding) {
    return after().ofSort(finding).stream()
        .noneMatch(left -> left.key().equals(finding.key()) && left.severity() != Severity.OK);
  }

  /** Whether it may be offered for {@code finding}, which it clears. */
  boolean isClean(Finding finding) {
    return after().addsNothing(finding.severity(), before);
  }

  /** What it does, with the train it makes. */
  Cure cure() {
    return cure(change.train());
  }

  /** The same with {@code whole}, which has all states of the train. */
  Cure cure(Train whole) {
    List<Finding.Key> was = keys(before);
    List<Finding.Key> is = keys(after());
    return new Cure(
        change.words(),
        whole,
        after().ratio(),
        times.get().map(t -> t.subtract(BigFraction.ONE)).map(Trial::number),
        without(was, is),
        without(is, was));
  }

  private static double number(BigFraction change) {
    return Exact.isZero(change) ? 0 : change.doubleValue();
  }

  private static List<Finding.Key> keys(Inspection inspection) {
    return inspection.findings().stream()
        .filter(finding -> finding.severity() != Severity.OK)
        .map(Finding::key)
        .distinct()
        .toList();
  }

  private static List<Finding.Key> without(List<Finding.Key> some, List<Finding.Key> others) {
    Set<Finding.Key> gone = others.stream().collect(Collectors.toSet());
    return new ArrayList<>(some).stream().filter(key -> !gone.contains(key)).toList();
  }
}
