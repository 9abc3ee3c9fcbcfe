package steadycog.app.rail;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Orientation;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.geartable.Sketch;
import steadycog.app.look.Icon;
import steadycog.app.look.IconView;
import steadycog.app.look.Look;
import steadycog.app.look.RatioWords;
import steadycog.app.look.Sign;
import steadycog.check.Finding;
import steadycog.check.Severity;
import steadycog.job.Sheet;
import steadycog.study.Study;

/** One train of the job: its sketch, name, ratio, and the sign of its worst finding. */
final class TrainCard extends ToggleButton {
  private static final double BETWEEN = 6;

  /** How large a train is sketched, pixels. */
  static final double SKETCH = 36;

  private static final double CORNER = 14;

  private final Desk desk;
  private final Sketch sketch = new Sketch(SKETCH);
  private final Label name = Look.label("", "train-card-name");
  private final Label ratio = Look.label("", "train-card-ratio");
  private final IconView verdict = Look.styled(new IconView(Icon.NOTE), "verdict-sign");
  private final VBox words;
  private final HBox face = new HBox(BETWEEN);
  private final Tooltip tip = new Tooltip();
  private Optional<Bench> shown = Optional.empty();

  TrainCard(Desk desk) {
    this.desk = desk;
    getStyleClass().add("train-card");
    name.setWrapText(true);
    ratio.setWrapText(true);
    words = new VBox(1, name, ratio);
    words.setMinWidth(0);
    HBox.setHgrow(words, Priority.ALWAYS);
    verdict.setManaged(false);
    verdict.resizeRelocate(SKETCH - CORNER, SKETCH - CORNER, CORNER, CORNER);
    Pane picture = new Pane(sketch, verdict);
    picture.setMinSize(SKETCH, SKETCH);
    picture.setMaxSize(SKETCH, SKETCH);
    face.getChildren().addAll(picture, words);
    face.setAlignment(Pos.CENTER_LEFT);
    face.setMouseTransparent(true);
    setGraphic(face);
    setMaxWidth(Double.MAX_VALUE);
    setTooltip(tip);
  }

  /** With so much room for words beside the sketch; with none the sketch stands alone. */
  void giveRoom(double width) {
    boolean any = width > 0;
    Look.show(words, any);
    face.setPrefWidth(any ? SKETCH + BETWEEN + width : SKETCH);
  }

  /** Its words wrap at the width that they are given. */
  @Override
  public Orientation getContentBias() {
    return Orientation.HORIZONTAL;
  }

  @Override
  protected double computePrefHeight(double width) {
    double sides = getInsets().getLeft() + getInsets().getRight();
    double inner = width < 0 ? face.getPrefWidth() : width - sides;
    return getInsets().getTop() + snapSizeY(face.prefHeight(inner)) + getInsets().getBottom();
  }

  /** Brings it in step with {@code sheet}. */
  void show(Sheet sheet) {
    name.setText(sheet.name());
    Optional<Bench> known = desk.glances().of(sheet);
    if (!known.equals(shown)) {
      shown = known;
      known.ifPresentOrElse(bench -> sketch.show(bench.study().layout()), sketch::clear);
    }
    Optional<Study> study = known.map(Bench::study);
    ratio.setText(known.map(this::gives).orElse(Sign.DASH));
    Severity worst = worst(sheet, study);
    List<String> look = List.of("verdict-sign", "corner", worst.word());
    if (!verdict.getStyleClass().equals(look)) {
      verdict.show(worst == Severity.OK ? Icon.SOUND : Icon.of(worst));
      verdict.getStyleClass().setAll(look);
    }
    String told = told(sheet, study, worst);
    tip.setText(sheet.name() + "\n" + ratio.getText() + "\n" + told + "\n(twice to rename)");
    setAccessibleText(sheet.name() + ", " + ratio.getText() + ", " + told);
  }

  /** The ratio, or of how many states there is one each. */
  private String gives(Bench bench) {
    int states = bench.card().train().shifts().states().size();
    return states > 1
        ? states + " states"
        : RatioWords.of(
            bench.study(), desk.preferences().trainValueLeads(), desk.preferences().speed());
  }

  /** Notes do not count: a sound train may have some. */
  private static Severity worst(Sheet sheet, Optional<Study> study) {
    if (sheet.draft().isPresent()) {
      return Severity.ERROR;
    }
    if (study.isEmpty()) {
      return Severity.NOTE;
    }
    return bad(study.get()).stream().findFirst().map(Finding::severity).orElse(Severity.OK);
  }

  private static List<Finding> bad(Study study) {
    return study.findings().stream().filter(Finding::isBad).toList();
  }

  private static String told(Sheet sheet, Optional<Study> study, Severity worst) {
    if (sheet.draft().isPresent()) {
      return "The card cannot be read";
    }
    if (study.isEmpty()) {
      return sheet.card().isEmpty() ? "Nothing on it yet" : "Not worked out yet";
    }
    return worst == Severity.OK
        ? "Sound"
        : bad(study.get()).size() == 1
            ? bad(study.get()).getFirst().message()
            : bad(study.get()).size() + " findings";
  }
}
