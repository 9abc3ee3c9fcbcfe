package steadycog.check;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.shape.CycloidGeometry;
import steadycog.train.Cycloidal;
import steadycog.train.Part;
import steadycog.train.Train;

/** A rule that looks at one cycloidal drive at a time. */
abstract class CycloidalRule implements Rule {

  @Override
  public final List<Finding> check(Subject subject) {
    List<Finding> found = new ArrayList<>();
    for (Part part : subject.train().parts()) {
      if (part instanceof Cycloidal drive) {
        found.addAll(check(subject.train(), drive, new CycloidGeometry(drive)));
      }
    }
    return found;
  }

  abstract List<Finding> check(Train train, Cycloidal drive, CycloidGeometry geometry);

  /** A length in mm, rounded down to hundredths so that what it bounds is kept. */
  static Quantity atMost(double millimetres) {
    BigDecimal down = BigDecimal.valueOf(millimetres).setScale(2, RoundingMode.DOWN);
    return new Quantity(Exact.parse(down.max(BigDecimal.valueOf(0.01)).toPlainString()), Unit.MM);
  }

  static Cure cure(Train train, Cycloidal drive, String change, Cycloidal.Sizes sizes) {
    String part = drive.name().isEmpty() ? "" : drive.name() + ": ";
    return new Cure(part + change, train.withPart(drive.sized(sizes)));
  }

  static String mm(double length) {
    return PairRule.rounded(length, 2) + " mm";
  }
}
