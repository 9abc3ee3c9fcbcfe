package steadycog.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.PriorityQueue;

/** The best leads of a step, a bounded number of them; may be filled by several threads. */
final class Leads {
  private static final int MOST = 50_000;

  private final Rank rank;
  private final Best best;
  private final PriorityQueue<Lead> worstFirst = new PriorityQueue<>(Comparator.reverseOrder());
  private volatile double furthest = Double.POSITIVE_INFINITY;
  private Optional<Key> dropped = Optional.empty();

  Leads(Rank rank, Best best) {
    this.rank = rank;
    this.best = best;
  }

  /** No lead with a larger error is kept. */
  double furthest() {
    return furthest;
  }

  /** Keeps the lead if it may still be among the best, and of too many drops the worst. */
  void add(Measures atBest, Lead.Builder builder) {
    Key key = rank.key(atBest);
    if (!best.mayTake(key)) {
      return;
    }
    synchronized (this) {
      worstFirst.add(new Lead(atBest, key, builder));
      if (worstFirst.size() > MOST) {
        drop(worstFirst.remove().key());
        if (rank == Rank.ERROR) {
          furthest = worstFirst.element().atBest().error();
        }
      }
    }
  }

  private void drop(Key key) {
    if (dropped.isEmpty() || key.compareTo(dropped.get()) < 0) {
      dropped = Optional.of(key);
    }
  }

  /** Says that there may be leads that were not looked for, the reach being beyond bounds. */
  synchronized void cutShort() {
    drop(Key.LEAST);
  }

  /** The best of those that were not kept. */
  synchronized Optional<Key> dropped() {
    return dropped;
  }

  /** The best first. */
  synchronized List<Lead> inOrder() {
    List<Lead> all = new ArrayList<>(worstFirst);
    all.sort(Comparator.naturalOrder());
    return all;
  }
}
