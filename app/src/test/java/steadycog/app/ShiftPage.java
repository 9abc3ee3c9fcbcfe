package steadycog.app;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import steadycog.train.MemberId;
import steadycog.train.ShiftPlan;
import steadycog.train.State;

/** The shift plan as those use it who lay out a gearbox. */
final class ShiftPage {
  private final InWindow window;

  private ShiftPage(InWindow window) {
    this.window = window;
  }

  /** Puts a card on the desk and goes to its plan. */
  static ShiftPage of(InWindow window, String card) {
    window.putDown(card);
    window.press(KeyCode.SHORTCUT, KeyCode.DIGIT4);
    return new ShiftPage(window);
  }

  ShiftPlan plan() {
    return window.opened.desk().bench().orElseThrow().card().train().shifts();
  }

  List<String> states() {
    return plan().states().stream().map(State::name).toList();
  }

  @SuppressWarnings("unchecked")
  private void choose(String box, String member) {
    ComboBox<MemberId> choice = window.find(box, ComboBox.class);
    MemberId id =
        choice.getItems().stream()
            .filter(one -> one.toString().equals(member))
            .findFirst()
            .orElseThrow(() -> new AssertionError(member + " in " + choice.getItems()));
    window.robot.interact(() -> choice.setValue(id));
  }

  ShiftPage brake(String member) {
    choose("#brake-on", member);
    window.fire("#add-brake");
    return this;
  }

  ShiftPage clutch(String one, String other) {
    choose("#clutch-from", one);
    choose("#clutch-to", other);
    window.fire("#add-clutch");
    return this;
  }

  ShiftPage addState() {
    window.fire("#add-state");
    return this;
  }

  private ToggleButton element(String state, int index) {
    return window.find("#element-" + state + "-" + index, ToggleButton.class);
  }

  /** Engages or releases the element of that column. */
  ShiftPage toggle(String state, int index) {
    window.fire("#element-" + state + "-" + index);
    return this;
  }

  boolean engaged(String state, int index) {
    return element(state, index).isSelected();
  }

  String shown(String state, int index) {
    return element(state, index).getText();
  }

  /** Presses the button that is described by these words. */
  ShiftPage press(String words) {
    Button button =
        window
            .robot
            .lookup((Node node) -> node instanceof Button b && words.equals(b.getAccessibleText()))
            .queryButton();
    window.robot.interact(button::fire);
    window.settle();
    return this;
  }

  ShiftPage rename(String state, String name) {
    Labeled label =
        window
            .robot
            .lookup(
                (Node node) ->
                    node instanceof Labeled one
                        && one.getStyleClass().contains("state-name")
                        && state.equals(one.getText()))
            .queryLabeled();
    window.robot.doubleClickOn(label);
    window.settle();
    TextField field = window.find("#state-name", TextField.class);
    window.robot.interact(() -> field.setText(name));
    window.enter("#state-name", name);
    return this;
  }

  ShiftPage tick(int found) {
    window.robot.interact(() -> window.find("#found-" + found, CheckBox.class).setSelected(true));
    return this;
  }

  ShiftPage takeTicked() {
    window.fire("#take-states");
    return this;
  }

  ShiftPage propose() {
    window.fire("#propose-states");
    return this;
  }

  /** All that stands in the row of a state, in the order of its columns. */
  boolean says(String words) {
    return window.says(words);
  }
}
