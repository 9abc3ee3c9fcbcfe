package steadycog.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Stages of one ratio.
 *
 * @param elements the smaller ones first, at least one
 */
record Group(double ratio, int sign, List<SeriesStage> elements) {

  /** All of {@code elements}, rising by ratio. */
  static List<Group> of(List<? extends SeriesStage> elements) {
    List<SeriesStage> sorted = new ArrayList<>(elements);
    sorted.sort(
        Comparator.comparingDouble(SeriesStage::ratio)
            .thenComparingInt(SeriesStage::sign)
            .thenComparingInt(SeriesStage::size));
    List<Group> all = new ArrayList<>();
    int from = 0;
    for (int k = 1; k <= sorted.size(); k++) {
      SeriesStage first = sorted.get(from);
      boolean same =
          k < sorted.size()
              && sorted.get(k).ratio() == first.ratio()
              && sorted.get(k).sign() == first.sign();
      if (!same) {
        all.add(new Group(first.ratio(), first.sign(), sorted.subList(from, k)));
        from = k;
      }
    }
    return all;
  }

  int leastSize() {
    return elements.getFirst().size();
  }

  double leastDiameter() {
    double least = Double.POSITIVE_INFINITY;
    for (SeriesStage element : elements) {
      least = Math.min(least, element.diameter());
    }
    return least;
  }
}
