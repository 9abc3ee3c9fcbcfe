package steadycog.torque;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Which directions follow from others whatever the losses: two wheels that alone act on a shaft
 * push it against each other, and one that alone acts on the given shaft pushes against that.
 */
final class Directions {
  private final LossModel model;
  private final int meshes;

  /** The mesh from whose direction that of another follows; itself if free. */
  private final int[] from;

  private final boolean[] turned;
  private final boolean[] idle;
  private final List<Integer> free = new ArrayList<>();
  private int fixed = -1;
  private boolean fixedDrives;

  Directions(LossModel model, int shaft, double torque) {
    this.model = model;
    meshes = model.meshes();
    from = new int[meshes];
    turned = new boolean[meshes];
    idle = new boolean[meshes];
    Arrays.setAll(from, k -> k);
    for (int other = 0; other < model.shafts(); other++) {
      if (model.balances(other, shaft)) {
        follow(other, other == shaft ? torque : 0);
      }
    }
    for (int k = 0; k < meshes; k++) {
      idle[root(k)] |= idle[k];
    }
    for (int k = 0; k < meshes; k++) {
      if (from[k] == k && model.mesh(k).rolls() && k != root(fixed) && !idle[k]) {
        free.add(k);
      }
    }
  }

  /** How many directions are left to choose. */
  int free() {
    return free.size();
  }

  private int root(int mesh) {
    return mesh < 0 ? -1 : from[mesh] == mesh ? mesh : root(from[mesh]);
  }

  private boolean turnedFromRoot(int mesh) {
    return from[mesh] != mesh && (turned[mesh] ^ turnedFromRoot(from[mesh]));
  }

  private void follow(int shaft, double torque) {
    int first = -1;
    int second = -1;
    for (int k = 0; k < meshes; k++) {
      boolean wheel = model.mesh(k).actsByAWheel(shaft);
      if (model.mesh(k).actsOtherwise(shaft) || (wheel && second >= 0)) {
        return;
      }
      if (wheel && first >= 0) {
        second = k;
      } else if (wheel) {
        first = k;
      }
    }
    if (second >= 0 && torque == 0 && rolling(first) != 0 && rolling(second) != 0) {
      // Equal and opposite torques: f1 c1 + f2 c2 = 0.
      double signs = model.mesh(first).signOn(shaft) * model.mesh(second).signOn(shaft);
      tie(second, first, signs < 0);
    } else if (first >= 0 && second < 0 && torque != 0 && rolling(first) != 0) {
      // f c = -T; a drives where -f rolling is positive.
      fixed = first;
      fixedDrives = torque * model.mesh(first).signOn(shaft) * Math.signum(rolling(first)) > 0;
    } else if (first >= 0 && second < 0 && torque == 0) {
      // Nothing pushes back: the mesh carries nothing, nor do those that follow from it.
      idle[first] = true;
    }
  }

  private double rolling(int mesh) {
    return model.mesh(mesh).rolling();
  }

  /** {@code sameForce}: whether both multipliers have one sign. */
  private void tie(int mesh, int to, boolean sameForce) {
    int a = root(mesh);
    int b = root(to);
    if (a != b) {
      boolean same = sameForce == (rolling(mesh) > 0 == rolling(to) > 0);
      turned[a] = !same ^ turnedFromRoot(mesh) ^ turnedFromRoot(to);
      from[a] = b;
    }
  }

  /** Whether each mesh's wheel a drives, under one choice of the free directions. */
  boolean[] of(long pattern) {
    boolean[] root = new boolean[meshes];
    for (int k = 0; k < free.size(); k++) {
      root[free.get(k)] = (pattern >> k & 1) == 1;
    }
    if (fixed >= 0) {
      root[root(fixed)] = fixedDrives ^ turnedFromRoot(fixed);
    }
    boolean[] all = new boolean[meshes];
    for (int k = 0; k < meshes; k++) {
      all[k] = root[root(k)] ^ turnedFromRoot(k);
    }
    return all;
  }
}
