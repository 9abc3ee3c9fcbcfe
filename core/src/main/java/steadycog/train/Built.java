package steadycog.train;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** How a wheel comes to its place where that is not by being pushed along its axis. */
public enum Built {
  /** In two halves, parted across the axis in the middle of its face, one from each side. */
  HALVES,
  /** Printed where it stands, in mesh with the others. */
  PLACE;

  public static Optional<Built> of(String word) {
    return Arrays.stream(values()).filter(one -> one.word().equalsIgnoreCase(word)).findFirst();
  }

  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** As a card states it: {@code in halves}. */
  @Override
  public String toString() {
    return "in " + word();
  }
}
