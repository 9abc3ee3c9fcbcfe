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

  /** The worst that is kept, once others have been dropped: those are no better. */
  private volatile Optional<Key> limit = Optional.empty();

  private volatile double furthest = Double.POSITIVE_INFINITY;

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
    Optional<Key> worst = limit;
    boolean beyond = worst.isPresent() && key.compareTo(worst.get()) >= 0;
    if (beyond || !best.mayTake(key)) {
      return;
    }
    synchronized (this) {
      worstFirst.add(new Lead(atBest, key, builder));
      if (worstFirst.size() > MOST) {
        worstFirst.remove();
        limit = Optional.of(worstFirst.element().key());
        if (rank == Rank.ERROR) {
          furthest = worstFirst.element().atBest().error();
        }
      }
    }
  }

  /** Says that there may be leads that were not looked for, the reach being beyond bounds. */
  void cutShort() {
    limit = Optional.of(Key.LEAST);
  }

  /** What none of those that were dropped is better than; empty where none was. */
  Optional<Key> dropped() {
    return limit;
  }

  /** The best first. */
  synchronized List<Lead> inOrder() {
    List<Lead> all = new ArrayList<>(worstFirst);
    all.sort(Comparator.naturalOrder());
    return all;
  }
}
