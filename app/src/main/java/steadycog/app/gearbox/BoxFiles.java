package steadycog.app.gearbox;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Desk;
import steadycog.app.files.AskFile;
import steadycog.app.files.Shop;
import steadycog.app.files.ShopView;
import steadycog.app.look.Look;
import steadycog.app.look.Typed;
import steadycog.format.csv.BillCsv;
import steadycog.format.file.PieceFile;
import steadycog.format.file.PlateFiles;
import steadycog.format.pdf.ReportPdf;
import steadycog.format.picture.BoxPicture;
import steadycog.format.picture.PictureSvg;
import steadycog.gearbox.Build;
import steadycog.gearbox.Build.Whole;
import steadycog.gearbox.FitGauge;
import steadycog.piece.Piece;
import steadycog.piece.Pieces;
import steadycog.piece.Plates;
import steadycog.report.Report;
import steadycog.study.NamedStudy;

/** Files of a whole gearbox: what is made, its drawing pulled apart, and its bill. */
final class BoxFiles extends VBox {
  private final Desk desk;
  private final AskFile ask;
  private final Shop shop = new Shop(Platform::runLater);
  private final TextField plate =
      Look.field("box-plate", 9, "Printer's plate or sheet to cut, as 220 x 220 mm");
  private final MenuButton write = Look.styled(new MenuButton("Write \u2026"), "main");
  private Optional<Whole> shown = Optional.empty();

  BoxFiles(Desk desk, AskFile ask) {
    super(5);
    this.desk = desk;
    this.ask = ask;
    write.setId("gearbox-write");
    for (PieceFile kind : List.of(PieceFile.THREE_MF, PieceFile.STL, PieceFile.DXF)) {
      offer("What is made, " + kind.ending(), kind.says(), kind.ending(), work(kind));
    }
    offerPlates("On plates, .3mf", PieceFile.THREE_MF);
    offerPlates("To cut from sheets, .dxf", PieceFile.DXF);
    offer(
        "Test piece for fits, .3mf",
        "fits-3mf",
        "Holes for its bearings and pins",
        ".3mf",
        (to, whole) -> shop.make(to, fits(whole, desk.sheet().name())));
    offer("Step by step, .pdf", "Bill and how it goes together", ".pdf", BoxFiles::pages);
    offer("Drawing, .svg", "Drawing pulled apart", ".svg", BoxFiles::picture);
    offer("Bill, .csv", "Bill of what is made and bought", ".csv", this::bill);
    HBox row = new HBox(8, write, new Label("plate"), plate);
    row.setAlignment(Pos.CENTER_LEFT);
    Label problem = Look.label("", "bad-word");
    problem.setId("box-plate-problem");
    problem.setWrapText(true);
    Look.show(problem, false);
    Typed.on(
        plate,
        this::takePlate,
        words -> {
          problem.setText(words.orElse(""));
          Look.show(problem, words.isPresent());
        },
        desk.inViewProperty());
    desk.preferencesProperty().subscribe(now -> Typed.show(plate, now.plate().toString()));
    getChildren().addAll(row, problem);
    getChildren().addAll(ShopView.of(shop, "gearbox").nodes());
  }

  void show(Whole whole) {
    shown = Optional.of(whole);
  }

  /** Makes the bytes of a file from the gearbox in view. */
  private interface Maker {
    Shop.Work of(Whole whole, String title);
  }

  private void offer(String words, String says, String ending, Maker maker) {
    String id = words.substring(words.lastIndexOf('.') + 1);
    offer(
        words,
        id,
        says,
        ending,
        (to, whole) -> shop.make(to, maker.of(whole, desk.sheet().name())));
  }

  private void offerPlates(String words, PieceFile kind) {
    offer(
        words,
        "plates" + kind.ending().replace('.', '-'),
        "One of the plates: others take the same name and their number",
        kind.ending(),
        (to, whole) -> {
          Plates.Size size = desk.preferences().plate();
          shop.makeAll(to, plates(whole, desk.sheet().name(), to, kind, size));
        });
  }

  private void offer(
      String words, String id, String says, String ending, BiConsumer<Path, Whole> make) {
    MenuItem item = new MenuItem(words);
    item.setId("gearbox-write-" + id);
    item.setOnAction(
        e ->
            shown.ifPresent(
                whole -> {
                  String name = Shop.fileName(desk.sheet().name() + " gearbox");
                  ask.askExport(name, says, ending).ifPresent(to -> make.accept(to, whole));
                }));
    write.getItems().add(item);
  }

  private Optional<String> takePlate(String text) {
    Optional<Plates.Size> size = Plates.Size.read(text);
    size.ifPresent(now -> desk.preferencesProperty().set(desk.preferences().onPlates(now)));
    return size.isEmpty()
        ? Optional.of("A plate is its width and depth in mm, such as 220 x 220.")
        : Optional.empty();
  }

  private static Shop.Works plates(
      Whole whole, String title, Path to, PieceFile kind, Plates.Size size) {
    return (cancelled, progress) -> {
      List<Piece> made = whole.gearbox().made();
      PlateFiles plates = PlateFiles.of(made, size, to, kind, Pieces.USUAL_CHORD);
      double all = plates.all().size();
      Map<Path, byte[]> files = new LinkedHashMap<>();
      for (PlateFiles.One one : plates.all()) {
        int before = files.size();
        byte[] bytes =
            kind.write(
                one.laid(),
                Pieces.USUAL_CHORD,
                title,
                cancelled,
                done -> progress.accept((before + done) / all));
        files.put(one.file(), bytes);
      }
      return new Shop.Made(files, plates.remark());
    };
  }

  private static Maker work(PieceFile kind) {
    return (whole, title) ->
        (cancelled, progress) -> {
          List<Piece> made = whole.gearbox().made();
          return kind.write(made, false, Pieces.USUAL_CHORD, title, cancelled, progress);
        };
  }

  private static Shop.Work fits(Whole whole, String title) {
    return (cancelled, progress) ->
        PieceFile.THREE_MF.write(
            FitGauge.of(whole.gearbox()), false, Pieces.USUAL_CHORD, title, cancelled, progress);
  }

  private static Shop.Work picture(Whole whole, String title) {
    return (cancelled, progress) ->
        PictureSvg.write(BoxPicture.of(whole, title)).getBytes(StandardCharsets.UTF_8);
  }

  private static Shop.Work pages(Whole whole, String title) {
    String date = LocalDate.now().toString();
    return (cancelled, progress) -> {
      NamedStudy named = NamedStudy.of(title, whole.gearbox().train());
      return ReportPdf.write(Report.of(named, whole, date));
    };
  }

  private Shop.Work bill(Whole whole, String title) {
    return (cancelled, progress) ->
        BillCsv.write(List.of(title), List.of(new Build(Optional.of(whole), "")))
            .getBytes(StandardCharsets.UTF_8);
  }
}
