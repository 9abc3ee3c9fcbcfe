package steadycog.app.desk;

import steadycog.notation.Card;
import steadycog.shape.FaceLayout;
import steadycog.study.Study;

/** One train on the bench with all that has been worked out about it. */
public record Bench(Card card, Study study, FaceLayout layout) {

  static Bench of(Card card) {
    return new Bench(card, Study.of(card.train()), FaceLayout.of(card.train()));
  }
}
