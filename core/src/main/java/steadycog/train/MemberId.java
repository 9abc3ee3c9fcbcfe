package steadycog.train;

/**
 * The address of a member: its part's name (empty for the one unnamed part) and its own name.
 *
 * @param part the part's name, or "" for an unnamed part
 * @param name the member's name within the part, as {@code A} or {@code sun}
 */
public record MemberId(String part, String name) implements Comparable<MemberId> {

  /** The address as a card shows it: {@code A} or {@code winch.A}. */
  @Override
  public String toString() {
    return part.isEmpty() ? name : part + "." + name;
  }

  @Override
  public int compareTo(MemberId other) {
    return toString().compareTo(other.toString());
  }
}
