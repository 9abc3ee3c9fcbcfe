package steadycog.motion;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;
import steadycog.RandomTrains;
import steadycog.motion.RatioBoard.Configuration;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Exact;
import steadycog.train.MemberId;
import steadycog.train.Train;

class RatioBoardTest {

  @Test
  void everyPairOfShaftsAppearsBothWaysAndInverseRatiosMultiplyToOne() {
    Random random = new Random(61);
    for (int run = 0; run < 40; run++) {
      Train train = RandomTrains.driven(random, 9);
      RatioBoard board = RatioBoard.of(train);
      int shafts = train.members().size() - train.keyed().size();
      assertEquals(1, board.freedoms());
      assertEquals(shafts * (shafts - 1), board.configurations().size());
      Map<List<MemberId>, BigFraction> ratios = new HashMap<>();
      for (Configuration one : board.configurations()) {
        ratios.put(List.of(one.drive(), one.take()), one.ratio().reduction());
      }
      ratios.forEach(
          (pair, ratio) ->
              assertTrue(
                  Exact.isOne(ratio.multiply(ratios.get(List.of(pair.get(1), pair.get(0)))))));
    }
  }

  @Test
  void ratiosOfThreeShaftsChain() throws CardException {
    RatioBoard board = RatioBoard.of(Card.read("parallel 20 ~ 33 ~ 50 = 15 ~ 45").train());
    BigFraction ab = ratio(board, "A", "B");
    BigFraction be = ratio(board, "B", "E");
    assertEquals(ratio(board, "A", "E"), ab.multiply(be));
    assertEquals("-15/2", Exact.text(ratio(board, "A", "E")));
  }

  @Test
  void onlyWhatIsNeededIsHeld() throws CardException {
    RatioBoard two = RatioBoard.of(Card.read("p: parallel 20 ~ 40\nq: parallel 15 ~ 45").train());
    assertEquals(2, two.freedoms());
    for (Configuration one : two.configurations()) {
      assertEquals(one.drive().part(), one.take().part(), "only wheels that mesh have a ratio");
      assertEquals(List.of(), one.holds());
    }
    assertEquals(2 * 2, two.configurations().size());
    RatioBoard three =
        RatioBoard.of(Card.read("p: parallel 9 ~ 9\nq: parallel 9 ~ 9\nr: parallel 9 ~ 9").train());
    assertEquals(3, three.freedoms());
    assertEquals(3 * 2, three.configurations().size());
  }

  private static BigFraction ratio(RatioBoard board, String drive, String take) {
    return board.configurations().stream()
        .filter(one -> one.drive().name().equals(drive) && one.take().name().equals(take))
        .findFirst()
        .orElseThrow()
        .ratio()
        .reduction();
  }
}
