package steadycog.gearbox;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.FieldSource;
import steadycog.notation.CardException;
import steadycog.piece.Region.Round;
import steadycog.piece.Slab;

/** Planets on ball bearings of their own. */
class PlanetBearingTest {
  private static final String SET =
      "planetary sun 24 planet 30 x3 ring 84; module 1 mm; width 8 mm; clearance printed; drive sun"
          + " 600 rpm 5 Nm; hold ring; take carrier; bearing planet ";

  private static final String LONG =
      "planetary sun 20/- planet 30=26 x3 clocked ring -/76; module 1 mm; width 10 mm; clearance"
          + " printed; drive sun; hold ring; take carrier; bearing planet 683";

  static final List<String> ALL =
      List.of(
          SET + "623",
          SET + "608",
          LONG,
          SET.replace("hold ring; take carrier", "hold carrier; take ring") + "625",
          Boxes.STAGES + "\nbearing near.planet 623; bearing far.planet 685");

  @ParameterizedTest
  @FieldSource("ALL")
  void goesTogether(String card) throws CardException {
    assertEquals(List.of(), Boxes.proof(Boxes.of(card)).problems());
  }

  /** The outer ring has its fit, the lip behind it is clear of the inner one, the pin its bore. */
  @Test
  void sitsInItsPlanetAndOnItsPin() throws CardException {
    Gearbox box = Boxes.of(SET + "623");
    Component planet = box.component("planet");
    List<Double> holes =
        planet.piece().slabs().stream()
            .map(Slab::region)
            .map(one -> one.circles().stream().mapToDouble(Round::radius).max().orElseThrow())
            .toList();
    assertEquals(List.of((3 + 10) / 4.0, (10 + 0.1) / 2), holes);
    assertEquals("3 x 17.4", box.component("planet pin").size().orElseThrow());
    assertEquals(3, box.component("planet bearing").count());
    assertEquals("623", box.shafts().getFirst().bearing().orElseThrow().name());
    assertTrue(new ShaftLoads(box).weak().getFirst().contains("pin of planet"));
    Gearbox two = Boxes.of(LONG);
    assertEquals(6, two.component("planet bearing").count());
    assertTrue(two.dotted().contains("planet 3"), "clocked planets keep their dots");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "6002 | 9 mm long: wider planets",
        "6802; width 12 mm; bore planet 4 mm | its pin 4 mm: state one bore",
        "623; bore planet 3 mm hex | is to be round",
        "6804; width 12 mm | 32 mm wide: larger planets",
      })
  void whatDoesNotFitIsRefusedWithItsRemedy(String more, String says) throws CardException {
    String why =
        Boxes.result(
                SET.replace("width 8 mm; ", more.contains("width") ? "" : "width 8 mm; ") + more)
            .why();
    assertTrue(why.contains(says), why);
  }

  @Test
  void oneThatIsNarrowForItsBoreDoesNotCarryAlone() throws CardException {
    assertEquals(
        List.of("planet is carried at one narrow place"),
        Boxes.proof(Boxes.of(SET + "6800")).problems());
  }
}
