package steadycog.piece;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;
import steadycog.number.Figures;
import steadycog.piece.Piece.Stand;
import steadycog.shape.BevelPair;
import steadycog.shape.FaceLayout;
import steadycog.train.Bevel;
import steadycog.train.Bore;
import steadycog.train.Differential;
import steadycog.train.MemberId;
import steadycog.train.Train;

/** Straight bevel gears: pinion and crown, sides and spiders. */
final class BevelMaker extends Maker {

  BevelMaker(Train train, FaceLayout layout, Levels levels, double chord) {
    super(train, layout, levels, chord);
  }

  List<Piece> of(Bevel pair) {
    BevelPair gears = BevelPair.of(train, pair).orElseThrow();
    gear(gears, gears.one(), pair.pinionId(), name(pair.pinionId()), "", 1);
    gear(gears, gears.other(), pair.crownId(), name(pair.crownId()), "", 1);
    return all;
  }

  List<Piece> of(Differential sides) {
    BevelPair gears = BevelPair.of(train, sides).orElseThrow();
    gear(gears, gears.one(), sides.leftId(), name(sides.leftId()), "", 1);
    gear(gears, gears.one(), sides.rightId(), name(sides.rightId()), "", 1);
    int spiders = sides.spiders();
    String alike = spiders > 1 ? spiders + " alike, " : "";
    gear(gears, gears.other(), sides.caseId(), name(sides.spiderId()), alike, spiders);
    return all;
  }

  private void gear(
      BevelPair pair, BevelPair.Gear gear, MemberId member, String name, String alike, int count) {
    BevelBody body = BevelBody.of(train, pair, gear, hole(pair, gear, member), chord);
    Piece piece =
        new Piece(
            member,
            name,
            alike + words(gear),
            body.templates(chord),
            IntStream.range(0, count).mapToObj(k -> Stand.at(0, 0, 0, 0)).toList(),
            body.flaw(),
            List.of(),
            Optional.of(body));
    add(piece);
  }

  /** A spider turns on a pin of its own, not on the shaft of its case. */
  private Optional<Bore> hole(BevelPair pair, BevelPair.Gear gear, MemberId member) {
    return train.member(member).teeth().isPresent()
        ? blank(member).bore()
        : Shafts.usual(pair.rootAtToeMm(train, gear));
  }

  /** That its teeth are not the exact ones, for files and sheets. */
  private static String words(BevelPair.Gear gear) {
    return String.format(
        Locale.ROOT,
        "straight bevel of %s\u00b0, spur teeth of %s on its back cone (Tredgold), within %s"
            + " modules of exact ones",
        Figures.significant(Math.toDegrees(gear.angle()), 4),
        Figures.significant(gear.virtualTeeth(), 4),
        Figures.significant(BevelBody.INEXACT, 1));
  }
}
