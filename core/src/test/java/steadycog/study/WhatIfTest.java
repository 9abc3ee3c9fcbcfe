package steadycog.study;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.study.WhatIf.Change;

/** What a tenth more of each thing does to the worst factor, by what the formulas say of it. */
class WhatIfTest {
  private static Map<String, Double> of(String card) throws CardException {
    return WhatIf.of(Card.read(card).train()).changes().stream()
        .collect(Collectors.toMap(Change::input, Change::times));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "parallel 20 ~ 60; module 2 mm; drive A 900 rpm 12 Nm; take B",
        "planetary sun 24 planet 15 x3 ring 54; module 1 mm; shift planet 0.2; drive sun 900 rpm 1"
            + " Nm; hold ring; take carrier",
        "fore: parallel 20 ~ 60; rear: parallel 18 ~ 50; join fore.B = rear.A; module fore 2 mm;"
            + " module rear 3 mm; drive fore.A 900 rpm 12 Nm; take rear.B"
      })
  void whatHelpsAndWhatHarms(String card) throws CardException {
    Map<String, Double> times =
        of(
            card.replace("; ", "\n")
                + "\nhardness 200 HB\nrating life 3000 h quality 6 overload 1.5");
    for (String helps : new String[] {"module", "face width", "hardness", "quality"}) {
      assertTrue(times.get(helps) > 1, helps + " " + times);
    }
    for (String harms : new String[] {"overload", "life"}) {
      assertTrue(times.get(harms) < 1, harms + " " + times);
    }
    assertEquals(card.contains("planetary"), times.containsKey("planets' share"), times::toString);
  }

  /** Contact decides: it goes with the root of the load and the -0.023th power of the cycles. */
  @Test
  void overloadAndLifeGoByTheirPowers() throws CardException {
    Map<String, Double> times =
        of(
            "parallel 20 ~ 60; module 2 mm; hardness 200 HB; drive A 900 rpm 12 Nm; take B;"
                + " rating life 3000 h overload 1.5");
    assertEquals(Math.pow(1.1, -0.5), times.get("overload"), 1e-9);
    assertEquals(Math.pow(1.1, -0.023), times.get("life"), 1e-9);
  }

  @Test
  void theMostTellingComesFirst() throws CardException {
    WhatIf all =
        WhatIf.of(
            Card.read(
                    "parallel 20 ~ 60; module 2 mm; drive A 900 rpm 12 Nm; take B; rating life 9 h")
                .train());
    double before = Double.MAX_VALUE;
    for (Change change : all.changes()) {
      assertTrue(Math.abs(Math.log(change.times())) <= before);
      before = Math.abs(Math.log(change.times()));
    }
    assertEquals(all.changes().size(), all.table().columns().size());
  }
}
