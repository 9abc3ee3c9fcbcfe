package steadycog.check;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import steadycog.RandomTrains;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.shape.PairGeometry;
import steadycog.study.Study;
import steadycog.train.Teeth;
import steadycog.train.Train;

class FindingsTest {
  private static final List<String> CARDS =
      List.of(
          "parallel 20 ~ 40 = 30 ~ 10\nlock A = D\ndrive A",
          "p: parallel 20 ~ 40\nq: parallel 20 ~ 30\ndrive p.A\ntake q.B",
          "p: parallel 20 ~ 40\nq: parallel 20 ~ 30",
          "parallel 20 ~ 40",
          "parallel 20 ~ 40\ndrive A",
          "p: parallel 20 ~ 40\nq: parallel 20\nz: parallel 9\nhold z.A\njoin z.A = q.A\n"
              + "drive p.A\ntake q.A",
          "p: parallel 20 ~ 40\nq: parallel 10 ~ 20\njoin p.A = q.A\njoin p.B = q.B\n"
              + "drive p.A\ntake p.B",
          "parallel 20 ~ 40\ndrive A 3 Nm\ntake B 5 Nm",
          "parallel 20 ~ 18i",
          "parallel 7 ~ 11 ~ 40",
          "parallel 14 ~ 30",
          "parallel 18 ~ 60i",
          "parallel 34 ~ 40i",
          "parallel 39 ~ 40i",
          "parallel 26 ~ 41i",
          "parallel 5 ~ 5",
          "parallel 20 ~ 170",
          "parallel 20 ~ 40 = 30\ndrive A\ntake B",
          "parallel 20 ~ 41 = 30 ~ 30\ncoaxial A = D",
          "a: parallel 50 ~ 50\nb: parallel 12 ~ 12\nc: parallel 12 ~ 12\n"
              + "join a.A = b.A\njoin b.B = c.A\njoin a.B = c.B\n",
          "parallel 20 ~ 20 = 60 ~ 20 = 20 ~ 20\ncoaxial A = F");

  private static List<Finding> findings(String card) throws CardException {
    return Study.of(Card.read(card).train()).findings();
  }

  @Test
  void everyWordingOfTheBundleIsFoundSomewhereAndFormats() throws CardException {
    Set<String> seen = new HashSet<>();
    for (String card : CARDS) {
      for (Finding finding : findings(card)) {
        seen.add(finding.wording());
        assertFalse(finding.message().contains("{"), finding.message());
        finding.remedy().ifPresent(remedy -> assertFalse(remedy.contains("{"), remedy));
      }
    }
    Set<String> written =
        new HashSet<>(ResourceBundle.getBundle("steadycog.check.findings").keySet());
    written.removeIf(key -> key.endsWith(".remedy") || key.endsWith(".cure"));
    assertEquals(written, seen);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "parallel 20 ~ 33 ~ 50;drive A;take C | NOTE idler B",
        "parallel 19 ~ 33 = 25 ~ 51;drive A;take D | OK hunting A, B",
        "parallel 7 ~ 50;drive A;take B | ERROR few-teeth A: A 7 -> 8",
        "parallel 11 ~ 11;drive A;take B | ERROR interference A, B",
        "parallel 19 ~ 40;drive A 19 Nm;take B 40 Nm | OK hunting A, B",
        "parallel 20 ~ 40;drive A 3 Nm;take B 5 Nm | ERROR torque-conflict A",
        "parallel 15 ~ 30;drive A;take B | WARNING undercut A: A 15 -> 18",
        "parallel 14 ~ 30;drive A;take B | ERROR interference A, B: A 14 -> 15",
        "parallel 30 ~ 14;drive A;take B | ERROR interference A, B: B 14 -> 15",
        "parallel 18 ~ 60i;drive A;take B | WARNING internal-interference A, B: A 18 -> 21",
        "parallel 18 ~ 45 = 20 ~ 44;coaxial A = D;drive A;take D"
            + " | ERROR reverted-closure A, B, C, D: B 45 -> 46",
        "parallel 18 ~ 45 = 20 ~ 43;coaxial A = D;drive A;take D | NOTE hunting A, B: B 45 -> 47"
      })
  void theWorstFindingIsNamedWithItsCure(String card, String expected) throws CardException {
    Finding worst = findings(card).getFirst();
    String cure = worst.cure().map(c -> ": " + c.change()).orElse("");
    assertEquals(expected, worst.severity() + " " + worst.code() + " " + worst.memberList() + cure);
  }

  @Test
  void aCureCuresWhatItWasOfferedFor() {
    Random random = new Random(21);
    int cured = 0;
    for (int k = 0; k < 150; k++) {
      Train train = RandomTrains.driven(random, 8);
      for (Finding finding : Study.of(train).findings()) {
        if (finding.cure().isPresent()) {
          Predicate<Finding> same =
              other ->
                  other.wording().equals(finding.wording())
                      && other.members().equals(finding.members());
          assertTrue(
              Study.of(finding.cure().get().cured()).findings().stream().noneMatch(same),
              finding.message() + finding.remedy());
          cured++;
        }
      }
    }
    assertTrue(cured > 200, "cures tried: " + cured);
  }

  @Test
  void findingsComeWorstFirst() throws CardException {
    List<Finding> all = findings("parallel 20 ~ 33 ~ 7 ~ 11");
    for (int k = 1; k < all.size(); k++) {
      assertTrue(all.get(k - 1).severity().compareTo(all.get(k).severity()) >= 0);
    }
    assertEquals("few-teeth", all.getFirst().code());
    assertEquals("7", all.getFirst().values().get("teeth"));
  }

  @Test
  void anInternalPairIsToldTheLargestRingAddendum() throws CardException {
    assertEquals("0.90", findings("parallel 18 ~ 60i").getFirst().values().get("addendum"));
    assertTrue(
        findings("parallel 34 ~ 40i").getFirst().message().contains("collide"),
        "six teeth apart: tips collide");
  }

  /** Shigley's closed formula for the smallest pinion, another route than the rule's geometry. */
  @Test
  void interferenceAgreesWithTheClosedFormula() {
    double sine = Math.pow(Math.sin(Math.toRadians(20)), 2);
    for (int gear = 12; gear < 300; gear++) {
      for (int pinion = 8; pinion <= Math.min(gear, 22); pinion++) {
        double u = (double) gear / pinion;
        double least = 2 * (u + Math.sqrt(u * u + (1 + 2 * u) * sine)) / ((1 + 2 * u) * sine);
        boolean passes =
            PairGeometry.of(Teeth.external(pinion), Teeth.external(gear)).interferenceMargin() >= 0;
        assertEquals(pinion >= least, passes, pinion + " ~ " + gear);
      }
    }
  }

  @Test
  void contactRatiosEqualTextbookValues() {
    assertEquals(1.63, contactRatio(Teeth.external(20), Teeth.external(40)), 0.01);
    assertEquals(1.75, contactRatio(Teeth.external(40), Teeth.external(60)), 0.02);
    // An internal pair has more teeth in contact than an external one of the same counts.
    assertTrue(
        contactRatio(Teeth.external(20), Teeth.internal(80))
            > contactRatio(Teeth.external(20), Teeth.external(80)));
  }

  private static double contactRatio(Teeth a, Teeth b) {
    return PairGeometry.of(a, b).contactRatio();
  }
}
