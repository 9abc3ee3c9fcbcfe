package steadycog.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import steadycog.app.Acts.Act;
import steadycog.app.Acts.Group;

class ActsTest {
  private final List<String> done = new ArrayList<>();
  private final Acts acts =
      new Acts()
          .key(Group.FILE, "Save", "S", () -> done.add("save"), KeyCode.S)
          .shifted(Group.FILE, "Save as", "S", () -> done.add("save as"), KeyCode.S)
          .key(Group.VIEW, "Larger", "plus", () -> done.add("larger"), KeyCode.PLUS, KeyCode.ADD)
          .shifted(Group.EDIT, "Redo", "Z", () -> done.add("redo"), KeyCode.Z)
          .add(Group.MEMBER, "Drive", "D", () -> done.add("drive"));

  /** Shift tells two acts apart; where one alone has the key, Shift may be needed to type it. */
  @Test
  void aKeyDoesWhatItSays() {
    for (boolean shift : new boolean[] {false, true}) {
      acts.on(KeyCode.S, shift).orElseThrow().run().run();
      acts.on(KeyCode.ADD, shift).orElseThrow().run().run();
    }
    assertEquals(List.of("save", "larger", "save as", "larger"), done);
    assertEquals(Optional.empty(), acts.on(KeyCode.Z, false), "only with Shift");
    assertEquals("Redo", acts.on(KeyCode.Z, true).orElseThrow().name());
    assertEquals(Optional.empty(), acts.on(KeyCode.D, false), "a key of the drawing, not of Ctrl");
  }

  @Test
  void actsAreFoundByAnyWordsOfTheirNames() {
    Act saveAs = acts.of(Group.FILE).getLast();
    for (String wish : new String[] {"", "SAVE", "as sa", "file as", " save  as "}) {
      assertTrue(saveAs.answers(wish), wish);
    }
    assertFalse(saveAs.answers("save all"));
    assertEquals("Ctrl+Shift+S", saveAs.keys());
    assertEquals(5, acts.all().size());
  }
}
