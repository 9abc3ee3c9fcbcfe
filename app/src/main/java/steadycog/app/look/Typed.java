package steadycog.app.look;

import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.application.Platform;
import javafx.beans.Observable;
import javafx.css.PseudoClass;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/**
 * A field whose value is taken with Enter and when it is left, by whatever key or click. What
 * cannot be taken stays in it, marked, and why is said: nothing that was typed is lost or lies in
 * wait.
 */
public final class Typed {
  private static final PseudoClass BAD = PseudoClass.getPseudoClass("bad");

  private final TextField field;
  private final Function<String, Optional<String>> take;
  private final Consumer<Optional<String>> say;

  /** What stood in the field when it was entered or last taken. */
  private String settled = "";

  private Typed(
      TextField field, Function<String, Optional<String>> take, Consumer<Optional<String>> say) {
    this.field = field;
    this.take = take;
    this.say = say;
  }

  /**
   * Lets {@code field} be taken.
   *
   * @param take takes the text, or says why it cannot be taken
   * @param say shows why, or with nothing takes that away
   * @param other changes where the field comes to stand for something else, so that what could not
   *     be taken is dropped
   */
  public static void on(
      TextField field,
      Function<String, Optional<String>> take,
      Consumer<Optional<String>> say,
      Observable other) {
    Typed typed = new Typed(field, take, say);
    field.setOnAction(
        e -> {
          if (typed.taken()) {
            field.getScene().getRoot().requestFocus();
          }
        });
    field.focusedProperty().addListener((o, was, is) -> typed.focused(is));
    over(field);
    field.addEventFilter(
        KeyEvent.KEY_PRESSED,
        key -> {
          if (key.getCode() == KeyCode.ESCAPE) {
            typed.putBack();
          }
        });
    other.addListener(o -> field.pseudoClassStateChanged(BAD, false));
  }

  /** What is typed into a field that has just been entered goes over what is there. */
  public static void over(TextField field) {
    field
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (is) {
                // Not before a click has put the cursor somewhere.
                String there = field.getText();
                Platform.runLater(
                    () -> {
                      if (field.isFocused() && field.getText().equals(there)) {
                        field.selectAll();
                      }
                    });
              }
            });
  }

  /** Whether what stands in the field is its writer's: being typed, or left because it is wrong. */
  public static boolean isOpen(TextField field) {
    return field.isFocused() || field.getPseudoClassStates().contains(BAD);
  }

  /** Shows a value, unless the field is open. */
  public static void show(TextField field, String value) {
    if (!isOpen(field)) {
      field.setText(value);
    }
  }

  private void focused(boolean now) {
    if (now) {
      settled = field.getText();
    } else if (!field.getText().equals(settled)) {
      taken();
    }
  }

  /** What was typed is not meant: what stood there before stands there again. */
  private void putBack() {
    field.setText(settled);
    field.pseudoClassStateChanged(BAD, false);
    say.accept(Optional.empty());
  }

  private boolean taken() {
    settled = field.getText();
    Optional<String> problem = take.apply(field.getText().strip());
    field.pseudoClassStateChanged(BAD, problem.isPresent());
    say.accept(problem);
    return problem.isEmpty();
  }
}
