package steadycog.piece;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import steadycog.number.Figures;
import steadycog.piece.Piece.Stand;
import steadycog.piece.Region.Round;
import steadycog.shape.BasicRack;
import steadycog.shape.Cut;
import steadycog.shape.Detail;
import steadycog.shape.Drives;
import steadycog.shape.GearOutline;
import steadycog.shape.Outline;
import steadycog.train.Clearance.Gap;
import steadycog.train.MemberId;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * A test for a printer or cutter that is new: pairs of small sectors of the train's teeth, each
 * with another clearance off its flanks, and a base with two pins at their centre distance. Push a
 * pair onto the pins: the tightest that runs freely tells the clearance to state. Holes in a sector
 * count its steps of clearance.
 */
public final class Coupon {
  private static final int TEETH = 24;

  /** Teeth on a sector. */
  private static final int CUT = 5;

  private static final double[] CLEARANCES = {0, 0.03, 0.06, 0.09, 0.12, 0.16};
  private static final double PIN = 4;
  private static final double HUB = 4.5;
  private static final double MARK = 0.5;
  private static final double MARK_RADIUS = 7.2;
  private static final double MARK_STEP = 1.3;
  private static final double BASE_HALF = 4.5;

  /** Nothing of it stands in a train. */
  private static final Stand LYING = Stand.at(0, 0, 0, 0);

  private Coupon() {}

  /** The pieces for the module, rack and face width of {@code train}. */
  public static List<Piece> of(Train train, double chord) {
    double module = Drives.moduleMm(train);
    BasicRack rack = BasicRack.of(train.sizes().rackInForce());
    double room = train.sizes().clearance().mm(Gap.BORE);
    double width = Math.min(Blank.USUAL_WIDTH / 2, 5 / module) * module;
    MemberId coupon = new MemberId("", "coupon");
    List<Piece> all = new ArrayList<>();
    double half = TEETH * module / 2;
    List<Round> pins = new ArrayList<>();
    pins.add(new Round(-half, 0, PIN / 2 * module));
    pins.add(new Round(half, 0, PIN / 2 * module));
    all.add(
        new Piece(
            coupon,
            "base",
            "pins " + Figures.significant(2 * half, 6) + " mm apart",
            List.of(
                new Slab("plate", 0, width / 2, base(half, module)),
                new Slab("pins", width / 2, width * 1.5, new Region(List.of(), pins))),
            List.of(LYING),
            Optional.empty(),
            List.of(),
            Optional.empty()));
    for (int step = 0; step < CLEARANCES.length; step++) {
      all.add(
          new Piece(
              coupon,
              "sector " + (step + 1),
              Figures.significant(CLEARANCES[step], 3) + " mm off each flank, 2 alike",
              List.of(new Slab("", 0, width, sector(module, rack, step, room, chord))),
              List.of(LYING, LYING),
              Optional.empty(),
              List.of(),
              Optional.empty()));
    }
    return all;
  }

  private static Region base(double half, double module) {
    double side = BASE_HALF * module;
    double end = half + side;
    return new Region(
        List.of(
            new Outline(
                new double[] {-end, end, end, -end}, new double[] {-side, -side, side, side})),
        List.of());
  }

  private static Region sector(double module, BasicRack rack, int step, double room, double chord) {
    Teeth teeth = Teeth.external(TEETH);
    Cut cut = new Cut(rack, 0, 0);
    double thinning = CLEARANCES[step] / module / Math.cos(rack.pressureAngle());
    Outline whole =
        GearOutline.of(teeth, cut, Detail.within(teeth, cut, chord / module), thinning)
            .scaled(module);
    double wedge = Math.PI * CUT / TEETH;
    double far = TEETH * module;
    Outline sides =
        new Outline(
            new double[] {0, far * Math.cos(wedge), 1.2 * far, far * Math.cos(wedge)},
            new double[] {0, -far * Math.sin(wedge), 0, far * Math.sin(wedge)});
    Geometry sector =
        Region.overlay(Region.polygon(whole), Region.polygon(sides), OverlayNG.INTERSECTION);
    Geometry hubbed =
        Region.overlay(sector, Region.disc(HUB * module).area(chord), OverlayNG.UNION);
    Geometry bore = Region.disc((PIN * module + room) / 2).area(chord);
    Geometry area = Region.overlay(hubbed, bore, OverlayNG.DIFFERENCE);
    for (int mark = 0; mark <= step; mark++) {
      double angle = (mark - step / 2.0) * MARK_STEP / MARK_RADIUS;
      double radius = MARK_RADIUS * module;
      Round hole = new Round(radius * Math.cos(angle), radius * Math.sin(angle), MARK * module);
      area = Region.overlay(area, Region.polygon(hole.outline(chord)), OverlayNG.DIFFERENCE);
    }
    return Region.of(area);
  }
}
