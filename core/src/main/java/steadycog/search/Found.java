package steadycog.search;

import java.util.List;
import java.util.Map;

/**
 * What a search found.
 *
 * @param candidates best first
 * @param examined combinations of wheels that were covered
 * @param rejected near enough but turned down, by the rule that did
 * @param provenBest whether nothing better exists within the limits; false where the search was
 *     stopped or had to drop leads
 */
public record Found(
    List<Candidate> candidates, long examined, Map<String, Long> rejected, boolean provenBest) {
  public Found {
    candidates = List.copyOf(candidates);
  }

  /** Which limit to loosen where nothing was found: the one that turned down most. */
  public String advice() {
    return Advice.loosen(rejected.keySet().stream().findFirst().orElse(""));
  }
}
