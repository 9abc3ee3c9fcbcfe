package steadycog.motion;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.Relation.Cause;
import steadycog.motion.Relation.Term;
import steadycog.number.AngularSpeed;
import steadycog.number.Exact;
import steadycog.train.Drive;
import steadycog.train.MemberId;

/**
 * Finds a smallest set of relations and drives that cannot hold together. Equations have no common
 * solution exactly when some combination of them reads 0 = 1 (Fredholm's alternative). The
 * combination is a solution of the transposed system; in a basic one the equations that take part
 * are independent but for this one dependency, so none of them can be spared.
 */
final class Conflict {
  private final Mechanism mechanism;
  private final List<Imposed> imposed = new ArrayList<>();

  /** A speed forced on a body; {@code cause} is empty for one that is only tried. */
  private record Imposed(Optional<Cause> cause, int body, AngularSpeed speed) {}

  private Conflict(Mechanism mechanism) {
    this.mechanism = mechanism;
    List<Drive> drives = mechanism.roles().drives();
    for (int k = 0; k < drives.size(); k++) {
      MemberId member = drives.get(k).member();
      imposed.add(
          new Imposed(
              Optional.of(new Relation.Driven(member)),
              mechanism.indexOf(member),
              MotionSolver.testSpeed(drives, k)));
    }
    if (imposed.isEmpty()) {
      imposed.add(
          new Imposed(Optional.empty(), 0, new AngularSpeed(BigFraction.ONE, BigFraction.ZERO)));
    }
  }

  /** What contradicts one another, or an empty list where nothing does. */
  static List<Cause> find(Mechanism mechanism) {
    Conflict conflict = new Conflict(mechanism);
    List<Cause> found = conflict.combination(AngularSpeed::rpm);
    return found.isEmpty() ? conflict.combination(AngularSpeed::radPerS) : found;
  }

  private List<Cause> combination(Function<AngularSpeed, BigFraction> part) {
    int relations = mechanism.relations().size();
    int columns = relations + imposed.size();
    int bodies = mechanism.bodies().size();
    BigFraction[][] transposed = new BigFraction[bodies + 1][];
    for (int r = 0; r <= bodies; r++) {
      transposed[r] = MotionSolver.zeros(columns + 1);
    }
    for (int c = 0; c < relations; c++) {
      for (Term term : mechanism.relations().get(c).terms()) {
        transposed[term.body()][c] = term.coefficient();
      }
    }
    for (int k = 0; k < imposed.size(); k++) {
      transposed[imposed.get(k).body()][relations + k] = BigFraction.ONE;
      transposed[bodies][relations + k] = part.apply(imposed.get(k).speed());
    }
    transposed[bodies][columns] = BigFraction.ONE;
    return causes(new LinearSystem(transposed, columns), columns);
  }

  private List<Cause> causes(LinearSystem system, int columns) {
    List<Cause> causes = new ArrayList<>();
    if (!system.consistent(0)) {
      return causes;
    }
    int relations = mechanism.relations().size();
    for (int c = 0; c < columns; c++) {
      if (!Exact.isZero(system.basicValue(c, 0))) {
        if (c < relations) {
          causes.add(mechanism.relations().get(c).cause());
        } else {
          imposed.get(c - relations).cause().ifPresent(causes::add);
        }
      }
    }
    return causes;
  }
}
