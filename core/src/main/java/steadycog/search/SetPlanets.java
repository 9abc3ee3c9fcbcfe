package steadycog.search;

import java.util.Optional;

/** How many planets go into a row. */
final class SetPlanets {
  private SetPlanets() {}

  /**
   * The largest number of planets within the limits that go in evenly between a sun and a ring and
   * clear each other; empty, and counted by the rule that forbids it, where there is none.
   */
  static Optional<Integer> most(Limits limits, int sun, int planet, int ring, Tally tally) {
    boolean assembles = false;
    for (int n = limits.planets().to(); n >= limits.planets().from(); n--) {
      if ((sun + ring) % n == 0) {
        assembles = true;
        if (clear(sun + planet, planet, n)) {
          return Optional.of(n);
        }
      }
    }
    tally.reject(assembles ? "neighbour" : "assembly");
    return Optional.empty();
  }

  /** Whether tips of neighbouring planets clear: 2 a sin(pi/N) - da &gt; 0, 2 a being the span. */
  static boolean clear(int span, int planet, int planets) {
    return planets == 1 || span * Math.sin(Math.PI / planets) > planet + 2;
  }
}
