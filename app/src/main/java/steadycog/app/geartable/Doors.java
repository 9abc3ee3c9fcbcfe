package steadycog.app.geartable;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Desk;
import steadycog.app.look.Look;

/** What an empty bench shows: the kinds of trains as pictures, and three ways in. */
public final class Doors extends VBox {
  private static final double WIDTH = 136;
  private static final double HEIGHT = 92;
  private static final double GAP = 8;
  private static final int IN_A_ROW = 3;

  /** Kinds by name, each with the card that it starts from. */
  private static final List<Kind> KINDS =
      List.of(
          new Kind("Pair of wheels", "parallel 18 ~ 72"),
          new Kind("With an idler", "parallel 20 ~ 33 ~ 50"),
          new Kind("Compound", "parallel 18 ~ 72 = 20 ~ 80"),
          new Kind(
              "Planetary",
              "planetary sun 24 planet 18 x4 ring 60\nhold ring\ndrive sun\ntake carrier"),
          new Kind(
              "Planetary, two rows",
              "planetary sun 20/- planet 25=23 x3 ring 70/68\nhold ring1\ndrive sun\ntake ring2"),
          new Kind(
              "Cycloidal", "cycloidal lobes 29 pins 30\nhold ring\ndrive eccentric\ntake disc"),
          new Kind("Strain wave", "strainwave nominal 80\nhold circular\ndrive wave\ntake flex"),
          new Kind("Right angle", "bevel 11 ~ 43"),
          new Kind("Differential", "differential side 16 spider 10"));

  private final Desk desk;
  private final FlowPane pictures = new FlowPane(GAP, GAP);
  private final RecentJobs recent;
  private final List<Preview> previews = new ArrayList<>();

  private record Kind(String name, String card) {}

  /** Where somebody goes who does not begin with a card. */
  public interface Ways {
    /** Counts and calipers at hand. */
    void gearsInHand();

    /** A ratio to be found. */
    void ratioInMind();

    /** A box that was built and has failed. */
    void boxThatFailed();

    /** Jobs that were worked on lately, the last one first. */
    List<Path> recent();

    /** One of those. */
    void open(Path recent);
  }

  Doors(Desk desk, Ways ways) {
    super(10);
    this.desk = desk;
    getStyleClass().add("first-steps");
    setId("first-steps");
    recent = new RecentJobs(ways);
    pictures.setAlignment(Pos.CENTER);
    pictures.setPrefWrapLength(IN_A_ROW * (WIDTH + GAP));
    HBox doors =
        new HBox(
            8,
            door(
                "door-gears",
                "Gears in hand",
                "Count the teeth, measure over the tips: what module is it?",
                ways::gearsInHand),
            door(
                "door-ratio",
                "A ratio in mind",
                "Say what is wanted and let teeth be looked for",
                ways::ratioInMind),
            door(
                "door-box",
                "A box that failed",
                "Open its job, count turns, load it, compare builds",
                ways::boxThatFailed));
    doors.setAlignment(Pos.CENTER);
    getChildren()
        .addAll(
            Look.label("What is to be on the bench?", "big"),
            Look.label("Type it on the card, or begin with one of these:", "soft"),
            pictures,
            Look.label("Or come with what you have:", "soft"),
            doors,
            recent);
    visibleProperty().addListener(o -> fill());
    // Not before it is known whether a job is opened at once.
    Platform.runLater(this::fill);
  }

  /** Pictures are drawn only for an empty bench, and turn while the pointer is on them. */
  private void fill() {
    if (isVisible() && previews.isEmpty()) {
      KINDS.forEach(kind -> pictures.getChildren().add(picture(kind)));
    }
    if (isVisible()) {
      recent.look();
    } else {
      previews.forEach(preview -> preview.run(false));
    }
  }

  private Node picture(Kind kind) {
    Preview preview = new Preview(true);
    preview.getStyleClass().remove("panel");
    preview.setId(null);
    preview.setMinSize(WIDTH - 14, HEIGHT);
    preview.setMaxSize(WIDTH - 14, HEIGHT);
    preview.show(kind.card + "\n");
    previews.add(preview);
    VBox face = new VBox(2, preview, Look.label(kind.name, "door-name"));
    face.setAlignment(Pos.CENTER);
    Button button = Look.styled(new Button(), "example");
    button.setGraphic(face);
    button.setId("kind-" + kind.name.replaceAll("\\W+", "-"));
    String line = kind.card.lines().findFirst().orElseThrow();
    button.setAccessibleText(kind.name + ": " + line);
    button.setTooltip(new Tooltip(line));
    button
        .hoverProperty()
        .addListener((o, was, is) -> preview.run(is && !desk.preferences().still()));
    button.setOnAction(e -> desk.train().type(kind.card + "\n"));
    return button;
  }

  private static Button door(String id, String name, String help, Runnable way) {
    Button door = Look.styled(new Button(name), "door");
    door.setId(id);
    door.setTooltip(new Tooltip(help));
    HBox.setHgrow(door, Priority.ALWAYS);
    door.setOnAction(e -> way.run());
    return door;
  }
}
