package steadycog.search;

import java.util.List;
import java.util.Optional;
import steadycog.train.Cycloidal;
import steadycog.train.Drive;
import steadycog.train.MemberId;
import steadycog.train.Part;
import steadycog.train.Roles;
import steadycog.train.StrainWave;
import steadycog.train.Take;
import steadycog.train.Train;

/**
 * Cycloidal and strain wave drives: one count decides, and which of the slow members is held turns
 * n : 1 the other way or n + 1 : 1 the same way.
 */
final class DriveSource implements Source {
  private static final int LEAST_LOBES = 5;
  private static final int MOST_LOBES = 120;
  private static final int LEAST_FLEX = 60;
  private static final int MOST_FLEX = 640;

  private final Query query;
  private final Kind kind;
  private final double target;
  private final boolean faster;

  DriveSource(Query query, Kind kind) {
    this.query = query;
    this.kind = kind;
    double ratio = query.target().ratio().doubleValue();
    this.faster = ratio < 1;
    this.target = faster ? 1 / ratio : ratio;
  }

  @Override
  public Kind kind() {
    return kind;
  }

  @Override
  public void sweep(double above, double upTo, Leads leads, Tally tally, Watch watch) {
    Reach reach = new Reach(above, upTo, leads, tally);
    if (kind == Kind.CYCLOIDAL) {
      for (int lobes = LEAST_LOBES; lobes <= MOST_LOBES; lobes++) {
        reach.offer(new Cycloidal("", lobes, lobes + 1, Cycloidal.Sizes.USUAL.withDiscs(2)), lobes);
      }
    } else {
      for (int flex = LEAST_FLEX; flex <= MOST_FLEX; flex++) {
        for (int lobes = 2; lobes <= 3; lobes++) {
          reach.offer(
              new StrainWave("", flex, flex + lobes, lobes, StrainWave.Sizes.USUAL),
              (double) flex / lobes);
        }
      }
    }
  }

  /** Errors that are swept, and where leads go. */
  private final class Reach {
    private final double above;
    private final double upTo;
    private final Leads leads;
    private final Tally tally;

    Reach(double above, double upTo, Leads leads, Tally tally) {
      this.above = above;
      this.upTo = upTo;
      this.leads = leads;
      this.tally = tally;
    }

    /** Both arrangements of a drive of ratio {@code nominal}. */
    void offer(Part drive, double nominal) {
      if (above < 0) {
        tally.examine(2);
      }
      offer(drive, nominal, false);
      offer(drive, nominal + 1, true);
    }

    private void offer(Part drive, double ratio, boolean same) {
      double error = Errors.of(ratio, target, faster);
      if (error > above && error <= upTo) {
        if (query.limits().direction().allows(same ? 1 : -1)) {
          Train train = train(drive, same);
          leads.add(error, Candidate.size(train), (turnedDown, room) -> List.of(train));
        } else {
          tally.reject("direction");
        }
      }
    }
  }

  /** The first shaft of a drive is the fast one. */
  private Train train(Part drive, boolean same) {
    MemberId fast = drive.shafts().get(0);
    MemberId inner = drive.shafts().get(1);
    MemberId outer = drive.shafts().get(2);
    MemberId out = same ? outer : inner;
    Roles roles =
        new Roles(
            List.of(Drive.of(faster ? out : fast)),
            List.of(same ? inner : outer),
            Optional.of(Take.of(faster ? fast : out)),
            List.of());
    return Train.of(List.of(drive)).withRoles(roles);
  }
}
