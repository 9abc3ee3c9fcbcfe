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
import steadycog.app.desk.Preferences;
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
  private final double zoom;
  private final Label turned;

  /** The ledger's columns with their widths in pixels at the normal text size. */
  enum Column {
    MEMBER("member", 78, "Role and name of the member; its wheel stands for its shaft"),
    TEETH("teeth", 48, "Tooth count, i for internal teeth"),
    TURNED("turned", 96, "Turns (t) and degrees since the marks stood at twelve o'clock"),
    SPEED("", 68, "Speed, counter-clockwise positive seen from the drive end"),
    WAY("", 24, "Direction seen from the drive end"),
    TORQUE(
        "",
        66,
        "At driven, held and taken-off members the torque from outside; at the others, paler,"
            + " what passes through. Ideal: no losses"),
    POWER("", 66, "Power: positive enters, negative leaves; paler, what passes through");

    private final String title;
    private final double width;
    private final String help;

    Column(String title, double width, String help) {
      this.title = title;
      this.width = width;
      this.help = help;
    }
  }

  /** A row in the units and text size of {@code preferences}. */
  MemberRow(Study study, Member member, Preferences preferences) {
    zoom = preferences.zoom();
    this.id = member.id();
    turned = cell(Column.TURNED, "", "cell");
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
            cell(Column.SPEED, number(speed.map(known -> known.in(preferences.speed()))), "cell"),
            way(speed),
            cell(
                Column.TORQUE,
                number(torque.map(nm -> nm.doubleValue() / preferences.torque().inBase())),
                "cell",
                tone),
            cell(
                Column.POWER,
                number(power.map(watts -> watts / preferences.power().inBase())),
                "cell",
                tone));
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
  static HBox titles(Preferences preferences) {
    HBox row = new HBox();
    for (Column column : Column.values()) {
      Label title = Look.label(title(column, preferences), "cell", "ledger-head");
      title.setAlignment(Pos.CENTER_RIGHT);
      fix(title, column, preferences.zoom());
      title.setTooltip(new Tooltip(column.help));
      row.getChildren().add(title);
    }
    ((Label) row.getChildren().getFirst()).setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private static String title(Column column, Preferences preferences) {
    return switch (column) {
      case SPEED -> preferences.speed().symbol();
      case TORQUE -> preferences.torque().symbol();
      case POWER -> preferences.power().symbol();
      default -> column.title;
    };
  }

  private String exactTurns(Study study) {
    return study.motion().turnsPerInputTurn(id).map(Sign::exact).orElse(Sign.DASH);
  }

  private Node member(Role role) {
    Region icon = Look.styled(Roles.icon(role).node(), "role-icon");
    Label name = Look.label(id.name(), "member-name");
    HBox cell = new HBox(7, icon, name);
    cell.setAlignment(Pos.CENTER_LEFT);
    fix(cell, Column.MEMBER, zoom);
    Tooltip.install(cell, new Tooltip(id + " is " + Roles.word(role)));
    return Look.styled(cell, "cell");
  }

  private Node way(Optional<AngularSpeed> speed) {
    int sign = speed.map(AngularSpeed::signum).orElse(0);
    Icon icon = sign > 0 ? Icon.CCW : sign < 0 ? Icon.CW : Icon.REST;
    HBox cell = new HBox(icon.node());
    cell.setAlignment(Pos.CENTER);
    fix(cell, Column.WAY, zoom);
    cell.setAccessibleText(List.of("clockwise", "at rest", "counter-clockwise").get(sign + 1));
    Tooltip.install(cell, new Tooltip(cell.getAccessibleText()));
    return cell;
  }

  private static String number(Optional<Double> value) {
    return value.map(Sign::number).orElse(Sign.DASH);
  }

  private Label cell(Column column, String text, String... classes) {
    Label label = Look.label(text, classes);
    label.setAlignment(Pos.CENTER_RIGHT);
    fix(label, column, zoom);
    return label;
  }

  private static void fix(Region region, Column column, double zoom) {
    double width = column.width * zoom;
    region.setMinWidth(width);
    region.setPrefWidth(width);
    region.setMaxWidth(width);
  }
}
