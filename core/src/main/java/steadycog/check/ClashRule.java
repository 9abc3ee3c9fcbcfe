package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import steadycog.shape.FaceLayout;

/** Wheels of one plane that run into each other however the shafts are laid out. */
final class ClashRule implements Rule {

  @Override
  public Needs needs() {
    return Needs.LAYOUT;
  }

  @Override
  public List<Finding> check(Subject subject) {
    List<Finding> found = new ArrayList<>();
    for (FaceLayout.Clash clash : subject.layout().clashes()) {
      Finding finding =
          Finding.of("clash", Severity.ERROR, List.of(clash.a(), clash.b()))
              .with("a", clash.a())
              .with("b", clash.b())
              .with("overlap", PairRule.rounded(clash.depth(), 2));
      boolean movable =
          subject.train().partOf(clash.a()).isChain()
              && subject.train().partOf(clash.b()).isChain();
      found.add(
          clash.shaft()
              ? finding.worded(movable ? "shaft" : "fixed-shaft")
              : movable ? finding : finding.worded("fixed"));
    }
    return found;
  }
}
