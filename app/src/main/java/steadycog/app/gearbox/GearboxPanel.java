package steadycog.app.gearbox;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Slider;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Aside;
import steadycog.app.desk.Desk;
import steadycog.app.files.AskFile;
import steadycog.app.look.Later;
import steadycog.app.look.Look;
import steadycog.gearbox.Axonometry;
import steadycog.gearbox.Build;
import steadycog.gearbox.Build.Whole;
import steadycog.gearbox.Component;
import steadycog.gearbox.Exploded;
import steadycog.gearbox.Gearbox;
import steadycog.gearbox.ShaftLoads;
import steadycog.study.Study;
import steadycog.train.Train;

/**
 * A whole gearbox round the train in view: drawn closed or pulled apart, with its bill, the order
 * in which it goes together, and the proof that it does.
 */
public final class GearboxPanel extends HBox {
  private static final PseudoClass BAD = PseudoClass.getPseudoClass("bad");
  private static final double BILL_WIDTH = 390;

  /** How far outlines may leave the true line at rest and while the drawing moves, mm. */
  private static final double FINE = 0.03;

  private static final double COARSE = 0.3;

  /** Pulled apart by less, numbers would stand in each other's way. */
  private static final double NUMBERED = 0.4;

  private final Desk desk;
  private final BoxView view = new BoxView();
  private final WishBar wishes;
  private final BillList bill = new BillList();
  private final Label verdict = Look.label("", "box-verdict");
  private final Label weak = Look.label("", "caution");
  private final Slider apart = slider("gearbox-apart", 1, "Pulls the pieces apart along the axis");
  private final Slider crank = slider("gearbox-crank", 2, "Turns the input, 0 to 2 turns");
  private final BoxFiles files;
  private final LeftOut leftOut;
  private final BoxCures cures;
  private final VBox side;
  private final Aside building = new Aside("gearbox", Platform::runLater);
  private final Aside refining = new Aside("gearbox drawing", Platform::runLater);
  private final Later rest = Later.whenQuiet(this::refine);
  private Optional<Shown> shown = Optional.empty();
  private Optional<Train> asked = Optional.empty();
  private boolean isBuilding;
  private List<Component> chosen = List.of();

  /** What is in view, with its outlines for drawing while it moves and at rest. */
  private record Shown(Whole whole, Exploded.Model coarse, Exploded.Model fine) {}

  public GearboxPanel(Desk desk, AskFile ask) {
    super(8);
    this.desk = desk;
    setId("gearbox-panel");
    wishes = new WishBar(desk);
    files = new BoxFiles(desk, ask);
    leftOut = new LeftOut(desk);
    cures = new BoxCures(desk);
    apart.setValue(1);
    HBox sliders =
        new HBox(
            8, new Label("closed"), apart, new Label("pulled apart"), new Label("  crank"), crank);
    sliders.getChildren().stream()
        .filter(Label.class::isInstance)
        .forEach(label -> ((Label) label).setMinWidth(USE_PREF_SIZE));
    sliders.setAlignment(Pos.CENTER_LEFT);
    verdict.setId("gearbox-verdict");
    verdict.setWrapText(true);
    verdict.setMinHeight(USE_PREF_SIZE);
    weak.setId("gearbox-weak");
    weak.setWrapText(true);
    weak.setMinHeight(USE_PREF_SIZE);
    Label caution =
        Look.label("Walls and screws are proportions: check what carries a load.", "caution");
    VBox left =
        Look.styled(
            new VBox(8, wishes, view, sliders, verdict, cures, weak, caution), "panel", "working");
    VBox.setVgrow(view, Priority.ALWAYS);
    HBox.setHgrow(left, Priority.ALWAYS);
    left.setMinWidth(0);
    side = Look.styled(new VBox(10, files, leftOut, bill), "panel", "working");
    ScrollPane scroll = Look.styled(new ScrollPane(side), "side-scroll");
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    desk.preferencesProperty().subscribe(now -> width(scroll));
    widthProperty().subscribe(now -> width(scroll));
    getChildren().addAll(left, scroll);
    apart.valueProperty().addListener(o -> moved());
    crank.valueProperty().addListener(o -> moved());
    view.onChoose(at -> shown.ifPresent(now -> choose(BillList.line(now.whole, at))));
    bill.onChoose(this::choose);
    desk.inViewProperty().addListener(o -> forget());
  }

  private void width(ScrollPane scroll) {
    double wanted = BILL_WIDTH * desk.preferences().zoom();
    double width = getWidth() > 0 ? Math.min(wanted, 0.45 * getWidth()) : wanted;
    scroll.setMinWidth(width);
    scroll.setPrefWidth(width);
  }

  private static Slider slider(String id, double most, String help) {
    Slider slider = new Slider(0, most, 0);
    slider.setId(id);
    slider.setAccessibleText(help);
    slider.setTooltip(new Tooltip(help));
    HBox.setHgrow(slider, Priority.ALWAYS);
    return slider;
  }

  /** Whether a gearbox has been asked for that is not there yet. */
  public boolean isBuilding() {
    return isBuilding;
  }

  private void forget() {
    building.drop();
    cures.clear();
    isBuilding = false;
    refining.drop();
    asked = Optional.empty();
    shown = Optional.empty();
    chosen = List.of();
    view.clear();
    say(Optional.empty());
    crank.setValue(0);
  }

  /**
   * Shows the gearbox of a train, built beside the window; the last one stays until it is there.
   */
  public void show(Study study, Train train) {
    wishes.show(train, shown.map(now -> now.whole.gearbox().housing()));
    leftOut.show(train);
    if (asked.filter(train::equals).isPresent()) {
      return;
    }
    asked = Optional.of(train);
    building.drop();
    cures.clear();
    isBuilding = true;
    say("Building it, and putting it together \u2026", false);
    building.work(
        0,
        pace -> {
          Build build = study.gearbox(train, pace);
          return new Found(
              build,
              build.box().map(whole -> new Shown(whole, model(whole, COARSE), model(whole, FINE))));
        },
        this::found);
  }

  private static Exploded.Model model(Whole whole, double fine) {
    return new Exploded.Model(whole.gearbox(), whole.proof().order(), fine);
  }

  private record Found(Build build, Optional<Shown> shown) {}

  private void found(Found found) {
    isBuilding = false;
    shown = found.shown;
    Look.show(side, shown.isPresent());
    asked.ifPresent(train -> wishes.show(train, shown.map(now -> now.whole.gearbox().housing())));
    if (shown.isEmpty()) {
      view.clear();
      say(Optional.empty());
      say("No gearbox is made of this train: " + found.build.why() + ".", false);
      asked.ifPresent(cures::seek);
      return;
    }
    Whole whole = shown.get().whole;
    bill.show(whole);
    files.show(whole);
    choose(
        whole.gearbox().components().stream()
            .filter(one -> chosen.stream().anyMatch(old -> old.name().equals(one.name())))
            .toList());
    List<String> problems = whole.proof().problems();
    // Without an order there is none to pull it apart by.
    apart.setDisable(whole.proof().order().isEmpty());
    say(
        problems.isEmpty()
            ? Build.PROVEN
            : "It does not go together: " + String.join("; ", problems) + ".",
        !problems.isEmpty());
    if (!problems.isEmpty()) {
      asked.ifPresent(cures::seek);
    }
    say(
        new ShaftLoads(whole.gearbox())
            .tooWeak()
            .map(words -> words + " What would do stands below the bill."));
    draw(shown.get().fine);
  }

  private void say(Optional<String> tooWeak) {
    weak.setText(tooWeak.orElse(""));
    Look.show(weak, tooWeak.isPresent());
  }

  private void say(String words, boolean bad) {
    verdict.setText(words);
    verdict.pseudoClassStateChanged(BAD, bad);
  }

  private void choose(List<Component> components) {
    chosen = components;
    view.choose(new HashSet<>(components));
    bill.mark(components);
    leftOut.choose(components);
  }

  private void moved() {
    shown.ifPresent(
        now -> {
          refining.drop();
          draw(now.coarse);
          rest.ask();
        });
  }

  private void refine() {
    shown.ifPresent(
        now -> {
          double by = apart.getValue();
          double turns = crank.getValue();
          refining.work(
              0,
              pace -> now.fine.draw(by, turns, Axonometry.USUAL),
              fine -> show(now, fine, false));
        });
  }

  private void draw(Exploded.Model model) {
    shown.ifPresent(
        now ->
            show(
                now,
                model.draw(apart.getValue(), crank.getValue(), Axonometry.USUAL),
                model.equals(now.coarse)));
  }

  private void show(Shown now, Exploded drawing, boolean moving) {
    Gearbox box = now.whole.gearbox();
    view.setAccessibleText(
        "Gearbox of "
            + box.components().size()
            + " kinds of pieces, "
            + (apart.getValue() > 0 ? "pulled apart" : "closed"));
    view.show(
        drawing,
        component -> now.whole.bill().of(component).number(),
        apart.getValue() > NUMBERED,
        moving);
  }
}
