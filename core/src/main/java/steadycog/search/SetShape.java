package steadycog.search;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import steadycog.shape.PairGeometry;
import steadycog.train.MemberId;
import steadycog.train.PlanetRow;
import steadycog.train.Planetary;
import steadycog.train.Planetary.Spacing;
import steadycog.train.Roles;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * The tooth counts of a set; a wheel of 0 teeth is not there.
 *
 * @param outer the planet that meshes with the ring, where planets come in pairs
 * @param planet2 in the second row; 0 where there is one
 * @param tied whether one sun runs through both rows
 * @param modules of the rows; empty where they are one
 */
record SetShape(
    int sun1,
    int planet1,
    int outer,
    int ring1,
    int sun2,
    int planet2,
    int ring2,
    boolean tied,
    Optional<RowModules> modules) {

  static SetShape oneRow(int sun, int planet, int ring) {
    return new SetShape(sun, planet, 0, ring, 0, 0, 0, false, Optional.empty());
  }

  static SetShape pairs(int sun, int inner, int outer, int ring) {
    return new SetShape(sun, inner, outer, ring, 0, 0, 0, false, Optional.empty());
  }

  static SetShape twoRows(int sun1, int planet1, int ring1, int sun2, int planet2, int ring2) {
    return new SetShape(sun1, planet1, 0, ring1, sun2, planet2, ring2, false, Optional.empty());
  }

  /** The same with rows in modules of their own. */
  SetShape in(RowModules rows) {
    return new SetShape(sun1, planet1, outer, ring1, sun2, planet2, ring2, tied, Optional.of(rows));
  }

  /** One sun through two rows of like planets, each with its ring. */
  static SetShape oneSun(int sun, int planet, int ring1, int ring2) {
    return new SetShape(sun, planet, 0, ring1, sun, planet, ring2, true, Optional.empty());
  }

  boolean paired() {
    return outer > 0;
  }

  /**
   * Whether a pair of planets can stand between sun and ring, each on its own wheel and both on
   * each other: their triangle with the set's axis closes.
   */
  boolean closes() {
    double inside = (sun1 + planet1) / 2.0;
    double outside = (ring1 - outer) / 2.0;
    double apart = (planet1 + outer) / 2.0;
    return outside > 0 && Math.abs(inside - outside) <= apart && apart <= inside + outside;
  }

  /** Whether the unshifted wheels of a set with pairs of planets run on each other. */
  boolean runs() {
    return outside(sun1, planet1) && outside(planet1, outer) && inside(outer, ring1);
  }

  private static boolean outside(int one, int other) {
    Teeth pinion = Teeth.external(Math.min(one, other));
    Teeth gear = Teeth.external(Math.max(one, other));
    return PairGeometry.of(pinion, gear).interferenceMargin() >= 0;
  }

  private static boolean inside(int planet, int ring) {
    return ring > planet
        && PairGeometry.of(Teeth.external(planet), Teeth.internal(ring)).trochoidMargin() >= 0;
  }

  private boolean stepped() {
    return planet2 > 0;
  }

  /** Of all wheels, each planet once; a sun through both rows is one wheel in each. */
  int size() {
    return sun1 + planet1 + outer + ring1 + sun2 + planet2 + ring2;
  }

  int largest1() {
    return Math.max(sun1, ring1);
  }

  int largest2() {
    return Math.max(sun2, ring2);
  }

  /** Of the largest wheel over its teeth, or a ring over its rim, in modules of the first row. */
  double diameter() {
    int first = Math.max(Math.max(sun1, planet1), Math.max(outer, ring1));
    int second = Math.max(sun2, Math.max(planet2, ring2));
    double over = ring1 + ring2 > 0 ? Candidate.RIM : Candidate.TIPS;
    double scale = modules.map(rows -> rows.ratio().doubleValue()).orElse(1.0);
    return Math.max(first + over, scale * (second + over));
  }

  /**
   * What a set of these wheels can at best be.
   *
   * @param error of its ratio, as a share
   * @param share of the power that can come out
   */
  Measures atBest(double error, double share) {
    return new Measures(error, 1, size(), diameter(), share);
  }

  /** Whether the rings lie within the limits, and all wheels are in stock. */
  Optional<String> refusal(Limits limits, Wheels wheels) {
    boolean rings =
        (ring1 == 0 || limits.allowsRing(ring1)) && (ring2 == 0 || limits.allowsRing(ring2));
    if (!rings || !limits.allowsDiameter(diameter())) {
      return Optional.of("ring");
    }
    boolean there =
        Stream.of(sun1, planet1, outer, sun2, planet2)
                .allMatch(count -> count == 0 || wheels.mayHave(Teeth.external(count)))
            && Stream.of(ring1, ring2)
                .allMatch(count -> count == 0 || wheels.mayHave(Teeth.internal(count)));
    return there ? Optional.empty() : Optional.of("stock");
  }

  Planetary set(int planets) {
    if (paired()) {
      PlanetRow row =
          new PlanetRow(
              Optional.of(Teeth.external(sun1)),
              List.of(Teeth.external(planet1), Teeth.external(outer)),
              Optional.of(Teeth.internal(ring1)));
      return Planetary.oneRow("", row, planets, Spacing.EQUAL);
    }
    PlanetRow first = PlanetRow.of(sun1, planet1, ring1);
    return stepped()
        ? new Planetary(
            "",
            List.of(first, PlanetRow.of(sun2, planet2, ring2)),
            tied,
            false,
            planets,
            Spacing.EQUAL)
        : Planetary.oneRow("", first, planets, Spacing.EQUAL);
  }

  /** Its trains when used in one way. */
  Fit fit(Query query, Use use) {
    Range planets = query.limits().planets();
    SetFit fit = SetFit.of(planets, set(planets.to()), modules);
    return new Fit(
        fit.ways().stream().map(way -> train(way, use)).toList(),
        train(new SetFit.Way(set(planets.to()), Map.of(), modules), use),
        fit.trouble());
  }

  private static Train train(SetFit.Way way, Use use) {
    Planetary set = way.set();
    MemberId in = use.in().of(set);
    Roles roles = Roles.between(in, List.of(use.held().of(set)), use.out().of(set));
    return way.sizing(Train.of(List.of(set)).withRoles(roles));
  }
}
