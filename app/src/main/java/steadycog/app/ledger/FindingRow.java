package steadycog.app.ledger;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Desk;
import steadycog.app.look.Flow;
import steadycog.app.look.Glossary;
import steadycog.app.look.Icon;
import steadycog.app.look.IconView;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.check.Finding;
import steadycog.check.Severity;
import steadycog.cure.Advice;
import steadycog.cure.Cure;

/** One finding with its margin, its cures to click, and advice; a click chooses its member. */
public final class FindingRow extends HBox {
  private final Desk desk;
  private static final Map<Severity, PseudoClass> STATES = new EnumMap<>(Severity.class);

  static {
    for (Severity each : Severity.values()) {
      STATES.put(each, PseudoClass.getPseudoClass(each.word()));
    }
  }

  private final IconView icon = new IconView(Icon.NOTE);
  private final Label severity = Look.label("", "severity", "small");
  private final Label message = Look.label("");
  private final Label advice = Look.label("", "remedy");
  private final Flow cures = new Flow();
  private final List<Button> buttons = new ArrayList<>();
  private final Tooltip rule = new Tooltip();

  public FindingRow(Desk desk) {
    this.desk = desk;
    getStyleClass().add("finding");
    severity.setMinWidth(USE_PREF_SIZE);
    message.setWrapText(true);
    advice.setWrapText(true);
    rule.setWrapText(true);
    rule.setMaxWidth(380);
    cures.getChildren().add(advice);
    VBox words = new VBox(2, message, cures);
    words.setMinWidth(0);
    HBox.setHgrow(words, Priority.ALWAYS);
    getChildren().addAll(icon, severity, words);
  }

  /** Shows a finding for which no change is offered. */
  public void show(Finding finding) {
    show(Advice.of(finding), true);
  }

  /**
   * Shows another finding.
   *
   * @param sought whether its cures have been looked for; until then nothing is advised either
   */
  public void show(Advice advised, boolean sought) {
    Finding finding = advised.finding().in(desk.preferences().units());
    String word = finding.severity().word();
    icon.show(Icon.of(finding.severity()));
    STATES.forEach((each, state) -> pseudoClassStateChanged(state, each == finding.severity()));
    severity.setText(word);
    message.setText(typeset(finding.message()));
    showCures(advised.cures());
    boolean cured = !advised.cures().isEmpty();
    String rest = (cured ? finding.also() : finding.remedy()).filter(r -> sought).orElse("");
    advice.setText(rest);
    Look.show(advice, !rest.isEmpty());
    Look.show(cures, !rest.isEmpty() || cured);
    setAccessibleText(word + ": " + finding.message() + " " + advised.fix().orElse(""));
    Optional<String> explained = Glossary.ofRule(finding.code());
    rule.setText(explained.orElse(""));
    severity.setTooltip(explained.isPresent() ? rule : null);
    message.setTooltip(explained.isPresent() ? rule : null);
    setOnMouseClicked(click -> desk.selectAll(finding.members()));
  }

  /** Arrows and minus signs of print. */
  static String typeset(String text) {
    return text.replace("->", "\u2192").replaceAll("(?<=\\s)-(?=\\d)", "\u2212");
  }

  private void showCures(List<Cure> all) {
    while (buttons.size() < all.size()) {
      Button button = Look.styled(new Button(), "cure");
      button.setWrapText(true);
      button.setTooltip(new Tooltip("Make this change; undo takes it back"));
      buttons.add(button);
      cures.getChildren().add(buttons.size() - 1, button);
    }
    for (int k = 0; k < buttons.size(); k++) {
      Look.show(buttons.get(k), k < all.size());
    }
    for (int k = 0; k < all.size(); k++) {
      Cure cure = all.get(k);
      buttons.get(k).setText(typeset(cure.change()) + ratio(cure));
      buttons.get(k).setOnAction(e -> desk.train().cure(cure));
    }
  }

  /** The new ratio, where it changes: {@code (3.5 : 1)}. */
  private String ratio(Cure cure) {
    return cure.ratio()
        .filter(ratio -> cure.changesRatio())
        .map(ratio -> "  (" + Sign.ratio(ratio, desk.preferences().trainValueLeads()) + ")")
        .orElse("");
  }
}
