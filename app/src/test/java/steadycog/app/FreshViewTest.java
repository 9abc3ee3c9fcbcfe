package steadycog.app;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.Mockito.mock;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.regex.Pattern;
import javafx.scene.Node;
import javafx.scene.control.Labeled;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.app.SteadyCogApp.Opened;
import steadycog.app.desk.Desk;
import steadycog.app.desk.DeskCopy;
import steadycog.app.desk.PowerShown;
import steadycog.app.desk.Station;
import steadycog.number.Unit;
import steadycog.number.Units;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.ShiftPlan;

/**
 * A fresh view is the judge: whatever has been done in a window, it shows what a new window shows
 * that is opened on the same job in the same state, node by node.
 */
class FreshViewTest extends InWindow {
  private static final int COMPARED = 12;
  private static final int BETWEEN = 9;

  /** Cards of every kind, many of them with members of the same names, some that make no train. */
  static final List<String> CARDS =
      List.of(
          "parallel 18 ~ 72 = 20 ~ 80\n",
          "parallel 20 ~ 60i\n",
          "planetary sun 24 planet 15 x3 ring 54\nhold ring\n",
          "planetary planet 17 x4 ring 60\nhold carrier\n",
          "planetary sun 12/- planet 18=18 x3 ring 48/51\nhold ring1\n",
          "planetary sun 30 planet 16~18 x3 ring 82\nhold carrier\n",
          "cycloidal lobes 14 pins 15\nhold ring\n",
          "strainwave nominal 80\nhold circular\n",
          "bevel 11 ~ 43\n",
          "differential side 16 spider 10\n",
          """
          ring: parallel 30 ~ 40
          set: planetary sun 24 planet 15 x3 ring 54
          join ring.B = set.sun
          drive ring.A
          hold set.ring
          take set.carrier
          """,
          """
          set: cycloidal lobes 9 pins 10
          ring: parallel 30 ~ 40
          join ring.A = set.disc
          drive set.eccentric
          hold set.ring
          take ring.B
          """,
          "parallel 20 ~\n",
          "");

  /** Units of every sort that a view can change. */
  private static final List<Unit> SHOWN =
      Arrays.stream(Unit.values())
          .filter(unit -> Units.USUAL.of(unit.dimension()).isPresent())
          .toList();

  private Opened fresh;

  @ParameterizedTest
  @ValueSource(longs = {1, 5, 13})
  void anyWork(long seed) throws Exception {
    Random random = new Random(seed);
    robot.interact(() -> opened.desk().file().putDown(demo()));
    List<String> done = new ArrayList<>();
    for (int round = 0; round < COMPARED; round++) {
      for (int k = 0; k < BETWEEN; k++) {
        robot.interact(() -> done.add(act(random)));
        pulse();
        Uncaught.check(done);
      }
      judge(done);
    }
  }

  @Test
  void pagingThroughTheDemoAtEveryStation() throws Exception {
    robot.interact(() -> opened.desk().file().putDown(demo()));
    List<String> done = new ArrayList<>();
    for (int index = demo().sheets().size() - 1; index >= 0; index--) {
      int shown = index;
      for (Station station : Station.values()) {
        robot.interact(
            () -> {
              opened.desk().stationProperty().set(station);
              opened.desk().showSheet(shown);
            });
        done.add(station + " " + index);
        pulse();
        Uncaught.check(done);
      }
      Station last = Station.values()[index % Station.values().length];
      robot.interact(() -> opened.desk().stationProperty().set(last));
      judge(done);
    }
  }

  /** All at once and in every view: none of the units left behind stands anywhere. */
  @Test
  void unitsChangeEverywhereAtOnce() throws Exception {
    robot.interact(() -> opened.desk().file().putDown(demo()));
    List<String> done = new ArrayList<>();
    List<String> left = new ArrayList<>();
    for (int index = 0; index < demo().sheets().size(); index++) {
      int shown = index;
      robot.interact(() -> opened.desk().showSheet(shown));
      for (Station station : List.of(Station.DRIVE_AND_HOLD, Station.CUT_SHEET)) {
        robot.interact(() -> opened.desk().stationProperty().set(station));
        settle();
        robot.interact(() -> use(List.of(Unit.IN, Unit.LBF_IN, Unit.HP, Unit.RAD_PER_S)));
        settle();
        done.add(station + " " + index);
        for (Node node : robot.lookup((Node n) -> n instanceof Labeled && isShown(n)).queryAll()) {
          // The card on one line is quoted as it was typed.
          String text =
              "card-line".equals(node.getId()) ? "" : String.valueOf(((Labeled) node).getText());
          if (OF_THE_OTHERS.matcher(text).find() && !AS_ON_THE_CARD.matcher(text).find()) {
            left.add(done.getLast() + ": " + text);
          }
        }
        judge(done);
        robot.interact(() -> use(List.of(Unit.MM, Unit.NM, Unit.W, Unit.RPM)));
      }
    }
    assertEquals(List.of(), left);
  }

  private void use(List<Unit> units) {
    Desk desk = opened.desk();
    for (Unit unit : units) {
      desk.preferencesProperty().set(desk.preferences().in(unit));
    }
  }

  private static final Pattern OF_THE_OTHERS =
      Pattern.compile("\\d[ \u00a0\u2009](mm|Nm|N mm|W|rpm)\\b|, mm\\b|N mm");

  /** What is typed, or quoted from a card; modules are named in mm everywhere. */
  private static final Pattern AS_ON_THE_CARD =
      Pattern.compile("^(module|width)\\b|^~ meshes|^planet 15 x3 |^lobes 29|^nominal 80");

  /** One thing that a person might do; returns what it was. */
  private String act(Random random) {
    Desk desk = opened.desk();
    List<MemberId> members =
        desk.bench()
            .map(b -> b.card().train().members().stream().map(Member::id).toList())
            .orElse(List.of());
    Optional<MemberId> one =
        members.isEmpty()
            ? Optional.empty()
            : Optional.of(members.get(random.nextInt(members.size())));
    int what = random.nextInt(18);
    switch (what) {
      case 0, 1 -> desk.showSheet(random.nextInt(desk.job().sheets().size()));
      case 2 -> desk.train().type(CARDS.get(random.nextInt(CARDS.size())));
      case 3 -> desk.undo();
      case 4 -> desk.redo();
      case 5 -> one.ifPresent(id -> desk.train().changeTeeth(id, random.nextBoolean() ? 1 : -1));
      case 6 -> desk.select(random.nextInt(4) == 0 ? Optional.empty() : one);
      case 7 ->
          one.ifPresent(
              id ->
                  List.<Runnable>of(
                          () -> desk.train().drive(id),
                          () -> desk.train().hold(id),
                          () -> desk.train().take(id),
                          () -> desk.train().free(id))
                      .get(random.nextInt(4))
                      .run());
      case 8 ->
          one.ifPresent(
              id ->
                  List.<Runnable>of(
                          () -> desk.train().meshWheel(id),
                          () -> desk.train().keyWheel(id),
                          () -> desk.train().insertIdler(id),
                          () -> desk.train().removeWheel(id),
                          () -> desk.train().addRow(id))
                      .get(random.nextInt(5))
                      .run());
      case 9 -> one.ifPresent(id -> desk.train().changePlanets(id, random.nextBoolean() ? 1 : -1));
      case 10 -> desk.stationProperty().set(Station.values()[random.nextInt(6)]);
      case 11 -> desk.crank().tooth(random.nextInt(9) - 4);
      case 12 -> desk.crank().turn(random.nextInt(3) - 1);
      case 13 -> editPlan(desk, random);
      case 14 -> {
        opened.stage().setWidth(960 + 40 * random.nextInt(20));
        opened.stage().setHeight(640 + 30 * random.nextInt(15));
      }
      case 15 -> {
        int size = 11 + random.nextInt(10);
        desk.preferencesProperty()
            .set(
                desk.preferences()
                    .sized(size)
                    .inDark(random.nextBoolean())
                    .in(SHOWN.get(size % SHOWN.size())));
      }
      case 16 ->
          desk.powerProperty().set(PowerShown.values()[random.nextInt(PowerShown.values().length)]);
      default -> {
        List<steadycog.train.State> states =
            desk.bench().map(b -> b.card().train().shifts().states()).orElse(List.of());
        if (!states.isEmpty()) {
          desk.showState(states.get(random.nextInt(states.size())).name());
        }
      }
    }
    return what + one.map(id -> " " + id).orElse("") + " on " + desk.sheet().name();
  }

  /** Opens a new window in the same state, waits until both have come to rest, and compares. */
  private static void editPlan(Desk desk, Random random) {
    ShiftPlan plan = desk.bench().map(b -> b.card().train().shifts()).orElse(ShiftPlan.NONE);
    if (plan.states().isEmpty() || random.nextInt(3) == 0) {
      desk.plan().addState();
      return;
    }
    String name = plan.states().get(random.nextInt(plan.states().size())).name();
    switch (random.nextInt(3)) {
      case 0 -> desk.plan().remove(name);
      case 1 -> desk.plan().move(name, 1);
      default ->
          plan.elements().stream()
              .findFirst()
              .ifPresent(element -> desk.plan().toggle(name, element));
    }
  }

  private void judge(List<String> done) throws Exception {
    Stage[] stage = new Stage[1];
    robot.interact(
        () -> {
          opened.window().tell("");
          stage[0] = new Stage();
          // The window in it is laid out to this only with the next frame.
          stage[0].setWidth(opened.stage().getScene().getWidth());
          stage[0].setHeight(opened.stage().getScene().getHeight());
          fresh =
              SteadyCogApp.open(
                  stage[0], mock(FileDialogs.class), folder.resolve("fresh " + done.size()));
          DeskCopy.copy(opened.desk(), fresh.desk());
          fresh.window().tell("");
        });
    String[] difference = {"still searching"};
    try {
      boolean alike =
          comesAbout(
              () -> {
                boolean busy = isBusy(opened) || isBusy(fresh);
                if (!busy) {
                  difference[0] =
                      Fingerprint.difference(
                          Fingerprint.of(opened.window()), Fingerprint.of(fresh.window()));
                }
                return !busy && difference[0].isEmpty();
              });
      assertTrue(alike, () -> difference[0] + "\nafter " + done);
    } finally {
      robot.interact(stage[0]::hide);
    }
    Uncaught.check(done);
  }

  private static boolean isBusy(Opened window) {
    return window.window().stations().isSearching()
        || !window.desk().cures().isProven()
        || !window.desk().glances().isDone();
  }
}
