package steadycog.check;

import java.util.List;
import steadycog.gearbox.Build;

/** What is wrong with a whole gearbox round a train, for those who ask for one. */
public final class GearboxFindings {

  private static final String NONE = "gearbox-none";
  private static final String CODE = "gearbox";

  private GearboxFindings() {}

  /** Whether a finding is one of these. */
  public static boolean isOne(Finding finding) {
    return finding.code().equals(CODE) || finding.code().equals(NONE);
  }

  /** An error for everything that keeps it from going together; a note where none is made. */
  public static List<Finding> of(Build build) {
    if (build.box().isEmpty()) {
      return List.of(Finding.of(NONE, Severity.NOTE, List.of()).with("why", build.why()));
    }
    return build.box().get().proof().problems().stream()
        .map(problem -> Finding.of(CODE, Severity.ERROR, List.of()).with("what", problem))
        .toList();
  }
}
