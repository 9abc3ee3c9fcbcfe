package steadycog.sizing;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import steadycog.piece.Blank;
import steadycog.shape.BasicRack;
import steadycog.shape.Cut;
import steadycog.shape.GearOutline;
import steadycog.train.Helices;
import steadycog.train.Helix;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * The sizes of one wheel with involute teeth, mm (ISO 21771).
 *
 * @param moduleMm module at right angles to the teeth
 * @param pitch diameter m z / cos b
 * @param base diameter d cos a
 * @param tip diameter over the tips; of an internal wheel between them
 * @param root diameter
 * @param thickness of a tooth along the pitch circle, of an internal wheel too
 * @param spanned teeth between the jaws for {@code span}; none of an internal wheel
 * @param span over that many teeth, along the base tangent
 * @param spanFace face that the jaws need to lie on for it, W sin bb; 0 of straight teeth
 * @param pin diameter of measuring pins
 * @param overPins over two pins in opposite spaces, of an internal wheel between them; empty where
 *     pins of that size would not touch the flanks
 */
public record WheelFigures(
    MemberId id,
    Teeth teeth,
    Cut cut,
    Helix helix,
    double moduleMm,
    Blank blank,
    double pitch,
    double base,
    double tip,
    double root,
    double thickness,
    OptionalInt spanned,
    OptionalDouble span,
    OptionalDouble spanFace,
    double pin,
    OptionalDouble overPins) {
  /** Pin diameter in modules for external and for internal teeth (van Keuren). */
  private static final double PIN = 1.728;

  private static final double PIN_INSIDE = 1.44;

  private static final double PIN_STEP = 0.05;
  private static final double MOST_PIN = 2.4;

  /** Room that is left between a measuring pin and the root, in modules. */
  private static final double ABOVE_ROOT = 0.03;

  /** The figures of a wheel; empty for what has no involute teeth. */
  public static Optional<WheelFigures> of(Train train, Member member) {
    return member
        .teeth()
        .filter(teeth -> train.partOf(member.id()).involute())
        .map(
            teeth ->
                of(
                    member.id(),
                    teeth,
                    Cut.of(train, member.id()),
                    Helices.of(train, member.id()),
                    Helices.normalModuleMm(train, member.id()),
                    train.sizes().rackInForce().radians(),
                    Blank.of(train, member.id())));
  }

  /**
   * @param normal module at right angles to the teeth, mm
   * @param angle pressure angle there, radians
   */
  private static WheelFigures of(
      MemberId id, Teeth teeth, Cut cut, Helix helix, double normal, double angle, Blank blank) {
    double moduleMm = normal / helix.cosine();
    double wound = helix.baseCosine(angle);
    double flank = blank.flankMm() / wound;
    double pitch = teeth.count() * moduleMm;
    double base = pitch * Math.cos(cut.rack().pressureAngle());
    double off = flank / moduleMm;
    double thinning = off / Math.cos(cut.rack().pressureAngle());
    double tip = 2 * GearOutline.tipRadius(teeth, cut, thinning) * moduleMm;
    double root = 2 * GearOutline.rootRadius(teeth, cut) * moduleMm;
    double inward = 2 * flank / Math.cos(cut.rack().pressureAngle());
    double wide = Math.PI * moduleMm / 2;
    double more = 2 * cut.shift() * moduleMm * Math.tan(cut.rack().pressureAngle());
    double thickness = (teeth.internal() ? wide - more : wide + more) - inward;
    OptionalInt spanned =
        teeth.internal() ? OptionalInt.empty() : OptionalInt.of(spanned(teeth.count(), cut, wound));
    OptionalDouble span =
        spanned.isPresent()
            ? OptionalDouble.of(
                span(teeth.count(), spanned.getAsInt(), cut.shift(), cut.rack()) * moduleMm * wound
                    - 2 * blank.flankMm())
            : OptionalDouble.empty();
    double slant = normal / moduleMm / wound;
    double pin = pin(teeth, cut, off, slant, normal / moduleMm);
    OptionalDouble over = overPins(teeth, cut, pin * slant, pin * normal / moduleMm, off);
    return new WheelFigures(
        id,
        teeth,
        cut,
        helix,
        normal,
        blank,
        pitch,
        base,
        tip,
        root,
        thickness,
        spanned,
        span,
        span.isPresent()
            ? OptionalDouble.of(span.getAsDouble() * helix.baseSine(angle))
            : OptionalDouble.empty(),
        pin * normal,
        over.isPresent() ? OptionalDouble.of(over.getAsDouble() * moduleMm) : over);
  }

  /** Profile shift in modules at right angles to the teeth. */
  public double shift() {
    return cut.shift() / helix.cosine();
  }

  /** Pressure angle in the plane of rotation, degrees. */
  public double angle() {
    return Math.toDegrees(cut.rack().pressureAngle());
  }

  /** Module in the plane of rotation, mm. */
  public double transverseMm() {
    return moduleMm / helix.cosine();
  }

  /**
   * How many teeth to span so that jaws touch near the middle of the flanks: at least 1.
   *
   * @param wound cosine of the helix angle at the base cylinder, by which jaws lie aslant
   */
  static int spanned(int teeth, Cut cut, double wound) {
    double radius = teeth / 2.0 + cut.shift();
    double base = teeth / 2.0 * Math.cos(cut.rack().pressureAngle());
    double touching = Math.acos(Math.min(1, base / radius));
    double half =
        (Math.tan(touching) / (wound * wound) - BasicRack.involute(cut.rack().pressureAngle()))
                * teeth
                / Math.PI
            - 2 * cut.shift() * Math.tan(cut.rack().pressureAngle()) / Math.PI;
    return Math.max(1, (int) Math.round(half + 0.5));
  }

  /**
   * Span over {@code k} teeth in the plane of rotation, in modules: cos a ((k - 1/2) pi + z inv a)
   * + 2 x sin a (ISO 21771, base tangent length).
   */
  static double span(int teeth, int k, double shift, BasicRack rack) {
    double angle = rack.pressureAngle();
    return Math.cos(angle) * ((k - 0.5) * Math.PI + teeth * BasicRack.involute(angle))
        + 2 * shift * Math.sin(angle);
  }

  /**
   * The usual pin, or the next larger one that lies on the flanks and not on the root: of thin
   * teeth the usual one may fall in; in modules at right angles to the teeth.
   *
   * @param slant by which it is larger where it meets the flanks in the plane of rotation, in
   *     modules of that plane
   * @param size the same for its size
   */
  private static double pin(Teeth teeth, Cut cut, double off, double slant, double size) {
    double usual = teeth.internal() ? PIN_INSIDE : PIN;
    double root = GearOutline.rootRadius(teeth, cut);
    for (double pin = usual; pin < MOST_PIN; pin += PIN_STEP) {
      OptionalDouble at = pinCentre(teeth, cut, pin * slant, off);
      if (at.isPresent()) {
        double bottom =
            teeth.internal()
                ? root - at.getAsDouble() - pin * size / 2
                : at.getAsDouble() - pin * size / 2 - root;
        if (bottom >= ABOVE_ROOT) {
          return pin;
        }
      }
    }
    return usual;
  }

  /**
   * Over (between) pins of a diameter, in modules: the involute through the pin's centre, inv f =
   * inv a ± (d / (z cos a) + 2 x tan a / z - pi / (2 z)); odd counts by cos (90°/z) (van Keuren;
   * ISO 21771, dimension over balls).
   *
   * @param met the diameter as flanks meet it in the plane of rotation
   * @param off what is taken off each flank
   */
  private static OptionalDouble overPins(Teeth teeth, Cut cut, double met, double pin, double off) {
    int z = teeth.count();
    OptionalDouble centre = pinCentre(teeth, cut, met, off);
    if (centre.isEmpty()) {
      return centre;
    }
    double at = 2 * centre.getAsDouble();
    double across = z % 2 == 0 ? at : at * Math.cos(Math.PI / (2.0 * z));
    return OptionalDouble.of(teeth.internal() ? across - pin : across + pin);
  }

  /** Where the axis of a pin in a gap stands; empty where it would not touch the flanks. */
  private static OptionalDouble pinCentre(Teeth teeth, Cut cut, double pin, double off) {
    double angle = cut.rack().pressureAngle();
    int z = teeth.count();
    double base = z * Math.cos(angle);
    double shifted = 2 * cut.shift() * Math.tan(angle) / z;
    double own = pin / base - Math.PI / (2.0 * z) - 2 * off / base;
    double involute = BasicRack.involute(angle) + shifted + (teeth.internal() ? -own : own);
    if (involute <= 0) {
      return OptionalDouble.empty();
    }
    return OptionalDouble.of(base / Math.cos(BasicRack.angleOf(involute)) / 2);
  }
}
