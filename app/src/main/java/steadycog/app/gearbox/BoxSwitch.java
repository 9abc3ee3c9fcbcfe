package steadycog.app.gearbox;

import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import steadycog.app.look.Look;
import steadycog.app.look.OneOf;

/** The teeth by themselves, or everything round them too. */
public final class BoxSwitch extends HBox {
  private final ToggleButton whole = chip("cut-gearbox", "Gearbox");

  /**
   * @param changed runs when the other is chosen
   */
  public BoxSwitch(Runnable changed) {
    super(3);
    ToggleButton teeth = chip("cut-teeth", "Teeth and sizes");
    whole.setTooltip(
        new Tooltip("Shafts, bearings, plates and screws round it, and whether they go together"));
    OneOf group = new OneOf();
    group.getToggles().addAll(teeth, whole);
    teeth.setSelected(true);
    group.selectedToggleProperty().addListener(o -> changed.run());
    getChildren().addAll(teeth, whole);
  }

  private static ToggleButton chip(String id, String words) {
    ToggleButton chip = Look.styled(new ToggleButton(words), "chip");
    chip.setId(id);
    return chip;
  }

  /** Whether the whole gearbox is chosen. */
  public boolean isWhole() {
    return whole.isSelected();
  }
}
