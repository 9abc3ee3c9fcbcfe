package steadycog.app.shift;

import java.util.Optional;
import java.util.function.Consumer;
import javafx.css.PseudoClass;
import javafx.geometry.HPos;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Desk;
import steadycog.app.look.EachWayWords;
import steadycog.app.look.Icon;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.motion.RatioBoard;
import steadycog.number.Figures;
import steadycog.number.Ratio;
import steadycog.number.Unit;
import steadycog.study.ShiftTable;
import steadycog.study.ShiftTable.Row;
import steadycog.study.Study;
import steadycog.torque.EachWay;
import steadycog.train.Element;
import steadycog.train.Join;
import steadycog.train.MemberId;

/** States as rows, brakes and clutches as columns to click, and what comes of it. */
final class PlanGrid extends GridPane {
  private static final double LEAST_POWER = 1e-9;
  private static final PseudoClass CURRENT = PseudoClass.getPseudoClass("current");
  private static final int ACROSS = 7;
  private static final int DOWN = 2;
  private static final int DIGITS = 4;

  private final Desk desk;
  private final Consumer<Optional<Row>> lookAt;

  /**
   * The grid of the desk's plan.
   *
   * @param lookAt is told which row is pointed at or has the focus
   */
  PlanGrid(Desk desk, Consumer<Optional<Row>> lookAt) {
    super(ACROSS, DOWN);
    this.desk = desk;
    this.lookAt = lookAt;
    setId("plan-grid");
    getStyleClass().add("plan-grid");
  }

  void show(ShiftTable plan) {
    Optional<String> focused =
        getChildren().stream().filter(Node::isFocused).map(Node::getId).findFirst();
    getChildren().clear();
    lookAt.accept(Optional.empty());
    getColumnConstraints().clear();
    heads(plan);
    for (int k = 0; k < plan.rows().size(); k++) {
      row(plan, plan.rows().get(k), k + 1);
    }
    // Whoever works by keys goes on where they were.
    focused.map(id -> lookup("#" + id)).ifPresent(Node::requestFocus);
  }

  private void heads(ShiftTable plan) {
    int column = 0;
    addHead(Look.label("state", "ledger-head"), column++, HPos.LEFT);
    for (Element element : plan.elements()) {
      addHead(elementHead(element), column++, HPos.CENTER);
    }
    boolean valueLeads = desk.preferences().trainValueLeads();
    addHead(
        head(valueLeads ? "e = out / in" : "i = in / out", "Exact ratio"), column++, HPos.RIGHT);
    addHead(head("mode", "Down: slower and stronger; up: faster"), column++, HPos.LEFT);
    addHead(head("step", "This ratio over the next state\u2019s"), column++, HPos.RIGHT);
    addHead(
        head("swaps", "How many brakes or clutches change at once to the next state; 1 is best"),
        column++,
        HPos.RIGHT);
    addHead(
        head("fastest", "The fastest member and its speed over the input\u2019s"),
        column++,
        HPos.LEFT);
    addHead(
        head(
            "circulates",
            "The largest power through a mesh over the power that goes in, were nothing lost"),
        column++,
        HPos.RIGHT);
    addHead(head("out", "Share of the power that comes out"), column++, HPos.RIGHT);
    addHead(
        head("back", "The same pushed at the take-off; holds: it holds itself, but is no brake"),
        column++,
        HPos.RIGHT);
    addHead(new Label(""), column, HPos.RIGHT);
  }

  private static Label head(String text, String help) {
    Label label = Look.label(text, "ledger-head");
    label.setMinWidth(USE_PREF_SIZE);
    label.setTooltip(new Tooltip(help));
    return label;
  }

  private void addHead(Node node, int column, HPos where) {
    ColumnConstraints constraints = new ColumnConstraints();
    constraints.setHalignment(where);
    constraints.setHgrow(where == HPos.LEFT && column > 0 ? Priority.ALWAYS : Priority.SOMETIMES);
    getColumnConstraints().add(constraints);
    add(node, column, 0);
  }

  /** A brake's or clutch's name over its column, and how to take it off the train. */
  private Node elementHead(Element element) {
    VBox lines = new VBox();
    lines.setAlignment(Pos.BOTTOM_CENTER);
    switch (element) {
      case Element.Brake(MemberId member) ->
          lines.getChildren().addAll(sign(Icon.HOLD, element), name(Sign.shortName(member)));
      case Element.Clutch(Join join) ->
          lines
              .getChildren()
              .addAll(
                  sign(Icon.LOCKED, element),
                  name(Sign.shortName(join.a())),
                  name(Sign.shortName(join.b())));
    }
    return lines;
  }

  /** What it is, and a cross to take it off the train. */
  private Node sign(Icon icon, Element element) {
    Button drop = Look.styled(new Button("\u00d7"), "plain");
    drop.setAccessibleText("Take " + element + " off the train");
    drop.setTooltip(new Tooltip("Take " + element + " off the train"));
    drop.setOnAction(e -> desk.plan().drop(element));
    HBox line = new HBox(2, icon.node(), drop);
    line.setAlignment(Pos.CENTER);
    return line;
  }

  private static Label name(String text) {
    Label label = Look.label(text, "board-head");
    label.setMinWidth(USE_PREF_SIZE);
    return label;
  }

  private void row(ShiftTable plan, Row row, int line) {
    int column = 0;
    Button name = stateName(row, line);
    name.pseudoClassStateChanged(
        CURRENT, desk.state().filter(row.state().name()::equals).isPresent());
    add(name, column++, line);
    for (int k = 0; k < plan.elements().size(); k++) {
      add(toggle(plan.elements().get(k), row, k), column++, line);
    }
    boolean valueLeads = desk.preferences().trainValueLeads();
    Optional<Ratio> ratio = row.study().ratio();
    String exact =
        ratio
            .map(one -> Sign.exact(valueLeads ? one.trainValue() : one.reduction()))
            .orElse(Sign.DASH);
    Label figure = figure(exact);
    figure.getStyleClass().add("state-ratio");
    add(figure, column++, line);
    add(figure(mode(row)), column++, line);
    Label step =
        figure(
            row.step()
                .filter(s -> s.signum() > 0)
                .map(s -> rounded(s.doubleValue()))
                .orElse(Sign.DASH));
    row.step().ifPresent(s -> step.setTooltip(new Tooltip("Exactly " + Sign.exact(s))));
    add(step, column++, line);
    boolean last = line == plan.rows().size();
    Label swaps = figure(last ? Sign.DASH : Integer.toString(row.changes()));
    if (row.changes() > 1) {
      swaps.getStyleClass().add("differs");
    }
    add(swaps, column++, line);
    add(fastest(row), column++, line);
    add(figure(row.study().circulation().map(PlanGrid::rounded).orElse(Sign.DASH)), column++, line);
    Optional<EachWay> eachWay = row.study().loading().eachWay();
    add(
        figure(eachWay.map(one -> EachWayWords.forwards(one, 0)).orElse(Sign.DASH)),
        column++,
        line);
    Label back =
        figure(eachWay.map(one -> EachWayWords.backwards(one.backwards(), 0)).orElse(Sign.DASH));
    eachWay
        .flatMap(one -> EachWayWords.tips(one.backwards()))
        .ifPresent(words -> back.setTooltip(new Tooltip("Pushed back " + words)));
    add(back, column++, line);
    add(tools(row), column, line);
  }

  private Button stateName(Row row, int line) {
    String state = row.state().name();
    Button name = Look.styled(new Button(state), "state-name");
    name.setMinWidth(USE_PREF_SIZE);
    name.setMaxWidth(Double.MAX_VALUE);
    name.setTooltip(
        new Tooltip(
            flow(row.study())
                + "Press to put the train in this state; F2, or a second click, gives it another"
                + " name."));
    name.setOnAction(e -> desk.showState(state));
    Runnable look =
        () -> lookAt.accept(Optional.of(row).filter(r -> name.isHover() || name.isFocused()));
    name.hoverProperty().addListener(o -> look.run());
    name.focusedProperty().addListener(o -> look.run());
    name.setOnMouseClicked(
        click -> {
          if (click.getClickCount() == 2) {
            rename(state, line);
          }
        });
    name.setOnKeyPressed(
        key -> {
          if (key.getCode() == KeyCode.F2) {
            rename(state, line);
            key.consume();
          }
        });
    return name;
  }

  /** Where power comes in and goes out in a state, and how much of it goes round inside. */
  private String flow(Study study) {
    Unit unit = desk.preferences().power();
    StringBuilder words = new StringBuilder();
    for (MemberId shaft : RatioBoard.shafts(study.train())) {
      study
          .power(shaft)
          .map(watts -> watts / unit.inBase())
          .filter(power -> Math.abs(power) > LEAST_POWER)
          .ifPresent(
              power ->
                  words
                      .append(shaft)
                      .append(power > 0 ? " brings " : " takes ")
                      .append(Sign.number(Math.abs(power)))
                      .append(' ')
                      .append(unit.symbol())
                      .append('\n'));
    }
    study
        .circulation()
        .ifPresent(
            share ->
                words
                    .append(rounded(share))
                    .append(" times that passes its busiest mesh, seen from the carrier\n"));
    return words.toString();
  }

  private static String rounded(double value) {
    return Figures.typeset(Figures.significant(value, DIGITS));
  }

  private static Label figure(String text) {
    Label label = new Label(text);
    label.setMinWidth(USE_PREF_SIZE);
    return label;
  }

  private static String mode(Row row) {
    if (row.jammed()) {
      return "jammed";
    }
    if (row.neutral()) {
      return "neutral";
    }
    if (row.study().mode().isEmpty()) {
      return "at rest";
    }
    return switch (row.study().mode().get()) {
      case UNDERDRIVE -> "down";
      case OVERDRIVE -> "up";
      case DIRECT -> "direct";
      case REVERSE_UNDERDRIVE, REVERSE_OVERDRIVE -> "reverse";
      case NEUTRAL -> "neutral";
    };
  }

  private static Node fastest(Row row) {
    Label label =
        new Label(
            row.fastest()
                .map(
                    one ->
                        Sign.shortName(one.member())
                            + " "
                            + rounded(one.times().doubleValue())
                            + "\u2009\u00d7")
                .orElse(Sign.DASH));
    label.setMinWidth(USE_PREF_SIZE);
    if (row.overspeed()) {
      label.getStyleClass().add("caution");
      label.setGraphic(Icon.WARNING.node());
    }
    return label;
  }

  /** Engaged it shows the torque that it takes; a click engages or releases. */
  private ToggleButton toggle(Element element, Row row, int index) {
    boolean on = row.state().engaged().contains(element);
    String torque =
        row.torques()
            .get(index)
            .map(nm -> rounded(nm.doubleValue() / desk.preferences().torque().inBase()))
            .orElse("on");
    ToggleButton button = Look.styled(new ToggleButton(on ? torque : "\u2013"), "element");
    button.setSelected(on);
    button.setMinWidth(USE_PREF_SIZE);
    button.setMaxWidth(Double.MAX_VALUE);
    button.setId("element-" + row.state().name() + "-" + index);
    button.setAccessibleText(
        element + " in state " + row.state().name() + (on ? ", engaged, " + torque : ", released"));
    button.setTooltip(
        new Tooltip(
            (on ? "Release " : "Engage ")
                + element
                + (on ? "; it takes " + torque + " " + desk.preferences().torque().symbol() : "")));
    button.setOnAction(e -> desk.plan().toggle(row.state().name(), element));
    return button;
  }

  private Node tools(Row row) {
    String name = row.state().name();
    HBox tools =
        new HBox(
            tool("\u2191", "Move state " + name + " up", () -> desk.plan().move(name, -1)),
            tool("\u2193", "Move state " + name + " down", () -> desk.plan().move(name, 1)),
            tool("\u00d7", "Take state " + name + " out", () -> desk.plan().remove(name)));
    tools.setMinWidth(USE_PREF_SIZE);
    tools.setAlignment(Pos.CENTER_RIGHT);
    return tools;
  }

  private static Button tool(String text, String help, Runnable action) {
    Button button = Look.styled(new Button(text), "plain");
    button.setAccessibleText(help);
    button.setTooltip(new Tooltip(help));
    button.setOnAction(e -> action.run());
    return button;
  }

  /** A field over the name; Enter gives the state what it says, Esc leaves it. */
  private void rename(String name, int line) {
    TextField field = new TextField(name);
    field.setId("state-name");
    field.setPrefColumnCount(6);
    field.setAccessibleText("Name of the state");
    field.setOnAction(
        e -> {
          getChildren().remove(field);
          desk.plan().rename(name, field.getText().strip());
        });
    field
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (!is) {
                getChildren().remove(field);
              }
            });
    add(field, 0, line);
    field.requestFocus();
    field.selectAll();
  }
}
