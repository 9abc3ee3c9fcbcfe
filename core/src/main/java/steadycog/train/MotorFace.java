package steadycog.train;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * The square face of a usual small motor.
 *
 * @param size of the square, mm
 * @param bolts side of the square on which its four threads stand, mm
 * @param pilot diameter of the round shoulder that centres it, mm
 * @param screw that its threads take
 */
public record MotorFace(int size, double bolts, double pilot, Screw screw) {
  private static final List<MotorFace> USUAL =
      List.of(
          new MotorFace(35, 26, 22, Screw.of("M3").orElseThrow()),
          new MotorFace(42, 31, 22, Screw.of("M3").orElseThrow()),
          new MotorFace(57, 47.14, 38.1, Screw.of("M4").orElseThrow()));

  public static Optional<MotorFace> of(double mm) {
    return USUAL.stream().filter(one -> one.size == mm).findFirst();
  }

  /** All of them, the smallest first. */
  public static List<MotorFace> usual() {
    return USUAL;
  }

  /** All sizes, for messages. */
  public static String sizes() {
    return USUAL.stream().map(one -> one.size + " mm").collect(Collectors.joining(", "));
  }
}
