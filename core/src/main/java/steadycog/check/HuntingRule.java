package steadycog.check;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import steadycog.train.MemberId;
import steadycog.train.Mesh;

/**
 * Counts without a common factor let every tooth meet every other before any pair meets again, so
 * wear is even; else the same few pairs meet (Niemann &amp; Winter II). Pairs that share a factor
 * are told in one note for the whole train.
 */
final class HuntingRule implements Rule {

  @Override
  public List<Finding> check(Subject subject) {
    List<Finding> found = new ArrayList<>();
    List<Mesh> sharing = new ArrayList<>();
    for (Mesh mesh : subject.train().involuteMeshes()) {
      if (common(mesh) > 1) {
        sharing.add(mesh);
      } else {
        found.add(hunting(mesh));
      }
    }
    if (!sharing.isEmpty()) {
      found.add(shared(sharing));
    }
    return found;
  }

  private static Finding hunting(Mesh mesh) {
    Finding finding =
        PairRule.finding("hunting", Severity.OK, mesh)
            .with("a", mesh.a())
            .with("b", mesh.b())
            .with("turnsA", mesh.teethB().count())
            .with("turnsB", mesh.teethA().count());
    return mesh.carrier().isPresent() ? finding.worded("carried") : finding;
  }

  private static Finding shared(List<Mesh> meshes) {
    Set<MemberId> members = new LinkedHashSet<>();
    List<String> pairs = new ArrayList<>();
    int most = 1;
    for (Mesh mesh : meshes) {
      members.add(mesh.a());
      members.add(mesh.b());
      int turns = mesh.teethB().count() / common(mesh);
      pairs.add(
          mesh.a()
              + " and "
              + mesh.b()
              + " share "
              + common(mesh)
              + " (every "
              + (turns == 1 ? "turn" : turns + " turns")
              + " of "
              + mesh.a()
              + (mesh.carrier().isPresent() ? " against the carrier)" : ")"));
      most = Math.max(most, common(mesh));
    }
    return Finding.of("hunting", Severity.NOTE, List.copyOf(members))
        .with("pairs", String.join("; ", pairs))
        .with("common", most)
        .worded("shared");
  }

  private static int common(Mesh mesh) {
    BigInteger a = BigInteger.valueOf(mesh.teethA().count());
    return a.gcd(BigInteger.valueOf(mesh.teethB().count())).intValueExact();
  }
}
