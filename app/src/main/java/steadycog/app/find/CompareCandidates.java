package steadycog.app.find;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import steadycog.app.look.Icon;
import steadycog.app.look.Look;
import steadycog.search.Candidate;

/** What is kept, side by side; a line in which they differ is marked. */
final class CompareCandidates extends VBox {

  private record Line(String name, Function<Candidate, String> words) {}

  private static final List<Line> LINES =
      List.of(
          new Line("kind", c -> Candidates.kind(c.kind())),
          new Line("i", Candidates::ratio),
          new Line("off by", Candidates::error),
          new Line("turns", Candidates::direction),
          new Line("teeth", c -> Integer.toString(c.size())),
          new Line("largest \u00d8", Candidates::diameter),
          new Line("planets", Candidates::planets),
          new Line("rows off", Candidates::distortion),
          new Line("planets mesh", Candidates::phasing),
          new Line("worst finding", Candidates::findings));

  private final Finder finder;

  CompareCandidates(Finder finder) {
    this.finder = finder;
    setId("compare");
    getStyleClass().addAll("panel", "compare");
    finder.comparedProperty().subscribe(this::show);
  }

  private void show(List<Candidate> all) {
    getChildren().setAll(Look.label("Side by side", "caption"));
    if (all.isEmpty()) {
      Label how =
          Look.label("Keep up to four to compare: C, or the button above.", "soft", "small");
      how.setWrapText(true);
      getChildren().add(how);
      return;
    }
    GridPane grid = Look.styled(new GridPane(), "compare-grid");
    for (int k = 0; k < all.size(); k++) {
      grid.add(head(all.get(k)), k + 1, 0);
    }
    for (int row = 0; row < LINES.size(); row++) {
      Line line = LINES.get(row);
      boolean differ = all.stream().map(line.words).distinct().count() > 1;
      grid.add(Look.label(line.name, "soft", "small"), 0, row + 1);
      for (int k = 0; k < all.size(); k++) {
        Label cell = Look.label(line.words.apply(all.get(k)), "small");
        if (differ) {
          cell.getStyleClass().add("differs");
        }
        grid.add(cell, k + 1, row + 1);
      }
    }
    getChildren().add(grid);
  }

  private Node head(Candidate candidate) {
    Button name = Look.styled(new Button(Candidates.wheels(candidate)), "plain", "small");
    name.setWrapText(true);
    name.setMaxWidth(110);
    name.setOnAction(e -> finder.chosenProperty().set(Optional.of(candidate)));
    Button drop = Look.styled(new Button(), "plain");
    drop.setGraphic(Icon.CLOSE.node());
    drop.setAccessibleText("Let " + Candidates.wheels(candidate) + " go");
    drop.setOnAction(e -> finder.compare(candidate));
    return new VBox(0, drop, name);
  }
}
