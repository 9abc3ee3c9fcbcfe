package steadycog.cure;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.shape.BevelPair;
import steadycog.shape.CycloidGeometry;
import steadycog.shape.StrainGeometry;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Part;
import steadycog.train.Sizes;
import steadycog.train.StrainWave;
import steadycog.train.Train;

/** Changes of cycloidal drives, strain wave drives and differentials. */
final class DriveChanges {
  /** K that runs well; see the rule. */
  private static final double GOOD_K = 0.65;

  /** Pins stay this share below what would undercut, or touch. */
  private static final double SAFE = 0.9;

  private static final double LEAST_MM = 0.01;

  private DriveChanges() {}

  /** Other eccentricities, pins and output pins. */
  static List<Change> sizes(Train train, Cycloidal drive) {
    List<Change> all = new ArrayList<>();
    Cycloidal.Sizes sizes = drive.sizes();
    CycloidGeometry now = new CycloidGeometry(drive);
    for (double k = 0.5; k < 0.81; k += 0.05) {
      Quantity length = atMost(k * now.circleRadius() / drive.pins());
      String words = "eccentric " + mm(now.eccentricity()) + " -> " + length;
      all.add(
          sized(train, drive, words, sizes.withEccentricity(length))
              .worth(1 + Math.abs(k - GOOD_K)));
    }
    double touching = now.pinRadius() + now.pinClearance() / 2;
    double thickest = 2 * SAFE * Math.min(now.leastCurvature(), touching);
    for (double share = 1; share > 0.3; share -= 0.1) {
      if (share * thickest >= LEAST_MM) {
        Quantity pin = atMost(share * thickest);
        String words = "pin " + mm(2 * now.pinRadius()) + " -> " + pin;
        all.add(sized(train, drive, words, sizes.withPin(pin)).worth(2 - share));
      }
    }
    outputs(train, drive, now, all);
    return all;
  }

  /** Other numbers of discs. */
  static List<Change> discs(Train train, Cycloidal drive) {
    List<Change> all = new ArrayList<>();
    Cycloidal.Sizes sizes = drive.sizes();
    for (int discs = 1; discs <= Cycloidal.MOST_DISCS; discs++) {
      if (discs != sizes.discs()) {
        String words = "discs " + sizes.discs() + " -> " + discs;
        all.add(sized(train, drive, words, sizes.withDiscs(discs)).worth(discs));
      }
    }
    return all;
  }

  /** Thinner output pins, fewer of them, and both. */
  private static void outputs(Train train, Cycloidal drive, CycloidGeometry now, List<Change> all) {
    Quantity circle = atMost(2 * now.outputCircleRadius());
    double pin = 2 * now.outputPinRadius();
    for (int many = now.outputs(); many >= 3; many--) {
      for (double share = 1; share > 0.25; share -= 0.1) {
        boolean same = many == now.outputs() && share == 1;
        if (!same && share * pin >= LEAST_MM) {
          Quantity thinner = atMost(share * pin);
          String words =
              "outputs " + now.outputs() + " x " + mm(pin) + " -> " + many + " x " + thinner;
          all.add(
              sized(
                      train,
                      drive,
                      words,
                      drive.sizes().withOutputs(new Cycloidal.Outputs(many, thinner, circle)))
                  .worth(2 - share + now.outputs() - many));
        }
      }
    }
  }

  /** Discs with a lobe fewer than pins, near the counts there are. */
  static List<Change> counts(Train train, Cycloidal drive) {
    List<Change> all = new ArrayList<>();
    for (int lobes = drive.lobes() - 2; lobes <= drive.pins() + 1; lobes++) {
      Cycloidal other = drive.withLobes(lobes);
      int step = Math.abs(other.lobes() - drive.lobes());
      int more = Math.abs(other.pins() - drive.pins());
      List<String> words = new ArrayList<>();
      if (step > 0) {
        words.add(drive.discId() + " " + drive.lobes() + " -> " + other.lobes());
      }
      if (more > 0) {
        words.add(drive.ringId() + " " + drive.pins() + " -> " + other.pins());
      }
      if (!words.isEmpty()) {
        all.add(
            new Change(String.join(", ", words), train.withPart(other), words.size(), step + more));
      }
    }
    return all;
  }

  private static Change sized(Train train, Cycloidal drive, String words, Cycloidal.Sizes sizes) {
    String part = drive.name().isEmpty() ? "" : drive.name() + ": ";
    return Change.sized(part + words, train.withPart(drive.sized(sizes)));
  }

  /** Other circular splines and flexsplines. */
  static List<Change> counts(Train train, StrainWave drive) {
    List<Change> all = new ArrayList<>();
    for (int flex = -2; flex <= 2; flex++) {
      for (int circular = -4; circular <= 4; circular++) {
        counted(train, drive, drive.flex() + flex, drive.circular() + circular, all);
      }
    }
    for (int parts = 2; parts <= 8; parts++) {
      counted(train, drive, drive.flex() * parts / 2, drive.circular() * parts / 2, all);
      counted(train, drive, drive.flex() * 2 / parts, drive.circular() * 2 / parts, all);
    }
    return all;
  }

  /** Thinner walls of the flexspline. */
  static List<Change> walls(Train train, StrainWave drive) {
    List<Change> all = new ArrayList<>();
    if (train.pitch().isPresent()) {
      double module = train.pitch().get().moduleMm().doubleValue();
      double wall = new StrainGeometry(drive).wall(module) * module;
      for (double share = 0.95; share > 0.15; share -= 0.05) {
        Quantity thinner = atMost(share * wall);
        all.add(
            Change.sized(
                    "wall " + mm(wall) + " -> " + thinner,
                    train.withPart(drive.sized(drive.sizes().withWall(thinner))))
                .worth(2 - share));
      }
    }
    return all;
  }

  private static void counted(
      Train train, StrainWave drive, int flex, int circular, List<Change> all) {
    boolean can =
        flex >= StrainWave.FEWEST_TEETH && circular > flex && circular <= StrainWave.MOST_TEETH;
    List<String> words = new ArrayList<>();
    if (flex != drive.flex()) {
      words.add(drive.flexId() + " " + drive.flex() + " -> " + flex);
    }
    if (circular != drive.circular()) {
      words.add(drive.circularId() + " " + drive.circular() + " -> " + circular);
    }
    if (can && !words.isEmpty()) {
      // The rigid spline is the easier one to make anew.
      double teeth = 1.1 * Math.abs(flex - drive.flex()) + Math.abs(circular - drive.circular());
      all.add(
          new Change(
              String.join(", ", words),
              train.withPart(drive.counted(flex, circular)),
              words.size(),
              teeth));
    }
  }

  /** Shifts of a bevel gear against its mate, and a face that the cones bear. */
  static List<Change> bevels(Train train, Part part) {
    BevelPair pair = BevelPair.of(train, part).orElseThrow();
    MemberId wheel = pair.one().id();
    List<Change> all = new ArrayList<>();
    for (BigFraction x : Shifts.worthTrying(train, pair)) {
      Change change = Change.shifts(train, Map.of(wheel, x));
      if (!change.isEmpty()) {
        all.add(change);
      }
    }
    Sizes sizes = train.sizes();
    if (pair.isFaceStated(train)) {
      Quantity face = atMost(pair.usualFaceMm(train.moduleMm(wheel)));
      for (Member member : part.members()) {
        sizes = sizes.with(member.id(), sizes.own(member.id()).withWidth(Optional.of(face)));
      }
      all.add(Change.sized("face of " + wheel + " and its mate " + face, train.withSizes(sizes)));
    }
    return all;
  }

  /** Other numbers of spiders. */
  static List<Change> spiders(Train train, Differential sides) {
    List<Change> all = new ArrayList<>();
    String part = prefix(sides);
    for (int many = 1; many <= Differential.MOST_SPIDERS; many++) {
      if (many != sides.spiders()) {
        all.add(
            Change.sized(
                    part + "spiders x" + sides.spiders() + " -> x" + many,
                    train.withPart(sides.withSpiders(many)))
                .worth(Math.abs(many - sides.spiders())));
      }
    }
    return all;
  }

  private static String prefix(Differential sides) {
    return sides.name().isEmpty() ? "" : sides.name() + ": ";
  }

  /** Sides of a tooth or two more or fewer. */
  static List<Change> counts(Train train, Differential sides) {
    List<Change> all = new ArrayList<>();
    String part = prefix(sides);
    for (int step = -2; step <= 2; step++) {
      int side = sides.side() + step;
      if (step != 0 && side > 0) {
        all.add(
            new Change(
                part + "side " + sides.side() + " -> " + side,
                train.withPart(
                    new Differential(sides.name(), side, sides.spider(), sides.spiders())),
                1,
                Math.abs(step)));
      }
    }
    return all;
  }

  /** A length in mm, rounded down to hundredths so that what it bounds is kept. */
  static Quantity atMost(double millimetres) {
    BigDecimal down = BigDecimal.valueOf(millimetres).setScale(2, RoundingMode.DOWN);
    return new Quantity(
        Exact.parse(down.max(BigDecimal.valueOf(LEAST_MM)).toPlainString()), Unit.MM);
  }

  private static String mm(double length) {
    return String.format(Locale.ROOT, "%.2f mm", length);
  }
}
