package steadycog.number;

import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * A value that is worked out when it is first asked for, and only then. For one thread at a time.
 */
public final class Once<T> implements Supplier<T> {
  private @Nullable Supplier<? extends T> work;
  private @Nullable T value;

  private Once(Supplier<? extends T> work) {
    this.work = work;
  }

  /** The value that {@code work} gives, which never is null. */
  public static <T> Once<T> of(Supplier<? extends T> work) {
    return new Once<>(work);
  }

  @Override
  public T get() {
    Supplier<? extends T> todo = work;
    if (todo != null) {
      value = todo.get();
      work = null;
    }
    if (value == null) {
      throw new IllegalStateException("no value");
    }
    return value;
  }
}
