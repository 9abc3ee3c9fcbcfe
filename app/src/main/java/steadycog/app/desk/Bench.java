package steadycog.app.desk;

import steadycog.notation.Card;
import steadycog.study.Study;

/** One train on the bench with all that has been worked out about it. */
public record Bench(Card card, Study study) {

  static Bench of(Card card) {
    return new Bench(card, Study.of(card.train()));
  }
}
