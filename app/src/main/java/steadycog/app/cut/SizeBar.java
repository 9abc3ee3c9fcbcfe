package steadycog.app.cut;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.app.desk.Desk;
import steadycog.app.look.Look;
import steadycog.app.look.Typed;
import steadycog.notation.LengthText;
import steadycog.notation.PitchText;
import steadycog.notation.SizeText;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.number.Quantity;
import steadycog.sizing.Box;
import steadycog.sizing.Identify;
import steadycog.train.Clearance;
import steadycog.train.Clearance.Gap;
import steadycog.train.Clearance.Process;
import steadycog.train.Helix;
import steadycog.train.Part;
import steadycog.train.Pitch;
import steadycog.train.Planetary;
import steadycog.train.Rack;
import steadycog.train.Sizes;
import steadycog.train.Train;

/** Size of teeth and room for the process: what holds for the whole train. */
final class SizeBar extends VBox {
  private final Desk desk;
  private final TextField module =
      Look.field("sheet-module", 8, "Size of teeth: module 1.5 mm or dp 16");
  private final TextField angle =
      Look.field("sheet-angle", 4, "Pressure angle in degrees: 20, 14.5");
  private final TextField helix =
      Look.field("sheet-helix", 9, "How all teeth wind: 20, 20 left, 20 double for herringbones");
  private final TextField fit =
      Look.field("sheet-fit", 6, "The largest standard teeth with which all fits in this diameter");
  private final TextField sharing =
      Look.field("sheet-sharing", 3, "Load of the most loaded planet over the mean, 1 to 2");
  private final Map<Gap, TextField> gaps = new EnumMap<>(Gap.class);
  private final List<ToggleButton> chips = new ArrayList<>();
  private final Label problem = Look.label("", "bad-word");
  private final HBox rack = named("angle", angle);
  private final HBox wound = named("helix", helix);
  private final HBox share = new HBox(6, new Label("planets share"), sharing);
  private Optional<Box> box = Optional.empty();

  SizeBar(Desk desk, SizeEdits edits) {
    super(6);
    this.desk = desk;
    getStyleClass().addAll("panel", "size-bar");
    problem.setId("sheet-problem");
    problem.setWrapText(true);
    Typed.on(module, this::takePitch, this::said, desk.inViewProperty());
    Typed.on(angle, this::takeAngle, this::said, desk.inViewProperty());
    Typed.on(helix, this::takeHelix, this::said, desk.inViewProperty());
    fit.setOnAction(e -> takeFit());
    Typed.on(sharing, this::takeSharing, this::said, desk.inViewProperty());
    fit.setPromptText("\u00d8 80 mm");
    FlowPane teeth = row(named("teeth", module), rack, wound, named("fit into", fit), share);
    share.setAlignment(Pos.CENTER_LEFT);
    HBox processes = new HBox(3, new Label("made"), chip(Optional.empty()));
    for (Process process : Process.values()) {
      processes.getChildren().add(chip(Optional.of(process)));
    }
    processes.setAlignment(Pos.CENTER_LEFT);
    FlowPane room = row(processes);
    for (Gap gap : Gap.OF_WHEELS) {
      TextField field = Look.field("gap-" + gap.word(), 3, help(gap));
      Typed.on(field, text -> edits.gap(gap, text), this::said, desk.inViewProperty());
      gaps.put(gap, field);
      room.getChildren().add(named(words(gap), field));
    }
    getChildren().addAll(teeth, room, problem);
    said(Optional.empty());
  }

  private static FlowPane row(Node... nodes) {
    FlowPane row = new FlowPane(10, 4, nodes);
    row.setRowValignment(VPos.CENTER);
    return row;
  }

  private static HBox named(String words, TextField field) {
    HBox box = new HBox(6, new Label(words), field);
    box.setAlignment(Pos.CENTER_LEFT);
    return box;
  }

  private static String words(Gap gap) {
    return switch (gap) {
      case FLANK -> "off flanks";
      case TIP -> "off tips";
      case BORE -> "bores wider";
      case APART -> "axes apart";
      case SEAT -> "seats wider";
    };
  }

  private static String help(Gap gap) {
    return switch (gap) {
      case FLANK ->
          "Taken off every flank at right angles to it; a mesh gets four times as much play";
      case TIP -> "Taken off every tip";
      case BORE -> "Added to the diameter of every hole for a shaft";
      case APART -> "By which axes stand further apart than teeth without play would";
      case SEAT -> "Added to the diameter of every hole that a bearing or a pin is pressed into";
    };
  }

  private ToggleButton chip(Optional<Process> process) {
    String word = process.map(Process::word).orElse("no clearance");
    ToggleButton chip = Look.styled(new ToggleButton(word), "chip");
    chip.setId("process-" + process.map(Process::word).orElse("none"));
    chip.setMinWidth(USE_PREF_SIZE);
    chip.setTooltip(
        new Tooltip(
            process.isEmpty()
                ? "Teeth touch on both flanks, holes are as wide as their shafts"
                : "The room that such a process usually needs; type over what your machine wants"));
    chip.setOnAction(
        e -> {
          Clearance wanted = process.map(Clearance::of).orElse(Clearance.NONE);
          said(desk.train().resize(train -> train.withSizes(train.sizes().withClearance(wanted))));
          show(desk.bench().orElseThrow().card().train(), box);
        });
    chips.add(chip);
    return chip;
  }

  /** Says what is wrong with something typed, or nothing. */
  void said(Optional<String> words) {
    problem.setText(words.orElse(""));
    Look.show(problem, words.isPresent());
  }

  void show(Train train, Optional<Box> around) {
    box = around;
    Sizes sizes = train.sizes();
    Typed.show(module, train.pitch().map(Pitch::statement).orElse(""));
    module.setPromptText("module 1 mm");
    Rack rack = sizes.rackInForce();
    Typed.show(angle, Exact.plain(rack.degrees()) + (rack.stub() ? " stub" : ""));
    Typed.show(sharing, Figures.significant(sizes.sharingInForce(), 3));
    Typed.show(
        helix, sizes.common().helix().map(all -> all.toString().replace(" deg", "")).orElse(""));
    helix.setPromptText("straight");
    Look.show(wound, train.parts().stream().anyMatch(Part::takesHelix));
    Look.show(this.rack, !train.involuteWheels().isEmpty());
    Look.show(share, train.parts(Planetary.class).stream().anyMatch(set -> set.count() > 1));
    Optional<Process> process = sizes.clearance().process();
    for (int k = 0; k < chips.size(); k++) {
      boolean on =
          k == 0
              ? sizes.clearance().unstated()
              : process.equals(Optional.of(Process.values()[k - 1]));
      chips.get(k).setSelected(on);
    }
    double unit = desk.preferences().length().inBase();
    gaps.forEach(
        (gap, field) -> {
          double length = sizes.clearance().mm(gap) / unit;
          Typed.show(field, length == 0 ? "0" : Figures.significant(length, 3));
        });
  }

  private Optional<String> takePitch(String text) {
    Optional<Pitch> pitch = PitchText.read(text);
    pitch.ifPresent(desk.train()::size);
    return pitch.isPresent()
        ? Optional.empty()
        : Optional.of("Teeth are sized as module 1.5 mm or dp 16.");
  }

  private Optional<String> takeAngle(String text) {
    boolean stub = text.toLowerCase(Locale.ROOT).endsWith("stub");
    String number = text.replaceAll("(?i)stub|deg|\u00b0", "").strip();
    return taking(
        "A pressure angle is a number of degrees from 10 to 30 such as 20, or 20 stub.",
        number,
        given -> {
          Rack rack = new Rack(given, stub);
          Optional<Rack> wanted = rack.equals(Rack.USUAL) ? Optional.empty() : Optional.of(rack);
          return train -> train.withSizes(train.sizes().withRack(wanted));
        });
  }

  private Optional<String> takeHelix(String text) {
    Optional<Helix> read = SizeText.helix(text);
    if (read.isEmpty() && !text.isEmpty()) {
      return Optional.of(SizeEdits.HELIX);
    }
    return desk.train()
        .resize(
            train ->
                train.withSizes(train.sizes().withCommon(train.sizes().common().withHelix(read))));
  }

  private Optional<String> takeSharing(String text) {
    return taking(
        "How planets share is a number from 1 (evenly) to 2 such as 1.2.",
        text,
        given -> train -> train.withSizes(train.sizes().withSharing(Optional.of(given))));
  }

  private Optional<String> taking(
      String wrong, String text, Function<BigFraction, UnaryOperator<Train>> change) {
    if (!Exact.isNumber(text)) {
      return Optional.of(wrong);
    }
    UnaryOperator<Train> asked;
    try {
      asked = change.apply(Exact.parse(text));
    } catch (IllegalArgumentException outOfRange) {
      return Optional.of(wrong);
    }
    return desk.train().resize(asked).map(outOfRange -> wrong);
  }

  /** Scales the teeth so that the cylinder round all is no wider than asked for. */
  private void takeFit() {
    Optional<Quantity> wanted =
        LengthText.read(fit.getText().replaceAll("[\u00d8\u2300]", ""), desk.preferences().length())
            .filter(length -> length.value().signum() > 0);
    if (wanted.isEmpty() || box.isEmpty()) {
      said(Optional.of("Type the diameter that all must fit into, such as 80 mm."));
      return;
    }
    Train train = desk.bench().orElseThrow().card().train();
    double module = train.pitch().map(p -> p.moduleMm().doubleValue()).orElse(1.0);
    double most = module * wanted.get().inBase() / box.get().diameter();
    boolean inch = train.pitch().filter(Pitch.Diametral.class::isInstance).isPresent();
    Optional<Pitch> found = Identify.below(most, inch);
    said(
        found.isEmpty()
            ? Optional.of(
                "No standard teeth are small enough for that: it would need module "
                    + Figures.significant(most, 3)
                    + " mm.")
            : Optional.empty());
    found.ifPresent(desk.train()::size);
    done(found.isPresent());
  }

  private void done(boolean taken) {
    if (taken) {
      requestFocus();
      show(desk.bench().orElseThrow().card().train(), box);
    }
  }
}
