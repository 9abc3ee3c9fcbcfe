package steadycog.app.look;

import java.io.IOException;
import java.io.InputStream;
import java.util.Objects;
import javafx.beans.binding.Bindings;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.image.Image;
import javafx.scene.layout.Region;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Font;
import javafx.scene.text.Text;
import steadycog.format.pdf.Typefaces;

/** The style sheet, the shipped typefaces, and light or dark. */
public final class Look {
  private static final PseudoClass DARK = PseudoClass.getPseudoClass("dark");
  private static final String CARD_FACE = "fonts/B612Mono-Regular.otf";

  private Look() {}

  /** Gives a scene's root the look. */
  public static void dress(Parent root) {
    for (Typefaces face : Typefaces.values()) {
      load(face.open());
    }
    load(Objects.requireNonNull(Look.class.getResourceAsStream(CARD_FACE), CARD_FACE));
    // The class first: its tokens are looked up as soon as there is a sheet.
    root.getStyleClass().add("steady-cog");
    root.getStylesheets().add(resource("steady-cog.css"));
  }

  /** The sign of the program: a planetary set as the rail sketches it. */
  public static Image icon() {
    return new Image(resource("icon.png"));
  }

  public static void setDark(Parent root, boolean dark) {
    root.pseudoClassStateChanged(DARK, dark);
  }

  /** Sets the size of all text, in pixels. */
  public static void setTextSize(Parent root, double pixels) {
    root.setStyle("-fx-font-size: " + pixels + "px;");
  }

  /** Cuts off whatever would be drawn outside of {@code region}. */
  public static void clip(Region region) {
    Rectangle clip = new Rectangle();
    clip.widthProperty().bind(region.widthProperty());
    clip.heightProperty().bind(region.heightProperty());
    region.setClip(clip);
  }

  private static void load(InputStream face) {
    try (face) {
      Font.loadFont(face, 13);
    } catch (IOException broken) {
      throw new IllegalStateException("a typeface that ships with the program", broken);
    }
  }

  private static String resource(String name) {
    return Objects.requireNonNull(Look.class.getResource(name), name).toExternalForm();
  }

  /** Gives {@code node} style classes and returns it. */
  public static <N extends Node> N styled(N node, String... classes) {
    node.getStyleClass().addAll(classes);
    return node;
  }

  /** Shows {@code node}, or hides it and gives its room away. */
  public static void show(Node node, boolean shown) {
    node.setVisible(shown);
    node.setManaged(shown);
  }

  /**
   * Lets {@code text} stand so that {@code share} of its width lies left of {@code x}, however
   * large it is: 0.5 in the middle, 1 to the left of it. Its size is known only once it is styled,
   * and changes with the size of all text.
   */
  public static void anchor(Text text, double x, double share) {
    anchor(text, x, share, Double.NEGATIVE_INFINITY);
  }

  /** The same, but never further left than {@code least}. */
  public static void anchor(Text text, double x, double share, double least) {
    text.setX(x);
    // Moved, not put, since where it is put is part of the bounds that are looked at.
    text.translateXProperty()
        .bind(
            Bindings.createDoubleBinding(
                () -> Math.max(least - x, -share * text.getLayoutBounds().getWidth()),
                text.layoutBoundsProperty()));
  }

  /** Lets everything in {@code parent} be measured again. */
  public static void layOutAnew(Parent parent) {
    parent.requestLayout();
    for (Node child : parent.getChildrenUnmodifiable()) {
      if (child instanceof Parent inner && child.isManaged()) {
        layOutAnew(inner);
      }
    }
  }

  public static Label label(String text, String... classes) {
    return styled(new Label(text), classes);
  }

  /** A figure in a grid of them: at the right of its cell, never cut. */
  public static Label figure(String text, String style) {
    Label label = label(text, style);
    label.setMaxWidth(Double.MAX_VALUE);
    label.setMinWidth(Region.USE_PREF_SIZE);
    label.setAlignment(Pos.CENTER_RIGHT);
    return label;
  }

  /** A field for a value of so many letters that is taken with Enter; {@code help} says which. */
  public static TextField field(String id, int columns, String help) {
    TextField field = styled(new TextField(), "sheet-field");
    field.setId(id);
    field.setPrefColumnCount(columns);
    field.setAccessibleText(help);
    field.setTooltip(new Tooltip(help + "; Enter takes it"));
    return field;
  }
}
