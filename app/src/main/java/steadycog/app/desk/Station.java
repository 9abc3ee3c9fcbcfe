package steadycog.app.desk;

/** What a designer works at, in working order. */
public enum Station {
  /** Wheels and shafts: what is here and who touches whom. */
  LAY_OUT("Lay out"),
  /** Roles: who is driven, held and taken off, and what comes of it. */
  DRIVE_AND_HOLD("Drive & hold"),
  /** Tooth counts for a ratio. */
  FIND_TEETH("Find teeth"),
  /** Brakes, clutches and the states that they make. */
  SHIFT_PLAN("Shift plan"),
  /** Sizes, play, strength, and files for the shop. */
  CUT_SHEET("Cut sheet"),
  /** What was built, and what came of testing it. */
  BENCH_BOOK("Bench book");

  private final String title;

  Station(String title) {
    this.title = title;
  }

  public String title() {
    return title;
  }
}
