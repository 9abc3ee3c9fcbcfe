package steadycog.format.csv;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * How numbers are written in a recording.
 *
 * @param comma whether a comma parts the decimals and points or spaces mark thousands; otherwise
 *     the other way round
 */
record Numbers(boolean comma) {
  /** What instruments write in place of a reading. */
  private static final Set<String> MISSING =
      Set.of(
          "",
          "nan",
          "null",
          "none",
          "n/a",
          "na",
          "#n/a",
          "-",
          "--",
          "---",
          "----",
          "ol",
          "o.l",
          "o.l.",
          "ovld",
          "ovl",
          "ovr",
          "over",
          "overload",
          "overflow",
          "inf",
          "+inf",
          "-inf",
          "err",
          "error",
          "***",
          "?",
          "#value!",
          "#div/0!",
          "#num!",
          "invalid",
          "no data");

  /** Some meters write 9.9E37 where they are over their range. */
  private static final double OVER_RANGE = 9.8e37;

  private static final Pattern PLAIN =
      Pattern.compile("[-+]?(\\d+\\.?\\d*|\\.\\d+)([eE][-+]?\\d+)?");
  private static final Pattern COMMA = Pattern.compile("[-+]?\\d*,\\d+(?:[eE][-+]?\\d+)?");
  private static final Pattern BY_POINTS = Pattern.compile("[-+]?\\d{1,3}(\\.\\d{3})+(,\\d+)?");
  private static final Pattern BY_COMMAS = Pattern.compile("[-+]?\\d{1,3}(,\\d{3})+(\\.\\d+)?");
  private static final Pattern BY_SPACES =
      Pattern.compile("[-+]?\\d{1,3}([ '\u00a0\u2009\u202f]\\d{3})+([.,]\\d+)?");

  /** One comma with three digits behind it can be either. */
  private static final Pattern EITHER = Pattern.compile("[-+]?[1-9]\\d{0,2},\\d{3}");

  /** Whether the cell says that there is no reading. */
  static boolean missing(String cell) {
    return MISSING.contains(cell.toLowerCase(Locale.ROOT));
  }

  /** The value; not a number where it is none. Infinities and hexadecimals are none. */
  double parse(String cell) {
    if (cell.isEmpty()) {
      return Double.NaN;
    }
    String text = cell.charAt(0) == '\u2212' ? "-" + cell.substring(1) : cell;
    int point = text.indexOf('.');
    int mark = text.indexOf(',');
    if (mark < 0 && (!comma || point < 0 || !BY_POINTS.matcher(text).matches())) {
      return plain(BY_SPACES.matcher(text).matches() ? unmarked(text) : text);
    }
    if (BY_SPACES.matcher(text).matches()) {
      return plain(unmarked(text).replace(',', '.'));
    }
    if (comma && BY_POINTS.matcher(text).matches()) {
      return plain(text.replace(".", "").replace(',', '.'));
    }
    if (!comma && BY_COMMAS.matcher(text).matches()) {
      return plain(text.replace(",", ""));
    }
    return COMMA.matcher(text).matches() ? plain(text.replace(',', '.')) : Double.NaN;
  }

  private static String unmarked(String text) {
    return text.replaceAll("[ '\u00a0\u2009\u202f]", "");
  }

  private static double plain(String text) {
    if (text.isEmpty() || !couldBe(text)) {
      return Double.NaN;
    }
    try {
      double value = Double.parseDouble(text);
      return Math.abs(value) < OVER_RANGE ? value : Double.NaN;
    } catch (NumberFormatException none) {
      return Double.NaN;
    }
  }

  /** Faster than a pattern over millions of cells. */
  private static boolean couldBe(String text) {
    for (int k = 0; k < text.length(); k++) {
      char c = text.charAt(k);
      boolean fits = (c >= '0' && c <= '9') || c == '.' || c == '-' || c == '+';
      if (!fits && !(k > 0 && (c == 'e' || c == 'E'))) {
        return false;
      }
    }
    return true;
  }

  /** Whether a meter wrote that it was over its range. */
  boolean overRange(String cell) {
    return PLAIN.matcher(cell).matches() && Math.abs(Double.parseDouble(cell)) >= OVER_RANGE;
  }

  /**
   * How the numbers among {@code cells} are written; empty where a comma with three digits behind
   * it may part decimals or mark thousands and nothing else says which.
   *
   * @param partedByCommas whether commas part the columns
   */
  static Optional<Numbers> of(List<String> cells, boolean partedByCommas) {
    boolean comma = false;
    boolean point = false;
    boolean either = false;
    for (String cell : cells) {
      if ((BY_POINTS.matcher(cell).matches() && cell.contains(","))
          || (COMMA.matcher(cell).matches() && !EITHER.matcher(cell).matches())) {
        comma = true;
      } else if ((BY_COMMAS.matcher(cell).matches() && !EITHER.matcher(cell).matches())
          || (PLAIN.matcher(cell).matches()
              && cell.contains(".")
              && !BY_POINTS.matcher(cell).matches())) {
        point = true;
      } else {
        either |= EITHER.matcher(cell).matches();
      }
    }
    if (either && comma == point && partedByCommas) {
      return Optional.empty();
    }
    return Optional.of(new Numbers(comma ? !point : either && !point));
  }
}
