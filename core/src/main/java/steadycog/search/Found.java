package steadycog.search;

import java.util.List;
import java.util.Map;

/**
 * What a search found.
 *
 * @param query what was asked
 * @param candidates best first
 * @param examined combinations of wheels that were covered
 * @param rejected near enough but turned down, by the rule that did; only of what would have been
 *     listed
 * @param provenBest whether nothing better, by the rank asked for, exists within the limits; false
 *     where the search was stopped or had to drop leads
 */
public record Found(
    Query query,
    List<Candidate> candidates,
    long examined,
    Map<String, Long> rejected,
    boolean provenBest) {
  public Found {
    candidates = List.copyOf(candidates);
  }

  /** Whether it was stopped, or had to drop leads, before all was looked at that was to be. */
  public boolean cutShort() {
    return !provenBest && query.listing().rank() != Rank.LOAD;
  }
}
