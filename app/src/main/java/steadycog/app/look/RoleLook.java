package steadycog.app.look;

import java.util.EnumMap;
import java.util.Map;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import steadycog.train.Role;

/** How roles show: a symbol, a word, and a pseudo-class for style sheets. */
public final class RoleLook {
  private static final Map<Role, PseudoClass> STATES = new EnumMap<>(Role.class);

  static {
    for (Role role : Role.values()) {
      STATES.put(role, PseudoClass.getPseudoClass(role.word()));
    }
  }

  private RoleLook() {}

  public static Icon icon(Role role) {
    return switch (role) {
      case DRIVE -> Icon.DRIVE;
      case HOLD -> Icon.HOLD;
      case TAKE -> Icon.TAKE;
      case LOCKED -> Icon.LOCKED;
      case FREE -> Icon.FREE;
    };
  }

  /** The word a designer uses for a member in this role. */
  public static String word(Role role) {
    return switch (role) {
      case DRIVE -> "driven";
      case HOLD -> "held";
      case TAKE -> "taken off";
      case LOCKED -> "locked";
      case FREE -> "free";
    };
  }

  /** Sets the pseudo-class of {@code role} on the node and clears the others. */
  public static void mark(Node node, Role role) {
    STATES.forEach((each, state) -> node.pseudoClassStateChanged(state, each == role));
  }
}
