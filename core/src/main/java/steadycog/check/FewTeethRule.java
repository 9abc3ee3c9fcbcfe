package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import steadycog.train.Member;

/** Below 8 teeth no usable spur gear can be made; below 12 only with care (Niemann & Winter II). */
final class FewTeethRule implements Rule {
  private static final int FEWEST = 8;
  private static final int COMFORTABLE = 12;

  @Override
  public List<Finding> check(Subject subject) {
    List<Finding> found = new ArrayList<>();
    for (Member member : subject.train().involuteWheels()) {
      int count = member.teeth().map(teeth -> teeth.count()).orElse(COMFORTABLE);
      if (count < COMFORTABLE) {
        boolean hopeless = count < FEWEST;
        found.add(
            Finding.of(
                    "few-teeth", hopeless ? Severity.ERROR : Severity.WARNING, List.of(member.id()))
                .with("teeth", count)
                .with("least", hopeless ? FEWEST : COMFORTABLE)
                .with("margin", count - (hopeless ? FEWEST : COMFORTABLE)));
      }
    }
    return found;
  }
}
