package steadycog.train;

import java.util.List;
import java.util.Optional;
import steadycog.number.Quantity;

/**
 * A pair of bevel gears between shafts that cross at a right angle.
 *
 * <p>Across a right angle "the same way" has no meaning of its own. The pinion is looked at from
 * its drive end, the cross shaft from its left end as seen from there; with the crown to the right
 * of the pinion both then turn the same way, with the crown to the left opposite ways.
 *
 * @param pinion teeth
 * @param crown teeth of the gear on the cross shaft
 * @param side on which the crown sits, seen along the pinion's shaft from its drive end
 * @param offset by which a hypoid's shafts pass each other; the ratio does not depend on it
 */
public record Bevel(String name, int pinion, int crown, Side side, Optional<Quantity> offset)
    implements Part {

  /** Where the crown sits, seen along the pinion's shaft from its drive end. */
  public enum Side {
    LEFT,
    RIGHT;

    public Side other() {
      return this == LEFT ? RIGHT : LEFT;
    }
  }

  public Bevel {
    Teeth.external(pinion);
    Teeth.external(crown);
    offset.ifPresent(length -> Cycloidal.requireLength("offset", length));
  }

  public MemberId pinionId() {
    return new MemberId(name, "pinion");
  }

  public MemberId crownId() {
    return new MemberId(name, "crown");
  }

  /** The same pair with the crown on {@code changed}. */
  public Bevel onSide(Side changed) {
    return new Bevel(name, pinion, crown, changed, offset);
  }

  @Override
  public Bevel named(String changed) {
    return new Bevel(changed, pinion, crown, side, offset);
  }

  @Override
  public List<Member> members() {
    return List.of(
        new Member(pinionId(), Optional.of(Teeth.external(pinion))),
        new Member(crownId(), Optional.of(Teeth.external(crown))));
  }

  @Override
  public List<Mesh> meshes() {
    return List.of(
        new Mesh(
            pinionId(),
            Teeth.external(pinion),
            crownId(),
            Teeth.external(crown),
            Optional.empty(),
            side == Side.RIGHT));
  }

  @Override
  public List<Join> inLine() {
    return List.of();
  }

  @Override
  public List<MemberId> shafts() {
    return List.of(pinionId(), crownId());
  }

  @Override
  public MeshKind kind(Mesh mesh) {
    return MeshKind.BEVEL;
  }

  @Override
  public boolean involute() {
    return false;
  }

  /** The crown is shifted back by as much, so that both roll on the cones of their counts. */
  @Override
  public boolean takesShift(MemberId wheel) {
    return wheel.equals(pinionId());
  }

  @Override
  public String noShift() {
    return "the crown is shifted back by as much as the pinion is shifted; shift the pinion";
  }

  @Override
  public Optional<Ends> usualEnds() {
    return Optional.of(new Ends(pinionId(), crownId()));
  }

  @Override
  public Bevel withTeeth(MemberId member, Teeth teeth) {
    return member.equals(pinionId())
        ? new Bevel(name, teeth.count(), crown, side, offset)
        : new Bevel(name, pinion, teeth.count(), side, offset);
  }
}
