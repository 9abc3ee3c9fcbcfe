package steadycog.search;

import java.util.List;
import steadycog.train.Train;

/**
 * Tooth counts that come near the target, not yet built or checked.
 *
 * @param error size of the error as a share
 * @param least what their {@link Candidate#rank} is at least
 */
record Lead(double error, double least, Builder builder) implements Comparable<Lead> {

  /** Builds the trains of a lead that are of use, and tells a tally which it must turn down. */
  interface Builder {
    List<Train> build(Tally tally, Room room);
  }

  /** Whether there is room for a train of the lead's error among the best. */
  interface Room {
    boolean takes(double rank);
  }

  @Override
  public int compareTo(Lead other) {
    int byError = Double.compare(error, other.error);
    return byError != 0 ? byError : Double.compare(least, other.least);
  }
}
