package steadycog.app.board;

import java.util.function.Consumer;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.app.desk.Desk;
import steadycog.app.look.EachWayWords;
import steadycog.app.look.Icon;
import steadycog.app.look.IconView;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.bench.Slip;
import steadycog.motion.RatioBoard.Configuration;
import steadycog.number.Figures;
import steadycog.number.Mode;
import steadycog.number.Ratio;
import steadycog.study.ConfigurationBoard.Row;
import steadycog.torque.PowerFlow.Verdict;

/** One configuration: its ratio, direction and use; a click puts the train in it. */
final class BoardCell extends Button {
  private static final PseudoClass CURRENT = PseudoClass.getPseudoClass("current");
  private static final PseudoClass SELDOM = PseudoClass.getPseudoClass("seldom");

  private static final double SMALL_ICON = 0.62;
  private static final int STRESS_DIGITS = 3;
  private static final int FIGURES = 4;
  private static final int WIDE_FIGURES = 5;

  /** In narrower cells only the rounded ratio stays of the two. */
  private static final double LEAST_FOR_BOTH = 160;

  /** In still narrower ones it has fewer places, and the mode has to be read from it. */
  private static final double LEAST_FOR_PLACES = 112;

  private final IconView way = new IconView(Icon.SAME);
  private final Label number = Look.label("", "board-ratio");
  private final Label exact = Look.label("", "small", "soft");
  private final Label use = Look.label("", "small");
  private final Label mode = Look.label("", "small");
  private final IconView bearing = new IconView(Icon.HOLD);
  private final Label stress = Look.label("", "small", "soft");
  private final Label losses = Look.label("", "small", "soft");
  private final Tooltip tip = new Tooltip();
  private final Desk desk;
  private Row row;
  private boolean hidden;
  private double room = LEAST_FOR_BOTH;

  /**
   * A cell for {@code row}'s place on the board.
   *
   * @param pick is told that it was clicked
   */
  BoardCell(Desk desk, Row row, Consumer<BoardCell> pick) {
    this.desk = desk;
    this.row = row;
    Configuration one = row.configuration();
    getStyleClass().add("board-cell");
    setId("cell-" + one.drive() + "-" + one.hold().orElse(one.take()));
    one.lock().ifPresent(lock -> setId("cell-lock-" + lock.a() + "-" + lock.b()));
    for (Label whole : new Label[] {number, use, mode, stress, losses}) {
      whole.setMinWidth(USE_PREF_SIZE);
    }
    bearing.setScaleX(SMALL_ICON);
    bearing.setScaleY(SMALL_ICON);
    HBox first = new HBox(6, way, number, exact);
    first.setAlignment(Pos.BASELINE_LEFT);
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    HBox last = new HBox(3, mode, gap, bearing, stress);
    last.setAlignment(Pos.CENTER_LEFT);
    setGraphic(new VBox(-1, first, use, last, losses));
    setMaxWidth(Double.MAX_VALUE);
    setMinWidth(USE_PREF_SIZE);
    setAlignment(Pos.CENTER_LEFT);
    setMinHeight(Region.USE_PREF_SIZE);
    setTooltip(tip);
    setOnAction(e -> pick.accept(this));
    show(row);
  }

  /** The width that the board has for it, at the usual size of text: what it says goes by that. */
  void giveRoom(double width) {
    room = width;
    showRatio();
  }

  Row row() {
    return row;
  }

  /** Shows the numbers of another train in the same configuration. */
  void show(Row now) {
    row = now;
    Configuration one = now.configuration();
    Ratio ratio = one.ratio();
    BigFraction leading = leading();
    way.show(ratio.sameDirection() ? Icon.SAME : Icon.OPPOSITE);
    exact.setText(Sign.exact(leading));
    use.setText(use(one));
    Look.show(use, !use.getText().isEmpty());
    mode.setText(word(ratio.mode()) + (now.seldom() ? ", near 1" : ""));
    bearing.show(one.lock().isPresent() ? Icon.LOCKED : Icon.HOLD);
    Look.show(bearing, now.reaction().isPresent());
    stress.setText(
        now.reaction()
            .map(torque -> Figures.significant(Math.abs(torque.doubleValue()), STRESS_DIGITS))
            .orElse(""));
    tip.setText(words(now));
    pseudoClassStateChanged(SELDOM, now.seldom());
    hide(hidden);
    showRatio();
  }

  /** Whether its answer is hidden until it has been stated. */
  boolean isHidden() {
    return hidden;
  }

  /** Hides the answer, or shows it. */
  void hide(boolean now) {
    boolean changed = hidden != now;
    hidden = now;
    way.setVisible(!now);
    if (now) {
      exact.setVisible(false);
      mode.setVisible(false);
    }
    bearing.setVisible(!now);
    stress.setVisible(!now);
    losses.setVisible(!now);
    if (now) {
      number.setText("?");
      String words = Slip.words(row.configuration()) + ": state its ratio first";
      tip.setText(words);
      setAccessibleText(words);
    } else if (changed) {
      show(row);
    }
  }

  private BigFraction leading() {
    Ratio ratio = row.configuration().ratio();
    return desk.preferences().trainValueLeads() ? ratio.trainValue() : ratio.reduction();
  }

  /** The ratio with as many places as there is room for. */
  private void showRatio() {
    if (hidden) {
      return;
    }
    boolean wide = room > LEAST_FOR_PLACES;
    Look.show(exact, room > LEAST_FOR_BOTH);
    Look.show(mode, wide);
    boolean locks = row.eachWay().verdict() == Verdict.LOCKS;
    int decimals = wide ? 1 : 0;
    String back = EachWayWords.backwards(row.eachWay().backwards(), decimals);
    String out = EachWayWords.forwards(row.eachWay(), decimals);
    boolean roomy = room > LEAST_FOR_BOTH;
    losses.setText(out + (roomy && !locks ? " out" : "") + (roomy ? ", back " : ", ") + back);
    losses.getStyleClass().setAll("label", "small", locks ? "bad-word" : "soft");
    number.setText(Sign.colon(leading(), decimals(wide ? WIDE_FIGURES : FIGURES)));
  }

  /** Decimals that make up so many figures of the ratio, so that no two read alike. */
  private int decimals(int figures) {
    double size = Math.abs(leading().doubleValue());
    double larger = Math.max(size, 1 / size);
    return Math.max(0, figures - 1 - (int) Math.floor(Math.log10(larger)));
  }

  /** The take-off where it does not follow from the column, or the two that are locked. */
  private static String use(Configuration one) {
    return one.lock()
        .map(lock -> Sign.shortName(lock.a()) + " = " + Sign.shortName(lock.b()))
        .orElse(one.hold().isPresent() ? "take " + Sign.shortName(one.take()) : "");
  }

  void showCurrent(boolean current) {
    pseudoClassStateChanged(CURRENT, current);
    if (hidden) {
      return;
    }
    String words = words(row);
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
                        + " times the drive torque, losses left out.")
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
        + "\nWith losses "
        + EachWayWords.forwards(row.eachWay())
        + " comes out; pushed at "
        + one.take()
        + ": "
        + EachWayWords.backwards(row.eachWay().backwards())
        + (row.eachWay().backwards().verdict() == Verdict.LOCKS ? ", but it is no brake" : "")
        + EachWayWords.tips(row.eachWay().backwards()).map(words -> "; " + words).orElse("")
        + "."
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
