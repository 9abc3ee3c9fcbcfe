package steadycog.piece;

import java.util.Optional;
import steadycog.number.Quantity;
import steadycog.shape.BevelPair;
import steadycog.shape.Drives;
import steadycog.train.Bore;
import steadycog.train.Clearance.Gap;
import steadycog.train.Helices;
import steadycog.train.Losses.Practice;
import steadycog.train.Made;
import steadycog.train.Material;
import steadycog.train.MemberId;
import steadycog.train.Train;
import steadycog.train.WheelSize;

/**
 * What a wheel is made from: as its card states, else usual proportions.
 *
 * @param widthMm of its face
 * @param bore for its shaft; empty for none
 * @param flankMm taken off each flank at right angles to it, by clearance and offset
 * @param made material and stresses to allow
 */
public record Blank(
    double widthMm,
    boolean widthStated,
    Optional<Bore> bore,
    boolean boreStated,
    double flankMm,
    Made made,
    boolean madeStated) {
  /** Usual face width in modules (Niemann: 10 for teeth that are not very exact). */
  public static final double USUAL_WIDTH = 10;

  /** Between rows of teeth on one body, in modules. */
  public static final double ROW_GAP = 2;

  private static final double STEP = 0.5;

  /** Thickness of plates in modules, at least {@value #LEAST_PLATE} mm. */
  private static final double PLATE = 4;

  private static final double LEAST_PLATE = 2;

  /** The blank of a member, a wheel or not. */
  public static Blank of(Train train, MemberId id) {
    WheelSize size = train.size(id);
    Shafts.Hole hole = Shafts.hole(train, id);
    return new Blank(
        widthMm(train, id),
        size.width().isPresent(),
        hole.bore(),
        hole.stated(),
        flankMm(train, id),
        made(train, id),
        size.made().isPresent());
  }

  /** What a member is made of: as stated, or as usual for how the train is made. */
  public static Made made(Train train, MemberId id) {
    boolean printed = train.losses().practiceInForce() == Practice.PRINTED;
    return train.size(id).made().orElseGet(() -> Made.of(printed ? Material.PLA : Material.STEEL));
  }

  /** Whether the card states face width and material of a member. */
  public static boolean isStated(Train train, MemberId id) {
    WheelSize size = train.size(id);
    return size.width().isPresent() && size.made().isPresent();
  }

  /** Face width of a member, mm: as stated, or in proportion. */
  public static double widthMm(Train train, MemberId id) {
    return train
        .size(id)
        .width()
        .map(Quantity::inBase)
        .orElseGet(
            () ->
                BevelPair.of(train, id)
                    .map(pair -> pair.usualFaceMm(train.moduleMm(id)))
                    .orElseGet(
                        () ->
                            Math.max(
                                STEP,
                                Math.round(USUAL_WIDTH * Helices.normalModuleMm(train, id) / STEP)
                                    * STEP)));
  }

  /** Thickness of a member's plate, mm: the width stated for it, or in proportion. */
  public static double plateMm(Train train, MemberId id) {
    return train
        .sizes()
        .own(id)
        .width()
        .map(Quantity::inBase)
        .orElse(Math.max(LEAST_PLATE, PLATE * Drives.moduleMm(train)));
  }

  /** What is taken off each flank of a wheel, at right angles to it, mm. */
  public static double flankMm(Train train, MemberId id) {
    return train.sizes().clearance().mm(Gap.FLANK)
        + train.size(id).offset().map(Quantity::inBase).orElse(0.0);
  }

  /**
   * What that is along the pitch line in the plane of rotation, in modules of that plane.
   *
   * @param angle by which the flank leans there, radians
   */
  public static double thinning(Train train, MemberId id, double angle) {
    double across = flankMm(train, id) / Helices.baseCosine(train, id);
    return across / train.moduleMm(id) / Math.cos(angle);
  }
}
