package steadycog.app.ledger;

import java.util.List;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.app.look.Icon;
import steadycog.app.look.Look;
import steadycog.app.look.Roles;
import steadycog.app.look.Sign;
import steadycog.motion.TurnCount;
import steadycog.number.AngularSpeed;
import steadycog.study.Study;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Role;

/** One member's line in the ledger. */
final class MemberRow extends HBox {
  private static final PseudoClass SELECTED = PseudoClass.getPseudoClass("selected");

  private final MemberId id;
  private final Label turned = cell(Column.TURNED, "", "cell");

  /** The ledger's columns with their widths in pixels at the normal text size. */
  enum Column {
    MEMBER("member", 78, "Role and name of the member; its wheel stands for its shaft"),
    TEETH("teeth", 48, "Tooth count, i for internal teeth"),
    TURNED("turned", 96, "Turns (t) and degrees since the marks stood at twelve o'clock"),
    SPEED("rpm", 68, "Speed, counter-clockwise positive seen from the drive end"),
    WAY("", 24, "Direction seen from the drive end"),
    TORQUE(
        "N m",
        66,
        "At driven, held and taken-off members the torque from outside; at the others, paler,"
            + " what passes through. Ideal: no losses"),
    POWER("W", 66, "Power: positive enters, negative leaves; paler, what passes through");

    private final String title;
    private final double width;
    private final String help;

    Column(String title, double width, String help) {
      this.title = title;
      this.width = width;
      this.help = help;
    }
  }

  MemberRow(Study study, Member member) {
    this.id = member.id();
    getStyleClass().add("ledger-row");
    setId("row-" + id);
    Role role = study.role(id);
    Roles.mark(this, role);
    Optional<AngularSpeed> speed = study.motion().speed(id);
    boolean outside = role == Role.DRIVE || role == Role.HOLD || role == Role.TAKE;
    Optional<BigFraction> torque =
        outside ? study.torques().external(id) : study.torques().carried(id);
    Optional<Double> power = outside ? study.power(id) : study.carriedPower(id);
    String tone = outside ? "figure" : "figure-soft";
    getChildren()
        .addAll(
            member(role),
            cell(Column.TEETH, member.teeth().map(Object::toString).orElse(Sign.DASH), "cell"),
            turned,
            cell(Column.SPEED, number(speed.map(AngularSpeed::inRpm)), "cell"),
            way(speed),
            cell(Column.TORQUE, number(torque.map(BigFraction::doubleValue)), "cell", tone),
            cell(Column.POWER, number(power), "cell", tone));
    speed.ifPresent(
        known ->
            turned.setTooltip(new Tooltip("Exactly " + exactTurns(study) + " per input turn")));
  }

  MemberId member() {
    return id;
  }

  void showTurns(TurnCount count) {
    turned.setText(count.turns(id).map(Sign::turns).orElse(Sign.DASH));
  }

  void showSelected(boolean selected) {
    pseudoClassStateChanged(SELECTED, selected);
  }

  /** The row of column titles. */
  static HBox titles() {
    HBox row = new HBox();
    for (Column column : Column.values()) {
      Label title = cell(column, column.title, "cell", "ledger-head");
      title.setTooltip(new Tooltip(column.help));
      row.getChildren().add(title);
    }
    ((Label) row.getChildren().getFirst()).setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private String exactTurns(Study study) {
    return study.motion().turnsPerInputTurn(id).map(Sign::exact).orElse(Sign.DASH);
  }

  private Node member(Role role) {
    Region icon = Look.styled(Roles.icon(role).node(), "role-icon");
    Label name = Look.label(id.name(), "member-name");
    HBox cell = new HBox(7, icon, name);
    cell.setAlignment(Pos.CENTER_LEFT);
    fix(cell, Column.MEMBER);
    Tooltip.install(cell, new Tooltip(id + " is " + Roles.word(role)));
    return Look.styled(cell, "cell");
  }

  private static Node way(Optional<AngularSpeed> speed) {
    int sign = speed.map(AngularSpeed::signum).orElse(0);
    Icon icon = sign > 0 ? Icon.CCW : sign < 0 ? Icon.CW : Icon.REST;
    HBox cell = new HBox(icon.node());
    cell.setAlignment(Pos.CENTER);
    fix(cell, Column.WAY);
    cell.setAccessibleText(List.of("clockwise", "at rest", "counter-clockwise").get(sign + 1));
    Tooltip.install(cell, new Tooltip(cell.getAccessibleText()));
    return cell;
  }

  private static String number(Optional<Double> value) {
    return value.map(Sign::number).orElse(Sign.DASH);
  }

  private static Label cell(Column column, String text, String... classes) {
    Label label = Look.label(text, classes);
    label.setAlignment(Pos.CENTER_RIGHT);
    fix(label, column);
    return label;
  }

  private static void fix(Region region, Column column) {
    region.setMinWidth(column.width);
    region.setPrefWidth(column.width);
    region.setMaxWidth(column.width);
  }
}
