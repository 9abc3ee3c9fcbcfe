package steadycog.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import steadycog.motion.Mechanism;
import steadycog.motion.MotionSolver;
import steadycog.number.Ratio;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Teeth;
import steadycog.train.Train;

/** The same train with a wheel or two counted otherwise. */
public final class Miscounts {
  private Miscounts() {}

  /** A wheel and what it would have. */
  public record Count(MemberId wheel, Teeth counted, Teeth instead) {
    /** In words: {@code ring 53 instead of 54}. */
    public String text() {
      return wheel + " " + instead.count() + " instead of " + counted.count();
    }
  }

  /**
   * A train with other counts.
   *
   * @param teeth changed in all
   */
  public record Miscount(Train train, List<Count> counts, int teeth, Ratio ratio) {
    /** In words: {@code ring 53 instead of 54}. */
    public String text() {
      return counts.stream().map(Count::text).collect(Collectors.joining(" and "));
    }
  }

  /**
   * Every train with one count up to {@code reach} teeth off and another ratio, the nearest counts
   * first; the card's own train is not among them.
   */
  public static List<Miscount> single(Train train, int reach) {
    List<Miscount> all = new ArrayList<>();
    Optional<Ratio> own = ratio(train);
    for (int size = 1; size <= reach; size++) {
      for (Member wheel : counted(train)) {
        for (int step : new int[] {-size, size}) {
          changed(train, wheel, step)
              .flatMap(other -> of(other, List.of(count(wheel, step)), Math.abs(step)))
              .filter(one -> own.filter(one.ratio()::equals).isEmpty())
              .filter(one -> all.stream().noneMatch(seen -> seen.train.equals(one.train)))
              .ifPresent(all::add);
        }
      }
    }
    return all;
  }

  /** Every train with two counts each one tooth off. */
  public static List<Miscount> pairs(Train train) {
    List<Miscount> all = new ArrayList<>();
    List<Member> wheels = counted(train);
    for (int a = 0; a < wheels.size(); a++) {
      for (int b = a + 1; b < wheels.size(); b++) {
        for (int up = 0; up < 4; up++) {
          int stepA = (up & 1) * 2 - 1;
          int stepB = (up & 2) - 1;
          Member other = wheels.get(b);
          List<Count> counts = List.of(count(wheels.get(a), stepA), count(other, stepB));
          changed(train, wheels.get(a), stepA)
              .flatMap(one -> changed(one, other, stepB))
              .flatMap(both -> of(both, counts, 2))
              .ifPresent(all::add);
        }
      }
    }
    return all;
  }

  private static List<Member> counted(Train train) {
    return train.members().stream().filter(member -> member.teeth().isPresent()).toList();
  }

  private static Count count(Member wheel, int step) {
    Teeth teeth = wheel.teeth().orElseThrow();
    return new Count(
        wheel.id(),
        teeth,
        new Teeth(Math.clamp(teeth.count() + step, 1, Teeth.MOST), teeth.internal()));
  }

  /** Empty where no train can have such counts. */
  private static Optional<Train> changed(Train train, Member wheel, int step) {
    Teeth teeth = wheel.teeth().orElseThrow();
    if (!Teeth.isCount(teeth.count() + step)) {
      return Optional.empty();
    }
    try {
      return Optional.of(
          train.withTeeth(wheel.id(), new Teeth(teeth.count() + step, teeth.internal())));
    } catch (IllegalArgumentException noTrain) {
      return Optional.empty();
    }
  }

  private static Optional<Miscount> of(Train train, List<Count> counts, int teeth) {
    return ratio(train).map(ratio -> new Miscount(train, counts, teeth, ratio));
  }

  private static Optional<Ratio> ratio(Train train) {
    return MotionSolver.solve(Mechanism.of(train)).ratio();
  }
}
