package steadycog.search;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.Mechanism;
import steadycog.motion.Motion;
import steadycog.motion.MotionSolver;
import steadycog.motion.RatioBoard;
import steadycog.number.Ratio;
import steadycog.train.Element;
import steadycog.train.MemberId;
import steadycog.train.Role;
import steadycog.train.Roles;
import steadycog.train.ShiftPlan;
import steadycog.train.State;
import steadycog.train.Train;

/**
 * Finds every ratio that the brakes and clutches of a train can make: each choice of as many of
 * them as there are freedoms to take away, and of fewer where the output follows although something
 * floats. More would only jam the train or add nothing.
 */
public final class StateHunt {
  /** So many choices are tried at most. */
  public static final int MOST = 200_000;

  private final Train bare;
  private final List<Element> elements;
  private final int needed;
  private final Watch watch;
  private final Map<BigFraction, List<Way>> found = new HashMap<>();
  private long jammed;
  private long neutral;
  private long examined;

  /**
   * One choice of brakes and clutches.
   *
   * @param floats whether some member is left to itself
   * @param fastest speed of the fastest member over that of the input
   */
  public record Way(Set<Element> engaged, boolean floats, BigFraction fastest) {
    static final Comparator<Way> BEST_FIRST =
        Comparator.comparing(Way::floats)
            .thenComparingInt(way -> way.engaged.size())
            .thenComparing(Way::fastest);

    public Way {
      engaged = Collections.unmodifiableSet(new LinkedHashSet<>(engaged));
    }
  }

  /**
   * One ratio with all ways to make it, the best first: nothing floating, few elements, no member
   * fast.
   */
  public record FoundState(Ratio ratio, List<Way> ways) {
    public FoundState {
      ways = List.copyOf(ways);
    }
  }

  /**
   * What was found.
   *
   * @param states from the largest reduction to the smallest, those that reverse behind
   * @param examined choices tried
   * @param jammed choices that lock up
   * @param neutral choices that leave the output to itself or at rest
   * @param whole whether all were tried
   */
  public record FoundStates(
      List<FoundState> states, long examined, long jammed, long neutral, boolean whole) {
    public FoundStates {
      states = List.copyOf(states);
    }
  }

  private StateHunt(Train train, List<Element> elements, Watch watch) {
    this.elements = elements;
    this.watch = watch;
    bare = train.withShifts(ShiftPlan.NONE);
    Motion free = MotionSolver.solve(Mechanism.of(bare));
    needed = free.freedoms() - 1;
  }

  /**
   * Why nothing can be enumerated; empty where it can.
   *
   * @param train with the drive and the take-off that hold in every state
   */
  public static Optional<String> trouble(Train train) {
    Roles roles = train.roles();
    if (roles.drives().size() != 1 || roles.take().isEmpty()) {
      return Optional.of("State one drive and the take-off outside of the states first.");
    }
    return train.shifts().elements().isEmpty() && candidates(train).isEmpty()
        ? Optional.of("There is nothing to hold or to lock.")
        : Optional.empty();
  }

  /**
   * The train that states are made on: where it has no brakes and clutches yet, what is held or
   * locked on it is let go, for a state to hold or lock.
   */
  public static Train released(Train train) {
    Roles roles = train.roles();
    return train.shifts().elements().isEmpty()
        ? train.withRoles(new Roles(roles.drives(), List.of(), roles.take(), List.of()))
        : train;
  }

  /**
   * Every brake and clutch that could be put on: for a train on which none are declared yet. What
   * is held or locked is among them.
   */
  public static List<Element> candidates(Train held) {
    Train train = released(held);
    List<MemberId> shafts = RatioBoard.shafts(train.withShifts(ShiftPlan.NONE));
    List<Element> all = new ArrayList<>();
    for (MemberId shaft : shafts) {
      if (train.roles().of(shaft) == Role.FREE) {
        all.add(new Element.Brake(shaft));
      }
    }
    for (int a = 0; a < shafts.size(); a++) {
      for (int b = a + 1; b < shafts.size(); b++) {
        all.add(Element.Clutch.of(shafts.get(a), shafts.get(b)));
      }
    }
    return all;
  }

  /**
   * Tries every choice of the train's own brakes and clutches, or of all {@linkplain #candidates
   * candidates} where it has none. The cost grows with their number to the power of the freedoms.
   */
  public static FoundStates of(Train train, Watch watch) {
    List<Element> own = train.shifts().elements();
    StateHunt hunt = new StateHunt(released(train), own.isEmpty() ? candidates(train) : own, watch);
    boolean whole = true;
    for (int size = 0; size <= Math.min(hunt.needed, hunt.elements.size()) && whole; size++) {
      whole = hunt.choose(0, size, new ArrayList<>());
    }
    return hunt.result(whole);
  }

  /** False where it was cut short. */
  private boolean choose(int from, int more, List<Element> chosen) {
    if (more == 0) {
      return attempt(chosen);
    }
    for (int k = from; k <= elements.size() - more; k++) {
      chosen.add(elements.get(k));
      boolean whole = choose(k + 1, more - 1, chosen);
      chosen.removeLast();
      if (!whole) {
        return false;
      }
    }
    return true;
  }

  private boolean attempt(List<Element> chosen) {
    if (watch.cancelled() || examined == MOST) {
      return false;
    }
    examined++;
    Motion motion;
    try {
      motion = MotionSolver.solve(Mechanism.of(bare.in(State.engaging("try", chosen))));
    } catch (IllegalArgumentException twoRoles) {
      jammed++;
      return true;
    }
    if (motion.status() == Motion.Status.JAMMED) {
      jammed++;
    } else if (motion.ratio().isEmpty()) {
      neutral++;
    } else {
      BigFraction fastest = motion.fastest().map(Motion.Fastest::times).orElse(BigFraction.ONE);
      found
          .computeIfAbsent(motion.ratio().get().reduction(), none -> new ArrayList<>())
          .add(new Way(new LinkedHashSet<>(chosen), !motion.floating().isEmpty(), fastest));
    }
    return true;
  }

  private FoundStates result(boolean whole) {
    List<FoundState> states = new ArrayList<>();
    found.forEach(
        (ratio, ways) -> {
          ways.sort(Way.BEST_FIRST);
          states.add(new FoundState(new Ratio(ratio), minimal(ways)));
        });
    states.sort(
        Comparator.comparing((FoundState one) -> one.ratio.reduction().signum() < 0)
            .thenComparing(one -> one.ratio.reduction().abs(), Comparator.reverseOrder()));
    return new FoundStates(states, examined, jammed, neutral, whole);
  }

  /** Without ways that only add to another: what is engaged on top of it does nothing. */
  private static List<Way> minimal(List<Way> ways) {
    List<Way> kept = new ArrayList<>();
    for (Way way : ways) {
      boolean adds =
          way.floats && kept.stream().anyMatch(less -> way.engaged.containsAll(less.engaged));
      if (!adds) {
        kept.add(way);
      }
    }
    return kept;
  }
}
