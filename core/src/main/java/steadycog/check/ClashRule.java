package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import steadycog.shape.FaceLayout;

/** Wheels of one plane that run into each other however the shafts are laid out. */
final class ClashRule implements Rule {

  @Override
  public boolean looksAtLayout() {
    return true;
  }

  @Override
  public List<Finding> check(Subject subject) {
    List<Finding> found = new ArrayList<>();
    for (FaceLayout.Clash clash : subject.layout().get().clashes()) {
      Finding finding =
          Finding.of("clash", Severity.ERROR, List.of(clash.a(), clash.b()))
              .with("a", clash.a())
              .with("b", clash.b())
              .with("overlap", PairRule.rounded(clash.depth(), 2));
      found.add(clash.shaft() ? finding.worded("shaft") : finding);
    }
    return found;
  }
}
