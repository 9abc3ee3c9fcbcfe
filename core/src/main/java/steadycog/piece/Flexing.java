package steadycog.piece;

import java.util.List;
import java.util.function.ToDoubleFunction;
import steadycog.shape.StrainGeometry;
import steadycog.train.MemberId;
import steadycog.train.StrainWave;
import steadycog.train.Train;

/** The toothed end of a flexspline as its generator bends it, in mm. */
public final class Flexing {
  private static final int FEWEST_POINTS = 180;

  private final StrainWave drive;
  private final StrainGeometry geometry;
  private final double moduleMm;
  private final double thinning;

  private Flexing(Train train, StrainWave drive) {
    this.drive = drive;
    geometry = new StrainGeometry(drive);
    moduleMm = train.moduleMm(drive.flexId());
    thinning = Blank.thinning(train, drive.flexId(), StrainGeometry.FLANK_ANGLE);
  }

  /** Of the drive of which {@code flex} is a member. */
  public static Flexing of(Train train, MemberId flex) {
    return new Flexing(train, (StrainWave) train.partOf(flex));
  }

  /**
   * Its section about its own axis, as seen from itself.
   *
   * @param wave by how much the generator has turned since it stood with the marks at twelve
   * @param own by how much the flexspline has turned since
   * @param chord how far straight pieces may leave the bore
   */
  public Region bent(double wave, double own, double chord) {
    double lobe = Math.PI / 2 + wave - own;
    double depth = geometry.boreDepth(moduleMm);
    Region bore =
        new Region(
            List.of(geometry.inside(lobe, 1, depth, points(chord)).scaled(moduleMm)), List.of());
    return bore.within(
        new Region(List.of(geometry.flexInMesh(lobe, 1, thinning).scaled(moduleMm)), List.of()));
  }

  /**
   * The same after turning.
   *
   * @param turned by how much any member has turned since the marks stood at twelve, radians
   */
  public Region bent(ToDoubleFunction<MemberId> turned, double chord) {
    return bent(turned.applyAsDouble(drive.waveId()), turned.applyAsDouble(drive.flexId()), chord);
  }

  /**
   * The line {@code depth} modules inside its pitch line with the marks at twelve, as of a
   * generator.
   */
  public Region inside(double depth, double chord) {
    return new Region(
        List.of(geometry.inside(Math.PI / 2, 1, depth, points(chord)).scaled(moduleMm)), List.of());
  }

  private int points(double chord) {
    return Math.max(FEWEST_POINTS, Region.corners(geometry.circularRadius() * moduleMm, chord));
  }
}
