package steadycog.motion;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.train.MemberId;

/**
 * Every way in which a mechanism could turn if nothing were driven, held or locked: so many turns
 * that may be chosen, and what each body makes of them.
 */
public final class FreeMotion {
  private final Mechanism mechanism;
  private final List<Integer> chosen;

  /** For each body its turns for one turn of each choice. */
  private final List<double[]> shares;

  /** Worked out when it is first asked for: every picture of a crank asks again. */
  private Optional<double[]> perInput = Optional.empty();

  private FreeMotion(Mechanism mechanism, List<Integer> chosen, List<double[]> shares) {
    this.mechanism = mechanism;
    this.chosen = chosen;
    this.shares = shares;
  }

  /** Cost: as many exact solutions as there are choices, and one. */
  public static FreeMotion of(Mechanism mechanism) {
    return of(
        mechanism,
        mechanism.relations().stream()
            .filter(
                relation ->
                    !(relation.cause() instanceof Relation.Held
                        || relation.cause() instanceof Relation.Locked))
            .toList());
  }

  /** The same with what is held and locked staying so. */
  public static FreeMotion held(Mechanism mechanism) {
    return of(mechanism, mechanism.relations());
  }

  private static FreeMotion of(Mechanism mechanism, List<Relation> lasting) {
    int bodies = mechanism.bodies().size();
    List<Integer> chosen = new ArrayList<>();
    LinearSystem system = system(lasting, chosen, bodies);
    for (int body = 0; body < bodies; body++) {
      if (!system.settled(body)) {
        chosen.add(body);
        system = system(lasting, chosen, bodies);
      }
    }
    List<double[]> shares = new ArrayList<>();
    for (int body = 0; body < bodies; body++) {
      double[] own = new double[chosen.size()];
      for (int k = 0; k < own.length; k++) {
        own[k] = system.basicValue(body, k).doubleValue();
      }
      shares.add(own);
    }
    return new FreeMotion(mechanism, chosen, shares);
  }

  private static LinearSystem system(List<Relation> lasting, List<Integer> chosen, int bodies) {
    int length = bodies + chosen.size();
    List<BigFraction[]> rows = new ArrayList<>();
    lasting.forEach(relation -> rows.add(MotionSolver.row(relation, length)));
    for (int k = 0; k < chosen.size(); k++) {
      BigFraction[] row = MotionSolver.zeros(length);
      row[chosen.get(k)] = BigFraction.ONE;
      row[bodies + k] = BigFraction.ONE;
      rows.add(row);
    }
    return new LinearSystem(rows.toArray(BigFraction[][]::new), bodies);
  }

  /** How many turns may be chosen; none where the wheels jam. */
  public int choices() {
    return shares.isEmpty() ? 0 : shares.getFirst().length;
  }

  /**
   * So many of each choice as make the first drive turn once, as the whole is driven; the first
   * alone where that is not settled.
   */
  public double[] perInputTurn() {
    if (perInput.isEmpty()) {
      perInput = Optional.of(settled());
    }
    return perInput.get().clone();
  }

  private double[] settled() {
    Motion motion = MotionSolver.solve(mechanism);
    double[] choice = new double[choices()];
    boolean settled = false;
    for (int k = 0; k < choice.length; k++) {
      Optional<BigFraction> turns = motion.turnsPerInputTurn(mechanism.bodies().get(chosen.get(k)));
      choice[k] = turns.map(BigFraction::doubleValue).orElse(0.0);
      settled |= choice[k] != 0;
    }
    if (!settled && choice.length > 0) {
      choice[0] = 1;
    }
    return choice;
  }

  /** Turns of {@code member} for one turn of choice {@code k}. */
  public double share(MemberId member, int k) {
    return shares.get(mechanism.indexOf(member))[k];
  }

  /** Turns of {@code member} after so many of each choice. */
  public double turns(MemberId member, double[] choice) {
    double sum = 0;
    for (int k = 0; k < choice.length; k++) {
      sum += share(member, k) * choice[k];
    }
    return sum;
  }

  /** Whether a member never turns. */
  public boolean isStill(MemberId member) {
    for (double share : shares.get(mechanism.indexOf(member))) {
      if (share != 0) {
        return false;
      }
    }
    return true;
  }

  /** Whether two members always turn as one. */
  public boolean turnAsOne(MemberId a, MemberId b) {
    for (int k = 0; k < choices(); k++) {
      if (share(a, k) != share(b, k)) {
        return false;
      }
    }
    return true;
  }
}
