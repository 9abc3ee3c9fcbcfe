package steadycog.number;

import org.jspecify.annotations.Nullable;

/**
 * Two values as a key of a {@link Memo}, the very same ones: to compare large ones would cost as
 * much as some of what is kept, and an edit makes new ones.
 */
public record Same<A, B>(A one, B other) {

  @Override
  @SuppressWarnings("ReferenceEquality") // What it is for.
  public boolean equals(@Nullable Object that) {
    return that instanceof Same<?, ?> same && one == same.one && other == same.other;
  }

  @Override
  public int hashCode() {
    return 31 * System.identityHashCode(one) + System.identityHashCode(other);
  }
}
