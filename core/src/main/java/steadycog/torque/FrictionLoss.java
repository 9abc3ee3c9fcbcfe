package steadycog.torque;

import java.util.Optional;
import steadycog.shape.BevelPair;
import steadycog.shape.PairGeometry;
import steadycog.train.Helices;
import steadycog.train.Mesh;
import steadycog.train.MeshKind;
import steadycog.train.Train;

/**
 * The share of power that sliding teeth lose, per unit of friction: {@code pi (1/z1 ± 1/z2) (1 - ea
 * + e1² + e2²)}, + external, - internal (tooth loss factor of Niemann &amp; Winter, <i>
 * Maschinenelemente II</i>; the load is taken as shared evenly by the pairs in contact).
 *
 * @param curvature 1/z1 ± 1/z2, of helical teeth by cos bb; of bevel gears by their virtual counts
 *     z / cos d (Tredgold)
 * @param approach e1, part of the contact ratio
 * @param recess e2, part of the contact ratio
 */
record FrictionLoss(double curvature, double approach, double recess) {

  /** Empty for contact that the formula does not speak of and for teeth that cannot run. */
  static Optional<FrictionLoss> of(Train train, MeshKind kind, Mesh mesh) {
    double one = mesh.teethA().count();
    double other = mesh.teethB().count();
    double wound = Helices.baseCosine(train, mesh.a());
    Optional<FrictionLoss> found =
        switch (kind) {
          case EXTERNAL ->
              Optional.of(of((1 / one + 1 / other) / wound, PairGeometry.in(train, mesh)));
          case INTERNAL ->
              Optional.of(of(Math.abs(1 / one - 1 / other) / wound, PairGeometry.in(train, mesh)));
          case BEVEL ->
              Optional.of(bevel(BevelPair.of(train, mesh.a()).orElseThrow().onBackCones()));
          case CYCLOIDAL, STRAIN_WAVE -> Optional.empty();
        };
    return found.filter(FrictionLoss::sound);
  }

  /** Whether the teeth can run at all, so that there is something to estimate. */
  private boolean sound() {
    return Double.isFinite(approach) && Double.isFinite(recess) && approach + recess > 0;
  }

  private static FrictionLoss of(double curvature, PairGeometry pair) {
    return new FrictionLoss(curvature, pair.approach(), pair.recess());
  }

  private static FrictionLoss bevel(PairGeometry spur) {
    return of(1 / spur.pinion() + 1 / spur.gear(), spur);
  }

  /** The share lost at a coefficient of friction. */
  double loss(double friction) {
    double contacts = approach + recess;
    return friction * Math.PI * curvature * (1 - contacts + approach * approach + recess * recess);
  }
}
