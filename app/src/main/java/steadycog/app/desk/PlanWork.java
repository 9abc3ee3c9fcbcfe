package steadycog.app.desk;

import java.util.List;
import java.util.Optional;
import steadycog.search.StateHunt;
import steadycog.train.Element;
import steadycog.train.Roles;
import steadycog.train.ShiftPlan;
import steadycog.train.State;

/** What is done to the shift plan of the train in view: its brakes, its clutches, its states. */
public final class PlanWork {
  private final Desk desk;

  PlanWork(Desk desk) {
    this.desk = desk;
  }

  private Optional<ShiftPlan> plan() {
    return desk.bench().map(bench -> bench.card().train().shifts());
  }

  /** Engages a brake or clutch in a state, or releases it, and shows that state. */
  public void toggle(String name, Element element) {
    desk.train()
        .changeShifts(
            name,
            plan ->
                plan.state(name)
                    .map(old -> plan.replacing(name, old.toggling(element)))
                    .orElse(plan));
  }

  /** Puts a brake or clutch on the train, to be engaged by states. */
  public void add(Element element) {
    desk.train().changeShifts(plan -> plan.declaring(element));
  }

  /** Takes a brake or clutch off the train, and out of all states. */
  public void drop(Element element) {
    desk.train().changeShifts(plan -> plan.dropping(element));
  }

  /** Adds a state in which nothing is engaged yet, and shows it. */
  public void addState() {
    plan()
        .ifPresent(
            now -> {
              String name = now.freeName(String.valueOf(now.states().size() + 1));
              desk.train().changeShifts(name, plan -> plan.adding(new State(name, Roles.NONE)));
            });
  }

  /** Puts {@code states} in place of those there are; the first ones take over what was held. */
  public void keep(List<State> states) {
    desk.train()
        .changeTrain(
            train ->
                StateHunt.released(train)
                    .withShifts(new ShiftPlan(train.shifts().elements(), states)));
  }

  public void remove(String name) {
    desk.train().changeShifts(plan -> plan.without(name));
  }

  /** Moves a state up or down in the plan. */
  public void move(String name, int step) {
    desk.train().changeShifts(plan -> plan.moving(name, step));
  }

  /** Gives a state another name, unless it is none or another state's. */
  public void rename(String name, String wanted) {
    Optional<State> old = plan().flatMap(plan -> plan.state(name));
    boolean free = plan().flatMap(plan -> plan.state(wanted)).isEmpty();
    if (State.isName(wanted) && free && old.isPresent()) {
      desk.train()
          .changeShifts(wanted, plan -> plan.replacing(name, new State(wanted, old.get().roles())));
    }
  }
}
