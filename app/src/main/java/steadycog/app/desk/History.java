package steadycog.app.desk;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;
import steadycog.train.MemberId;

/** Undo and redo of whole jobs; unlimited, since a job is small and its parts are shared. */
final class History {
  private final Deque<Moment> past = new ArrayDeque<>();
  private final Deque<Moment> future = new ArrayDeque<>();

  /** What lay open, and which of its members was chosen. */
  record Moment(Page page, Optional<MemberId> chosen) {}

  void record(Moment before) {
    past.push(before);
    future.clear();
  }

  /** Drops what could be redone, for a change that continues the last one. */
  void carryOn() {
    future.clear();
  }

  Optional<Moment> undo(Moment now) {
    return step(past, future, now);
  }

  Optional<Moment> redo(Moment now) {
    return step(future, past, now);
  }

  private static Optional<Moment> step(Deque<Moment> from, Deque<Moment> to, Moment now) {
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
