package steadycog.train;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Changes of a train that are made while it is looked at in one of its states. */
public final class StateEdit {
  private StateEdit() {}

  /**
   * The same train with what is changed in {@code inState}, which it was as it runs in {@code
   * state}: parts and sizes in every state, other roles in this one. Empty where a new role is at
   * odds with one that its member has in another state.
   */
  public static Optional<Train> adopting(Train train, State state, Train inState) {
    Train adopted = inState.withRoles(train.roles()).withShifts(train.shifts());
    if (inState.roles().equals(train.in(state).roles())) {
      return Optional.of(adopted);
    }
    try {
      return Optional.of(changing(adopted, state, now -> inState.roles()));
    } catch (IllegalArgumentException atOdds) {
      return Optional.empty();
    }
  }

  /**
   * The same train with the roles in {@code state} changed. What held in every state before stays
   * so; a drive or take-off stays where it was stated; new holds and locks are the state's.
   */
  public static Train changing(Train train, State state, UnaryOperator<Roles> change) {
    Roles after = change.apply(train.roles().and(state.roles()));
    Roles base =
        new Roles(
            state.roles().drives().isEmpty() ? after.drives() : List.of(),
            after.holds().stream().filter(train.roles().holds()::contains).toList(),
            state.roles().take().isEmpty() ? after.take() : Optional.empty(),
            after.locks().stream().filter(train.roles().locks()::contains).toList());
    Roles own =
        new Roles(
            state.roles().drives().isEmpty() ? List.of() : after.drives(),
            after.holds().stream().filter(held -> !train.roles().holds().contains(held)).toList(),
            state.roles().take().isEmpty() ? Optional.empty() : after.take(),
            after.locks().stream().filter(lock -> !train.roles().locks().contains(lock)).toList());
    return train
        .withShifts(ShiftPlan.NONE)
        .withRoles(base)
        .withShifts(train.shifts().replacing(state.name(), new State(state.name(), own)))
        .withSizes(train.sizes());
  }
}
