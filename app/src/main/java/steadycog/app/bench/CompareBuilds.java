package steadycog.app.bench;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Desk;
import steadycog.app.look.Look;
import steadycog.bench.Build;
import steadycog.bench.Comparison;
import steadycog.report.BenchBlocks;

/** Two builds side by side: what changed, what it gained, their plots over each other. */
final class CompareBuilds extends VBox {
  private final Desk desk;
  private final MenuButton older = Look.styled(new MenuButton(), "plain");
  private final MenuButton newer = Look.styled(new MenuButton(), "plain");
  private final HBox choice;
  private final Label empty =
      Look.label(
          "Two builds with load tests are needed: build, test, change one thing, test again.",
          "soft");
  private final BlocksView blocks = new BlocksView();
  private String olderName = "";
  private String newerName = "";

  CompareBuilds(Desk desk) {
    super(8);
    this.desk = desk;
    setId("compare-builds");
    older.setId("compare-older");
    newer.setId("compare-newer");
    empty.setWrapText(true);
    choice = new HBox(8, new Label("Compare"), newer, new Label("against"), older);
    choice.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(choice, empty, blocks);
  }

  void show() {
    List<Build> loaded =
        desk.book().book().builds().stream().filter(b -> b.lastLoad().isPresent()).toList();
    boolean enough = loaded.size() > 1;
    Look.show(empty, !enough);
    Look.show(choice, enough);
    Look.show(blocks, enough);
    if (!enough) {
      return;
    }
    Build before = named(loaded, olderName).orElse(loaded.get(loaded.size() - 2));
    Build after = named(loaded, newerName).orElse(loaded.getLast());
    older.setText(before.name());
    newer.setText(after.name());
    older.getItems().setAll(loaded.stream().map(b -> item(b.name(), false)).toList());
    newer.getItems().setAll(loaded.stream().map(b -> item(b.name(), true)).toList());
    blocks.show(
        new BenchBlocks(desk.preferences().units())
            .comparison(
                Comparison.of(
                    before,
                    before.lastLoad().orElseThrow(),
                    after,
                    after.lastLoad().orElseThrow())));
  }

  private MenuItem item(String name, boolean isNewer) {
    MenuItem item = new MenuItem(name);
    item.setMnemonicParsing(false);
    item.setOnAction(
        e -> {
          if (isNewer) {
            newerName = name;
          } else {
            olderName = name;
          }
          show();
        });
    return item;
  }

  private static Optional<Build> named(List<Build> builds, String name) {
    return builds.stream().filter(build -> build.name().equals(name)).findFirst();
  }
}
