package steadycog.format.csv;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The head of a column: {@code torque [Nm]}, {@code Torque (lbf-in)}, {@code torque_Nm}.
 *
 * @param text as it stands
 * @param name in small letters without the unit, words parted by single spaces
 * @param unit as it stands; empty where none is given
 */
record Heading(String text, String name, String unit) {
  private static final Pattern BRACKETED = Pattern.compile("(.*?)\\s*[\\[(]([^\\])]*)[\\])]\\s*");
  private static final Pattern TAILED =
      Pattern.compile(
          "(.*?)[\\s_,]+(s|ms|min|deg|rad|turns?|revs?|counts|Nm|Nmm|N\u00b7m|mNm|lbf-in|lbf-ft|A|mA|V|mV"
              + "|\u00b0C|C|\u00b0F|F|dB|rpm|kg|g|N|arcmin)",
          Pattern.CASE_INSENSITIVE);

  static Heading of(String text) {
    String stripped = text.strip();
    Matcher bracketed = BRACKETED.matcher(stripped);
    if (bracketed.matches()) {
      return new Heading(stripped, bare(bracketed.group(1)), bracketed.group(2).strip());
    }
    Matcher tailed = TAILED.matcher(stripped);
    return tailed.matches() && !tailed.group(1).isBlank()
        ? new Heading(stripped, bare(tailed.group(1)), tailed.group(2))
        : new Heading(stripped, bare(stripped), "");
  }

  private static String bare(String name) {
    return name.toLowerCase(Locale.ROOT).replaceAll("[\\s_.-]+", " ").strip();
  }
}
