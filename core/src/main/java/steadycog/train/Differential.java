package steadycog.train;

import java.util.List;
import java.util.Optional;

/**
 * A bevel differential: two equal side gears, and spiders on the case that mesh with both. The case
 * turns at the mean of the two sides, and each side passes half of its torque (Norton, <i>Design of
 * Machinery</i>). Left and right are looked at from one end, so that straight on both turn alike.
 *
 * @param side teeth of each side gear
 * @param spider teeth of a spider; they cancel
 * @param spiders how many, 1 to {@value #MOST_SPIDERS}
 */
public record Differential(String name, int side, int spider, int spiders) implements Part {
  public static final int MOST_SPIDERS = 6;
  public static final int USUAL_SPIDERS = 2;

  public Differential {
    Teeth.external(side);
    Teeth.external(spider);
    if (spiders < 1 || spiders > MOST_SPIDERS) {
      throw new IllegalArgumentException(
          "spiders x" + spiders + ": expected x1 to x" + MOST_SPIDERS);
    }
  }

  public MemberId leftId() {
    return new MemberId(name, "left");
  }

  public MemberId rightId() {
    return new MemberId(name, "right");
  }

  public MemberId caseId() {
    return new MemberId(name, "case");
  }

  /** What a spider is called; it is no member that can be driven or held. */
  public MemberId spiderId() {
    return new MemberId(name, "spider");
  }

  /** The same differential with so many spiders. */
  public Differential withSpiders(int count) {
    return new Differential(name, side, spider, count);
  }

  @Override
  public Differential named(String changed) {
    return new Differential(changed, side, spider, spiders);
  }

  @Override
  public List<Member> members() {
    return List.of(
        new Member(leftId(), Optional.of(Teeth.external(side))),
        new Member(rightId(), Optional.of(Teeth.external(side))),
        new Member(caseId(), Optional.empty()));
  }

  /** The sides as they act on each other through the spiders, which only pass the motion on. */
  @Override
  public List<Mesh> meshes() {
    return List.of(
        new Mesh(
            leftId(),
            Teeth.external(side),
            rightId(),
            Teeth.external(side),
            Optional.of(caseId())));
  }

  @Override
  public List<Join> inLine() {
    return List.of(new Join(caseId(), leftId()), new Join(caseId(), rightId()));
  }

  @Override
  public List<MemberId> shafts() {
    return List.of(leftId(), rightId(), caseId());
  }

  @Override
  public MeshKind kind(Mesh mesh) {
    return MeshKind.BEVEL;
  }

  /** Side to spider, and spider to the other side. */
  @Override
  public List<Mesh> contacts(Mesh mesh) {
    MemberId between = spiderId();
    Teeth teeth = Teeth.external(spider);
    return List.of(
        new Mesh(mesh.a(), mesh.teethA(), between, teeth, mesh.carrier()),
        new Mesh(between, teeth, mesh.b(), mesh.teethB(), mesh.carrier()));
  }

  @Override
  public boolean involute() {
    return false;
  }

  /** Both sides are cut alike, and the spiders shifted back by as much. */
  @Override
  public boolean takesShift(MemberId wheel) {
    return wheel.equals(leftId());
  }

  @Override
  public String noShift() {
    return "both sides are shifted as the left one, spiders back by as much; shift the left one";
  }

  /** A changed side changes both: the two are equal. */
  @Override
  public Differential withTeeth(MemberId member, Teeth teeth) {
    if (member.equals(caseId())) {
      throw new IllegalArgumentException(member + " has no teeth");
    }
    return new Differential(name, teeth.count(), spider, spiders);
  }
}
