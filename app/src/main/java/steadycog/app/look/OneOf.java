package steadycog.app.look;

import javafx.scene.control.ToggleGroup;

/**
 * Buttons of which one is always chosen: pressed again it stays so, since what it says still holds.
 */
public final class OneOf extends ToggleGroup {
  public OneOf() {
    selectedToggleProperty()
        .addListener(
            (o, old, now) -> {
              if (now == null && old != null && getToggles().contains(old)) {
                old.setSelected(true);
              }
            });
  }
}
