package steadycog.search;

/**
 * Which candidates are listed, and in what order.
 *
 * @param any whether trains with errors are listed too, marked as such
 * @param top how many are listed at most, of all kinds together
 */
public record Listing(Rank rank, boolean any, int top) {
  public static final int MOST = 1000;
  public static final Listing USUAL = new Listing(Rank.ERROR, false, 20);

  public Listing {
    if (top < 1 || top > MOST) {
      throw new IllegalArgumentException("1 to 1000 candidates can be listed: found " + top);
    }
  }
}
