package steadycog.app.files;

import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import steadycog.app.look.Look;

/**
 * How far a file in the making is, with a button that stops it, and what came of the last one.
 *
 * @param nodes each shown only while it has something to say
 */
public record ShopView(List<Node> nodes) {

  /**
   * What shows a shop.
   *
   * @param about begins the names of its nodes: {@code file-stop} and {@code file-said} of file
   */
  public static ShopView of(Shop shop, String about) {
    ProgressBar bar = new ProgressBar();
    HBox.setHgrow(bar, Priority.ALWAYS);
    bar.setMaxWidth(Double.MAX_VALUE);
    Button stop = new Button("Stop");
    stop.setId(about + "-stop");
    stop.setOnAction(e -> shop.stop());
    HBox working = new HBox(8, bar, stop);
    working.setAlignment(Pos.CENTER_LEFT);
    Label said = Look.label("", "soft");
    said.setId(about + "-said");
    said.setWrapText(true);
    shop.progressProperty()
        .subscribe(
            now -> {
              Look.show(working, now.isPresent());
              bar.setProgress(now.orElse(0.0));
            });
    shop.saidProperty()
        .subscribe(
            now -> {
              said.setText(now);
              Look.show(said, !now.isEmpty());
            });
    return new ShopView(List.of(working, said));
  }
}
