package steadycog.search;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntToDoubleFunction;

/**
 * In which steps a source is swept, so that what comes first in the order of candidates is found
 * first and the rest need not be looked at. By error, reach is widened from a thousand-millionth
 * on; by stages it is so for each number of stages.
 *
 * @param share what can at best come out of trains of so many stages
 */
record Steps(Query query, int from, int to, IntToDoubleFunction share) {
  /** Where it is not known what comes out. */
  static final IntToDoubleFunction ALL = stages -> 1;

  private static final double FIRST_REACH = 1e-9;
  private static final double WIDENING = 100;

  /** With fewer stages first, each in reaches of errors. */
  List<Step> byStages() {
    List<Step> all = new ArrayList<>();
    for (int k = from; k <= to; k++) {
      reaches(k, all);
    }
    return all;
  }

  /** With small errors first, each by stages. */
  List<Step> byError() {
    List<Step> all = byStages();
    all.sort(
        (a, b) ->
            a.above() != b.above()
                ? Double.compare(a.above(), b.above())
                : Integer.compare(a.stages(), b.stages()));
    return all;
  }

  private void reaches(int stages, List<Step> all) {
    double widest = query.mostError();
    double above = -1;
    for (double reach = FIRST_REACH; above < widest; reach *= WIDENING) {
      double upTo = Math.min(reach, widest);
      Key bound = key(new Measures(Math.max(0, above), stages, 0, 0, share.applyAsDouble(stages)));
      all.add(new Step(stages, above, upTo, 0, Double.POSITIVE_INFINITY, bound));
      above = upTo;
    }
  }

  /** All errors at once. */
  List<Step> whole() {
    List<Step> all = new ArrayList<>();
    for (int k = from; k <= to; k++) {
      all.add(
          Step.whole(k, query.mostError(), key(new Measures(0, k, 0, 0, share.applyAsDouble(k)))));
    }
    return all;
  }

  /**
   * All errors at once, under a growing cap on teeth or on the diameter.
   *
   * @param least below which there is nothing
   * @param most above which there is nothing
   */
  List<Step> capped(double least, double most, double growth) {
    List<Step> all = new ArrayList<>();
    double over = 0;
    for (double cap = least; over < most; cap = Math.max(cap + 1, Math.floor(cap * growth))) {
      for (int k = from; k <= to; k++) {
        Key bound = key(new Measures(0, k, over, over, share.applyAsDouble(k)));
        all.add(new Step(k, -1, query.mostError(), over, Math.min(cap, most), bound));
      }
      over = Math.min(cap, most);
    }
    return all;
  }

  private Key key(Measures measures) {
    return query.listing().rank().key(measures);
  }
}
