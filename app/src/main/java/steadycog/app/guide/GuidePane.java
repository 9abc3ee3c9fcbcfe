package steadycog.app.guide;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Station;
import steadycog.app.guide.Guide.Section;
import steadycog.app.look.Look;

/** The guide beside the drawing: searchable, open at what fits the station, out of the way. */
public final class GuidePane extends VBox {
  private final Map<Section, VBox> sections = new LinkedHashMap<>();
  private final TextField wish = new TextField();
  private final Label none = Look.label("Nothing about that", "soft");
  private final VBox text = Look.styled(new VBox(10), "guide-text-column");
  private final ScrollPane scroll = new ScrollPane(text);

  /** {@code tryIt} puts a card of the guide on the bench, {@code close} takes the guide away. */
  public GuidePane(Consumer<String> tryIt, Runnable close) {
    setId("guide");
    getStyleClass().addAll("guide", "panel");
    Typeset typeset = new Typeset(tryIt);
    for (Section section : Guide.load().sections()) {
      VBox shown = new VBox(7, Look.label(section.title(), "guide-title-" + section.level()));
      section.blocks().forEach(block -> shown.getChildren().add(typeset.of(block)));
      sections.put(section, shown);
    }
    text.getChildren().setAll(sections.values());
    text.getChildren().add(none);
    wish.setId("guide-wish");
    wish.setPromptText("Find in the guide");
    wish.setAccessibleText("Words to find in the guide");
    wish.textProperty().subscribe(this::narrow);
    HBox.setHgrow(wish, Priority.ALWAYS);
    Button away = Look.styled(new Button("Close"), "cure");
    away.setId("guide-close");
    away.setMinWidth(Region.USE_PREF_SIZE);
    away.setOnAction(e -> close.run());
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    getChildren().addAll(new HBox(8, wish, away), scroll);
  }

  /** Shows what is about {@code station}, and gives the keys to the field that finds. */
  public void openAt(Station station) {
    openAt(chapter(station));
  }

  /** Shows what is said of the program and of what is inside. */
  public void openAbout() {
    openAt(Guide.ABOUT);
  }

  private void openAt(String chapter) {
    wish.clear();
    wish.requestFocus();
    sections.forEach(
        (section, shown) -> {
          if (section.title().equals(chapter)) {
            Platform.runLater(() -> scrollTo(shown));
          }
        });
  }

  /** The chapter that is about a station. */
  static String chapter(Station station) {
    return switch (station) {
      case LAY_OUT -> "3. Build and change on the drawing";
      case DRIVE_AND_HOLD -> "2. Drive, hold, take off";
      case FIND_TEETH -> "7. Find teeth";
      case SHIFT_PLAN -> "8. Sets put together";
      case CUT_SHEET -> "10. Cut it";
      case BENCH_BOOK -> "11. Build it, count it, load it";
    };
  }

  private void scrollTo(Node shown) {
    applyCss();
    layout();
    Bounds at = shown.getBoundsInParent();
    double free = text.getHeight() - scroll.getViewportBounds().getHeight();
    scroll.setVvalue(free <= 0 ? 0 : Math.min(1, at.getMinY() / free));
  }

  private void narrow(String words) {
    boolean all = words.isBlank();
    sections.forEach((section, shown) -> Look.show(shown, all || section.answers(words)));
    Look.show(none, sections.values().stream().noneMatch(Node::isVisible));
    scroll.setVvalue(0);
  }
}
