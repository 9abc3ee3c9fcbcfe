package steadycog.app.bench;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import steadycog.app.desk.BookWork;
import steadycog.app.desk.Desk;
import steadycog.app.look.Look;
import steadycog.bench.Build;
import steadycog.bench.Chart;
import steadycog.bench.LoadTest;
import steadycog.bench.Recording;
import steadycog.bench.Recording.Channel;
import steadycog.bench.RecordingResult;
import steadycog.bench.Rigging;
import steadycog.format.csv.Beginning;
import steadycog.format.csv.ColumnGuess;
import steadycog.format.csv.Columns;
import steadycog.format.csv.Columns.Column;
import steadycog.format.csv.RecordingCsv;
import steadycog.format.file.Trouble;
import steadycog.format.json.UnreadableException;
import steadycog.number.Figures;
import steadycog.number.Known;
import steadycog.report.BenchBlocks;
import steadycog.report.Block;
import steadycog.train.Train;

/** A recording: which column holds what, reading it aside, and what it says. */
final class RecordingPanel extends VBox {
  private static final String NONE = "\u2013";
  private static final int SHOWN_ROWS = 3;
  private static final int SHOWN_COLUMNS = 8;
  private static final double WIDEST_HEAD = 136;

  private final Desk desk;
  private final BookWork book;
  private final Label title = Look.label("", "caption");
  private final GridPane mapping = new GridPane(8, 3);
  private final Button read = Look.styled(new Button("Read it"), "main");
  private final Button stop = new Button("Stop");
  private final ProgressBar bar = new ProgressBar(0);
  private final Label said = Look.label("", "bad-word");
  private final BlocksView preview = new BlocksView();
  private final BlocksView result = new BlocksView();
  private final Button keepTurns = Look.styled(new Button("Keep as turn count"), "cure");
  private final Button keepLoad = Look.styled(new Button("Keep as load test"), "cure");
  private final Map<Channel, MenuButton> chosen = new EnumMap<>(Channel.class);
  private final Map<Channel, TextField> units = new EnumMap<>(Channel.class);
  private Optional<Path> file = Optional.empty();
  private Optional<Beginning> beginning = Optional.empty();
  private Optional<RecordingResult> found = Optional.empty();
  private AtomicBoolean cancelled = new AtomicBoolean();

  RecordingPanel(Desk desk) {
    super(8);
    this.desk = desk;
    book = desk.book();
    setId("recording");
    read.setId("recording-read");
    read.setOnAction(e -> read());
    stop.setId("recording-stop");
    stop.setOnAction(e -> cancelled.set(true));
    said.setId("recording-said");
    said.setWrapText(true);
    keepTurns.setId("keep-turns");
    keepTurns.setOnAction(e -> found.flatMap(RecordingResult::turns).ifPresent(desk.book()::add));
    keepLoad.setId("keep-load");
    keepLoad.setOnAction(e -> found.flatMap(RecordingResult::load).ifPresent(desk.book()::add));
    HBox tools = new HBox(8, read, stop, bar);
    tools.setAlignment(Pos.CENTER_LEFT);
    getChildren()
        .addAll(
            title,
            new Wide(mapping),
            preview,
            tools,
            said,
            new HBox(8, keepTurns, keepLoad),
            result);
    showWorking(false);
    showFound(Optional.empty());
    say("");
  }

  private void say(String words) {
    said.setText(words);
    Look.show(said, !words.isEmpty());
  }

  private void showWorking(boolean working) {
    Look.show(bar, working);
    Look.show(stop, working);
    read.setDisable(working || beginning.isEmpty());
  }

  /** Looks at a file and offers what its columns seem to hold. */
  void open(Path path) {
    cancelled.set(true);
    file = Optional.of(path);
    beginning = Optional.empty();
    mapping.getChildren().clear();
    preview.show(List.of());
    title.setText("Recording " + path.getFileName());
    showFound(Optional.empty());
    say("");
    try (InputStream in = Files.newInputStream(path)) {
      Beginning seen = Beginning.of(in);
      beginning = Optional.of(seen);
      ColumnGuess guess = seen.guess();
      offer(seen, guess.columns());
      preview(seen, guess);
      if (guess.questions().isEmpty()) {
        read();
      } else {
        say(questions(guess));
      }
    } catch (UnreadableException unreadable) {
      say(unreadable.at(path.getFileName().toString()) + ".");
    } catch (IOException failed) {
      say(path.getFileName() + " cannot be read: " + Trouble.words(failed));
    }
    showWorking(beginning.isPresent() && bar.isVisible());
  }

  private static String questions(ColumnGuess guess) {
    return guess.questions().stream()
            .map(ColumnGuess.Question::words)
            .collect(Collectors.joining(". "))
        + ". Choose above which is which, then read it.";
  }

  /** How it begins and how that was taken, before anything of it is kept. */
  private void preview(Beginning seen, ColumnGuess guess) {
    List<Block> blocks = new ArrayList<>();
    if (!guess.said().isEmpty()) {
      blocks.add(new Block.Lines(guess.said()));
    }
    int wide = Math.min(seen.heads().size(), SHOWN_COLUMNS);
    blocks.add(
        new Block.Table(
            "First rows as they stand",
            seen.heads().subList(0, wide),
            seen.rows().stream()
                .limit(SHOWN_ROWS)
                .map(row -> row.subList(0, Math.min(wide, row.size())))
                .toList(),
            wide));
    preview.show(blocks);
  }

  private void offer(Beginning seen, Columns guess) {
    int row = 0;
    for (Channel channel : Channel.values()) {
      Column column = guess.of().get(channel);
      MenuButton menu =
          Look.styled(
              new MenuButton(column == null ? NONE : seen.heads().get(column.index())), "plain");
      menu.setId("channel-" + channel.key());
      menu.setMnemonicParsing(false);
      TextField unit =
          Look.styled(new TextField(column == null ? "" : column.unit()), "sheet-field");
      unit.setId("unit-" + channel.key());
      unit.setPrefColumnCount(6);
      unit.setTooltip(new Tooltip(unitHelp(channel)));
      unit.setAccessibleText("Unit of " + channel.title());
      unit.setPromptText(channel.usual().symbol());
      List<String> heads = new ArrayList<>(seen.heads());
      heads.addFirst(NONE);
      for (String head : heads) {
        MenuItem item = new MenuItem(head);
        item.setMnemonicParsing(false);
        item.setOnAction(e -> menu.setText(head));
        menu.getItems().add(item);
      }
      chosen.put(channel, menu);
      units.put(channel, unit);
      int at = row % 3 * 3;
      Label name = new Label(channel.title());
      name.setMinWidth(USE_PREF_SIZE);
      menu.setMaxWidth(WIDEST_HEAD);
      mapping.add(name, at, row / 3);
      mapping.add(menu, at + 1, row / 3);
      mapping.add(unit, at + 2, row / 3);
      row++;
    }
  }

  private static String unitHelp(Channel channel) {
    return channel.dimension().symbols()
        + (channel == Channel.INPUT || channel == Channel.OUTPUT
            ? ", or counts/4096 for an encoder with 4096 counts a turn"
            : "");
  }

  private Columns columns(Beginning seen) {
    Map<Channel, Column> all = new EnumMap<>(Channel.class);
    chosen.forEach(
        (channel, menu) -> {
          int index = seen.heads().indexOf(menu.getText());
          if (index >= 0) {
            all.put(channel, new Column(index, Known.in(units, channel).getText().strip()));
          }
        });
    return new Columns(all);
  }

  /** Reads the whole file aside. */
  private void read() {
    if (file.isEmpty() || beginning.isEmpty()) {
      return;
    }
    Path path = file.get();
    Beginning seen = beginning.get();
    Columns columns = columns(seen);
    Rigging motor = motor();
    String state = desk.state().orElse("");
    Optional<Train> tested = tested();
    AtomicBoolean own = new AtomicBoolean();
    cancelled = own;
    showFound(Optional.empty());
    say("");
    bar.setProgress(0);
    showWorking(true);
    Thread.ofPlatform()
        .daemon()
        .name("recording")
        .start(() -> readAside(path, seen, columns, motor, state, tested, own));
  }

  /** The train of the build, or on the bench, in the state in which it is shown. */
  private Optional<Train> tested() {
    Optional<Train> train = book.build().map(b -> b.card().train());
    return train
        .or(() -> desk.sheet().card().map(card -> card.train()))
        .map(t -> t.shifts().state(desk.state().orElse("")).map(t::in).orElse(t));
  }

  /** What is known of the motor from the last load test of the build. */
  private Rigging motor() {
    return book.build().flatMap(Build::lastLoad).map(LoadTest::rigging).orElse(Rigging.METER);
  }

  private void readAside(
      Path path,
      Beginning seen,
      Columns columns,
      Rigging motor,
      String state,
      Optional<Train> tested,
      AtomicBoolean own) {
    String words = "";
    Optional<Read> got = Optional.empty();
    try (InputStream in = new BufferedInputStream(Files.newInputStream(path))) {
      double size = Math.max(1, Files.size(path));
      Recording recording =
          RecordingCsv.read(
              in,
              path.getFileName().toString(),
              seen,
              columns,
              bytes -> Platform.runLater(() -> showProgress(bytes / size, own)),
              own::get);
      got =
          Optional.of(
              new Read(
                  recording, RecordingResult.of(recording, motor, LocalDate.now(), state, tested)));
    } catch (CancellationException stopped) {
      words = "Stopped; nothing was taken over.";
    } catch (UnreadableException unreadable) {
      words = unreadable.at(path.getFileName().toString()) + ".";
    } catch (IOException failed) {
      words = path.getFileName() + " cannot be read: " + Trouble.words(failed);
    } catch (OutOfMemoryError large) {
      words = path.getFileName() + " is larger than the memory given to the program: split it.";
    }
    String told = words;
    Optional<Read> all = got;
    Platform.runLater(
        () -> {
          if (own == cancelled) {
            showWorking(false);
            say(told);
            showFound(all);
          }
        });
  }

  private record Read(Recording recording, RecordingResult result) {}

  private void showProgress(double share, AtomicBoolean own) {
    if (own == cancelled) {
      bar.setProgress(share);
    }
  }

  private void showFound(Optional<Read> read) {
    found = read.map(Read::result);
    boolean build = book.build().isPresent();
    Look.show(keepTurns, build && found.flatMap(RecordingResult::turns).isPresent());
    Look.show(keepLoad, build && found.flatMap(RecordingResult::load).isPresent());
    List<Block> blocks = new ArrayList<>();
    read.ifPresent(all -> describe(all, blocks));
    result.show(blocks);
  }

  private void describe(Read all, List<Block> blocks) {
    Recording recording = all.recording;
    blocks.add(new Block.Text(recording.rows() + " rows read."));
    all.result.remarks().forEach(remark -> blocks.add(new Block.Remark(remark)));
    recording
        .bad()
        .forEach(
            bad -> blocks.add(new Block.Remark("Skipped line " + bad.line() + ": " + bad.why())));
    all.result
        .ratio()
        .ifPresent(
            ratio ->
                blocks.add(
                    new Block.Text(
                        "i = in/out = "
                            + Figures.typeset(Figures.significant(ratio, 7))
                            + ", scatter "
                            + Figures.significant(all.result.scatter(), 3)
                            + "\u00b0 at the output.")));
    BenchBlocks maker = new BenchBlocks(desk.preferences().units());
    tested()
        .ifPresent(
            t -> {
              all.result.turns().ifPresent(test -> blocks.addAll(maker.test(t, test)));
              all.result.load().ifPresent(test -> blocks.addAll(maker.test(t, test)));
            });
    List<Chart> charts = RecordingCharts.of(recording);
    if (!charts.isEmpty()) {
      blocks.add(new Block.Charts(charts));
    }
  }
}
