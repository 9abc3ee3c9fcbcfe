package steadycog.number;

import java.util.concurrent.CancellationException;

/** Looks on while something long is worked out, and may stop it. Called from the working thread. */
@FunctionalInterface
public interface Pace {
  /** Sees nothing and stops nothing. */
  Pace FREE = share -> {};

  /**
   * Told now and then how far the work is.
   *
   * @param share done so far, 0 to 1
   * @throws CancellationException to stop: what has been worked out so far is dropped
   */
  void at(double share);
}
