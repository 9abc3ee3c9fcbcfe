package steadycog.cure;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.train.MemberId;
import steadycog.train.Planetary;
import steadycog.train.Roles;
import steadycog.train.Teeth;
import steadycog.train.Train;
import steadycog.train.WheelSize;

/**
 * A train and what was changed in it.
 *
 * @param words as {@code A 14 -> 15, shift B 0.2}
 * @param train after it
 * @param counts how many tooth counts differ
 * @param arranged whether the number or the spacing of planets differs
 * @param effort how much is changed, to choose the least: teeth, or what is worth as much
 */
record Change(String words, Train train, int counts, boolean arranged, double effort) {
  /** A change that leaves the planets as they are. */
  Change(String words, Train train, int counts, double effort) {
    this(words, train, counts, false, effort);
  }

  /** A module of shift is as much work to think about as so many teeth. */
  private static final double SHIFT = 1;

  private static final double ONE_SHIFT = 0.3;

  private static final Pattern AMOUNT = Pattern.compile("(?<![\\w-])-?x?\\d+(\\.\\d+)?");

  /** Other counts on some wheels. */
  static Change teeth(Train train, Map<MemberId, Integer> counts) {
    Train changed = train;
    List<String> words = new ArrayList<>();
    int sum = 0;
    for (Map.Entry<MemberId, Integer> next : counts.entrySet()) {
      Teeth old = train.member(next.getKey()).teeth().orElseThrow();
      changed = changed.withTeeth(next.getKey(), new Teeth(next.getValue(), old.internal()));
      words.add(counted(train, next.getKey(), new Teeth(next.getValue(), old.internal())));
      sum += Math.abs(next.getValue() - old.count());
    }
    return new Change(String.join(", ", words), changed, counts.size(), sum);
  }

  /** {@code A 14 -> 15}; internal wheels of a chain with their {@code i}, as the card has them. */
  static String counted(Train train, MemberId wheel, Teeth now) {
    Teeth old = train.member(wheel).teeth().orElseThrow();
    boolean marked = train.partOf(wheel).isChain() && old.internal();
    String mark = marked ? "i" : "";
    return wheel + " " + old.count() + mark + " -> " + now.count() + mark;
  }

  /** Another set in place of {@code old}: counts, number or spacing of its planets. */
  static Change set(Train train, Planetary old, Planetary changed) {
    return new Change(
        PlanetaryWords.change(old, changed),
        train.withPart(changed),
        PlanetaryWords.counts(old, changed),
        old.count() != changed.count() || old.spacing() != changed.spacing(),
        PlanetaryWords.effort(old, changed));
  }

  /** Profile shifts of some wheels, in modules; 0 takes a stated one back. */
  static Change shifts(Train train, Map<MemberId, BigFraction> shifts) {
    Train changed = train;
    List<String> words = new ArrayList<>();
    double effort = 0;
    for (Map.Entry<MemberId, BigFraction> next : shifts.entrySet()) {
      MemberId wheel = next.getKey();
      BigFraction old = train.sizes().shift(wheel).orElse(BigFraction.ZERO);
      if (!old.equals(next.getValue())) {
        boolean none = Exact.isZero(next.getValue());
        WheelSize size = changed.sizes().own(wheel);
        changed =
            changed.withSizes(
                changed
                    .sizes()
                    .with(
                        wheel,
                        size.withShift(none ? Optional.empty() : Optional.of(next.getValue()))));
        words.add("shift " + wheel + " " + Exact.plain(next.getValue()));
        effort += ONE_SHIFT + SHIFT * next.getValue().subtract(old).abs().doubleValue();
      }
    }
    return new Change(String.join(", ", words), changed, 0, effort);
  }

  /** Other roles. */
  static Change roles(Train train, String words, Roles changed) {
    return new Change(words, train.withRoles(changed), 0, 1);
  }

  /** Some size or place, all alike in effort. */
  static Change sized(String words, Train changed) {
    return new Change(words, changed, 0, 1);
  }

  /** This and then another. */
  Change and(Change next) {
    return new Change(
        words.isEmpty() ? next.words : words + ", " + next.words,
        next.train,
        counts + next.counts,
        arranged || next.arranged,
        effort + next.effort);
  }

  /** The same, thought of as more or less work. */
  Change worth(double changed) {
    return new Change(words, train, counts, arranged, changed);
  }

  /** What is changed, without the amounts. */
  Set<String> shape() {
    return Arrays.stream(words.split(", ")).map(Change::withoutAmount).collect(Collectors.toSet());
  }

  /** {@code shift planet2 0.5} without its number, but with that of the name. */
  static String withoutAmount(String said) {
    return AMOUNT.matcher(said).replaceAll("");
  }

  /** Counts that differ; another number or spacing of planets weighs as one. */
  int weight() {
    return counts + (arranged ? 1 : 0);
  }

  boolean isEmpty() {
    return words.isEmpty();
  }
}
