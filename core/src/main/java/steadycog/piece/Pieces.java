package steadycog.piece;

import java.util.ArrayList;
import java.util.List;
import steadycog.shape.Detail;
import steadycog.shape.Drives;
import steadycog.shape.FaceLayout;
import steadycog.shape.Outline;
import steadycog.shape.PlacedWheel;
import steadycog.train.Bevel;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.MemberId;
import steadycog.train.Parallel;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Shaft;
import steadycog.train.StrainWave;
import steadycog.train.Train;

/**
 * The pieces of a train.
 *
 * @param all in the order of the card
 * @param left what is not made here, with the reason
 */
public record Pieces(List<Piece> all, List<String> left) {
  /** How far a straight piece of an outline may leave the true line where nothing is said, mm. */
  public static final double USUAL_CHORD = 0.005;

  public static final double FINEST_CHORD = 0.0002;
  public static final double COARSEST_CHORD = 0.5;

  public Pieces {
    all = List.copyOf(all);
    left = List.copyOf(left);
  }

  /**
   * Makes every piece. Cost: points of all outlines.
   *
   * @param layout of {@code train}
   * @param chord how far a straight piece of an outline may leave the true line, mm
   */
  public static Pieces of(Train train, FaceLayout layout, double chord) {
    double kept = Math.clamp(chord, FINEST_CHORD, COARSEST_CHORD);
    List<Piece> all = new ArrayList<>();
    List<String> left = new ArrayList<>();
    Levels levels = Levels.of(train, layout);
    for (Part part : train.parts()) {
      switch (part) {
        case Parallel chain -> all.addAll(new WheelMaker(train, layout, levels, kept).of(chain));
        case Planetary set -> all.addAll(new WheelMaker(train, layout, levels, kept).of(set));
        case Cycloidal drive -> all.addAll(new CycloidMaker(train, layout, levels, kept).of(drive));
        case StrainWave drive -> all.addAll(new StrainMaker(train, layout, levels, kept).of(drive));
        case Bevel pair -> all.addAll(new BevelMaker(train, layout, levels, kept).of(pair));
        case Differential sides -> {
          all.addAll(new BevelMaker(train, layout, levels, kept).of(sides));
          left.add(sides.caseId() + ": a housing for pins and shafts of its own");
        }
        case Shaft shaft -> left.addAll(left(shaft, "a plain shaft"));
      }
    }
    return new Pieces(all, left);
  }

  private static List<String> left(Part part, String reason) {
    return part.members().stream().map(member -> member.id() + ": " + reason).toList();
  }

  /** The count of a wheel. */
  static int count(Train train, MemberId wheel) {
    return train.members().stream()
        .filter(member -> member.id().equals(wheel))
        .flatMap(member -> member.teeth().stream())
        .findFirst()
        .orElseThrow()
        .count();
  }

  /**
   * The toothed line of a wheel as it is made, about its own axis, a tooth (of a ring a space) to
   * the right, in mm: with what clearance and offsets take off its flanks.
   */
  public static Outline teeth(Train train, PlacedWheel wheel, double chord) {
    double module = Drives.moduleMm(train);
    Detail detail = Detail.within(wheel.teeth(), wheel.cut(), chord / train.moduleMm(wheel.id()));
    double thinning = Blank.thinning(train, wheel.id(), wheel.cut().rack().pressureAngle());
    return wheel.outline(detail, thinning).scaled(module);
  }
}
