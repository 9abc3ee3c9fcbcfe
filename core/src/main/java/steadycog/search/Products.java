package steadycog.search;

import java.util.Arrays;
import java.util.stream.IntStream;

/**
 * All products of a number of wheels that lie in a window, as a bitmap: a sorted list in which the
 * neighbours of any number are found at once. A window of 2^28 numbers takes 32 MB; four wheels of
 * 12 to 120 teeth fit into one. Cost: one step a pair of half products, spread over two threads.
 */
final class Products {
  /** The widest window. */
  static final long WIDEST = 1L << 28;

  private static final int PARTS = 8;

  private final long low;
  private final long high;
  private final long[] bits;

  private Products(long low, long high) {
    this.low = low & ~63L;
    this.high = high;
    this.bits = new long[(int) ((high - this.low) / 64 + 1)];
  }

  /**
   * The products of {@code factors} of {@code counts} from {@code low} to {@code high}.
   *
   * @param counts in rising order, each once
   */
  static Products of(int[] counts, int factors, long low, long high) {
    return of(distinct(counts, (factors + 1) / 2), distinct(counts, factors / 2), low, high);
  }

  /** The products of one of {@code larger} and one of {@code smaller}, both rising, in a window. */
  static Products of(long[] larger, long[] smaller, long low, long high) {
    Products products = new Products(low, high);
    long words = products.bits.length;
    IntStream.range(0, PARTS)
        .parallel()
        .forEach(
            part -> {
              long from = products.low + words * part / PARTS * 64;
              long to = Math.min(high, products.low + words * (part + 1) / PARTS * 64 - 1);
              products.mark(larger, smaller, Math.max(low, from), to);
            });
    return products;
  }

  /** The distinct products of a few of {@code counts}, rising. */
  static long[] distinct(int[] counts, int factors) {
    long[] products = {1};
    for (int k = 0; k < factors; k++) {
      long[] next = new long[products.length * counts.length];
      int at = 0;
      for (long product : products) {
        for (int count : counts) {
          next[at++] = product * count;
        }
      }
      products = Arrays.stream(next).parallel().sorted().distinct().toArray();
    }
    return products;
  }

  /** As {@code larger} rises, the first of {@code smaller} that reaches the window falls. */
  private void mark(long[] larger, long[] smaller, long from, long to) {
    int first = smaller.length;
    for (long a : larger) {
      if (a * smaller[0] > to) {
        break;
      }
      while (first > 0 && a * smaller[first - 1] >= from) {
        first--;
      }
      for (int k = first; k < smaller.length; k++) {
        long product = a * smaller[k];
        if (product > to) {
          break;
        }
        long bit = product - low;
        bits[(int) (bit >>> 6)] |= 1L << bit;
      }
    }
  }

  long low() {
    return low;
  }

  long high() {
    return high;
  }

  /** The least product from {@code from} to {@code to}; -1 where there is none in the window. */
  long next(long from, long to) {
    long bit = Math.max(0, from - low);
    int word = (int) (bit >>> 6);
    int last = (int) Math.min(bits.length - 1, (to - low) >> 6);
    if (word > last) {
      return -1;
    }
    long rest = bits[word] & (-1L << bit);
    while (rest == 0) {
      word++;
      if (word > last) {
        return -1;
      }
      rest = bits[word];
    }
    long found = low + ((long) word << 6) + Long.numberOfTrailingZeros(rest);
    return found <= to ? found : -1;
  }

  long size() {
    return Arrays.stream(bits).map(Long::bitCount).sum();
  }
}
