package steadycog.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import steadycog.train.Train;

/** The best candidates so far, each train once; may be asked by several threads. */
final class Best {
  private final int most;
  private final Rank rank;
  private final TreeSet<Candidate> kept;
  private final Set<Train> seen = new HashSet<>();

  Best(int most, Rank rank) {
    this.most = most;
    this.rank = rank;
    this.kept = new TreeSet<>(order(rank));
  }

  /** Candidates in the order of a rank; those that are equal in everything by their names. */
  static Comparator<Candidate> order(Rank rank) {
    return Comparator.comparing((Candidate c) -> rank.key(c.measures()))
        .thenComparingInt(Candidate::distortion)
        .thenComparing(c -> c.train().parts().toString())
        .thenComparing(c -> c.train().roles().toString())
        .thenComparing(c -> c.train().joins().toString());
  }

  /** Whether a candidate that is at best at {@code key} might still be taken. */
  synchronized boolean mayTake(Key key) {
    return kept.size() < most || key.mayReach(rank.key(kept.last().measures()));
  }

  synchronized boolean offer(Candidate candidate) {
    if (!mayTake(rank.key(candidate.measures())) || !seen.add(candidate.train())) {
      return false;
    }
    kept.add(candidate);
    if (kept.size() > most) {
      kept.pollLast();
    }
    return kept.contains(candidate);
  }

  synchronized List<Candidate> list() {
    return new ArrayList<>(kept);
  }
}
