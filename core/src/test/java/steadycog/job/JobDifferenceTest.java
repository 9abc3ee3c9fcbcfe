package steadycog.job;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import org.junit.jupiter.api.Test;
import steadycog.notation.Card;
import steadycog.notation.CardException;

class JobDifferenceTest {
  private static Sheet sheet(String name, String card) throws CardException {
    return Sheet.of(name, Card.read(card));
  }

  @Test
  void whatStandsOnlyOnOneSideIsToldLineByLine() throws CardException {
    Sheet winch = sheet("Winch", "parallel 16 ~ 40\ndrive A\ntake B\n");
    Sheet other = sheet("Winch", "parallel 16 ~ 41\ndrive A\ntake B\n").noting("drum worn");
    Sheet dome = sheet("Dome", "parallel 18 ~ 72\n");
    Sheet axis = sheet("Axis", "parallel 18 ~ 72\n");
    assertEquals(
        List.of(
            "Winch:",
            "  + parallel 16 ~ 40",
            "  \u2212 parallel 16 ~ 41",
            "Winch, notes:",
            "  \u2212 drum worn",
            "+ Dome: only here",
            "\u2212 Axis: only in the file"),
        JobDifference.of(
            new Job("Tern Rock", List.of(winch, dome)),
            new Job("Tern Rock", List.of(other, axis))));
    assertEquals(
        List.of(), JobDifference.of(new Job("", List.of(winch)), new Job("", List.of(winch))));
    assertEquals(
        List.of("title: + a   \u2212 b", "Winch: the same lines in another order"),
        JobDifference.of(
            new Job("a", List.of(winch)),
            new Job("b", List.of(sheet("Winch", "parallel 16 ~ 40\ntake B\ndrive A\n")))));
  }
}
