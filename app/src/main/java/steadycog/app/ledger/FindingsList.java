package steadycog.app.ledger;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.look.Icon;
import steadycog.app.look.Look;
import steadycog.check.Cure;
import steadycog.check.Finding;
import steadycog.check.Severity;

/** What has been found about the train, worst first; a click chooses the member concerned. */
final class FindingsList extends VBox {
  private final Desk desk;
  private List<String> shown = List.of();
  private boolean wasPresent = true;

  FindingsList(Desk desk) {
    this.desk = desk;
    getStyleClass().addAll("panel", "findings");
    setId("findings");
    desk.benchProperty().addListener((o, old, now) -> show(now));
    show(desk.bench());
  }

  private void show(Optional<Bench> bench) {
    List<Finding> findings = bench.map(b -> b.study().findings()).orElse(List.of());
    List<String> words = findings.stream().map(f -> f.message() + f.remedy()).toList();
    if (words.equals(shown) && bench.isPresent() == wasPresent) {
      return;
    }
    shown = words;
    wasPresent = bench.isPresent();
    getChildren().setAll(Look.label("Findings", "caption"));
    if (findings.isEmpty()) {
      String none = bench.isPresent() ? "Nothing to object to." : "None yet.";
      getChildren().add(Look.label(none, "soft"));
    }
    findings.forEach(finding -> getChildren().add(row(finding)));
  }

  private Node row(Finding finding) {
    Label message = Look.label(finding.message());
    message.setWrapText(true);
    VBox words = new VBox(1, message);
    remedy(finding).ifPresent(words.getChildren()::add);
    HBox.setHgrow(words, Priority.ALWAYS);
    words.setMinWidth(0);
    Label severity = Look.label(finding.severity().word(), "severity", "small");
    severity.setMinWidth(58);
    HBox row = new HBox(icon(finding.severity()).node(), severity, words);
    row.setAccessibleText(finding.severity().word() + ": " + finding.message());
    row.setOnMouseClicked(
        click ->
            finding.members().stream().findFirst().ifPresent(id -> desk.select(Optional.of(id))));
    return Look.styled(row, "finding", finding.severity().word());
  }

  /** The cure as a button with whatever else would do beside it; or general advice. */
  private Optional<Node> remedy(Finding finding) {
    Optional<String> text = finding.remedy();
    if (finding.cure().isEmpty()) {
      return text.map(FindingsList::advice);
    }
    Cure cure = finding.cure().get();
    String rest = text.map(all -> all.substring(cure.change().length())).orElse("");
    HBox row = new HBox(8, cureButton(cure), advice(rest.replaceFirst("^[,.]? *", "")));
    row.setAlignment(Pos.CENTER_LEFT);
    HBox.setHgrow(row.getChildren().getLast(), Priority.ALWAYS);
    return Optional.of(row);
  }

  private static Label advice(String text) {
    Label advice = Look.label(text, "remedy");
    advice.setWrapText(true);
    return advice;
  }

  private Node cureButton(Cure cure) {
    Button button = Look.styled(new Button(cure.change().replace("->", "\u2192")), "cure");
    button.setMinWidth(Region.USE_PREF_SIZE);
    button.setTooltip(new Tooltip("Make this change; undo takes it back"));
    button.setOnAction(e -> desk.cure(cure));
    return button;
  }

  private static Icon icon(Severity severity) {
    return switch (severity) {
      case ERROR -> Icon.ERROR;
      case WARNING -> Icon.WARNING;
      case NOTE, OK -> Icon.NOTE;
    };
  }
}
