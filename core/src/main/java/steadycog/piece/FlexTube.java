package steadycog.piece;

import steadycog.shape.StrainGeometry;
import steadycog.train.StrainWave;
import steadycog.train.Train;

/**
 * What a flexspline is beside its teeth, mm: a tube as long as it is wide inside, so that its end
 * may bend while its back stays round, and a bottom or a flange.
 *
 * @param bore inside radius of tube and teeth
 * @param wall thickness
 * @param tube length without the teeth
 * @param floor thickness of the bottom or flange
 * @param flange width of a hat's flange round the tube
 */
public record FlexTube(double bore, double wall, double tube, double floor, double flange) {

  public static FlexTube of(Train train, StrainWave drive) {
    StrainGeometry geometry = new StrainGeometry(drive);
    double module = train.moduleMm(drive.flexId());
    double bore = (geometry.flexRadius() - geometry.boreDepth(module)) * module;
    double wall = geometry.wall(module) * module;
    double plate = Blank.plateMm(train, drive.flexId());
    double width = Blank.widthMm(train, drive.circularId());
    return new FlexTube(bore, wall, Math.max(width, bore), Math.max(wall, plate / 2), plate);
  }

  /** All that lies below the teeth. */
  public double below() {
    return floor + tube;
  }
}
