package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import steadycog.number.Figures;
import steadycog.number.Measured;
import steadycog.number.Unit;
import steadycog.rating.RatedShaft;
import steadycog.rating.ShaftRating;
import steadycog.train.BallBearing;

/** Shafts and pins that are too thin for what is wanted, and bearings that do not last. */
public final class ShaftFindings {
  private ShaftFindings() {}

  public static List<Finding> of(ShaftRating rating) {
    List<Finding> all = new ArrayList<>();
    for (RatedShaft shaft : rating.shafts()) {
      if (shaft.isShort()) {
        all.add(strength(shaft, shaft.made().orElseThrow()));
      }
      if (shaft.isLoose()) {
        all.add(loose(shaft, shaft.bearing().orElseThrow()));
      }
      shaft.life().filter(RatedShaft.Life::isShort).ifPresent(life -> all.add(life(shaft, life)));
    }
    return all;
  }

  /** A bore that nobody stated is a proportion, and asks to be stated. */
  private static Finding strength(RatedShaft shaft, RatedShaft.Made made) {
    Finding finding =
        Finding.of(
                "shaft-strength", made.stated() ? Severity.WARNING : Severity.NOTE, shaft.wheels())
            .with("shaft", shaft.name())
            .with("factor", PairRule.rounded(made.factor(), 2))
            .with("wanted", Figures.plain(shaft.wanted()))
            .with(
                "state",
                shaft.worst().state().isEmpty() ? "" : " in state " + shaft.worst().state())
            .with("diameter", Measured.significant(made.diameter(), Unit.MM, 3))
            .with("least", Measured.significant(shaft.least(), Unit.MM, 3));
    return made.stated() ? finding : finding.worded("assumed");
  }

  private static Finding loose(RatedShaft shaft, BallBearing bearing) {
    double diameter = shaft.made().orElseThrow().diameter();
    return Finding.of("bearing-bore", Severity.WARNING, shaft.wheels())
        .with("shaft", shaft.name())
        .with("diameter", Measured.significant(diameter, Unit.MM, 3))
        .with("bearing", bearing.name())
        .with("bore", Measured.significant(bearing.bore(), Unit.MM, 3))
        .with("fitting", BallBearing.on(diameter).map(BallBearing::says).orElse("a plain bush"));
  }

  private static Finding life(RatedShaft shaft, RatedShaft.Life life) {
    return Finding.of("bearing-life", Severity.WARNING, shaft.wheels())
        .with("shaft", shaft.name())
        .with("hours", Figures.significant(life.hours(), 3))
        .with("wanted", Figures.plain(life.wanted()))
        .with("rating", Figures.significant(life.rating(), 3))
        .with("needed", Figures.significant(life.needed(), 3));
  }
}
