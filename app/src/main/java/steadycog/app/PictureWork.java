package steadycog.app;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;
import steadycog.app.desk.Desk;
import steadycog.app.desk.Station;
import steadycog.app.geartable.GearTable;
import steadycog.format.file.JobFiles;
import steadycog.format.file.Trouble;
import steadycog.format.picture.LinePicture;
import steadycog.format.picture.PicturePdf;
import steadycog.format.picture.PictureSvg;

/** Writes the drawing with its scale to a file, as it is in view: in pixels, or in lines. */
record PictureWork(
    Desk desk,
    FileDialogs dialogs,
    GearTable table,
    Consumer<Question> ask,
    Consumer<String> tell) {

  private interface Writing {
    void to(Path file) throws IOException;
  }

  void begin() {
    if (desk.bench().isEmpty()) {
      tell.accept("There is nothing to draw yet: put a train on the bench first.");
      return;
    }
    ask.accept(
        new Question(
            "Picture of the drawing",
            "As it is in view, with its scale and without the buttons. Lines and pages can be"
                + " scaled freely; pixels are for where those cannot be put.",
            List.of(
                new Question.Answer("Lines (SVG)", () -> choose(".svg", this::svg)),
                new Question.Answer("Page (PDF)", () -> choose(".pdf", this::pdf)),
                new Question.Answer("Pixels", () -> choose(".png", file -> pixels(2, file))),
                new Question.Answer("Many pixels", () -> choose(".png", file -> pixels(5, file))),
                new Question.Answer("Leave it", () -> {}))));
  }

  private void svg(Path file) throws IOException {
    JobFiles.write(file, PictureSvg.write(lines()).getBytes(StandardCharsets.UTF_8));
  }

  private void pdf(Path file) throws IOException {
    JobFiles.write(file, PicturePdf.write(lines()));
  }

  private LinePicture lines() {
    return table.bare(() -> VectorPicture.of(table, desk.sheet().name()));
  }

  private void pixels(double times, Path file) throws IOException {
    Picture.write(table.drawing(times), file);
  }

  private void choose(String ending, Writing writing) {
    dialogs
        .askExport(desk.sheet().name(), "Picture of the drawing", ending)
        .ifPresent(
            file -> {
              try {
                desk.stationProperty().set(Station.LAY_OUT);
                writing.to(file);
              } catch (IOException failed) {
                tell.accept(file + ": not written, " + Trouble.words(failed));
              }
            });
  }
}
