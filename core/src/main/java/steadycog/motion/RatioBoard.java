package steadycog.motion;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.number.Ratio;
import steadycog.train.Drive;
import steadycog.train.Join;
import steadycog.train.MemberId;
import steadycog.train.Roles;
import steadycog.train.Take;
import steadycog.train.Train;

/**
 * Every way to drive a train and take off from it. Wheels of one shaft count once, by the first of
 * them. With one freedom any two shafts make a configuration; with two a third one is held.
 *
 * @param configurations in the order of drive, hold and take-off on the card; those without a ratio
 *     are left out
 * @param freedoms of the train with nothing held; the board knows one and two
 */
public record RatioBoard(List<Configuration> configurations, int freedoms) {

  /** One way to use the train. */
  public record Configuration(
      MemberId drive, Optional<MemberId> hold, MemberId take, Ratio ratio) {}

  public RatioBoard {
    configurations = List.copyOf(configurations);
  }

  /**
   * Works out every configuration; cubic in the number of shafts. Roles on the card play no part.
   */
  public static RatioBoard of(Train train) {
    Train bare =
        train.withRoles(new Roles(List.of(), List.of(), Optional.empty(), train.roles().locks()));
    int freedoms = freedoms(bare);
    List<MemberId> shafts = shafts(bare);
    List<Configuration> found = new ArrayList<>();
    for (MemberId drive : shafts) {
      if (freedoms == 1) {
        addTakes(bare, drive, Optional.empty(), shafts, found);
      } else if (freedoms == 2) {
        shafts.stream()
            .filter(hold -> !hold.equals(drive))
            .forEach(hold -> addTakes(bare, drive, Optional.of(hold), shafts, found));
      }
    }
    return new RatioBoard(found, freedoms);
  }

  private static int freedoms(Train bare) {
    MemberId any = bare.members().getFirst().id();
    Roles roles =
        new Roles(List.of(Drive.of(any)), List.of(), Optional.empty(), bare.roles().locks());
    return MotionSolver.solve(Mechanism.of(bare.withRoles(roles))).freedoms();
  }

  private static void addTakes(
      Train bare,
      MemberId drive,
      Optional<MemberId> hold,
      List<MemberId> shafts,
      List<Configuration> found) {
    for (MemberId take : shafts) {
      if (!take.equals(drive) && !hold.filter(take::equals).isPresent()) {
        Roles roles =
            new Roles(
                List.of(Drive.of(drive)),
                hold.stream().toList(),
                Optional.of(Take.of(take)),
                bare.roles().locks());
        MotionSolver.solve(Mechanism.of(bare.withRoles(roles)))
            .ratio()
            .ifPresent(ratio -> found.add(new Configuration(drive, hold, take, ratio)));
      }
    }
  }

  /** The first member of every shaft. */
  private static List<MemberId> shafts(Train train) {
    List<MemberId> first = new ArrayList<>();
    train.members().forEach(member -> first.add(member.id()));
    List<Join> ties = new ArrayList<>(train.keyed());
    ties.addAll(train.joins());
    ties.addAll(train.roles().locks());
    ties.forEach(tie -> first.remove(tie.b()));
    return first;
  }
}
