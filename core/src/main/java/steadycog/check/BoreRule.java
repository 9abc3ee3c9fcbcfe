package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import steadycog.number.Figures;
import steadycog.piece.Blank;
import steadycog.piece.Bores;
import steadycog.shape.Cut;
import steadycog.shape.Drives;
import steadycog.shape.GearOutline;
import steadycog.train.Bore;
import steadycog.train.Clearance.Gap;
import steadycog.train.Member;
import steadycog.train.Train;

/** Between a stated bore and the roots there must be a wall, a module thick at the least. */
final class BoreRule implements Rule {
  private static final double LEAST_WALL = 1;

  @Override
  public List<Finding> check(Subject subject) {
    List<Finding> found = new ArrayList<>();
    Train train = subject.train();
    for (Member member : train.involuteWheels()) {
      Blank blank = Blank.of(train, member.id());
      if (!blank.boreStated() || member.teeth().orElseThrow().internal()) {
        continue;
      }
      double module = Drives.moduleMm(train);
      Bore bore = blank.bore().orElseThrow();
      double root =
          GearOutline.rootRadius(member.teeth().get(), Cut.of(train, member.id())) * module;
      double hole = Bores.reach(bore) + train.sizes().clearance().mm(Gap.BORE) / 2;
      double wall = root - hole;
      if (wall < LEAST_WALL * module) {
        Finding finding =
            Finding.of(
                    "bore-wall",
                    wall <= 0 ? Severity.ERROR : Severity.WARNING,
                    List.of(member.id()))
                .with("bore", bore)
                .with("wall", PairRule.rounded(wall, 2) + " mm")
                .with("margin", PairRule.rounded(wall - LEAST_WALL * module, 2))
                .with("largest", largest(root - hole + Bores.reach(bore), module, bore));
        found.add(wall <= 0 ? finding.worded("none") : finding);
      }
    }
    return found;
  }

  /** The largest such bore that leaves the wall, mm. */
  private static String largest(double reach, double module, Bore bore) {
    double share = (reach - LEAST_WALL * module) / Bores.reach(bore);
    double size = Math.max(0, Math.floor(share * bore.size().inBase() * 10) / 10);
    return Figures.significant(size, 3) + " mm";
  }
}
