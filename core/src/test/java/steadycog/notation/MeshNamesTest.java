package steadycog.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import steadycog.RandomCards;
import steadycog.train.Losses;
import steadycog.train.Mesh;
import steadycog.train.Train;

class MeshNamesTest {
  private static final String ROWS =
      "planetary sun 20/- planet 25=23 x3 ring 70/68; module 1 mm; hold ring1; take ring2; ";

  @ParameterizedTest
  @CsvSource({
    "efficiency planet2-ring2 0.97,efficiency planet-ring2 0.97",
    "efficiency planet2 ~ ring2 0.97,efficiency planet-ring2 0.97",
    "efficiency ring2~planet2 0.97,efficiency planet-ring2 0.97",
    "efficiency PLANET - RING1 0.97,",
    "efficiency planet ~ ring1 97%,efficiency planet-ring1 0.97",
    "distance sun ~ planet 22.6 mm,distance sun-planet 22.6 mm"
  })
  void whatATablePrintsCanBeTyped(String typed, String canonical) throws CardException {
    if (canonical == null) {
      assertTrue(refused(ROWS + typed).contains("a mesh such as"));
    } else {
      String text = CardPrinter.print(Card.read(ROWS + typed).train());
      assertTrue(text.contains(canonical), text);
      assertEquals(Card.read(ROWS + canonical).train(), Card.read(ROWS + typed).train());
    }
  }

  private static String refused(String card) {
    try {
      return CardPrinter.print(Card.read(card).train());
    } catch (CardException wrong) {
      return wrong.getMessage();
    }
  }

  /** Every mesh of any train, as tables and messages write it, can be given its own loss. */
  @Test
  void everyMeshOfAnyTrainIsTyped() throws CardException {
    Random random = new Random(88);
    for (int k = 0; k < 200; k++) {
      Card card = RandomCards.next(random);
      String without = CardPrinter.print(card.train().withLosses(Losses.UNSTATED));
      for (Mesh mesh : card.train().meshes()) {
        for (String name : new String[] {mesh.a() + " ~ " + mesh.b(), mesh.a() + "-" + mesh.b()}) {
          Train read = Card.read(without + "efficiency " + name + " 0.9\n").train();
          assertEquals(1, read.losses().meshes().size(), name);
        }
      }
    }
  }
}
