package steadycog.search;

import java.util.List;
import steadycog.torque.MeshEfficiency;
import steadycog.train.Parallel;
import steadycog.train.Parallel.Link;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * What can at best come out of stages with the losses asked for. Where the losses of a mesh do not
 * depend on its teeth that is known beforehand; estimated from friction it is not, and nothing is
 * ruled out.
 *
 * @param sun efficiency of a mesh of external wheels
 * @param ring of one with an internal wheel
 * @param faster whether trains are driven from their slow end
 */
record Outputs(double sun, double ring, boolean faster, Limits.Direction direction) {
  /** Efficiencies are worked out in doubles. */
  private static final double ROUNDING = 1e-13;

  static Outputs of(Query query, boolean faster) {
    Limits.Direction direction = query.limits().direction();
    return query.running().losses().friction().isPresent()
        ? new Outputs(1, 1, faster, direction)
        : new Outputs(
            sample(query, Teeth.external(40)),
            sample(query, Teeth.internal(40)),
            faster,
            direction);
  }

  private static double sample(Query query, Teeth driven) {
    Train pair =
        Train.of(
            List.of(new Parallel("", List.of(Teeth.external(20), driven), List.of(Link.MESH))));
    return MeshEfficiency.of(pair.withLosses(query.running().losses()))
        .getFirst()
        .value()
        .doubleValue();
  }

  /**
   * Of pairs in series; where the output must turn the other way one is internal, or has an idler.
   */
  double ofPairs(int pairs) {
    boolean turned = !direction.allowsPairs(pairs);
    double external = Math.pow(sun, pairs);
    return (turned ? Math.max(external / sun * ring, external * sun) : external) + ROUNDING;
  }

  /**
   * Of a set: at least what its meshes lose of the power that passes them relative to the carrier
   * (Müller, <i>Epicyclic Drive Trains</i>, rolling power). That of the member that is driven is a
   * known share of what goes in, that of the one taken off of what comes out.
   */
  double ofSet(SetShape shape, Use use) {
    double still = use.held().turns(shape);
    double in = use.in().turns(shape);
    double out = use.out().turns(shape);
    double inner = Math.abs(in / (in - still));
    double outer = Math.abs(out / (out - still));
    boolean carrier = inner == 0 || outer == 0 || still == 0;
    double both = mesh(use.in()) * mesh(use.held()) * mesh(use.out()) * (shape.paired() ? sun : 1);
    if (still == 0) {
      return both + ROUNDING;
    }
    double lostIn = inner * (1 - (carrier ? both : mesh(use.in())));
    double lostOut = outer * (1 - (carrier ? both : mesh(use.out())));
    double share = faster ? (1 - lostOut) / (1 + lostIn) : (1 - lostIn) / (1 + lostOut);
    return Math.max(0, share) + ROUNDING;
  }

  private double mesh(Central member) {
    return switch (member) {
      case SUN1, SUN2 -> sun;
      case RING1, RING2 -> ring;
      case CARRIER -> 1;
    };
  }

  double of(SeriesStage element) {
    return switch (element) {
      case SeriesStage.OfSet one -> ofSet(one.shape(), one.use());
      case SeriesStage.OfPair pair -> sun + ROUNDING;
    };
  }
}
