package steadycog.search;

import java.util.Arrays;
import java.util.stream.IntStream;

/**
 * All products of a number of wheels that lie in a window, as a bitmap: a sorted list in which the
 * neighbours of any number are found at once. A window of 2^28 numbers takes 32 MB; four wheels of
 * 12 to 120 teeth fit into one. Where they do not, a small window that stays in the processor's
 * cache is moved along. Cost: one step a pair of half products.
 */
final class Products {
  /** The widest window. */
  static final long WIDEST = 1L << 28;

  private static final int PARTS = 8;

  private final long[] larger;
  private final long[] smaller;

  /**
   * For every smaller factor the first larger one that reaches the window; as it moves it rises.
   */
  private final int[] first;

  private long low;
  private long high;
  private long[] bits = {};

  /** No window yet: move it to the first one. */
  Products(long[] larger, long[] smaller) {
    this.larger = larger;
    this.smaller = smaller;
    this.first = new int[smaller.length];
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
    Products whole = new Products(larger, smaller);
    whole.open(low, high);
    long words = whole.bits.length;
    IntStream.range(0, PARTS)
        .parallel()
        .forEach(
            part -> {
              long from = whole.low + words * part / PARTS * 64;
              long to = Math.min(high, whole.low + words * (part + 1) / PARTS * 64 - 1);
              whole.mark(new int[smaller.length], Math.max(low, from), to);
            });
    return whole;
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

  /** The same for another window, whose lower end must not lie below that of the one before. */
  void move(long from, long to) {
    open(from, to);
    mark(first, from, to);
  }

  private void open(long from, long to) {
    low = from & ~63L;
    high = to;
    int words = (int) ((to - low) / 64 + 1);
    if (bits.length < words) {
      bits = new long[words];
    } else {
      Arrays.fill(bits, 0, words, 0);
    }
  }

  private void mark(int[] reached, long from, long to) {
    for (int k = 0; k < smaller.length; k++) {
      long factor = smaller[k];
      int at = reached[k];
      if (at < larger.length && factor * larger[at] < from) {
        at = reaching(from, factor, at);
        reached[k] = at;
      }
      for (; at < larger.length; at++) {
        long product = factor * larger[at];
        if (product > to) {
          break;
        }
        long bit = product - low;
        bits[(int) (bit >>> 6)] |= 1L << bit;
      }
    }
  }

  /** The first larger factor whose product is not below {@code from}: by steps that double. */
  private int reaching(long from, long factor, int start) {
    int step = 1;
    int below = start;
    while (below + step < larger.length && factor * larger[below + step] < from) {
      below += step;
      step *= 2;
    }
    int above = Math.min(larger.length, below + step);
    while (below + 1 < above) {
      int middle = (below + above) >>> 1;
      if (factor * larger[middle] < from) {
        below = middle;
      } else {
        above = middle;
      }
    }
    return above;
  }

  long low() {
    return low;
  }

  long high() {
    return high;
  }

  /** The least product from {@code from} to {@code to}; -1 where there is none in the window. */
  long next(long from, long to) {
    long end = Math.min(to, high);
    long bit = Math.max(0, from - low);
    int word = (int) (bit >>> 6);
    int last = (int) ((end - low) >> 6);
    if (end < low || word > last) {
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
    return found <= end ? found : -1;
  }

  long size() {
    return Arrays.stream(bits).map(Long::bitCount).sum();
  }
}
