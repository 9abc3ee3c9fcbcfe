package steadycog.shape;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import steadycog.number.Known;
import steadycog.shape.PlacedPlate.Kind;
import steadycog.train.Bevel;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.Element;
import steadycog.train.Join;
import steadycog.train.MemberId;
import steadycog.train.Parallel;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Role;
import steadycog.train.Shaft;
import steadycog.train.StrainWave;
import steadycog.train.Train;

/** What the side view needs to know of members: where they lie, and how they are hung. */
final class EdgeFacts {
  /** Half the width of a hollow shaft, in modules. */
  static final double BORE = 2.6;

  /** The same of one with another hollow shaft inside. */
  private static final double OUTER_BORE = 4.6;

  private final Train train;
  private final FaceLayout face;
  private final Map<Integer, Double> heights;
  private final List<Element> elements;
  private final Axes lines;
  private final int firstPlane;

  /**
   * Facts of a train.
   *
   * @param heights of all lines, numbered as by {@link Axes#of}
   * @param elements brakes and clutches to be shown
   */
  EdgeFacts(Train train, FaceLayout face, Map<Integer, Double> heights, List<Element> elements) {
    this.train = train;
    this.face = face;
    this.heights = heights;
    this.elements = elements;
    lines = Axes.of(train);
    firstPlane = face.bodies().stream().mapToInt(Placed::plane).min().orElse(0);
  }

  Axes lines() {
    return lines;
  }

  double height(MemberId member) {
    return Known.in(heights, lines.of(member));
  }

  int plane(Placed placed) {
    return placed.plane() - firstPlane;
  }

  /** Whether a wheel lies in the second row of its set and is no part of a body in the first. */
  boolean isBehind(MemberId wheel) {
    Part part = train.partOf(wheel);
    return part.row(wheel) > 0 && part.body(wheel).equals(wheel);
  }

  /**
   * Whether a ring among several sets needs no shaft: nothing drives it or takes it off, and it is
   * held by its brake, if at all.
   */
  boolean isLoose(Placed body) {
    Role role = train.rolesInForce().of(body.id());
    boolean braked = elements.contains(new Element.Brake(body.id()));
    boolean shafted = role == Role.DRIVE || role == Role.TAKE || (role == Role.HOLD && !braked);
    return train.hasSeveralSets() && isRing(body) && inSet(body.id()) && !shafted;
  }

  static boolean isBevel(Kind kind) {
    return kind == Kind.CROWN || kind == Kind.SIDE || kind == Kind.CASE;
  }

  /** On which side of its plane a bevel gear lies: -1 left, +1 right. */
  int bevelSide(MemberId id) {
    return switch (train.partOf(id)) {
      case Bevel pair -> pair.side() == Bevel.Side.RIGHT ? 1 : -1;
      case Differential sides -> id.equals(sides.leftId()) ? -1 : 1;
      case Parallel _, Planetary _, Cycloidal _, StrainWave _, Shaft _ ->
          throw new IllegalStateException("no bevel gear: " + id);
    };
  }

  /** Whether a set or drive is on the member's line. */
  boolean inSet(MemberId member) {
    int line = lines.of(member);
    return face.carriers().stream().anyMatch(carrier -> lines.of(carrier.id()) == line)
        || face.plates().stream().anyMatch(plate -> lines.of(plate.id()) == line);
  }

  /** Whether all that a carrier is joined to lies before it: its plate goes to that side. */
  boolean facesLeft(PlacedCarrier carrier) {
    List<Integer> others = new ArrayList<>();
    for (Join join : train.joins()) {
      if (join.touches(carrier.id())) {
        MemberId other = join.other(carrier.id());
        face.bodies().stream()
            .filter(body -> body.id().equals(other))
            .findFirst()
            .ifPresent(body -> others.add(body.plane()));
      }
    }
    return !others.isEmpty() && others.stream().allMatch(plane -> plane < carrier.plane());
  }

  /** The bore of a ring: at the drive end of two rows the carrier's shaft comes out as well. */
  double bore(PlacedWheel ring) {
    boolean withCarrier = train.partOf(ring.id()).rowCount() > 1 && !isBehind(ring.id());
    return withCarrier ? OUTER_BORE : BORE;
  }

  /** Between two rows of planets there is no room for a plate: it goes to the drive end. */
  boolean isStepped(PlacedCarrier carrier) {
    return train.partOf(carrier.id()).rowCount() > 1;
  }

  static boolean isRing(Placed body) {
    return switch (body) {
      case PlacedWheel wheel -> wheel.teeth().internal() || wheel.hollow() > 0;
      case PlacedPlate plate ->
          plate.kind() == Kind.PIN_RING || plate.kind() == Kind.CIRCULAR_SPLINE;
      case PlacedCarrier none -> false;
      case PlacedFlex none -> false;
      case PlacedCone none -> false;
    };
  }
}
