package steadycog.motion;

import java.math.BigInteger;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.train.MemberId;
import steadycog.train.Mesh;

/**
 * What a person counts at the crank after each drive has made its turns: marks start at twelve
 * o'clock. All numbers are exact; signs as for speeds, counter-clockwise positive.
 *
 * @param driveTurns one a drive
 */
public record TurnCount(Motion motion, List<BigFraction> driveTurns) {

  public TurnCount {
    driveTurns = List.copyOf(driveTurns);
  }

  /**
   * After so many turns of the first drive, a second one at its share of the speed; nothing is
   * counted where that share is not known.
   */
  public static TurnCount of(Motion motion, BigFraction inputTurns) {
    return new TurnCount(
        motion,
        motion.pace(0).orElse(List.of()).stream()
            .map(turns -> turns.multiply(inputTurns))
            .toList());
  }

  /** Turns of the member, or empty where its speed does not follow. */
  public Optional<BigFraction> turns(MemberId member) {
    return driveTurns.isEmpty() ? Optional.empty() : motion.turns(member, driveTurns);
  }

  /**
   * Teeth that have gone past the mesh: turns relative to the carrier times teeth, never negative.
   * The same for both wheels of the mesh.
   */
  public Optional<BigFraction> teethPassed(Mesh mesh) {
    return relativeTurns(mesh, mesh.a()).map(turns -> turns.multiply(mesh.teethA().count()).abs());
  }

  /** Turns of {@code member}, one of the mesh's two, as seen from the mesh's carrier. */
  public Optional<BigFraction> relativeTurns(Mesh mesh, MemberId member) {
    Optional<BigFraction> own = turns(member);
    return mesh.carrier().isEmpty()
        ? own
        : own.flatMap(turns -> turns(mesh.carrier().get()).map(turns::subtract));
  }

  /** The fewest whole input turns after which every mark stands where it stood. */
  public static BigInteger lineUp(Motion motion) {
    List<BigFraction> turns =
        motion.mechanism().bodies().stream()
            .map(motion::turnsPerInputTurn)
            .flatMap(Optional::stream)
            .toList();
    return Exact.commonDenominator(turns);
  }

  /** Whole turns and degrees left over, both with the sign of {@code turns}: {@code -1, -72}. */
  public record TurnsAndDegrees(BigInteger whole, BigFraction degrees) {
    public static TurnsAndDegrees of(BigFraction turns) {
      BigInteger whole = Exact.floor(turns.abs());
      BigFraction rest = turns.abs().subtract(whole).multiply(360);
      return turns.signum() < 0
          ? new TurnsAndDegrees(whole.negate(), rest.negate())
          : new TurnsAndDegrees(whole, rest);
    }
  }
}
