package steadycog.app.cut;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.files.AskFile;
import steadycog.app.files.Printer;
import steadycog.app.files.Shop;
import steadycog.app.files.ShopView;
import steadycog.app.look.Look;
import steadycog.app.look.OneOf;
import steadycog.check.Collisions;
import steadycog.cure.Advice;
import steadycog.format.csv.SheetCsv;
import steadycog.format.file.PieceFile;
import steadycog.format.pdf.ReportPdf;
import steadycog.job.Job;
import steadycog.notation.LengthText;
import steadycog.number.Figures;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.number.Units;
import steadycog.piece.Coupon;
import steadycog.piece.Piece;
import steadycog.piece.Pieces;
import steadycog.piece.UnmakeableException;
import steadycog.report.Report;
import steadycog.report.Section;
import steadycog.shape.Drives;
import steadycog.study.NamedStudy;
import steadycog.study.Study;
import steadycog.train.Train;

/** What can be sent to the cutter, the printer, CAD, or paper. */
final class FilesPanel extends VBox {
  private static final String ALL = "all pieces";
  private static final String COUPON = "test for the printer";
  private static final int MOST_LISTED = 7;

  /** Fine enough to name the pieces. */
  private static final double NAMING_CHORD = 0.1;

  /** What can be written. */
  private enum Out {
    DXF(PieceFile.DXF),
    SVG(PieceFile.SVG),
    STL(PieceFile.STL),
    THREE_MF(PieceFile.THREE_MF),
    PDF("Cut sheet on paper", ".pdf"),
    CSV("Figures of the cut sheet", ".csv");

    private final Optional<PieceFile> pieces;
    private final String says;
    private final String ending;

    Out(PieceFile pieces) {
      this.pieces = Optional.of(pieces);
      this.says = pieces.says();
      this.ending = pieces.ending();
    }

    Out(String says, String ending) {
      this.pieces = Optional.empty();
      this.says = says;
      this.ending = ending;
    }
  }

  private final Desk desk;
  private final AskFile ask;
  private final Shop shop = new Shop(Platform::runLater);
  private final OneOf kinds = new OneOf();
  private final MenuButton which = Look.styled(new MenuButton(ALL), "plain");
  private final CheckBox together = new CheckBox("in mesh");
  private final CheckBox anyway = new CheckBox("though pieces collide");
  private final TextField chord =
      Look.field("chord", 5, "How far straight pieces may leave the true line");
  private final Button save = Look.styled(new Button("Write \u2026"), "main");
  private final Label list = Look.label("", "soft");
  private List<String> names = List.of();

  FilesPanel(Desk desk, AskFile ask) {
    super(6);
    this.desk = desk;
    this.ask = ask;
    setId("files");
    getStyleClass().addAll("panel", "working");
    HBox chips = new HBox(3);
    for (Out out : Out.values()) {
      chips.getChildren().add(chip(out));
    }
    which.setId("which-piece");
    which.setTooltip(new Tooltip("Which bodies the file holds"));
    together.setSelected(true);
    together.setTooltip(new Tooltip("As they stand in the train; else side by side, as made"));
    chord.setText("0.005 mm");
    HBox within = new HBox(8, new Label("within"), chord);
    within.setAlignment(Pos.CENTER_LEFT);
    FlowPane choice = new FlowPane(8, 4, which, together, within, anyway);
    choice.setRowValignment(VPos.CENTER);
    anyway.setId("file-anyway");
    anyway.setTooltip(new Tooltip("Writes also pieces that run into each other"));
    Look.show(anyway, false);
    save.setId("write-file");
    save.setOnAction(e -> write());
    Button print = new Button("Print the sheet \u2026");
    print.setId("print-sheet");
    print.setOnAction(e -> print());
    list.setWrapText(true);
    HBox buttons = new HBox(8, save, print);
    getChildren().addAll(Look.label("Files and paper", "caption"), chips, choice, list, buttons);
    getChildren().addAll(ShopView.of(shop, "file").nodes());
    kinds.selectedToggleProperty().subscribe(now -> showChoice());
  }

  private ToggleButton chip(Out out) {
    String words = out.ending.substring(1);
    ToggleButton chip = Look.styled(new ToggleButton(words), "chip");
    chip.setId("file-" + words);
    chip.setTooltip(new Tooltip(out.says));
    chip.setToggleGroup(kinds);
    chip.setUserData(out);
    chip.setSelected(out == Out.DXF);
    return chip;
  }

  /** Offered only where pieces are known to collide. */
  private void showAnyway() {
    boolean collide =
        desk.cures().advice().stream()
            .map(Advice::finding)
            .anyMatch(f -> f.code().equals(Collisions.CODE) && f.severity().isError());
    Look.show(anyway, collide);
    anyway.setSelected(anyway.isSelected() && collide);
  }

  private Out out() {
    return kinds.getSelectedToggle() == null
        ? Out.DXF
        : (Out) kinds.getSelectedToggle().getUserData();
  }

  private void showChoice() {
    Optional<PieceFile> pieces = out().pieces;
    which.setDisable(pieces.isEmpty());
    chord.setDisable(pieces.isEmpty());
    boolean solid = pieces.filter(file -> !file.solid()).isEmpty();
    together.setDisable(solid || which.getText().equals(COUPON));
  }

  /** Takes over another train; its pieces are named without making them finely. */
  void show(Study study) {
    showAnyway();
    Pieces pieces = study.pieces(NAMING_CHORD * moduleMm(study));
    List<String> now = new ArrayList<>(List.of(ALL));
    pieces.all().forEach(piece -> now.add(piece.name()));
    now.add(COUPON);
    if (!now.equals(names)) {
      names = now;
      which.getItems().clear();
      for (String name : names) {
        MenuItem item = new MenuItem(name);
        item.setMnemonicParsing(false);
        item.setOnAction(e -> choose(name));
        which.getItems().add(item);
      }
      choose(names.contains(which.getText()) ? which.getText() : ALL);
    }
    list.setText(made(pieces));
  }

  private static double moduleMm(Study study) {
    return Drives.moduleMm(study.train());
  }

  private void choose(String name) {
    which.setText(name);
    showChoice();
  }

  private static String made(Pieces pieces) {
    List<String> all = new ArrayList<>();
    for (Piece piece : pieces.all()) {
      int count = piece.stands().size();
      all.add((count > 1 ? count + "\u2009\u00d7\u2009" : "") + piece.name());
    }
    String more = all.size() > MOST_LISTED ? " and " + (all.size() - MOST_LISTED) + " more" : "";
    String words = String.join(", ", all.stream().limit(MOST_LISTED).toList()) + more;
    String left =
        pieces.left().isEmpty() ? "" : "Not cut here: " + String.join("; ", pieces.left()) + ".";
    return words.isEmpty() ? left : words + ". " + left;
  }

  private void write() {
    Optional<Bench> bench = desk.bench();
    if (bench.isEmpty()) {
      return;
    }
    Optional<Double> within =
        LengthText.read(chord.getText(), Unit.MM)
            .map(Quantity::inBase)
            .filter(mm -> mm >= Pieces.FINEST_CHORD && mm <= Pieces.COARSEST_CHORD);
    if (within.isEmpty()) {
      shop.say(
          "Within what? A length from "
              + Figures.significant(Pieces.FINEST_CHORD, 2)
              + " to "
              + Figures.significant(Pieces.COARSEST_CHORD, 2)
              + " mm.");
      return;
    }
    Study study = bench.get().study();
    Out out = out();
    String name = desk.sheet().name();
    if (out.pieces.isPresent() && !which.getText().equals(ALL)) {
      name += " " + which.getText();
    }
    Optional<Path> file = ask.askExport(Shop.fileName(name), out.says, out.ending);
    file.ifPresent(to -> shop.make(to, work(out, study, within.get())));
  }

  /** How the file is made; all that it depends on is settled now. */
  private Shop.Work work(Out out, Study study, double within) {
    String title = desk.sheet().name();
    String piece = which.getText();
    boolean mesh = together.isSelected() && !piece.equals(COUPON);
    Train train = desk.bench().orElseThrow().card().train();
    Units units = desk.preferences().units();
    boolean prove = !anyway.isSelected() && !piece.equals(COUPON);
    byte[] sheet = out == Out.PDF ? pdf() : new byte[0];
    return (cancelled, progress) -> {
      if (out.pieces.isEmpty()) {
        return out == Out.CSV
            ? SheetCsv.write(List.of(NamedStudy.of(title, train)), any -> units)
                .getBytes(StandardCharsets.UTF_8)
            : sheet;
      }
      List<Piece> pieces = chosen(study, piece, within);
      UnmakeableException.check(pieces, within);
      if (prove) {
        study.requireAssembled(pieces);
      }
      return out.pieces.get().write(pieces, mesh, within, title, cancelled, progress);
    };
  }

  private byte[] pdf() {
    return ReportPdf.write(
        Report.of(
            new Job(desk.job().title(), List.of(desk.sheet())),
            Section.SHOP,
            desk.preferences().units(),
            LocalDate.now().toString()));
  }

  private static List<Piece> chosen(Study study, String name, double chord) {
    if (name.equals(COUPON)) {
      return Coupon.of(study.train(), chord);
    }
    List<Piece> pieces = study.pieces(chord).all();
    return name.equals(ALL)
        ? pieces
        : pieces.stream().filter(piece -> piece.name().equals(name)).toList();
  }

  private void print() {
    if (desk.bench().isEmpty()) {
      return;
    }
    byte[] sheet = pdf();
    Thread.ofPlatform()
        .daemon()
        .name("printer")
        .start(
            () -> {
              String came = Printer.print(sheet);
              Platform.runLater(() -> shop.say(came));
            });
  }
}
