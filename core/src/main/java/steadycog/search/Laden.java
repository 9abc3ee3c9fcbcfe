package steadycog.search;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import steadycog.study.SizeChoices.Choice;

/**
 * A search for what must bear a load: what is found is sized, the smallest standard teeth that hold
 * (Shigley, ch. 14). The lightest are looked for among those with the fewest teeth, more of them
 * than are listed: no bound tells beforehand how heavy a train will be.
 */
final class Laden {
  private static final int MORE = 3;
  private static final int LEAST = 30;

  private Laden() {}

  static Found run(Query query, Load load, Watch watch) {
    Listing listing = query.listing();
    boolean lightest = listing.rank() == Rank.LOAD;
    int looked = Math.min(Listing.MOST, Math.max(LEAST, MORE * listing.top()));
    Found found =
        Hunt.ofTeeth(
            lightest ? query.with(new Listing(Rank.SIZE, listing.any(), looked)) : query, watch);
    Stream<Candidate> sized =
        found.candidates().parallelStream().map(one -> watch.cancelled() ? one : one.under(load));
    List<Candidate> all =
        (lightest ? sized.sorted(Comparator.comparingDouble(Laden::mass)) : sized)
            .limit(listing.top())
            .toList();
    return new Found(
        query, all, found.examined(), found.rejected(), found.provenBest() && !lightest);
  }

  /** What nothing is known to hold of comes last. */
  private static double mass(Candidate candidate) {
    return candidate.sized().map(Choice::mass).orElse(Double.MAX_VALUE);
  }
}
