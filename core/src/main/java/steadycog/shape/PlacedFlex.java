package steadycog.shape;

import java.util.Optional;
import steadycog.train.MemberId;

/**
 * A flexspline where it stands in the face view; its shape follows the generator.
 *
 * @param geometry of the drive it belongs to
 * @param boreDepth of its inside below its pitch line, in modules of its own
 * @param scale its own module over that of the train
 * @param generator whose angle bends it
 */
public record PlacedFlex(
    MemberId id,
    MemberId generator,
    int axis,
    int plane,
    double x,
    double y,
    StrainGeometry geometry,
    double boreDepth,
    double scale)
    implements Placed {

  @Override
  public double bodyRadius() {
    return scale * geometry.circularRadius();
  }

  /** It is taken nowhere, but turns and bends with the generator on its own axis. */
  @Override
  public Optional<Orbit> orbit() {
    return Optional.of(new Orbit(generator, x, y));
  }
}
