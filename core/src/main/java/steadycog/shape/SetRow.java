package steadycog.shape;

import java.util.ArrayList;
import java.util.List;
import steadycog.train.Helices;
import steadycog.train.MemberId;
import steadycog.train.Planetary;
import steadycog.train.Train;

/**
 * The teeth of one row of a planetary set, in the plane of rotation.
 *
 * @param scale its module over that of the train
 * @param rack that cuts them
 * @param cosine of the helix angle, by which stated shifts are smaller there
 */
record SetRow(double scale, BasicRack rack, double cosine) {
  /** Straight teeth of the usual rack and the train's module. */
  static final SetRow USUAL = new SetRow(1, BasicRack.ISO_53_A, 1);

  static List<SetRow> of(Train train, Planetary set) {
    List<SetRow> all = new ArrayList<>();
    for (int row = 0; row < set.rows().size(); row++) {
      MemberId planet = set.planetIds(row).getFirst();
      all.add(
          new SetRow(
              train.moduleMm(planet) / train.moduleMm(),
              BasicRack.of(train, planet),
              Helices.of(train, planet).cosine()));
    }
    return all;
  }
}
