package steadycog.motion;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.AngularSpeed;
import steadycog.number.Quantity;
import steadycog.number.Ratio;
import steadycog.train.Drive;
import steadycog.train.MemberId;

/**
 * How every body of a mechanism moves.
 *
 * @param status whether all speeds follow
 * @param freedoms how many speeds could still be chosen if nothing were driven
 * @param perDrive {@code perDrive.get(body)} holds, for each drive, the body's turns per turn of
 *     that drive alone; empty where the body floats or the train is jammed
 * @param floating bodies whose speed does not follow, in the order of the card
 * @param conflict a smallest set of relations and drives that cannot hold together; empty unless
 *     jammed
 */
public record Motion(
    Mechanism mechanism,
    Status status,
    int freedoms,
    List<Optional<List<BigFraction>>> perDrive,
    List<MemberId> floating,
    List<Relation.Cause> conflict) {

  /** Whether the relations settle every speed. */
  public enum Status {
    /** Every body's speed follows from the drives. */
    DETERMINED,
    /** Some bodies float: nothing ties them to the drives. */
    UNDETERMINED,
    /** The relations and the drives contradict one another: it cannot turn. */
    JAMMED
  }

  /** The same motion with another torque on the take-off: loads turn nothing. */
  public Motion under(Quantity load) {
    return new Motion(mechanism.under(load), status, freedoms, perDrive, floating, conflict);
  }

  /** The member's speed, or empty where it floats or the train is jammed. */
  public Optional<AngularSpeed> speed(MemberId member) {
    return perDrive
        .get(mechanism.indexOf(member))
        .map(
            shares -> {
              AngularSpeed sum = AngularSpeed.ZERO;
              for (int k = 0; k < shares.size(); k++) {
                Drive drive = mechanism.roles().drives().get(k);
                sum = sum.plus(drive.angularSpeed().times(shares.get(k)));
              }
              return sum;
            });
  }

  /**
   * Turns of the member while the first drive makes one turn; with two drives the second keeps its
   * share of the speed. Empty where the member floats, nothing is driven, or the number would need
   * pi or a first drive at rest with a second that moves.
   */
  public Optional<BigFraction> turnsPerInputTurn(MemberId member) {
    return pace(0).flatMap(pace -> turns(member, pace));
  }

  /** Turns of the member once each drive has made so many turns; empty where it floats. */
  public Optional<BigFraction> turns(MemberId member, List<BigFraction> driveTurns) {
    return perDrive
        .get(mechanism.indexOf(member))
        .map(
            shares -> {
              BigFraction sum = BigFraction.ZERO;
              for (int k = 0; k < shares.size(); k++) {
                sum = sum.add(shares.get(k).multiply(driveTurns.get(k)));
              }
              return sum;
            });
  }

  /**
   * Turns of each drive while drive {@code reference} makes one turn, all at their speeds. Empty
   * where there is no such drive, or the numbers would need pi or a reference at rest.
   */
  public Optional<List<BigFraction>> pace(int reference) {
    List<Drive> drives = mechanism.roles().drives();
    if (reference >= drives.size()) {
      return Optional.empty();
    }
    List<BigFraction> turns = new ArrayList<>();
    for (int k = 0; k < drives.size(); k++) {
      Optional<BigFraction> pace =
          k == reference
              ? Optional.of(BigFraction.ONE)
              : pace(drives.get(reference), drives.get(k));
      if (pace.isEmpty()) {
        return Optional.empty();
      }
      turns.add(pace.get());
    }
    return Optional.of(List.copyOf(turns));
  }

  private static Optional<BigFraction> pace(Drive first, Drive other) {
    AngularSpeed base = first.angularSpeed();
    AngularSpeed speed = other.angularSpeed();
    if (speed.isZero()) {
      return Optional.of(BigFraction.ZERO);
    }
    return base.exactIn(first.statedSpeed().unit())
        .filter(number -> number.signum() != 0)
        .flatMap(
            number -> speed.exactIn(first.statedSpeed().unit()).map(pace -> pace.divide(number)));
  }

  /** A member and its speed over that of the first drive, never negative. */
  public record Fastest(MemberId member, BigFraction times) {}

  /** The fastest member, the first of several; empty where nothing that moves is known. */
  public Optional<Fastest> fastest() {
    Optional<Fastest> fastest = Optional.empty();
    for (MemberId member : mechanism.bodies()) {
      BigFraction times = turnsPerInputTurn(member).map(BigFraction::abs).orElse(BigFraction.ZERO);
      if (times.signum() > 0 && fastest.filter(f -> f.times.compareTo(times) >= 0).isEmpty()) {
        fastest = Optional.of(new Fastest(member, times));
      }
    }
    return fastest;
  }

  /** What contradicts one another, as a card says it: {@code hold A; drive A}. */
  public String conflictText() {
    return conflict.stream().map(Relation.Cause::toString).collect(Collectors.joining("; "));
  }

  /** The ratio from the one drive to the take-off; empty with two drives, or where it has none. */
  public Optional<Ratio> ratio() {
    if (mechanism.roles().drives().size() != 1 || mechanism.roles().take().isEmpty()) {
      return Optional.empty();
    }
    return turnsPerInputTurn(mechanism.roles().take().get().member())
        .filter(turns -> turns.signum() != 0)
        .map(turns -> new Ratio(turns.reciprocal()));
  }
}
