package steadycog.torque;

import java.util.List;
import java.util.Optional;
import steadycog.motion.Motion;
import steadycog.torque.PowerFlow.Verdict;
import steadycog.train.MemberId;

/**
 * How a train with one drive behaves pushed at either end, without the torques of its members: for
 * tables of many configurations, at a fraction of the cost.
 *
 * @param verdict driven forwards
 * @param efficiency forwards; present only where it runs
 */
public record EachWay(Verdict verdict, Optional<Double> efficiency, Backwards backwards) {

  /** Empty where the train has no ratio. Cost: some thirty small systems of doubles. */
  public static Optional<EachWay> of(Motion motion, List<MeshEfficiency> meshes) {
    if (motion.ratio().isEmpty()) {
      return Optional.empty();
    }
    LossModel model = new LossModel(motion);
    double[] shares = PowerFlow.shares(meshes);
    MemberId drive = motion.mechanism().roles().drives().getFirst().member();
    LossModel.Flows flows = model.push(motion.mechanism().indexOf(drive)).flows(shares);
    return Optional.of(
        new EachWay(
            PowerFlow.verdict(flows),
            PowerFlow.efficiency(flows),
            Backwards.of(model, shares, motion)));
  }
}
