package steadycog.app.cut;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Aside;
import steadycog.app.desk.Desk;
import steadycog.app.look.ChartView;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.app.look.Typed;
import steadycog.bench.Chart;
import steadycog.bench.Chart.Axis;
import steadycog.bench.Chart.Point;
import steadycog.bench.Chart.Series;
import steadycog.bench.Chart.Style;
import steadycog.notation.LengthText;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.study.SizeChoices;
import steadycog.study.SizeChoices.Choice;
import steadycog.study.SizeChoices.Wish;
import steadycog.train.Duty;
import steadycog.train.Duty.Term;
import steadycog.train.Part;
import steadycog.train.Train;

/** What the teeth must bear, and the sizes at which they do, worked out beside the window. */
final class SizePanel extends VBox {
  private static final String FIRST =
      "Say what the teeth must bear; Enter writes it on the card. Size it then tries every standard"
          + " module.";

  private static final String ALL = "all teeth";
  private static final double PICTURE = 150;

  private final Desk desk;
  private final Map<Term, TextField> terms = new EnumMap<>(Term.class);
  private final TextField within =
      Look.field("size-within", 6, "The largest diameter that all may have");
  private final TextField apart =
      Look.field("size-apart", 6, "The largest distance that meshing axes may have");
  private final ComboBox<String> part = new ComboBox<>();
  private final Button find = Look.styled(new Button("Size it"), "main");
  private final Label words = Look.label(FIRST, "soft");
  private final GridPane choices = Look.styled(new GridPane(), "sheet-grid");
  private final ScrollPane list = new ScrollPane(choices);
  private final ChartView picture = new ChartView(chart(List.of()));

  /** The train that was sized, and what came of it. */
  private List<Train> offered = List.of();

  private final Aside aside = new Aside("sizes", Platform::runLater);

  SizePanel(Desk desk) {
    super(5);
    this.desk = desk;
    setId("size-panel");
    getStyleClass().addAll("panel", "working");
    FlowPane fields = new FlowPane(10, 4);
    for (Term term : Term.values()) {
      TextField field = Look.field("rate-" + term.word(), term == Term.LIFE ? 5 : 3, help(term));
      Typed.on(field, text -> take(term, text), this::said, desk.inViewProperty());
      terms.put(term, field);
      fields.getChildren().add(named(label(term), field));
    }
    within.setPromptText("\u00d8 80 mm");
    apart.setPromptText("50 mm");
    fields.getChildren().addAll(named("within", within), named("axes within", apart), part);
    part.setId("size-part");
    part.setAccessibleText("Whose teeth are sized");
    part.setTooltip(new Tooltip("Whose teeth are sized"));
    find.setId("size-it");
    find.setTooltip(new Tooltip("The smallest teeth at which all factors are what is wanted"));
    find.setOnAction(e -> find());
    Label caution =
        Look.label("A design aid: a qualified engineer rates it before use.", "caution");
    caution.setWrapText(true);
    list.setFitToHeight(true);
    list.setVbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    list.setMinHeight(USE_PREF_SIZE);
    words.setWrapText(true);
    words.setId("size-words");
    getChildren()
        .addAll(
            Look.label("Will it hold?", "caption"), fields, find, words, list, picture, caution);
    picture.setId("size-picture");
    picture.setMinHeight(PICTURE);
    picture.setPrefHeight(PICTURE);
    picture.setMaxHeight(PICTURE);
    Look.show(list, false);
    Look.show(picture, false);
    desk.inViewProperty().addListener(o -> forget());
  }

  private static HBox named(String text, TextField field) {
    HBox box = new HBox(5, new Label(text), field);
    box.setAlignment(Pos.CENTER_LEFT);
    return box;
  }

  private static String label(Term term) {
    return term == Term.LIFE ? "life, h" : term.word();
  }

  private static String help(Term term) {
    return SizeEdits.sentence(term.says() + "; usual " + Exact.plain(term.usual()));
  }

  /**
   * Shows what the card asks; what it leaves out stands there as usual, in grey. Sizes of a train
   * that has been edited since are no longer offered: to use one would take the edit back.
   */
  void show(Train train) {
    if (!offered.isEmpty() && !offered.contains(train)) {
      forget();
    }
    showParts(train);
    Duty duty = train.sizes().duty();
    terms.forEach(
        (term, field) -> {
          field.setPromptText(Exact.plain(term.usual()));
          Typed.show(
              field, Optional.ofNullable(duty.terms().get(term)).map(Exact::plain).orElse(""));
        });
  }

  /** All at once only where all have one module. */
  private void showParts(Train train) {
    List<String> names =
        train.parts().stream()
            .filter(Part::takesHelix)
            .map(Part::name)
            .filter(name -> !name.isEmpty())
            .toList();
    List<String> offers = new ArrayList<>(train.hasOwnPitches() ? List.of() : List.of(ALL));
    offers.addAll(names);
    if (!part.getItems().equals(offers)) {
      part.getItems().setAll(offers);
      part.getSelectionModel().selectFirst();
    }
    Look.show(part, names.size() > 1);
  }

  private Optional<String> part() {
    return Optional.ofNullable(part.getValue()).filter(name -> !name.equals(ALL));
  }

  private Optional<String> take(Term term, String text) {
    if (!text.isEmpty() && !Exact.isNumber(text)) {
      return Optional.of(help(term) + " A number is wanted.");
    }
    return desk.train()
        .resize(
            train -> {
              Duty duty = train.sizes().duty();
              Duty changed =
                  text.isEmpty() ? duty.without(term) : duty.with(term, Exact.parse(text));
              return train.withSizes(train.sizes().withDuty(changed));
            });
  }

  private void said(Optional<String> problem) {
    words.setText(problem.orElse(list.isVisible() ? "" : FIRST));
    Look.show(words, !words.getText().isEmpty());
  }

  private void forget() {
    aside.drop();
    offered = List.of();
    Look.show(list, false);
    Look.show(picture, false);
    said(Optional.empty());
    find.setDisable(false);
  }

  private void find() {
    Optional<Double> most = length(within);
    Optional<Double> far = length(apart);
    for (TextField limit : List.of(within, apart)) {
      if (length(limit).isEmpty() && !limit.getText().isBlank()) {
        said(Optional.of("A limit is a length such as 80 mm, not " + limit.getText() + "."));
        return;
      }
    }
    aside.drop();
    Look.show(list, false);
    Look.show(picture, false);
    said(Optional.of("Trying every standard module \u2026"));
    find.setDisable(true);
    Train train = desk.bench().orElseThrow().card().train();
    offered = List.of(train);
    Wish wish = new Wish(most, far, Optional.empty(), part());
    aside.work(
        0,
        pace -> {
          try {
            return new Found(Optional.of(SizeChoices.of(train, wish, pace)), "");
          } catch (IllegalArgumentException refused) {
            return new Found(Optional.empty(), String.valueOf(refused.getMessage()));
          }
        },
        this::found);
  }

  private Optional<Double> length(TextField field) {
    return LengthText.read(field.getText(), desk.preferences().length()).map(Quantity::inBase);
  }

  /** How much more of a factor each kilogram buys, and what is wanted. */
  private static Chart chart(List<Choice> choices) {
    List<Point> points =
        choices.stream().map(one -> new Point(one.mass(), one.weakest().margin())).toList();
    List<Double> masses = points.stream().map(Point::x).toList();
    Axis across = Axis.over("kg", masses);
    return new Chart(
        "Least factor over what is wanted",
        across,
        Axis.over("factor", points.stream().map(Point::y).toList()),
        List.of(
            new Series("", Style.READ, points),
            new Series(
                "",
                Style.WORKED_OUT,
                List.of(new Point(across.from(), 1), new Point(across.to(), 1)))));
  }

  /** What came of it, or why it cannot be. */
  private record Found(Optional<SizeChoices> choices, String refused) {}

  private void found(Found found) {
    find.setDisable(false);
    choices.getChildren().clear();
    if (found.choices.isEmpty()) {
      said(Optional.of(SizeEdits.sentence(found.refused)));
      return;
    }
    SizeChoices sizes = found.choices.get();
    List<Choice> rows =
        sizes.choices().isEmpty() ? sizes.nearest().stream().toList() : sizes.choices();
    Look.show(list, !rows.isEmpty());
    picture.show(chart(sizes.choices()));
    Look.show(picture, sizes.choices().size() > 1);
    offered = Stream.concat(offered.stream(), rows.stream().map(Choice::train)).toList();
    said(
        sizes.choices().isEmpty()
            ? Optional.of("Nothing holds within the limits; the largest that was tried:")
            : Optional.empty());
    Unit length = desk.preferences().length();
    String[] heads = {"teeth", "face", "\u00d8", "kg", "SF", "SH", ""};
    for (int column = 0; column < heads.length; column++) {
      choices.add(Look.figure(heads[column], "ledger-head"), column, 0);
    }
    for (int k = 0; k < rows.size(); k++) {
      Choice choice = rows.get(k);
      String[] cells = {
        choice.pitch().statement().replace("module ", ""),
        Figures.significant(length.fromBase(choice.face()), 3),
        Figures.significant(length.fromBase(choice.diameter()), 4),
        Figures.significant(choice.mass(), 3),
        Figures.significant(choice.bending(), 3),
        Figures.significant(choice.contact(), 3)
      };
      for (int column = 0; column < cells.length; column++) {
        choices.add(Look.figure(cells[column], "sheet-figure"), column, k + 1);
      }
      Button use = Look.styled(new Button("use"), "cure");
      use.setMinWidth(USE_PREF_SIZE);
      use.setTooltip(
          new Tooltip(
              "Module, face width and hardness as these, on the card; least has "
                  + Sign.shortName(choice.weakest().tooth().wheel())
                  + (choice.weakest().contact() ? ", by pitting" : ", by bending")));
      use.setOnAction(e -> use(choice));
      choices.add(use, cells.length, k + 1);
    }
  }

  /** Module, face and hardness in one step to undo. */
  private void use(Choice choice) {
    said(desk.train().resize(train -> choice.train()));
  }
}
