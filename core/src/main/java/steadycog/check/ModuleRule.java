package steadycog.check;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Pitch;
import steadycog.train.Train;

/** Teeth that mesh share one module: two sizes stated of wheels that mesh contradict each other. */
final class ModuleRule implements Rule {

  @Override
  public List<Finding> check(Subject subject) {
    Train train = subject.train();
    List<Finding> found = new ArrayList<>();
    if (!train.hasOwnPitches()) {
      return found;
    }
    Set<MemberId> told = new HashSet<>();
    for (Mesh mesh : train.meshes()) {
      if (told.add(mesh.a())) {
        List<MemberId> meshing = train.meshing(mesh.a());
        told.addAll(meshing);
        List<MemberId> stating =
            meshing.stream().filter(wheel -> pitch(train, wheel).isPresent()).toList();
        if (stating.stream().map(wheel -> pitch(train, wheel)).distinct().count() > 1) {
          found.add(
              Finding.of("one-module", Severity.ERROR, stating)
                  .with(
                      "sizes",
                      stating.stream()
                          .map(w -> pitch(train, w).orElseThrow().statement() + " of " + w)
                          .collect(Collectors.joining(", "))));
        }
      }
    }
    return found;
  }

  private static Optional<Pitch> pitch(Train train, MemberId wheel) {
    return train.sizes().own(wheel).pitch();
  }
}
