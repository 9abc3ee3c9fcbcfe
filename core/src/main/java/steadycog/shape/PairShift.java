package steadycog.shape;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.train.Helices;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Train;
import steadycog.train.WheelSize;

/**
 * Profile shifts that bring a pair on fixed axes to a centre distance without play: as much as it
 * needs on the pinion, which gains most by it, and beyond half a module the rest on the gear.
 *
 * @param sized the train with these shifts
 * @param words what is shifted, as {@code shift A 0.42}
 */
public record PairShift(Train sized, String words) {
  private static final double MOST_OF_PINION = 0.5;
  private static final double LEAST = -0.5;
  private static final double MOST = 1.2;
  private static final int DECIMALS = 5;

  /**
   * The shifts for {@code distance}, in modules; empty for a pair of a set, whose shifts follow,
   * and where shifts beyond what teeth bear would be needed.
   */
  public static Optional<PairShift> reaching(Train train, Mesh mesh, double distance) {
    MemberId pinion = mesh.pinion();
    MemberId gear = mesh.gear();
    boolean free = mesh.carrier().isEmpty() && train.partOf(pinion).takesShift(pinion);
    if (!free) {
      return Optional.empty();
    }
    int pinions = mesh.teeth(pinion).count();
    int gears = mesh.teeth(gear).count();
    double standard = (mesh.internal() ? gears - pinions : gears + pinions) / 2.0;
    BasicRack rack = BasicRack.of(train, pinion);
    double sum =
        PairGeometry.tightShifts(rack, standard, distance) / Helices.of(train, pinion).cosine();
    if (Double.isNaN(sum) || sum < LEAST || sum > MOST) {
      return Optional.empty();
    }
    // Of an internal pair the difference counts: the gear takes it all.
    double small = mesh.internal() ? 0 : Math.clamp(sum, LEAST, MOST_OF_PINION);
    BigFraction x1 = rounded(small);
    BigFraction x2 = rounded(sum - x1.doubleValue());
    Train sized = shifted(shifted(train, pinion, x1), gear, x2);
    String words =
        Stream.of(words(pinion, x1), words(gear, x2))
            .filter(said -> !said.isEmpty())
            .collect(Collectors.joining(", "));
    return Optional.of(new PairShift(sized, words.isEmpty() ? "no shift" : words));
  }

  private static BigFraction rounded(double shift) {
    BigDecimal decimal = new BigDecimal(shift).setScale(DECIMALS, RoundingMode.HALF_EVEN);
    return Exact.parse(decimal.stripTrailingZeros().toPlainString());
  }

  private static Train shifted(Train train, MemberId wheel, BigFraction shift) {
    boolean none = shift.equals(BigFraction.ZERO);
    WheelSize size = train.sizes().own(wheel);
    return train.withSizes(
        train.sizes().with(wheel, size.withShift(none ? Optional.empty() : Optional.of(shift))));
  }

  private static String words(MemberId wheel, BigFraction shift) {
    return shift.equals(BigFraction.ZERO) ? "" : "shift " + wheel + " " + Exact.plain(shift);
  }
}
