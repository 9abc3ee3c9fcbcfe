package steadycog.search;

import java.util.Arrays;
import java.util.regex.Matcher;
import steadycog.notation.LossText;
import steadycog.search.Limits.Direction;
import steadycog.train.Losses;

/** What single fields of a search say; each refuses with what would be right. */
final class WantedText {
  private WantedText() {}

  static double number(String text) {
    try {
      double number = Double.parseDouble(text.strip());
      if (Double.isFinite(number) && Math.abs(number) < 1e6) {
        return number;
      }
    } catch (NumberFormatException none) {
      // Said below, together with numbers out of all bounds.
    }
    throw new IllegalArgumentException(
        "'" + text.strip() + "' is not a number below a million: write one such as 20");
  }

  static int whole(String text) {
    double number = number(text);
    if (number != Math.rint(number)) {
      throw new IllegalArgumentException("'" + text.strip() + "' is not a whole number");
    }
    return (int) number;
  }

  static Rank rank(String text) {
    return Rank.of(text.strip())
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "'"
                        + text.strip()
                        + "' is no rank: use "
                        + String.join(
                            ", ", Arrays.stream(Rank.values()).map(Rank::word).toList())));
  }

  static Losses losses(String text) {
    return LossText.read(text)
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "'" + text.strip() + "' says no losses: use " + LossText.HELP));
  }

  /** A length in modules: {@code 40}, or {@code 60 mm at 1.5 mm}, the module standing behind. */
  static double modules(String text) {
    Matcher sized = Winding.SIZED.matcher(text.strip());
    return sized.matches() ? number(sized.group(1)) / number(sized.group(2)) : number(text);
  }

  static Direction direction(String text) {
    for (Direction direction : Direction.values()) {
      if (direction.name().equalsIgnoreCase(text.strip())) {
        return direction;
      }
    }
    throw new IllegalArgumentException("'" + text + "' is no direction: use same or opposite");
  }
}
