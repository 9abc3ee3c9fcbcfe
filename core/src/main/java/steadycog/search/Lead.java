package steadycog.search;

/**
 * Tooth counts that come near the target, not yet built or checked.
 *
 * @param atBest what a train of them can at best be; its error and stages are theirs
 * @param key where that would stand
 */
record Lead(Measures atBest, Key key, Builder builder) implements Comparable<Lead> {

  /** Builds the trains of a lead for which there is room, the smaller ones first. */
  interface Builder {
    void build(Judge judge);
  }

  @Override
  public int compareTo(Lead other) {
    return key.compareTo(other.key);
  }
}
