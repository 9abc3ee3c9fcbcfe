package steadycog.train;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import steadycog.number.Quantity;

/**
 * What a card wishes of the box round a train; what it does not say follows by proportion.
 *
 * @param wall thickness round what turns
 * @param bolts that hold the layers together
 * @param motor what is fixed before the input
 * @param leftOut pieces that are not wanted, as the bill of the gearbox names them
 */
public record Housing(
    Optional<Quantity> wall,
    Optional<Bolts> bolts,
    Optional<MotorFace> motor,
    List<String> leftOut) {
  public static final Housing NONE =
      new Housing(Optional.empty(), Optional.empty(), Optional.empty(), List.of());

  private static final double LEAST_WALL = 0.4;
  private static final double MOST_WALL = 100;

  /** So many screws of a size. */
  public record Bolts(int count, Screw screw) {
    private static final int FEWEST = 3;
    private static final int MOST = 24;

    public Bolts {
      if (count < FEWEST || count > MOST) {
        throw new IllegalArgumentException(
            "bolts " + count + ": expected " + FEWEST + " to " + MOST + ", as 4 x M3");
      }
    }

    /** {@code 4 x M3}. */
    @Override
    public String toString() {
      return count + " x " + screw.name();
    }
  }

  public Housing {
    leftOut = List.copyOf(leftOut);
    for (String piece : leftOut) {
      if (leftOut.indexOf(piece) != leftOut.lastIndexOf(piece)) {
        throw new IllegalArgumentException("leave out " + piece + " stands twice: leave one");
      }
    }
    wall.ifPresent(
        length -> {
          Cycloidal.requireLength("wall", length);
          if (length.inBase() < LEAST_WALL || length.inBase() > MOST_WALL) {
            throw new IllegalArgumentException(
                "wall " + length + ": expected " + LEAST_WALL + " to " + (int) MOST_WALL + " mm");
          }
        });
  }

  public boolean unstated() {
    return equals(NONE);
  }

  public Housing withWall(Optional<Quantity> changed) {
    return new Housing(changed, bolts, motor, leftOut);
  }

  public Housing withBolts(Optional<Bolts> changed) {
    return new Housing(wall, changed, motor, leftOut);
  }

  public Housing withMotor(Optional<MotorFace> changed) {
    return new Housing(wall, bolts, changed, leftOut);
  }

  /** Without these pieces, and no others. */
  public Housing without(List<String> pieces) {
    return new Housing(wall, bolts, motor, pieces);
  }

  /**
   * These wishes and {@code more} together.
   *
   * @throws IllegalArgumentException where both say one thing
   */
  Housing and(Housing more) {
    return new Housing(
        WheelSize.one("wall", wall, more.wall),
        WheelSize.one("bolts", bolts, more.bolts),
        WheelSize.one("motor face", motor, more.motor),
        Stream.concat(leftOut.stream(), more.leftOut.stream()).toList());
  }

  /** One statement each. */
  List<Housing> split() {
    List<Housing> all = new ArrayList<>();
    Housing box = withMotor(Optional.empty()).without(List.of());
    if (!box.unstated()) {
      all.add(box);
    }
    if (motor.isPresent()) {
      all.add(NONE.withMotor(motor));
    }
    leftOut.forEach(piece -> all.add(NONE.without(List.of(piece))));
    return all;
  }

  /** As a card states it, of one that says one thing: {@code housing wall 3 mm bolts 4 x M3}. */
  @Override
  public String toString() {
    if (!leftOut.isEmpty()) {
      return "leave out " + leftOut.getFirst();
    }
    return motor
        .map(face -> "motor face " + face.size() + " mm")
        .orElseGet(
            () ->
                "housing"
                    + wall.map(length -> " wall " + length).orElse("")
                    + bolts.map(given -> " bolts " + given).orElse(""));
  }
}
