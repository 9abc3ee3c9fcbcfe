package steadycog.gearbox;

import java.util.List;
import java.util.Optional;
import steadycog.assembly.Assembly;
import steadycog.number.Pace;
import steadycog.shape.FaceLayout;
import steadycog.train.Train;

/**
 * A gearbox with its bill and the proof that it goes together.
 *
 * @param box empty where none is made
 * @param why none is made; empty where one is
 */
public record Build(Optional<Whole> box, String why) {

  /** What is said of one that goes together. */
  public static final String PROVEN =
      "Proved on its solids: no two bodies overlap at "
          + Proof.POSITIONS
          + " positions of the crank, every piece reaches its place along straight lines in this"
          + " order, nothing is loose along the axes, and what turns is carried at two places or"
          + " one wide one.";

  /** What there is of one that is made. */
  public record Whole(Gearbox gearbox, Bill bill, Proof proof) {}

  /** The same; where it does not go together, with what is wrong with the train itself first. */
  public Build because(List<String> errors) {
    return new Build(
        box.map(
            whole ->
                whole.proof.holds()
                    ? whole
                    : new Whole(whole.gearbox, whole.bill, whole.proof.because(errors))),
        why);
  }

  /** Whether one is made and goes together. */
  public boolean goesTogether() {
    return box.filter(whole -> whole.proof.holds()).isPresent();
  }

  /**
   * Builds it and proves it. Cost: seconds for dozens of bodies.
   *
   * @param layout of {@code train}
   */
  public static Build of(Train train, FaceLayout layout, Pace pace) {
    double chord = Assembly.chord(train);
    Gearbox.Result made = Gearbox.of(train, layout, chord);
    return new Build(
        made.box().map(box -> new Whole(box, Bill.of(box, chord), Proof.of(box, pace))),
        made.why());
  }
}
