package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import steadycog.number.Measured;
import steadycog.shape.CycloidGeometry;
import steadycog.train.Cycloidal;
import steadycog.train.Train;

/** A rule that looks at one cycloidal drive at a time. */
abstract class CycloidalRule implements Rule {

  @Override
  public final List<Finding> check(Subject subject) {
    List<Finding> found = new ArrayList<>();
    for (Cycloidal drive : subject.train().parts(Cycloidal.class)) {
      found.addAll(check(subject.train(), drive, new CycloidGeometry(drive)));
    }
    return found;
  }

  abstract List<Finding> check(Train train, Cycloidal drive, CycloidGeometry geometry);

  static Measured mm(double length) {
    return Measured.mm(length, 2);
  }
}
