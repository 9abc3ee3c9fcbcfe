package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import steadycog.train.Bevel;

/** What is to be known of a right-angle pair: the side of its crown, its contact, its offset. */
final class BevelRule implements Rule {

  @Override
  public List<Finding> check(Subject subject) {
    List<Finding> found = new ArrayList<>();
    for (Bevel pair : subject.train().parts(Bevel.class)) {
      found.add(side(pair));
      found.add(
          Finding.of("bevel-contact", Severity.NOTE, List.of(pair.pinionId(), pair.crownId())));
      pair.offset()
          .ifPresent(
              offset ->
                  found.add(
                      Finding.of("hypoid", Severity.NOTE, List.of(pair.pinionId()))
                          .with("offset", offset)));
    }
    return found;
  }

  /** Direction across a right angle is a choice of side. */
  private static Finding side(Bevel pair) {
    return Finding.of("crown-side", Severity.NOTE, List.of(pair.crownId()))
        .with("crown", pair.crownId())
        .with("side", word(pair.side()))
        .with("other", word(pair.side().other()))
        .with("way", pair.side() == Bevel.Side.RIGHT ? "the same way" : "the other way");
  }

  private static String word(Bevel.Side side) {
    return side.name().toLowerCase(Locale.ROOT);
  }
}
