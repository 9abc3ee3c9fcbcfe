package steadycog.app.look;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import javafx.collections.ObservableList;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;

/**
 * Shows what is new in the nodes that stand already. A node made anew has to be styled and laid out
 * anew, which for a panel of figures takes longer than a frame; its words change in no time.
 */
public final class Kept {
  private Kept() {}

  /**
   * Lets {@code pane} show {@code wanted}. Of its children those stay that can show what the wanted
   * one in their place does: words, what they say when pointed at and what a press does are taken
   * over, in panes within panes as well. Whatever differs in another way is replaced.
   */
  public static void show(Pane pane, List<? extends Node> wanted) {
    ObservableList<Node> here = pane.getChildren();
    List<Node> all = List.copyOf(wanted);
    for (int k = 0; k < all.size(); k++) {
      if (k >= here.size()) {
        here.addAll(all.subList(k, all.size()));
      } else if (!isTakenOver(here.get(k), all.get(k))) {
        here.set(k, all.get(k));
      }
    }
    here.remove(all.size(), here.size());
  }

  private static boolean isTakenOver(Node old, Node now) {
    if (old == now) {
      return true;
    }
    if (!isAlike(old, now)) {
      return false;
    }
    old.setAccessibleText(now.getAccessibleText());
    return switch (old) {
      case Labeled words when words instanceof Label || words instanceof ButtonBase ->
          isTakenOver(words, (Labeled) now);
      case Pane pane -> {
        show(pane, ((Pane) now).getChildren());
        yield true;
      }
      // What is drawn by its style alone, as signs are.
      default -> old.getClass().equals(Region.class);
    };
  }

  /** Whether two nodes differ in nothing but what they say. */
  private static boolean isAlike(Node old, Node now) {
    return old.getClass().equals(now.getClass())
        && old.getStyleClass().equals(now.getStyleClass())
        && Objects.equals(old.getId(), now.getId())
        && old.isVisible() == now.isVisible()
        && old.isManaged() == now.isManaged()
        && constraints(old).equals(constraints(now))
        && old instanceof Region before
        && now instanceof Region after
        && before.getMinWidth() == after.getMinWidth()
        && before.getMaxWidth() == after.getMaxWidth()
        && before.getPrefWidth() == after.getPrefWidth();
  }

  /** Where they stand in their pane: what their tooltips are is kept beside it. */
  private static Map<Object, Object> constraints(Node node) {
    Map<Object, Object> all =
        node.hasProperties() ? new HashMap<>(node.getProperties()) : new HashMap<>();
    all.values().removeIf(Tooltip.class::isInstance);
    return all;
  }

  private static boolean isTakenOver(Labeled old, Labeled now) {
    Node graphic = old.getGraphic();
    boolean sameGraphic =
        graphic == now.getGraphic()
            || (graphic != null
                && now.getGraphic() != null
                && isTakenOver(graphic, now.getGraphic()));
    if (!sameGraphic || old.isWrapText() != now.isWrapText()) {
      return false;
    }
    old.setText(now.getText());
    tell(old, now.getTooltip());
    if (old instanceof ButtonBase button && now instanceof ButtonBase fresh) {
      button.setOnAction(fresh.getOnAction());
    }
    return true;
  }

  private static void tell(Labeled old, Tooltip help) {
    if (old.getTooltip() != null && help != null) {
      old.getTooltip().setText(help.getText());
    } else {
      old.setTooltip(help);
    }
  }
}
