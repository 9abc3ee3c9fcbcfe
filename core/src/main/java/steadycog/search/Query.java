package steadycog.search;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;

/**
 * What is looked for.
 *
 * @param tolerance how far off a ratio may be; empty for the nearest whatever their error. Where
 *     candidates are ranked by something else the nearest are not what is asked for, so that it is
 *     {@link #USUAL_TOLERANCE} then
 */
public record Query(
    Target target,
    Set<Kind> kinds,
    Optional<TargetTolerance> tolerance,
    Limits limits,
    Wheels wheels,
    Winding winding,
    Running running,
    Listing listing) {
  /** So far off may a ratio be where something else than the error decides. */
  public static final TargetTolerance USUAL_TOLERANCE = TargetTolerance.parse("1%");

  public Query {
    kinds = Set.copyOf(kinds);
    if (kinds.isEmpty()) {
      throw new IllegalArgumentException("no kind of train to look for: choose one at least");
    }
    if (listing.rank() != Rank.ERROR) {
      tolerance = tolerance.or(() -> Optional.of(USUAL_TOLERANCE));
    }
    if (listing.rank() == Rank.LOAD && running.load().isEmpty()) {
      throw new IllegalArgumentException(
          "the lightest that holds needs a load: say what must be borne, as 1500 rpm 0.5 Nm");
    }
    int fixed = Math.max(wheels.drivers().size(), wheels.driven().size());
    if (fixed > limits.stages().to()) {
      throw new IllegalArgumentException(
          fixed + " given wheels need as many stages: allow more than " + limits.stages().to());
    }
    boolean pairsOnly = kinds.equals(Set.of(Kind.PARALLEL));
    if (pairsOnly && limits.coaxial() && !limits.stages().contains(2)) {
      throw new IllegalArgumentException(
          "input and output in line take two pairs of one centre distance: allow 2 stages");
    }
    if (limits.mostTeeth() < limits.teeth().from()) {
      throw new IllegalArgumentException(
          "no wheel of " + limits.teeth().from() + " teeth is within that diameter: allow more");
    }
  }

  /** The same of straight teeth. */
  public Query(
      Target target,
      Set<Kind> kinds,
      Optional<TargetTolerance> tolerance,
      Limits limits,
      Wheels wheels,
      Running running,
      Listing listing) {
    this(target, kinds, tolerance, limits, wheels, Winding.STRAIGHT, running, listing);
  }

  /** The same listed otherwise. */
  Query with(Listing changed) {
    return new Query(target, kinds, tolerance, limits, wheels, winding, running, changed);
  }

  /** Everything as usual. */
  public static Query of(Target target, Set<Kind> kinds) {
    return new Query(
        target, kinds, Optional.empty(), Limits.USUAL, Wheels.ANY, Running.ANY, Listing.USUAL);
  }

  public static Set<Kind> everyKind() {
    return EnumSet.allOf(Kind.class);
  }

  /** The largest share by which a ratio may be off, whatever its last wheel. */
  double mostError() {
    int fewest = Math.min(limits.teeth().from(), DriveSource.LEAST_LOBES);
    for (int given : wheels.driven()) {
      fewest = Math.min(fewest, given);
    }
    int least = fewest;
    return Math.min(Hunt.FURTHEST, tolerance.map(t -> t.share(least)).orElse(Hunt.FURTHEST));
  }

  /** {@code the nearest first}, or {@code the most efficient first, within 1%}. */
  public String order() {
    String first = listing.rank().best() + " first";
    if (listing.rank() == Rank.LOAD) {
      first += ", of those with the fewest teeth";
    }
    return listing.rank() == Rank.ERROR ? first : first + ", within " + tolerance.orElseThrow();
  }
}
