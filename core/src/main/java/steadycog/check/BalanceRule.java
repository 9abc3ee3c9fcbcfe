package steadycog.check;

import java.util.List;
import steadycog.shape.CycloidGeometry;
import steadycog.train.Cycloidal;
import steadycog.train.Train;

/** One disc on its eccentric is out of balance; two at 180° or three at 120° are not. */
final class BalanceRule extends CycloidalRule {

  @Override
  List<Finding> check(Train train, Cycloidal drive, CycloidGeometry geometry) {
    int discs = drive.sizes().discs();
    if (discs > 1) {
      return List.of(
          Finding.of("balance", Severity.OK, List.of(drive.discId()))
              .with("discs", discs)
              .with("apart", 360 / discs + "\u00b0")
              .worded("even"));
    }
    return List.of(
        Finding.of("balance", Severity.NOTE, List.of(drive.discId()))
            .with("eccentricity", mm(geometry.eccentricity())));
  }
}
