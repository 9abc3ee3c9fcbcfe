package steadycog.app.bench;

import javafx.beans.binding.Bindings;
import javafx.beans.binding.NumberBinding;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.Region;
import steadycog.app.look.Look;

/** A table that scrolls sideways by itself where it is wider than its page. */
final class Wide extends ScrollPane {
  private static final double BAR = 14;

  Wide(Region table) {
    super(table);
    Look.styled(this, "side-scroll");
    setFitToWidth(true);
    setVbarPolicy(ScrollBarPolicy.NEVER);
    setMinWidth(0);
    setFocusTraversable(false);
    NumberBinding bar =
        Bindings.when(table.widthProperty().greaterThan(widthProperty())).then(BAR).otherwise(2.0);
    minHeightProperty().bind(table.heightProperty().add(bar));
    prefHeightProperty().bind(table.heightProperty().add(bar));
    visibleProperty().bind(table.visibleProperty());
    managedProperty().bind(table.visibleProperty());
  }
}
