package steadycog.motion;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.number.Quantity;
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

  /** One way to use the train: a member held, or two locked, or neither where nothing need be. */
  public record Configuration(
      MemberId drive, Optional<MemberId> hold, MemberId take, Optional<Join> lock, Ratio ratio) {

    /** Whether {@code other} drives, holds, takes off and locks the same members. */
    public boolean isLike(Configuration other) {
      return drive.equals(other.drive)
          && hold.equals(other.hold)
          && take.equals(other.take)
          && lock.equals(other.lock);
    }

    /** {@code roles} changed to this configuration; the speed and torque of its drive stay. */
    public Roles in(Roles roles) {
      Drive driven =
          roles.drives().stream().findFirst().orElseGet(() -> Drive.of(drive)).movedTo(drive);
      Optional<Quantity> load = roles.take().flatMap(Take::load);
      return new Roles(
          List.of(driven),
          hold.stream().toList(),
          Optional.of(new Take(take, load)),
          lock.stream().toList());
    }
  }

  public RatioBoard {
    configurations = List.copyOf(configurations);
  }

  /**
   * Works out every configuration; cubic in the number of shafts. Roles on the card play no part.
   */
  public static RatioBoard of(Train train) {
    Train bare = train.withRoles(Roles.NONE);
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
    if (freedoms == 2) {
      addLocks(bare, shafts, found);
    }
    return new RatioBoard(found, freedoms);
  }

  private static int freedoms(Train bare) {
    Roles any =
        new Roles(
            List.of(Drive.of(bare.members().getFirst().id())),
            List.of(),
            Optional.empty(),
            List.of());
    return MotionSolver.solve(Mechanism.of(bare.withRoles(any))).freedoms();
  }

  private static void addTakes(
      Train bare,
      MemberId drive,
      Optional<MemberId> hold,
      List<MemberId> shafts,
      List<Configuration> found) {
    for (MemberId take : shafts) {
      if (!take.equals(drive) && !hold.filter(take::equals).isPresent()) {
        configuration(bare, drive, hold, take, Optional.empty()).ifPresent(found::add);
      }
    }
  }

  /** Every two shafts of one part locked, the first of them driven, taken off at a third. */
  private static void addLocks(Train bare, List<MemberId> shafts, List<Configuration> found) {
    for (int a = 0; a < shafts.size(); a++) {
      for (int b = a + 1; b < shafts.size(); b++) {
        Join lock = new Join(shafts.get(a), shafts.get(b));
        if (lock.a().part().equals(lock.b().part())) {
          shafts.stream()
              .filter(take -> !lock.touches(take))
              .findFirst()
              .flatMap(
                  take -> configuration(bare, lock.a(), Optional.empty(), take, Optional.of(lock)))
              .ifPresent(found::add);
        }
      }
    }
  }

  private static Optional<Configuration> configuration(
      Train bare, MemberId drive, Optional<MemberId> hold, MemberId take, Optional<Join> lock) {
    Roles roles =
        new Roles(
            List.of(Drive.of(drive)),
            hold.stream().toList(),
            Optional.of(Take.of(take)),
            lock.stream().toList());
    return MotionSolver.solve(Mechanism.of(bare.withRoles(roles)))
        .ratio()
        .map(ratio -> new Configuration(drive, hold, take, lock, ratio));
  }

  /** The first member of every shaft that can be reached from outside. */
  public static List<MemberId> shafts(Train train) {
    List<MemberId> first = new ArrayList<>();
    train.parts().forEach(part -> first.addAll(part.shafts()));
    List<Join> ties = new ArrayList<>(train.keyed());
    ties.addAll(train.joins());
    ties.forEach(tie -> first.remove(tie.b()));
    return first;
  }
}
