package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Teeth;

/** An internal wheel must have more teeth than the wheel inside it. */
final class RingSizeRule implements Rule {

  @Override
  public List<Finding> check(Subject subject) {
    List<Finding> found = new ArrayList<>();
    for (Mesh mesh : subject.train().meshes()) {
      if (mesh.internal()) {
        boolean aIsRing = mesh.teethA().internal();
        Teeth ring = aIsRing ? mesh.teethA() : mesh.teethB();
        Teeth pinion = aIsRing ? mesh.teethB() : mesh.teethA();
        if (ring.count() <= pinion.count()) {
          found.add(finding(mesh, ring, pinion, aIsRing ? mesh.a() : mesh.b()));
        }
      }
    }
    return found;
  }

  private static Finding finding(Mesh mesh, Teeth ring, Teeth pinion, MemberId ringId) {
    return Finding.of("ring-too-small", Severity.ERROR, List.of(mesh.a(), mesh.b()))
        .with("ring", ringId)
        .with("ringTeeth", ring.count())
        .with("pinionTeeth", pinion.count());
  }
}
