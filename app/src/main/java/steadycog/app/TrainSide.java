package steadycog.app;

import javafx.geometry.Pos;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Desk;
import steadycog.app.geartable.PartMenu;
import steadycog.app.geartable.RoleStrip;
import steadycog.app.ledger.FindingsBar;
import steadycog.app.ledger.Headline;
import steadycog.app.ledger.Ledger;
import steadycog.app.look.Look;
import steadycog.app.trainline.TrainLine;

/**
 * The train in words and figures: its card, what it gives, and what there is to object to. Beside
 * the drawing it is a column with the ledger under it; over every other station a band.
 */
final class TrainSide {
  private final TrainLine line;
  private final Headline headline;
  private final FindingsBar findings;
  private final Ledger ledger;
  private final Pane standing = Look.styled(new VBox(4), "panel", "summary");
  private final Pane lying = Look.styled(new HBox(14), "panel", "summary", "lying");
  private final VBox column;
  private final HBox band = Look.styled(new HBox(8), "train-band");

  TrainSide(Desk desk, RoleStrip tools) {
    line = new TrainLine(desk, new PartMenu(desk));
    ledger = new Ledger(desk, tools);
    headline = new Headline(desk, ledger::showLosses);
    findings = new FindingsBar(desk, ledger::showFindings);
    VBox.setVgrow(ledger, Priority.ALWAYS);
    HBox.setHgrow(lying, Priority.ALWAYS);
    HBox.setHgrow(findings, Priority.ALWAYS);
    HBox.setHgrow(line, Priority.ALWAYS);
    line.setMinHeight(Region.USE_PREF_SIZE);
    standing.setMinHeight(Region.USE_PREF_SIZE);
    ledger.setMinHeight(0);
    column = Look.styled(new VBox(6, standing, ledger), "train-column");
    band.getChildren().add(lying);
    band.setAlignment(Pos.TOP_LEFT);
    lying.setMinWidth(0);
    band.setMinHeight(Region.USE_PREF_SIZE);
    line.setMinWidth(0);
    line.prefWidthProperty().bind(band.widthProperty().multiply(0.4));
    lying.prefWidthProperty().bind(band.widthProperty().multiply(0.6));
    stand(true);
  }

  /** Beside the drawing. */
  VBox column() {
    return column;
  }

  /** Over a station. */
  HBox band() {
    return band;
  }

  /** Puts card, ratio and findings into the column, or into the band. */
  void stand(boolean upright) {
    Pane home = upright ? standing : lying;
    Look.show(band, !upright);
    if (headline.getParent() != home) {
      home.getChildren().setAll(headline, findings);
      (upright ? band : column).getChildren().remove(line);
      (upright ? column : band).getChildren().addFirst(line);
      headline.setTerse(!upright);
      line.foldWhenLeft(!upright);
    }
  }

  TrainLine line() {
    return line;
  }

  Ledger ledger() {
    return ledger;
  }
}
