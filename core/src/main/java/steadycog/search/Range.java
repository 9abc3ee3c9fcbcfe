package steadycog.search;

/** Whole numbers from {@code from} to {@code to}, both included. */
public record Range(int from, int to) {

  public Range {
    if (from > to) {
      throw new IllegalArgumentException(
          from + ".." + to + " is empty: write the smaller number first");
    }
  }

  /** {@code 12..120}, or {@code 3} for 3..3. */
  public static Range parse(String text) {
    String[] ends = text.strip().split("\\.\\.", 2);
    try {
      int from = Integer.parseInt(ends[0].strip());
      return new Range(from, ends.length == 1 ? from : Integer.parseInt(ends[1].strip()));
    } catch (NumberFormatException none) {
      throw new IllegalArgumentException(
          "'" + text + "' is no range: write two whole numbers such as 12..120");
    }
  }

  public boolean contains(int number) {
    return from <= number && number <= to;
  }

  @Override
  public String toString() {
    return from == to ? Integer.toString(from) : from + ".." + to;
  }
}
