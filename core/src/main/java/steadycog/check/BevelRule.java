package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import steadycog.train.Bevel;
import steadycog.train.Part;

/** What is to be known of a right-angle pair: the side of its crown, its contact, its offset. */
final class BevelRule implements Rule {

  @Override
  public List<Finding> check(Subject subject) {
    List<Finding> found = new ArrayList<>();
    for (Part part : subject.train().parts()) {
      if (part instanceof Bevel pair) {
        found.add(side(subject, pair));
        found.add(
            Finding.of("bevel-contact", Severity.NOTE, List.of(pair.pinionId(), pair.crownId())));
        pair.offset()
            .ifPresent(
                offset ->
                    found.add(
                        Finding.of("hypoid", Severity.NOTE, List.of(pair.pinionId()))
                            .with("offset", offset)));
      }
    }
    return found;
  }

  /** Direction across a right angle is a choice of side: the cure is to choose the other. */
  private static Finding side(Subject subject, Bevel pair) {
    Bevel.Side other = pair.side().other();
    return Finding.of("crown-side", Severity.NOTE, List.of(pair.crownId()))
        .with("crown", pair.crownId())
        .with("side", word(pair.side()))
        .with("way", pair.side() == Bevel.Side.RIGHT ? "the same way" : "the other way")
        .curedBy(
            List.of(
                new Cure(
                    "crown " + word(pair.side()) + " -> " + word(other),
                    subject.train().withPart(pair.onSide(other)))));
  }

  private static String word(Bevel.Side side) {
    return side.name().toLowerCase(Locale.ROOT);
  }
}
