package steadycog.torque;

import java.util.List;
import java.util.Optional;
import steadycog.motion.Motion;
import steadycog.train.Train;

/**
 * What a train takes and gives under its load.
 *
 * @param ideal torques without losses
 * @param flow power and torques with losses
 * @param backwards how it behaves pushed at its take-off; empty where that has no sense
 */
public record Loading(Torques ideal, PowerFlow flow, Optional<Backwards> backwards) {

  /** Forwards and backwards in short; empty where the train has no ratio. */
  public Optional<EachWay> eachWay() {
    return backwards.map(back -> new EachWay(flow.verdict(), flow.efficiency(), back));
  }

  /** Works out {@code train} in {@code motion}, with the losses that its card states or leaves. */
  public static Loading of(Train train, Motion motion) {
    Torques ideal = TorqueSolver.solve(motion);
    List<MeshEfficiency> meshes = MeshEfficiency.of(train);
    LossModel model = new LossModel(motion);
    boolean turns = ideal.status() != Torques.Status.NONE && motion.ratio().isPresent();
    return new Loading(
        ideal,
        PowerFlow.of(motion, ideal, meshes, model),
        turns
            ? Optional.of(Backwards.of(model, PowerFlow.shares(meshes), motion))
            : Optional.empty());
  }
}
