package steadycog.app.geartable;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.Group;
import javafx.scene.layout.Pane;
import javafx.scene.text.Text;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.desk.PowerShown;
import steadycog.app.geartable.EdgeNames.Named;
import steadycog.app.geartable.TagPlaces.Box;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.shape.EdgeLayout;
import steadycog.shape.EdgeLayout.EdgeCarrier;
import steadycog.shape.EdgeLayout.EdgeCone;
import steadycog.shape.EdgeLayout.EdgeCup;
import steadycog.shape.EdgeLayout.EdgeShaft;
import steadycog.shape.EdgeLayout.EdgeWheel;
import steadycog.sizing.Thrust.OnWheel;
import steadycog.study.PowerPicture;
import steadycog.train.Element;
import steadycog.train.Element.Brake;
import steadycog.train.Helices;
import steadycog.train.MemberId;
import steadycog.train.Part;
import steadycog.train.Role;
import steadycog.train.Train;

/**
 * The train from the side: which wheel sits on which shaft, in which plane, and where it is held.
 * Nodes are kept from one train to the next, since making them anew is what costs.
 */
public final class EdgeView extends Pane {
  private static final double MARGIN = 14;
  private static final double WIDEST_PLANE = 104;

  /** With power shown, which needs more room. */
  private static final double WIDEST_POWER = 190;

  private static final double FACE_SHARE = 0.34;

  /** Walls, and shafts outside of them, in planes. */
  private static final double BESIDES = 1.7;

  /** Stands for a plate or cup beside the bodies of a member. */
  private static final int PLATE = -1;

  /** Bevel gears on upright shafts count from here. */
  private static final int CONE = 100;

  /** Half the width of such a gear at most, in planes. */
  private static final double WIDEST_CONE = 0.22;

  /** The wall stands so many planes behind the last, so that names fit before it. */
  private static final double ROOM_FOR_NAMES = 0.1;

  /** Where the wall at the drive end stands, in planes. */
  private static final double LEFT_WALL = -0.75;

  private static final double WALL = 8;

  /** How far shafts that are driven or taken off go beyond the walls, in planes. */
  private static final double BEYOND = 0.4;

  private final Desk desk;

  private final Group walls = new Group();
  private final Hatch wallAtDrive = new Hatch("edge-wall");
  private final Hatch wallAtEnd = new Hatch("edge-wall");
  private final Group shafts = new Group();
  private final Group bodies = new Group();
  private final Group captions = new Group();
  private final EdgeTiesView ties = new EdgeTiesView();
  private final PowerView power = new PowerView();
  private final EdgeNames names = new EdgeNames();
  private final List<ShaftView> shaftViews = new ArrayList<>();
  private final Map<EdgeKey, EdgeBody> bodyViews = new LinkedHashMap<>();
  private Optional<Bench> lookedAt = Optional.empty();
  private List<Element> elements = List.of();
  private List<EdgeKey> shown = List.of();
  private double scale = 1;
  private double pitch = 1;
  private double left;
  private double middle;
  private int planes;
  private double rightWall;

  /** A member's body, by which of several it is. */
  private record EdgeKey(MemberId id, int copy) {}

  public EdgeView(Desk desk) {
    this.desk = desk;
    getStyleClass().add("edge-view");
    setId("edge-view");
    for (Group group : new Group[] {walls, shafts, ties, bodies, captions, power, names}) {
      group.setManaged(false);
      getChildren().add(group);
    }
    walls.getChildren().addAll(wallAtDrive, wallAtEnd);
    Look.clip(this);
    widthProperty().addListener(o -> rebuild());
    heightProperty().addListener(o -> rebuild());
    visibleProperty().addListener(o -> rebuild());
    desk.benchProperty()
        .addListener(
            o -> {
              lookedAt = Optional.empty();
              rebuild();
            });
    desk.powerProperty().addListener(o -> rebuild());
    desk.preferencesProperty().addListener(o -> rebuild());
    desk.litProperty().addListener(o -> showSelection());
  }

  /** Shows another state of the train with its power for a while; empty ends that. */
  public void lookAt(Optional<Bench> state) {
    if (!state.equals(lookedAt)) {
      lookedAt = state;
      rebuild();
    }
  }

  private PowerShown powerShown() {
    return lookedAt.isPresent() ? PowerShown.REAL : desk.powerProperty().get();
  }

  private void rebuild() {
    Optional<Bench> bench = lookedAt.or(desk::bench);
    boolean large = getHeight() >= 4 * MARGIN && getWidth() >= 4 * MARGIN;
    boolean drawn = bench.isPresent() && large && isVisible();
    getChildren().forEach(child -> child.setVisible(drawn));
    if (!drawn) {
      return;
    }
    elements = elements(bench.get());
    EdgeLayout layout =
        EdgeLayout.of(bench.get().study().train(), bench.get().study().layout(), elements);
    double[] range = layout.range();
    planes = layout.planes();
    boolean named = !layout.carriers().isEmpty() || !layout.cups().isEmpty();
    rightWall = planes - (named ? -ROOM_FOR_NAMES : 0.25);
    boolean several = bench.get().card().train().parts().size() > 1;
    double room = getHeight() - (several ? 3 : 2) * MARGIN;
    scale = room / (range[1] - range[0]);
    pitch =
        Math.min(
            powerShown() == PowerShown.NONE ? WIDEST_PLANE : WIDEST_POWER,
            (getWidth() - 6 * MARGIN) / (planes + BESIDES));
    left = getWidth() / 2 - pitch * (planes + 0.35) / 2;
    middle = MARGIN + room / 2 + (range[0] + range[1]) / 2 * scale;
    placeWalls();
    placeShafts(bench.get(), layout);
    placeBodies(bench.get(), layout);
    placeCaptions(bench.get(), layout);
    ties.show(layout, bench.get().study().train().rolesInForce(), this::x, this::y, scale);
    showPower(bench.get(), layout);
    placeNames();
    showSelection();
  }

  private void showPower(Bench bench, EdgeLayout layout) {
    PowerShown shown = powerShown();
    boolean wanted = shown != PowerShown.NONE;
    Optional<PowerPicture> picture =
        wanted
            ? PowerPicture.of(bench.study(), layout, shown == PowerShown.REAL, rightWall + BEYOND)
            : Optional.empty();
    power.show(picture, this::x, this::y, desk.preferences().power());
    if (wanted && picture.isEmpty()) {
      power.explain("Not all torques follow, so there is no power to draw.", MARGIN, MARGIN);
    }
  }

  /** Brakes and clutches; among several sets whatever else is held is held by a brake as well. */
  private static List<Element> elements(Bench bench) {
    List<Element> all = new ArrayList<>(bench.card().train().shifts().elements());
    Train train = bench.study().train();
    if (train.hasSeveralSets()) {
      for (MemberId held : train.roles().holds()) {
        Element brake = new Brake(held);
        if (!all.contains(brake)) {
          all.add(brake);
        }
      }
    }
    return all;
  }

  private double x(double plane) {
    return left + (plane + 0.5) * pitch;
  }

  private double y(double height) {
    return middle - height * scale;
  }

  /** The walls in which all shafts run, at both ends. */
  private void placeWalls() {
    placeWall(wallAtDrive, x(LEFT_WALL));
    placeWall(wallAtEnd, x(rightWall));
  }

  private void placeWall(Hatch wall, double at) {
    wall.clear();
    wall.over(at - WALL / 2, MARGIN / 2, WALL, getHeight() - MARGIN, true);
  }

  private void placeShafts(Bench bench, EdgeLayout layout) {
    List<EdgeShaft> all = layout.shafts();
    while (shaftViews.size() < all.size()) {
      ShaftView view = new ShaftView();
      shaftViews.add(view);
      shafts.getChildren().add(view);
    }
    for (int k = 0; k < shaftViews.size(); k++) {
      shaftViews.get(k).setVisible(k < all.size());
    }
    for (int k = 0; k < all.size(); k++) {
      placeShaft(bench, layout, all.get(k), shaftViews.get(k));
    }
  }

  /**
   * A shaft reaches to where it is driven, taken off or held, and to walls that nothing stands
   * before; else just past its wheels.
   */
  private void placeShaft(Bench bench, EdgeLayout layout, EdgeShaft shaft, ShaftView view) {
    Role role = roleOf(bench, shaft);
    boolean toLeft = shaft.way().toLeft(role);
    double outside = role == Role.HOLD ? 0.0 : BEYOND;
    boolean braked =
        role == Role.HOLD
            && elements.stream()
                .anyMatch(e -> e instanceof Brake(var held) && shaft.members().contains(held));
    boolean goesOut = role == Role.DRIVE || role == Role.TAKE || (role == Role.HOLD && !braked);
    double from = layout.isFree(shaft, false) ? Math.min(shaft.from(), LEFT_WALL) : shaft.from();
    double to = layout.isFree(shaft, true) ? Math.max(shaft.to(), rightWall) : shaft.to();
    if (goesOut) {
      from = toLeft ? LEFT_WALL - outside : from;
      to = toLeft ? to : rightWall + outside;
    }
    double half = ShaftView.BEARING / 2;
    double[] seats = {
      from > LEFT_WALL ? x(from) + half : x(LEFT_WALL), to < rightWall ? x(to) - half : x(rightWall)
    };
    view.show(
        x(from),
        x(to),
        seats,
        y(shaft.height()),
        shaft.bore() * scale,
        braked ? Role.FREE : role,
        toLeft);
  }

  private static Role roleOf(Bench bench, EdgeShaft shaft) {
    return shaft.members().stream()
        .map(bench.study()::role)
        .filter(role -> role != Role.FREE && role != Role.LOCKED)
        .findFirst()
        .orElse(Role.FREE);
  }

  private void placeBodies(Bench bench, EdgeLayout layout) {
    List<EdgeKey> used = new ArrayList<>();
    shown = used;
    for (EdgeCarrier carrier : layout.carriers()) {
      EdgeKey key = new EdgeKey(carrier.id(), PLATE);
      used.add(key);
      body(key).showCarrier(carrier, this::x, this::y, scale);
    }
    for (EdgeCup cup : layout.cups()) {
      EdgeKey key = new EdgeKey(cup.id(), PLATE);
      used.add(key);
      body(key).showCup(cup, this::x, this::y, scale);
    }
    List<MemberId> members = layout.wheels().stream().map(EdgeWheel::id).distinct().toList();
    Map<MemberId, Double> thrusts =
        bench.study().thrusts().stream().collect(Collectors.toMap(OnWheel::wheel, OnWheel::force));
    for (EdgeWheel wheel : layout.wheels()) {
      boolean rising = members.indexOf(wheel.id()) % 2 == 0;
      EdgeKey key = new EdgeKey(wheel.id(), wheel.copy());
      used.add(key);
      double width = Math.max(8 * wheel.wide() / FACE_SHARE, pitch * wheel.wide());
      EdgeBody body = body(key);
      double at = x(wheel.at());
      body.showWheel(wheel, at, y(wheel.height()), width, scale, ShaftView.THICK, rising);
      body.showTeeth(
          Helices.of(bench.study().train(), wheel.id()),
          thrusts.getOrDefault(wheel.id(), 0.0),
          wheel,
          at,
          y(wheel.height()),
          width,
          scale);
    }
    for (EdgeCone cone : layout.cones()) {
      EdgeKey key = new EdgeKey(cone.id(), CONE + cone.copy());
      used.add(key);
      body(key).showCone(cone, x(cone.at()), this::y, scale, WIDEST_CONE * pitch);
    }
    bodyViews
        .entrySet()
        .removeIf(
            entry -> {
              boolean gone = !used.contains(entry.getKey());
              if (gone) {
                bodies.getChildren().remove(entry.getValue());
              }
              return gone;
            });
    for (int k = 0; k < used.size(); k++) {
      EdgeBody body = body(used.get(k));
      body.setViewOrder(-k);
      body.showRole(bench.study().role(used.get(k).id));
    }
  }

  /** Every member once, on its plate where it has one. */
  private void placeNames() {
    List<Named> members = new ArrayList<>();
    for (EdgeKey key : shown) {
      boolean first = key.copy == 0 || key.copy == PLATE || key.copy == CONE;
      boolean plated = key.copy != PLATE && shown.contains(new EdgeKey(key.id, PLATE));
      if (first && !plated) {
        members.add(new Named(nameIn(key.id), body(key).ends()));
      }
    }
    names.place(
        members,
        List.of(walls, shafts, ties, bodies, captions, power),
        new Box(getWidth() / 2, getHeight() / 2, getWidth() - 4, getHeight() - 2));
  }

  /** Members of a set go by their own names: the set's stands over it. */
  private String nameIn(MemberId id) {
    boolean captioned = desk.partOf(id).filter(part -> !part.inLine().isEmpty()).isPresent();
    return captioned ? Sign.ownName(id) : Sign.shortName(id);
  }

  /** The names of sets and drives under the middle of their planes. */
  private void placeCaptions(Bench bench, EdgeLayout layout) {
    int used = 0;
    for (Part part : bench.card().train().parts()) {
      if (part.name().isEmpty() || part.inLine().isEmpty()) {
        continue;
      }
      double plane = planeOf(part, layout);
      if (used == captions.getChildren().size()) {
        captions.getChildren().add(Look.styled(new Text(), "part-caption"));
      }
      Text caption = (Text) captions.getChildren().get(used++);
      caption.setText(part.name());
      Look.anchor(caption, x(plane), 0.5);
      caption.setY(getHeight() - 3);
      caption.setVisible(true);
    }
    for (int k = used; k < captions.getChildren().size(); k++) {
      captions.getChildren().get(k).setVisible(false);
    }
  }

  private static double planeOf(Part part, EdgeLayout layout) {
    return layout.wheels().stream()
        .filter(wheel -> wheel.id().part().equals(part.name()))
        .mapToInt(EdgeWheel::plane)
        .average()
        .orElse(0);
  }

  private EdgeBody body(EdgeKey key) {
    return bodyViews.computeIfAbsent(
        key,
        fresh -> {
          EdgeBody body = new EdgeBody();
          body.setOnMousePressed(press -> desk.select(Optional.of(key.id)));
          bodies.getChildren().add(body);
          return body;
        });
  }

  private void showSelection() {
    bodyViews.forEach((key, body) -> body.showSelected(desk.isLit(key.id)));
  }
}
