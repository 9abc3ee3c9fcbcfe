package steadycog.study;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.Motion;
import steadycog.motion.RatioBoard;
import steadycog.motion.RatioBoard.Configuration;
import steadycog.number.Mode;
import steadycog.torque.EachWay;
import steadycog.torque.MeshEfficiency;
import steadycog.torque.TorqueSolver;
import steadycog.torque.Torques;
import steadycog.train.Roles;
import steadycog.train.ShiftPlan;
import steadycog.train.Train;

/**
 * Every configuration of a train with what it asks of the member that is held.
 *
 * @param freedoms of the train with nothing held
 * @param whole whether there were not too many to list them all
 */
public record ConfigurationBoard(List<Row> rows, int freedoms, boolean whole) {
  /**
   * One configuration.
   *
   * @param reaction torque from outside on the (first) held member, or the size of that through the
   *     clutch that locks two, for one unit of drive torque; ideal. Empty where nothing is held or
   *     it does not follow
   * @param eachWay with the losses of the card, driven forwards and backwards
   * @param seldom whether the ratio is so near to 1 : 1 that it is seldom worth its parts
   */
  public record Row(
      Configuration configuration,
      Optional<BigFraction> reaction,
      EachWay eachWay,
      boolean seldom) {

    /** Whether {@code roles} put the train in this configuration. */
    public boolean isIn(Roles roles) {
      Roles own = configuration.in(Roles.NONE);
      return roles.drives().size() == 1
          && roles.drives().getFirst().member().equals(configuration.drive())
          && roles.take().filter(take -> take.member().equals(configuration.take())).isPresent()
          && roles.holds().equals(own.holds())
          && roles.locks().equals(own.locks());
    }
  }

  public ConfigurationBoard {
    rows = List.copyOf(rows);
  }

  /** Works out every configuration; see {@link RatioBoard#of} for the cost. */
  public static ConfigurationBoard of(Train whole) {
    Train train = whole.withShifts(ShiftPlan.NONE);
    RatioBoard board = RatioBoard.of(train);
    List<MeshEfficiency> meshes = MeshEfficiency.of(train);
    List<Row> rows = new ArrayList<>();
    for (int k = 0; k < board.configurations().size(); k++) {
      Configuration one = board.configurations().get(k);
      Motion motion = board.motions().get(k);
      EachWay eachWay = EachWay.of(motion, meshes).orElseThrow();
      rows.add(new Row(one, reaction(one, motion), eachWay, isSeldomUseful(one)));
    }
    return new ConfigurationBoard(rows, board.freedoms(), board.whole());
  }

  private static Optional<BigFraction> reaction(Configuration one, Motion motion) {
    if (one.holds().isEmpty() && one.lock().isEmpty()) {
      return Optional.empty();
    }

    Torques torques = TorqueSolver.solve(motion);
    return one.lock().isPresent()
        ? torques.throughClutch(one.lock().get())
        : torques.external(one.holds().getFirst());
  }

  private static boolean isSeldomUseful(Configuration one) {
    return one.ratio().mode() != Mode.DIRECT && one.ratio().isNearOne();
  }
}
