package steadycog.search;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.check.Severity;
import steadycog.train.Train;

/**
 * Runs searches. Reach is widened step by step, from errors of a thousand-millionth on: as soon as
 * enough candidates are found within a reach nothing beyond it can be better.
 */
public final class Hunt {
  /** Without a tolerance nothing further off than this is listed. */
  public static final double FURTHEST = 0.5;

  private static final double FIRST_REACH = 1e-9;
  private static final double WIDENING = 100;

  private static final List<Kind> QUICKEST_FIRST =
      List.of(Kind.CYCLOIDAL, Kind.STRAIN_WAVE, Kind.PARALLEL, Kind.TWO_ROW, Kind.PLANETARY);

  /** Leads that are built and checked at a time, by all threads together. */
  private static final int BLOCK = 64;

  private final Query query;
  private final Watch watch;
  private final Tally tally = new Tally();
  private final Map<Kind, List<Candidate>> found = new EnumMap<>(Kind.class);
  private boolean proven = true;

  private Hunt(Query query, Watch watch) {
    this.query = query;
    this.watch = watch;
  }

  /**
   * Looks for trains; with several kinds each gets its share of the list. Uses all processors;
   * memory is bounded whatever is asked for.
   */
  public static Found run(Query query, Watch watch) {
    return new Hunt(query, watch).run();
  }

  private Found run() {
    for (Kind kind : QUICKEST_FIRST) {
      if (query.kinds().contains(kind) && !watch.cancelled()) {
        run(source(kind));
      }
    }
    return new Found(listed(), tally.examined(), tally.rejected(), proven && !watch.cancelled());
  }

  private Source source(Kind kind) {
    return switch (kind) {
      case PARALLEL -> new ParallelSource(query);
      case PLANETARY -> new PlanetarySource(query);
      case TWO_ROW -> new TwoRowSource(query);
      case CYCLOIDAL, STRAIN_WAVE -> new DriveSource(query, kind);
    };
  }

  private void run(Source source) {
    Best best = new Best(query.top());
    double widest = Math.min(FURTHEST, query.mostError());
    double above = -1;
    for (double reach = FIRST_REACH; above < widest; reach *= WIDENING) {
      double upTo = Math.min(reach, widest);
      Leads leads = new Leads();
      source.sweep(new Reach(query.limits(), above, upTo, leads, tally, watch));
      boolean enough = check(source.kind(), leads, best);
      if (enough || watch.cancelled()) {
        return;
      }
      if (leads.dropped()) {
        proven = false;
        return;
      }
      above = upTo;
    }
  }

  /** Builds leads in order until none left can be among the best; tells whether that came. */
  private boolean check(Kind kind, Leads leads, Best best) {
    List<Lead> all = leads.inOrder();
    for (int from = 0; from < all.size() && !watch.cancelled(); from += BLOCK) {
      Lead first = all.get(from);
      if (!best.wouldTake(first.error(), first.least())) {
        return true;
      }
      List<Lead> block = all.subList(from, Math.min(all.size(), from + BLOCK));
      List<Train> built = block.parallelStream().flatMap(lead -> built(lead, best)).toList();
      boolean more = false;
      for (Train train : built) {
        more |= offer(kind, train, best);
      }
      if (more) {
        found.put(kind, best.list());
        watch.found(listed());
      }
    }
    return best.full() && !leads.dropped();
  }

  private Stream<Train> built(Lead lead, Best best) {
    return watch.cancelled()
        ? Stream.empty()
        : lead.builder().build(tally, rank -> best.wouldTake(lead.error(), rank)).stream();
  }

  /** Rules are the dear part: only what would be among the best is judged by them. */
  private boolean offer(Kind kind, Train train, Best best) {
    BigFraction target = query.target().ratio();
    double error = Candidate.error(train, target);
    boolean near = best.wouldTake(error, Candidate.rank(train)) && !watch.cancelled();
    return near
        && Candidate.of(kind, train.withLosses(query.running().losses()), target)
            .filter(this::allowed)
            .filter(best::offer)
            .isPresent();
  }

  private boolean allowed(Candidate candidate) {
    boolean sound = candidate.worst() != Severity.ERROR;
    if (!sound && (candidate.kind() != Kind.PARALLEL || query.limits().sound())) {
      tally.reject("errors");
      return false;
    }
    Optional<String> refusal = query.running().refusal(candidate.eachWay());
    if (refusal.isPresent()) {
      tally.reject(refusal.get());
      return false;
    }
    double most = query.tolerance().map(t -> t.share(candidate.lastTeeth())).orElse(FURTHEST);
    if (Math.abs(candidate.error()) > most) {
      tally.reject("tolerance");
      return false;
    }
    return true;
  }

  /** The best of every kind, in one order. */
  private List<Candidate> listed() {
    int each = Math.ceilDiv(query.top(), Math.max(1, query.kinds().size()));
    List<Candidate> all = new ArrayList<>();
    found.values().forEach(list -> all.addAll(list.subList(0, Math.min(list.size(), each))));
    all.sort(Candidate.BEST_FIRST);
    return all;
  }
}
