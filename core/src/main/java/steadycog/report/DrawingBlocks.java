package steadycog.report;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import steadycog.number.Figures;
import steadycog.piece.Arrangement;
import steadycog.piece.Pieces;
import steadycog.piece.Region;
import steadycog.report.Block.Drawing;
import steadycog.report.Block.Remark;
import steadycog.study.NamedStudy;
import steadycog.train.MemberId;
import steadycog.train.Train;

/** The drawing of a train as it is put together. */
final class DrawingBlocks {
  private final NamedStudy named;

  DrawingBlocks(NamedStudy named) {
    this.named = named;
  }

  static final double CHORD = 0.02;

  /** Of the outer radius of a ring, where its name stands. */
  private static final double RIM = 0.95;

  List<Block> drawing() {
    Pieces pieces = named.study().pieces(CHORD);
    List<Block> blocks = new ArrayList<>();
    if (!pieces.all().isEmpty()) {
      Arrangement standing = Arrangement.together(pieces.all());
      List<Region> regions = new ArrayList<>();
      standing.laid().forEach(one -> regions.addAll(one.regions()));
      // Large ones first, so that none is hidden.
      regions.sort(Comparator.comparingDouble(DrawingBlocks::size).reversed());
      blocks.add(new Drawing(regions, names(standing), words(standing), standing.bounds()));
    }
    if (!pieces.left().isEmpty()) {
      blocks.add(new Remark("Not drawn for cutting: " + String.join("; ", pieces.left()) + "."));
    }
    return blocks;
  }

  /** One name an axis; what turns about the same one shares it, but for rings, named on the rim. */
  private List<Block.Name> names(Arrangement standing) {
    Map<String, Block.Name> names = new LinkedHashMap<>();
    double side = 1;
    for (Arrangement.Laid laid : standing.laid()) {
      boolean ring =
          named
              .study()
              .train()
              .member(laid.piece().member())
              .teeth()
              .filter(t -> t.internal())
              .isPresent();
      if (ring) {
        double out =
            RIM * laid.regions().stream().mapToDouble(DrawingBlocks::size).max().orElse(0) / 2;
        String rim = laid.piece().member().toString();
        names.put(rim, new Block.Name(rim, laid.x(), laid.y() + side * out));
        side = -side;
        continue;
      }
      String place = Math.round(laid.x() * 10) + " " + Math.round(laid.y() * 10);
      String name = laid.piece().member().toString();
      names.merge(
          place,
          new Block.Name(name, laid.x(), laid.y()),
          (old, one) ->
              List.of(old.text().split(", ")).contains(name)
                  ? old
                  : new Block.Name(old.text() + ", " + name, old.x(), old.y()));
    }
    return List.copyOf(names.values());
  }

  /** What a drawing shows: {@code sun with 24 teeth at 0, 0; …}. */
  private String words(Arrangement standing) {
    Train train = named.study().train();
    return standing.laid().stream()
        .map(
            laid -> {
              MemberId id = laid.piece().member();
              String teeth = train.member(id).teeth().map(t -> " with " + t + " teeth").orElse("");
              return id + teeth + " at " + at(laid.x()) + ", " + at(laid.y());
            })
        .collect(Collectors.joining("; ", "In mesh, seen from the drive end, axes in mm: ", "."));
  }

  private static String at(double mm) {
    return Figures.typeset(Figures.significant((double) Math.round(mm * 100) / 100, 5));
  }

  private static double size(Region region) {
    double[] box = region.bounds();
    return box[2] - box[0];
  }
}
