package steadycog.app.ledger;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import steadycog.app.desk.CureWork;
import steadycog.app.desk.CureWork.Proposal;
import steadycog.app.desk.Desk;
import steadycog.app.look.Flow;
import steadycog.app.look.Icon;
import steadycog.app.look.Kept;
import steadycog.app.look.Later;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.check.Finding;
import steadycog.check.Severity;
import steadycog.cure.Advice;
import steadycog.cure.Cure;
import steadycog.cure.PutRight.Outcome;
import steadycog.number.Ratio;

/**
 * What there is to object to, always in sight: how many findings of each severity, the worst in
 * words, and one button for the least change that puts all of them right. What it would change is
 * shown here first, and made by the same button's second press.
 */
public final class FindingsBar extends VBox {
  private final Desk desk;
  private final CureWork cures;
  private final Button ask = Look.styled(new Button("Put it right"), "small");
  private final Label change = Look.label("", "proposal");
  private final Label does = Look.label("", "soft");
  private final Button take = Look.styled(new Button("Make this change"), "main");
  private final Button leave = new Button("Leave it");
  private final VBox proposal;
  private final HBox counts = Look.styled(new HBox(10), "finding-counts");
  private final Label worst = Look.label("", "worst");

  /** A bar whose words lead to all findings by {@code toFindings}. */
  public FindingsBar(Desk desk, Runnable toFindings) {
    super(4);
    this.desk = desk;
    this.cures = desk.cures();
    ask.setId("put-right");
    ask.setTooltip(
        new Tooltip(
            "The least change after which nothing worse than a note is left (Ctrl+Enter);"
                + " it is shown before it is made"));
    take.setId("put-right-take");
    leave.setId("put-right-leave");
    change.setId("put-right-change");
    does.setId("put-right-does");
    change.setWrapText(true);
    does.setWrapText(true);
    ask.setOnAction(
        e -> {
          if (cures.proposalProperty().get() instanceof Proposal.Seeking) {
            cures.leave();
          } else {
            cures.putRight();
          }
        });
    take.setOnAction(e -> cures.putRight());
    leave.setOnAction(e -> cures.leave());
    counts.setId("finding-counts");
    counts.setAlignment(Pos.CENTER_LEFT);
    counts.setMinWidth(USE_PREF_SIZE);
    worst.setId("worst-finding");
    worst.setWrapText(true);
    worst.setTooltip(new Tooltip("The worst of what was found; press to see all"));
    worst.setOnMouseClicked(e -> toFindings.run());
    ask.setMinWidth(USE_PREF_SIZE);
    HBox.setHgrow(worst, Priority.ALWAYS);
    worst.setMaxWidth(Double.MAX_VALUE);
    HBox head = new HBox(10, counts, worst, ask);
    head.getStyleClass().add("findings-head");
    Flow buttons = new Flow();
    buttons.getChildren().addAll(take, leave);
    proposal = Look.styled(new VBox(4, change, does, buttons), "put-right");
    getStyleClass().add("findings-bar");
    setId("findings-bar");
    getChildren().addAll(head, proposal);
    Later later = Later.nextFrame(this::show);
    cures.proposalProperty().addListener(o -> show());
    cures.knownProperty().addListener(o -> later.ask());
    desk.benchProperty().addListener(o -> show());
    desk.preferencesProperty().addListener(o -> show());
    show();
  }

  private void show() {
    List<Finding> all =
        cures.advice().stream()
            .map(Advice::finding)
            .filter(f -> f.severity() != Severity.OK)
            .toList();
    Look.show(this, desk.bench().isPresent());
    showCounts(all);
    boolean bad = all.stream().anyMatch(Finding::isBad);
    Proposal now = cures.proposalProperty().get();
    Look.show(ask, bad && !(now instanceof Proposal.Found));
    ask.setText(now instanceof Proposal.Seeking ? "Stop looking" : "Put it right");
    Look.show(proposal, now instanceof Proposal.Found);
    if (now instanceof Proposal.Found(Outcome outcome)) {
      show(outcome);
    }
  }

  private void showCounts(List<Finding> all) {
    List<Node> signs = new ArrayList<>();
    for (Severity severity : List.of(Severity.ERROR, Severity.WARNING, Severity.NOTE)) {
      long many = all.stream().filter(finding -> finding.severity() == severity).count();
      if (many > 0) {
        HBox count = new HBox(4, Icon.of(severity).node(), new Label(String.valueOf(many)));
        count.setAlignment(Pos.CENTER_LEFT);
        count.getStyleClass().addAll("verdict-sign", severity.word());
        count.setAccessibleText(many + " of " + severity.word());
        signs.add(count);
      }
    }
    if (all.isEmpty()) {
      signs.add(Look.styled(Icon.SOUND.node(), "verdict-sign", "ok"));
    }
    Kept.show(counts, signs);
    worst.setText(
        all.stream()
            .findFirst()
            .map(finding -> finding.in(desk.preferences().units()).message())
            .map(FindingRow::typeset)
            .orElse("Nothing to object to"));
  }

  private void show(Outcome outcome) {
    Look.show(take, outcome.cure().isPresent());
    leave.setText(outcome.cure().isPresent() ? "Leave it" : "Close");
    if (outcome.cure().isPresent()) {
      change.setText(FindingRow.typeset(outcome.cure().get().change()));
      does.setText(does(outcome.cure().get(), outcome.still()));
    } else {
      Optional<Finding> left = outcome.left();
      change.setText(
          !outcome.searched()
              ? "Too large a train to try changes."
              : left.isPresent() ? "No change within reach puts it all right." : "All is right.");
      does.setText(
          left.map(finding -> finding.in(desk.preferences().units()))
              .map(finding -> finding.message() + finding.remedy().map(r -> " " + r).orElse(""))
              .orElse(""));
    }
  }

  private String does(Cure cure, List<Finding> still) {
    Optional<Ratio> was = desk.bench().flatMap(bench -> bench.study().ratio());
    String ratio =
        cure.ratio()
            .map(
                now ->
                    cure.changesRatio()
                        ? "Ratio "
                            + was.map(this::words).orElse(Sign.DASH)
                            + " \u2192 "
                            + words(now)
                        : "Ratio stays " + words(now))
            .map(said -> said + ". ")
            .orElse("");
    String notes = still.stream().map(Finding::code).distinct().collect(Collectors.joining(", "));
    return ratio + (notes.isEmpty() ? "Nothing else is said." : "Still noted: " + notes + ".");
  }

  private String words(Ratio ratio) {
    return Sign.ratio(ratio, desk.preferences().trainValueLeads());
  }
}
