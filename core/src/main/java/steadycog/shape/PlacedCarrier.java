package steadycog.shape;

import java.util.List;
import java.util.Optional;
import steadycog.train.MemberId;

/**
 * A carrier: a plate with the pins on which planets turn.
 *
 * @param planets how many planets, or pairs of them, it carries
 * @param pins where the pins stand about the carrier's axis before the crank is turned
 * @param bodyRadius of the plate, in modules
 */
public record PlacedCarrier(
    MemberId id,
    int axis,
    int plane,
    double x,
    double y,
    int planets,
    List<Polar> pins,
    double bodyRadius)
    implements Placed {

  public PlacedCarrier {
    pins = List.copyOf(pins);
  }

  @Override
  public Optional<Orbit> orbit() {
    return Optional.empty();
  }

  PlacedCarrier at(double newX, double newY) {
    return new PlacedCarrier(id, axis, plane, newX, newY, planets, pins, bodyRadius);
  }
}
