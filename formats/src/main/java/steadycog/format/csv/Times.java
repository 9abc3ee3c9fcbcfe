package steadycog.format.csv;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads times as clocks write them, row by row: dates with times (ISO 8601, {@code 14.3.2031
 * 10:22:31}, {@code 3/14/2031 10:22:31 AM}), clock times alone, which go on over midnight, and
 * minutes with seconds.
 */
final class Times {
  /** What a cell tells. */
  enum Kind {
    CLOCK,
    DATE,
    BOTH
  }

  /** In which order a date of numbers alone stands; {@code OPEN} where the rows do not tell. */
  enum Order {
    DAY_FIRST,
    MONTH_FIRST,
    OPEN
  }

  private static final String CLOCK_TEXT =
      "(?:(\\d{1,2}):)?(\\d{1,3}):(\\d{2})(?:[.,:](\\d{1,9}))?\\s*([AaPp]\\.?[Mm]\\.?)?";
  private static final String DATE_TEXT =
      "(?:(\\d{4})[-/.](\\d{1,2})[-/.](\\d{1,2})|(\\d{1,2})([./-])(\\d{1,2})[./-](\\d{4}|\\d{2})"
          + "|(\\d{1,2})[- ]([A-Za-z]{3})[a-z]*[- ](\\d{4}|\\d{2}))";
  private static final Pattern CLOCK = Pattern.compile(CLOCK_TEXT);
  private static final Pattern DATE = Pattern.compile(DATE_TEXT);
  private static final Pattern BOTH =
      Pattern.compile("(.*?\\d{2,4})(?:[T ]|,\\s*|\\s+)(\\d{1,2}:.*?)\\s*(Z|[+-]\\d{2}:?\\d{2})?");
  private static final Pattern COMPACT =
      Pattern.compile("(\\d{4})(\\d{2})(\\d{2})T(\\d{2})(\\d{2})(\\d{2})([.,]\\d+)?(Z?)");
  private static final List<String> MONTHS =
      List.of("jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec");
  private static final int MONTHS_A_YEAR = 12;
  private static final double DAY = 86_400;
  private static final double HOUR = 3_600;
  private static final double MINUTE = 60;
  private static final int CENTURY = 2000;

  private final Order order;
  private double added;
  private double last = Double.NaN;
  private double first = Double.NaN;

  Times(Order order) {
    this.order = order;
  }

  /** Empty where the cell tells no time; a plain number tells none here. */
  static Optional<Kind> kind(String cell) {
    String text = expanded(cell);
    if (CLOCK.matcher(text).matches()) {
      return Optional.of(Kind.CLOCK);
    }
    if (DATE.matcher(text).matches()) {
      return Optional.of(Kind.DATE);
    }
    Matcher both = BOTH.matcher(text);
    return both.matches()
            && DATE.matcher(both.group(1)).matches()
            && CLOCK.matcher(both.group(2)).matches()
        ? Optional.of(Kind.BOTH)
        : Optional.empty();
  }

  /** How the dates among {@code cells} must stand. */
  static Order order(List<String> cells) {
    Order found = Order.OPEN;
    for (String cell : cells) {
      String text = expanded(cell);
      Matcher both = BOTH.matcher(text);
      Matcher date = DATE.matcher(both.matches() ? both.group(1) : text);
      if (!date.matches() || date.group(4) == null) {
        continue;
      }
      boolean pointed = date.group(5).equals(".");
      if (pointed || Integer.parseInt(date.group(4)) > MONTHS_A_YEAR) {
        return Order.DAY_FIRST;
      }
      if (Integer.parseInt(date.group(6)) > MONTHS_A_YEAR
          || text.toLowerCase(Locale.ROOT).matches(".*[ap]\\.?m\\.?.*")) {
        found = Order.MONTH_FIRST;
      }
    }
    return found;
  }

  /** Whether such a date needs to be told which number is the day. */
  static boolean open(List<String> cells) {
    return order(cells) == Order.OPEN
        && cells.stream()
            .map(Times::expanded)
            .map(text -> BOTH.matcher(text).matches() ? text.replaceAll("[T ,].*", "") : text)
            .map(DATE::matcher)
            .anyMatch(date -> date.matches() && date.group(4) != null);
  }

  /**
   * The seconds since the first row.
   *
   * @param date of a column apart; empty where there is none
   * @return infinite where it cannot be read
   */
  double next(String date, String text) {
    double day = Double.NaN;
    String clock = expanded(text);
    double zone = 0;
    Matcher both = BOTH.matcher(clock);
    if (both.matches() && DATE.matcher(both.group(1)).matches()) {
      day = day(both.group(1));
      clock = both.group(2);
      zone = zone(both.group(3));
    } else if (!date.isEmpty()) {
      day = day(date);
    }
    boolean dated = both.matches() || !date.isEmpty();
    double seconds = clock(dated && clock.matches("\\d{1,2}:\\d{2}") ? clock + ":00" : clock);
    if (Double.isInfinite(seconds) || Double.isInfinite(day)) {
      return Double.POSITIVE_INFINITY;
    }
    double now;
    if (Double.isNaN(day)) {
      double round = clock.indexOf(':') == clock.lastIndexOf(':') ? HOUR : DAY;
      if (seconds + added < last - round / 2) {
        added += round;
      }
      now = seconds + added;
    } else {
      now = day * DAY + seconds - zone;
    }
    first = Double.isNaN(first) ? now : first;
    last = now;
    return now - first;
  }

  private static String expanded(String cell) {
    Matcher compact = COMPACT.matcher(cell.strip());
    return compact.matches() ? compact.replaceAll("$1-$2-$3T$4:$5:$6$7$8") : cell.strip();
  }

  private static double zone(String text) {
    if (text == null || text.equals("Z")) {
      return 0;
    }
    String digits = text.replaceAll("\\D", "");
    double size =
        Integer.parseInt(digits.substring(0, 2)) * HOUR
            + Integer.parseInt(digits.substring(2)) * MINUTE;
    return text.charAt(0) == '-' ? -size : size;
  }

  /** Seconds since midnight, or since the hour; infinite where it is none. */
  private static double clock(String text) {
    Matcher clock = CLOCK.matcher(text);
    if (!clock.matches()) {
      return Double.POSITIVE_INFINITY;
    }
    double hours = clock.group(1) == null ? 0 : Integer.parseInt(clock.group(1));
    double minutes = Integer.parseInt(clock.group(2));
    double seconds = Integer.parseInt(clock.group(3));
    double rest = clock.group(4) == null ? 0 : Double.parseDouble("0." + clock.group(4));
    String half = clock.group(5) == null ? "" : clock.group(5).toLowerCase(Locale.ROOT);
    if (!half.isEmpty()) {
      hours = hours % MONTHS_A_YEAR + (half.charAt(0) == 'p' ? MONTHS_A_YEAR : 0);
    }
    return hours * HOUR + minutes * MINUTE + seconds + rest;
  }

  /** Days since 1970; not a number where the order is open, infinite where it is no date. */
  private double day(String text) {
    Matcher date = DATE.matcher(text.strip());
    if (!date.matches()) {
      return Double.POSITIVE_INFINITY;
    }
    try {
      if (date.group(1) != null) {
        return day(date.group(1), date.group(2), date.group(3));
      }
      if (date.group(9) != null) {
        int month = MONTHS.indexOf(date.group(9).toLowerCase(Locale.ROOT)) + 1;
        return day(date.group(10), Integer.toString(month), date.group(8));
      }
      return switch (order) {
        case DAY_FIRST -> day(date.group(7), date.group(6), date.group(4));
        case MONTH_FIRST -> day(date.group(7), date.group(4), date.group(6));
        case OPEN -> Double.NaN;
      };
    } catch (DateTimeException none) {
      return Double.POSITIVE_INFINITY;
    }
  }

  private static double day(String year, String month, String day) {
    int y = Integer.parseInt(year);
    return LocalDate.of(
            year.length() == 2 ? CENTURY + y : y, Integer.parseInt(month), Integer.parseInt(day))
        .toEpochDay();
  }
}
