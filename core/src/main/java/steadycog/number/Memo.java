package steadycog.number;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * The latest results of a pure function, so that what an edit leaves as it was is not worked out
 * again. Safe for threads; two that ask for the same at once may both work it out.
 */
public final class Memo<K, V> {
  private final Function<? super K, ? extends V> work;
  private final Map<K, V> kept;

  private Memo(int most, Function<? super K, ? extends V> work) {
    this.work = work;
    this.kept =
        new LinkedHashMap<>(most, 0.75f, true) {
          @Override
          protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
            return size() > most;
          }
        };
  }

  /**
   * The results of {@code work}.
   *
   * @param most how many are kept, those asked for last
   * @param work without effects, of nothing but its argument, never null
   */
  public static <K, V> Memo<K, V> of(int most, Function<? super K, ? extends V> work) {
    return new Memo<>(most, work);
  }

  /** What the function makes of {@code key}. */
  public V get(K key) {
    V known = known(key);
    if (known != null) {
      return known;
    }
    V fresh = work.apply(key);
    synchronized (kept) {
      kept.put(key, fresh);
    }
    return fresh;
  }

  private @Nullable V known(K key) {
    synchronized (kept) {
      return kept.get(key);
    }
  }
}
