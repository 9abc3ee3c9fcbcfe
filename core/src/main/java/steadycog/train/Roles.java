package steadycog.train;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import steadycog.number.Quantity;

/**
 * Who is driven, held, taken off and locked. A member has at most one of the roles drive, hold and
 * take; a lock comes on top of it.
 */
public record Roles(
    List<Drive> drives, List<MemberId> holds, Optional<Take> take, List<Join> locks) {
  public static final Roles NONE = new Roles(List.of(), List.of(), Optional.empty(), List.of());
  public static final int MOST_DRIVES = 2;

  public Roles {
    drives = List.copyOf(drives);
    holds = List.copyOf(holds);
    locks = List.copyOf(locks);
    if (drives.size() > MOST_DRIVES) {
      throw new IllegalArgumentException("at most " + MOST_DRIVES + " drives");
    }
    Set<MemberId> busy = new HashSet<>();
    drives.forEach(drive -> claim(busy, drive.member()));
    holds.forEach(held -> claim(busy, held));
    take.ifPresent(taken -> claim(busy, taken.member()));
  }

  /** One member driven, some held, one taken off, none locked. */
  public static Roles between(MemberId drive, List<MemberId> holds, MemberId take) {
    return new Roles(List.of(Drive.of(drive)), holds, Optional.of(Take.of(take)), List.of());
  }

  private static void claim(Set<MemberId> busy, MemberId member) {
    if (!busy.add(member)) {
      throw new IllegalArgumentException(member + " has two roles");
    }
  }

  public Role of(MemberId member) {
    if (drives.stream().anyMatch(drive -> drive.member().equals(member))) {
      return Role.DRIVE;
    }
    if (holds.contains(member)) {
      return Role.HOLD;
    }
    if (take.isPresent() && take.get().member().equals(member)) {
      return Role.TAKE;
    }
    return locks.stream().anyMatch(lock -> lock.touches(member)) ? Role.LOCKED : Role.FREE;
  }

  /** Every member that something is said about, as often as it is. */
  List<MemberId> members() {
    List<MemberId> all = new ArrayList<>();
    drives.forEach(drive -> all.add(drive.member()));
    all.addAll(holds);
    take.ifPresent(taken -> all.add(taken.member()));
    locks.forEach(lock -> all.addAll(List.of(lock.a(), lock.b())));
    return all;
  }

  /**
   * These roles and {@code more} together.
   *
   * @throws IllegalArgumentException where a member would have two roles, or there would be a third
   *     drive or a second take-off
   */
  public Roles and(Roles more) {
    if (take.isPresent() && more.take.isPresent()) {
      throw new IllegalArgumentException("a second take-off: " + more.take.get().member());
    }
    return new Roles(
        both(drives, more.drives),
        both(holds, more.holds),
        take.or(more::take),
        both(locks, more.locks));
  }

  private static <T> List<T> both(List<T> some, List<T> more) {
    List<T> all = new ArrayList<>(some);
    all.addAll(more);
    return all;
  }

  /** Whether a torque or power is stated, so that torques are more than shares of 1 N m. */
  public boolean isLoaded() {
    return drives.stream().anyMatch(drive -> drive.effort().isPresent())
        || take.flatMap(Take::load).isPresent();
  }

  /** Whether nobody said what drives and what is taken off. */
  public boolean isUnstated() {
    return drives.isEmpty() && take.isEmpty();
  }

  /**
   * {@code member} driven instead of the first drive so far, whose speed and effort it takes over;
   * a second drive is left as it is. Driving the take-off turns the train round: the old drive
   * becomes the take-off.
   */
  public Roles driving(MemberId member) {
    if (of(member) == Role.DRIVE) {
      return this;
    }
    if (of(member) == Role.TAKE && !drives.isEmpty()) {
      return swappingEnds(drives.getFirst(), take.orElseThrow());
    }
    Roles freed = without(member);
    List<Drive> next = new ArrayList<>(freed.drives);
    if (next.isEmpty()) {
      next.add(Drive.of(member));
    } else {
      next.set(0, next.getFirst().movedTo(member));
    }
    return new Roles(next, freed.holds, freed.take, freed.locks);
  }

  private Roles swappingEnds(Drive drive, Take taken) {
    List<Drive> next = new ArrayList<>(drives);
    next.set(drives.indexOf(drive), drive.movedTo(taken.member()));
    return new Roles(next, holds, Optional.of(new Take(drive.member(), taken.load())), locks);
  }

  /** {@code member} held as well. */
  public Roles holding(MemberId member) {
    if (of(member) == Role.HOLD) {
      return this;
    }
    Roles freed = without(member);
    List<MemberId> next = new ArrayList<>(freed.holds);
    next.add(member);
    return new Roles(freed.drives, next, freed.take, freed.locks);
  }

  /**
   * {@code member} taken off instead of the one so far, whose load it takes over. Taking off a
   * drive turns the train round: the old take-off is driven.
   */
  public Roles taking(MemberId member) {
    if (of(member) == Role.TAKE) {
      return this;
    }
    Optional<Drive> drive = drives.stream().filter(d -> d.member().equals(member)).findFirst();
    if (drive.isPresent() && take.isPresent()) {
      return swappingEnds(drive.get(), take.get());
    }
    Roles freed = without(member);
    Take next =
        freed.take.map(taken -> new Take(member, taken.load())).orElseGet(() -> Take.of(member));
    return new Roles(freed.drives, freed.holds, Optional.of(next), freed.locks);
  }

  /** {@code a} and {@code b} locked to each other. */
  public Roles locking(MemberId a, MemberId b) {
    List<Join> next = new ArrayList<>(locks);
    next.add(new Join(a, b));
    return new Roles(drives, holds, take, next);
  }

  /** {@code member} held no longer. */
  Roles releasing(MemberId member) {
    return new Roles(
        drives, holds.stream().filter(held -> !held.equals(member)).toList(), take, locks);
  }

  /** With {@code torque} on the take-off, where there is one; empty for none that is stated. */
  public Roles loaded(Optional<Quantity> torque) {
    return new Roles(drives, holds, take.map(one -> new Take(one.member(), torque)), locks);
  }

  /** {@code member} with no role and no lock. */
  public Roles freeing(MemberId member) {
    Roles freed = without(member);
    return new Roles(
        freed.drives,
        freed.holds,
        freed.take,
        locks.stream().filter(lock -> !lock.touches(member)).toList());
  }

  /**
   * The same roles for members under other names; those of members that do not stay are dropped.
   */
  Roles renamed(UnaryOperator<MemberId> rename, Predicate<MemberId> stays) {
    return new Roles(
        drives.stream()
            .filter(drive -> stays.test(drive.member()))
            .map(drive -> drive.movedTo(rename.apply(drive.member())))
            .toList(),
        holds.stream().filter(stays).map(rename).toList(),
        take.filter(taken -> stays.test(taken.member()))
            .map(taken -> taken.movedTo(rename.apply(taken.member()))),
        Join.renamed(locks, rename, stays));
  }

  private Roles without(MemberId member) {
    return new Roles(
        drives.stream().filter(drive -> !drive.member().equals(member)).toList(),
        holds.stream().filter(held -> !held.equals(member)).toList(),
        take.filter(taken -> !taken.member().equals(member)),
        locks);
  }
}
