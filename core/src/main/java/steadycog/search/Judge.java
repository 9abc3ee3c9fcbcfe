package steadycog.search;

/** What becomes of the trains of a lead. */
interface Judge {
  /** Whether there is room for a train of the lead of this size and diameter. */
  boolean takes(double size, double diameter);

  /**
   * Judges a train and lists it if it is among the best; what is turned down is counted.
   *
   * @return whether there is a way in which it is free of errors, or none is asked for
   */
  boolean offer(Fit fit);

  /** Counts a train that a limit or a rule turns down. */
  void reject(String rule);

  boolean cancelled();
}
