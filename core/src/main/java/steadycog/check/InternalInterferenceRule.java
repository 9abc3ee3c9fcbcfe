package steadycog.check;

import java.util.Optional;
import steadycog.shape.PairGeometry;
import steadycog.train.Mesh;
import steadycog.train.Train;

/**
 * Internal pairs: involute interference, trochoid interference where tips leave the mesh, and
 * trimming, which forbids only putting the pinion in from the side (Litvin & Fuentes, internal
 * involute gears).
 */
final class InternalInterferenceRule extends PairRule {
  private static final double STEP = 0.01;
  private static final double SHORTEST = 0.5;

  @Override
  Optional<Finding> check(Train train, Mesh mesh) {
    PairGeometry pair = PairGeometry.in(train, mesh);
    boolean inside = mesh.internal() && pair.gear() > pair.pinion();
    if (!inside || !pair.runs()) {
      return Optional.empty();
    }
    if (!pair.internalClear()) {
      return Optional.of(clash(mesh, pair));
    }
    return pair.trimmingMargin() < 0
        ? Optional.of(base(mesh, Severity.NOTE, pair).worded("trimming"))
        : Optional.empty();
  }

  private static Finding base(Mesh mesh, Severity severity, PairGeometry pair) {
    return finding("internal-interference", severity, mesh)
        .with("pinion", mesh.pinion())
        .with("ring", mesh.gear())
        .with("involuteMargin", rounded(pair.involuteMargin(), 4))
        .with("trochoidMargin", rounded(pair.trochoidMargin(), 4))
        .with("trimmingMargin", rounded(pair.trimmingMargin(), 4));
  }

  /** Involute interference spoils the motion; tips that collide stop it. */
  private static Finding clash(Mesh mesh, PairGeometry pair) {
    boolean collide = pair.trochoidMargin() < 0;
    Finding finding = base(mesh, collide ? Severity.ERROR : Severity.WARNING, pair);
    double addendum = largestAddendum(pair);
    String what = collide ? "trochoid" : "involute";
    return addendum < SHORTEST
        ? finding.worded(what + "-hopeless")
        : finding.with("addendum", rounded(addendum, 2)).worded(what);
  }

  /**
   * The largest ring addendum, in hundredths of a module, that clears; below the shortest: none.
   */
  private static double largestAddendum(PairGeometry pair) {
    double addendum = Math.round(pair.ringAddendum() / STEP) * STEP;
    while (addendum >= SHORTEST && !pair.withRingAddendum(addendum).internalClear()) {
      addendum -= STEP;
    }
    return addendum;
  }
}
