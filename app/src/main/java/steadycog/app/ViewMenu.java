package steadycog.app;

import java.util.List;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.RadioMenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.Tooltip;
import steadycog.app.desk.Desk;
import steadycog.app.desk.Preferences;
import steadycog.number.Unit;

/** Preferences, as a menu: which ratio leads, units, light, size of text. */
final class ViewMenu extends MenuButton {
  private static final double TEXT_STEP = 1.5;

  private final Desk desk;

  ViewMenu(Desk desk, Runnable about) {
    super("View");
    this.desk = desk;
    setId("view-menu");
    getStyleClass().add("plain");
    setMinWidth(USE_PREF_SIZE);
    setTooltip(new Tooltip("Which ratio leads, units, light or dark, size of text"));
    getItems()
        .addAll(
            choice(
                "Reduction ratio i = in / out leads",
                p -> !p.trainValueLeads(),
                p -> p.leading(false)),
            choice(
                "Train value e = out / in leads",
                Preferences::trainValueLeads,
                p -> p.leading(true)),
            new SeparatorMenuItem(),
            units("Speeds in", Unit.Dimension.SPEED),
            units("Torques in", Unit.Dimension.TORQUE),
            units("Powers in", Unit.Dimension.POWER),
            units("Lengths in", Unit.Dimension.LENGTH),
            new SeparatorMenuItem(),
            choice("Light", p -> !p.dark(), p -> p.inDark(false)),
            choice("Dark", Preferences::dark, p -> p.inDark(true)),
            new SeparatorMenuItem(),
            choice("Pictures turn", p -> !p.still(), p -> p.standingStill(false)),
            choice("Pictures stand still", Preferences::still, p -> p.standingStill(true)),
            new SeparatorMenuItem(),
            action("Present, large   F11", p -> p.presenting(!p.presenting())),
            new SeparatorMenuItem(),
            action("Larger text", p -> p.sized(p.textSize() + TEXT_STEP)),
            action("Smaller text", p -> p.sized(p.textSize() - TEXT_STEP)),
            action("Usual text", p -> p.sized(Preferences.NORMAL_TEXT)),
            new SeparatorMenuItem(),
            about(about));
  }

  private static MenuItem about(Runnable show) {
    MenuItem item = new MenuItem("About Steady Cog");
    item.setId("about");
    item.setOnAction(e -> show.run());
    return item;
  }

  private Menu units(String title, Unit.Dimension dimension) {
    Menu menu = new Menu(title);
    for (Unit unit : Unit.values()) {
      if (unit.dimension() == dimension) {
        menu.getItems().add(choice(unit.symbol(), p -> uses(p, unit), p -> p.in(unit)));
      }
    }
    return menu;
  }

  private static boolean uses(Preferences preferences, Unit unit) {
    return List.of(
            preferences.speed(), preferences.torque(), preferences.power(), preferences.length())
        .contains(unit);
  }

  private MenuItem choice(
      String words, Predicate<Preferences> isChosen, UnaryOperator<Preferences> choose) {
    RadioMenuItem item = new RadioMenuItem(words);
    item.setOnAction(
        e -> {
          change(choose);
          item.setSelected(isChosen.test(desk.preferences()));
        });
    desk.preferencesProperty().subscribe(now -> item.setSelected(isChosen.test(now)));
    return item;
  }

  private MenuItem action(String words, UnaryOperator<Preferences> choose) {
    MenuItem item = new MenuItem(words);
    item.setOnAction(e -> change(choose));
    return item;
  }

  private void change(UnaryOperator<Preferences> choose) {
    desk.preferencesProperty().set(choose.apply(desk.preferences()));
  }
}
