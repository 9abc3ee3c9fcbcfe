package steadycog.torque;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.torque.LossModel.Flow;
import steadycog.torque.LossModel.Flows;

/** A torque from outside on a shaft, with all the ways in which power could pass under it. */
final class Push {
  /** Flows whose mesh torques differ by less than this share are the same. */
  private static final double ALIKE = 1e-7;

  private final LossModel model;
  private final int shaft;
  private final double torque;
  private final List<boolean[]> patterns;

  /** The row of each shaft's balance; -1 where an unknown torque from outside acts. */
  private final int[] row;

  private final int rows;

  /**
   * {@code patterns}: for each way whether each mesh's wheel a drives; none if there are too many.
   */
  Push(LossModel model, int shaft, double torque, List<boolean[]> patterns) {
    this.model = model;
    this.shaft = shaft;
    this.torque = torque;
    this.patterns = patterns;
    row = new int[model.shafts()];
    int count = 0;
    for (int k = 0; k < row.length; k++) {
      row[k] = model.balances(k, shaft) ? count++ : -1;
    }
    rows = count;
  }

  /**
   * Every flow that agrees with its torques.
   *
   * @param efficiency one a mesh
   */
  Flows flows(double[] efficiency) {
    List<Flow> found = new ArrayList<>();
    boolean settled = true;
    for (boolean[] aDrives : patterns) {
      Elimination solved = solve(efficiency, aDrives);
      if (solved.consistent()) {
        settled &= settles(solved, efficiency);
        flow(solved, efficiency, aDrives)
            .filter(flow -> found.stream().noneMatch(other -> alike(flow, other)))
            .ifPresent(found::add);
      }
    }
    return new Flows(settled ? found : List.of(), settled, !patterns.isEmpty());
  }

  /** Balance of every shaft on which no unknown torque from outside acts. */
  private Elimination solve(double[] efficiency, boolean[] aDrives) {
    int meshes = model.meshes();
    double[][] system = new double[rows][meshes + 1];
    for (int k = 0; k < meshes; k++) {
      LossyMesh mesh = model.mesh(k);
      double a = mesh.onA(efficiency[k], aDrives[k]);
      double b = mesh.onB(efficiency[k], aDrives[k]);
      put(system, mesh.shaftA(), k, a);
      put(system, mesh.shaftB(), k, b);
      put(system, mesh.shaftC(), k, -a - b);
    }
    put(system, shaft, meshes, -torque);
    return new Elimination(system, meshes);
  }

  private void put(double[][] system, int on, int column, double value) {
    if (on >= 0 && row[on] >= 0) {
      system[row[on]][column] += value;
    }
  }

  /** Whether the torques of all meshes that lose power follow. */
  private boolean settles(Elimination solved, double[] efficiency) {
    for (int k = 0; k < model.meshes(); k++) {
      LossyMesh mesh = model.mesh(k);
      if (mesh.rolls() && efficiency[k] < 1 && !solved.settled(k)) {
        return false;
      }
      boolean carries =
          Math.abs(solved.value(k) * mesh.na()) > LossModel.NO_POWER * Math.abs(torque);
      if (mesh.unknown() && (carries || !solved.settled(k))) {
        return false;
      }
    }
    return true;
  }

  /** The flow of a solution, if it bears out the directions that were taken. */
  private Optional<Flow> flow(Elimination solved, double[] efficiency, boolean[] aDrives) {
    int meshes = model.meshes();
    double[] force = new double[meshes];
    double most = Math.abs(torque * model.speed(shaft));
    for (int k = 0; k < meshes; k++) {
      force[k] = solved.value(k);
      most = Math.max(most, Math.abs(model.mesh(k).given(force[k])));
    }
    for (int k = 0; k < meshes; k++) {
      double given = model.mesh(k).given(force[k]);
      if (Math.abs(given) > LossModel.NO_POWER * most && aDrives[k] != given > 0) {
        return Optional.empty();
      }
    }
    return Optional.of(totalled(aDrives, force, outside(force, efficiency, aDrives)));
  }

  /** What must act from outside on each shaft, beside the given torque. */
  private double[] outside(double[] force, double[] efficiency, boolean[] aDrives) {
    double[] outside = new double[model.shafts()];
    for (int k = 0; k < force.length; k++) {
      LossyMesh mesh = model.mesh(k);
      double a = mesh.onA(efficiency[k], aDrives[k]) * force[k];
      double b = mesh.onB(efficiency[k], aDrives[k]) * force[k];
      outside[mesh.shaftA()] -= a;
      outside[mesh.shaftB()] -= b;
      if (mesh.shaftC() >= 0) {
        outside[mesh.shaftC()] += a + b;
      }
    }
    outside[shaft] -= torque;
    return outside;
  }

  private Flow totalled(boolean[] aDrives, double[] force, double[] outside) {
    double given = torque * model.speed(shaft);
    double in = Math.max(0, given);
    double out = Math.max(0, -given);
    double delivered = out;
    for (int k = 0; k < outside.length; k++) {
      if (model.ends(k) > (k == shaft ? 1 : 0)) {
        double power = outside[k] * model.speed(k);
        in += Math.max(0, power);
        out += Math.max(0, -power);
        delivered += model.wants(k, shaft) ? Math.max(0, -power) : 0;
      }
    }
    return new Flow(aDrives, force, in, out, delivered);
  }

  private boolean alike(Flow one, Flow other) {
    double most = Math.abs(torque);
    double apart = 0;
    for (int k = 0; k < one.force().length; k++) {
      double na = model.mesh(k).na();
      most = Math.max(most, Math.abs(one.force()[k] * na));
      apart = Math.max(apart, Math.abs((one.force()[k] - other.force()[k]) * na));
    }
    return apart <= ALIKE * most;
  }
}
