package steadycog.study;

import java.util.ArrayList;
import java.util.List;
import steadycog.motion.RatioBoard;
import steadycog.motion.RatioBoard.Configuration;
import steadycog.number.Ratio;
import steadycog.train.MemberId;
import steadycog.train.Part;
import steadycog.train.Train;

/**
 * The two ways in which a drive with one fast shaft gears down: hold one slow member, take the
 * other.
 */
public final class Arrangements {
  private Arrangements() {}

  /** One slow member held, the other taken off. */
  public record Arrangement(MemberId hold, MemberId take, Ratio ratio) {}

  /**
   * Both ways to drive the first shaft of {@code part}; the slow member named last is held first.
   */
  public static List<Arrangement> of(Part part) {
    MemberId fast = part.shafts().getFirst();
    List<Arrangement> all = new ArrayList<>();
    for (Configuration one : RatioBoard.of(Train.of(List.of(part))).configurations()) {
      if (one.drive().equals(fast) && one.hold().isPresent()) {
        all.addFirst(new Arrangement(one.hold().get(), one.take(), one.ratio()));
      }
    }
    return List.copyOf(all);
  }
}
