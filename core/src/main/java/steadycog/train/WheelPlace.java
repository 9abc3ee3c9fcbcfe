package steadycog.train;

/** Where a wheel of a planetary set sits: its row, and of paired planets which. */
record WheelPlace(int row, Kind kind, int index) {

  /** What it is in its row. */
  enum Kind {
    SUN,
    PLANET,
    RING
  }
}
