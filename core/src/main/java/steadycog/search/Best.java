package steadycog.search;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import steadycog.train.Part;

/** The best candidates so far, each train once; may be asked by several threads. */
final class Best {
  private final int most;
  private final TreeSet<Candidate> kept = new TreeSet<>(Candidate.BEST_FIRST);
  private final Set<List<Part>> seen = new HashSet<>();

  Best(int most) {
    this.most = most;
  }

  synchronized boolean full() {
    return kept.size() >= most;
  }

  /** Whether a candidate of at least this error and rank might still be taken. */
  synchronized boolean wouldTake(double error, double rank) {
    if (!full()) {
      return true;
    }
    Candidate worst = kept.last();
    int byError = Double.compare(error, Math.abs(worst.error()));
    return byError < 0 || byError == 0 && rank <= worst.rank();
  }

  synchronized boolean offer(Candidate candidate) {
    if (!wouldTake(Math.abs(candidate.error()), candidate.rank())
        || !seen.add(candidate.train().parts())) {
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
