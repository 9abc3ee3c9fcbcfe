package steadycog.study;

import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.train.Bevel;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.MemberId;
import steadycog.train.Parallel;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Shaft;
import steadycog.train.StrainWave;

/**
 * How a disc of lobes or a flexspline falls behind what it rolls in: by the difference of the two
 * counts for every turn of the fast shaft. People count a ratio by it.
 *
 * @param fast the eccentric or the wave generator
 * @param slow the disc or the flexspline
 * @param tooth what it falls behind by, in the singular
 * @param each how many of them in a turn
 * @param all how many it has
 */
public record Creep(MemberId fast, MemberId slow, String tooth, int each, int all) {
  private static final int TEN = 10;

  /** Of a cycloidal or strain wave drive; empty for any other part. */
  public static Optional<Creep> of(Part part) {
    return switch (part) {
      case Cycloidal drive ->
          Optional.of(
              new Creep(
                  drive.eccentricId(),
                  drive.discId(),
                  "lobe",
                  drive.pins() - drive.lobes(),
                  drive.lobes()));
      case StrainWave drive ->
          Optional.of(
              new Creep(drive.waveId(), drive.flexId(), "tooth", drive.difference(), drive.flex()));
      case Parallel chain -> Optional.empty();
      case Planetary set -> Optional.empty();
      case Bevel pair -> Optional.empty();
      case Differential sides -> Optional.empty();
      case Shaft shaft -> Optional.empty();
    };
  }

  /** What can be counted on the real thing, in words. */
  public String words() {
    String many = each == 1 ? "one " + tooth : each + (tooth.equals("tooth") ? " teeth" : " lobes");
    return "After one turn of the "
        + name(fast)
        + " against what is held, the "
        + name(slow)
        + " is "
        + many
        + " behind: "
        + Exact.text(BigFraction.of(each, all))
        + " of a turn; after ten turns "
        + each * TEN
        + ", after a hundred "
        + each * TEN * TEN
        + ".";
  }

  private static String name(MemberId id) {
    return switch (id.name()) {
      case "wave" -> "generator";
      case "flex" -> "flexspline";
      default -> id.name();
    };
  }
}
