package steadycog.shape;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Random;
import org.junit.jupiter.api.Test;
import steadycog.RandomTrains;
import steadycog.train.PlanetRow;
import steadycog.train.Planetary;
import steadycog.train.Planetary.Spacing;

/**
 * Whether planets go in, tried as on the bench: each planet is put into its place one tooth after
 * the other, until its teeth meet those of all central wheels, or do not.
 */
class HandPlacesTest {
  private static final double FITS = 1e-7;

  private static boolean isWhole(double teeth) {
    return Math.abs(teeth - Math.rint(teeth)) < FITS;
  }

  /**
   * Whether a planet whose rows stand to each other as those of the first goes in at {@code turn}:
   * some rotation of it meets every central wheel, all of which were met by the first at 0.
   */
  private static boolean goesIn(Planetary set, double turn) {
    int teeth = set.row().inner().count();
    // Turned so far that row 1 meets its first central wheel, then on by whole teeth of row 1.
    PlanetRow first = set.row();
    double start =
        first.sun().isPresent()
            ? turn + turn * first.sun().get().count() / teeth
            : turn - turn * first.ring().orElseThrow().count() / teeth;
    for (int tooth = 0; tooth < teeth; tooth++) {
      double rotation = start + (double) tooth / teeth;
      boolean fits = true;
      for (PlanetRow row : set.rows()) {
        double own = row.inner().count() * (rotation - turn);
        fits &= row.sun().isEmpty() || isWhole(own - row.sun().get().count() * turn);
        fits &= row.ring().isEmpty() || isWhole(own + row.ring().get().count() * turn);
      }
      if (fits) {
        return true;
      }
    }
    return false;
  }

  @Test
  void planetsGoInWhereTheyDoOnTheBench() {
    Random random = new Random(229);
    int in = 0;
    int out = 0;
    for (int run = 0; run < 600; run++) {
      Planetary set = RandomTrains.planetary("", random).spaced(Spacing.EQUAL);
      if (set.paired()) {
        continue;
      }
      boolean all = true;
      for (int k = 1; k < set.count(); k++) {
        all &= goesIn(set, (double) k / set.count());
      }
      assertEquals(all, new PlanetPlaces(set).assembles(), set.toString());
      in += all && set.count() > 1 ? 1 : 0;
      out += all ? 0 : 1;
    }
    assertTrue(in > 50 && out > 50, in + " go in, " + out + " do not");
  }

  @Test
  void unevenPlacesAreTheNearestThatFit() {
    Random random = new Random(233);
    int compared = 0;
    for (int run = 0; run < 200; run++) {
      Planetary set = RandomTrains.planetary("", random);
      if (set.paired() || (set.stepped() && set.sunsTied())) {
        continue;
      }
      Planetary uneven = set.spaced(Spacing.UNEVEN);
      PlanetPlaces places = new PlanetPlaces(uneven);
      int count = places.count().orElse(0);
      for (int k = 1; count > 0 && k < set.count(); k++) {
        double at = places.turnsTo(k).doubleValue();
        assertTrue(goesIn(set, at), () -> uneven + " at " + at);
        assertTrue(Math.abs(at - (double) k / set.count()) <= 0.5 / count + FITS);
        compared++;
      }
    }
    assertTrue(compared > 100, compared + " places");
  }
}
