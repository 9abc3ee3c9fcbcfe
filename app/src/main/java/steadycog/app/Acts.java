package steadycog.app;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import javafx.scene.input.KeyCode;

/**
 * All that can be done with a key of Ctrl, and more that has no key: one list for the keyboard, the
 * menu of files, and the finder of acts.
 */
final class Acts {
  /** Where an act belongs. */
  enum Group {
    FILE("file"),
    EDIT("edit"),
    GO("go to"),
    TRAINS("trains"),
    MEMBER("chosen member"),
    VIEW("view");

    private final String word;

    Group(String word) {
      this.word = word;
    }

    String word() {
      return word;
    }
  }

  /**
   * One thing to do.
   *
   * @param keys as they are shown; empty where it has none
   * @param codes any of which does it together with Ctrl; none for keys that the drawing takes
   * @param shifted whether Shift is held as well
   */
  record Act(
      Group group, String name, String keys, Set<KeyCode> codes, boolean shifted, Runnable run) {

    /** Whether every word of {@code wish} stands in its group or name. */
    boolean answers(String wish) {
      String text = (group.word + " " + name).toLowerCase(Locale.ROOT);
      return Stream.of(wish.toLowerCase(Locale.ROOT).strip().split("\\s+"))
          .allMatch(text::contains);
    }
  }

  private final List<Act> all = new ArrayList<>();

  /** An act without a key of Ctrl; {@code keys} says which other one does it. */
  Acts add(Group group, String name, String keys, Runnable run) {
    all.add(new Act(group, name, keys, Set.of(), false, run));
    return this;
  }

  /** An act on Ctrl with any of those keys. */
  Acts key(Group group, String name, String keys, Runnable run, KeyCode... codes) {
    all.add(new Act(group, name, "Ctrl+" + keys, Set.of(codes), false, run));
    return this;
  }

  /** An act on Ctrl and Shift with that key. */
  Acts shifted(Group group, String name, String keys, Runnable run, KeyCode code) {
    all.add(new Act(group, name, "Ctrl+Shift+" + keys, Set.of(code), true, run));
    return this;
  }

  List<Act> of(Group group) {
    return all.stream().filter(act -> act.group == group).toList();
  }

  List<Act> all() {
    return List.copyOf(all);
  }

  /** What Ctrl does with that key; Shift counts only where there is an act for it. */
  Optional<Act> on(KeyCode code, boolean shift) {
    List<Act> likely = all.stream().filter(act -> act.codes.contains(code)).toList();
    return likely.stream()
        .filter(act -> act.shifted == shift)
        .findFirst()
        .or(() -> likely.stream().filter(act -> !act.shifted).findFirst());
  }
}
