package steadycog.shape;

import steadycog.train.MemberId;
import steadycog.train.Planetary;
import steadycog.train.Train;

/**
 * How a wheel's teeth are cut, in modules (ISO 21771).
 *
 * @param shift profile shift, outwards positive
 * @param shortening taken off the tips of an external wheel
 */
public record Cut(double shift, double shortening) {
  public static final Cut STANDARD = new Cut(0, 0);

  /** How {@code wheel} of {@code train} is cut: wheels of planetary sets may have to be shifted. */
  public static Cut of(Train train, MemberId wheel) {
    return train.partOf(wheel) instanceof Planetary set
        ? new PlanetGeometry(set).cut(wheel)
        : STANDARD;
  }
}
