package steadycog.study;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;
import steadycog.RandomTrains;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Ratio;
import steadycog.train.Element;
import steadycog.train.Train;

/** A plan's rows are what each of its states is by itself, and what lies between two of them. */
class ShiftTableTest {
  private static final String WINCH =
      """
      a: planetary sun 24 planet 15 x3 ring 54
      b: planetary sun 30 planet 15 x3 ring 60
      join a.carrier = b.sun
      drive a.sun 900 rpm; take b.carrier 3 Nm
      brake a.ring; clutch a.sun = a.ring; brake b.ring
      state low: hold a.ring; hold b.ring
      state mid: hold b.ring; lock a.sun = a.ring
      state free: hold b.ring
      """;

  private static Train train(String card) throws CardException {
    return Card.read(card).train();
  }

  @Test
  void everyRowIsItsStateByItself() {
    Random random = new Random(31);
    int rows = 0;
    for (int k = 0; k < 120; k++) {
      Train train = RandomTrains.combined(random);
      for (ShiftTable.Row row : ShiftTable.of(train).rows()) {
        rows++;
        Study alone = Study.of(train.in(row.state()));
        assertEquals(alone.ratio(), row.study().ratio());
        assertEquals(alone.motion().status(), row.study().motion().status());
        assertEquals(alone.efficiency(), row.study().efficiency());
        assertEquals(alone.motion().fastest(), row.fastest());
        assertEquals(alone.torques().status(), row.study().torques().status());
      }
    }
    assertTrue(rows > 20, "states were tried");
  }

  @Test
  void stepsMultiplyToTheRatioOfTheFirstToTheLast() throws CardException {
    ShiftTable plan = ShiftTable.of(train(WINCH.replace("state free: hold b.ring\n", "")));
    BigFraction product = BigFraction.ONE;
    for (ShiftTable.Row row : plan.rows().subList(0, plan.rows().size() - 1)) {
      product = product.multiply(row.step().orElseThrow());
    }
    BigFraction first = reduction(plan.rows().getFirst());
    BigFraction last = reduction(plan.rows().getLast());
    assertEquals(first.divide(last), product);
    assertEquals(Optional.of(first.divide(last)), plan.spread());
    assertEquals(BigFraction.of(13, 4).multiply(BigFraction.of(3)), first);
    assertEquals(BigFraction.of(3), last);
  }

  private static BigFraction reduction(ShiftTable.Row row) {
    return row.study().ratio().map(Ratio::reduction).orElseThrow();
  }

  @Test
  void changesCountWhatIsLetGoOrTakenHold() throws CardException {
    ShiftTable plan = ShiftTable.of(train(WINCH));
    List<ShiftTable.Row> rows = plan.rows();
    for (int k = 0; k + 1 < rows.size(); k++) {
      Set<Element> here = new HashSet<>(rows.get(k).state().engaged());
      Set<Element> next = new HashSet<>(rows.get(k + 1).state().engaged());
      Set<Element> both = new HashSet<>(here);
      both.retainAll(next);
      int apart = Math.max(here.size() - both.size(), next.size() - both.size());
      assertEquals(apart, rows.get(k).changes(), rows.get(k).state()::name);
    }
    assertEquals(0, rows.getLast().changes());
    assertTrue(rows.getLast().neutral(), "nothing reacts");
    assertEquals(Optional.empty(), rows.get(1).step(), "no step to where nothing turns");
  }

  @Test
  void onlyWhatIsEngagedTakesTorqueAndTheBrakesTakeTheDifference() throws CardException {
    ShiftTable plan = ShiftTable.of(train(WINCH));
    for (ShiftTable.Row row : plan.rows()) {
      for (int k = 0; k < plan.elements().size(); k++) {
        boolean on = row.state().engaged().contains(plan.elements().get(k));
        assertTrue(on || row.torques().get(k).isEmpty(), () -> row.state().name());
      }
    }
    // In low all that does not come from the motor comes from the two brakes.
    ShiftTable.Row low = plan.rows().getFirst();
    BigFraction held = BigFraction.ZERO;
    for (Optional<BigFraction> torque : low.torques()) {
      held = held.add(torque.orElse(BigFraction.ZERO));
    }
    BigFraction in =
        low.study()
            .torques()
            .external(low.study().motion().mechanism().roles().drives().getFirst().member())
            .orElseThrow();
    assertEquals(BigFraction.of(3), held.add(in));
  }

  @Test
  void theStatesOfOneTrainAreWorkedOutOnce() throws CardException {
    Train train = train(WINCH);
    assertSame(ShiftTable.of(train), ShiftTable.of(train));
    assertEquals(List.of(), ShiftTable.of(train("parallel 10 ~ 20")).rows());
  }
}
