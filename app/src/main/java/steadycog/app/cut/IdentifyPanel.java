package steadycog.app.cut;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Desk;
import steadycog.app.look.Look;
import steadycog.notation.LengthText;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.number.Quantity;
import steadycog.sizing.Identify;
import steadycog.train.Helix;
import steadycog.train.Sizes;
import steadycog.train.Train;

/** What a gear in hand is: count it, measure it, and read the likeliest sizes. */
final class IdentifyPanel extends VBox {
  private static final int SHOWN = 4;

  private final Desk desk;
  private final TextField teeth = Look.field("id-teeth", 3, "Teeth as counted");
  private final TextField tip =
      Look.field("id-tip", 5, "Diameter over the tips, of a ring between them");
  private final CheckBox ring = new CheckBox("ring");
  private final TextField span = Look.field("id-span", 5, "Caliper over several teeth");
  private final TextField over = Look.field("id-over", 2, "How many teeth that goes over");
  private final TextField next =
      Look.field("id-next", 5, "Over one tooth more: tells the pressure angle");
  private final TextField distance = Look.field("id-distance", 5, "From its axis to its mate's");
  private final TextField mate = Look.field("id-mate", 3, "Teeth of that mate");
  private final TextField root = Look.field("id-root", 5, "Diameter at the roots");
  private final CheckBox helical = new CheckBox("helical");
  private final TextField lead =
      Look.field("id-lead", 5, "Along the axis for once round: tells the helix angle");
  private final HBox rise = named("lead", lead);
  private final Label words = Look.label("", "soft");
  private final GridPane guesses = Look.styled(new GridPane(), "sheet-grid");

  IdentifyPanel(Desk desk) {
    super(5);
    this.desk = desk;
    setId("identify");
    getStyleClass().addAll("panel", "working");
    FlowPane fields =
        new FlowPane(
            10,
            4,
            named("teeth", teeth),
            named("over tips", tip, ring),
            named("span", span, new Label("over"), over),
            named("one more", next),
            named("axes", distance, new Label("to"), mate),
            named("roots", root),
            helical,
            rise);
    helical.setId("id-helical");
    helical.setTooltip(new Tooltip("Its teeth wind: the helix angle is looked for as well"));
    rise.visibleProperty().bind(helical.selectedProperty());
    rise.managedProperty().bind(helical.selectedProperty());
    words.setWrapText(true);
    words.setId("id-words");
    over.setPromptText("k");
    for (TextField field : List.of(teeth, tip, span, over, next, distance, mate, root, lead)) {
      field.textProperty().addListener(o -> look());
    }
    ring.selectedProperty().addListener(o -> look());
    helical.selectedProperty().addListener(o -> look());
    getChildren().addAll(Look.label("A gear in hand", "caption"), fields, guesses, words);
    look();
  }

  private static HBox named(String text, Node... nodes) {
    HBox box = new HBox(5, new Label(text));
    box.getChildren().addAll(nodes);
    box.setAlignment(Pos.CENTER_LEFT);
    return box;
  }

  private void look() {
    guesses.getChildren().clear();
    Look.show(guesses, false);
    OptionalInt counted = whole(teeth);
    if (counted.isEmpty()) {
      words.setText("Count its teeth and measure over the tips: module or pitch will stand here.");
      return;
    }
    span.setPromptText("over " + Identify.teethToSpan(Math.clamp(counted.getAsInt(), 4, 2000)));
    try {
      OptionalDouble spanned = length(span);
      OptionalInt k = whole(over);
      boolean usual = spanned.isPresent() && k.isEmpty();
      show(
          Identify.of(
              new Identify.Measured(
                  counted.getAsInt(),
                  ring.isSelected(),
                  length(tip),
                  spanned,
                  usual
                      ? OptionalInt.of(Identify.teethToSpan(counted.getAsInt()))
                      : spanned.isPresent() ? k : OptionalInt.empty(),
                  spanned.isPresent() ? length(next) : OptionalDouble.empty(),
                  whole(mate).isPresent() ? length(distance) : OptionalDouble.empty(),
                  length(distance).isPresent() ? whole(mate) : OptionalInt.empty(),
                  length(root),
                  helical.isSelected(),
                  helical.isSelected() ? length(lead) : OptionalDouble.empty())),
          counted.getAsInt());
    } catch (IllegalArgumentException missing) {
      String what = String.valueOf(missing.getMessage());
      words.setText(Character.toUpperCase(what.charAt(0)) + what.substring(1) + ".");
    }
  }

  private void show(List<Identify.Guess> all, int counted) {
    if (all.isEmpty()) {
      words.setText(
          "No standard size comes near: count and measure again, or it is no standard gear.");
      return;
    }
    Look.show(guesses, true);
    String[] heads = {"", "teeth", "shift", "off, mm", ""};
    for (int column = 0; column < heads.length; column++) {
      guesses.add(Look.figure(heads[column], "ledger-head"), column, 0);
    }
    for (int k = 0; k < Math.min(SHOWN, all.size()); k++) {
      Identify.Guess guess = all.get(k);
      Label size = Look.label(guess.pitch().statement() + angle(guess), "sheet-name");
      size.setMinWidth(USE_PREF_SIZE);
      Button use = Look.styled(new Button("use"), "cure");
      use.setTooltip(new Tooltip("Give the teeth of this train that size"));
      use.setOnAction(e -> use(guess));
      use.disableProperty().bind(desk.benchProperty().map(Optional::isEmpty));
      guesses.add(size, 0, k + 1);
      guesses.add(Look.figure(String.valueOf(guess.teeth()), "sheet-figure"), 1, k + 1);
      guesses.add(Look.figure(signed(guess.shift(), 2), "sheet-figure"), 2, k + 1);
      guesses.add(Look.figure(signed(guess.off(), 3), "sheet-figure"), 3, k + 1);
      guesses.add(use, 4, k + 1);
    }
    words.setText(
        all.getFirst().teeth() == counted
            ? ""
            : "Did you miscount? The measures speak for " + all.getFirst().teeth() + " teeth.");
    Look.show(words, !words.getText().isEmpty());
  }

  /** Size and helix at once, in one step to undo. */
  private void use(Identify.Guess guess) {
    if (guess.helix() == 0) {
      desk.train().size(guess.pitch());
      return;
    }
    Helix helix = new Helix(Exact.parse(Figures.fixed(guess.helix(), 2)), Optional.empty(), false);
    desk.train()
        .resize(
            train -> {
              Train sized = train.sized(guess.pitch());
              Sizes sizes = sized.sizes();
              return sized.withSizes(
                  sizes.withCommon(sizes.common().withHelix(Optional.of(helix))));
            });
  }

  private static String angle(Identify.Guess guess) {
    String pressed =
        guess.angle() == 20 ? "" : ", " + Figures.significant(guess.angle(), 3) + "\u00b0";
    return pressed
        + (guess.helix() == 0 ? "" : ", helix " + Figures.fixed(guess.helix(), 1) + "\u00b0");
  }

  private static String signed(double value, int decimals) {
    return Figures.typeset(Figures.signed(value, decimals));
  }

  private static OptionalInt whole(TextField field) {
    String text = field.getText().strip();
    return text.matches("\\d{1,4}") ? OptionalInt.of(Integer.parseInt(text)) : OptionalInt.empty();
  }

  private OptionalDouble length(TextField field) {
    Optional<Double> mm =
        LengthText.read(field.getText(), desk.preferences().length())
            .map(Quantity::inBase)
            .filter(length -> length > 0);
    return mm.isPresent() ? OptionalDouble.of(mm.get()) : OptionalDouble.empty();
  }
}
