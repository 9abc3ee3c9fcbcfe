package steadycog.check;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashSet;
import java.util.List;
import java.util.ResourceBundle;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import steadycog.motion.Mechanism;
import steadycog.motion.Motion;
import steadycog.motion.MotionSolver;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.torque.TorqueSolver;
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
          "parallel 7 ~ 11 ~ 40");

  private static List<Finding> findings(String card) throws CardException {
    Train train = Card.read(card).train();
    Motion motion = MotionSolver.solve(Mechanism.of(train));
    return Checks.of(new Subject(train, motion, TorqueSolver.solve(motion)));
  }

  @Test
  void everyCodeOfTheBundleIsFoundSomewhereAndFormats() throws CardException {
    Set<String> seen = new HashSet<>();
    for (String card : CARDS) {
      for (Finding finding : findings(card)) {
        seen.add(finding.code());
        assertFalse(finding.message().contains("{"), finding.message());
        finding.remedy().ifPresent(remedy -> assertFalse(remedy.contains("{"), remedy));
      }
    }
    Set<String> written =
        new HashSet<>(ResourceBundle.getBundle("steadycog.check.findings").keySet());
    written.removeIf(key -> key.endsWith(".remedy"));
    assertEquals(written, seen);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "parallel 20 ~ 33 ~ 50;drive A;take C | NOTE idler B",
        "parallel 20 ~ 33 = 25 ~ 50;drive A;take D | ",
        "parallel 7 ~ 50;drive A;take B | ERROR few-teeth A",
        "parallel 11 ~ 50;drive A;take B | WARNING few-teeth A",
        "parallel 20 ~ 40;drive A 3 Nm;take B 6 Nm | ",
        "parallel 20 ~ 40;drive A 3 Nm;take B 5 Nm | ERROR torque-conflict A"
      })
  void namesSeverityCodeAndMembers(String card, String expected) throws CardException {
    String found =
        findings(card).stream()
            .map(f -> f.severity() + " " + f.code() + " " + f.memberList())
            .findFirst()
            .orElse("");
    assertEquals(expected == null ? "" : expected, found);
  }

  @Test
  void theWorstComesFirst() throws CardException {
    List<Finding> all = findings("parallel 20 ~ 33 ~ 7 ~ 11");
    for (int k = 1; k < all.size(); k++) {
      assertTrue(all.get(k - 1).severity().compareTo(all.get(k).severity()) >= 0);
    }
    assertEquals("few-teeth", all.getFirst().code());
    assertEquals("7", all.getFirst().values().get("teeth"));
  }
}
