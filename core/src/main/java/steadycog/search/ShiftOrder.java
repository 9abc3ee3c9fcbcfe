package steadycog.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Ratio;
import steadycog.search.StateHunt.FoundState;
import steadycog.search.StateHunt.Way;
import steadycog.train.Element;
import steadycog.train.ShiftPlan;
import steadycog.train.State;

/**
 * Puts ratios in the order in which they are shifted through, and of the ways to make each chooses
 * those between which least changes: from the largest reduction to the smallest, states that
 * reverse before them.
 */
public final class ShiftOrder {
  /** Of each ratio so many ways are weighed. */
  private static final int MOST_WAYS = 8;

  private static final String REVERSE = "R";

  private ShiftOrder() {}

  /** A choice of one way for a ratio, and the best choices before it. */
  private record Choice(FoundState state, Way way, Optional<Choice> before, int length, int extra) {
    static final Comparator<Choice> BEST =
        Comparator.comparingInt((Choice c) -> -c.length).thenComparingInt(c -> c.extra);

    Set<Element> engaged() {
      return way.engaged();
    }
  }

  /**
   * All of {@code kept}, ordered and named: forward states 1, 2, 3 …, those that reverse R, R2 …
   * With as few changes beyond a single swap a shift as there can be.
   */
  public static List<State> of(List<FoundState> kept) {
    List<FoundState> ordered = ordered(kept);
    List<Choice> here = List.of();
    for (FoundState state : ordered) {
      List<Choice> next = new ArrayList<>();
      for (Way way : state.ways().stream().limit(MOST_WAYS).toList()) {
        Optional<Choice> before =
            here.stream().min(Comparator.comparingInt(choice -> choice.extra + extra(choice, way)));
        int extra = before.map(choice -> choice.extra + extra(choice, way)).orElse(0);
        next.add(new Choice(state, way, before, 1, extra));
      }
      here = next;
    }
    return named(here.stream().min(Choice.BEST));
  }

  /**
   * The longest row of states of which each is one swap from the next and every forward step is
   * worth having, with a state that reverses before them if one is a swap away.
   */
  public static List<State> propose(List<FoundState> all) {
    List<Choice> choices = new ArrayList<>();
    for (FoundState state : ordered(all)) {
      for (Way way : state.ways().stream().limit(MOST_WAYS).toList()) {
        if (!way.floats() || way.engaged().size() == 1) {
          choices.add(longest(state, way, choices));
        }
      }
    }
    return named(choices.stream().min(Choice.BEST));
  }

  private static Choice longest(FoundState state, Way way, List<Choice> before) {
    Optional<Choice> best =
        before.stream()
            .filter(choice -> extra(choice, way) == 0 && isWorth(choice.state, state))
            .min(Choice.BEST);
    return new Choice(state, way, best, best.map(choice -> choice.length + 1).orElse(1), 0);
  }

  private static boolean isWorth(FoundState from, FoundState to) {
    BigFraction step = from.ratio().reduction().divide(to.ratio().reduction());
    boolean turnsBack = from.ratio().reduction().signum() < 0;
    return turnsBack ? step.signum() < 0 : step.compareTo(Ratio.NEAR_ONE) >= 0;
  }

  /** Elements beyond one that change at once. */
  private static int extra(Choice from, Way to) {
    return Math.max(0, ShiftPlan.changes(from.engaged(), to.engaged()) - 1);
  }

  private static List<FoundState> ordered(List<FoundState> kept) {
    return kept.stream()
        .sorted(
            Comparator.comparing((FoundState one) -> one.ratio().reduction().signum() > 0)
                .thenComparing(one -> one.ratio().reduction().abs(), Comparator.reverseOrder()))
        .toList();
  }

  private static List<State> named(Optional<Choice> last) {
    List<Choice> row = new ArrayList<>();
    for (Optional<Choice> at = last; at.isPresent(); at = at.get().before) {
      row.addFirst(at.get());
    }
    List<State> states = new ArrayList<>();
    int forward = 0;
    int reverse = 0;
    for (Choice choice : row) {
      boolean back = choice.state.ratio().reduction().signum() < 0;
      reverse += back ? 1 : 0;
      forward += back ? 0 : 1;
      String name = back ? REVERSE + (reverse > 1 ? reverse : "") : Integer.toString(forward);
      states.add(State.engaging(name, choice.engaged()));
    }
    return states;
  }
}
