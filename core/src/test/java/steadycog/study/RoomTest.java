package steadycog.study;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import steadycog.RandomTrains;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.study.Room.Kind;
import steadycog.train.Train;

class RoomTest {

  @Test
  void everyArrangementHasTheSameRatioAndDirection() {
    Random random = new Random(51);
    int others = 0;
    for (int k = 0; k < 60; k++) {
      Train train = RandomTrains.driven(random, 5);
      Study study = Study.of(train);
      for (Room room : study.rooms()) {
        assertEquals(study.ratio(), Study.of(room.train()).ratio(), room.train().toString());
        others += room.kind() == Kind.THIS ? 0 : 1;
      }
    }
    assertTrue(others > 20, "arrangements compared: " + others);
  }

  @Test
  void twelveToOneIsSmallerAsACompoundTrain() throws CardException {
    List<Room> rooms = Study.of(Card.read("parallel 18 ~ 216\ndrive A\ntake B").train()).rooms();
    Room pair = rooms.get(1);
    Room compound = rooms.get(2);
    assertEquals(Kind.FEWEST_WHEELS, pair.kind());
    assertEquals(2, pair.wheels());
    assertEquals(204 + 2, pair.height(), 1e-9, "as high as its larger wheel");
    assertTrue(compound.area() < pair.area() / 2, compound.area() + " against " + pair.area());
    assertTrue(Study.of(Card.read("parallel 20").train()).rooms().isEmpty());
  }
}
