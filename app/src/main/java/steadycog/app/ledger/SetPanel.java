package steadycog.app.ledger;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.VBox;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.look.Kept;
import steadycog.app.look.Later;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.number.AngularSpeed;
import steadycog.number.Exact;
import steadycog.number.Unit;
import steadycog.shape.PlanetPlaces;
import steadycog.study.Study;
import steadycog.train.MemberId;
import steadycog.train.Planetary;

/** How planets turn on their pins, and by which rules of thumb a set would go together. */
final class SetPanel extends VBox {
  private final Desk desk;

  SetPanel(Desk desk) {
    this.desk = desk;
    getStyleClass().addAll("panel", "working");
    setId("planets");
    Later later = Later.whenQuiet(this::show);
    desk.benchProperty().addListener(o -> later.ask());
    desk.preferencesProperty().addListener(o -> show());
    show();
  }

  private void show() {
    List<Node> now = new ArrayList<>();
    desk.bench().map(Bench::study).ifPresent(study -> fill(now, study));
    Kept.show(this, now);
    Look.show(this, !now.isEmpty());
  }

  private void fill(List<Node> now, Study study) {
    for (Planetary set : study.train().parts(Planetary.class)) {
      addTurns(now, study, set);
      for (int row = 0; row < set.rows().size() && set.count() > 1; row++) {
        if (new PlanetPlaces(set).sum(row).isPresent()) {
          addThumbRules(now, set, row);
        }
      }
    }
  }

  private void addTurns(List<Node> now, Study study, Planetary set) {
    Optional<BigFraction> known = study.motion().turnsPerInputTurn(set.planetIds().getFirst());
    if (known.isEmpty()) {
      return;
    }
    Unit unit = desk.preferences().speed();
    PanelTable table = new PanelTable();
    table.row(
        new Label(""),
        PanelTable.head("turns", "Turns for one turn of the input, exactly"),
        PanelTable.head("turns + degrees", "The same as whole turns and degrees"),
        PanelTable.head(unit.symbol(), "Speed"));
    for (MemberId planet : set.planetIds(0)) {
      BigFraction inSpace = study.motion().turnsPerInputTurn(planet).orElseThrow();
      BigFraction carrier =
          study.motion().turnsPerInputTurn(set.carrierId()).orElse(BigFraction.ZERO);
      table.row(
          name(planet, "in space", "What a tool on the planet does"),
          PanelTable.figure(Sign.exact(inSpace)),
          PanelTable.figure(Sign.turns(inSpace)),
          speed(study.motion().speed(planet), unit));
      BigFraction onPin = inSpace.subtract(carrier);
      table.row(
          name(planet, "on its pin", "Against the carrier: what its bearing wears by"),
          PanelTable.figure(Sign.exact(onPin)),
          PanelTable.figure(Sign.turns(onPin)),
          speed(study.relativeToCarrier(planet), unit));
    }
    now.add(Look.label("Planets, for one turn of the input", "caption"));
    now.add(table);
    now.add(passes(study, set));
  }

  /** How often a tool or a certain tooth of a planet comes by. */
  private static Label passes(Study study, Planetary set) {
    BigFraction each =
        study.motion().turnsPerInputTurn(set.planetIds().getLast()).orElseThrow().abs();
    Optional<Integer> edges =
        set.planetIds().stream()
            .flatMap(id -> study.train().sizes().own(id).tool().stream())
            .findFirst();
    BigFraction one = each.multiply(edges.orElse(1));
    String all =
        set.count() == 1 ? "" : ", all " + set.count() + " together " + count(one, set.count());
    String tool =
        edges.map(n -> "An edge of the " + n + " on a planet").orElse("A tool on a planet");
    Label passes =
        Look.label(tool + " passes " + count(one, 1) + " an input turn" + all + ".", "soft");
    passes.setWrapText(true);
    return passes;
  }

  private static String count(BigFraction each, int planets) {
    return Sign.exact(each.multiply(planets)) + Sign.NARROW + "times";
  }

  private static Label name(MemberId planet, String where, String help) {
    Label label = new Label(Sign.shortName(planet) + " " + where);
    label.setTooltip(new Tooltip(help));
    return label;
  }

  private static Label speed(Optional<AngularSpeed> speed, Unit unit) {
    return PanelTable.figure(speed.map(s -> Sign.number(s.in(unit))).orElse(Sign.DASH));
  }

  /** What people say decides, and whether this set passes by it. */
  private static void addThumbRules(List<Node> now, Planetary set, int row) {
    int sun = set.rows().get(row).sun().orElseThrow().count();
    int ring = set.rows().get(row).ring().orElseThrow().count();
    int n = set.count();
    PanelTable table = new PanelTable();
    boolean pairs = set.paired();
    table.row(new Label(""), PanelTable.head("", ""), PanelTable.head("whole?", ""));
    addRule(table, "(S + R) / N", Exact.of(sun + ring, n), pairs ? "" : "this decides");
    addRule(table, "R / N", Exact.of(ring, n), "rule of thumb");
    addRule(
        table,
        "(R \u2212 S) / N",
        Exact.of(ring - sun, n),
        pairs ? "this decides" : "rule of thumb");
    now.add(Look.label("Do " + n + " planets go in, equally spaced?", "caption"));
    now.add(table);
    if (!pairs) {
      boolean goes = (sun + ring) % n == 0;
      boolean misleads = (ring % n == 0) != goes || ((ring - sun) % n == 0) != goes;
      Label note =
          Look.label(
              misleads
                  ? "Here a rule of thumb misleads: only S + R counts."
                  : "Here the rules of thumb agree; they need not, only S + R counts.",
              misleads ? "warned" : "soft");
      note.setWrapText(true);
      now.add(note);
    }
  }

  private static void addRule(PanelTable table, String rule, BigFraction value, String what) {
    Label name = new Label(rule + " = " + Sign.exact(value));
    table.row(
        name,
        Look.label(what, what.equals("this decides") ? "agrees" : "soft"),
        PanelTable.figure(Exact.isWhole(value) ? "yes" : "no"));
  }
}
