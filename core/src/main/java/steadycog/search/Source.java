package steadycog.search;

/** One kind of train: finds leads. */
interface Source {

  Kind kind();

  /**
   * Adds every lead whose error lies above {@code above} and not above {@code upTo}, both as
   * shares.
   *
   * @param tally counts combinations, once each however often they are swept
   */
  void sweep(double above, double upTo, Leads leads, Tally tally, Watch watch);
}
