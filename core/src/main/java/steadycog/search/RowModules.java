package steadycog.search;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.train.Pitch;
import steadycog.train.Planetary;
import steadycog.train.Train;

/**
 * The modules of the two rows of a set, where they are not one: standard ones that workshops have
 * cutters for (ISO 54, first choice), of every ratio those next to 1 mm.
 *
 * @param first mm, in words
 * @param second mm, in words
 */
record RowModules(String first, String second) {
  private static final List<String> USUAL =
      List.of("1", "1.25", "1.5", "2", "0.8", "2.5", "0.6", "3", "0.5");

  /** Rows further apart than this hardly share a planet. */
  private static final BigFraction MOST = Exact.of(2, 1);

  /** Of every ratio one pair, and the same with the rows changed over. */
  static final List<RowModules> ALL = all();

  private static List<RowModules> all() {
    List<RowModules> all = new ArrayList<>();
    Set<BigFraction> ratios = new HashSet<>();
    for (int sum = 1; sum < 2 * USUAL.size(); sum++) {
      for (int one = 0; one < USUAL.size(); one++) {
        int other = sum - one;
        if (other > one && other < USUAL.size()) {
          RowModules modules = new RowModules(USUAL.get(one), USUAL.get(other));
          RowModules turned = new RowModules(USUAL.get(other), USUAL.get(one));
          BigFraction larger =
              Exact.compare(modules.ratio(), BigFraction.ONE) > 0
                  ? modules.ratio()
                  : turned.ratio();
          if (Exact.compare(larger, MOST) <= 0 && ratios.add(larger)) {
            all.add(modules);
            all.add(turned);
          }
        }
      }
    }
    return List.copyOf(all);
  }

  /** The second row's over the first's. */
  BigFraction ratio() {
    return Exact.parse(second).divide(Exact.parse(first));
  }

  /**
   * The span of teeth (S + P, or R - P) with which the second row runs at the distance of a first
   * row of {@code span}; empty where that is no whole number.
   */
  Optional<Integer> closing(int span) {
    BigFraction teeth = Exact.of(span, 1).divide(ratio());
    return teeth.getDenominatorAsInt() == 1
        ? Optional.of(teeth.getNumeratorAsInt())
        : Optional.empty();
  }

  /** {@code train} in the module of the first row, with one of its own for the second. */
  Train sizing(Train train, Planetary set) {
    return train
        .sized(pitch(first))
        .withPitch(set.planetIds(1).getFirst(), Optional.of(pitch(second)));
  }

  private static Pitch pitch(String module) {
    return new Pitch.Module(Quantity.of(module, Unit.MM));
  }
}
