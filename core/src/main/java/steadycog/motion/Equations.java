package steadycog.motion;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.train.Drive;

/**
 * The equations of a train that settle every speed, as many as bodies and none of them following
 * from the others: relations whose sum is zero, then one a drive that gives it its speed. For
 * whoever solves them again with other tooth counts.
 *
 * @param mechanism of which they are
 * @param relations those that are independent, in the order of the mechanism
 */
public record Equations(Mechanism mechanism, List<Relation> relations) {
  public Equations {
    relations = List.copyOf(relations);
  }

  /** Empty where bodies float or the train jams. Cost: relations times the cost of a rank. */
  public static Optional<Equations> of(Mechanism mechanism) {
    int bodies = mechanism.bodies().size();
    List<BigFraction[]> rows = new ArrayList<>();
    for (Drive drive : mechanism.roles().drives()) {
      BigFraction[] row = MotionSolver.zeros(bodies);
      row[mechanism.indexOf(drive.member())] = BigFraction.ONE;
      rows.add(row);
    }
    List<Relation> kept = new ArrayList<>();
    for (Relation relation : mechanism.relations()) {
      rows.add(MotionSolver.row(relation, bodies));
      if (rank(rows, bodies) == rows.size()) {
        kept.add(relation);
      } else {
        rows.removeLast();
      }
    }
    return rows.size() == bodies && rank(rows, bodies) == bodies
        ? Optional.of(new Equations(mechanism, kept))
        : Optional.empty();
  }

  private static int rank(List<BigFraction[]> rows, int unknowns) {
    BigFraction[][] copy = rows.stream().map(BigFraction[]::clone).toArray(BigFraction[][]::new);
    return new LinearSystem(copy, unknowns).rank();
  }
}
