package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.number.Measured;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Pitch;
import steadycog.train.Planetary;
import steadycog.train.Train;

/** A rule that looks at one row of a planetary set at a time. */
abstract class PlanetaryRule implements Rule {
  @Override
  public final List<Finding> check(Subject subject) {
    List<Finding> found = new ArrayList<>();
    for (Planetary set : subject.train().parts(Planetary.class)) {
      for (int row = 0; row < set.rows().size(); row++) {
        check(subject.train(), set, row).ifPresent(found::add);
      }
    }
    return found;
  }

  abstract Optional<Finding> check(Train train, Planetary set, int row);

  static Finding finding(String code, Severity severity, Planetary set, int row) {
    return Finding.of(code, severity, set.wheels(row).stream().map(Member::id).toList());
  }

  /**
   * The module in mm behind a length in modules where it is known: {@code 2.00 modules (3.00 mm)}.
   */
  static Object length(Train train, double modules) {
    return length(train, modules, 2);
  }

  /** With more figures in inches than in mm. */
  static Object length(Train train, double modules, int decimals) {
    return length(train.pitch(), modules, decimals);
  }

  /** A length in modules of a wheel. */
  static Object length(Train train, MemberId wheel, double modules, int decimals) {
    return length(train.pitch(wheel), modules, decimals);
  }

  private static Object length(Optional<Pitch> size, double modules, int decimals) {
    String text = PairRule.rounded(modules, decimals) + " modules";
    return size.<Object>map(
            pitch ->
                Measured.mm(modules * pitch.moduleMm().doubleValue(), decimals)
                    .between(text + " (", ")"))
        .orElse(text);
  }
}
