package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.number.Unit;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Part;
import steadycog.train.Pitch;
import steadycog.train.Planetary;
import steadycog.train.Train;

/** A rule that looks at one row of a planetary set at a time. */
abstract class PlanetaryRule implements Rule {
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

  /**
   * The module in mm behind a length in modules where it is known: {@code 2.00 modules (3.00 mm)}.
   */
  static String length(Train train, double modules) {
    return length(train, modules, 2);
  }

  /** With more figures in inches than in mm. */
  static String length(Train train, double modules, int decimals) {
    return length(train.pitch(), modules, decimals);
  }

  /** A length in modules of a wheel. */
  static String length(Train train, MemberId wheel, double modules, int decimals) {
    return length(train.pitch(wheel), modules, decimals);
  }

  private static String length(Optional<Pitch> size, double modules, int decimals) {
    String text = PairRule.rounded(modules, decimals) + " modules";
    return size.map(pitch -> text + " (" + stated(pitch, modules, decimals) + ")").orElse(text);
  }

  private static String stated(Pitch pitch, double modules, int decimals) {
    double length = modules * pitch.moduleMm().doubleValue();
    return pitch.inInches()
        ? PairRule.rounded(Unit.IN.fromBase(length), decimals + 1) + " in"
        : PairRule.rounded(length, decimals) + " mm";
  }
}
