package steadycog.check;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import steadycog.notation.Card;
import steadycog.notation.CardException;

/** Rules of cycloidal and strain wave drives and differentials, worked as by hand. */
class HandDriveRulesTest {
  private static Map<String, Severity> severities(String card) throws CardException {
    Map<String, Severity> all = new HashMap<>();
    for (Finding finding : Inspection.of(Card.read(card).train()).findings()) {
      all.merge(finding.code(), finding.severity(), (a, b) -> a.compareTo(b) > 0 ? a : b);
    }
    return all;
  }

  private static Severity bad(boolean error, boolean warning) {
    return error ? Severity.ERROR : warning ? Severity.WARNING : Severity.OK;
  }

  /** The least radius of curvature of the path of a pin's centre about the disc, by differences. */
  private static double leastCurvature(int pins, double circle, double eccentric) {
    double least = Double.POSITIVE_INFINITY;
    double step = 1e-4;
    for (double t = 0; t < 2 * Math.PI / (pins - 1); t += 2e-4) {
      double[] before = path(pins, circle, eccentric, t - step);
      double[] here = path(pins, circle, eccentric, t);
      double[] after = path(pins, circle, eccentric, t + step);
      double vx = (after[0] - before[0]) / (2 * step);
      double vy = (after[1] - before[1]) / (2 * step);
      double ax = (after[0] - 2 * here[0] + before[0]) / (step * step);
      double ay = (after[1] - 2 * here[1] + before[1]) / (step * step);
      double cross = vx * ay - vy * ax;
      // Only where the path bends about the disc can a pin undercut it.
      if (cross > 0) {
        least = Math.min(least, Math.pow(Math.hypot(vx, vy), 3) / cross);
      }
    }
    return least;
  }

  /** Rp e^(it) less the eccentricity, which turns the other way by the lobes. */
  private static double[] path(int pins, double circle, double eccentric, double t) {
    double turned = pins * t;
    return new double[] {
      circle * Math.cos(t) - eccentric * Math.cos(turned),
      circle * Math.sin(t) - eccentric * Math.sin(turned)
    };
  }

  @Test
  void cycloidalDrives() throws CardException {
    Random random = new Random(241);
    int undercut = 0;
    for (int run = 0; run < 200; run++) {
      int pins = random.nextInt(6, 40);
      int lobes = pins - (random.nextInt(6) == 0 ? 2 : 1);
      double circle = random.nextInt(40, 160) / 2.0;
      double pin = random.nextInt(10, 120) / 10.0;
      double k = random.nextInt(30, 110) / 100.0;
      double eccentric = Math.round(k * circle / pins * 100) / 100.0;
      int discs = random.nextInt(1, 4);
      String card =
          String.format(
              Locale.ROOT,
              "cycloidal lobes %d pins %d circle %.1f mm pin %.1f mm eccentric %.2f mm discs %d",
              lobes,
              pins,
              2 * circle,
              pin,
              eccentric,
              discs);
      Map<String, Severity> found = severities(card);
      double real = eccentric * (lobes + 1) / circle;
      assertEquals(bad(real >= 1, real < 0.5 || real > 0.8), found.get("k-range"), card);
      double gap = 2 * circle * Math.sin(Math.PI / pins) - pin;
      assertEquals(bad(gap <= 0, false), found.get("pin-clearance"), card);
      assertEquals(lobes + 1 == pins ? null : Severity.ERROR, found.get("lobe-count"), card);
      assertEquals(discs == 1 ? Severity.NOTE : Severity.OK, found.get("balance"), card);
      double least = leastCurvature(lobes + 1, circle, eccentric);
      if (real < 0.98 && Math.abs(least - pin / 2) > 0.02 * least) {
        assertEquals(bad(pin / 2 > least, false), found.get("lobe-undercut"), card + " " + least);
        undercut += pin / 2 > least ? 1 : 0;
      }
    }
    assertTrue(undercut > 10, undercut + " undercut");
  }

  @Test
  void strainWaveDrives() throws CardException {
    Random random = new Random(251);
    for (int run = 0; run < 200; run++) {
      int lobes = random.nextInt(2, 4);
      int flex = random.nextInt(30, 700);
      int difference = random.nextInt(1, 7);
      int allowed = random.nextInt(50, 900);
      double module = random.nextInt(5, 60) / 100.0;
      String card =
          String.format(
              Locale.ROOT,
              "strainwave flex %d circular %d lobes %d wall 0.5 mm allow %d MPa; module %.2f mm",
              flex,
              flex + difference,
              lobes,
              allowed,
              module);
      Map<String, Severity> found = severities(card);
      assertEquals(bad(difference % lobes != 0, false), found.get("lobe-multiple"), card);
      double nominal = (double) flex / difference;
      assertEquals(
          nominal < 30 || nominal > 320 ? Severity.WARNING : null, found.get("ratio-range"), card);
      assertEquals(module < 0.1 ? Severity.WARNING : null, found.get("tooth-size"), card);
    }
  }

  @Test
  void differentialsTakeSpidersThatDivideBothSides() throws CardException {
    for (int side = 9; side < 40; side++) {
      for (int spiders = 1; spiders <= 6; spiders++) {
        String card = "differential side " + side + " spider 10 x" + spiders;
        assertEquals(
            2 * side % spiders == 0 ? null : Severity.ERROR,
            severities(card).get("spider-assembly"),
            card);
      }
    }
  }

  @Test
  void everyFindingOfADriveConcernsItsOwnMembers() throws CardException {
    for (String kind : List.of("cycloidal lobes 12 pins 13", "strainwave nominal 60")) {
      var train = Card.read("a: " + kind + "; b: " + kind).train();
      for (Finding finding : Inspection.of(train).findings()) {
        assertTrue(
            finding.members().stream().map(id -> id.part()).distinct().count() <= 1
                || finding.code().equals("no-drive"),
            finding.code());
      }
    }
  }
}
