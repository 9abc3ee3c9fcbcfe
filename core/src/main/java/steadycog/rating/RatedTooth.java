package steadycog.rating;

import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;
import steadycog.sizing.Screening;
import steadycog.train.MemberId;

/**
 * What one tooth of a mesh bears over its whole life. Damage of all states is summed (Miner): a
 * factor is what all stresses could be multiplied by before the sum is 1.
 *
 * @param cases one a state in which it is loaded, in the order of the states
 * @param bothWays whether it is bent both ways in turn: 0.7 of the stress is allowed
 * @param bendingFactor SF
 * @param contactFactor SH
 * @param source where the stresses allowed come from, in words
 * @param allowedBending for ten million cycles, with reliability, MPa
 * @param allowedContact for ten million cycles, with reliability and hardness ratio, MPa
 * @param hardness CH: what a harder pinion makes of a softer gear
 * @param bendingDecides the state that does most damage in bending
 * @param bendingLife YN of the cycles in that state
 * @param contactLife ZN of the cycles in the state that does most damage in contact
 */
public record RatedTooth(
    MemberId wheel,
    List<Case> cases,
    String source,
    double allowedBending,
    double allowedContact,
    boolean bothWays,
    double hardness,
    double bendingFactor,
    double contactFactor,
    Case bendingDecides,
    Case contactDecides,
    double bendingLife,
    double contactLife) {
  private static final int HALVINGS = 80;

  static RatedTooth of(
      MemberId wheel, List<Case> cases, Strength strength, boolean bothWays, double hardness) {
    // KT is 1 up to 120 degrees, to which the procedure is kept.
    double reliable = cases.getFirst().mesh().reliability();
    double bending = strength.bending() * (bothWays ? Screening.BOTH_WAYS : 1) / reliable;
    double contact = strength.contact() * hardness / reliable;
    Life bent = new Life(cases, strength.bendingLife(), bending, Case::bending);
    Life pressed = new Life(cases, strength.contactLife(), contact, Case::contact);
    double bendingFactor = bent.factor();
    double contactFactor = pressed.factor();
    Case bendingDecides = bent.decides(bendingFactor);
    Case contactDecides = pressed.decides(contactFactor);
    return new RatedTooth(
        wheel,
        cases,
        strength.source(),
        bending,
        contact,
        bothWays,
        hardness,
        bendingFactor,
        contactFactor,
        bendingDecides,
        contactDecides,
        strength.bendingLife().factor(bendingDecides.cycles()),
        strength.contactLife().factor(contactDecides.cycles()));
  }

  /** One kind of stress over all states. */
  private record Life(
      List<Case> cases, LifeCurve curve, double allowed, ToDoubleFunction<Case> stress) {

    double damage(Case one, double factor) {
      double needed = factor * stress.applyAsDouble(one) / allowed;
      return one.cycles() / curve.cycles(needed);
    }

    /** Found by halving the interval between what is surely borne and what surely is not. */
    double factor() {
      double low = Double.MAX_VALUE;
      double high = 0;
      for (Case one : cases) {
        // Alone, and as if all the life were spent in it: the true factor lies between.
        double all = cases.stream().mapToDouble(Case::cycles).sum();
        double stressed = stress.applyAsDouble(one);
        low = Math.min(low, allowed * curve.factor(all) / stressed);
        high = Math.max(high, allowed * curve.factor(one.cycles()) / stressed);
      }
      if (high <= low) {
        return low;
      }
      for (int k = 0; k < HALVINGS; k++) {
        double middle = (low + high) / 2;
        double sum = cases.stream().mapToDouble(one -> damage(one, middle)).sum();
        if (sum < 1) {
          low = middle;
        } else {
          high = middle;
        }
      }
      return (low + high) / 2;
    }

    Case decides(double factor) {
      return cases.stream()
          .max(
              Comparator.<Case>comparingDouble(one -> damage(one, factor))
                  .thenComparingDouble(stress))
          .orElseThrow();
    }
  }
}
