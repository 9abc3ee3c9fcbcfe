package steadycog.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** The candidates that are worth comparing: no other is both nearer and smaller. */
public final class Front {
  private Front() {}

  /**
   * The best of each size, from the smallest to the nearest: each is nearer to the target than all
   * that are as small. Cost n log n.
   */
  public static List<Candidate> of(List<Candidate> all) {
    List<Candidate> bySize = new ArrayList<>(all);
    bySize.sort(
        Comparator.<Candidate>comparingInt(one -> one.size()).thenComparingDouble(Front::distance));
    List<Candidate> front = new ArrayList<>();
    for (Candidate candidate : bySize) {
      if (front.isEmpty() || distance(candidate) < distance(front.getLast())) {
        front.add(candidate);
      }
    }
    return front;
  }

  private static double distance(Candidate candidate) {
    return Math.abs(candidate.error());
  }
}
