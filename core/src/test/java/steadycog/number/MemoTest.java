package steadycog.number;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertNotSame;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.shape.PlanetGeometry;
import steadycog.train.Planetary;
import steadycog.train.Train;

class MemoTest {
  @Test
  void worksOutWhatWasNotAskedForLately() {
    List<Integer> worked = new ArrayList<>();
    Memo<Integer, Integer> squares =
        Memo.of(
            2,
            n -> {
              worked.add(n);
              return n * n;
            });
    for (int n : new int[] {3, 4, 3, 5, 3, 4}) {
      assertEquals(n * n, squares.get(n));
    }
    assertEquals(List.of(3, 4, 5, 4), worked, "4 was asked for least lately when 5 came");
  }

  /** Whatever threads ask, and however little is kept, the answers are those of the function. */
  @Test
  void answersAreThoseOfTheFunctionUnderAnyThreads() {
    Memo<Integer, String> words = Memo.of(3, n -> "n" + n);
    IntStream.range(0, 20_000).parallel().forEach(n -> assertEquals("n" + n % 7, words.get(n % 7)));
  }

  @Test
  void theGeometryOfASetIsWorkedOutOnceATrain() throws CardException {
    String card = "planetary sun 20/- planet 25=23 x3 ring 70/68; shift planet 0.1";
    Train train = Card.read(card).train();
    Train alike = Card.read(card).train();
    Planetary set = (Planetary) train.parts().getFirst();
    PlanetGeometry once = PlanetGeometry.of(train, set);
    assertSame(once, PlanetGeometry.of(train, set));
    PlanetGeometry other = PlanetGeometry.of(alike, (Planetary) alike.parts().getFirst());
    assertNotSame(once, other);
    set.wheels().forEach(wheel -> assertEquals(once.cut(wheel.id()), other.cut(wheel.id())));
    Train moved = Card.read(card.replace("0.1", "0.3")).train();
    PlanetGeometry next = PlanetGeometry.of(moved, (Planetary) moved.parts().getFirst());
    assertNotEquals(once.cut(set.planetIds().getFirst()), next.cut(set.planetIds().getFirst()));
  }

  @Test
  void whatIsNotKnownIsNamed() {
    assertEquals(1, Known.in(Map.of("a", 1), "a"));
    Exception missing =
        assertThrows(IllegalArgumentException.class, () -> Known.in(Map.of("a", 1), "b"));
    assertEquals("nothing is known of b", missing.getMessage());
  }
}
