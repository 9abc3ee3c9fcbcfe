package steadycog.check;

import java.util.Optional;
import java.util.function.IntPredicate;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Planetary;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * The nearest change that puts a finding right.
 *
 * @param change what is changed, as {@code A 14 -> 15}
 * @param cured the train after it
 */
public record Cure(String change, Train cured) {
  private static final int FURTHEST = 40;

  /** A planetary set given other counts. */
  static Cure set(Train train, Planetary old, Planetary changed) {
    return new Cure(PlanetaryWords.change(old, changed), train.withPart(changed));
  }

  /** The wheel {@code member} given {@code count} teeth. */
  static Cure teeth(Train train, MemberId member, int count) {
    Teeth old = teethOf(train, member);
    Teeth changed = new Teeth(count, old.internal());
    return new Cure(member + " " + old + " -> " + changed, train.withTeeth(member, changed));
  }

  /**
   * The nearest tooth count of {@code member} that {@code fits}: fewest teeth away, more before
   * less. In a planetary set the other wheels go along, so that it still goes together.
   */
  static Optional<Cure> nearest(Train train, MemberId member, IntPredicate fits) {
    if (train.partOf(member) instanceof Planetary set) {
      return Recount.nearest(set, other -> fits.test(Recount.count(other, member)))
          .map(found -> set(train, set, found));
    }
    int count = teethOf(train, member).count();
    for (int step = 1; step <= FURTHEST; step++) {
      if (Teeth.isCount(count + step) && fits.test(count + step)) {
        return Optional.of(teeth(train, member, count + step));
      }
      if (Teeth.isCount(count - step) && fits.test(count - step)) {
        return Optional.of(teeth(train, member, count - step));
      }
    }
    return Optional.empty();
  }

  private static Teeth teethOf(Train train, MemberId member) {
    return train.members().stream()
        .filter(candidate -> candidate.id().equals(member))
        .findFirst()
        .flatMap(Member::teeth)
        .orElseThrow();
  }
}
