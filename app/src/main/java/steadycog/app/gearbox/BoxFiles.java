package steadycog.app.gearbox;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Desk;
import steadycog.app.files.AskFile;
import steadycog.app.files.Shop;
import steadycog.app.files.ShopView;
import steadycog.app.look.Look;
import steadycog.format.csv.BillCsv;
import steadycog.format.file.PieceFile;
import steadycog.format.pdf.ReportPdf;
import steadycog.format.picture.BoxPicture;
import steadycog.format.picture.PictureSvg;
import steadycog.gearbox.Build;
import steadycog.gearbox.Build.Whole;
import steadycog.piece.Piece;
import steadycog.piece.Pieces;
import steadycog.report.Report;
import steadycog.study.NamedStudy;

/** Files of a whole gearbox: what is made, its drawing pulled apart, and its bill. */
final class BoxFiles extends VBox {
  private final Desk desk;
  private final AskFile ask;
  private final Shop shop = new Shop(Platform::runLater);
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
    offer("Step by step, .pdf", "Bill and how it goes together", ".pdf", BoxFiles::pages);
    offer("Drawing, .svg", "Drawing pulled apart", ".svg", BoxFiles::picture);
    offer("Bill, .csv", "Bill of what is made and bought", ".csv", this::bill);
    getChildren().add(write);
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
    MenuItem item = new MenuItem(words);
    item.setId("gearbox-write-" + words.substring(words.lastIndexOf('.') + 1));
    item.setOnAction(
        e ->
            shown.ifPresent(
                whole -> {
                  String title = desk.sheet().name();
                  String name = Shop.fileName(title + " gearbox");
                  Optional<Path> file = ask.askExport(name, says, ending);
                  file.ifPresent(to -> shop.make(to, maker.of(whole, title)));
                }));
    write.getItems().add(item);
  }

  private static Maker work(PieceFile kind) {
    return (whole, title) ->
        (cancelled, progress) -> {
          List<Piece> made = whole.gearbox().made();
          return kind.write(made, false, Pieces.USUAL_CHORD, title, cancelled, progress);
        };
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
