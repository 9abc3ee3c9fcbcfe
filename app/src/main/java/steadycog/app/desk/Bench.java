package steadycog.app.desk;

import java.util.Optional;
import steadycog.notation.Card;
import steadycog.number.Pace;
import steadycog.study.Study;
import steadycog.train.State;

/**
 * One train on the bench with all that has been worked out about it.
 *
 * @param state which of its states it is in; empty where it has none
 * @param study of the train as it runs in {@code state}
 */
public record Bench(Card card, Optional<State> state, Study study) {

  /** The train of {@code card} in the state of that name, or in its first one. */
  static Bench of(Card card, Optional<String> name, Pace pace) {
    Optional<State> state =
        name.flatMap(card.train().shifts()::state)
            .or(() -> card.train().shifts().states().stream().findFirst());
    return new Bench(
        card, state, Study.of(state.map(card.train()::in).orElseGet(card::train), pace));
  }
}
