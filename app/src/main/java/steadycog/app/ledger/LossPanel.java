package steadycog.app.ledger;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.look.EachWayWords;
import steadycog.app.look.Icon;
import steadycog.app.look.Later;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.app.look.Typed;
import steadycog.notation.LossText;
import steadycog.number.Exact;
import steadycog.study.Study;
import steadycog.torque.Backwards;
import steadycog.torque.PowerFlow.Passing;
import steadycog.torque.PowerFlow.Verdict;
import steadycog.train.Losses;
import steadycog.train.Losses.Practice;
import steadycog.train.MemberId;
import steadycog.train.Mesh;

/**
 * What the meshes lose, where each number comes from, and what that does forwards and backwards.
 */
final class LossPanel extends VBox {
  private static final String BAD_SHARE =
      "Not a share of the power: type it as 98.5 % or 0.985; left empty, the number above holds.";
  private static final String BAD_FRICTION =
      "Not a coefficient of friction: type one below 1, as 0.06; left empty, none is taken.";

  private final Desk desk;
  private final List<ToggleButton> practices = new ArrayList<>();
  private final TextField friction = field("friction", 4, "Coefficient of friction between teeth");
  private final PanelTable table = new PanelTable();
  private final Label bad = Look.label("", "bad-word");
  private final Label sum = new Label();
  private final Label back = new Label();
  private final TippingBar bar = new TippingBar();
  private final Label caution =
      Look.label(
          "Self-locking is no brake: wear, oil and vibration undo it. Hold loads with a brake.",
          "caution");
  private List<TextField> shares = List.of();
  private List<Mesh> shown = List.of();

  /** What there is a row for. */
  private List<String> named = List.of();

  LossPanel(Desk desk) {
    this.desk = desk;
    getStyleClass().addAll("panel", "working");
    setId("losses");
    for (Label label : new Label[] {bad, sum, back, caution}) {
      label.setWrapText(true);
    }
    sum.setId("loss-sum");
    back.setId("pushed-back");
    caution.setGraphic(Icon.WARNING.node());
    friction.setPromptText("\u2013");
    Typed.on(friction, this::takeFriction, this::complain, desk.inViewProperty());
    Look.show(bad, false);
    HBox chips = new HBox(3);
    for (Practice one : Practice.values()) {
      chips.getChildren().add(chip(one));
    }
    chips.getChildren().addAll(new Label("  friction"), friction);
    chips.setAlignment(Pos.CENTER_LEFT);
    chips.getChildren().forEach(child -> ((Region) child).setMinWidth(USE_PREF_SIZE));
    getChildren()
        .addAll(Look.label("Losses", "caption"), chips, table, bad, sum, back, bar, caution);
    Later later = Later.whenQuiet(this::show);
    desk.benchProperty().addListener(o -> later.ask());
    desk.preferencesProperty().addListener(o -> show());
    show();
  }

  private ToggleButton chip(Practice practice) {
    ToggleButton chip = Look.styled(new ToggleButton(practice.says()), "chip");
    chip.setId("practice-" + practice.word());
    chip.setTooltip(
        new Tooltip(
            practice == Practice.IDEAL
                ? "As if nothing were lost"
                : "The usual efficiencies of gears that are "
                    + practice.says()
                    + "; the card will say efficiency "
                    + practice.word()));
    chip.setOnAction(
        e -> {
          desk.train().lose(losses -> losses.with(practice));
          show();
        });
    practices.add(chip);
    return chip;
  }

  private static TextField field(String id, int columns, String help) {
    TextField field = new TextField();
    field.setId(id);
    field.setPrefColumnCount(columns);
    field.setAccessibleText(help);
    field.setTooltip(new Tooltip(help + "; Enter takes it"));
    return field;
  }

  private void show() {
    Optional<Study> study =
        desk.bench().map(Bench::study).filter(s -> !s.train().meshes().isEmpty());
    Look.show(this, study.isPresent());
    study.ifPresent(this::fill);
  }

  private void fill(Study study) {
    Losses losses = study.train().losses();
    for (int k = 0; k < practices.size(); k++) {
      boolean on = Practice.values()[k] == losses.practiceInForce() && losses.kinds().isEmpty();
      practices.get(k).setSelected(on && losses.friction().isEmpty());
    }
    Typed.show(friction, losses.friction().map(Exact::plain).orElse(""));
    shown = study.train().meshes();
    List<String> names = shown.stream().map(Sign::mesh).toList();
    if (!names.equals(named)) {
      named = names;
      makeRows();
    }
    for (int k = 0; k < shown.size(); k++) {
      showMesh(study, k);
    }
    sum.setText(sum(study));
    Optional<Backwards> backwards = study.loading().backwards();
    Look.show(back, backwards.isPresent());
    Look.show(bar, backwards.flatMap(Backwards::tipping).isPresent());
    boolean holds = backwards.filter(b -> b.verdict() == Verdict.LOCKS).isPresent();
    Look.show(caution, holds);
    backwards.ifPresent(
        b -> {
          back.setText(back(study, b));
          b.tipping().ifPresent(tipping -> bar.show(b.drivable().orElse(true), tipping));
        });
  }

  private void makeRows() {
    table.clear();
    List<TextField> fields = new ArrayList<>();
    table.row(
        new Label(""),
        PanelTable.head(
            "passes", "Of the power that a mesh takes up, as if its carrier stood still"),
        PanelTable.head("of W", "What it takes up, as seen from its carrier"),
        PanelTable.head("lost", "What it turns into heat"),
        Look.label("from", "ledger-head"));
    for (int k = 0; k < shown.size(); k++) {
      TextField field =
          field(
              "passes-" + k,
              5,
              "Share of the power that "
                  + Sign.mesh(shown.get(k))
                  + " passes on, as 98.5 %; left empty what is usual holds");
      int index = k;
      Typed.on(
          field, text -> takeShare(text, shown.get(index)), this::complain, desk.inViewProperty());
      Label cell = new Label();
      cell.setGraphic(field);
      fields.add(field);
      Label name = new Label();
      table.row(name, cell, PanelTable.figure(""), PanelTable.figure(""), new Label());
    }
    shares = fields;
  }

  private void showMesh(Study study, int k) {
    double unit = desk.preferences().power().inBase();
    var mesh = study.loading().flow().meshes().get(k);
    Typed.show(shares.get(k), Sign.percent(mesh.value().doubleValue(), 2));
    label(k, 0).setText(between(study, k));
    label(k, 2)
        .setText(study.meshPower(k).map(w -> Sign.number(Math.abs(w) / unit)).orElse(Sign.DASH));
    label(k, 3).setText(study.meshLoss(k).map(w -> Sign.number(w / unit)).orElse(Sign.DASH));
    label(k, 4).setText(source(study, k));
    label(k, 4).setTooltip(new Tooltip(mesh.says()));
  }

  /** The wheel that gives the power first. */
  private static String between(Study study, int k) {
    Mesh mesh = study.train().meshes().get(k);
    return switch (study.loading().flow().passing(k)) {
      case Passing.FROM_A -> Sign.shortName(mesh.a()) + " \u2192 " + Sign.shortName(mesh.b());
      case Passing.FROM_B -> Sign.shortName(mesh.b()) + " \u2192 " + Sign.shortName(mesh.a());
      case Passing.NONE -> Sign.mesh(mesh);
    };
  }

  private static String source(Study study, int k) {
    return switch (study.loading().flow().meshes().get(k).source()) {
      case MESH -> "stated";
      case FRICTION -> "friction";
      case KIND -> "stated, " + study.train().kind(study.train().meshes().get(k)).word();
      case PRACTICE -> "usual";
      case ASSUMED -> "assumed";
    };
  }

  private Label label(int mesh, int column) {
    return (Label) table.getChildren().get((mesh + 1) * 5 + column);
  }

  private String sum(Study study) {
    Verdict verdict = study.loading().flow().verdict();
    return switch (verdict) {
      case NONE -> "Nothing takes the torque up, so no power passes.";
      case LOCKS -> "At these losses it locks: the meshes would take all that is put in.";
      case LOWERS -> "The load pushes, and the meshes take all of it: the drive has to help.";
      case SEVERAL -> "Losses alone do not say how the power goes: see the findings.";
      case IMPOSSIBLE -> "No way of the power agrees with these losses: see the findings.";
      case OPEN -> "Paths share the load, so losses do not follow.";
      case UNTRIED -> "Too many ways for the power to try: losses are not worked out.";
      case RUNS -> runs(study);
    };
  }

  private String runs(Study study) {
    double unit = desk.preferences().power().inBase();
    StringBuilder text = new StringBuilder();
    study.efficiency().ifPresent(share -> text.append(Sign.percent(share, 1)).append(" comes out"));
    study
        .loss()
        .filter(watts -> watts > 0)
        .ifPresent(
            watts ->
                text.append(", ")
                    .append(Sign.number(watts / unit))
                    .append(" ")
                    .append(desk.preferences().power().symbol())
                    .append(" is heat in the meshes; bearings and seals come on top"));
    study
        .circulation()
        .filter(share -> share > 1)
        .ifPresent(share -> goesRound(study, share, text));
    return text.append(text.isEmpty() ? "" : ".").toString();
  }

  private static void goesRound(Study study, double ideal, StringBuilder text) {
    study
        .circulationWithLosses()
        .ifPresent(
            share ->
                text.append(". A mesh passes ")
                    .append(tenths(share))
                    .append(" times what goes in, as its teeth feel it (")
                    .append(tenths(ideal))
                    .append(" were nothing lost)"));
  }

  private static String tenths(double times) {
    return Sign.number(Math.round(times * 10) / 10.0);
  }

  private static String back(Study study, Backwards backwards) {
    MemberId take = study.motion().mechanism().roles().take().orElseThrow().member();
    String pushed = "Pushed at " + Sign.shortName(take) + " it ";
    String does =
        switch (backwards.verdict()) {
          case RUNS ->
              pushed
                  + "turns back"
                  + backwards
                      .efficiency()
                      .map(share -> ", and " + Sign.percent(share, 1) + " comes through")
                      .orElse("");
          case LOCKS -> pushed + "holds itself";
          default -> "What it does pushed back cannot be said";
        };
    return does + tips(backwards) + ".";
  }

  private static String tips(Backwards backwards) {
    boolean never = backwards.tipping().isEmpty();
    return never && backwards.verdict() == Verdict.RUNS
        ? "; it would do so were half of the power lost in its worst mesh"
        : EachWayWords.tips(backwards).map(words -> "; " + words).orElse("");
  }

  private Optional<String> takeShare(String text, Mesh mesh) {
    Study study = desk.bench().orElseThrow().study();
    MemberId a = study.train().partOf(mesh.a()).body(mesh.a());
    MemberId b = study.train().partOf(mesh.b()).body(mesh.b());
    Optional<BigFraction> share = LossText.share(text);
    if (share.isEmpty() && !text.isEmpty()) {
      return Optional.of(BAD_SHARE);
    }
    desk.train().lose(losses -> losses.with(a, b, share));
    Platform.runLater(this::show);
    return Optional.empty();
  }

  private Optional<String> takeFriction(String text) {
    boolean number = Exact.isNumber(text);
    if (!number && !text.isEmpty()) {
      return Optional.of(BAD_FRICTION);
    }
    Optional<BigFraction> mu = number ? Optional.of(Exact.parse(text)) : Optional.empty();
    try {
      Losses.UNSTATED.withFriction(mu);
    } catch (IllegalArgumentException outOfRange) {
      return Optional.of(BAD_FRICTION);
    }
    desk.train().lose(losses -> losses.withFriction(mu));
    Platform.runLater(this::show);
    return Optional.empty();
  }

  private void complain(Optional<String> words) {
    bad.setText(words.orElse(""));
    Look.show(bad, words.isPresent());
  }
}
