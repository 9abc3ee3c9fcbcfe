package steadycog.search;

/**
 * A part of what a source can find.
 *
 * @param stages of the trains
 * @param above only trains of larger errors
 * @param upTo only trains of at most this error, as a share
 * @param over only trains of more teeth, or of a larger diameter, than this
 * @param cap only trains of at most that
 * @param bound where its best can at best stand
 */
record Step(int stages, double above, double upTo, double over, double cap, Key bound) {
  /** Errors of a step in modules or teeth are not parted. */
  static Step whole(int stages, double upTo, Key bound) {
    return new Step(stages, -1, upTo, 0, Double.POSITIVE_INFINITY, bound);
  }

  /** Whether trains of this many stages have not been swept before. */
  boolean first() {
    return above < 0 && over == 0;
  }

  boolean contains(double error) {
    return error > above && error <= upTo;
  }

  /** Whether something of at least this size and diameter is not beyond the cap. */
  boolean under(Rank rank, double size, double diameter) {
    return capped(rank, size, diameter) <= cap;
  }

  /** Whether exactly this size and diameter belong to this step. */
  boolean takes(Rank rank, double size, double diameter) {
    double measure = capped(rank, size, diameter);
    return measure > over && measure <= cap;
  }

  private static double capped(Rank rank, double size, double diameter) {
    return switch (rank) {
      case SIZE, LOAD -> size;
      case DIAMETER -> diameter;
      case ERROR, STAGES, EFFICIENCY -> 1;
    };
  }
}
