package steadycog.app.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import steadycog.app.desk.BookWork;
import steadycog.app.desk.Desk;
import steadycog.app.files.AskFile;
import steadycog.app.look.Icon;
import steadycog.app.look.Look;
import steadycog.bench.Build;
import steadycog.number.Printable;

/** One build: when, what was changed, what belongs to it, and its card as it was. */
final class BuildPanel extends VBox {
  private static final double PHOTO = 150;
  private static final int ROWS = 3;
  private static final long LARGEST_PHOTO = 40L << 20;

  private final BookWork book;
  private final AskFile ask;

  /** Files that somebody has chosen or asked to see. */
  private final Set<String> asked = new HashSet<>();

  private final TextField name = new TextField();
  private final TextField date = new TextField();
  private final TextArea changed = new TextArea();
  private final Label said = Look.label("", "bad-word");
  private final FlowPane files = new FlowPane(8, 8);
  private final Label card = Look.label("", "block-lines");
  private final Label fresh = Look.label("", "soft");
  private final Label moved =
      Look.label("The train on the bench has changed since this was built.", "soft");
  private final Button back = Look.styled(new Button("Put this card back on the bench"), "cure");
  private List<String> shownFiles = List.of();
  private boolean filling;

  BuildPanel(Desk desk, AskFile ask) {
    super(8);
    book = desk.book();
    this.ask = ask;
    setId("build-panel");
    name.setId("build-name");
    name.setAccessibleText("Name of the build; Enter takes it");
    name.setOnAction(e -> takeName());
    name.focusedProperty().addListener((o, was, now) -> takeIf(was && !now, this::takeName));
    date.setId("build-date");
    date.setPrefColumnCount(8);
    date.setAccessibleText("Date, year-month-day; Enter takes it, empty for none");
    date.setOnAction(e -> takeDate());
    date.focusedProperty().addListener((o, was, now) -> takeIf(was && !now, this::takeDate));
    changed.setId("build-changed");
    changed.setPrefRowCount(ROWS);
    changed.setWrapText(true);
    changed.setPromptText("What was changed since the build before, and why");
    changed.setAccessibleText("What was changed");
    changed
        .textProperty()
        .addListener(
            (o, old, now) -> {
              if (!filling) {
                book.change(build -> build.changing(now), " changed");
              }
            });
    said.setId("build-said");
    Button attach = Look.styled(new Button("Attach files \u2026"), "cure");
    attach.setId("attach");
    attach.setTooltip(new Tooltip("Photos and notes; the book keeps where they are, not a copy"));
    attach.setOnAction(e -> attach());
    back.setOnAction(e -> book.putBack());
    back.setId("put-back");
    card.setWrapText(true);
    fresh.setWrapText(true);
    HBox head = new HBox(8, new Label("Build"), name, new Label("made on"), date);
    head.setAlignment(Pos.CENTER_LEFT);
    HBox moving = new HBox(10, moved, back);
    moving.setAlignment(Pos.CENTER_LEFT);
    moving.managedProperty().bind(moved.managedProperty());
    getChildren()
        .addAll(
            head,
            said,
            Look.label("What was changed", "caption"),
            changed,
            fresh,
            Look.label("Photos and notes", "caption"),
            files,
            attach,
            Look.label("Card when it was built", "caption"),
            card,
            moving);
    say("");
  }

  private static void takeIf(boolean left, Runnable take) {
    if (left) {
      take.run();
    }
  }

  private void say(String words) {
    said.setText(words);
    Look.show(said, !words.isEmpty());
  }

  /**
   * Shows a build.
   *
   * @param other whether it is another one than before
   */
  void show(Build build, boolean other) {
    filling = true;
    if (other) {
      say("");
    }
    if (other || !name.isFocused()) {
      name.setText(build.name());
    }
    if (other || !date.isFocused()) {
      date.setText(build.date().map(LocalDate::toString).orElse(""));
    }
    if (!changed.getText().equals(build.changed())) {
      changed.setText(build.changed());
    }
    filling = false;
    card.setText(build.card().text().strip());
    List<String> statements = book.before().map(build::newSince).orElse(List.of());
    fresh.setText(
        statements.isEmpty()
            ? ""
            : "New on its card since "
                + book.before().orElseThrow().name()
                + ": "
                + String.join("; ", statements));
    Look.show(fresh, !statements.isEmpty());
    Look.show(moved, book.hasMovedOn());
    Look.show(back, book.hasMovedOn());
    if (!shownFiles.equals(build.files())) {
      shownFiles = build.files();
      files.getChildren().setAll(shownFiles.stream().map(this::attached).toList());
    }
  }

  private void takeName() {
    String now = name.getText().strip();
    if (now.isEmpty()) {
      say("A build needs a name.");
      return;
    }
    say("");
    book.change(build -> build.named(now), "");
  }

  private void takeDate() {
    try {
      String typed = date.getText().strip();
      Optional<LocalDate> day =
          typed.isEmpty() ? Optional.empty() : Optional.of(LocalDate.parse(typed));
      book.change(build -> build.on(day), "");
      say("");
    } catch (DateTimeParseException wrong) {
      say("'" + date.getText() + "' is no date: expected year-month-day, such as 2031-04-02.");
    }
  }

  private void attach() {
    List<String> chosen =
        ask.askAny("Photos and notes of this build").stream().map(Path::toString).toList();
    if (!chosen.isEmpty()) {
      asked.addAll(chosen);
      List<String> all = new ArrayList<>(shownFiles);
      chosen.stream().filter(file -> !all.contains(file)).forEach(all::add);
      book.change(build -> build.attaching(all), "");
    }
  }

  private VBox attached(String file) {
    Label title = Look.label(nameOf(file), "small");
    title.setTooltip(new Tooltip(file));
    title.setMaxWidth(PHOTO);
    Button close = Look.styled(new Button(), "plain");
    close.setGraphic(Icon.CLOSE.node());
    close.setAccessibleText("Detach " + title.getText());
    close.setOnAction(
        e ->
            book.change(
                build ->
                    build.attaching(
                        build.files().stream().filter(one -> !one.equals(file)).toList()),
                ""));
    HBox line = new HBox(2, title, close);
    line.setAlignment(Pos.CENTER_LEFT);
    VBox box = new VBox(2, line);
    if (asked.contains(file)) {
      show(file, box);
    } else {
      // A job may come from anywhere: what it names is touched only when somebody wants to see it.
      Button look = Look.styled(new Button("show"), "plain");
      look.setTooltip(new Tooltip("Look for " + file));
      look.setOnAction(
          e -> {
            asked.add(file);
            box.getChildren().remove(look);
            show(file, box);
          });
      box.getChildren().add(look);
    }
    return box;
  }

  /** The last part of a path, which need not be one. */
  private static String nameOf(String file) {
    String plain = Printable.of(file);
    int slash = Math.max(plain.lastIndexOf('/'), plain.lastIndexOf('\\'));
    return slash + 1 < plain.length() ? plain.substring(slash + 1) : plain;
  }

  private static void show(String file, VBox box) {
    Path path;
    try {
      path = Path.of(file);
    } catch (InvalidPathException noPath) {
      box.getChildren().add(Look.label("is no name of a file", "small", "bad-word"));
      return;
    }
    if (!Files.isReadable(path)) {
      box.getChildren().add(Look.label("not found there", "small", "bad-word"));
    } else if (file.matches("(?i).*\\.(png|jpe?g|gif|bmp)") && isSmall(path)) {
      ImageView photo =
          new ImageView(new Image(path.toUri().toString(), 2 * PHOTO, 2 * PHOTO, true, true, true));
      photo.setFitWidth(PHOTO);
      photo.setFitHeight(PHOTO);
      photo.setPreserveRatio(true);
      box.getChildren().add(photo);
    } else {
      box.getChildren().add(Look.label("is there", "small", "soft"));
    }
  }

  private static boolean isSmall(Path path) {
    try {
      return Files.size(path) <= LARGEST_PHOTO;
    } catch (IOException gone) {
      return false;
    }
  }
}
