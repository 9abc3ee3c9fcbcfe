package steadycog.train;

import java.util.List;
import java.util.Optional;

/** A shaft without teeth: what clutches tie to one set or another, as the input of a shift plan. */
public record Shaft(String name) implements Part {

  public MemberId id() {
    return new MemberId(name, "shaft");
  }

  @Override
  public Shaft named(String changed) {
    return new Shaft(changed);
  }

  @Override
  public List<Member> members() {
    return List.of(new Member(id(), Optional.empty()));
  }

  @Override
  public List<Mesh> meshes() {
    return List.of();
  }

  @Override
  public List<Join> inLine() {
    return List.of();
  }

  @Override
  public boolean isCentred() {
    return true;
  }

  @Override
  public List<MemberId> shafts() {
    return List.of(id());
  }

  @Override
  public boolean involute() {
    return false;
  }

  @Override
  public Part withTeeth(MemberId member, Teeth teeth) {
    throw new IllegalArgumentException(member + " has no teeth");
  }
}
