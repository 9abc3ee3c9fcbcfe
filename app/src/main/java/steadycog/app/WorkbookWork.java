package steadycog.app;

import java.util.List;
import java.util.function.Consumer;
import javafx.application.Platform;
import steadycog.app.desk.Desk;
import steadycog.app.files.Shop;
import steadycog.cli.Version;
import steadycog.format.xlsx.Books;
import steadycog.job.Sheet;
import steadycog.number.Units;

/** Writes the trains of the job as a workbook that computes, aside. */
record WorkbookWork(Desk desk, FileDialogs dialogs, Consumer<String> tell) {

  void begin() {
    List<Sheet> sheets =
        desk.job().sheets().stream().filter(sheet -> sheet.card().isPresent()).toList();
    if (sheets.isEmpty()) {
      tell.accept("There is nothing to compute yet: put a train on the bench first.");
      return;
    }
    String title = desk.job().title().isBlank() ? desk.sheet().name() : desk.job().title();
    Units units = desk.preferences().units();
    Shop shop = new Shop(Platform::runLater);
    shop.saidProperty().addListener((o, old, now) -> tellLast(now));
    dialogs
        .askExport(Shop.fileName(title), "Workbook that computes", ".xlsx")
        .ifPresent(
            file ->
                shop.make(
                    file, (cancelled, progress) -> Books.write(sheets, units, Version.number())));
  }

  private void tellLast(String words) {
    if (!words.isEmpty()) {
      tell.accept(words);
    }
  }
}
