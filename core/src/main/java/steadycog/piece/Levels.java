package steadycog.piece;

import java.util.Map;
import java.util.TreeMap;
import steadycog.number.Known;
import steadycog.shape.BevelPair;
import steadycog.shape.Drives;
import steadycog.shape.FaceLayout;
import steadycog.shape.Placed;
import steadycog.shape.PlacedCarrier;
import steadycog.shape.PlacedCone;
import steadycog.shape.PlacedFlex;
import steadycog.shape.PlacedPlate;
import steadycog.shape.PlacedWheel;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.MemberId;
import steadycog.train.Planetary;
import steadycog.train.StrainWave;
import steadycog.train.Train;

/**
 * Where the planes of a layout lie along the axes, mm from the bottom up. A plane is as high as its
 * highest wheel; what carries wheels, a plate or the tube of a cup, lies below it; between planes
 * there is a gap of {@value Blank#ROW_GAP} modules.
 */
public final class Levels {
  private final Map<Integer, Double> from = new TreeMap<>();
  private final double height;

  private Levels(Train train, FaceLayout layout) {
    Map<Integer, Double> below = new TreeMap<>();
    Map<Integer, Double> above = new TreeMap<>();
    for (Placed body : layout.bodies()) {
      double[] room = room(train, body);
      below.merge(body.plane(), room[0], Math::max);
      above.merge(body.plane(), room[1], Math::max);
    }
    double at = 0;
    double gap = Blank.ROW_GAP * Drives.moduleMm(train);
    double top = 0;
    for (Map.Entry<Integer, Double> plane : below.entrySet()) {
      at += plane.getValue();
      from.put(plane.getKey(), at);
      top = at + Known.in(above, plane.getKey());
      at = top + gap;
    }
    height = top;
  }

  /** The levels of {@code layout}, laid out for {@code train}. */
  public static Levels of(Train train, FaceLayout layout) {
    return new Levels(train, layout);
  }

  /** Where the wheels of a plane begin, mm from the bottom, which is the drive end. */
  public double from(int plane) {
    return Known.in(from, plane);
  }

  /** From the lowest piece to the highest, mm. */
  public double height() {
    return height;
  }

  /**
   * Along the crown's axis from its back to the pinion's far side; of a differential from back to
   * back of its sides.
   */
  private static double bevels(Train train, MemberId id) {
    BevelPair pair = BevelPair.of(train, id).orElseThrow();
    double own = BevelBody.of(train, id).orElseThrow().mounting();
    boolean differential = train.partOf(id, Differential.class).isPresent();
    return own + (differential ? own : BevelBody.of(train, pair.one().id()).orElseThrow().radius());
  }

  /** What a body takes below its plane's beginning and above it. */
  private static double[] room(Train train, Placed body) {
    double width = Blank.widthMm(train, body.id());
    return switch (body) {
      case PlacedWheel wheel -> new double[] {0, width};
      case PlacedCarrier carrier -> new double[] {Blank.plateMm(train, carrier.id()), 0};
      case PlacedFlex flex ->
          new double[] {FlexTube.of(train, (StrainWave) train.partOf(flex.id())).below(), width};
      case PlacedPlate plate ->
          switch (plate.kind()) {
            case DISC, ECCENTRIC, PIN_RING -> {
              Cycloidal drive = (Cycloidal) train.partOf(plate.id());
              yield new double[] {
                Blank.plateMm(train, drive.ringId()),
                drive.sizes().discs() * Blank.widthMm(train, drive.discId())
              };
            }
            case CIRCULAR_SPLINE, GENERATOR -> new double[] {0, width};
            case CROWN, SIDE -> new double[] {0, bevels(train, plate.id())};
            case CASE, SHAFT -> new double[] {0, 0};
          };
      case PlacedCone cone -> new double[] {0, 0};
    };
  }

  /** From the beginning of the first row of a set to the end of its last. */
  double span(Planetary set, Train train, FaceLayout layout) {
    double end = 0;
    double begin = Double.MAX_VALUE;
    for (PlacedWheel wheel : layout.wheels()) {
      if (set.isPlanet(wheel.id())) {
        begin = Math.min(begin, from(wheel.plane()));
        end = Math.max(end, from(wheel.plane()) + Blank.widthMm(train, wheel.id()));
      }
    }
    return end - begin;
  }
}
