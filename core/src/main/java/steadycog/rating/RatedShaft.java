package steadycog.rating;

import java.util.List;
import java.util.Optional;
import steadycog.train.BallBearing;
import steadycog.train.MemberId;

/**
 * What a shaft on two bearings, or the pin of a planet, bears in all states: forces of the teeth,
 * each with the overload factor.
 *
 * @param member the first wheel on it, or the planet
 * @param pin whether it is the pin of a planet
 * @param wheels on it, in the order of the card
 * @param held where it is held, from the middle of {@code member}
 * @param onFirst the largest force across the axis on the bearing nearer to the drive end, N
 * @param onSecond the same of the other
 * @param thrust the largest along the axis, N
 * @param worst where it bears most for what it has to
 * @param least diameter with which the factor wanted is reached everywhere, mm
 * @param made as made; empty where nothing on it has a bore
 * @param wanted factor
 * @param bearing as stated, else the smallest usual one that goes onto it; empty for none, and for
 *     pins of which none is stated
 * @param bearingStated whether the card says which
 * @param life of its bearings; empty where no rating is entered or nothing turns
 */
public record RatedShaft(
    MemberId member,
    boolean pin,
    List<MemberId> wheels,
    Held held,
    double onFirst,
    double onSecond,
    double thrust,
    Worst worst,
    double least,
    Optional<Made> made,
    double wanted,
    Optional<BallBearing> bearing,
    boolean bearingStated,
    Optional<Life> life) {

  /**
   * Where a shaft lies in its bearings, or a pin in its plates; both places are one where a pin is
   * held at one end.
   *
   * @param first mm, away from the drive end positive
   * @param second mm, not before the first
   * @param stated whether the card says so
   */
  public record Held(double first, double second, boolean stated) {
    Held from(double middle) {
      return new Held(first - middle, second - middle, stated);
    }

    boolean atOneEnd() {
      return first == second;
    }
  }

  /**
   * Where a shaft is most in danger.
   *
   * @param state its name; empty of a train without states
   * @param wheel whose seat it is; empty at a bearing, or where a pin is held
   * @param bending moment, N mm
   * @param torque N mm
   */
  public record Worst(String state, Optional<MemberId> wheel, double bending, double torque) {}

  /**
   * A shaft as it is.
   *
   * @param diameter by the smallest bore on it, mm
   * @param stated whether the card states that bore
   * @param factor the least of all its places
   */
  public record Made(double diameter, boolean stated, double factor) {}

  /**
   * Basic life of the more loaded bearing, which nine in ten outlast (ISO 281).
   *
   * @param rating basic dynamic load rating, N
   * @param load the steady equivalent one that wears it as fast, N
   * @param rpm at which, a mean over the time
   * @param hours as many
   * @param wanted hours
   */
  public record Life(double rating, double load, double rpm, double hours, double wanted) {
    public boolean isShort() {
      return hours < wanted;
    }

    /** The rating with which it lasts as long as is wanted, N. */
    public double needed() {
      return rating * Math.cbrt(wanted / hours);
    }
  }

  public RatedShaft {
    wheels = List.copyOf(wheels);
  }

  /** Whether it has less of a factor than is wanted. */
  public boolean isShort() {
    return made.filter(one -> one.factor < wanted).isPresent();
  }

  /** Whether the bearings that the card states are wider than the shaft that the card states. */
  public boolean isLoose() {
    return bearingStated
        && made.filter(one -> one.stated && one.diameter < bearing.orElseThrow().bore())
            .isPresent();
  }

  /** What people call it: {@code shaft of C}, {@code pin of planet}. */
  public String name() {
    return name(member.toString());
  }

  /** The same where its member has a shorter name. */
  public String name(String of) {
    return (pin ? "pin of " : "shaft of ") + of;
  }
}
