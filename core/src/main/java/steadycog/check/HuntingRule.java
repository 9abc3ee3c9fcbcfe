package steadycog.check;

import java.math.BigInteger;
import java.util.Optional;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Train;

/**
 * Counts without a common factor let every tooth meet every other before any pair meets again, so
 * wear is even; else the same few pairs meet (Niemann & Winter II).
 */
final class HuntingRule extends PairRule {

  @Override
  Optional<Finding> check(Train train, Mesh mesh) {
    int za = mesh.teethA().count();
    int zb = mesh.teethB().count();
    int common = gcd(za, zb);
    Finding finding =
        finding("hunting", common == 1 ? Severity.OK : Severity.NOTE, mesh)
            .with("a", mesh.a())
            .with("b", mesh.b())
            .with("turnsA", zb / common)
            .with("turnsB", za / common);
    if (mesh.carrier().isPresent()) {
      return Optional.of(
          common == 1
              ? finding.worded("carried")
              : finding.with("common", common).worded("carried-shared"));
    }
    if (common == 1) {
      return Optional.of(finding);
    }
    MemberId gear = mesh.gear();
    int pinionCount = mesh.teeth(mesh.pinion()).count();
    return Optional.of(
        finding
            .with("common", common)
            .worded("shared")
            .curedBy(Cure.nearest(train, gear, count -> gcd(count, pinionCount) == 1)));
  }

  private static int gcd(int a, int b) {
    return BigInteger.valueOf(a).gcd(BigInteger.valueOf(b)).intValueExact();
  }
}
