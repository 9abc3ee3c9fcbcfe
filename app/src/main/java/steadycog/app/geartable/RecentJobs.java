package steadycog.app.geartable;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import steadycog.app.look.Look;
import steadycog.format.file.JobFiles;
import steadycog.format.json.UnreadableException;
import steadycog.job.Job;
import steadycog.shape.FaceLayout;

/** Jobs that were worked on lately, each with its first train that can be drawn. */
final class RecentJobs extends VBox {
  private static final int MOST = 4;
  private static final double PICTURE = 30;

  private final Doors.Ways ways;
  private final FlowPane jobs = new FlowPane(8, 8);

  private record Seen(Path file, String name, Optional<FaceLayout> drawing) {}

  RecentJobs(Doors.Ways ways) {
    super(10);
    this.ways = ways;
    setId("recent-jobs");
    setAlignment(Pos.CENTER);
    jobs.setAlignment(Pos.CENTER);
    getChildren().addAll(Look.label("Or go on with a job:", "soft"), jobs);
    Look.show(this, false);
  }

  /** Reads them aside, since files may be far away or large. */
  void look() {
    List<Path> files = ways.recent().stream().limit(MOST).toList();
    Thread.ofPlatform()
        .daemon()
        .name("recent jobs")
        .start(
            () -> {
              List<Seen> seen = files.stream().flatMap(file -> read(file).stream()).toList();
              Platform.runLater(() -> show(seen));
            });
  }

  private void show(List<Seen> seen) {
    jobs.getChildren().setAll(seen.stream().map(this::button).toList());
    Look.show(this, !seen.isEmpty());
  }

  /** What can no longer be read is not offered here; the menu of files says why. */
  private static Optional<Seen> read(Path file) {
    try {
      Job job = JobFiles.open(file);
      String name =
          job.title().isBlank()
              ? JobFiles.plainName(String.valueOf(file.getFileName()))
              : job.title();
      return Optional.of(
          new Seen(
              file,
              name,
              job.sheets().stream()
                  .flatMap(sheet -> sheet.card().stream())
                  .findFirst()
                  .map(card -> FaceLayout.of(card.train()))));
    } catch (IOException | UnreadableException unreadable) {
      return Optional.empty();
    }
  }

  private Button button(Seen seen) {
    Button button = Look.styled(new Button(seen.name), "door");
    seen.drawing.ifPresent(
        drawing -> {
          Sketch sketch = new Sketch(PICTURE);
          sketch.show(drawing);
          button.setGraphic(sketch);
        });
    button.setTooltip(new Tooltip(seen.file.toString()));
    button.setOnAction(e -> ways.open(seen.file));
    return button;
  }
}
