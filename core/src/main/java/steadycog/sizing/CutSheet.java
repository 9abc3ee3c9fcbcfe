package steadycog.sizing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BinaryOperator;
import java.util.function.Function;
import steadycog.motion.Motion;
import steadycog.shape.FaceLayout;
import steadycog.torque.Loading;
import steadycog.torque.Torques;
import steadycog.train.MemberId;
import steadycog.train.Train;

/**
 * All that the shop asks of a train.
 *
 * @param wheels those with involute teeth, in the order of the card
 * @param plays of the meshes that can run, in the order of the card
 * @param lostMotion at the output; empty where it does not follow
 * @param screening strength under the torques with losses
 * @param bearings planets on their pins, shafts in their bearings
 * @param thrusts what helical teeth press shafts and planets along with
 */
public record CutSheet(
    List<WheelFigures> wheels,
    List<MeshPlay> plays,
    Box box,
    Optional<LostMotion> lostMotion,
    Screening screening,
    List<Bearing> bearings,
    List<Thrust> thrusts) {

  public CutSheet {
    wheels = List.copyOf(wheels);
    plays = List.copyOf(plays);
    bearings = List.copyOf(bearings);
    thrusts = List.copyOf(thrusts);
  }

  /** How each mesh runs, in the order of the card. */
  public List<MeshFigures> meshes() {
    return plays.stream().map(MeshPlay::figures).toList();
  }

  public static CutSheet of(Train train, Motion motion, Loading loading, FaceLayout layout) {
    List<WheelFigures> wheels =
        train.members().stream().flatMap(m -> WheelFigures.of(train, m).stream()).toList();
    List<MeshPlay> plays =
        train.meshes().stream()
            .flatMap(mesh -> MeshFigures.of(train, mesh).stream())
            .map(figures -> MeshPlay.of(train, figures))
            .toList();
    Torques torques = loading.flow().torques();
    boolean known = torques.status() == Torques.Status.DETERMINED;
    return new CutSheet(
        wheels,
        plays,
        Box.of(train, layout),
        LostMotion.of(train, plays, loading.ideal()),
        known ? Screening.of(train, motion, torques) : Screening.NONE,
        known ? Bearing.of(train, layout, torques) : List.of(),
        known ? Thrust.of(train, layout, torques) : List.of());
  }

  /** This sheet with the larger of its own loads and those of {@code other}, of the same train. */
  public CutSheet underBoth(CutSheet other) {
    return new CutSheet(
        wheels,
        plays,
        box,
        lostMotion.or(other::lostMotion),
        screening.underBoth(other.screening),
        both(
            bearings,
            other.bearings,
            Bearing::member,
            (here, there) -> here.force() < there.force() ? there : here),
        both(thrusts, other.thrusts, Thrust::member, Thrust::underBoth));
  }

  private static <T> List<T> both(
      List<T> here, List<T> there, Function<T, MemberId> whose, BinaryOperator<T> under) {
    List<T> all = new ArrayList<>(here);
    for (T next : there) {
      Optional<T> own =
          all.stream().filter(old -> whose.apply(old).equals(whose.apply(next))).findFirst();
      if (own.isEmpty()) {
        all.add(next);
      } else {
        all.set(all.indexOf(own.get()), under.apply(own.get(), next));
      }
    }
    return all;
  }
}
