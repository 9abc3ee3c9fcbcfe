package steadycog.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;

/** The best leads, a bounded number of them; may be filled by several threads. */
final class Leads {
  private static final int MOST = 50_000;

  private final PriorityQueue<Lead> worstFirst = new PriorityQueue<>(Comparator.reverseOrder());
  private volatile double threshold = Double.POSITIVE_INFINITY;
  private volatile boolean dropped;

  /** No lead with a larger error is kept. */
  double threshold() {
    return threshold;
  }

  /** Keeps the lead, and of too many drops the worst. */
  void add(double error, double least, Lead.Builder builder) {
    if (error <= threshold) {
      synchronized (this) {
        worstFirst.add(new Lead(error, least, builder));
        if (worstFirst.size() > MOST) {
          worstFirst.poll();
          dropped = true;
          threshold = worstFirst.element().error();
        }
      }
    } else {
      dropped = true;
    }
  }

  /** Says that there may be leads that were not looked for, the reach being beyond bounds. */
  void cutShort() {
    dropped = true;
  }

  /** Whether there were, or may have been, more than are kept. */
  boolean dropped() {
    return dropped;
  }

  /** The best first. */
  synchronized List<Lead> inOrder() {
    List<Lead> all = new ArrayList<>(worstFirst);
    all.sort(Comparator.naturalOrder());
    return all;
  }
}
