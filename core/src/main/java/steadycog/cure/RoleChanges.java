package steadycog.cure;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.train.Drive;
import steadycog.train.Join;
import steadycog.train.MemberId;
import steadycog.train.Role;
import steadycog.train.Roles;
import steadycog.train.Take;
import steadycog.train.Train;

/** Other roles: who is driven, held, taken off, locked, and with what torque. */
final class RoleChanges {
  /** Trains of more shafts than this are given no roles from scratch. */
  private static final int MOST_SHAFTS = 6;

  private final Train train;
  private final Roles now;
  private final List<MemberId> shafts;
  private final List<Change> all = new ArrayList<>();

  RoleChanges(Train train) {
    this.train = train;
    this.now = train.rolesInForce();
    this.shafts = train.parts().stream().flatMap(part -> part.shafts().stream()).toList();
  }

  List<Change> all() {
    if (train.roles().isUnstated() && train.assumedEnds().isPresent()) {
      add(words(now), now);
    }
    for (MemberId shaft : shafts) {
      Role role = now.of(shaft);
      if (role == Role.FREE) {
        add("hold " + shaft, now.holding(shaft));
        add("take " + shaft, now.taking(shaft));
      }
      if (role == Role.HOLD) {
        add("release " + shaft, now.freeing(shaft));
      }
    }
    for (Join lock : now.locks()) {
      List<Join> left = now.locks().stream().filter(other -> !other.equals(lock)).toList();
      add(
          "unlock " + lock.a() + " and " + lock.b(),
          new Roles(now.drives(), now.holds(), now.take(), left));
    }
    efforts();
    if (now.drives().isEmpty() && shafts.size() <= MOST_SHAFTS) {
      fromScratch();
    }
    return all;
  }

  /** Torques no longer stated: of one drive, of the take-off. */
  private void efforts() {
    for (Drive drive : now.drives()) {
      if (drive.effort().isPresent()) {
        List<Drive> others =
            now.drives().stream().map(d -> d.equals(drive) ? withoutEffort(d) : d).toList();
        add(
            "no torque of " + drive.member(),
            new Roles(others, now.holds(), now.take(), now.locks()));
      }
      if (now.drives().size() > 1) {
        add("drive no " + drive.member(), now.freeing(drive.member()));
      }
    }
    now.take()
        .filter(take -> take.load().isPresent())
        .ifPresent(
            take ->
                add(
                    "no torque of " + take.member(),
                    new Roles(
                        now.drives(),
                        now.holds(),
                        Optional.of(Take.of(take.member())),
                        now.locks())));
  }

  private static Drive withoutEffort(Drive drive) {
    return new Drive(drive.member(), drive.speed(), Optional.empty(), drive.motor());
  }

  /** Every drive, take-off and held member besides those held already, in the order of the card. */
  private void fromScratch() {
    for (MemberId drive : shafts) {
      for (int k = shafts.size() - 1; k >= 0; k--) {
        MemberId take = shafts.get(k);
        if (now.of(drive) == Role.HOLD || now.of(take) == Role.HOLD || drive.equals(take)) {
          continue;
        }
        Roles ends =
            now.take().map(Take::member).filter(t -> !t.equals(take)).isPresent()
                ? null
                : now.driving(drive).taking(take);
        if (ends == null || ends.of(drive) != Role.DRIVE) {
          continue;
        }
        add(words(ends), ends);
        for (MemberId held : shafts) {
          if (ends.of(held) == Role.FREE) {
            add(words(ends.holding(held)), ends.holding(held));
          }
        }
      }
    }
  }

  private String words(Roles roles) {
    List<String> said = new ArrayList<>();
    roles.drives().forEach(drive -> said.add("drive " + drive.member()));
    roles.holds().stream()
        .filter(held -> !train.roles().holds().contains(held))
        .forEach(held -> said.add("hold " + held));
    roles.take().ifPresent(take -> said.add("take " + take.member()));
    return String.join(", ", said);
  }

  private void add(String words, Roles roles) {
    if (!roles.equals(train.roles())) {
      all.add(Change.roles(train, words, roles).worth(1 + all.size() / 1000.0));
    }
  }
}
