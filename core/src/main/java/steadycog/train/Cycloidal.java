package steadycog.train;

import java.util.List;
import java.util.Optional;
import steadycog.number.Quantity;
import steadycog.number.Unit;

/**
 * A disc of cycloidal lobes that rolls inside a ring of pins, carried round by an eccentric. Output
 * pins through holes in the disc pass on its slow rotation, so they turn as it does.
 *
 * @param lobes of the disc, usually one fewer than the pins
 * @param pins of the ring
 * @param sizes whatever is stated; the rest follows by proportion
 */
public record Cycloidal(String name, int lobes, int pins, Sizes sizes) implements Part {
  public static final int FEWEST_LOBES = 2;
  public static final int MOST_PINS = 400;
  public static final int MOST_DISCS = 3;

  /**
   * Sizes as lengths; diameters except for the eccentricity.
   *
   * @param circle pin-circle diameter
   * @param pin diameter of the ring pins or their rollers
   * @param eccentricity distance of the disc's axis from the ring's
   * @param bore of the disc, for the bearing on the eccentric
   * @param outputs the output pins
   * @param discs 1 to {@value #MOST_DISCS}, spread evenly round the eccentric
   */
  public record Sizes(
      Optional<Quantity> circle,
      Optional<Quantity> pin,
      Optional<Quantity> eccentricity,
      Optional<Quantity> bore,
      Optional<Outputs> outputs,
      int discs) {
    public static final Sizes USUAL =
        new Sizes(
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            1);

    public Sizes {
      circle.ifPresent(length -> requireLength("circle", length));
      pin.ifPresent(length -> requireLength("pin", length));
      eccentricity.ifPresent(length -> requireLength("eccentric", length));
      bore.ifPresent(length -> requireLength("bore", length));
      if (discs < 1 || discs > MOST_DISCS) {
        throw new IllegalArgumentException("discs " + discs + ": expected 1 to " + MOST_DISCS);
      }
    }

    public Sizes withPin(Quantity changed) {
      return new Sizes(circle, Optional.of(changed), eccentricity, bore, outputs, discs);
    }

    public Sizes withEccentricity(Quantity changed) {
      return new Sizes(circle, pin, Optional.of(changed), bore, outputs, discs);
    }

    public Sizes withOutputs(Outputs changed) {
      return new Sizes(circle, pin, eccentricity, bore, Optional.of(changed), discs);
    }

    public Sizes withDiscs(int changed) {
      return new Sizes(circle, pin, eccentricity, bore, outputs, changed);
    }
  }

  /** Output pins: how many, their diameter, and the diameter of the circle that they stand on. */
  public record Outputs(int count, Quantity pin, Quantity circle) {
    public static final int MOST = 24;

    public Outputs {
      requireLength("outputs", pin);
      requireLength("outputs", circle);
      if (count < 1 || count > MOST) {
        throw new IllegalArgumentException("outputs " + count + ": expected 1 to " + MOST);
      }
    }
  }

  public Cycloidal {
    if (lobes < FEWEST_LOBES || lobes >= MOST_PINS) {
      throw new IllegalArgumentException(
          "lobes " + lobes + ": expected " + FEWEST_LOBES + " to " + (MOST_PINS - 1));
    }
    if (pins <= lobes || pins > MOST_PINS) {
      throw new IllegalArgumentException(
          "pins " + pins + ": expected more than the lobes, usually " + (lobes + 1));
    }
  }

  static void requireLength(String what, Quantity length) {
    if (length.unit().dimension() != Unit.Dimension.LENGTH || length.value().signum() <= 0) {
      throw new IllegalArgumentException(what + " " + length + ": expected a length above 0");
    }
  }

  public MemberId eccentricId() {
    return new MemberId(name, "eccentric");
  }

  public MemberId discId() {
    return new MemberId(name, "disc");
  }

  public MemberId ringId() {
    return new MemberId(name, "ring");
  }

  public Cycloidal sized(Sizes changed) {
    return new Cycloidal(name, lobes, pins, changed);
  }

  /** The same drive with so many lobes, and a pin more than lobes. */
  public Cycloidal withLobes(int count) {
    int kept = Math.clamp(count, FEWEST_LOBES, MOST_PINS - 1);
    return new Cycloidal(name, kept, kept + 1, sizes);
  }

  @Override
  public Cycloidal named(String changed) {
    return new Cycloidal(changed, lobes, pins, sizes);
  }

  @Override
  public List<Member> members() {
    return List.of(
        new Member(eccentricId(), Optional.empty()),
        new Member(discId(), Optional.of(Teeth.external(lobes))),
        new Member(ringId(), Optional.of(Teeth.internal(pins))));
  }

  @Override
  public List<Mesh> meshes() {
    return List.of(
        new Mesh(
            discId(),
            Teeth.external(lobes),
            ringId(),
            Teeth.internal(pins),
            Optional.of(eccentricId())));
  }

  @Override
  public List<Join> inLine() {
    return List.of(new Join(eccentricId(), discId()), new Join(eccentricId(), ringId()));
  }

  @Override
  public List<MemberId> shafts() {
    return List.of(eccentricId(), discId(), ringId());
  }

  @Override
  public int copies(MemberId member) {
    return member.equals(discId()) ? sizes.discs : 1;
  }

  @Override
  public MeshKind kind(Mesh mesh) {
    return MeshKind.CYCLOIDAL;
  }

  @Override
  public boolean involute() {
    return false;
  }

  /** Its lobes follow from circle, pins and eccentricity. */
  @Override
  public boolean takesModule() {
    return false;
  }

  /** Lobes and pins go together: one changed, the other follows. */
  @Override
  public Cycloidal withTeeth(MemberId member, Teeth teeth) {
    if (member.equals(discId())) {
      return withLobes(teeth.count());
    }
    if (member.equals(ringId())) {
      return withLobes(teeth.count() - 1);
    }
    throw new IllegalArgumentException(member + " has no teeth");
  }
}
