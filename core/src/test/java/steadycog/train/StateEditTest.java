package steadycog.train;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.RandomTrains;
import steadycog.notation.Card;
import steadycog.notation.CardException;

/** What is changed while one state is in view, and what of it holds in the others. */
class StateEditTest {
  private static final String TWO =
      """
      a: planetary sun 24 planet 15 x3 ring 54
      b: planetary sun 30 planet 15 x3 ring 60
      join a.carrier = b.sun
      drive a.sun 900 rpm; take b.carrier
      state low: hold a.ring; hold b.ring
      state high: hold b.ring; lock a.sun = a.ring
      """;

  private static final MemberId RING = new MemberId("a", "ring");
  private static final MemberId SUN = new MemberId("a", "sun");

  private static Train train(String card) throws CardException {
    return Card.read(card).train();
  }

  private static State state(Train train, String name) {
    return train.shifts().states().stream()
        .filter(one -> one.name().equals(name))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aRoleOfOneStateLeavesTheOthersAlone() throws CardException {
    Train train = train(TWO);
    Train freed = StateEdit.changing(train, state(train, "low"), roles -> roles.freeing(RING));
    assertEquals(Role.FREE, freed.in(state(freed, "low")).roles().of(RING));
    assertEquals(train.in(state(train, "high")).roles(), freed.in(state(freed, "high")).roles());
    assertEquals(train.roles(), freed.roles(), "the drive is stated for all");
  }

  @Test
  void aDriveStaysWhereItWasStated() throws CardException {
    Train train = train(TWO);
    Train other =
        StateEdit.changing(
            train, state(train, "low"), roles -> roles.driving(new MemberId("a", "carrier")));
    assertEquals(List.of("a.carrier"), drives(other.roles()), "in every state");
    Train own =
        train(
            TWO.replace("drive a.sun 900 rpm; ", "")
                .replace("state low:", "state low: drive a.sun;"));
    Train moved =
        StateEdit.changing(
            own, state(own, "low"), roles -> roles.driving(new MemberId("a", "carrier")));
    assertEquals(List.of(), drives(moved.roles()));
    assertEquals(List.of("a.carrier"), drives(state(moved, "low").roles()));
  }

  private static List<String> drives(Roles roles) {
    return roles.drives().stream().map(drive -> drive.member().toString()).toList();
  }

  @Test
  void aCureOfOneStateIsAdoptedWithItsPartsInAll() throws CardException {
    Train train = train(TWO);
    State low = state(train, "low");
    Train cured = train.in(low).withTeeth(SUN, Teeth.external(30));
    Train adopted = StateEdit.adopting(train, low, cured).orElseThrow();
    assertEquals(train.shifts(), adopted.shifts());
    assertEquals(30, adopted.in(state(adopted, "high")).member(SUN).teeth().get().count());
    assertEquals(
        Optional.of(train), StateEdit.adopting(train, low, train.in(low)), "no change is none");
  }

  @Test
  void aRoleThatIsAtOddsWithAnotherStateIsNotAdopted() throws CardException {
    Train train = train(TWO);
    State low = state(train, "low");
    Train driven = train.in(low).withRoles(train.in(low).roles().freeing(RING).driving(RING));
    Optional<Train> adopted = StateEdit.adopting(train, low, driven);
    adopted.ifPresent(
        one -> assertFalse(one.in(state(one, "high")).roles().holds().contains(RING)));
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3})
  void whatIsNotChangedIsTheSameTrain(long seed) {
    Random random = new Random(seed);
    int seen = 0;
    for (int k = 0; k < 200; k++) {
      Train train = RandomTrains.combined(random);
      for (State state : train.shifts().states()) {
        seen++;
        Train same = StateEdit.changing(train, state, roles -> roles);
        assertEquals(train.in(state).roles(), same.in(state(same, state.name())).roles());
        for (State other : train.shifts().states()) {
          assertEquals(
              train.in(other).roles().holds(),
              same.in(state(same, other.name())).roles().holds(),
              other.name());
        }
        assertEquals(Optional.of(train), StateEdit.adopting(train, state, train.in(state)));
      }
    }
    assertTrue(seen > 50, () -> "states were tried");
  }
}
