package steadycog.app.desk;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;

/** Undo and redo of whole jobs; unlimited, since a job is small and its parts are shared. */
final class History {
  private final Deque<Page> past = new ArrayDeque<>();
  private final Deque<Page> future = new ArrayDeque<>();

  void record(Page before) {
    past.push(before);
    future.clear();
  }

  /** Drops what could be redone, for a change that continues the last one. */
  void carryOn() {
    future.clear();
  }

  Optional<Page> undo(Page now) {
    return step(past, future, now);
  }

  Optional<Page> redo(Page now) {
    return step(future, past, now);
  }

  private static Optional<Page> step(Deque<Page> from, Deque<Page> to, Page now) {
    if (from.isEmpty()) {
      return Optional.empty();
    }
    to.push(now);
    return Optional.of(from.pop());
  }

  boolean canUndo() {
    return !past.isEmpty();
  }

  boolean canRedo() {
    return !future.isEmpty();
  }

  void clear() {
    past.clear();
    future.clear();
  }
}
