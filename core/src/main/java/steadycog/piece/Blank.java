package steadycog.piece;

import java.util.List;
import java.util.Optional;
import steadycog.number.Figures;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.shape.Cut;
import steadycog.shape.Drives;
import steadycog.shape.GearOutline;
import steadycog.train.Bore;
import steadycog.train.Clearance.Gap;
import steadycog.train.Losses.Practice;
import steadycog.train.Made;
import steadycog.train.Material;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Teeth;
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

  /** A shaft as a share of the root diameter. */
  private static final double SHAFT_SHARE = 0.35;

  private static final List<Double> SHAFTS =
      List.of(
          1.0, 1.5, 2.0, 2.5, 3.0, 4.0, 5.0, 6.0, 8.0, 10.0, 12.0, 15.0, 17.0, 20.0, 25.0, 30.0,
          35.0, 40.0, 50.0, 60.0, 80.0, 100.0);

  /** The blank of a member, a wheel or not. */
  public static Blank of(Train train, MemberId id) {
    WheelSize size = train.size(id);
    Optional<Bore> bore = size.bore();
    Made usual =
        Made.of(
            train.losses().practiceInForce() == Practice.PRINTED ? Material.PLA : Material.STEEL);
    return new Blank(
        size.width().map(Quantity::inBase).orElseGet(() -> usualWidth(train)),
        size.width().isPresent(),
        bore.isPresent() ? bore : usualBore(train, id),
        bore.isPresent(),
        train.sizes().clearance().mm(Gap.FLANK) + size.offset().map(Quantity::inBase).orElse(0.0),
        size.made().orElse(usual),
        size.made().isPresent());
  }

  private static double usualWidth(Train train) {
    double width = USUAL_WIDTH * Drives.moduleMm(train);
    return Math.max(STEP, Math.round(width / STEP) * STEP);
  }

  /** The largest usual shaft in proportion to the smallest wheel of the body; rings have none. */
  private static Optional<Bore> usualBore(Train train, MemberId id) {
    MemberId body = train.partOf(id).body(id);
    double root =
        train.partOf(id).members().stream()
            .filter(other -> train.partOf(other.id()).body(other.id()).equals(body))
            .mapToDouble(other -> rootDiameter(train, other))
            .min()
            .orElse(0);
    return SHAFTS.stream()
        .filter(shaft -> shaft <= SHAFT_SHARE * root)
        .reduce((smaller, larger) -> larger)
        .map(shaft -> new Bore.Round(Quantity.of(Figures.significant(shaft, 3), Unit.MM)));
  }

  /** mm; 0 for what has no external involute teeth. */
  private static double rootDiameter(Train train, Member member) {
    Optional<Teeth> teeth =
        member.teeth().filter(t -> !t.internal() && train.partOf(member.id()).involute());
    return teeth
        .map(t -> 2 * GearOutline.rootRadius(t, Cut.of(train, member.id())))
        .map(modules -> modules * Drives.moduleMm(train))
        .orElse(0.0);
  }
}
