package steadycog.shape;

import java.util.Optional;
import steadycog.train.MemberId;

/**
 * A bevel gear that is seen from the side in the face view: the pinion of a right-angle pair, a
 * spider of a differential.
 *
 * @param id whose body it is; a spider goes by its case
 * @param copy which of several, from 0; spiders count from 1, the case itself being 0
 * @param x of the middle of its teeth
 * @param towards the direction from its large end to its small one, radians
 * @param large radius at the large end
 * @param small radius at the small end
 * @param length between the ends
 * @param teeth its count
 * @param shaft how far its shaft goes on behind the large end
 * @param over whether it lies before what it meshes with, seen by the eye
 */
public record PlacedCone(
    MemberId id,
    int copy,
    int axis,
    int plane,
    double x,
    double y,
    double towards,
    double large,
    double small,
    double length,
    int teeth,
    double shaft,
    boolean over,
    Rolling rolling,
    Optional<Orbit> orbit)
    implements Placed {

  /**
   * How it turns on its own axis: {@code ratio} times the turns of {@code driver} as seen from
   * {@code frame}.
   */
  public record Rolling(MemberId driver, Optional<MemberId> frame, double ratio) {}

  @Override
  public double bodyRadius() {
    return Math.hypot(large, length / 2 + shaft);
  }
}
