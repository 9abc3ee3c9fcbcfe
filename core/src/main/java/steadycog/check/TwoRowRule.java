package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.train.Member;
import steadycog.train.Planetary;
import steadycog.train.Train;

/** A rule that looks at one planetary set of two rows at a time. */
abstract class TwoRowRule implements Rule {

  @Override
  public final List<Finding> check(Subject subject) {
    List<Finding> found = new ArrayList<>();
    for (Planetary set : subject.train().parts(Planetary.class)) {
      if (set.stepped()) {
        check(subject.train(), set).ifPresent(found::add);
      }
    }
    return found;
  }

  abstract Optional<Finding> check(Train train, Planetary set);

  static Finding finding(String code, Severity severity, Planetary set) {
    return Finding.of(code, severity, set.wheels().stream().map(Member::id).toList());
  }
}
