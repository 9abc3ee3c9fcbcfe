package steadycog.search;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;

/**
 * What is looked for.
 *
 * @param tolerance how far off a ratio may be; empty for the nearest whatever their error
 * @param top how many candidates are listed at most
 */
public record Query(
    Target target,
    Set<Kind> kinds,
    Optional<Tolerance> tolerance,
    Limits limits,
    Wheels wheels,
    Running running,
    int top) {
  public static final int MOST_LISTED = 1000;
  public static final int USUAL_TOP = 20;

  public Query {
    kinds = Set.copyOf(kinds);
    if (kinds.isEmpty()) {
      throw new IllegalArgumentException("no kind of train to look for: choose one at least");
    }
    if (top < 1 || top > MOST_LISTED) {
      throw new IllegalArgumentException("1 to 1000 candidates can be listed: found " + top);
    }
    int fixed = Math.max(wheels.drivers().size(), wheels.driven().size());
    if (fixed > limits.stages().to()) {
      throw new IllegalArgumentException(
          fixed + " given wheels need as many stages: allow more than " + limits.stages().to());
    }
    if (limits.coaxial() && !limits.stages().contains(2)) {
      throw new IllegalArgumentException(
          "input and output in line take two pairs of one centre distance: allow 2 stages");
    }
    if (limits.mostTeeth() < limits.teeth().from()) {
      throw new IllegalArgumentException(
          "no wheel of " + limits.teeth().from() + " teeth is within that diameter: allow more");
    }
  }

  /** Everything as usual. */
  public static Query of(Target target, Set<Kind> kinds) {
    return new Query(
        target, kinds, Optional.empty(), Limits.USUAL, Wheels.ANY, Running.ANY, USUAL_TOP);
  }

  public static Set<Kind> everyKind() {
    return EnumSet.allOf(Kind.class);
  }

  /** The largest share by which a ratio may be off, whatever its last wheel. */
  double mostError() {
    return tolerance.map(t -> t.share(limits.teeth().from())).orElse(Double.POSITIVE_INFINITY);
  }
}
