package steadycog.notation;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.train.BallBearing;
import steadycog.train.Housing;
import steadycog.train.MotorFace;
import steadycog.train.Screw;

/** What a card wishes of the box round a train. */
class HousingTextTest {
  private static final String TRAIN = "parallel 20 ~ 40\n";

  @ParameterizedTest
  @ValueSource(
      strings = {
        "housing wall 3 mm",
        "housing bolts 6 x M2.5",
        "housing wall 0.25 in bolts 4 x M5",
        "motor face 42 mm",
        "leave out dowel pin",
        "housing wall 3 mm\nleave out nut\nleave out front bearing of shaft 2",
        "housing bolts 3 x M6\nmotor face 57 mm"
      })
  void readsAndPrintsTheSame(String statement) throws CardException {
    Card card = Card.read(TRAIN + statement);
    Housing housing = card.train().sizes().housing();
    assertTrue(CardPrinter.print(card.train()).contains(statement), statement);
    Card again = Card.read(CardPrinter.print(card.train()));
    assertEquals(card.train(), again.train());
    assertEquals(housing, again.train().sizes().housing());
    assertEquals(statement.contains("motor"), housing.motor().isPresent());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "housing | wall and a length, or bolts",
        "housing thick 3 mm | found 'thick'",
        "housing wall 3 Nm | mm, in or cm",
        "housing wall 3 mm wall 4 mm | a second wall",
        "housing wall 0.1 mm | expected 0.4 to 100 mm",
        "housing bolts | how many screws and their size",
        "housing bolts 4.5 x M3 | how many screws",
        "housing bolts 4 M3 | x and a size",
        "housing bolts 4 x M7 | a size: M2, M2.5, M3, M4, M5, M6",
        "housing bolts 2 x M3 | expected 3 to 24",
        "housing wall 3 mm; housing wall 4 mm | a second wall",
        "leave dowel pin | out and a piece, as leave out dowel pin",
        "leave out | a piece as the bill",
        "leave out nut; leave out nut | leave out nut stands twice: leave one",
        "motor 42 mm | face and its size",
        "motor face 40 mm | one of 35 mm, 42 mm, 57 mm",
        "motor face 42 mm; motor face 35 mm | a second motor face"
      })
  void saysWhatIsWrongAndWhatWouldDo(String statements, String expected) {
    CardException refused = assertThrows(CardException.class, () -> Card.read(TRAIN + statements));
    assertTrue(refused.getMessage().contains(expected), refused.getMessage());
  }

  @Test
  void boltsAreReadByThemselves() {
    assertEquals("4 x M3", SizeText.bolts("4 X m3").orElseThrow().toString());
    assertEquals(Optional.empty(), SizeText.bolts("four"));
    assertEquals(Optional.empty(), SizeText.bolts("4 x M3 x 2"));
  }

  @Test
  void tablesGrow() {
    for (int k = 1; k < Screw.usual().size(); k++) {
      Screw thin = Screw.usual().get(k - 1);
      Screw thick = Screw.usual().get(k);
      assertTrue(thin.head() < thick.head() && thin.hole() < thick.hole(), thick.name());
      assertTrue(thick.core() < thick.diameter() && thick.diameter() < thick.hole());
    }
    assertEquals(16, Screw.lengthFrom(12.1));
    assertEquals(110, Screw.lengthFrom(100.5));
    assertTrue(MotorFace.of(36).isEmpty());
    for (BallBearing one : BallBearing.usual()) {
      assertTrue(one.bore() < one.outside(), one.name());
      assertEquals(Optional.of(one), BallBearing.of(one.name()));
    }
  }
}
