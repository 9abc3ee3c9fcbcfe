package steadycog.check;

import java.util.List;
import steadycog.gearbox.Build;

/** What is wrong with a whole gearbox round a train, for those who ask for one. */
public final class GearboxFindings {

  private GearboxFindings() {}

  /** An error for everything that keeps it from going together; a note where none is made. */
  public static List<Finding> of(Build build) {
    if (build.box().isEmpty()) {
      return List.of(Finding.of("gearbox-none", Severity.NOTE, List.of()).with("why", build.why()));
    }
    return build.box().get().proof().problems().stream()
        .map(problem -> Finding.of("gearbox", Severity.ERROR, List.of()).with("what", problem))
        .toList();
  }
}
