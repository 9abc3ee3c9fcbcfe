package steadycog.search;

import java.util.List;

/** Looks on while a search runs, and may stop it. Called from the searching threads. */
public interface Watch {
  /** Sees nothing and stops nothing. */
  Watch NONE = new Watch() {};

  /** Whether to stop; asked every few milliseconds, what was found so far is kept. */
  default boolean cancelled() {
    return false;
  }

  /**
   * How far the search has come.
   *
   * @param kind what is being looked for
   * @param share how much of the reach in hand is done, 0 to 1
   * @param examined combinations covered in all
   */
  default void progress(Kind kind, double share, long examined) {}

  /** The best so far, best first; comes each time there is more. */
  default void found(List<Candidate> best) {}
}
