package steadycog.bench;

import steadycog.number.Memo;
import steadycog.number.Same;
import steadycog.study.Study;
import steadycog.train.Train;

/** What is worked out of trains that were built: every reading of a test asks for the same. */
final class Studies {
  private static final Memo<Same<Train, Train>, Study> LATEST =
      Memo.of(4, of -> Study.of(of.one()));

  private Studies() {}

  static Study of(Train train) {
    return LATEST.get(new Same<>(train, train));
  }
}
