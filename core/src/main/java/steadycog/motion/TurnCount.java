package steadycog.motion;

import java.math.BigInteger;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.train.MemberId;
import steadycog.train.Mesh;

/**
 * What a person counts at the crank after the input has made {@code inputTurns} turns: marks start
 * at twelve o'clock. All numbers are exact; signs as for speeds, counter-clockwise positive.
 */
public record TurnCount(Motion motion, BigFraction inputTurns) {

  /** Turns of the member, or empty where its speed does not follow. */
  public Optional<BigFraction> turns(MemberId member) {
    return motion.turnsPerInputTurn(member).map(turns -> turns.multiply(inputTurns));
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
