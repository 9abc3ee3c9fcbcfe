package steadycog.app.ledger;

import java.util.List;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.app.desk.Preferences;
import steadycog.app.look.Glossary;
import steadycog.app.look.Icon;
import steadycog.app.look.IconView;
import steadycog.app.look.Look;
import steadycog.app.look.RoleLook;
import steadycog.app.look.Sign;
import steadycog.motion.TurnCount;
import steadycog.number.AngularSpeed;
import steadycog.study.Study;
import steadycog.torque.Torques;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Role;

/** One member's line in the ledger. */
final class MemberRow extends HBox {
  private static final PseudoClass SELECTED = PseudoClass.getPseudoClass("selected");

  private static final PseudoClass CARRIED = PseudoClass.getPseudoClass("carried");

  private final MemberId id;
  private final Preferences preferences;
  private final HBox name = new HBox(7);
  private final HBox way = new HBox();
  private final IconView roleIcon = Look.styled(new IconView(Icon.FREE), "role-icon");
  private final IconView wayIcon = new IconView(Icon.REST);
  private final Label teeth;
  private final Label turned;
  private final Label speed;
  private final Label torque;
  private final Label power;
  private final Tooltip exactly = new Tooltip();
  private final Tooltip lossless = new Tooltip();
  private final Tooltip roleHint = new Tooltip();

  /** The ledger's columns with their least widths in pixels at the normal text size. */
  enum Column {
    MEMBER("member", 84, "Role and name of the member; its wheel stands for its shaft"),
    TEETH("teeth", 42, "Tooth count, i for internal teeth"),
    TURNED("turned", 80, "Turns (t) and degrees since the marks stood at twelve o'clock"),
    SPEED("", 60, "Speed, counter-clockwise positive seen from the drive end"),
    WAY("", 24, "Direction seen from the drive end"),
    TORQUE(
        "",
        62,
        "At driven, held and taken-off members the torque from outside; at the others, paler,"
            + " what passes through. With losses"),
    POWER("", 66, "Power: positive enters, negative leaves; paler, what passes through");

    private final String title;
    private final double width;
    private final String help;

    Column(String title, double width, String help) {
      this.title = title;
      this.width = width;
      this.help = help;
    }

    double width() {
      return width;
    }
  }

  /** A row in the units and text size of {@code preferences}. */
  MemberRow(Member member, Preferences preferences) {
    this.preferences = preferences;
    this.id = member.id();
    getStyleClass().add("ledger-row");
    setId("row-" + id);
    turned = cell();
    teeth = cell();
    speed = cell();
    torque = cell();
    power = cell();
    name.getStyleClass().add("cell");
    name.setAlignment(Pos.CENTER_LEFT);
    name.getChildren().setAll(roleIcon, Look.label(Sign.ownName(id), "member-name"));
    way.setAlignment(Pos.CENTER);
    way.getChildren().setAll(wayIcon);
    turned.setTooltip(exactly);
    torque.setTooltip(lossless);
    Tooltip.install(name, roleHint);
    getChildren().addAll(name, teeth, turned, speed, way, torque, power);
  }

  /** Shows the member's numbers; the row stays the same for every train that has this member. */
  void show(Study study, Member member) {
    Role role = study.role(id);
    RoleLook.mark(this, role);
    roleIcon.show(RoleLook.icon(role));
    roleHint.setText(Sign.called(id) + " is " + RoleLook.word(role) + ".\n" + Glossary.of(id));
    teeth.setText(member.teeth().map(Object::toString).orElse(Sign.DASH));
    Optional<AngularSpeed> known = study.motion().speed(id);
    speed.setText(number(known.map(rate -> rate.in(preferences.speed()))));
    showWay(known.map(AngularSpeed::signum).orElse(0));
    boolean outside = role == Role.DRIVE || role == Role.HOLD || role == Role.TAKE;
    Optional<BigFraction> acting =
        outside ? study.torques().external(id) : study.torques().carried(id);
    Optional<Double> watts = outside ? study.power(id) : study.carriedPower(id);
    torque.setText(number(acting.map(nm -> nm.doubleValue() / preferences.torque().inBase())));
    power.setText(number(watts.map(w -> w / preferences.power().inBase())));
    torque.pseudoClassStateChanged(CARRIED, !outside);
    power.pseudoClassStateChanged(CARRIED, !outside);
    lossless.setText(lossless(study, outside));
    exactly.setText("Exactly " + exactTurns(study) + " turns per input turn");
  }

  private String lossless(Study study, boolean outside) {
    Torques ideal = study.loading().ideal();
    Optional<BigFraction> torque = outside ? ideal.external(id) : ideal.carried(id);
    return "Without losses "
        + number(torque.map(nm -> nm.doubleValue() / preferences.torque().inBase()))
        + " "
        + preferences.torque().symbol();
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

  private void showWay(int sign) {
    Icon icon = sign > 0 ? Icon.CCW : sign < 0 ? Icon.CW : Icon.REST;
    wayIcon.show(icon);
    way.setAccessibleText(List.of("clockwise", "at rest", "counter-clockwise").get(sign + 1));
  }

  private static String number(Optional<Double> value) {
    return value.map(Sign::number).orElse(Sign.DASH);
  }

  private static Label cell() {
    Label label = Look.label("", "cell", "figure");
    label.setAlignment(Pos.CENTER_RIGHT);
    return label;
  }
}
