package steadycog.study;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import steadycog.RandomTrains;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Exact;
import steadycog.shape.EdgeLayout;
import steadycog.study.PowerPicture.Heat;
import steadycog.study.PowerPicture.Run;
import steadycog.torque.EachWay;
import steadycog.torque.PowerFlow.Verdict;
import steadycog.train.Losses;
import steadycog.train.Motor;
import steadycog.train.Roles;
import steadycog.train.Train;

/** What is made of losses: the picture of power, the working of torques, motors, boards. */
class LoadStudyTest {
  private static final String FOCUSER =
      "planetary sun 12/- planet 18=18 x3 ring 48/51\nhold ring1\ntake ring2\n";

  private static Study study(String card) throws CardException {
    return Study.of(Card.read(card).train());
  }

  private static List<Study> some() {
    Random random = new Random(91);
    List<Study> all = new ArrayList<>();
    for (int run = 0; run < 25; run++) {
      all.add(Study.of(RandomTrains.driven(random, 9)));
      for (var part : List.of(RandomTrains.planetary("", random), RandomTrains.drive("", random))) {
        Train bare = Train.of(List.of(part)).withLosses(Losses.of(Losses.Practice.PRINTED));
        ConfigurationBoard.of(bare).rows().stream()
            .limit(6)
            .forEach(row -> all.add(Study.of(bare.withRoles(row.configuration().in(Roles.NONE)))));
      }
    }
    return all;
  }

  @Test
  void thePictureLosesPowerOnlyAtMeshes() {
    int drawn = 0;
    for (Study study : some()) {
      EdgeLayout layout = EdgeLayout.of(study.train(), study.layout(), List.of());
      for (boolean losses : new boolean[] {false, true}) {
        Optional<PowerPicture> picture = PowerPicture.of(study, layout, losses, 2);
        if (picture.isPresent()) {
          drawn++;
          assertBalanced(picture.get(), losses, study.train().toString());
        }
      }
    }
    assertTrue(drawn > 200, "pictures: " + drawn);
  }

  private static void assertBalanced(PowerPicture picture, boolean losses, String of) {
    double rounding = 1e-4 * picture.most();
    for (Heat heat : picture.heats()) {
      double leaves =
          picture.runs().stream()
              .filter(run -> run.path().getFirst().equals(heat.at()))
              .mapToDouble(Run::watts)
              .sum();
      boolean shared = picture.heats().stream().filter(h -> h.at().equals(heat.at())).count() > 1;
      if (!shared) {
        assertEquals(-heat.watts(), leaves, rounding, () -> "at a mesh of " + of);
      }
      assertTrue(losses || heat.watts() == 0, () -> "without losses nothing is lost: " + of);
    }
    double lost = picture.heats().stream().mapToDouble(Heat::watts).sum();
    assertTrue(lost <= picture.in() * (1 + 1e-9), () -> "more lost than goes in: " + of);
  }

  @Test
  void everyTorqueIsAccountedFor() {
    int worked = 0;
    for (Study study : some()) {
      Optional<TorqueWorking> working = study.torqueWorking();
      if (working.isEmpty()) {
        continue;
      }
      worked++;
      for (TorqueWorking.Balance balance : working.get().balances()) {
        BigFraction sum = BigFraction.ZERO;
        for (TorqueWorking.Share share : balance.shares()) {
          sum = sum.add(share.torque());
        }
        assertTrue(Exact.isZero(sum), () -> balance + " of " + study.train());
      }
      for (TorqueWorking.Step step : working.get().steps()) {
        BigFraction teeth =
            Exact.of(
                step.mesh().teeth(step.driven()).count(), step.mesh().teeth(step.driver()).count());
        BigFraction share = step.rolls() ? step.efficiency().value() : BigFraction.ONE;
        assertEquals(
            step.gives().abs().multiply(teeth).multiply(share), step.gets().abs(), step::factor);
      }
    }
    assertTrue(worked > 100, "workings: " + worked);
  }

  @ParameterizedTest
  @CsvSource({"0.9 Nm, NO_START", "0.3 Nm, RUNS", "0.7 Nm, BARELY", "3 Nm, STALLS"})
  void aMotorMeetsItsLoad(String load, MotorPoint.Verdict expected) throws CardException {
    Study study =
        study(
            FOCUSER.replace("take ring2", "take ring2 " + load)
                + "drive sun 3000 rpm motor 40 Nmm 6500 rpm\nefficiency printed");
    MotorPoint at = study.motorPoint().orElseThrow();
    assertEquals(expected, at.verdict());
    if (expected == MotorPoint.Verdict.STALLS) {
      assertEquals(0, at.speed());
      return;
    }
    // On the motor's line, and what it gives comes out or is lost.
    Motor motor = at.motor();
    assertEquals(
        1, at.speed() / motor.free().inBase() + at.needed() / motor.stall().inBase(), 1e-12);
    assertEquals(at.power(), at.out() + at.lost(), 1e-12);
    double torque = Double.parseDouble(load.split(" ")[0]);
    assertEquals(torque * at.output() * Math.PI / 30, at.out(), 1e-9);
    // Meshes that lose half as much again take what the card with those losses takes.
    Study sticking =
        study(
            FOCUSER.replace("take ring2", "take ring2 " + load)
                + "drive sun 3000 rpm\nefficiency external 0.895 internal 0.925");
    double starting =
        sticking
            .torques()
            .external(sticking.motion().mechanism().roles().drives().getFirst().member())
            .orElseThrow()
            .doubleValue();
    assertEquals(starting, at.toStart().orElseThrow(), 1e-9);
  }

  @Test
  void theBoardSaysWhatTheStudyOfEachConfigurationSays() throws CardException {
    Train train = Card.read(FOCUSER + "drive sun\nefficiency printed").train();
    int locks = 0;
    for (ConfigurationBoard.Row row : ConfigurationBoard.of(train).rows()) {
      Study study = Study.of(train.withRoles(row.configuration().in(Roles.NONE)));
      EachWay whole = study.loading().eachWay().orElseThrow();
      assertEquals(whole.verdict(), row.eachWay().verdict());
      assertEquals(whole.efficiency().orElse(0.0), row.eachWay().efficiency().orElse(0.0), 1e-9);
      assertEquals(whole.backwards(), row.eachWay().backwards());
      // Turned round, forwards is backwards.
      ConfigurationBoard.of(train).rows().stream()
          .filter(
              other ->
                  other.configuration().drive().equals(row.configuration().take())
                      && other.configuration().take().equals(row.configuration().drive())
                      && other.configuration().holds().equals(row.configuration().holds()))
          .filter(other -> row.configuration().lock().isEmpty())
          .forEach(
              other -> {
                assertEquals(
                    row.eachWay().efficiency().orElse(0.0),
                    other.eachWay().backwards().efficiency().orElse(0.0),
                    1e-9);
                assertEquals(row.eachWay().verdict(), other.eachWay().backwards().verdict());
              });
      locks += row.eachWay().verdict() == Verdict.LOCKS ? 1 : 0;
    }
    assertEquals(4, locks);
  }

  @Test
  void otherKindsAreMadeAsThisTrainIs() throws CardException {
    List<KindChoice> printed = study(FOCUSER + "drive sun\nefficiency printed").kinds();
    List<KindChoice> oiled = study(FOCUSER + "drive sun").kinds();
    assertFalse(printed.isEmpty());
    for (int k = 0; k < printed.size(); k++) {
      assertEquals(oiled.get(k).kind(), printed.get(k).kind());
      double less = printed.get(k).eachWay().efficiency().orElseThrow();
      assertTrue(less < oiled.get(k).eachWay().efficiency().orElseThrow());
    }
  }
}
