package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.number.Figures;
import steadycog.train.Mesh;
import steadycog.train.Train;

/** A rule that looks at one mesh at a time. */
abstract class PairRule implements Rule {

  @Override
  public final List<Finding> check(Subject subject) {
    List<Finding> found = new ArrayList<>();
    for (Mesh mesh : subject.train().involuteMeshes()) {
      check(subject.train(), mesh).ifPresent(found::add);
    }
    return found;
  }

  abstract Optional<Finding> check(Train train, Mesh mesh);

  static Finding finding(String code, Severity severity, Mesh mesh) {
    return Finding.of(code, severity, List.of(mesh.a(), mesh.b()));
  }

  static String rounded(double value, int decimals) {
    return Figures.fixed(value, decimals);
  }
}
