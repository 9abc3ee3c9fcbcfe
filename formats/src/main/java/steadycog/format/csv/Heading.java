package steadycog.format.csv;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import steadycog.number.Unit;
import steadycog.number.Unit.Dimension;

/**
 * The head of a column: {@code torque [Nm]}, {@code Torque (lbf-in)}, {@code torque_Nm}, {@code
 * torque/Nm}.
 *
 * @param text as it stands
 * @param name in small letters without the unit, words parted by single spaces
 * @param unit as it stands; empty where none is given
 */
record Heading(String text, String name, String unit) {
  private static final Pattern BRACKETED = Pattern.compile("(.*?)\\s*([\\[(])([^\\])]*)[\\])]\\s*");

  /** A single letter is a unit only behind a mark: the A of {@code encoder A} is none. */
  private static final Pattern TAILED =
      Pattern.compile("(.*[^\\s_,/])(\\s*[_,/]\\s*|\\s+)([^\\s_,/]+(?:/\\d+)?)");

  private static final Pattern COUNTS = Pattern.compile("counts?(\\s*/\\s*\\d{1,9}(\\.\\d+)?)?");
  private static final Set<String> SIDES = Set.of("in", "out", "input", "output");

  static Heading of(String text) {
    String stripped = text.strip();
    Matcher bracketed = BRACKETED.matcher(stripped);
    if (bracketed.matches()) {
      String inside = bracketed.group(3).strip();
      boolean unit = bracketed.group(2).equals("[") || isUnit(inside);
      return unit && !SIDES.contains(inside.toLowerCase(Locale.ROOT))
          ? new Heading(stripped, bare(bracketed.group(1)), inside)
          : new Heading(stripped, bare(bracketed.group(1) + " " + inside), "");
    }
    Matcher tailed = TAILED.matcher(stripped);
    if (tailed.matches()) {
      String tail = tailed.group(3);
      boolean marked = !tailed.group(2).isBlank();
      if (isUnit(tail)
          && (tail.length() > 1 || marked || tail.equals("\u00b0"))
          && !SIDES.contains(tail.toLowerCase(Locale.ROOT))) {
        return new Heading(stripped, bare(tailed.group(1)), tail);
      }
    }
    return new Heading(stripped, bare(stripped), "");
  }

  /** Whether the text is a unit of anything, or counts of an encoder. */
  static boolean isUnit(String text) {
    return dimension(text).isPresent();
  }

  /** What is measured in such a unit. */
  static Optional<Dimension> dimension(String unit) {
    String text = unit.strip();
    if (text.isEmpty()) {
      return Optional.empty();
    }
    if (COUNTS.matcher(text.toLowerCase(Locale.ROOT)).matches()) {
      return Optional.of(Dimension.ANGLE);
    }
    return Arrays.stream(Dimension.values())
        .filter(dimension -> Unit.of(text, dimension).isPresent())
        .findFirst();
  }

  List<String> words() {
    return List.of(name.split(" "));
  }

  private static String bare(String name) {
    return name.replaceAll("(\\p{Ll})(\\p{Lu})", "$1 $2")
        .replaceAll("(\\p{L})(\\d)", "$1 $2")
        .toLowerCase(Locale.ROOT)
        .replaceAll("[\\s_./:,;-]+", " ")
        .strip();
  }
}
