package steadycog.gearbox;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import steadycog.notation.CardException;
import steadycog.rating.RatedShaft;
import steadycog.train.BallBearing;

/** Bearings by what they have to bear. */
class BearingsTest {
  private static final String DOWN =
      "parallel 18 ~ 54 = 20 ~ 80; module 2 mm; width 20 mm; clearance machined; bore A 8 mm; bore"
          + " B 12 mm; bore D 15 mm; take D; ";

  private static List<String> names(String card) throws CardException {
    return Boxes.of(card).shafts().stream()
        .map(shaft -> shaft.bearing().orElseThrow().name())
        .toList();
  }

  /** Shigley's Mechanical Engineering Design, table 11-2: 02 series, deep groove. */
  @ParameterizedTest
  @CsvSource({
    "10, 30, 9, 5070",
    "12, 32, 10, 6890",
    "15, 35, 11, 7800",
    "17, 40, 12, 9560",
    "20, 47, 14, 12700",
    "25, 52, 15, 14000",
    "30, 62, 16, 19500"
  })
  void ratingsAreNearThoseOfTheTextbook(int bore, int outside, int width, double rating) {
    double estimated = new BallBearing("02", bore, outside, width).estimatedRating();
    assertEquals(1, estimated / rating, 0.12);
  }

  @Test
  void aHeavierLoadTakesStrongerBearingsOfTheSameBore() throws CardException {
    assertEquals(List.of("688", "6801", "6802"), names(DOWN + "drive A 1500 rpm 0.4 Nm"));
    assertEquals(List.of("608", "6001", "6802"), names(DOWN + "drive A 1500 rpm 5 Nm"));
    assertEquals(
        List.of("688", "6801", "6802"), names(DOWN + "rating life 100 h; drive A 1500 rpm 5 Nm"));
    String stated = DOWN + "bearing B 6801; drive A 1500 rpm 5 Nm";
    assertEquals(List.of("608", "6801", "6802"), names(stated));
    ShaftLoads loads = new ShaftLoads(Boxes.of(stated));
    assertTrue(
        loads.weak().stream().anyMatch(line -> line.startsWith("The bearings of the shaft of B")));
    assertTrue(loads.note().isPresent());
    String known =
        stated.replace("6801", "6801 rating 9 kN") + "; bearing A rating 4 kN; bearing D";
    ShaftLoads measured = new ShaftLoads(Boxes.of(known + " rating 3 kN"));
    assertEquals(Optional.empty(), measured.note());
    assertTrue(measured.weak().stream().noneMatch(line -> line.startsWith("The bearings")));
  }

  @Test
  void whereNothingIsStatedOrNothingPressesNothingIsSaid() throws CardException {
    assertEquals(List.of(), Boxes.of(DOWN + "drive A 1500 rpm").shafts());
    assertEquals(List.of(), new ShaftLoads(Boxes.of(Boxes.FILTER + " 0.4 Nm")).rows());
  }

  /** One mesh presses along its line of action: torque over base radius, shared by the bearings. */
  @Test
  void theBearingsOfAShaftTogetherBearWhatItsMeshPresses() throws CardException {
    Gearbox box = Boxes.of(Boxes.WINCH.replace("drive A", "drive A 90 rpm 6 Nm"));
    RatedShaft crank = box.shafts().getFirst();
    double baseRadius = 16 * 2.5 / 2 * Math.cos(Math.toRadians(20));
    assertEquals(6000 / baseRadius, crank.onFirst() + crank.onSecond(), 1e-6);
    List<Support> own =
        box.supports().stream().filter(one -> one.member().name().equals("A")).toList();
    assertEquals(own.getFirst().bearing(), crank.bearing().orElseThrow().name());
    double span = own.getLast().from() - own.getFirst().from();
    assertEquals(span, crank.held().second() - crank.held().first(), 1e-9);
  }

  @Test
  void everyBearingChosenLastsOrNoStrongerOneGoesOn() throws CardException {
    Random random = new Random(281);
    int weak = 0;
    for (int n = 0; n < 25; n++) {
      double torque = Math.pow(10, random.nextDouble() * 2.5 - 1);
      String drive = "drive A 1500 rpm %.3f Nm".formatted(torque);
      for (RatedShaft shaft : Boxes.of(DOWN + drive).shafts()) {
        BallBearing own = shaft.bearing().orElseThrow();
        boolean strongest =
            BallBearing.usual().stream()
                .filter(one -> one.bore() <= shaft.made().orElseThrow().diameter())
                .noneMatch(one -> one.estimatedRating() > own.estimatedRating());
        boolean isShort = shaft.life().orElseThrow().isShort();
        assertTrue(!isShort || strongest, drive + ": " + shaft);
        weak += isShort ? 1 : 0;
      }
    }
    assertTrue(weak > 5 && weak < 70, "some last and some do not: " + weak);
  }
}
