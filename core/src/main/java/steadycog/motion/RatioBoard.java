package steadycog.motion;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import steadycog.number.Known;
import steadycog.number.Quantity;
import steadycog.number.Ratio;
import steadycog.train.Drive;
import steadycog.train.Join;
import steadycog.train.MemberId;
import steadycog.train.Roles;
import steadycog.train.ShiftPlan;
import steadycog.train.Take;
import steadycog.train.Train;

/**
 * Every way to drive a train and take off from it. Wheels of one shaft count once, by the first of
 * them. With one freedom any two shafts make a configuration; with more of them others are held, as
 * many as are needed and no more.
 *
 * @param configurations in the order of drive, holds and take-off on the card; those without a
 *     ratio are left out
 * @param motions one a configuration, the drive at 1 rpm
 * @param freedoms of the train with nothing held
 * @param whole whether all were tried; with very many shafts only the first {@value #MOST} are
 */
public record RatioBoard(
    List<Configuration> configurations, List<Motion> motions, int freedoms, boolean whole) {
  /** So many configurations are tried at most. */
  public static final int MOST = 20_000;

  /**
   * One way to use the train.
   *
   * @param holds whatever is held, in the order of the card; none where two members are locked or
   *     nothing need be held
   */
  public record Configuration(
      MemberId drive, List<MemberId> holds, MemberId take, Optional<Join> lock, Ratio ratio) {
    public Configuration {
      holds = List.copyOf(holds);
    }

    /** The held member, the first of several; empty where none is. */
    public Optional<MemberId> hold() {
      return holds.stream().findFirst();
    }

    /** All that is held, as {@code A.ring, B.sun}; empty where none is. */
    public Optional<String> heldText() {
      return holds.isEmpty()
          ? Optional.empty()
          : Optional.of(holds.stream().map(MemberId::toString).collect(Collectors.joining(", ")));
    }

    /** Whether {@code other} drives, holds, takes off and locks the same members. */
    public boolean isLike(Configuration other) {
      return drive.equals(other.drive)
          && holds.equals(other.holds)
          && take.equals(other.take)
          && lock.equals(other.lock);
    }

    /** {@code roles} changed to this configuration; the speed and torque of its drive stay. */
    public Roles in(Roles roles) {
      Drive driven =
          roles.drives().stream().findFirst().orElseGet(() -> Drive.of(drive)).movedTo(drive);
      Optional<Quantity> load = roles.take().flatMap(Take::load);
      return new Roles(
          List.of(driven), holds, Optional.of(new Take(take, load)), lock.stream().toList());
    }
  }

  public RatioBoard {
    configurations = List.copyOf(configurations);
    motions = List.copyOf(motions);
  }

  private record Worked(Configuration configuration, Motion motion) {}

  /**
   * Works out every configuration; the cost grows with the number of shafts to the power of one
   * more than the freedoms. Roles on the card play no part.
   */
  public static RatioBoard of(Train train) {
    Train bare = train.withRoles(Roles.NONE).withShifts(ShiftPlan.NONE);
    int freedoms = freedoms(bare);
    Listing listing = new Listing(bare);
    for (MemberId drive : freedoms == 0 ? List.<MemberId>of() : listing.shafts) {
      List<MemberId> others =
          listing.shafts.stream().filter(shaft -> !shaft.equals(drive)).toList();
      listing.addHolds(drive, new ArrayList<>(), others, freedoms - 1);
    }
    dropNeedless(listing.found);
    if (freedoms == 2) {
      addLocks(bare, listing.shafts, listing.found);
    }
    return new RatioBoard(
        listing.found.stream().map(Worked::configuration).toList(),
        listing.found.stream().map(Worked::motion).toList(),
        freedoms,
        listing.left > 0);
  }

  /** Configurations found so far, and how many more are tried. */
  private static final class Listing {
    private final Train bare;
    private final List<MemberId> shafts;
    private final List<Worked> found = new ArrayList<>();
    private int left = MOST;

    Listing(Train bare) {
      this.bare = bare;
      shafts = shafts(bare);
    }

    /**
     * Holds up to so many of {@code from} on top of {@code holds}, in every way, and takes off the
     * rest.
     */
    void addHolds(MemberId drive, List<MemberId> holds, List<MemberId> from, int more) {
      addTakes(drive, holds);
      for (int k = 0; more > 0 && k < from.size() && left > 0; k++) {
        holds.add(from.get(k));
        addHolds(drive, holds, from.subList(k + 1, from.size()), more - 1);
        holds.removeLast();
      }
    }

    private void addTakes(MemberId drive, List<MemberId> holds) {
      for (MemberId take : shafts) {
        if (!take.equals(drive) && !holds.contains(take) && left > 0) {
          left--;
          configuration(bare, drive, holds, take, Optional.empty()).ifPresent(found::add);
        }
      }
    }
  }

  /** Drops what another configuration does with fewer members held. */
  private static void dropNeedless(List<Worked> found) {
    Map<List<MemberId>, List<Configuration>> alike =
        found.stream()
            .map(Worked::configuration)
            .collect(Collectors.groupingBy(one -> List.of(one.drive, one.take)));
    found.removeIf(
        worked -> {
          Configuration one = worked.configuration;
          return Known.in(alike, List.of(one.drive, one.take)).stream()
              .anyMatch(
                  less ->
                      less.holds.size() < one.holds.size() && one.holds.containsAll(less.holds));
        });
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

  /** Every two shafts of one part locked, the first of them driven, taken off at a third. */
  private static void addLocks(Train bare, List<MemberId> shafts, List<Worked> found) {
    for (int a = 0; a < shafts.size(); a++) {
      for (int b = a + 1; b < shafts.size(); b++) {
        Join lock = new Join(shafts.get(a), shafts.get(b));
        if (lock.a().part().equals(lock.b().part())) {
          shafts.stream()
              .filter(take -> !lock.touches(take))
              .findFirst()
              .flatMap(take -> configuration(bare, lock.a(), List.of(), take, Optional.of(lock)))
              .ifPresent(found::add);
        }
      }
    }
  }

  private static Optional<Worked> configuration(
      Train bare, MemberId drive, List<MemberId> holds, MemberId take, Optional<Join> lock) {
    Roles roles =
        new Roles(
            List.of(Drive.of(drive)), holds, Optional.of(Take.of(take)), lock.stream().toList());
    Motion motion = MotionSolver.solve(Mechanism.of(bare.withRoles(roles)));
    return motion
        .ratio()
        .map(ratio -> new Worked(new Configuration(drive, holds, take, lock, ratio), motion));
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
