package steadycog.gearbox;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import steadycog.gearbox.Component.Fastening;
import steadycog.gearbox.Move.Way;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Pace;
import steadycog.piece.Piece;
import steadycog.piece.Piece.Stand;
import steadycog.piece.Region;
import steadycog.piece.Region.Round;
import steadycog.piece.Slab;
import steadycog.shape.Outline;
import steadycog.train.Housing;

/** The order of moves and what holds, on small boxes whose answers are plain. */
class PuzzleTest {
  private final List<Component> all = new ArrayList<>();

  private static Region ring(double inner, double outer) {
    List<Round> circles = new ArrayList<>(List.of(new Round(0, 0, outer)));
    if (inner > 0) {
      circles.add(new Round(0, 0, inner));
    }
    return new Region(List.of(), circles);
  }

  private static Region box(double x1, double y1, double x2, double y2) {
    return new Region(
        List.of(new Outline(new double[] {x1, x2, x2, x1}, new double[] {y1, y1, y2, y2})),
        List.of());
  }

  private PuzzleTest put(String name, Optional<Fastening> tie, double x, Slab... slabs) {
    all.add(
        new Component(
            Box.piece(Piece.FRAME, name, "", List.of(slabs), List.of(Stand.at(x, 0, 0, 0))),
            tie.map(any -> "M3 x 10"),
            tie));
    return this;
  }

  private PuzzleTest put(String name, Slab... slabs) {
    return put(name, Optional.empty(), 0, slabs);
  }

  private static Slab slab(double from, double to, Region region) {
    return new Slab("", from, to, region);
  }

  private List<Item> items() throws CardException {
    Gearbox box =
        new Gearbox(
            Card.read("parallel 20 ~ 30").train(),
            all,
            List.of(),
            Housing.NONE,
            List.of(),
            List.of());
    return Item.all(box, 0.01);
  }

  private Moves moves() throws CardException {
    return Moves.of(items(), new Meeting(), Pace.FREE);
  }

  private List<String> order() throws CardException {
    return moves().moves().stream().map(move -> move.component().name()).toList();
  }

  private List<String> loose() throws CardException {
    return new Holding(items(), new Meeting(), Set.of()).loose();
  }

  /** A cup, a ball ring in it, a lid on it. */
  private void cup(double lid) {
    put("cup", slab(0, 2, ring(0, 20)), slab(2, 12, ring(10, 20)));
    all.add(bought("ring", slab(2, 12 - lid, ring(4, 9.9))));
    put("lid", slab(12, 14, ring(0, 20)));
  }

  private static Component bought(String name, Slab... slabs) {
    return new Component(
        Box.piece(Piece.FRAME, name, "", List.of(slabs), List.of(Stand.at(0, 0, 0, 0))),
        Optional.of("608"),
        Optional.empty());
  }

  @Test
  void whatIsInsideGoesInBeforeTheLid() throws CardException {
    cup(0.2);
    assertEquals(List.of("cup", "ring", "lid"), order());
    assertTrue(moves().moves().stream().allMatch(move -> move.way() == Way.FROM_THE_FAR_END));
    assertEquals(List.of(), loose());
  }

  @Test
  void whatHasRoomToSlideIsLooseOneWayOnly() throws CardException {
    cup(5);
    assertEquals(List.of("ring is loose: nothing stops it away from the drive end"), loose());
  }

  @Test
  void whatIsLargerThanItsOpeningIsStuck() throws CardException {
    put("shell", slab(0, 2, ring(0, 20)), slab(2, 12, ring(10, 20)), slab(12, 14, ring(5, 20)));
    all.add(bought("ring", slab(3, 11, ring(2, 9.9))));
    assertEquals(List.of(), order());
    assertEquals(List.of("shell cannot be put in: ring is in the way"), moves().stuck());
  }

  @Test
  void aScrewKeepsWhatItSitsInUntilItIsOut() throws CardException {
    Optional<Fastening> tie = Optional.of(new Fastening(List.of("plate"), true));
    put("base", slab(0, 5, ring(1.7, 20)));
    put("plate", slab(5, 10, ring(1.2, 20)));
    put(
        "screw",
        tie,
        0,
        slab(-3, 0, ring(0, 2.75)),
        slab(0, 5, ring(0, 1.5)),
        slab(5, 9, ring(0, 1.2)));
    List<Move> moves = moves().moves();
    assertEquals("screw", moves.getLast().component().name());
    assertEquals(Way.FROM_THE_DRIVE_END, moves.getLast().way());
    all.removeLast();
    Optional<Fastening> stop = Optional.of(new Fastening(List.of("plate"), false));
    put(
        "screw",
        stop,
        0,
        slab(-3, 0, ring(0, 2.75)),
        slab(0, 5, ring(0, 1.5)),
        slab(5, 9, ring(0, 1.2)));
    assertEquals(3, moves().moves().size());
    assertEquals("plate", moves().moves().getLast().component().name());
  }

  /** A key in a groove that is closed at both ends comes out sideways, under a hub never. */
  @Test
  void aKeyGoesIntoItsGrooveFromTheSide() throws CardException {
    Region grooved = ring(0, 5).minus(box(-1, 3, 1, 9), 0.01);
    put("shaft", slab(0, 4, ring(0, 5)), slab(4, 10, grooved), slab(10, 30, ring(0, 5)));
    put("key", slab(4, 10, box(-1, 3, 1, 6)));
    assertEquals(List.of("shaft", "key"), order());
    assertEquals(Way.FROM_THE_SIDE, moves().moves().getLast().way());
    Region hub = ring(5, 12).minus(box(-1, 3, 1, 6.2), 0.01);
    put("hub", slab(4, 10, hub));
    assertEquals(List.of("shaft", "key", "hub"), order());
    // A wall beside it leaves no room to take it out.
    put("wall", slab(0, 30, box(-20, 6.1, 20, 30)));
    assertEquals("hub", all.get(2).name());
    all.remove(2);
    assertEquals(List.of("shaft", "key", "wall"), order());
  }

  @Test
  void copiesGoInTogether() throws CardException {
    put("plate", slab(0, 5, ring(0, 40)));
    List<Stand> places = List.of(Stand.at(20, 0, 0, 0), Stand.at(-20, 0, 0, 0));
    all.add(
        Component.made(
            Box.piece(Piece.FRAME, "post", "", List.of(slab(5, 9, ring(0, 3))), places)));
    List<Move> moves = moves().moves();
    assertEquals(2, moves.size());
    assertEquals(List.of(0, 1), moves.getLast().copies());
    assertEquals("post 2", items().getLast().says());
  }

  @Test
  void distancesToTheNextAreThoseAlongTheAxis() throws CardException {
    put("low", slab(0, 2, ring(0, 10)));
    put("high", slab(7.5, 9, ring(0, 10)));
    put("beside", Optional.empty(), 50, slab(3, 4, ring(0, 10)));
    List<Item> items = items();
    Meeting meeting = new Meeting();
    assertEquals(5.5, meeting.travel(items.get(0), items.get(1), true).orElseThrow(), 1e-9);
    assertEquals(5.5, meeting.travel(items.get(1), items.get(0), false).orElseThrow(), 1e-9);
    assertTrue(meeting.travel(items.get(0), items.get(1), false).isEmpty());
    assertTrue(meeting.travel(items.get(0), items.get(2), true).isEmpty());
  }

  @Test
  void holesOfABlockAreOpenWhereTheyAre() {
    Block block =
        new Block(0, 10, ring(0, 30))
            .through(List.of(new double[] {20, 0}), 2)
            .hole(0, 0, 5, 0, 10)
            .hole(0, 0, 9, 6, 10);
    List<Slab> slabs = block.slabs();
    assertEquals(2, slabs.size());
    assertEquals(6, slabs.getFirst().to());
    double[] areas =
        slabs.stream().mapToDouble(slab -> slab.region().area(0.001).getArea()).toArray();
    assertEquals(Math.PI * (900 - 4 - 25), areas[0], 0.5);
    assertEquals(Math.PI * (900 - 4 - 81), areas[1], 0.5);
  }

  @Test
  void storeysMakeRoomForPlatesWhereShaftsEnd() {
    Storeys storeys = new Storeys(List.of(10.0, 20.0, 5.0), 3);
    storeys.plate(0, 6);
    storeys.plate(3, 8);
    assertEquals(List.of(0, 3), storeys.plates());
    assertEquals(
        List.of(0.0, 13.0, 36.0), List.of(storeys.from(0), storeys.from(1), storeys.from(2)));
    storeys.plate(1, 7);
    storeys.plate(1, 4);
    assertEquals(List.of(0, 1, 3), storeys.plates());
    assertEquals(10 + 2 * Storeys.AIR + 7, storeys.from(1));
    assertEquals(10 + Storeys.AIR, storeys.low(1));
    assertEquals(7, storeys.high(1) - storeys.low(1));
    assertEquals(-Storeys.AIR, storeys.high(0));
    assertEquals(storeys.from(2) + 5 + Storeys.AIR, storeys.low(3));
  }
}
