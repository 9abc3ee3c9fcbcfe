package steadycog.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import steadycog.RandomTrains;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.train.Join;
import steadycog.train.MemberId;
import steadycog.train.Pitch;
import steadycog.train.Planetary;
import steadycog.train.Roles;
import steadycog.train.State;
import steadycog.train.Train;

class CardTest {

  @Test
  void readsAWholeCard() throws CardException {
    Train train =
        Card.read(
                """
                # dome rotator
                A1: parallel 18~72 = 20 ~ 80i   # two stages
                b: PARALLEL 30 = 12; join A1.d = b.a
                Drive a1.A 1500rpm 0.5 hp; take b.B 12 lbf-in
                hold b.A
                lock A1.A = A1.B; coaxial A1.A = A1.C
                place b.b -22.5 deg
                """)
            .train();
    assertEquals(List.of("A1.A", "A1.B", "A1.C", "A1.D", "b.A", "b.B"), names(train));
    assertEquals("80i", train.members().get(3).teeth().orElseThrow().toString());
    assertEquals(Unit.HP, train.roles().drives().getFirst().effort().orElseThrow().unit());
    assertEquals("12 lbf-in", train.roles().take().orElseThrow().load().orElseThrow().toString());
    assertEquals(List.of(new Join(new MemberId("A1", "D"), new MemberId("b", "A"))), train.joins());
    assertEquals(
        List.of(new Join(new MemberId("A1", "A"), new MemberId("A1", "C"))), train.coaxials());
    assertEquals("-22.5", Exact.plain(train.places().getFirst().degrees()));
  }

  @ParameterizedTest
  @CsvSource({
    "12 lbf in,12 lbf-in",
    "12lbf in,12 lbf-in",
    "0.5 N m,0.5 Nm",
    "0.5 N\u00b7m,0.5 Nm",
    "3 kgf cm,3 kgf-cm",
    "3 KGF*CM,3 kgf-cm",
    "7 lbf\u00b7ft,7 lbf-ft"
  })
  void unitsAreUnderstoodAsPeopleWriteThem(String typed, String printed) throws CardException {
    Train train = Card.read("parallel 9 ~ 9\ndrive A 5 rpm " + typed + "\ntake B").train();
    assertEquals(printed, train.roles().drives().getFirst().effort().orElseThrow().toString());
    assertEquals("5 rpm", train.roles().drives().getFirst().speed().orElseThrow().toString());
  }

  private static List<String> names(Train train) {
    return train.members().stream().map(member -> member.id().toString()).toList();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "parallel 18 ~| 1:14: found the end of the statement, expected a tooth count such as 18, or"
            + " 60i for internal teeth",
        "parallel 18 72| 1:13: found '72', expected ~ (meshes with) or = (same shaft as)",
        "parallel 18 ~ 7x2| 1:15: found '7x2', expected a tooth count such as 18, or 60i for"
            + " internal teeth",
        "parallel 0 ~ 72| 1:10: teeth 0: expected 1 to 99999",
        "parallel 20 ~ 30; bore A 8| 1:27: found the end of the statement, expected mm, in or cm"
            + " after 8",
        "parallel 20 ~ 30; bore A 5 mm flat 2 mm| 1:26: flat 2 mm: expected more than half of the"
            + " bore's 5 mm",
        "parallel 20 ~ 30; clearance wood| 1:29: found 'wood', expected a process (printed,"
            + " laser, machined) or a gap (flank, tip, bore, apart, seat) and a length",
        "parallel 20 ~ 30; material A wood| 1:30: found 'wood', expected a material: steel,"
            + " hardened, bronze, brass, aluminium, acetal, nylon, pla, petg",
        "parallel 20 ~ 30; width A 5 mm; width A 6 mm| 1:33: a second width of A: leave one",
        "planetary sun 20 planet 20 x4 ring 60; shift ring 0.2| 1:46: a shift of ring: in a set it"
            + " follows from the shift of the planets and the sun; leave it out",
        "planetary sun 20 planet 20 x4 ring 60; offset carrier 0.1 mm| 1:47: an offset of carrier:"
            + " it has no teeth to make thinner; leave it out",
        "planetary sun 30 planet 16~18 x3 ring 84; distance sun-planet_inner 20 mm| 1:52: a"
            + " distance of sun-planet_inner: it follows from the part; leave it out",
        "cycloidal lobes 29; distance disc-ring 2 mm| 1:30: a distance of disc-ring: it follows"
            + " from the part; leave it out",
        "parallel 60i ~ 80i| 1:14: two internal wheels cannot mesh: one of them must be external",
        "paralel 18 ~ 72| 1:1: found 'paralel', expected a part (parallel, planetary, cycloidal,"
            + " strainwave, bevel, differential, shaft) or drive, hold, take, lock, join, coaxial,"
            + " brake, clutch, state, place, efficiency, friction, module, dp, angle, helix, build,"
            + " width, shift, bore, clearance, offset, material, distance, sharing, tolerance,"
            + " tool, shafting, bearing, geometry, hardness, rating, duty, housing, motor or leave",
        "planetary| 1:10: found the end of the statement, expected planet with a tooth count, as in"
            + " planet 15 x3",
        "planetary planet 15 x3| 1:23: found the end of the statement, expected a sun or a ring for"
            + " the planets to run on",
        "planetary sun 24 sun 25| 1:18: a second sun in one set: leave one",
        "planetary sun 24 planet 15 x13| 1:28: found 'x13', expected x1 to x12",
        "planetary sun 24 planet 15 x 0| 1:30: found '0', expected x1 to x12",
        "cycloidal circle 90 mm| 1:23: found the end of the statement, expected lobes with a count,"
            + " as in lobes 29 pins 30",
        "cycloidal lobes 29 pins 20| 1:11: pins 20: expected more than the lobes, usually 30",
        "cycloidal lobes 29 pin 5| 1:25: found the end of the statement, expected mm, in or cm"
            + " after 5",
        "cycloidal lobes 29 outputs 6 of 8 mm| 1:30: found 'of', expected x and the diameter of the"
            + " output pins",
        "strainwave flex 100 circular 90| 1:12: circular 90: expected more teeth than the"
            + " flexspline's 100",
        "strainwave nominal 80 flex 160| 1:12: nominal and tooth counts together: leave one of the"
            + " two",
        "strainwave cup| 1:15: found the end of the statement, expected flex with a tooth count, or"
            + " nominal",
        "planetary sun 24i planet 15| 1:15: found '24i', expected a tooth count such as 18",
        "planetary sun 24 planet 15 x3 moon 3| 1:31: found 'moon', expected sun, planet or ring"
            + " with a tooth count",
        "parallel 18 ~ 72;module 1.5 mm;dp 16| 1:32: a second module or dp: a train has one",
        "parallel 18 ~ 72;module 0 mm| 1:25: module: expected more than 0",
        "parallel 18 ~ 72;drive Z| 1:24: found 'Z', expected a member: A, B",
        "parallel 18 ~ 72;drive A 5| 1:27: found the end of the statement, expected rpm, rad/s or"
            + " deg/s, or Nm, Nmm, lbf-ft, lbf-in, kgf-cm, Ncm, ozf-in or gf-cm, or W or hp after"
            + " 5",
        "parallel 18 ~ 72;drive A 1,5 rpm| 1:26: found '1,5', expected rpm, rad/s or deg/s, or Nm,"
            + " Nmm, lbf-ft, lbf-in, kgf-cm, Ncm, ozf-in or gf-cm, or W or hp",
        "parallel 18 ~ 72;drive A 5 rpm 6 rpm| 1:32: a second speed",
        "parallel 18 ~ 72;drive A;hold a| 1:31: A has a role already (line 1): it cannot hold too",
        "parallel 18 ~ 72;take A;take B| 1:30: a second take-off: a ratio needs exactly one",
        "parallel 18 ~ 72;lock A = A| 1:27: A tied to itself: name another member",
        "parallel 18 ~ 72;drive A 5 W| 1:26: 5 W without a speed: its torque needs one, as drive A"
            + " 1500 rpm 5 W",
        "parallel 18 ~ 72;tool A 2.5| 1:25: found '2.5', expected how many edges the tool has, as"
            + " tool planet 12",
        "parallel 18 ~ 72;tool A 12;tool A 6| 1:28: a second tool of A: leave one",
        "parallel 18 ~ 72;take B 5 rpm| 1:27: found 'rpm', expected Nm, Nmm, lbf-ft, lbf-in,"
            + " kgf-cm, Ncm, ozf-in or gf-cm, or W or hp",
        "parallel 18 ~ 72;parallel 9 ~ 9| 1:18: a second part: with several parts each needs a"
            + " name, as in winch: …",
        "a: parallel 18 ~ 72;a: parallel 9 ~ 9| 1:21: a second part named 'a': rename one",
        "a: parallel 18 ~ 72;b: parallel 9 ~ 9;drive A| 1:45: found 'A', expected the part as well:"
            + " a.A or b.A",
        "drive A| 1:1: no part on the card, expected one such as: parallel 18 ~ 72",
        "parallel 18 ~ 72;place B 45| 1:28: found the end of the statement, expected deg",
        "parallel 18 ~ 72;place B up| 1:26: found 'up', expected a direction in degrees such as 45"
            + " deg",
        "parallel 18 ~ 72;place B 5 deg;place B 6 deg| 1:38: a second place for B: leave one",
        "x: cogs 18| 1:4: found 'cogs', expected a kind of part: parallel, planetary,"
            + " cycloidal, strainwave, bevel, differential, shaft",
        "bevel 11 = 43| 1:10: found '=', expected ~ and the teeth of the crown",
        "bevel 11 ~ 43 crown up| 1:21: found 'up', expected left or right",
        "differential side 16 spider 10 x9| 1:32: spiders x9: expected x1 to x6",
        "parallel 18 ~ 72;state : hold A| 1:24: found ':', expected a name for the state: letters,"
            + " digits, - or _",
        "parallel 18 ~ 72;state low hold A| 1:28: found 'hold', expected ':' and what is driven,"
            + " held, taken off or locked in this state",
        "parallel 18 ~ 72;hold A;state low: take A| 1:41: A has a role already (line 1): it cannot"
            + " take too",
        "parallel 18 ~ 72;take A;state low: take B| 1:41: a second take-off: a ratio needs exactly"
            + " one",
        "parallel 18 ~ 72;state low: module 2 mm| 1:29: found 'module', expected drive, hold, take"
            + " or lock",
        "parallel 18 ~ 72;clutch A = A| 1:29: A tied to itself: name another member",
        "parallel 18 ~ 72;efficiency external 1.2| 1:38: efficiency 1.2: expected above 0 and at"
            + " most 1, as 0.985 or 98.5%",
        "parallel 18 ~ 72;efficiency external| 1:37: found the end of the statement, expected a"
            + " number above 0 and at most 1, as 0.985 or 98.5%",
        "parallel 18 ~ 72;efficiency B-C 0.9| 1:29: found 'B-C', expected ideal, oiled, greased or"
            + " printed; a kind of mesh (external, internal, bevel, cycloidal, strainwave); or a"
            + " mesh such as A-B",
        "parallel 18 ~ 72;efficiency A-B 0.9;efficiency b-a 0.8| 1:37: a second efficiency of A ~"
            + " B",
        "parallel 18 ~ 72;friction 1.5| 1:27: friction 1.5: expected 0 to below 1, as 0.06",
        "parallel 18 ~ 72;friction 0.1;friction 0.2| 1:31: a second friction: leave one",
        "a: parallel 9 ~ 9;b: parallel 9 ~ 9;efficiency A-B 0.9| 1:48: found 'A-B', expected the"
            + " part as well: a.A-B",
        "parallel 18 ~ 72;drive A motor 5 rpm 6 rpm| 1:40: found 'rpm', expected Nm, Nmm, lbf-ft,"
            + " lbf-in, kgf-cm, Ncm, ozf-in or gf-cm",
        "parallel 18 ~ 72;drive A motor 0 Nm 6 rpm| 1:32: 0 Nm: a stall torque is above 0"
      })
  void errorsNamePlaceFoundAndExpected(String card, String expected) {
    assertEquals(expected.strip(), problems(card).getFirst());
  }

  private static List<String> problems(String card) {
    CardException refused = assertThrows(CardException.class, () -> Card.read(card));
    return refused.problems().stream().map(CardProblem::toString).toList();
  }

  @Test
  void aStateEndsWithItsLineAndIsNamedOnce() throws CardException {
    Train train =
        Card.read(
                """
                state low: hold ring; take carrier   # what holds everywhere may stand behind
                state 2:lock sun=ring;take carrier;
                state rest:
                planetary sun 24 planet 15 x3 ring 54; brake ring; clutch sun = ring; drive sun
                """)
            .train();
    assertEquals(
        List.of("low", "2", "rest"), train.shifts().states().stream().map(State::name).toList());
    assertEquals(2, train.shifts().elements().size(), "declared and used are the same");
    assertEquals(List.of(id("ring")), train.in(train.shifts().states().getFirst()).roles().holds());
    assertTrue(Card.of(train).text().contains("state low: hold ring; take carrier\n"));
    assertEquals(
        List.of("2:7: a second state named 'a': rename one"),
        problems("parallel 18 ~ 72; state a: hold A\nstate a: hold B"));
    assertEquals("state", Card.read("state: shaft").train().parts().getFirst().name());
  }

  @Test
  void everyBadStatementIsReportedInOrder() {
    List<String> found = problems("parallel 18 ~ 72\ndrive Q\nhold\nfly B");
    assertEquals(3, found.size());
    assertTrue(found.get(0).startsWith("2:7"), found.get(0));
    assertTrue(found.get(1).startsWith("3:5"), found.get(1));
    assertTrue(found.get(2).startsWith("4:1"), found.get(2));
  }

  @Test
  void printingThenReadingGivesTheSameTrain() throws CardException {
    Random random = new Random(2);
    for (int k = 0; k < 300; k++) {
      Train train =
          switch (k % 4) {
            case 0 -> RandomTrains.driven(random, 60);
            case 3 -> RandomTrains.combined(random);
            case 1 -> sized(random);
            default -> Train.of(List.of(RandomTrains.drive("", random)));
          };
      train = RandomTrains.sized(RandomTrains.losing(train, random), random);
      Card card = Card.of(train);
      assertEquals(train, Card.read(card.text()).train());
      assertEquals(card.text(), Card.of(Card.read(card.text()).train()).text());
    }
  }

  private static Train sized(Random random) {
    Planetary set = RandomTrains.planetary("", random);
    Planetary spaced = random.nextBoolean() ? set : set.spaced(Planetary.Spacing.UNEVEN);
    Pitch pitch =
        random.nextBoolean()
            ? new Pitch.Module(new Quantity(Exact.of(random.nextInt(1, 40), 8), Unit.MM))
            : new Pitch.Diametral(BigFraction.of(random.nextInt(4, 64)));
    return Train.of(List.of(spaced)).sized(pitch);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "PLANETARY ring 54i Planet 15 x 3 SUN 24 | planetary sun 24 planet 15 x3 ring 54",
        "planetary planet 14\u00d72 ring 32 | planetary planet 14 x2 ring 32",
        "planetary sun 30 planet 16 ~ 18 x3 uneven ring 82"
            + " | planetary sun 30 planet 16~18 x3 uneven ring 82",
        "cycloidal pins 30 | cycloidal lobes 29 pins 30",
        "cycloidal lobes 14 outputs 6x8mm on 56mm eccentric 2mm DISCS 2"
            + " | cycloidal lobes 14 pins 15 eccentric 2 mm outputs 6 x 8 mm on 56 mm discs 2",
        "strainwave nominal 80 | strainwave flex 160 circular 162 lobes 2",
        "strainwave nominal 50 lobes 3 hat wall 0.4mm allow 300 MPa"
            + " | strainwave flex 150 circular 153 lobes 3 hat wall 0.4 mm allow 300 MPa",
        "strainwave flex 200 | strainwave flex 200 circular 202 lobes 2",
        "planetary sun 20 planet 20 | planetary sun 20 planet 20 x1",
        "parallel 18 ~ 72; dp 16 | parallel 18 ~ 72;dp 16",
        "parallel 18 ~ 72; MODULE 0.05in | parallel 18 ~ 72;module 0.05 in"
      })
  void planetarySetsAndSizesAreUnderstoodInAnyOrderAndCase(String card, String canonical)
      throws CardException {
    String printed = Card.of(Card.read(card).train()).text();
    assertEquals(canonical, printed.strip().replace("\n", ";"));
  }

  @Test
  void lossesMayBeSaidInAnyOrderAndStayAsTheyWereSaid() throws CardException {
    Card card =
        Card.read(
            """
            EFFICIENCY ring1-planet 99 % # the worn one
            two: planetary sun 12/- planet 18=18 x3 ring 48/51
            efficiency Internal 0.97 printed; friction 0.06
            drive sun 10 rpm MOTOR 3000rpm 0.4Nm; hold ring1; take ring2
            """);
    assertEquals(
        List.of(
            "efficiency printed internal 0.97 two.planet-ring1 0.99",
            "friction 0.06",
            "drive two.sun 10 rpm motor 0.4 Nm 3000 rpm"),
        Card.of(card.train()).text().lines().skip(1).limit(3).toList());
    Roles roles = card.train().roles();
    Card held = card.revised(card.train().withRoles(roles.driving(new MemberId("two", "carrier"))));
    assertTrue(
        held.text().startsWith("EFFICIENCY ring1-planet 99 % # the worn one\n"), held.text());
    assertTrue(held.text().contains("efficiency Internal 0.97 printed; friction 0.06"));
    assertTrue(held.text().contains("drive two.carrier 10 rpm motor 0.4 Nm 3000 rpm"), held.text());
  }

  @Test
  void fortyWheelsHaveTwoLetterNames() throws CardException {
    String card = "parallel 20" + " ~ 21".repeat(39) + "\ndrive A\ntake AN";
    assertEquals("AN", Card.read(card).train().members().getLast().id().name());
  }

  @Test
  void anyGarbageIsRefusedWithAPlaceOnTheCard() {
    String alphabet = "parallel 18~=:;#\n driveholdAB.60i rpmNm/-\t\u00a0é";
    Random random = new Random(3);
    for (int k = 0; k < 5000; k++) {
      StringBuilder text = new StringBuilder(k % 2 == 0 ? "" : "parallel 18 ~ 72\n");
      int length = random.nextInt(60);
      for (int c = 0; c < length; c++) {
        text.append(alphabet.charAt(random.nextInt(alphabet.length())));
      }
      try {
        Card.read(text.toString());
      } catch (CardException refused) {
        String[] lines = text.toString().split("\\R", -1);
        CardProblem first = refused.problems().getFirst();
        assertTrue(first.line() >= 1 && first.line() <= lines.length, text.toString());
        assertTrue(first.column() - 1 <= lines[first.line() - 1].length(), text.toString());
      }
    }
  }

  @Test
  void revisingKeepsCommentsAndSpelling() throws CardException {
    Card card =
        Card.read(
            """
            # Winch, counted twice
            parallel 16~40 ~ 56   # idler in the middle
            drive a 90rpm 6 Nm; take C  # drum

            """);
    Roles roles = card.train().roles();
    Card held = card.revised(card.train().withRoles(roles.taking(id("B")).holding(id("C"))));
    assertEquals(
        """
        # Winch, counted twice
        parallel 16~40 ~ 56   # idler in the middle
        drive a 90rpm 6 Nm; take B  # drum
        hold C
        """,
        held.text());
    Card freed = held.revised(held.train().withRoles(held.train().roles().freeing(id("B"))));
    assertEquals(
        """
        # Winch, counted twice
        parallel 16~40 ~ 56   # idler in the middle
        drive a 90rpm 6 Nm # drum
        hold C
        """,
        freed.text());
  }

  private static MemberId id(String name) {
    return new MemberId("", name);
  }

  @Test
  void aRevisedCardDescribesTheRevisedTrainAndKeepsEveryComment() throws CardException {
    Random random = new Random(4);
    for (int run = 0; run < 100; run++) {
      Card card = commented(Card.of(RandomTrains.driven(random, 8)).text());
      for (int step = 0; step < 20; step++) {
        Train train = card.train();
        List<MemberId> members = new ArrayList<>();
        train.members().forEach(member -> members.add(member.id()));
        MemberId one = members.get(random.nextInt(members.size()));
        MemberId two = members.get(random.nextInt(members.size()));
        Roles roles = train.roles();
        Roles next =
            switch (random.nextInt(5)) {
              case 0 -> roles.driving(one);
              case 1 -> roles.holding(one);
              case 2 -> roles.taking(one);
              case 3 -> one.equals(two) ? roles : roles.locking(one, two);
              default -> roles.freeing(one);
            };
        card = card.revised(train.withRoles(next));
        assertEquals(train.withRoles(next), card.train());
        assertEquals(card.train(), Card.read(card.text()).train(), card.text());
        assertTrue(card.text().contains("# kept 0"), card.text());
        assertTrue(card.text().contains("# kept 2"), card.text());
      }
    }
  }

  private static Card commented(String text) throws CardException {
    String[] lines = text.split("\n");
    StringBuilder with = new StringBuilder();
    for (int k = 0; k < lines.length; k++) {
      with.append(lines[k]).append(" # kept ").append(k).append('\n');
    }
    return Card.read(with.toString());
  }
}
