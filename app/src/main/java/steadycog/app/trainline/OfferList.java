package steadycog.app.trainline;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import javafx.application.Platform;
import javafx.css.PseudoClass;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.geometry.Pos;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;
import steadycog.app.look.Look;
import steadycog.notation.CardOffers;
import steadycog.notation.CardOffers.Offer;

/**
 * What may be typed next, under the cursor: the words and what each says. Tab takes the marked one
 * once a word is begun, arrows choose another, Enter takes what was chosen by them; whoever types
 * on is never held up. Ctrl+Space shows all that fits.
 */
final class OfferList extends VBox {
  private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");
  private static final int MOST_ROWS = 8;

  private final CardArea area;
  private final Function<Offer, String> meaning;
  private CardOffers offers = new CardOffers(0, 0, List.of());
  private int marked;
  private boolean chosen;
  private boolean taking;
  private boolean typed;

  OfferList(CardArea area, Function<Offer, String> meaning) {
    this.area = area;
    this.meaning = meaning;
    setId("card-offers");
    getStyleClass().add("offers");
    setManaged(false);
    area.addEventFilter(KeyEvent.KEY_PRESSED, this::press);
    area.textProperty().addListener((o, old, now) -> changed());
    area.caretPositionProperty().addListener(o -> Platform.runLater(this::follow));
    area.focusedProperty().addListener((o, was, is) -> hide());
    area.sceneProperty()
        .flatMap(Scene::heightProperty)
        .addListener(o -> Platform.runLater(this::hide));
  }

  private boolean isShown() {
    return getParent() != null;
  }

  private void hide() {
    if (getParent() instanceof Pane window) {
      window.getChildren().remove(this);
    }
  }

  private void changed() {
    typed |= !area.isShowing() && !taking && area.isFocused();
    if (area.isShowing()) {
      hide();
    }
  }

  /** After a letter what fits now; after a move of the cursor nothing, it was for another place. */
  private void follow() {
    if (typed) {
      typed = false;
      offer(false);
    } else if (isShown() && area.getCaretPosition() != offers.to()) {
      hide();
    }
  }

  /** Offers what fits; unasked for only where a word is begun or something has to follow. */
  private void offer(boolean asked) {
    String card = area.getText();
    int place = Math.min(area.getCaretPosition(), card.length());
    offers = CardOffers.at(card, place);
    String before = card.substring(card.lastIndexOf('\n', place - 1) + 1, place).strip();
    boolean fresh = before.isEmpty() || before.endsWith(";");
    boolean useful = asked || (!offers.isWhole(card) && (isBegun() || !fresh));
    marked = 0;
    chosen = false;
    if (offers.offers().isEmpty() || !useful) {
      hide();
    } else {
      fill();
      show();
    }
  }

  private boolean isBegun() {
    return offers.to() > offers.from();
  }

  /** The rows round the marked one. */
  private void fill() {
    List<Offer> all = offers.offers();
    int first = Math.max(0, Math.min(marked - MOST_ROWS / 2, all.size() - MOST_ROWS));
    List<Button> rows = new ArrayList<>();
    for (int k = first; k < Math.min(all.size(), first + MOST_ROWS); k++) {
      Button row = row(all.get(k));
      row.pseudoClassStateChanged(CHOSEN, k == marked);
      rows.add(row);
    }
    getChildren().setAll(rows);
  }

  private Button row(Offer offer) {
    Label says = Look.label(meaning.apply(offer), "small", "soft");
    says.setMinWidth(0);
    HBox face = new HBox(10, Look.styled(new Label(offer.word()), "offer-word"), says);
    face.setAlignment(Pos.BASELINE_LEFT);
    Button row = Look.styled(new Button(), "act");
    row.setGraphic(face);
    row.setMaxWidth(Double.MAX_VALUE);
    row.setFocusTraversable(false);
    row.setAccessibleText(offer.word() + ": " + says.getText());
    row.setOnMousePressed(
        press -> {
          take(offer);
          press.consume();
        });
    return row;
  }

  /** Under the cursor, or above it where there is no room. */
  private void show() {
    area.layout();
    Optional<Bounds> caret = area.getCaretBounds();
    if (caret.isEmpty() || !(area.getScene().getRoot() instanceof Pane window)) {
      return;
    }
    if (!isShown()) {
      window.getChildren().add(this);
    }
    applyCss();
    double width = Math.min(prefWidth(-1), window.getWidth());
    double height = prefHeight(width);
    Point2D under = window.screenToLocal(caret.get().getMinX(), caret.get().getMaxY());
    double above = window.screenToLocal(0, caret.get().getMinY()).getY() - height;
    boolean fits = under.getY() + height <= window.getHeight();
    resizeRelocate(
        Math.min(under.getX(), window.getWidth() - width),
        fits ? under.getY() : above,
        width,
        height);
  }

  private void press(KeyEvent key) {
    if (key.getCode() == KeyCode.SPACE && key.isControlDown()) {
      offer(true);
      key.consume();
    } else if (isShown()) {
      pressShown(key);
    }
  }

  private void pressShown(KeyEvent key) {
    switch (key.getCode()) {
      // The first press chooses what stands first: it was only offered so far.
      case DOWN -> choose(chosen ? marked + 1 : marked, key);
      case UP -> choose(marked - 1, key);
      case ESCAPE -> {
        hide();
        key.consume();
      }
      case TAB -> takeIf(isBegun() || chosen, key);
      case ENTER -> takeIf(chosen, key);
      default -> {}
    }
  }

  private void choose(int index, KeyEvent key) {
    marked = Math.floorMod(index, offers.offers().size());
    chosen = true;
    fill();
    key.consume();
  }

  private void takeIf(boolean wanted, KeyEvent key) {
    if (wanted) {
      take(offers.offers().get(marked));
      key.consume();
    } else {
      hide();
    }
  }

  private void take(Offer offer) {
    taking = true;
    area.replaceText(offers.from(), offers.to(), offer.word());
    taking = false;
    hide();
  }
}
