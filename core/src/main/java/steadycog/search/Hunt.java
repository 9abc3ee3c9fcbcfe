package steadycog.search;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BiPredicate;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.check.Inspection;
import steadycog.check.Severity;
import steadycog.check.Subject;
import steadycog.number.Ratio;
import steadycog.torque.EachWay;
import steadycog.train.Train;

/**
 * Runs searches. Every source is swept step by step, what comes first in the order of candidates
 * first: a step that can bring nothing better than what is found is left out.
 */
public final class Hunt {
  /** Without a tolerance nothing further off than this is listed. */
  public static final double FURTHEST = 0.5;

  private static final double NEAR = Query.USUAL_TOLERANCE.share(1);

  private static final List<Kind> QUICKEST_FIRST =
      List.of(Kind.CYCLOIDAL, Kind.STRAIN_WAVE, Kind.PARALLEL, Kind.TWO_ROW, Kind.PLANETARY);

  /** Leads that are built and checked at a time, by all threads together. */
  private static final int BLOCK = 64;

  /** So many trains that run otherwise than asked, one after the other, and a step is given up. */
  private static final int MOST_IN_VAIN = 4_000;

  private final AtomicInteger inVain = new AtomicInteger();
  private final Query query;
  private final Watch watch;
  private final Rank rank;
  private final Map<Kind, Hunted> hunted = new EnumMap<>(Kind.class);

  private Hunt(Query query, Watch watch) {
    this.query = query;
    this.watch = watch;
    this.rank = query.listing().rank();
  }

  /**
   * Looks for trains; with several kinds each gets its share of the list, and what one leaves goes
   * to the others. Uses all processors; memory is bounded whatever is asked for.
   */
  public static Found run(Query query, Watch watch) {
    return query
        .running()
        .load()
        .map(load -> Laden.run(query, load, watch))
        .orElseGet(() -> ofTeeth(query, watch));
  }

  /** The same, unsized. */
  static Found ofTeeth(Query query, Watch watch) {
    return new Hunt(query, watch).run();
  }

  private Found run() {
    int top = query.listing().top();
    int each = query.kinds().size() == 1 ? top : share();
    run(QUICKEST_FIRST.stream().filter(query.kinds()::contains).toList(), each);
    if (each < top && near().size() < top) {
      run(QUICKEST_FIRST.stream().filter(kind -> isFull(kind, each)).toList(), top);
    }
    boolean whole = hunted.values().stream().noneMatch(kind -> kind.cutShort);
    return new Found(query, listed(), examined(), rejected(), whole && !watch.cancelled());
  }

  private boolean isFull(Kind kind, int most) {
    return hunted.containsKey(kind) && hunted.get(kind).best.list().size() == most;
  }

  /** With several kinds each has at least its share of the list, and some for the others. */
  private int share() {
    int top = query.listing().top();
    return Math.min(top, Math.ceilDiv(3 * top, 2 * query.kinds().size()));
  }

  private void run(List<Kind> kinds, int most) {
    for (Kind kind : kinds) {
      if (!watch.cancelled()) {
        run(source(kind), most);
      }
    }
  }

  private long examined() {
    return hunted.values().stream().mapToLong(kind -> kind.tally.examined()).sum();
  }

  private Map<String, Long> rejected() {
    Tally all = new Tally();
    hunted.values().forEach(kind -> all.add(kind.tally));
    return all.rejected();
  }

  private Source source(Kind kind) {
    return switch (kind) {
      case PARALLEL -> new ParallelSource(query);
      case PLANETARY -> new PlanetarySource(query);
      case TWO_ROW -> new TwoRowSource(query);
      case CYCLOIDAL, STRAIN_WAVE -> new DriveSource(query, kind);
    };
  }

  private void run(Source source, int most) {
    Hunted now = new Hunted(source.kind(), new Best(most, rank), new Tally());
    hunted.put(source.kind(), now);
    for (Step step : source.steps()) {
      if (watch.cancelled()) {
        return;
      }
      if (now.best.mayTake(step.bound())) {
        Leads leads = new Leads(rank, now.best);
        source.sweep(new Reach(query, step, leads, now.tally, this::examined, watch));
        check(now, leads);
        if (leads.dropped().filter(now.best::mayTake).isPresent()) {
          now.cutShort = true;
          return;
        }
      }
    }
  }

  /** Builds leads in order until none left can be among the best. */
  private void check(Hunted now, Leads leads) {
    List<Lead> all = leads.inOrder();
    inVain.set(0);
    for (int from = 0; from < all.size() && !watch.cancelled(); from += BLOCK) {
      if (inVain.get() > MOST_IN_VAIN) {
        leads.cutShort();
        return;
      }
      if (!now.best.mayTake(all.get(from).key())) {
        return;
      }
      List<Lead> block = all.subList(from, Math.min(all.size(), from + BLOCK));
      long more =
          block.parallelStream()
              .filter(lead -> now.best.mayTake(lead.key()))
              .filter(lead -> new Judging(now, lead).run())
              .count();
      if (more > 0) {
        inVain.set(0);
        watch.found(listed());
      }
    }
  }

  /** What has come of one kind. */
  private static final class Hunted {
    private final Kind kind;
    private final Best best;
    private final Tally tally;
    private boolean cutShort;

    Hunted(Kind kind, Best best, Tally tally) {
      this.kind = kind;
      this.best = best;
      this.tally = tally;
    }
  }

  /** The trains of one lead, judged as they are built. */
  private final class Judging implements Judge {
    private final Kind kind;
    private final Lead lead;
    private final Best best;
    private final Tally tally;
    private boolean listed;

    Judging(Hunted now, Lead lead) {
      this.kind = now.kind;
      this.lead = lead;
      this.best = now.best;
      this.tally = now.tally;
    }

    /** Whether any of them is among the best. */
    boolean run() {
      lead.builder().build(this);
      return listed;
    }

    @Override
    public boolean takes(double size, double diameter) {
      return !cancelled() && best.mayTake(rank.key(lead.atBest().sized(size, diameter)));
    }

    @Override
    public void reject(String rule) {
      tally.reject(rule);
    }

    @Override
    public boolean cancelled() {
      return watch.cancelled();
    }

    @Override
    public boolean offer(Fit fit) {
      String trouble = fit.trouble();
      for (Train straight : ways(fit)) {
        if (!query.wheels().allow(straight)) {
          trouble = "stock";
          continue;
        }
        Optional<Train> wound = query.winding().of(straight);
        if (wound.isEmpty()) {
          trouble = "distance";
          continue;
        }
        Train way = wound.get();
        Optional<Candidate> candidate = candidate(way);
        if (candidate.isEmpty()) {
          return true;
        }
        if (!query.winding().isStraight()
            && !query.limits().allowsDiameter(candidate.get().diameter())) {
          trouble = "diameter";
          continue;
        }
        if (candidate.get().worst() != Severity.ERROR) {
          list(candidate.get());
          return true;
        }
        trouble = trouble.isEmpty() ? candidate.get().trouble().orElseThrow() : trouble;
      }
      if (query.listing().any() && query.wheels().allow(fit.plain())) {
        query.winding().of(fit.plain()).flatMap(this::candidate).ifPresent(this::list);
        return true;
      }
      tally.reject(trouble);
      return false;
    }

    /** Teeth that wind are undercut later than straight ones: without shifts first, if clean. */
    private Iterable<Train> ways(Fit fit) {
      boolean clean =
          !query.winding().isStraight()
              && query.winding().of(fit.plain()).filter(Hunt::isClean).isPresent();
      return clean ? List.of(fit.plain()) : fit.ways();
    }

    /** Rules are the dear part: only what would be among the best is judged by them. */
    private Optional<Candidate> candidate(Train train) {
      BigFraction target = query.target().ratio();
      Subject subject = Subject.of(train.withLosses(query.running().losses()));
      Optional<Ratio> ratio = subject.motion().ratio();
      if (ratio.isEmpty() || watch.cancelled()) {
        return Optional.empty();
      }
      Optional<String> refusal = running(subject);
      if (refusal.isPresent()) {
        tally.reject(refusal.get());
        inVain.incrementAndGet();
        return Optional.empty();
      }
      Measures known =
          new Measures(
              Math.abs(Candidate.error(ratio.get(), target)),
              Candidate.stages(train),
              Candidate.size(train),
              lead.atBest().diameter(),
              rank == Rank.EFFICIENCY
                  ? Candidate.share(
                      subject.loading().eachWay().flatMap(EachWay::efficiency).orElse(0.0))
                  : 1);
      return best.mayTake(rank.key(known)) ? Candidate.of(kind, subject, target) : Optional.empty();
    }

    private void list(Candidate candidate) {
      double most = query.tolerance().map(t -> t.share(candidate.lastTeeth())).orElse(FURTHEST);
      if (Math.abs(candidate.error()) > most) {
        tally.reject("tolerance");
      } else if (best.offer(candidate)) {
        listed = true;
      }
    }

    /** How a train runs is cheaper to know than whether it is free of errors. */
    private Optional<String> running(Subject subject) {
      return query.running().asksNothing()
          ? Optional.empty()
          : subject.loading().eachWay().flatMap(query.running()::refusal);
    }
  }

  private static boolean isClean(Train train) {
    return Inspection.of(train).isSound();
  }

  /**
   * The best of every kind; then what is as near as people usually ask for, dealt among the kinds
   * in turn; then the rest in the same way, until the list is full. All in one order.
   */
  private List<Candidate> listed() {
    List<Candidate> all = near();
    deal(all, (candidate, turn) -> true);
    all.sort(Best.order(rank));
    return all;
  }

  private List<Candidate> near() {
    List<Candidate> all = new ArrayList<>();
    deal(all, (candidate, turn) -> turn == 0);
    deal(all, (candidate, turn) -> Math.abs(candidate.error()) <= NEAR);
    return all;
  }

  private void deal(List<Candidate> all, BiPredicate<Candidate, Integer> which) {
    List<List<Candidate>> kinds = hunted.values().stream().map(kind -> kind.best.list()).toList();
    for (int turn = 0; turn < query.listing().top(); turn++) {
      List<Candidate> next = new ArrayList<>();
      for (List<Candidate> kind : kinds) {
        if (turn < kind.size()
            && which.test(kind.get(turn), turn)
            && !all.contains(kind.get(turn))) {
          next.add(kind.get(turn));
        }
      }
      next.sort(Best.order(rank));
      all.addAll(next.subList(0, Math.min(next.size(), query.listing().top() - all.size())));
    }
  }
}
