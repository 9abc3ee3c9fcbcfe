package steadycog.train;

/** Two members that turn as one: keyed to the same shaft, joined, or locked by a clutch. */
public record Join(MemberId a, MemberId b) {

  public boolean touches(MemberId member) {
    return a.equals(member) || b.equals(member);
  }

  /** The member that {@code member}, one of the two, is tied to. */
  public MemberId other(MemberId member) {
    return a.equals(member) ? b : a;
  }
}
