package steadycog.motion;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.motion.RatioBoard.Configuration;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.train.Drive;
import steadycog.train.Join;
import steadycog.train.MemberId;
import steadycog.train.Role;
import steadycog.train.Roles;
import steadycog.train.Take;
import steadycog.train.Train;

/** Every way to use a train against trying them all by hand, and what each is called. */
class ConfigurationsTest {
  private static Train train(String card) throws CardException {
    return Card.read(card).train();
  }

  private static MemberId id(String name) {
    return new MemberId("", name);
  }

  /** As the board says it: drive, what is held, and take-off, with the ratio that it gives. */
  private static String words(MemberId drive, List<MemberId> holds, MemberId take, BigFraction i) {
    return drive + " " + holds + " " + take + " " + Exact.text(i);
  }

  /** Every set of held shafts that leaves a ratio but none once one of it is let go. */
  private static Set<String> byTrial(Train train, int most) {
    List<MemberId> shafts = RatioBoard.shafts(train);
    Set<String> all = new HashSet<>();
    for (MemberId drive : shafts) {
      for (MemberId take : shafts) {
        List<MemberId> rest = new ArrayList<>(shafts);
        rest.removeAll(List.of(drive, take));
        List<List<MemberId>> found = new ArrayList<>();
        for (int mask = 0; !drive.equals(take) && mask < 1 << rest.size(); mask++) {
          List<MemberId> holds = new ArrayList<>();
          for (int k = 0; k < rest.size(); k++) {
            if ((mask >> k & 1) == 1) {
              holds.add(rest.get(k));
            }
          }
          if (holds.size() <= most && ratio(train, drive, holds, take).isPresent()) {
            found.add(holds);
          }
        }
        for (List<MemberId> holds : found) {
          boolean needless =
              found.stream()
                  .anyMatch(less -> less.size() < holds.size() && holds.containsAll(less));
          if (!needless) {
            all.add(words(drive, holds, take, ratio(train, drive, holds, take).orElseThrow()));
          }
        }
      }
    }
    return all;
  }

  private static Optional<BigFraction> ratio(
      Train train, MemberId drive, List<MemberId> holds, MemberId take) {
    Roles roles = Roles.between(drive, holds, take);
    return MotionSolver.solve(Mechanism.of(train.withRoles(roles)))
        .ratio()
        .map(one -> one.reduction());
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "planetary sun 24 planet 15 x3 ring 54",
        "planetary sun 12/- planet 18=20 x3 ring 48/50",
        "planetary sun 12/13 planet 18=17 x3 ring 48/47",
        "parallel 20 ~ 33 ~ 50 = 15 ~ 45",
        "cycloidal lobes 10 pins 11",
        "strainwave flex 200 circular 202",
        "differential side 16 spider 10",
        "a: planetary sun 24 planet 15 x3 ring 54; "
            + "b: planetary sun 30 planet 15 x3 ring 60; "
            + "join a.carrier = b.sun",
        "a: planetary sun 24 planet 18 x3 ring 60; "
            + "b: planetary sun 24 planet 18 x3 ring 60; "
            + "join a.sun = b.sun; join a.carrier = b.ring",
        "p: parallel 20 ~ 40\nq: parallel 15 ~ 45",
      })
  void theBoardHasWhatTryingEveryHoldFinds(String card) throws CardException {
    Train train = train(card);
    RatioBoard board = RatioBoard.of(train);
    assertTrue(board.whole());
    Set<String> listed =
        board.configurations().stream()
            .filter(one -> one.lock().isEmpty())
            .map(one -> words(one.drive(), one.holds(), one.take(), one.ratio().reduction()))
            .collect(Collectors.toSet());
    assertEquals(byTrial(train, Math.max(0, board.freedoms() - 1)), listed);
    assertEquals(
        board.configurations().size(), new HashSet<>(board.configurations()).size(), "each once");
    for (Configuration one : board.configurations()) {
      if (one.lock().isPresent()) {
        Join lock = one.lock().get();
        assertEquals(lock.a().part(), lock.b().part());
        assertEquals(lock.a(), one.drive());
        assertFalse(lock.touches(one.take()));
        assertEquals(BigFraction.ONE, one.ratio().reduction(), "all of a set turns as one");
      }
    }
  }

  @Test
  void aSetHasThreeLocksAndTwoRowsThatOfEveryTwoShafts() throws CardException {
    assertEquals(3, locks("planetary sun 24 planet 15 x3 ring 54"));
    assertEquals(6, locks("planetary sun 12/- planet 18=20 x3 ring 48/50"));
    assertEquals(0, locks("parallel 20 ~ 40"), "nothing is free");
  }

  private static long locks(String card) throws CardException {
    return RatioBoard.of(train(card)).configurations().stream()
        .filter(one -> one.lock().isPresent())
        .count();
  }

  @Test
  void aConfigurationKeepsSpeedMotorAndLoadOfTheRolesItReplaces() throws CardException {
    Train train =
        train(
            "planetary sun 24 planet 15 x3 ring 54\n"
                + "drive sun 90 rpm 2 Nm; hold ring; take carrier 5 Nm");
    for (Configuration one : RatioBoard.of(train).configurations()) {
      Roles roles = one.in(train.roles());
      Drive drive = roles.drives().getFirst();
      assertEquals(one.drive(), drive.member());
      assertEquals(Quantity.of("90", Unit.RPM), drive.statedSpeed());
      assertEquals(Optional.of(Quantity.of("5", Unit.NM)), roles.take().flatMap(Take::load));
      assertEquals(one.holds(), roles.holds());
      assertEquals(one.lock().stream().toList(), roles.locks());
      assertEquals(Role.DRIVE, one.in(Roles.NONE).of(one.drive()));
    }
  }

  @Test
  void twoAreAlikeOnlyInAllThatIsDone() {
    Configuration one = configuration("sun", List.of("ring"), "carrier");
    assertTrue(one.isLike(configuration("sun", List.of("ring"), "carrier")));
    assertFalse(one.isLike(configuration("ring", List.of("ring"), "carrier")));
    assertFalse(one.isLike(configuration("sun", List.of(), "carrier")));
    assertFalse(one.isLike(configuration("sun", List.of("ring"), "planet")));
    Configuration locked =
        new Configuration(
            one.drive(),
            one.holds(),
            one.take(),
            Optional.of(new Join(id("sun"), id("ring"))),
            one.ratio());
    assertFalse(one.isLike(locked));
    assertEquals(Optional.of(id("ring")), one.hold());
    assertEquals(Optional.of("ring"), one.heldText());
    assertEquals(Optional.empty(), configuration("sun", List.of(), "carrier").heldText());
    assertEquals(Optional.empty(), configuration("sun", List.of(), "carrier").hold());
    assertEquals(
        Optional.of("ring, planet"),
        configuration("sun", List.of("ring", "planet"), "carrier").heldText());
  }

  private static Configuration configuration(String drive, List<String> holds, String take) {
    return new Configuration(
        id(drive),
        holds.stream().map(ConfigurationsTest::id).toList(),
        id(take),
        Optional.empty(),
        new steadycog.number.Ratio(BigFraction.of(3)));
  }

  @ParameterizedTest
  @CsvSource({
    "drive A; hold B, drive A; hold B; A ~ B",
    "drive A 1 rpm; drive B 1 rpm, drive A; drive B; A ~ B",
  })
  void whatContradictsOneAnotherIsNamedAsTheCardHasIt(String roles, String expected)
      throws CardException {
    Motion motion = MotionSolver.solve(Mechanism.of(train("parallel 20 ~ 40; " + roles)));
    assertEquals(Motion.Status.JAMMED, motion.status());
    assertEquals(Set.of(expected.split("; ")), Set.of(motion.conflictText().split("; ")));
    Set<MemberId> tied = new HashSet<>();
    motion.conflict().forEach(cause -> tied.addAll(cause.members()));
    assertEquals(Set.of(id("A"), id("B")), tied);
  }

  @Test
  void everyCauseSaysWhatItTies() throws CardException {
    Train train =
        train(
            "a: parallel 20 ~ 40 = 10 ~ 30\nb: planetary sun 24 planet 15 x3 ring 54\n"
                + "join a.D = b.sun; lock b.sun = b.ring; hold b.carrier; drive a.A");
    List<String> causes =
        Mechanism.of(train).relations().stream().map(one -> one.cause().toString()).toList();
    assertTrue(
        causes.containsAll(
            List.of(
                "a.A ~ a.B",
                "a.B = a.C",
                "a.C ~ a.D",
                "b.sun ~ b.planet",
                "join a.D = b.sun",
                "lock b.sun = b.ring",
                "hold b.carrier")),
        causes::toString);
    for (Relation relation : Mechanism.of(train).relations()) {
      for (MemberId member : relation.cause().members()) {
        assertTrue(relation.cause().toString().contains(member.toString()), relation::toString);
      }
    }
  }

  @Test
  void theFastestMemberIsTheFirstOfThoseThatTurnMost() throws CardException {
    Motion motion =
        MotionSolver.solve(
            Mechanism.of(
                train(
                    "planetary sun 24 planet 15 x3 ring 54; drive carrier; hold ring; take sun")));
    assertEquals(
        new Motion.Fastest(id("sun"), BigFraction.of(13, 4)), motion.fastest().orElseThrow());
    Motion pair =
        MotionSolver.solve(Mechanism.of(train("parallel 20 ~ 20; drive A 60 rpm; take B")));
    assertEquals(id("A"), pair.fastest().orElseThrow().member(), "the first of two");
    Motion still = MotionSolver.solve(Mechanism.of(train("parallel 20 ~ 20; hold A")));
    assertEquals(Optional.empty(), still.fastest());
  }

  @Test
  void twoDrivesKeepTheirShareUnlessAUnitAsksForPi() throws CardException {
    String set = "planetary sun 30 planet 24 x3 ring 78; take carrier; ";
    Motion rpm =
        MotionSolver.solve(Mechanism.of(train(set + "drive ring 36 rpm; drive sun 12 rpm")));
    assertEquals(
        Optional.of(BigFraction.of(13, 18).add(BigFraction.of(5, 18).divide(BigFraction.of(3)))),
        rpm.turnsPerInputTurn(id("carrier")));
    assertEquals(Optional.of(List.of(BigFraction.ONE, BigFraction.of(1, 3))), rpm.pace(0));
    assertEquals(Optional.of(List.of(BigFraction.of(3), BigFraction.ONE)), rpm.pace(1));
    assertEquals(Optional.empty(), rpm.pace(2), "there is no third drive");
    Motion still =
        MotionSolver.solve(Mechanism.of(train(set + "drive ring 36 rpm; drive sun 0 rpm")));
    assertEquals(Optional.of(List.of(BigFraction.ONE, BigFraction.ZERO)), still.pace(0));
    assertEquals(Optional.empty(), still.pace(1), "nothing turns once for one that rests");
    Motion mixed =
        MotionSolver.solve(Mechanism.of(train(set + "drive ring 36 rpm; drive sun 2 rad/s")));
    assertEquals(Optional.empty(), mixed.pace(0), "no fraction holds pi");
  }
}
