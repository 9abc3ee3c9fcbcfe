package steadycog.piece;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.piece.Piece.Stand;
import steadycog.piece.Region.Round;
import steadycog.shape.FaceLayout;
import steadycog.shape.PlacedCarrier;
import steadycog.shape.PlacedWheel;
import steadycog.shape.PlanetPlaces;
import steadycog.shape.Rims;
import steadycog.train.Built;
import steadycog.train.Helices;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Parallel;
import steadycog.train.Planetary;
import steadycog.train.Train;

/** Involute wheels, rows of them on one body, and carriers. */
final class WheelMaker extends Maker {
  private static final double SAME = 1e-6;

  WheelMaker(Train train, FaceLayout layout, Levels levels, double chord) {
    super(train, layout, levels, chord);
  }

  /** A wheel that is cut round a ring is made in one piece with it. */
  List<Piece> of(Parallel chain) {
    chain.members().stream()
        .map(Member::id)
        .filter(wheel -> !Rims.of(train).containsKey(wheel))
        .forEach(wheel -> central(List.of(wheel)));
    return all;
  }

  List<Piece> of(Planetary set) {
    for (MemberId body : bodies(set)) {
      List<MemberId> rows =
          set.wheels().stream()
              .map(Member::id)
              .filter(wheel -> set.body(wheel).equals(body))
              .toList();
      if (set.isPlanet(body)) {
        planets(set, rows);
      } else {
        central(rows);
      }
    }
    carrier(set);
    return all;
  }

  private PlacedWheel wheel(MemberId id, int copy) {
    return layout.wheels().stream()
        .filter(wheel -> wheel.id().equals(id) && wheel.copy() == copy)
        .findFirst()
        .orElseThrow();
  }

  private static List<MemberId> bodies(Planetary set) {
    return set.wheels().stream().map(wheel -> set.body(wheel.id())).distinct().toList();
  }

  private void central(List<MemberId> rows) {
    List<PlacedWheel> wheels = rows.stream().map(row -> wheel(row, 0)).toList();
    MemberId body = rows.getFirst();
    String rims =
        rows.stream()
            .flatMap(row -> rimOf(row).stream())
            .map(rim -> " with " + name(rim.id()))
            .collect(Collectors.joining());
    addWhole(
        new Piece(
            body,
            name(body) + rims,
            helix(rows),
            stack(wheels),
            List.of(stand(wheels.getFirst())),
            Optional.empty(),
            List.of(),
            Optional.empty()),
        wheels);
  }

  /** {@code helix 20 deg right}; empty for straight teeth. */
  private String helix(List<MemberId> rows) {
    return rows.stream()
        .map(row -> Helices.of(train, row))
        .filter(helix -> !helix.isStraight())
        .map(helix -> "helix " + helix)
        .distinct()
        .collect(Collectors.joining(" and "));
  }

  private Stand stand(PlacedWheel wheel) {
    return stand(wheel, wheel.phase());
  }

  private Stand stand(PlacedWheel wheel, double angle) {
    return new Stand(
        wheel.x() * moduleMm,
        wheel.y() * moduleMm,
        levels.from(wheel.plane()),
        angle,
        wheel.orbit().map(o -> new Piece.Orbit(o.carrier(), o.x() * moduleMm, o.y() * moduleMm)));
  }

  /** Planets that are cut alike become one piece; of others each its own. */
  private void planets(Planetary set, List<MemberId> rows) {
    List<List<PlacedWheel>> firsts = new ArrayList<>();
    List<List<Stand>> stands = new ArrayList<>();
    List<List<Integer>> copies = new ArrayList<>();
    for (int k = 0; k < set.count(); k++) {
      int copy = k;
      List<PlacedWheel> here = rows.stream().map(row -> wheel(row, copy)).toList();
      int group = 0;
      Optional<Stand> stand = Optional.empty();
      while (group < firsts.size() && stand.isEmpty()) {
        stand = alike(firsts.get(group), here);
        group += stand.isEmpty() ? 1 : 0;
      }
      if (stand.isEmpty()) {
        firsts.add(here);
        stands.add(new ArrayList<>());
        copies.add(new ArrayList<>());
      }
      stands.get(group).add(stand.orElseGet(() -> stand(here.getFirst())));
      copies.get(group).add(k);
    }
    for (int group = 0; group < firsts.size(); group++) {
      boolean one = firsts.size() == 1;
      MemberId id = rows.getFirst();
      addWhole(
          new Piece(
              id,
              one ? name(id) : name(id) + " " + (copies.get(group).getFirst() + 1),
              Stream.of(one ? allAlike(set) : clocked(set, copies.get(group)), helix(rows))
                  .filter(words -> !words.isEmpty())
                  .collect(Collectors.joining(", ")),
              stack(firsts.get(group)),
              stands.get(group),
              Optional.empty(),
              List.of(),
              Optional.empty()),
          firsts.get(group));
    }
  }

  /** The piece, or its halves where it is built in two: parted where its teeth turn back. */
  private void addWhole(Piece piece, List<PlacedWheel> rows) {
    Optional<PlacedWheel> parted =
        rows.stream()
            .filter(row -> train.size(row.id()).built().filter(Built.HALVES::equals).isPresent())
            .max(Comparator.comparing(row -> Helices.of(train, row.id()).isDouble()));
    if (parted.isEmpty()) {
      add(piece);
      return;
    }
    PlacedWheel row = parted.get();
    double foot = levels.from(row.plane()) - levels.from(rows.getFirst().plane());
    piece.halves(foot + middle(row.id())).forEach(this::add);
  }

  private static String allAlike(Planetary set) {
    return set.count() == 1 ? "" : set.count() + " alike";
  }

  private static String clocked(Planetary set, List<Integer> copies) {
    String which = String.join(" and ", copies.stream().map(k -> String.valueOf(k + 1)).toList());
    BigFraction teeth = new PlanetPlaces(set).clocking(copies.getFirst());
    return which
        + " of "
        + set.count()
        + (Exact.isZero(teeth) ? ", not clocked" : ", clocked by " + Exact.text(teeth) + " tooth");
  }

  /** Where {@code here} stands as a copy of {@code first}; empty if its rows are clocked else. */
  private Optional<Stand> alike(List<PlacedWheel> first, List<PlacedWheel> here) {
    PlacedWheel row1 = here.getFirst();
    double tooth = 2 * Math.PI / row1.teeth().count();
    if (here.size() == 1) {
      return Optional.of(stand(row1));
    }
    double clocking = first.getLast().phase() - first.getFirst().phase();
    double tooth2 = 2 * Math.PI / here.getLast().teeth().count();
    for (int j = 0; j < row1.teeth().count(); j++) {
      double angle = row1.phase() + j * tooth;
      double off = Math.IEEEremainder(angle + clocking - here.getLast().phase(), tooth2);
      if (Math.abs(off) < SAME) {
        return Optional.of(stand(row1, angle));
      }
    }
    return Optional.empty();
  }

  /** Rows of one body above each other, the first with a tooth (of a ring a space) to the right. */
  private List<Slab> stack(List<PlacedWheel> rows) {
    List<Slab> slabs = new ArrayList<>();
    PlacedWheel first = rows.getFirst();
    double outside = rows.stream().mapToDouble(PlacedWheel::bodyRadius).max().orElseThrow();
    boolean several = rows.size() > 1;
    for (PlacedWheel row : rows) {
      double from = levels.from(row.plane()) - levels.from(first.plane());
      if (!slabs.isEmpty()) {
        slabs.add(new Slab("neck", slabs.getLast().to(), from, neck(rows, outside)));
      }
      String name = several ? "row " + (rows.indexOf(row) + 1) : "";
      slabs.addAll(row(row, name, from, first.phase(), outside));
    }
    return slabs;
  }

  private Region neck(List<PlacedWheel> rows, double outside) {
    boolean internal = rows.getFirst().teeth().internal();
    double[] roots = rows.stream().mapToDouble(PlacedWheel::rootRadius).sorted().toArray();
    return internal
        ? Region.disc(roots[roots.length - 1] * moduleMm).within(Region.disc(outside * moduleMm))
        : bored(Region.disc(roots[0] * moduleMm), hole(rows.getFirst()));
  }

  private List<Slab> row(
      PlacedWheel wheel, String name, double from, double stand, double outside) {
    Region teeth =
        new Region(List.of(Pieces.teeth(train, wheel, chord)), List.of())
            .placed(wheel.phase() - stand, 0, 0);
    double width = width(wheel.id());
    double root = wheel.rootRadius() * moduleMm;
    return wheel.teeth().internal()
        ? ring(wheel.id(), name, teeth, root, outside * moduleMm, stand, from, width)
        : grooved(
            wheel.id(),
            new Slab(
                name,
                from,
                from + width,
                bored(teeth, hole(wheel)),
                winding(wheel.id(), teeth, from)),
            Region.disc(root - GROOVE * moduleMm).minus(hole(wheel), chord));
  }

  private Region hole(PlacedWheel wheel) {
    return blank(wheel.id())
        .bore()
        .map(bore -> Bores.hole(bore, room, chord))
        .orElse(Region.none());
  }

  /** A plate with a pin for each planet, at the bottom. */
  private void carrier(Planetary set) {
    PlacedCarrier placed =
        layout.carriers().stream()
            .filter(carrier -> carrier.id().equals(set.carrierId()))
            .findFirst()
            .orElseThrow();
    double height = levels.span(set, train, layout);
    Region plate = bored(Region.disc(placed.bodyRadius() * moduleMm), stated(set.carrierId()));
    List<Round> pins = new ArrayList<>();
    List<MemberId> planets = set.planetIds();
    for (int k = 0; k < placed.pins().size(); k++) {
      // Of paired planets the inner and the outer one follow each other, each on its own pin.
      MemberId planet = planets.get(set.paired() ? k % 2 : 0);
      double pin = blank(planet).bore().map(bore -> bore.size().inBase() / 2).orElse(0.0);
      if (pin > 0) {
        pins.add(round(placed.pins().get(k), moduleMm, pin));
      }
    }
    double thick = plate(set.carrierId());
    List<Slab> slabs = new ArrayList<>();
    slabs.add(new Slab("plate", 0, thick, plate));
    if (!pins.isEmpty()) {
      slabs.add(new Slab("pins", thick, thick + height, new Region(List.of(), pins)));
    }
    add(
        set.carrierId(),
        name(set.carrierId()),
        "",
        slabs,
        Stand.at(
            placed.x() * moduleMm, placed.y() * moduleMm, levels.from(placed.plane()) - thick, 0));
  }
}
