package steadycog.train;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;

/**
 * The brakes and clutches of a train and the states that they put it in.
 *
 * @param declared brakes and clutches that are there whether or not a state engages them
 * @param states in the order of the card, each with a name of its own
 */
public record ShiftPlan(List<Element> declared, List<State> states) {
  public static final ShiftPlan NONE = new ShiftPlan(List.of(), List.of());

  public ShiftPlan {
    declared = List.copyOf(declared);
    states = List.copyOf(states);
    Set<String> names = new LinkedHashSet<>();
    for (State state : states) {
      if (!names.add(state.name())) {
        throw new IllegalArgumentException("two states named " + state.name());
      }
    }
  }

  public boolean isEmpty() {
    return declared.isEmpty() && states.isEmpty();
  }

  /** Every brake and clutch: the declared ones, then what only states name. */
  public List<Element> elements() {
    Set<Element> all = new LinkedHashSet<>(declared);
    states.forEach(state -> all.addAll(state.engaged()));
    return List.copyOf(all);
  }

  /**
   * How many brakes and clutches change at once from {@code before} to {@code after}: the larger of
   * those released and those engaged, so that 1 is a single swap.
   */
  public static int changes(Set<Element> before, Set<Element> after) {
    long released = before.stream().filter(element -> !after.contains(element)).count();
    long engaged = after.stream().filter(element -> !before.contains(element)).count();
    return Math.toIntExact(Math.max(released, engaged));
  }

  public Optional<State> state(String name) {
    return states.stream().filter(state -> state.name().equals(name)).findFirst();
  }

  /** The same plan with {@code element} as well; one that is there already changes nothing. */
  public ShiftPlan declaring(Element element) {
    if (declared.contains(element)) {
      return this;
    }
    List<Element> more = new ArrayList<>(declared);
    more.add(element);
    return new ShiftPlan(more, states);
  }

  /** The same plan without a brake or clutch; states that engaged it do so no longer. */
  public ShiftPlan dropping(Element element) {
    return new ShiftPlan(
        declared.stream().filter(other -> !other.equals(element)).toList(),
        states.stream()
            .map(state -> state.engaged().contains(element) ? state.toggling(element) : state)
            .toList());
  }

  /** The same plan with one more state, behind the others. */
  public ShiftPlan adding(State state) {
    List<State> more = new ArrayList<>(states);
    more.add(state);
    return new ShiftPlan(declared, more);
  }

  /** The same plan with {@code state} in place of the one called {@code name}. */
  public ShiftPlan replacing(String name, State state) {
    return new ShiftPlan(
        declared, states.stream().map(old -> old.name().equals(name) ? state : old).toList());
  }

  /** The same plan without the state called {@code name}. */
  public ShiftPlan without(String name) {
    return new ShiftPlan(
        declared, states.stream().filter(state -> !state.name().equals(name)).toList());
  }

  /** The same plan with the state called {@code name} moved by {@code step} places, kept inside. */
  public ShiftPlan moving(String name, int step) {
    List<State> moved = new ArrayList<>(states);
    State state = state(name).orElseThrow();
    int to = Math.clamp(states.indexOf(state) + step, 0, states.size() - 1);
    moved.remove(state);
    moved.add(to, state);
    return new ShiftPlan(declared, moved);
  }

  /** {@code base}, or with the first number behind it, that no state is called yet. */
  public String freeName(String base) {
    String name = base;
    for (int k = 2; state(name).isPresent(); k++) {
      name = base + "-" + k;
    }
    return name;
  }

  /** Of its states. */
  List<String> names() {
    return states.stream().map(State::name).toList();
  }

  /** The same plan for members under other names, without those that do not stay. */
  ShiftPlan renamed(UnaryOperator<MemberId> rename, Predicate<MemberId> stays) {
    return new ShiftPlan(
        declared.stream()
            .filter(element -> element.members().stream().allMatch(stays))
            .map(element -> element.renamed(rename))
            .toList(),
        states.stream().map(state -> state.renamed(rename, stays)).toList());
  }
}
