package steadycog.app.geartable;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.ToDoubleFunction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import steadycog.app.geartable.TagPlaces.Box;
import steadycog.app.geartable.TagPlaces.Disc;
import steadycog.app.geartable.TagPlaces.Point;

/** Places for names, in pixels, against what a sample of points says. */
class TagPlacesTest {
  private static final Box ROOM = new Box(300, 300, 600, 600);
  private static final Box NAME = new Box(0, 0, 60, 18);

  /** Whatever is drawn: a place is in the room, on nothing drawn, and apart from every other. */
  @Test
  void aPlaceOutsideCoversNothing() {
    Random random = new Random(3);
    for (int round = 0; round < 200; round++) {
      List<Disc> drawn = new ArrayList<>();
      for (int k = 0; k < 6; k++) {
        drawn.add(new Disc(random.nextInt(600), random.nextInt(600), 20 + random.nextInt(90)));
      }
      List<Box> found = outside(drawn, box -> box.into(drawn, Box::into));
      assertEquals(
          outside(drawn, box -> drawn.stream().anyMatch(box::meets) ? 1e-3 : 0),
          found,
          "one that takes every step finds the same");
      for (Box box : found) {
        for (double[] at : points(box)) {
          assertTrue(at[0] >= 0 && at[0] <= 600 && at[1] >= 0 && at[1] <= 600);
          for (Disc disc : drawn) {
            assertTrue(Math.hypot(at[0] - disc.x(), at[1] - disc.y()) > disc.radius());
          }
          assertEquals(1, found.stream().filter(one -> holds(one, at)).count(), "one name each");
        }
      }
    }
  }

  private static List<Box> outside(List<Disc> drawn, ToDoubleFunction<Box> intoDrawn) {
    TagPlaces places = new TagPlaces(ROOM, intoDrawn);
    List<Box> found = new ArrayList<>();
    for (Disc disc : drawn) {
      places.outside(List.of(new Point(disc.x(), disc.y())), NAME).ifPresent(found::add);
    }
    return found;
  }

  /** On a web it keeps clear of the teeth outside, the shaft inside, and of what lies over it. */
  @Test
  void aPlaceOnAWebIsWholeOnIt() {
    Disc web = new Disc(300, 300, 120);
    Disc over = new Disc(300, 380, 40);
    TagPlaces places = new TagPlaces(ROOM, box -> 1);
    Optional<Box> place = places.onWeb(web, 25, List.of(over), NAME);
    for (double[] at : points(place.orElseThrow())) {
      double away = Math.hypot(at[0] - 300, at[1] - 300);
      assertTrue(away > 25 && away < 120);
      assertTrue(Math.hypot(at[0] - over.x(), at[1] - over.y()) > over.radius());
    }
    assertEquals(
        Optional.empty(), places.onWeb(new Disc(300, 300, 34), 10, List.of(), NAME), "too small");
    assertEquals(Optional.empty(), places.onWeb(web, 110, List.of(), NAME), "nothing left of it");
  }

  /** Where all is drawn on, or the room is smaller than a name, there is no place. */
  @Test
  void noPlaceIsNoPlace() {
    List<Point> ends = List.of(new Point(300, 300));
    assertEquals(Optional.empty(), new TagPlaces(ROOM, box -> 1).outside(ends, NAME));
    assertEquals(
        Optional.empty(), new TagPlaces(new Box(300, 300, 50, 10), box -> 0).outside(ends, NAME));
  }

  /** Bounds of what is empty are no numbers: it covers nothing, and uncovers nothing either. */
  @Test
  void whatIsNowhereCoversNothing() {
    Box nowhere = new Box(Double.NaN, Double.NaN, Double.NaN, Double.NaN);
    Box here = new Box(300, 300, 20, 20);
    for (List<Box> drawn : List.of(List.of(here, nowhere), List.of(nowhere, here))) {
      assertTrue(new Box(305, 300, 60, 18).into(drawn, Box::into) > 0);
    }
    assertEquals(0, NAME.into(List.of(nowhere), Box::into));
  }

  @ParameterizedTest
  @CsvSource({
    "0, 0, 10, 10, true",
    "-50, 0, 50, 0, true",
    "0, -50, 0, 50, true",
    "-50, 20, 50, 20, false",
    "40, -50, 40, 50, false",
    "-50, -50, 50, 50, true",
    "20, 20, 40, 21, false"
  })
  void aLeaderCrossesABoxOrPassesIt(double ax, double ay, double bx, double by, boolean crosses) {
    assertEquals(crosses, new Box(0, 0, 30, 14).isCrossedBy(ax, ay, bx, by));
  }

  @Test
  void aLeaderLeavesABoxAtItsRim() {
    Box box = new Box(100, 100, 60, 20);
    assertEquals(new Point(130, 100), box.rimTowards(new Point(400, 100)));
    assertEquals(new Point(100, 90), box.rimTowards(new Point(100, -50)));
    assertEquals(new Point(105, 102), box.rimTowards(new Point(105, 102)), "an end within it");
    assertFalse(box.meets(new Box(200, 100, 60, 20)));
    assertTrue(box.meets(new Box(155, 115, 60, 20)));
  }

  private static List<double[]> points(Box box) {
    List<double[]> points = new ArrayList<>();
    for (int i = -4; i <= 4; i++) {
      for (int j = -4; j <= 4; j++) {
        points.add(new double[] {box.x() + i * box.width() / 8, box.y() + j * box.height() / 8});
      }
    }
    return points;
  }

  private static boolean holds(Box box, double[] at) {
    return Math.abs(at[0] - box.x()) <= box.width() / 2 + 1e-6
        && Math.abs(at[1] - box.y()) <= box.height() / 2 + 1e-6;
  }
}
