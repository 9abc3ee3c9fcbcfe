package steadycog.train;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * A socket head cap screw of a usual size (ISO 4762) with its clearance hole (ISO 273, fine) and,
 * where it is usual, its hexagon nut (ISO 4032).
 *
 * @param name as {@code M3}
 * @param diameter of the thread, mm
 * @param head diameter, mm
 * @param height of the head, mm
 * @param hole diameter of the hole that it goes through, mm
 * @param nut empty for sizes that are screwed into a thread
 */
public record Screw(
    String name, double diameter, double head, double height, double hole, Optional<Nut> nut) {
  /** Of the thread's diameter, what is left between its flanks: also the hole to be tapped. */
  private static final double CORE = 0.8;

  private static final List<Screw> USUAL =
      List.of(
          new Screw("M2", 2, 3.8, 2, 2.4, Optional.empty()),
          new Screw("M2.5", 2.5, 4.5, 2.5, 2.9, Optional.empty()),
          new Screw("M3", 3, 5.5, 3, 3.4, Optional.of(new Nut(5.5, 2.4))),
          new Screw("M4", 4, 7, 4, 4.5, Optional.of(new Nut(7, 3.2))),
          new Screw("M5", 5, 8.5, 5, 5.5, Optional.of(new Nut(8, 4.7))),
          new Screw("M6", 6, 10, 6, 6.6, Optional.empty()));

  private static final List<Integer> LENGTHS =
      List.of(4, 5, 6, 8, 10, 12, 16, 20, 25, 30, 35, 40, 45, 50, 55, 60, 65, 70, 80, 90, 100);

  private static final int LONG_STEP = 10;

  /** Across flats and height, mm. */
  public record Nut(double across, double height) {}

  public static Optional<Screw> of(String name) {
    return USUAL.stream().filter(one -> one.name.equalsIgnoreCase(name)).findFirst();
  }

  /** All of them, the thinnest first. */
  public static List<Screw> usual() {
    return USUAL;
  }

  /** All names, for messages. */
  public static String names() {
    return USUAL.stream().map(Screw::name).collect(Collectors.joining(", "));
  }

  /** Diameter of the hole for its thread, mm. */
  public double core() {
    return CORE * diameter;
  }

  /** The shortest usual length from {@code mm} up, below its head. */
  public static int lengthFrom(double mm) {
    return LENGTHS.stream()
        .filter(length -> length >= mm)
        .findFirst()
        .orElse((int) Math.ceil(mm / LONG_STEP) * LONG_STEP);
  }
}
