package steadycog.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.RandomCards;
import steadycog.train.ChainEdit;
import steadycog.train.Edited;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Parallel;
import steadycog.train.PartEdit;
import steadycog.train.Roles;
import steadycog.train.ShiftPlan;
import steadycog.train.Teeth;
import steadycog.train.Train;

/** What is noted beside a statement stays beside it, whatever becomes of the train. */
class CommentsTest {
  private static final String CARD =
      """
      parallel 20 ~ 40 = 18 ~ 54 # counted twice
      drive A 60 rpm # the motor
      take D # the drum
      bore B 8 mm # reamed
      shift A 0.2 # corrected
      distance C-D 37 mm # as drilled
      efficiency A-B 0.97 # measured
      efficiency printed # all others
      place B 30 deg # to the side
      """;

  private static MemberId id(String name) {
    return new MemberId("", name);
  }

  @Test
  void theyFollowTheirWheelWhenAnotherIsPutInBeforeIt() throws CardException {
    Card card = Card.read(CARD);
    Card longer = card.revised(ChainEdit.insertAfter(card.train(), id("A"), Teeth.external(24)));
    assertEquals(
        """
        parallel 20 ~ 24 ~ 40 = 18 ~ 54 # counted twice
        drive A 60 rpm # the motor
        take E # the drum
        bore C 8 mm # reamed
        shift A 0.2 # corrected
        distance D-E 37 mm # as drilled
        # measured
        efficiency printed # all others
        place C 30 deg # to the side
        """,
        longer.text());
    assertEquals(
        Optional.of(id("B")),
        ChainEdit.insertAfter(card.train(), id("A"), Teeth.external(24)).fresh(card.train()));
  }

  @Test
  void theyFollowWhenAWheelIsTakenOutOrThePartGetsAName() throws CardException {
    Card card = Card.read(CARD);
    Card shorter = card.revised(ChainEdit.remove(card.train(), id("A")).orElseThrow());
    assertTrue(shorter.text().contains("bore A 8 mm # reamed\n"), shorter.text());
    assertTrue(shorter.text().contains("take C # the drum\n"), shorter.text());
    assertTrue(shorter.text().contains("distance B-C 37 mm # as drilled\n"), shorter.text());
    Card branched = card.revised(ChainEdit.meshWith(card.train(), id("B"), Teeth.external(30)));
    assertTrue(branched.text().startsWith("main: parallel 20 ~ 40 = 18 ~ 54 # counted twice\n"));
    assertTrue(branched.text().contains("efficiency main.A-B 0.97 # measured\n"), branched.text());
    assertTrue(branched.text().contains("drive main.A 60 rpm # the motor\n"), branched.text());
  }

  @Test
  void statesMoveWithWhatIsNotedOnThem() throws CardException {
    Card card =
        Card.read(
            """
            planetary sun 24 planet 15 x3 ring 54
            drive sun
            take carrier
            state low: hold ring # climbs
            state high: lock sun = ring # cruises
            state rest: # parked
            """);
    ShiftPlan moved = card.train().shifts().moving("rest", -2);
    Card other = card.revised(card.train().withShifts(moved));
    assertEquals(
        List.of(
            "state rest: # parked",
            "state low: hold ring # climbs",
            "state high: lock sun = ring # cruises"),
        other.text().lines().skip(3).toList());
    assertEquals(moved, Card.read(other.text()).train().shifts());
  }

  /** Every line is marked with whom it speaks of; after any edits the marks are still right. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4})
  void afterAnyEditsEveryMarkStandsBesideItsStatement(long seed) throws CardException {
    Random random = new Random(seed);
    for (int run = 0; run < 40; run++) {
      Card card = marked(RandomCards.next(random));
      Map<String, MemberId> now = new HashMap<>();
      card.train().members().forEach(m -> now.put(m.id().toString(), m.id()));
      for (int step = 0; step < 8; step++) {
        Edited edited = edit(card.train(), random);
        card = card.revised(edited);
        now.replaceAll((was, id) -> id == null ? null : edited.follows().apply(id).orElse(null));
        assertEquals(card.train(), Card.read(card.text()).train(), card.text());
        for (String line : card.text().lines().filter(l -> l.contains("# of ")).toList()) {
          String said = line.substring(0, line.indexOf('#')).strip();
          MemberId whose = now.get(line.substring(line.indexOf("# of ") + 5));
          if (!said.isEmpty() && whose != null) {
            assertTrue((said + " ").contains(" " + whose + " "), line + " is of " + whose);
          }
        }
      }
    }
  }

  /** The card with a note on each statement of one member about its size, place or hold. */
  private static Card marked(Card card) throws CardException {
    StringBuilder text = new StringBuilder();
    for (String line : Card.of(card.train()).text().lines().toList()) {
      String[] words = line.split(" ");
      boolean own = List.of("bore", "shift", "offset", "width", "place").contains(words[0]);
      boolean named =
          own && card.train().members().stream().anyMatch(m -> m.id().toString().equals(words[1]));
      text.append(line).append(named ? " # of " + words[1] : "").append('\n');
    }
    return Card.read(text.toString());
  }

  private static Edited edit(Train train, Random random) {
    List<Member> members = train.members();
    MemberId one = members.get(random.nextInt(members.size())).id();
    List<Edited> possible = new ArrayList<>();
    if (train.partOf(one) instanceof Parallel) {
      possible.add(ChainEdit.meshWith(train, one, Teeth.external(31)));
      possible.add(ChainEdit.keyTo(train, one, Teeth.external(17)));
      ChainEdit.remove(train, one).ifPresent(possible::add);
    }
    possible.add(PartEdit.add(train, new Parallel("pair", List.of(Teeth.external(20)), List.of())));
    if (train.shifts().isEmpty()) {
      Roles roles = train.roles();
      possible.add(Edited.sameNames(train.withRoles(roles.holding(one))));
      possible.add(Edited.sameNames(train.withRoles(roles.freeing(one))));
    }
    return possible.get(random.nextInt(possible.size()));
  }
}
