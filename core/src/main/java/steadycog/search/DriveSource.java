package steadycog.search;

import java.util.List;
import java.util.Optional;
import steadycog.train.Cycloidal;
import steadycog.train.MemberId;
import steadycog.train.Part;
import steadycog.train.Roles;
import steadycog.train.StrainWave;
import steadycog.train.Train;

/**
 * Cycloidal and strain wave drives: one count decides. With the outer slow member held the ratio is
 * n : 1 the other way, with the inner one n + 1 : 1 the same way, and with the fast one held (n +
 * 1)/n; each may be driven from either end.
 */
final class DriveSource implements Source {
  static final int LEAST_LOBES = 5;
  private static final int MOST_LOBES = 120;
  private static final int LEAST_FLEX = 60;
  private static final int MOST_FLEX = 640;

  private final Query query;
  private final Kind kind;
  private final Goal goal;

  DriveSource(Query query, Kind kind) {
    this.query = query;
    this.kind = kind;
    this.goal = Goal.either(query);
  }

  @Override
  public Kind kind() {
    return kind;
  }

  @Override
  public List<Step> steps() {
    return query.limits().stages().contains(1)
        ? new Steps(query, 1, 1, Steps.ALL).whole()
        : List.of();
  }

  @Override
  public void sweep(Reach reach) {
    if (kind == Kind.CYCLOIDAL) {
      for (int lobes = LEAST_LOBES; lobes <= MOST_LOBES; lobes++) {
        Cycloidal.Sizes sizes = Cycloidal.Sizes.USUAL.withDiscs(2);
        offer(reach, new Cycloidal("", lobes, lobes + 1, sizes), lobes);
      }
    } else {
      for (int flex = LEAST_FLEX; flex <= MOST_FLEX; flex++) {
        for (int lobes = 2; lobes <= 3; lobes++) {
          StrainWave drive = new StrainWave("", flex, flex + lobes, lobes, StrainWave.Sizes.USUAL);
          offer(reach, drive, (double) flex / lobes);
        }
      }
    }
  }

  /** All arrangements of a drive of ratio {@code nominal}; its first shaft is the fast one. */
  private void offer(Reach reach, Part drive, double nominal) {
    reach.tally().examine(6);
    MemberId fast = drive.shafts().get(0);
    MemberId inner = drive.shafts().get(1);
    MemberId outer = drive.shafts().get(2);
    either(reach, drive, -nominal, List.of(fast, outer, inner));
    either(reach, drive, nominal + 1, List.of(fast, inner, outer));
    either(reach, drive, (nominal + 1) / nominal, List.of(inner, fast, outer));
  }

  private void either(Reach reach, Part drive, double ratio, List<MemberId> inHeldOut) {
    offer(reach, drive, ratio, inHeldOut);
    offer(reach, drive, 1 / ratio, inHeldOut.reversed());
  }

  private void offer(Reach reach, Part drive, double ratio, List<MemberId> inHeldOut) {
    if (!reach.wants(goal, ratio) || !reach.allows(ratio, () -> refusal(drive))) {
      return;
    }
    Train train =
        Train.of(List.of(drive))
            .withRoles(
                Roles.between(inHeldOut.get(0), List.of(inHeldOut.get(1)), inHeldOut.get(2)));
    double error = goal.error(Math.abs(ratio));
    Measures atBest =
        new Measures(error, 1, Candidate.size(train), Candidate.diameterInOrder(drive), 1);
    Fit fit = new Fit(List.of(train), train, "");
    reach.leads().add(atBest, judge -> judge.offer(fit));
  }

  private Optional<String> refusal(Part drive) {
    boolean fits =
        query.limits().diameter().map(most -> Candidate.diameter(drive) <= most).orElse(true);
    return fits ? Optional.empty() : Optional.of("diameter");
  }
}
