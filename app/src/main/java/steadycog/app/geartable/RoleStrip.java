package steadycog.app.geartable;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import steadycog.app.desk.Desk;
import steadycog.app.desk.PartTool;
import steadycog.app.desk.Station;
import steadycog.app.look.Glossary;
import steadycog.app.look.Icon;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.app.look.Typed;
import steadycog.train.MemberId;
import steadycog.train.Teeth;

/** What can be done with the chosen member, each with its key. */
public final class RoleStrip extends FlowPane {
  private static final Pattern TEETH = Pattern.compile("([1-9]\\d{0,4})(i?)");

  private final Desk desk;
  private final Label chosen = Look.label("", "member-name");
  private final TextField teeth;
  private final List<Button> chainTools;
  private final List<Button> setTools;
  private final List<Button> discTools;
  private final Button turnCrown;
  private final Button remove;
  private final Button rim;
  private final Button addRow;
  private Optional<MemberId> tieFrom = Optional.empty();
  private boolean joining;

  public RoleStrip(Desk desk) {
    this.desk = desk;
    getStyleClass().add("role-strip");
    teeth = teethField();
    getChildren()
        .addAll(
            chosen,
            teeth,
            button(
                Icon.DRIVE,
                "drive",
                "D",
                "Turn this member from outside: the input",
                desk.train()::drive),
            button(
                Icon.HOLD,
                "hold",
                "H",
                "Keep this member from turning: a brake or the housing",
                desk.train()::hold),
            button(Icon.TAKE, "take off", "T", "Take the output off here", desk.train()::take),
            button(Icon.FREE, "free", "F", "Leave this member to itself", desk.train()::free),
            button(
                Icon.LOCKED,
                "lock to …",
                "L",
                "Make two members turn as one: a clutch",
                m -> startLock()),
            button(
                Icon.LOCKED,
                "join to \u2026",
                "J",
                "Make two members one body; joined already, they are parted",
                m -> startJoin()));
    chainTools =
        List.of(
            build(
                "+ mesh",
                "M",
                "A new wheel meshing with this one; in mid-chain a branch",
                desk.train()::meshWheel),
            build("+ keyed", "K", "A new wheel on this one's shaft", desk.train()::keyWheel),
            build(
                "+ idler",
                "I",
                "A wheel between this one and the next: turns direction only",
                desk.train()::insertIdler));
    setTools =
        List.of(
            build(
                "+ planet",
                "P",
                "One planet more on the carrier",
                m -> desk.train().changePlanets(m, 1)),
            build(
                "\u2212 planet",
                "O",
                "One planet fewer on the carrier",
                m -> desk.train().changePlanets(m, -1)));
    addRow =
        build(
            "+ row",
            "W",
            "A second row of teeth on every planet, with a ring of its own: for high ratios",
            desk.train()::addRow);
    getChildren().addAll(chainTools);
    discTools =
        List.of(
            build(
                "+ disc",
                "P",
                "One disc more on the eccentric",
                m -> desk.train().changePlanets(m, 1)),
            build(
                "\u2212 disc",
                "O",
                "One disc fewer on the eccentric",
                m -> desk.train().changePlanets(m, -1)));
    getChildren().addAll(setTools);
    getChildren().add(addRow);
    getChildren().addAll(discTools);
    turnCrown =
        build(
            "turn crown", "", "The crown on the other side of its pinion", desk.train()::turnCrown);
    remove =
        build(
            "remove",
            "Del",
            "Take this wheel, or a set's sun or ring, out",
            desk.train()::removeWheel);
    rim =
        build(
            "+ rim",
            "M",
            "Teeth on the outside of this ring, carrier or disc, and a wheel that meshes with them",
            desk.train()::meshWheel);
    getChildren().addAll(rim, turnCrown, remove);
    chosen.setMinWidth(Region.USE_PREF_SIZE);
    desk.selectionProperty().addListener((o, old, now) -> chosen(now));
    desk.pageProperty().addListener(o -> cancelLock());
    desk.benchProperty()
        .addListener(
            o -> {
              showTeeth();
              showTools();
            });
    desk.stationProperty().addListener(o -> showTools());
    chosen(desk.selection());
  }

  /** The tools of the chosen member's kind; where roles are the work they step aside. */
  private void showTools() {
    boolean laying = desk.stationProperty().get() == Station.LAY_OUT;
    Set<PartTool> tools =
        desk.selection()
            .or(() -> desk.bench().map(b -> b.card().train().members().getFirst().id()))
            .flatMap(desk::partOf)
            .map(PartTool::of)
            .orElse(Set.of(PartTool.WHEELS));
    chainTools.forEach(tool -> Look.show(tool, laying && tools.contains(PartTool.WHEELS)));
    setTools.forEach(tool -> Look.show(tool, laying && tools.contains(PartTool.PLANETS)));
    Look.show(addRow, laying && tools.contains(PartTool.ROW));
    discTools.forEach(tool -> Look.show(tool, laying && tools.contains(PartTool.DISCS)));
    Look.show(turnCrown, laying && tools.contains(PartTool.CROWN));
    Look.show(remove, laying);
    Look.show(rim, laying && desk.selection().filter(desk.train()::canHaveRim).isPresent());
  }

  private Button build(String word, String key, String help, Consumer<MemberId> action) {
    HBox face = new HBox(6, new Label(word));
    if (!key.isEmpty()) {
      face.getChildren().add(Look.label(key, "key"));
    }
    face.setAlignment(Pos.CENTER_LEFT);
    return dressed(face, word, key, help, action);
  }

  private Button button(
      Icon icon, String word, String key, String help, Consumer<MemberId> action) {
    Label keyLabel = Look.label(key, "key");
    HBox face = new HBox(6, icon.node(), new Label(word), keyLabel);
    face.setAlignment(Pos.CENTER_LEFT);
    return dressed(face, word, key, help, action);
  }

  private Button dressed(
      HBox face, String word, String key, String help, Consumer<MemberId> action) {
    Button button = new Button();
    button.setGraphic(face);
    button.setId("role-" + (key.isEmpty() ? word.replace(' ', '-') : key));
    button.setAccessibleText(key.isEmpty() ? word : word + ", key " + key);
    button.setTooltip(new Tooltip(help));
    button.setFocusTraversable(false);
    button.setOnAction(e -> desk.selection().ifPresent(action));
    return button;
  }

  /** The chosen wheel's count, to type over; Enter takes it. */
  private TextField teethField() {
    TextField field = new TextField();
    field.setId("teeth");
    field.setPrefColumnCount(3);
    field.setPromptText("teeth");
    field.setTooltip(
        new Tooltip(
            "Teeth: type and press Enter, 60i for internal ones; + and \u2212 or scrolling on the"
                + " wheel step them"));
    field.setAccessibleText("Teeth of the chosen wheel");
    Typed.on(
        field,
        this::takeTeeth,
        problem -> problem.ifPresent(desk::refuse),
        desk.selectionProperty());
    return field;
  }

  private Optional<String> takeTeeth(String text) {
    Optional<MemberId> wheel = desk.selection().filter(id -> desk.teeth(id).isPresent());
    Matcher typed = TEETH.matcher(text);
    if (wheel.isEmpty()) {
      return Optional.empty();
    }
    if (!typed.matches()) {
      return Optional.of(
          "'" + text + "' is no tooth count: type one such as 18, or 60i for internal teeth");
    }
    Teeth wanted = new Teeth(Integer.parseInt(typed.group(1)), !typed.group(2).isEmpty());
    return desk.train().setTeeth(wheel.get(), wanted)
        ? Optional.empty()
        : Optional.of("two internal wheels would have to mesh");
  }

  private void showTeeth() {
    Typed.show(teeth, desk.selection().flatMap(desk::teeth).map(Teeth::toString).orElse(""));
  }

  private void chosen(Optional<MemberId> member) {
    if (tieFrom.isPresent() && member.isPresent() && !member.equals(tieFrom)) {
      MemberId from = tieFrom.get();
      tieFrom = Optional.empty();
      if (joining) {
        desk.train().join(from, member.get());
      } else {
        desk.train().lock(from, member.get());
      }
    }
    boolean any = member.isPresent();
    chosen.setText(member.map(Sign::called).orElse("Choose a member"));
    chosen.setTooltip(member.map(id -> new Tooltip(Glossary.of(id))).orElse(null));
    showTeeth();
    showTools();
    getChildren().stream().skip(1).forEach(button -> button.setDisable(!any));
  }

  /** The next member chosen is locked to the one chosen now. */
  void startLock() {
    startTie(false, "Lock ");
  }

  /** The next member chosen becomes one body with the one chosen now, or is parted from it. */
  void startJoin() {
    startTie(true, "Join ");
  }

  private void startTie(boolean join, String verb) {
    joining = join;
    tieFrom = desk.selection();
    tieFrom.ifPresent(id -> chosen.setText(verb + id + " to \u2026 choose a second member"));
  }

  void cancelLock() {
    tieFrom = Optional.empty();
    chosen(desk.selection());
  }
}
