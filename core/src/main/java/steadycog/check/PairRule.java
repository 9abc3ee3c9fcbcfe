package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiPredicate;
import steadycog.train.Mesh;
import steadycog.train.Planetary;
import steadycog.train.Teeth;
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

  /** The nearest pinion count for which {@code fits} holds, the other wheel staying as it is. */
  static Optional<Cure> nearestPinion(Train train, Mesh mesh, BiPredicate<Teeth, Teeth> fits) {
    if (train.partOf(mesh.a()) instanceof Planetary set) {
      return Recount.nearest(
              set,
              other ->
                  fits.test(
                      Teeth.external(Recount.count(other, mesh.pinion())),
                      new Teeth(Recount.count(other, mesh.gear()), mesh.internal())))
          .map(found -> Cure.set(train, set, found));
    }
    Teeth gear = mesh.teeth(mesh.gear());
    return Cure.nearest(train, mesh.pinion(), count -> fits.test(Teeth.external(count), gear));
  }

  static String rounded(double value, int decimals) {
    return String.format(Locale.ROOT, "%." + decimals + "f", value);
  }
}
