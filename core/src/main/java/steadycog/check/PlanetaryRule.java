package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.train.Member;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Train;

/** A rule that looks at one row of a planetary set at a time. */
abstract class PlanetaryRule implements Rule {
  private static final int MOST_RECOUNTS = 3;

  @Override
  public final List<Finding> check(Subject subject) {
    List<Finding> found = new ArrayList<>();
    for (Part part : subject.train().parts()) {
      if (part instanceof Planetary set) {
        for (int row = 0; row < set.rows().size(); row++) {
          check(subject.train(), set, row).ifPresent(found::add);
        }
      }
    }
    return found;
  }

  abstract Optional<Finding> check(Train train, Planetary set, int row);

  static Finding finding(String code, Severity severity, Planetary set, int row) {
    return Finding.of(code, severity, set.wheels(row).stream().map(Member::id).toList());
  }

  /** Counts one or two teeth away that go together, as cures. */
  static List<Cure> recounts(Train train, Planetary set) {
    return Recount.near(set).stream()
        .limit(MOST_RECOUNTS)
        .map(other -> Cure.set(train, set, other))
        .toList();
  }

  /**
   * The module in mm behind a length in modules where it is known: {@code 2.00 modules (3.00 mm)}.
   */
  static String length(Train train, double modules) {
    String text = PairRule.rounded(modules, 2) + " modules";
    return train
        .pitch()
        .map(
            pitch ->
                text
                    + " ("
                    + PairRule.rounded(modules * pitch.moduleMm().doubleValue(), 2)
                    + " mm)")
        .orElse(text);
  }
}
