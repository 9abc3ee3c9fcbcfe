package steadycog.number;

import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Values that a map is known to hold. */
public final class Known {
  private Known() {}

  /**
   * The value of {@code key}.
   *
   * @throws IllegalArgumentException if there is none: the caller's mistake
   */
  public static <K, V> V in(Map<K, ? extends @Nullable V> map, K key) {
    V value = map.get(key);
    if (value == null) {
      throw new IllegalArgumentException("nothing is known of " + key);
    }
    return value;
  }
}
