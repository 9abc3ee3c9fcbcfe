package steadycog.cure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import steadycog.check.Inspection;
import steadycog.check.Severity;
import steadycog.gearbox.Build;
import steadycog.number.Pace;
import steadycog.number.Quantity;
import steadycog.piece.Blank;
import steadycog.shape.FaceLayout;
import steadycog.train.BearingSize;
import steadycog.train.Bore;
import steadycog.train.Housing;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.MotorFace;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Planetary.Spacing;
import steadycog.train.Train;
import steadycog.train.WheelSize;

/**
 * What makes a gearbox go together that does not, or lets one be made: wishes taken back, other
 * bores, another motor's face, fewer planets, larger teeth. Each is built and proved before it is
 * offered, keeps the ratio, and brings no warning.
 */
public final class GearboxCures {
  private static final int MOST = 3;
  private static final int MOST_TRIED = 16;

  /** Bores so much smaller are tried. */
  private static final List<Double> THINNER = List.of(0.75, 0.5);

  /** A thinner bore is of no use, mm. */
  private static final double THINNEST = 1;

  private final Train train;
  private final List<Change> changes = new ArrayList<>();

  private GearboxCures(Train train) {
    this.train = train;
  }

  /**
   * The first that do, those that change least before others. Cost: a whole gearbox for each that
   * is tried, {@value #MOST_TRIED} at most.
   */
  public static List<Cure> of(Train train, Pace pace) {
    Inspection before = Inspection.of(train);
    List<Trial> found = new ArrayList<>();
    int built = 0;
    for (Change change : new GearboxCures(train).changes()) {
      double share = (double) built / MOST_TRIED;
      pace.at(share);
      Trial trial = new Trial(before, change);
      boolean fits =
          found.stream().noneMatch(trial::isLike)
              && trial.keepsRatio()
              && trial.after().addsNothing(Severity.WARNING, before);
      if (fits && goesTogether(change.train(), done -> pace.at(share))) {
        found.add(trial);
      }
      built += fits ? 1 : 0;
      if (found.size() == MOST || built == MOST_TRIED) {
        break;
      }
    }
    return found.stream().map(Trial::cure).toList();
  }

  private static boolean goesTogether(Train changed, Pace pace) {
    return Build.of(changed, FaceLayout.of(changed), pace).goesTogether();
  }

  private List<Change> changes() {
    Housing said = train.sizes().housing();
    putBack(said);
    said.wall().ifPresent(any -> wish("wall as usual", 0.6, now -> now.withWall(Optional.empty())));
    said.bolts()
        .ifPresent(any -> wish("bolts as usual", 0.6, now -> now.withBolts(Optional.empty())));
    said.motor().ifPresent(this::motors);
    for (Member member : train.members()) {
      WheelSize own = train.sizes().own(member.id());
      own.bearing().ifPresent(size -> bearing(member.id(), own, size));
      Optional<Bore> bore = own.bore().or(() -> driven(member.id()));
      bore.ifPresent(now -> thinner(member.id(), own, now));
    }
    for (Part part : train.parts()) {
      if (part instanceof Planetary set) {
        fewerPlanets(set);
      }
    }
    SizeChanges.modules(train).forEach(one -> changes.add(one.worth(2 + one.effort())));
    return changes.stream().sorted(Comparator.comparingDouble(Change::effort)).toList();
  }

  private void wish(String words, double effort, UnaryOperator<Housing> change) {
    changes.add(Change.sized(words, train.withSizes(train.sizes().wishing(change))).worth(effort));
  }

  private void putBack(Housing said) {
    for (String piece : said.leftOut()) {
      List<String> others = said.leftOut().stream().filter(one -> !one.equals(piece)).toList();
      wish("put back " + piece, 0.1, now -> now.without(others));
    }
    if (said.leftOut().size() > 1) {
      wish("put back all that is left out", 0.2, now -> now.without(List.of()));
    }
  }

  private void motors(MotorFace said) {
    for (MotorFace face : MotorFace.usual()) {
      if (face.size() > said.size()) {
        wish(
            "motor face " + said.size() + " mm -> " + face.size() + " mm",
            1,
            now -> now.withMotor(Optional.of(face)));
      }
    }
    wish("no motor face", 2.5, now -> now.withMotor(Optional.empty()));
  }

  private void bearing(MemberId member, WheelSize own, BearingSize said) {
    if (said.bearing().isPresent()) {
      BearingSize usual = new BearingSize(Optional.empty(), said.rating(), said.places());
      Optional<BearingSize> left = Optional.of(usual).filter(now -> !now.equals(BearingSize.NONE));
      changes.add(sized("bearing " + member + " as usual", member, own.withBearing(left), 0.5));
    }
  }

  private void fewerPlanets(Planetary set) {
    for (int count = set.count() - 1; count > 1; count--) {
      Planetary fewer = set.withCount(count);
      double effort = 2 + 0.1 * (set.count() - count);
      changes.add(Change.set(train, set, fewer).worth(effort));
      if (fewer.spacing() != Spacing.EQUAL) {
        changes.add(Change.set(train, set, fewer.spaced(Spacing.EQUAL)).worth(effort));
      }
    }
  }

  /** The bore that is assumed for a member that drives. */
  private Optional<Bore> driven(MemberId member) {
    boolean drives =
        train.rolesInForce().drives().stream().anyMatch(one -> one.member().equals(member));
    return drives ? Blank.of(train, member).bore() : Optional.empty();
  }

  private void thinner(MemberId member, WheelSize own, Bore now) {
    for (double share : THINNER) {
      Quantity size = DriveChanges.atMost(share * now.size().inBase());
      if (size.inBase() >= THINNEST) {
        Bore bore = SizeChanges.resized(now, size);
        changes.add(
            sized(
                "bore " + member + " " + bore,
                member,
                own.withBore(Optional.of(bore)),
                1.5 + 1 - share));
      }
    }
  }

  private Change sized(String words, MemberId member, WheelSize size, double effort) {
    return Change.sized(words, train.withSizes(train.sizes().with(member, size))).worth(effort);
  }
}
