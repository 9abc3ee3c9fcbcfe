package steadycog.bench;

import java.util.ArrayList;
import java.util.List;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * Turns counted at the input and the output.
 *
 * @param tolerance how well the output is read, degrees, above 0
 * @param readings each counted from marks at rest
 */
public record TurnTest(TestHead head, double tolerance, List<Reading> readings)
    implements BenchTest {
  /** As well as a felt-pen mark is read by eye, degrees. */
  public static final double BY_EYE = 3;

  /**
   * What was counted.
   *
   * @param input turns of the drive, with their sign
   * @param output turns of the take-off, whole ones and the rest, with their sign
   */
  public record Reading(BigFraction input, BigFraction output) {}

  public TurnTest {
    readings = List.copyOf(readings);
    if (!(tolerance > 0 && tolerance <= 180)) {
      throw new IllegalArgumentException(
          "a reading is good to more than 0 and at most 180 degrees");
    }
  }

  @Override
  public TurnTest headed(TestHead changed) {
    return new TurnTest(changed, tolerance, readings);
  }

  public TurnTest within(double degrees) {
    return new TurnTest(head, degrees, readings);
  }

  public TurnTest with(List<Reading> changed) {
    return new TurnTest(head, tolerance, changed);
  }

  public TurnTest adding(Reading reading) {
    List<Reading> more = new ArrayList<>(readings);
    more.add(reading);
    return with(more);
  }
}
