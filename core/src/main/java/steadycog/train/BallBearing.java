package steadycog.train;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * A deep-groove ball bearing of a usual size (ISO 15).
 *
 * @param name designation
 * @param bore mm
 * @param outside diameter, mm
 * @param width mm
 */
public record BallBearing(String name, int bore, int outside, int width) {
  private static final List<BallBearing> USUAL =
      List.of(
          new BallBearing("683", 3, 7, 3),
          new BallBearing("623", 3, 10, 4),
          new BallBearing("624", 4, 13, 5),
          new BallBearing("685", 5, 11, 5),
          new BallBearing("625", 5, 16, 5),
          new BallBearing("626", 6, 19, 6),
          new BallBearing("688", 8, 16, 5),
          new BallBearing("608", 8, 22, 7),
          new BallBearing("6800", 10, 19, 5),
          new BallBearing("6900", 10, 22, 6),
          new BallBearing("6000", 10, 26, 8),
          new BallBearing("6801", 12, 21, 5),
          new BallBearing("6001", 12, 28, 8),
          new BallBearing("6802", 15, 24, 5),
          new BallBearing("6002", 15, 32, 9),
          new BallBearing("6803", 17, 26, 5),
          new BallBearing("6804", 20, 32, 7),
          new BallBearing("6805", 25, 37, 7),
          new BallBearing("6806", 30, 42, 7),
          new BallBearing("6808", 40, 52, 7),
          new BallBearing("6810", 50, 65, 7));

  /** All of them, by bore and then by outside. */
  public static List<BallBearing> usual() {
    return USUAL;
  }

  public static Optional<BallBearing> of(String name) {
    return USUAL.stream().filter(one -> one.name.equals(name)).findFirst();
  }

  /** The smallest of those that go onto a shaft of that thickness, with a step of it or without. */
  public static Optional<BallBearing> on(double shaftMm) {
    return USUAL.stream()
        .filter(one -> one.bore <= shaftMm)
        .max(Comparator.comparingInt(BallBearing::bore).thenComparingInt(one -> -one.outside));
  }

  /** All names, for messages. */
  public static String names() {
    return USUAL.stream().map(BallBearing::name).collect(Collectors.joining(", "));
  }

  /** {@code 688, 8 × 16 × 5}: name, bore, outside and width in mm. */
  public String says() {
    return name + ", " + bore + " \u00d7 " + outside + " \u00d7 " + width;
  }
}
