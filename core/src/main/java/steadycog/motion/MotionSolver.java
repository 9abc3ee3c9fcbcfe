package steadycog.motion;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.Relation.Term;
import steadycog.number.AngularSpeed;
import steadycog.train.Drive;
import steadycog.train.MemberId;

/**
 * Solves A w = 0 with the drives as boundary conditions, exactly. Each drive is one right-hand
 * side, so that the answer holds for every speed of it.
 */
public final class MotionSolver {
  private final Mechanism mechanism;
  private final List<Drive> drives;
  private final int bodies;

  private MotionSolver(Mechanism mechanism) {
    this.mechanism = mechanism;
    this.drives = mechanism.roles().drives();
    this.bodies = mechanism.bodies().size();
  }

  /** Solves for every body; cubic in the number of bodies at worst, near linear for chains. */
  public static Motion solve(Mechanism mechanism) {
    return new MotionSolver(mechanism).solve();
  }

  private Motion solve() {
    LinearSystem driven = new LinearSystem(drivenRows(), bodies);
    int freedoms = bodies - driven.rank() + drives.size() - dependentDrives(driven);
    if (freedoms == 0 || contradicted(driven)) {
      return jammed(freedoms);
    }
    List<Optional<List<BigFraction>>> perDrive = new ArrayList<>(bodies);
    List<MemberId> floating = new ArrayList<>();
    for (int body = 0; body < bodies; body++) {
      Optional<List<BigFraction>> shares = shares(driven, body);
      perDrive.add(shares);
      if (shares.isEmpty()) {
        floating.add(mechanism.bodies().get(body));
      }
    }
    Motion.Status status =
        floating.isEmpty() ? Motion.Status.DETERMINED : Motion.Status.UNDETERMINED;
    return new Motion(
        mechanism, status, freedoms, List.copyOf(perDrive), List.copyOf(floating), List.of());
  }

  private Optional<List<BigFraction>> shares(LinearSystem system, int body) {
    if (!system.settled(body)) {
      return Optional.empty();
    }
    List<BigFraction> shares = new ArrayList<>(drives.size());
    for (int k = 0; k < drives.size(); k++) {
      shares.add(system.basicValue(body, k));
    }
    return Optional.of(List.copyOf(shares));
  }

  private Motion jammed(int freedoms) {
    List<Optional<List<BigFraction>>> none = new ArrayList<>();
    for (int body = 0; body < bodies; body++) {
      none.add(Optional.empty());
    }
    return new Motion(
        mechanism,
        Motion.Status.JAMMED,
        freedoms,
        List.copyOf(none),
        List.of(),
        Conflict.find(mechanism));
  }

  /** Whether an equation is left over that the drives' speeds do not meet. */
  private boolean contradicted(LinearSystem driven) {
    for (int spare = 0; spare < driven.spare(); spare++) {
      AngularSpeed rest = AngularSpeed.ZERO;
      for (int k = 0; k < drives.size(); k++) {
        rest = rest.plus(testSpeed(drives, k).times(driven.residue(spare, k)));
      }
      if (!rest.isZero()) {
        return true;
      }
    }
    return false;
  }

  /** The drive's speed; a lone drive at rest is tried at 1 rpm, to tell whether it could turn. */
  static AngularSpeed testSpeed(List<Drive> drives, int drive) {
    AngularSpeed stated = drives.get(drive).angularSpeed();
    return drives.size() == 1 && stated.isZero()
        ? new AngularSpeed(BigFraction.ONE, BigFraction.ZERO)
        : stated;
  }

  /**
   * How many drives add nothing to the relations: what is left of dependent equations on the
   * drives' sides is of that rank.
   */
  private int dependentDrives(LinearSystem driven) {
    BigFraction[][] rests = new BigFraction[driven.spare()][drives.size()];
    for (int spare = 0; spare < rests.length; spare++) {
      for (int k = 0; k < drives.size(); k++) {
        rests[spare][k] = driven.residue(spare, k);
      }
    }
    return new LinearSystem(rests, drives.size()).rank();
  }

  private BigFraction[][] drivenRows() {
    List<BigFraction[]> rows = new ArrayList<>();
    for (Relation relation : mechanism.relations()) {
      rows.add(row(relation, bodies + drives.size()));
    }
    for (int k = 0; k < drives.size(); k++) {
      BigFraction[] row = zeros(bodies + drives.size());
      row[mechanism.indexOf(drives.get(k).member())] = BigFraction.ONE;
      row[bodies + k] = BigFraction.ONE;
      rows.add(row);
    }
    return rows.toArray(BigFraction[][]::new);
  }

  static BigFraction[] row(Relation relation, int length) {
    BigFraction[] row = zeros(length);
    for (Term term : relation.terms()) {
      row[term.body()] = row[term.body()].add(term.coefficient());
    }
    return row;
  }

  static BigFraction[] zeros(int length) {
    BigFraction[] row = new BigFraction[length];
    Arrays.fill(row, BigFraction.ZERO);
    return row;
  }
}
