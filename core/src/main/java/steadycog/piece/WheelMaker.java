package steadycog.piece;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.piece.Piece.Stand;
import steadycog.piece.Region.Round;
import steadycog.shape.FaceLayout;
import steadycog.shape.PlacedCarrier;
import steadycog.shape.PlacedWheel;
import steadycog.shape.PlanetGeometry.Polar;
import steadycog.shape.PlanetPlaces;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Parallel;
import steadycog.train.Planetary;
import steadycog.train.Train;

/** Involute wheels, rows of them on one body, and carriers. */
final class WheelMaker extends Maker {
  private static final double SAME = 1e-6;

  WheelMaker(Train train, FaceLayout layout, double chord) {
    super(train, layout, chord);
  }

  List<Piece> of(Parallel chain) {
    chain.members().forEach(wheel -> central(List.of(wheel.id())));
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
    add(body, name(body), "", stack(wheels), stand(wheels.getFirst()));
  }

  private Stand stand(PlacedWheel wheel) {
    return new Stand(wheel.x() * moduleMm, wheel.y() * moduleMm, wheel.phase());
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
      all.add(
          new Piece(
              id,
              one ? name(id) : name(id) + " " + (copies.get(group).getFirst() + 1),
              one ? allAlike(set) : clocked(set, copies.get(group)),
              stack(firsts.get(group)),
              stands.get(group),
              Optional.empty(),
              List.of()));
    }
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
        return Optional.of(new Stand(row1.x() * moduleMm, row1.y() * moduleMm, angle));
      }
    }
    return Optional.empty();
  }

  /** Rows of one body above each other, the first with a tooth (of a ring a space) to the right. */
  private List<Slab> stack(List<PlacedWheel> rows) {
    List<Slab> slabs = new ArrayList<>();
    double height = 0;
    double outside = rows.stream().mapToDouble(PlacedWheel::bodyRadius).max().orElseThrow();
    boolean several = rows.size() > 1;
    for (PlacedWheel row : rows) {
      if (height > 0) {
        double top = height + Blank.ROW_GAP * moduleMm;
        slabs.add(new Slab("neck", height, top, neck(rows, outside)));
        height = top;
      }
      double top = height + blank(row.id()).widthMm();
      double turned = row.phase() - rows.getFirst().phase();
      String name = several ? "row " + (rows.indexOf(row) + 1) : "";
      slabs.add(new Slab(name, height, top, body(row, turned, outside)));
      height = top;
    }
    return slabs;
  }

  private Region neck(List<PlacedWheel> rows, double outside) {
    boolean internal = rows.getFirst().teeth().internal();
    double[] roots = rows.stream().mapToDouble(PlacedWheel::rootRadius).sorted().toArray();
    return internal
        ? Region.disc(outside * moduleMm).with(Region.disc(roots[roots.length - 1] * moduleMm))
        : Region.disc(roots[0] * moduleMm).with(hole(rows.getFirst()));
  }

  private Region body(PlacedWheel wheel, double turned, double outside) {
    Region teeth =
        new Region(List.of(Pieces.teeth(train, wheel, chord)), List.of()).placed(turned, 0, 0);
    return teeth.with(wheel.teeth().internal() ? Region.disc(outside * moduleMm) : hole(wheel));
  }

  private Region hole(PlacedWheel wheel) {
    if (wheel.hollow() > 0) {
      return Region.disc(wheel.hollow() * moduleMm);
    }
    return hole(wheel.id());
  }

  private Region hole(MemberId member) {
    return blank(member)
        .bore()
        .map(bore -> Bores.hole(bore, room, chord))
        .orElse(new Region(List.of(), List.of()));
  }

  /** A plate with a pin for each planet, at the bottom. */
  private void carrier(Planetary set) {
    PlacedCarrier placed =
        layout.carriers().stream()
            .filter(carrier -> carrier.id().equals(set.carrierId()))
            .findFirst()
            .orElseThrow();
    MemberId planet = set.planetIds().getFirst();
    double pin = blank(planet).bore().map(bore -> bore.size().inBase() / 2).orElse(moduleMm);
    double height = 0;
    for (int row = 0; row < set.rows().size(); row++) {
      height += blank(set.planetIds(row).getFirst()).widthMm();
      height += row > 0 ? Blank.ROW_GAP * moduleMm : 0;
    }
    Region plate = Region.disc(placed.bodyRadius() * moduleMm).with(stated(set.carrierId()));
    List<Round> pins = new ArrayList<>();
    for (Polar at : placed.pins()) {
      pins.add(round(at, moduleMm, pin));
    }
    add(
        set.carrierId(),
        name(set.carrierId()),
        "",
        List.of(
            new Slab("plate", 0, plate(set.carrierId()), plate),
            new Slab(
                "pins",
                plate(set.carrierId()),
                plate(set.carrierId()) + height,
                new Region(List.of(), pins))),
        new Stand(placed.x() * moduleMm, placed.y() * moduleMm, 0));
  }
}
