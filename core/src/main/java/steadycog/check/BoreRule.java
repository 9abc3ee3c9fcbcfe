package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.number.Measured;
import steadycog.number.Unit;
import steadycog.piece.BevelBody;
import steadycog.piece.Blank;
import steadycog.piece.Bores;
import steadycog.piece.Shafts;
import steadycog.shape.Cut;
import steadycog.shape.CycloidGeometry;
import steadycog.shape.GearOutline;
import steadycog.shape.Rims;
import steadycog.train.Bore;
import steadycog.train.Clearance.Gap;
import steadycog.train.Cycloidal;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Train;

/**
 * Between a stated bore and the roots there must be a wall, a module thick at the least, and one
 * round the shaft in an eccentric.
 */
final class BoreRule implements Rule {
  private static final double LEAST_WALL = 1;

  /** mm. */
  private static final double LEAST_CAM_WALL = 0.8;

  @Override
  public List<Finding> check(Subject subject) {
    List<Finding> found = new ArrayList<>();
    Train train = subject.train();
    if (!Shafts.isAnyStated(train)) {
      return found;
    }
    for (Member member : train.involuteWheels()) {
      MemberId id = member.id();
      double module = train.moduleMm(id);
      Blank blank = Blank.of(train, id);
      boolean solid = !member.teeth().orElseThrow().internal() && !Rims.of(train).containsKey(id);
      if (blank.boreStated() && solid) {
        double root = GearOutline.rootRadius(member.teeth().get(), Cut.of(train, id)) * module;
        wall(train, id, blank.bore().orElseThrow(), root, LEAST_WALL * module, "")
            .ifPresent(found::add);
      }
    }
    for (Member member : train.members()) {
      MemberId id = member.id();
      Optional<BevelBody> bevel =
          member.teeth().isEmpty() ? Optional.empty() : BevelBody.of(train, id);
      Blank blank = Blank.of(train, id);
      if (bevel.isPresent() && blank.boreStated()) {
        double module = bevel.get().moduleMm();
        double least = LEAST_WALL * module;
        wall(train, id, blank.bore().orElseThrow(), bevel.get().leastRadius(), least, "bevel.")
            .ifPresent(found::add);
      }
    }
    for (Cycloidal drive : train.parts(Cycloidal.class)) {
      MemberId id = drive.eccentricId();
      CycloidGeometry geometry = new CycloidGeometry(drive);
      double root = geometry.boreRadius() - geometry.eccentricity();
      Blank.of(train, id)
          .bore()
          .flatMap(bore -> wall(train, id, bore, root, LEAST_CAM_WALL, "cam."))
          .ifPresent(found::add);
    }
    return found;
  }

  /** What is found of a bore that leaves less than {@code least} to {@code root}, mm. */
  private static Optional<Finding> wall(
      Train train, MemberId id, Bore bore, double root, double least, String variant) {
    double hole = Bores.reach(bore) + train.sizes().clearance().mm(Gap.BORE) / 2;
    double wall = root - hole;
    if (wall >= least) {
      return Optional.empty();
    }
    Finding finding =
        Finding.of("bore-wall", wall <= 0 ? Severity.ERROR : Severity.WARNING, List.of(id))
            .with("bore", bore)
            .with("wall", Measured.mm(wall, 2))
            .with("margin", PairRule.rounded(wall - least, 2))
            .with("largest", largest(root - hole + Bores.reach(bore), least, bore));
    return Optional.of(finding.worded(variant + (wall <= 0 ? "none" : "thin")));
  }

  /** The largest such bore that leaves the wall, mm. */
  private static Measured largest(double reach, double least, Bore bore) {
    double share = (reach - least) / Bores.reach(bore);
    double size = Math.max(0, Math.floor(share * bore.size().inBase() * 10) / 10);
    return Measured.significant(size, Unit.MM, 3);
  }
}
