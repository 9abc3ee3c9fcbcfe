package steadycog.bench.rig;

import java.util.List;
import java.util.Optional;

/**
 * A motor at the input of a train, a brake with a torque meter at its output, an encoder on both.
 * Signs as for speeds: counter-clockwise positive seen from the drive end. Used by one thread at a
 * time.
 */
public interface Rig {
  /** What is asked of the rig until something else is. */
  interface Command {
    /** Turns the input at a speed; 0 holds it fast. */
    void drive(double rpm);

    /**
     * Loads the output, N m: positive resists the motion that the train would make under a forward
     * drive, negative pulls along with it.
     */
    void load(double torque);
  }

  /** Counts of the input's encoder a turn. */
  int inputCounts();

  /** Counts of the output's encoder a turn. */
  int outputCounts();

  /** Torque of its motor for an ampere, N m/A. */
  double torqueConstant();

  /** Current that its motor takes by itself, A. */
  double idleCurrent();

  /** Speed at which loads are tried, rpm, positive. */
  double usualSpeed();

  Command command();

  /**
   * Lets time go by and gives what was read in it, oldest first. A real rig gives what has come in
   * since the last call.
   *
   * @param seconds above 0
   */
  List<RigReading> pass(double seconds);

  /** Takes motor and brake off at once; commands are obeyed no more. */
  void stop();

  /** What is found when the build is taken off and opened; empty where only a person can tell. */
  default Optional<String> inspect() {
    return Optional.empty();
  }
}
