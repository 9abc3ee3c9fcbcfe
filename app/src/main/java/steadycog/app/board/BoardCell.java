package steadycog.app.board;

import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.app.desk.Desk;
import steadycog.app.look.Icon;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.motion.RatioBoard.Configuration;
import steadycog.number.Figures;
import steadycog.number.Mode;
import steadycog.number.Ratio;
import steadycog.study.ConfigurationBoard.Row;

/** One configuration: its ratio, direction and use; a click puts the train in it. */
final class BoardCell extends Button {
  private static final PseudoClass CURRENT = PseudoClass.getPseudoClass("current");
  private static final PseudoClass SELDOM = PseudoClass.getPseudoClass("seldom");

  private static final double SMALL_ICON = 0.62;
  private static final int STRESS_DIGITS = 3;
  private static final int RATIO_DECIMALS = 3;

  private final String words;

  /** A cell; {@code held} where a member is held, so that the take-off must be named. */
  BoardCell(Desk desk, Row row, boolean held) {
    Configuration one = row.configuration();
    Ratio ratio = one.ratio();
    boolean valueLeads = desk.preferences().trainValueLeads();
    getStyleClass().add("board-cell");
    setId("cell-" + one.drive() + "-" + one.hold().orElse(one.take()));
    one.lock().ifPresent(lock -> setId("cell-lock-" + lock.a() + "-" + lock.b()));
    Label number =
        Look.label(
            Sign.colon(valueLeads ? ratio.trainValue() : ratio.reduction(), RATIO_DECIMALS),
            "board-ratio");
    number.setMinWidth(USE_PREF_SIZE);
    Label exact =
        Look.label(
            Sign.exact(valueLeads ? ratio.trainValue() : ratio.reduction()), "small", "soft");
    HBox first =
        new HBox(6, (ratio.sameDirection() ? Icon.SAME : Icon.OPPOSITE).node(), number, exact);
    first.setAlignment(Pos.BASELINE_LEFT);
    Label second = Look.label(use(one, held), "small");
    Label third = Look.label(word(ratio.mode()) + (row.seldom() ? ", near 1" : ""), "small");
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    HBox last = new HBox(3, third, gap);
    last.setAlignment(Pos.CENTER_LEFT);
    row.reaction().ifPresent(torque -> addStress(last, one, torque));
    VBox face = new VBox(-1, first, second, last);
    shown(second, !second.getText().isEmpty());
    setGraphic(face);
    setMaxWidth(Double.MAX_VALUE);
    setMinWidth(0);
    setAlignment(Pos.CENTER_LEFT);
    setMinHeight(Region.USE_PREF_SIZE);
    words = words(row);
    setAccessibleText(words);
    setTooltip(new Tooltip(words));
    setOnAction(e -> desk.configure(one));
    pseudoClassStateChanged(SELDOM, row.seldom());
  }

  private static void shown(Node node, boolean yes) {
    node.setVisible(yes);
    node.setManaged(yes);
  }

  private static String use(Configuration one, boolean held) {
    return one.lock()
        .map(lock -> Sign.shortName(lock.a()) + " = " + Sign.shortName(lock.b()))
        .orElse(held ? "take " + Sign.shortName(one.take()) : "");
  }

  /** What the held member or the clutch has to bear, for 1 at the drive. */
  private static void addStress(HBox line, Configuration one, BigFraction torque) {
    Region icon = (one.lock().isPresent() ? Icon.LOCKED : Icon.HOLD).node();
    icon.setScaleX(SMALL_ICON);
    icon.setScaleY(SMALL_ICON);
    String size = Figures.significant(Math.abs(torque.doubleValue()), STRESS_DIGITS);
    Label label = Look.label(size, "small", "soft");
    label.setMinWidth(USE_PREF_SIZE);
    line.getChildren().addAll(icon, label);
  }

  void showCurrent(boolean current) {
    pseudoClassStateChanged(CURRENT, current);
    setAccessibleText(current ? words + ". The train is in this configuration" : words);
  }

  private static String words(Row row) {
    Configuration one = row.configuration();
    Ratio ratio = one.ratio();
    String held = one.hold().map(h -> "hold " + h + ", ").orElse("");
    String locked = one.lock().map(l -> "lock " + l.a() + " to " + l.b() + ", ").orElse("");
    String torque =
        row.reaction()
            .map(
                t ->
                    (one.hold().isPresent()
                            ? "\nThe held member withstands "
                            : "\nThe clutch carries ")
                        + Sign.number(Math.abs(t.doubleValue()))
                        + " times the drive torque, ideally.")
            .orElse("");
    String seldom = row.seldom() ? "\nSo near to 1 : 1 that it is seldom worth its parts." : "";
    return "Drive "
        + one.drive()
        + ", "
        + held
        + locked
        + "take off at "
        + one.take()
        + "\ni = "
        + Sign.exact(ratio.reduction())
        + "   e = "
        + Sign.exact(ratio.trainValue())
        + "   "
        + ratio.mode().word()
        + torque
        + seldom;
  }

  private static String word(Mode mode) {
    return switch (mode) {
      case UNDERDRIVE -> "down";
      case OVERDRIVE -> "up";
      case DIRECT -> "direct";
      case REVERSE_UNDERDRIVE, REVERSE_OVERDRIVE -> "reverse";
      case NEUTRAL -> "neutral";
    };
  }
}
