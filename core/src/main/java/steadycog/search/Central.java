package steadycog.search;

import steadycog.train.MemberId;
import steadycog.train.Planetary;

/** A member of a planetary set that turns about its axis. */
enum Central {
  SUN1,
  RING1,
  SUN2,
  RING2,
  CARRIER;

  /**
   * Turns against the carrier for one turn of the planets against it, those of the first row
   * (Müller, <i>Epicyclic Drive Trains</i>, basic ratio).
   */
  double turns(SetShape of) {
    return switch (this) {
      case SUN1 -> -(double) of.planet1() / of.sun1();
      case RING1 -> (of.paired() ? -1.0 : 1.0) * of.planet1() / of.ring1();
      case SUN2 -> -(double) of.planet2() / of.sun2();
      case RING2 -> (double) of.planet2() / of.ring2();
      case CARRIER -> 0;
    };
  }

  MemberId of(Planetary set) {
    return switch (this) {
      case SUN1 -> set.sunId(0);
      case RING1 -> set.ringId(0);
      case SUN2 -> set.sunId(1);
      case RING2 -> set.ringId(1);
      case CARRIER -> set.carrierId();
    };
  }
}
