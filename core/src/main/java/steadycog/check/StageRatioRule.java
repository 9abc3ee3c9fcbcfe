package steadycog.check;

import java.util.Optional;
import steadycog.train.Mesh;
import steadycog.train.Train;

/** More than 8 : 1 in one external pair takes more room than two stages would. */
final class StageRatioRule extends PairRule {
  private static final int MOST = 8;

  @Override
  Optional<Finding> check(Train train, Mesh mesh) {
    int small = Math.min(mesh.teethA().count(), mesh.teethB().count());
    int large = Math.max(mesh.teethA().count(), mesh.teethB().count());
    if (mesh.internal() || large <= MOST * small) {
      return Optional.empty();
    }
    return Optional.of(
        finding("stage-ratio", Severity.NOTE, mesh)
            .with("stageRatio", rounded((double) large / small, 2))
            .with("most", MOST));
  }
}
