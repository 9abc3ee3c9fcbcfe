package steadycog.app.desk;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.cure.Cure;
import steadycog.motion.RatioBoard.Configuration;
import steadycog.notation.Card;
import steadycog.number.Quantity;
import steadycog.train.Bevel;
import steadycog.train.Drive;
import steadycog.train.Edited;
import steadycog.train.Housing;
import steadycog.train.Losses;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Motor;
import steadycog.train.Part;
import steadycog.train.PartEdit;
import steadycog.train.Pitch;
import steadycog.train.Place;
import steadycog.train.Roles;
import steadycog.train.ShiftPlan;
import steadycog.train.State;
import steadycog.train.StateEdit;
import steadycog.train.Teeth;
import steadycog.train.Train;

/** All that can be done to the train in view; every change is a step to undo. */
public final class TrainWork {
  private final Desk desk;

  TrainWork(Desk desk) {
    this.desk = desk;
  }

  /** Takes over what stands in the train line; keystrokes of one word are one step to undo. */
  public void type(String text) {
    if (!text.equals(desk.sheet().text())) {
      boolean one = desk.keystrokes().goOn(desk.sheet().text(), text);
      desk.change(desk.page().with(desk.sheet().typed(text)), "typing", one);
    }
  }

  public void drive(MemberId member) {
    changeRoles(roles -> roles.driving(member));
  }

  public void hold(MemberId member) {
    changeRoles(roles -> roles.holding(member));
  }

  public void take(MemberId member) {
    changeRoles(roles -> roles.taking(member));
  }

  public void free(MemberId member) {
    changeRoles(roles -> roles.freeing(member));
  }

  /** Locks two members to each other; locking a member to itself does nothing. */
  public void lock(MemberId a, MemberId b) {
    if (!a.equals(b)) {
      changeRoles(roles -> roles.locking(a, b));
    }
  }

  /** Puts the train in a configuration of its ratio board. */
  public void configure(Configuration configuration) {
    changeRoles(configuration::in);
  }

  /**
   * Gives the second drive another speed; a whole drag is one step until {@link Desk#endStrand}.
   */
  public void driveSecond(Quantity speed) {
    changeDrive(1, drive -> drive.at(speed), "second drive");
  }

  /** Drives a member as well as what is driven first, instead of any second drive. */
  public void driveAlso(Drive drive) {
    changeRoles(
        roles -> {
          Roles freed = roles.freeing(drive.member());
          List<Drive> drives = new ArrayList<>(freed.drives().stream().limit(1).toList());
          drives.add(drive);
          return new Roles(drives, freed.holds(), freed.take(), freed.locks());
        });
  }

  /** Gives all teeth a size. */
  public void size(Pitch pitch) {
    changeTrain(train -> train.sized(pitch));
  }

  /**
   * Says something else about sizes.
   *
   * @return why that cannot be, for the place where it was typed; empty where it is done
   */
  public Optional<String> resize(UnaryOperator<Train> change) {
    return tried(train -> Edited.sameNames(change.apply(train)), "");
  }

  /** Wishes something else of the box round it; as with sizes. */
  public Optional<String> wish(UnaryOperator<Housing> change) {
    return resize(train -> train.withSizes(train.sizes().wishing(change)));
  }

  /** Says something else about the losses of meshes. */
  public void lose(UnaryOperator<Losses> change) {
    changeTrain(train -> train.withLosses(change.apply(train.losses())));
  }

  /** Turns the first drive by another motor, or by none. */
  public void turnBy(Optional<Motor> motor) {
    changeDrive(0, drive -> drive.by(motor), "");
  }

  /** Runs the first drive as {@code drive} says. */
  public void run(Drive drive) {
    changeDrive(0, old -> old.at(drive.statedSpeed()), "");
  }

  /** Changes the drive of that index, where there is one. */
  private void changeDrive(int index, UnaryOperator<Drive> change, String strand) {
    changeRoles(
        roles -> {
          List<Drive> drives = new ArrayList<>(roles.drives());
          if (index < drives.size()) {
            drives.set(index, change.apply(drives.get(index)));
          }
          return new Roles(drives, roles.holds(), roles.take(), roles.locks());
        },
        strand);
  }

  /** Loads the take-off with a torque, or leaves the load to the drive. */
  public void load(Optional<Quantity> torque) {
    changeRoles(roles -> roles.loaded(torque));
  }

  /** Changes the roles in the state that is in view, or those of a train without states. */
  private void changeRoles(UnaryOperator<Roles> change) {
    changeRoles(change, "");
  }

  private void changeRoles(UnaryOperator<Roles> change, String strand) {
    Optional<State> current = desk.bench().flatMap(Bench::state);
    changeTrain(
        train ->
            current.isPresent()
                ? StateEdit.changing(train, current.get(), change)
                : train.withRoles(change.apply(train.rolesInForce())),
        strand);
  }

  /** Changes the plan of the train in view, which is then shown in the state of that name. */
  void changeShifts(String shown, UnaryOperator<ShiftPlan> change) {
    desk.expect(shown);
    changeShifts(change);
    desk.showState(shown);
  }

  void changeShifts(UnaryOperator<ShiftPlan> change) {
    changeTrain(train -> train.withShifts(change.apply(train.shifts())));
  }

  /** Makes two members one body, or parts them where they are joined. */
  public void join(MemberId a, MemberId b) {
    changeTrain(train -> PartEdit.toggleJoin(train, a, b));
  }

  /** Puts another part on the bench beside what is there, and chooses its first member. */
  public void addPart(Part part) {
    if (desk.sheet().card().isEmpty()) {
      desk.change(desk.page().with(desk.sheet().with(Card.of(Train.of(List.of(part.named("")))))));
      return;
    }
    edit(train -> PartEdit.add(statingRoles(train), part), "");
    desk.select(inView().parts().getLast().members().stream().findFirst().map(Member::id));
  }

  /** Takes the whole part of a member away; the last one stays. */
  public void removePart(MemberId member) {
    edit(train -> PartEdit.removePart(train, member), "");
  }

  /** What a card leaves unsaid about the ends of its one part, said, so that it stays so. */
  private static Train statingRoles(Train train) {
    return train.shifts().isEmpty() ? train.withRoles(train.rolesInForce()) : train;
  }

  /** Adds {@code step} teeth to a wheel, within what a wheel can have; without teeth, nothing. */
  public void changeTeeth(MemberId member, int step) {
    desk.teeth(member)
        .ifPresent(
            old -> {
              int count = Math.clamp(old.count() + step, 1, Teeth.MOST);
              changeTrain(
                  train -> train.withTeeth(member, new Teeth(count, old.internal())),
                  "teeth " + member);
            });
  }

  /**
   * Gives a wheel other teeth.
   *
   * @return false where that cannot be: two internal wheels would have to mesh
   */
  public boolean setTeeth(MemberId member, Teeth teeth) {
    try {
      desk.teeth(member).ifPresent(old -> inView().withTeeth(member, teeth));
    } catch (IllegalArgumentException twoRings) {
      return false;
    }
    changeTrain(train -> train.withTeeth(member, teeth));
    return true;
  }

  Train inView() {
    return desk.sheet().card().orElseThrow().train();
  }

  /** Puts the crown of a right-angle pair on the other side of its pinion. */
  public void turnCrown(MemberId member) {
    desk.partOf(member, Bevel.class)
        .ifPresent(pair -> changeTrain(train -> train.withPart(pair.onSide(pair.side().other()))));
  }

  /** Lets a carrier hold more or fewer planets, or an eccentric discs, within what it can. */
  public void changePlanets(MemberId member, int step) {
    changeTrain(train -> WheelWork.more(train, member, step), "copies " + member.part());
  }

  /** Lets a new wheel mesh with a wheel of a chain, at its end or as a branch, and chooses it. */
  public void meshWheel(MemberId member) {
    build(train -> WheelWork.meshed(train, member));
  }

  /** Whether a wheel can be cut on the outside of {@code member}: a ring, carrier or disc. */
  public boolean canHaveRim(MemberId member) {
    return desk.partOf(member).isPresent()
        && desk.bench().filter(b -> WheelWork.canHaveRim(b.card().train(), member)).isPresent();
  }

  /** Keys a new wheel to the shaft of a wheel of a chain and chooses it. */
  public void keyWheel(MemberId member) {
    build(train -> WheelWork.keyed(train, member));
  }

  /** Puts an idler behind a wheel of a chain and chooses it. */
  public void insertIdler(MemberId member) {
    build(train -> WheelWork.withIdler(train, member));
  }

  /** Gives the planets of a set with one row a second one, with a ring round it, and chooses it. */
  public void addRow(MemberId member) {
    build(train -> WheelWork.withRow(train, member));
  }

  /** Takes a wheel, or the sun or ring of a set, out where that leaves a train; else nothing. */
  public void removeWheel(MemberId member) {
    build(train -> WheelWork.without(train, member));
  }

  /** Changes the wheels; the one that is new is chosen, and stated roles keep their wheels. */
  private void build(Function<Train, Edited> change) {
    if (desk.sheet().card().isEmpty()) {
      return;
    }
    Train before = inView();
    Edited[] made = new Edited[1];
    edit(
        train -> {
          made[0] = change.apply(train);
          return made[0].train().equals(train) ? made[0] : change.apply(statingRoles(train));
        },
        "");
    if (!inView().equals(before)) {
      desk.select(made[0].fresh(before));
    }
  }

  /**
   * Puts the shaft of {@code member} in a direction from the wheel that it meshes with; a whole
   * drag is one step to undo until {@link Desk#endStrand}.
   *
   * @param degrees counter-clockwise from the right
   */
  public void place(MemberId member, BigFraction degrees) {
    changeTrain(train -> train.placing(new Place(member, degrees)), "place " + member);
  }

  /** Lets the train lay itself out again. */
  public void layOutAgain() {
    changeTrain(Train::unplaced);
  }

  /** Makes the change that puts a finding, or all of them, right. */
  public void cure(Cure cure) {
    changeTrain(train -> cure.train());
  }

  void changeTrain(UnaryOperator<Train> change) {
    changeTrain(change, "");
  }

  void changeTrain(UnaryOperator<Train> change, String strand) {
    edit(train -> Edited.sameNames(change.apply(train)), strand);
  }

  /** Changes of one non-empty strand that follow each other are one step to undo. */
  private void edit(Function<Train, Edited> change, String strand) {
    tried(change, strand).ifPresent(desk::refuse);
  }

  /** The same, with why it cannot be made. */
  private Optional<String> tried(Function<Train, Edited> change, String strand) {
    Optional<Card> card = desk.sheet().card();
    if (card.isEmpty()) {
      return Optional.empty();
    }
    Card revised;
    try {
      revised = card.get().revised(change.apply(card.get().train()));
    } catch (IllegalArgumentException impossible) {
      return Optional.of(String.valueOf(impossible.getMessage()));
    }
    if (!revised.equals(card.get())) {
      desk.change(desk.page().with(desk.sheet().with(revised)), strand, true);
    }
    return Optional.empty();
  }
}
