package steadycog.search;

import java.util.ArrayList;
import java.util.List;

/** Writes a product as wheels. */
final class Factors {
  private Factors() {}

  /**
   * Every way to write {@code product} as a product of {@code many} of {@code counts}, the largest
   * first; a count may be used again.
   *
   * @param counts in rising order
   */
  static List<List<Integer>> of(long product, int many, int[] counts) {
    List<List<Integer>> found = new ArrayList<>();
    split(product, many, counts, counts.length - 1, new ArrayList<>(), found);
    return found;
  }

  private static void split(
      long rest, int many, int[] counts, int at, List<Integer> chosen, List<List<Integer>> found) {
    if (many == 0) {
      if (rest == 1) {
        found.add(List.copyOf(chosen));
      }
      return;
    }
    for (int k = at; k >= 0 && Math.pow(counts[k], many) >= rest * 0.999999; k--) {
      if (rest % counts[k] == 0) {
        chosen.add(counts[k]);
        split(rest / counts[k], many - 1, counts, k, chosen, found);
        chosen.removeLast();
      }
    }
  }
}
