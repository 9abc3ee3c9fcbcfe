package steadycog.train;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit;

/**
 * What is stated of the size of one wheel, or of all.
 *
 * @param width of its face
 * @param shift profile shift x in modules, outwards positive, -1 to 1.5
 * @param bore hole for its shaft
 * @param offset off each flank beyond the train's clearance, at right angles to it; negative for
 *     thicker teeth
 * @param made what it is made of
 * @param tool edges of a cutter or brush that it carries, 1 to {@value #MOST_EDGES}
 * @param pitch size of its teeth and of all that mesh with it
 * @param helix how its teeth wind, and with them those of all that mesh with it
 * @param built how it comes to its place
 * @param hardness of its teeth, if of steel, Brinell, 100 to 450
 * @param shaft that it sits on, or the pin of a planet
 * @param bearing of that shaft, or of a planet on its pin
 * @param geometry factors of its rating that are not worked out
 */
public record WheelSize(
    Optional<Quantity> width,
    Optional<BigFraction> shift,
    Optional<Bore> bore,
    Optional<Quantity> offset,
    Optional<Made> made,
    Optional<Integer> tool,
    Optional<Pitch> pitch,
    Optional<Helix> helix,
    Optional<Built> built,
    Optional<BigFraction> hardness,
    Optional<ShaftSize> shaft,
    Optional<BearingSize> bearing,
    Optional<Geometry> geometry) {
  /** Nothing stated. */
  public static final WheelSize NONE =
      new WheelSize(
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          Optional.empty());

  private static final double LEAST_SHIFT = -1;
  private static final double MOST_SHIFT = 1.5;
  private static final double MOST_OFFSET_MM = 2;

  public static final int MOST_EDGES = 10_000;

  public WheelSize {
    tool.ifPresent(
        edges -> {
          if (edges < 1 || edges > MOST_EDGES) {
            throw new IllegalArgumentException(
                "tool " + edges + ": expected 1 to " + MOST_EDGES + " edges");
          }
        });
    width.ifPresent(length -> Cycloidal.requireLength("width", length));
    shift.ifPresent(
        x -> {
          double value = x.doubleValue();
          if (value < LEAST_SHIFT || value > MOST_SHIFT) {
            throw new IllegalArgumentException(
                "shift " + Exact.plain(x) + ": expected -1 to 1.5 modules, as 0.25");
          }
        });
    hardness.ifPresent(
        brinell -> {
          if (brinell.doubleValue() < 100 || brinell.doubleValue() > 450) {
            throw new IllegalArgumentException(
                "hardness " + Exact.plain(brinell) + ": expected 100 to 450 HB, as 240 HB");
          }
        });
    offset.ifPresent(
        length -> {
          Drive.requireDimension(length, Unit.Dimension.LENGTH);
          if (Math.abs(length.inBase()) > MOST_OFFSET_MM) {
            throw new IllegalArgumentException("offset " + length + ": expected up to 2 mm");
          }
        });
  }

  public WheelSize withWidth(Optional<Quantity> changed) {
    return new WheelSize(
        changed, shift, bore, offset, made, tool, pitch, helix, built, hardness, shaft, bearing,
        geometry);
  }

  public WheelSize withShift(Optional<BigFraction> changed) {
    return new WheelSize(
        width, changed, bore, offset, made, tool, pitch, helix, built, hardness, shaft, bearing,
        geometry);
  }

  public WheelSize withBore(Optional<Bore> changed) {
    return new WheelSize(
        width, shift, changed, offset, made, tool, pitch, helix, built, hardness, shaft, bearing,
        geometry);
  }

  public WheelSize withOffset(Optional<Quantity> changed) {
    return new WheelSize(
        width, shift, bore, changed, made, tool, pitch, helix, built, hardness, shaft, bearing,
        geometry);
  }

  public WheelSize withMade(Optional<Made> changed) {
    return new WheelSize(
        width, shift, bore, offset, changed, tool, pitch, helix, built, hardness, shaft, bearing,
        geometry);
  }

  /** The same with a tool of so many edges on it. */
  public WheelSize withTool(Optional<Integer> changed) {
    return new WheelSize(
        width, shift, bore, offset, made, changed, pitch, helix, built, hardness, shaft, bearing,
        geometry);
  }

  /** The same with teeth of that size. */
  public WheelSize withPitch(Optional<Pitch> changed) {
    return new WheelSize(
        width, shift, bore, offset, made, tool, changed, helix, built, hardness, shaft, bearing,
        geometry);
  }

  /** The same with teeth that wind so. */
  public WheelSize withHelix(Optional<Helix> changed) {
    return new WheelSize(
        width, shift, bore, offset, made, tool, pitch, changed, built, hardness, shaft, bearing,
        geometry);
  }

  /** The same brought to its place so. */
  public WheelSize withBuilt(Optional<Built> changed) {
    return new WheelSize(
        width, shift, bore, offset, made, tool, pitch, helix, changed, hardness, shaft, bearing,
        geometry);
  }

  /** The same with teeth of that hardness, Brinell. */
  public WheelSize withHardness(Optional<BigFraction> changed) {
    return new WheelSize(
        width, shift, bore, offset, made, tool, pitch, helix, built, changed, shaft, bearing,
        geometry);
  }

  /** The same on such a shaft or pin. */
  public WheelSize withShaft(Optional<ShaftSize> changed) {
    return new WheelSize(
        width, shift, bore, offset, made, tool, pitch, helix, built, hardness, changed, bearing,
        geometry);
  }

  /** The same in such bearings. */
  public WheelSize withBearing(Optional<BearingSize> changed) {
    return new WheelSize(
        width, shift, bore, offset, made, tool, pitch, helix, built, hardness, shaft, changed,
        geometry);
  }

  /** The same with such factors of its rating. */
  public WheelSize withGeometry(Optional<Geometry> changed) {
    return new WheelSize(
        width, shift, bore, offset, made, tool, pitch, helix, built, hardness, shaft, bearing,
        changed);
  }

  /** These words and {@code more}; throws IllegalArgumentException where both say one thing. */
  WheelSize and(WheelSize more, String of) {
    return new WheelSize(
        one("width" + of, width, more.width),
        one("shift" + of, shift, more.shift),
        one("bore" + of, bore, more.bore),
        one("offset" + of, offset, more.offset),
        one("material" + of, made, more.made),
        one("tool" + of, tool, more.tool),
        one("module" + of, pitch, more.pitch),
        one("helix" + of, helix, more.helix),
        one("build" + of, built, more.built),
        one("hardness" + of, hardness, more.hardness),
        one("shafting" + of, shaft, more.shaft),
        one("bearing" + of, bearing, more.bearing),
        one("geometry" + of, geometry, more.geometry));
  }

  /** What is stated here, else what {@code common} says. */
  WheelSize or(WheelSize common) {
    return new WheelSize(
        width.or(common::width),
        shift.or(common::shift),
        bore.or(common::bore),
        offset.or(common::offset),
        made.or(common::made),
        tool.or(common::tool),
        pitch.or(common::pitch),
        helix.or(common::helix),
        built.or(common::built),
        hardness.or(common::hardness),
        shaft.map(own -> common.shaft.map(own::or).orElse(own)).or(common::shaft),
        bearing.map(own -> common.bearing.map(own::or).orElse(own)).or(common::bearing),
        geometry.or(common::geometry));
  }

  static <T> Optional<T> one(String what, Optional<T> first, Optional<T> second) {
    if (first.isPresent() && second.isPresent()) {
      throw new IllegalArgumentException("a second " + what + ": leave one");
    }
    return first.or(() -> second);
  }

  /** Its statements one by one, each made into a whole by {@code whole}. */
  <T> List<T> split(Function<WheelSize, T> whole) {
    List<T> all = new ArrayList<>();
    width.ifPresent(given -> all.add(whole.apply(NONE.withWidth(width))));
    shift.ifPresent(given -> all.add(whole.apply(NONE.withShift(shift))));
    bore.ifPresent(given -> all.add(whole.apply(NONE.withBore(bore))));
    offset.ifPresent(given -> all.add(whole.apply(NONE.withOffset(offset))));
    made.ifPresent(given -> all.add(whole.apply(NONE.withMade(made))));
    tool.ifPresent(given -> all.add(whole.apply(NONE.withTool(tool))));
    pitch.ifPresent(given -> all.add(whole.apply(NONE.withPitch(pitch))));
    helix.ifPresent(given -> all.add(whole.apply(NONE.withHelix(helix))));
    built.ifPresent(given -> all.add(whole.apply(NONE.withBuilt(built))));
    hardness.ifPresent(given -> all.add(whole.apply(NONE.withHardness(hardness))));
    shaft.ifPresent(given -> all.add(whole.apply(NONE.withShaft(shaft))));
    bearing.ifPresent(given -> all.add(whole.apply(NONE.withBearing(bearing))));
    geometry.ifPresent(given -> all.add(whole.apply(NONE.withGeometry(geometry))));
    return all;
  }
}
