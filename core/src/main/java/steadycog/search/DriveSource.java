package steadycog.search;

import java.util.List;
import steadycog.train.Cycloidal;
import steadycog.train.MemberId;
import steadycog.train.Part;
import steadycog.train.Roles;
import steadycog.train.StrainWave;
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

  private final Kind kind;
  private final Goal goal;

  DriveSource(Query query, Kind kind) {
    this.kind = kind;
    this.goal = Goal.of(query);
  }

  @Override
  public Kind kind() {
    return kind;
  }

  @Override
  public void sweep(Reach reach) {
    if (kind == Kind.CYCLOIDAL) {
      for (int lobes = LEAST_LOBES; lobes <= MOST_LOBES; lobes++) {
        offer(
            reach, new Cycloidal("", lobes, lobes + 1, Cycloidal.Sizes.USUAL.withDiscs(2)), lobes);
      }
    } else {
      for (int flex = LEAST_FLEX; flex <= MOST_FLEX; flex++) {
        for (int lobes = 2; lobes <= 3; lobes++) {
          offer(
              reach,
              new StrainWave("", flex, flex + lobes, lobes, StrainWave.Sizes.USUAL),
              (double) flex / lobes);
        }
      }
    }
  }

  /** Both arrangements of a drive of ratio {@code nominal}. */
  private void offer(Reach reach, Part drive, double nominal) {
    if (reach.first()) {
      reach.tally().examine(2);
    }
    offer(reach, drive, nominal, false);
    offer(reach, drive, nominal + 1, true);
  }

  private void offer(Reach reach, Part drive, double ratio, boolean same) {
    double error = goal.error(ratio);
    if (reach.contains(error) && reach.turns(same ? 1 : -1)) {
      Train train = train(drive, same);
      reach.leads().add(error, Candidate.size(train), (turnedDown, room) -> List.of(train));
    }
  }

  /** The first shaft of a drive is the fast one. */
  private Train train(Part drive, boolean same) {
    MemberId fast = drive.shafts().get(0);
    MemberId inner = drive.shafts().get(1);
    MemberId outer = drive.shafts().get(2);
    Roles roles = goal.roles(fast, List.of(same ? inner : outer), same ? outer : inner);
    return Train.of(List.of(drive)).withRoles(roles);
  }
}
