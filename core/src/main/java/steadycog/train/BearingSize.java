package steadycog.train;

import java.util.Optional;
import steadycog.number.Quantity;
import steadycog.number.Unit;

/**
 * What is stated of the two bearings of a shaft, or of that of a planet on its pin.
 *
 * @param bearing of the table of usual sizes
 * @param rating basic dynamic load rating of each, as its maker gives it
 * @param places where their middles lie, from the middle of the wheel on whose name it is stated,
 *     away from the drive end positive, in this order; empty where the drawing puts them
 */
public record BearingSize(
    Optional<BallBearing> bearing, Optional<Quantity> rating, Optional<Places> places) {
  public static final BearingSize NONE =
      new BearingSize(Optional.empty(), Optional.empty(), Optional.empty());

  private static final double FAR_MM = 10_000;
  private static final double LEAST_SPAN_MM = 0.1;

  /** Of two bearings, the one nearer to the drive end first. */
  public record Places(Quantity first, Quantity second) {
    public Places {
      Drive.requireDimension(first, Unit.Dimension.LENGTH);
      Drive.requireDimension(second, Unit.Dimension.LENGTH);
      if (Math.abs(first.inBase()) > FAR_MM || Math.abs(second.inBase()) > FAR_MM) {
        throw new IllegalArgumentException(
            "bearings at " + first + " and " + second + ": expected within 10 m");
      }
      if (second.inBase() - first.inBase() < LEAST_SPAN_MM) {
        throw new IllegalArgumentException(
            "bearings at "
                + first
                + " and "
                + second
                + ": expected the one nearer to the drive end first, and room between them");
      }
    }
  }

  public BearingSize {
    rating.ifPresent(
        force -> {
          Drive.requireDimension(force, Unit.Dimension.FORCE);
          if (force.inBase() <= 0 || force.inBase() > 1e8) {
            throw new IllegalArgumentException(
                "rating " + force + ": expected more than 0 N, as 4500 N");
          }
        });
  }

  public BearingSize withPlaces(Places changed) {
    return new BearingSize(bearing, rating, Optional.of(changed));
  }

  public BearingSize withRating(Quantity changed) {
    return new BearingSize(bearing, Optional.of(changed), places);
  }

  public BearingSize withBearing(BallBearing changed) {
    return new BearingSize(Optional.of(changed), rating, places);
  }

  /**
   * What is stated here, else what {@code common} says; a place is that of one shaft alone, and
   * another bearing has a rating of its own.
   */
  BearingSize or(BearingSize common) {
    return bearing.isPresent()
        ? this
        : new BearingSize(common.bearing, rating.or(common::rating), places);
  }

  /** As a card states it after its verb and member: {@code rating 4500 N at -8 mm 40 mm}. */
  @Override
  public String toString() {
    return (bearing.map(one -> " " + one.name()).orElse("")
            + rating.map(force -> " rating " + force).orElse("")
            + places.map(at -> " at " + at.first + " " + at.second).orElse(""))
        .strip();
  }
}
