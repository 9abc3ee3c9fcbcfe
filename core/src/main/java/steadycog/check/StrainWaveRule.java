package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.number.Exact;
import steadycog.number.Measured;
import steadycog.shape.StrainGeometry;
import steadycog.train.StrainWave;
import steadycog.train.Train;

/** Strain wave drives: lobes, range of ratio, tooth size, and stress in the wall. */
final class StrainWaveRule implements Rule {
  private static final int LEAST_NOMINAL = 30;
  private static final int MOST_NOMINAL = 320;

  /** Smaller teeth cannot be cut or moulded cleanly, mm. */
  private static final double LEAST_MODULE = 0.1;

  @Override
  public List<Finding> check(Subject subject) {
    List<Finding> found = new ArrayList<>();
    for (StrainWave drive : subject.train().parts(StrainWave.class)) {
      found.add(lobes(drive));
      range(drive).ifPresent(found::add);
      module(subject.train(), drive).ifPresent(found::add);
      stress(subject.train(), drive).ifPresent(found::add);
    }
    return found;
  }

  private static Finding finding(String code, Severity severity, StrainWave drive) {
    return Finding.of(code, severity, List.of(drive.flexId(), drive.circularId()));
  }

  /** Nc - Nf must be a multiple of the lobes, or teeth cannot meet at all of them. */
  private static Finding lobes(StrainWave drive) {
    int over = drive.difference() % drive.lobes();
    Finding found =
        finding("lobe-multiple", over == 0 ? Severity.OK : Severity.ERROR, drive)
            .with("difference", drive.difference())
            .with("lobes", drive.lobes())
            .with("margin", -over);
    return over == 0 ? found.worded("meets") : found;
  }

  private static Optional<Finding> range(StrainWave drive) {
    double nominal = (double) drive.flex() / drive.difference();
    Finding found =
        finding("ratio-range", Severity.WARNING, drive)
            .with("nominal", Exact.text(Exact.of(drive.flex(), drive.difference())))
            .with("least", LEAST_NOMINAL)
            .with("most", MOST_NOMINAL);
    if (nominal < LEAST_NOMINAL) {
      return Optional.of(found.worded("low"));
    }
    return nominal > MOST_NOMINAL ? Optional.of(found.worded("high")) : Optional.empty();
  }

  private static Optional<Finding> module(Train train, StrainWave drive) {
    return train
        .pitch(drive.flexId())
        .map(pitch -> pitch.moduleMm().doubleValue())
        .filter(module -> module < LEAST_MODULE)
        .map(
            module ->
                finding("tooth-size", Severity.WARNING, drive)
                    .with("module", PairRule.rounded(module, 3) + " mm")
                    .with("least", LEAST_MODULE + " mm")
                    .with("margin", PairRule.rounded(module - LEAST_MODULE, 3)));
  }

  /** Against an allowable that the designer states; without one the figure is a note. */
  private static Optional<Finding> stress(Train train, StrainWave drive) {
    if (train.pitch(drive.flexId()).isEmpty()) {
      return Optional.empty();
    }
    double module = train.moduleMm(drive.flexId());
    StrainGeometry geometry = new StrainGeometry(drive);
    double stress = geometry.wallStress(module);
    Finding found =
        finding("flex-stress", Severity.NOTE, drive)
            .with("stress", Math.round(stress) + " MPa")
            .with("wall", Measured.mm(geometry.wall(module) * module, 2))
            .with("deflection", Measured.mm(geometry.deflection() * module, 2));
    if (drive.sizes().allowable().isEmpty()) {
      return Optional.of(found.worded("unjudged"));
    }
    int allowable = drive.sizes().allowable().get();
    Finding judged =
        found.with("allowable", allowable + " MPa").with("margin", Math.round(allowable - stress));
    if (stress <= allowable) {
      return Optional.of(judged.judged(Severity.OK).worded("within"));
    }
    return Optional.of(judged.judged(Severity.ERROR));
  }
}
