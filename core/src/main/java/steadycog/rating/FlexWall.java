package steadycog.rating;

import java.util.ArrayList;
import java.util.List;
import steadycog.number.AngularSpeed;
import steadycog.shape.StrainGeometry;
import steadycog.train.Duty.Term;
import steadycog.train.MemberId;
import steadycog.train.ShaftSize;
import steadycog.train.StrainWave;
import steadycog.train.Train;

/**
 * The wall of a flexspline, which the generator bends to and fro: a screening by the stress of its
 * forced shape alone, without teeth, torque and bottom. Below a ratio of 1 it lasts for ever.
 *
 * @param stress amplitude, MPa
 * @param allowed MPa: as the card allows, else what the steel of a round specimen endures
 * @param stated whether the card says so
 * @param cycles in the whole life
 */
public record FlexWall(
    MemberId flex, double stress, double allowed, boolean stated, double cycles) {
  /** Diameter of the specimen for which the size factor is 1, mm. */
  private static final double SPECIMEN = 7.62;

  private static final double SECONDS_AN_HOUR = 3600;

  /** Stress over what is allowed. */
  public double ratio() {
    return stress / allowed;
  }

  /** Of every strain wave drive whose size is known. */
  public static List<FlexWall> of(Train train, List<Running> runnings) {
    List<FlexWall> all = new ArrayList<>();
    for (StrainWave drive : train.parts(StrainWave.class)) {
      if (train.pitch(drive.flexId()).isPresent()) {
        all.add(of(train, drive, runnings));
      }
    }
    return all;
  }

  private static FlexWall of(Train train, StrainWave drive, List<Running> runnings) {
    double stress = new StrainGeometry(drive).wallStress(train.moduleMm(drive.flexId()));
    ShaftSize size = train.size(drive.flexId()).shaft().orElse(ShaftSize.NONE);
    double endured = ShaftSteel.of(size, train.sizes().duty()).endurance(SPECIMEN);
    double seconds = train.sizes().duty().value(Term.LIFE) * SECONDS_AN_HOUR;
    double turns = 0;
    for (Running running : runnings) {
      double apart = speed(running, drive.waveId()) - speed(running, drive.flexId());
      turns += running.share() * seconds * Math.abs(apart) / (2 * Math.PI);
    }
    return new FlexWall(
        drive.flexId(),
        stress,
        drive.sizes().allowable().map(Integer::doubleValue).orElse(endured),
        drive.sizes().allowable().isPresent(),
        turns * drive.lobes());
  }

  private static double speed(Running running, MemberId member) {
    return running.motion().speed(member).map(AngularSpeed::inRadPerS).orElse(0.0);
  }
}
