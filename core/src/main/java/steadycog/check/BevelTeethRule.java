package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import steadycog.number.Measured;
import steadycog.shape.BasicRack;
import steadycog.shape.BevelPair;
import steadycog.shape.PairGeometry;
import steadycog.train.MemberId;
import steadycog.train.Part;
import steadycog.train.Train;

/**
 * The teeth of straight bevel gears, judged as the spur teeth on their back cones (Tredgold;
 * Shigley, straight bevel gears): undercut, interference and contact ratio by virtual counts, and a
 * face no longer than a third of the cone distance.
 */
final class BevelTeethRule implements Rule {
  private static final double ROUNDING = 1e-9;

  @Override
  public List<Finding> check(Subject subject) {
    List<Finding> found = new ArrayList<>();
    Train train = subject.train();
    for (Part part : train.parts()) {
      BevelPair.of(train, part).ifPresent(pair -> teeth(train, pair, found));
    }
    return found;
  }

  private static void teeth(Train train, BevelPair pair, List<Finding> found) {
    BevelPair.Gear small = pair.isSmaller() ? pair.one() : pair.other();
    BevelPair.Gear large = pair.isSmaller() ? pair.other() : pair.one();
    List<MemberId> both = List.of(pair.one().id(), pair.other().id());
    PairGeometry spur = pair.onBackCones();
    undercut(pair, small, found);
    undercut(pair, large, found);
    double margin = spur.interferenceMargin();
    if (margin < 0) {
      found.add(
          Finding.of("interference", Severity.ERROR, both)
              .with("pinion", small.name())
              .with("gear", large.name())
              .with("virtual", PairRule.rounded(small.virtualTeeth(), 1))
              .with("margin", PairRule.rounded(margin, 3))
              .with("excess", PairRule.rounded(-margin, 3))
              .with("shifted", pair.one().id())
              .worded("bevel"));
    }
    double ratio = spur.contactRatio();
    if (ratio < ContactRatioRule.SMOOTH) {
      found.add(
          Finding.of(
                  "contact-ratio",
                  ratio < ContactRatioRule.LEAST ? Severity.ERROR : Severity.WARNING,
                  both)
              .with("pinion", small.name())
              .with("gear", large.name())
              .with("contactRatio", PairRule.rounded(ratio, 2))
              .with("margin", PairRule.rounded(ratio - ContactRatioRule.SMOOTH, 2))
              .worded("bevel"));
    }
    face(train, pair, both, found);
  }

  private static void undercut(BevelPair pair, BevelPair.Gear gear, List<Finding> found) {
    BasicRack rack = gear.cut().rack();
    double needed = rack.shiftAgainstUndercut(gear.virtualTeeth());
    double missing = needed - gear.cut().shift();
    if (needed <= 0 || missing <= UndercutRule.HARMLESS) {
      return;
    }
    double shift = Math.ceil(needed * 1000) / 1000 * (gear.equals(pair.one()) ? 1 : -1);
    found.add(
        Finding.of("undercut", Severity.WARNING, List.of(gear.id()))
            .with("gear", gear.name())
            .with("teeth", gear.teeth())
            .with("virtual", PairRule.rounded(gear.virtualTeeth(), 1))
            .with("least", PairRule.rounded(rack.undercutFree(), 1))
            .with("margin", PairRule.rounded(gear.virtualTeeth() - rack.undercutFree(), 1))
            .with("missing", PairRule.rounded(missing, 3))
            .with("shifted", pair.one().id())
            .with("shift", PairRule.rounded(shift, 3))
            .worded("bevel"));
  }

  private static void face(Train train, BevelPair pair, List<MemberId> both, List<Finding> found) {
    double cone = pair.coneDistance() * train.moduleMm(pair.one().id());
    double most = cone * BevelPair.MOST_FACE;
    double face = pair.faceMm(train);
    if (face > most * (1 + ROUNDING)) {
      found.add(
          Finding.of("bevel-face", face < cone ? Severity.WARNING : Severity.ERROR, both)
              .with("face", Measured.mm(face, 2))
              .with("cone", Measured.mm(cone, 2))
              .with("most", Measured.mm(Math.floor(most * 10) / 10, 1))
              .with("margin", PairRule.rounded(most - face, 2)));
    }
  }
}
