package steadycog.app.ledger;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.look.Kept;
import steadycog.app.look.Later;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.number.Exact;
import steadycog.number.Known;
import steadycog.study.EpicyclicWorking;
import steadycog.study.EpicyclicWorking.PitchLine;
import steadycog.study.EpicyclicWorking.RelativeMotion;
import steadycog.study.EpicyclicWorking.TurnTable;
import steadycog.study.Study;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Train;

/** The turns of a planetary set worked out in three ways, their results side by side. */
final class EpicyclicPanel extends VBox {

  /** Below this a set passes hardly more than what goes in. */
  EpicyclicPanel(Desk desk) {
    getStyleClass().addAll("panel", "working");
    setId("epicyclic-working");
    Later later = Later.whenQuiet(() -> show(desk));
    desk.benchProperty().addListener(o -> later.ask());
    show(desk);
  }

  private void show(Desk desk) {
    Optional<Study> study = desk.bench().map(Bench::study);
    Optional<EpicyclicWorking> working = study.flatMap(Study::epicyclicWorking);
    List<Node> now = new ArrayList<>();
    working.ifPresent(found -> fill(now, found, bodies(study.orElseThrow().train())));
    Kept.show(this, now);
    Look.show(this, working.isPresent());
  }

  /** The members, each body once. */
  private static List<MemberId> bodies(Train train) {
    return train.members().stream()
        .map(Member::id)
        .filter(id -> train.partOf(id).body(id).equals(id))
        .toList();
  }

  private static void fill(List<Node> now, EpicyclicWorking working, List<MemberId> members) {
    now.add(Look.label("The working, for one turn of the input, three ways", "caption"));
    PanelTable results = new PanelTable();
    results.row(
        new Label(""),
        PanelTable.head("relative motion", "Speeds as seen from the carrier (Willis)"),
        PanelTable.head("turn table", "All turn with the carrier, then the carrier stands; add"),
        PanelTable.head("pitch lines", "Speeds of points, a planet being a lever"));
    for (MemberId id : members) {
      results.row(
          new Label(Sign.shortName(id)),
          PanelTable.figure(Sign.exact(Known.in(working.relative().turns(), id))),
          PanelTable.figure(Sign.exact(Known.in(working.table().turns(), id))),
          PanelTable.figure(Sign.exact(Known.in(working.pitchLine().turns(), id))));
    }
    now.add(results);
    now.add(
        working.agrees()
            ? Look.label("All three agree with the solver exactly.", "agrees")
            : Look.label("They do not agree: please report this train.", "bad-word"));
    addRelative(now, working.relative());
    addTable(now, working.table(), members);
    addPitchLine(now, working.pitchLine());
  }

  private static void addRelative(List<Node> now, RelativeMotion relative) {
    String first = Sign.shortName(relative.first());
    String last = Sign.shortName(relative.last());
    String carrier = Sign.shortName(relative.carrier());
    String general =
        "("
            + last
            + " \u2212 "
            + carrier
            + ") / ("
            + first
            + " \u2212 "
            + carrier
            + ") = "
            + Sign.exact(relative.basic());
    String filled =
        "("
            + turns(relative, relative.last())
            + " \u2212 "
            + bracketed(Known.in(relative.turns(), relative.carrier()))
            + ") / ("
            + turns(relative, relative.first())
            + " \u2212 "
            + bracketed(Known.in(relative.turns(), relative.carrier()))
            + ") = "
            + Sign.exact(relative.basic());
    now.addAll(
        List.of(Look.label("Relative motion", "caption"), wrapped(general), wrapped(filled)));
  }

  private static String turns(RelativeMotion relative, MemberId id) {
    return Sign.exact(Known.in(relative.turns(), id));
  }

  private static String bracketed(BigFraction value) {
    return value.signum() < 0 ? "(" + Sign.exact(value) + ")" : Sign.exact(value);
  }

  private static void addTable(List<Node> now, TurnTable table, List<MemberId> members) {
    PanelTable grid = new PanelTable();
    grid.row(
        new Label(""),
        PanelTable.head("with the carrier", "All turn together, as one piece"),
        PanelTable.head("carrier stands", "The wheels turned on against it"),
        PanelTable.head("together", "The sum of both"));
    for (MemberId id : members) {
      grid.row(
          new Label(Sign.shortName(id)),
          PanelTable.figure(Sign.exact(table.withCarrier())),
          PanelTable.figure(Sign.exact(Known.in(table.apart(), id))),
          Look.styled(PanelTable.figure(Sign.exact(Known.in(table.turns(), id))), "product"));
    }
    now.add(Look.label("Turn table", "caption"));
    now.add(grid);
  }

  private static void addPitchLine(List<Node> now, PitchLine line) {
    String points =
        line.points().stream()
            .map(
                point ->
                    Sign.shortName(point.member())
                        + " r "
                        + Sign.exact(point.radius())
                        + ", v "
                        + Sign.exact(point.speed()))
            .collect(Collectors.joining(";  "));
    String rest =
        line.points().stream()
            .filter(point -> Exact.isZero(point.speed()))
            .map(point -> "  Nothing moves at the " + Sign.shortName(point.member()) + ".")
            .findFirst()
            .orElse("");
    now.add(Look.label("Pitch lines: radius r in modules, v = r \u00d7 turns", "caption"));
    now.add(wrapped(points + "." + rest));
  }

  private static Label wrapped(String text) {
    Label label = new Label(text);
    label.setWrapText(true);
    return label;
  }
}
