package steadycog.study;

import java.util.ArrayList;
import java.util.List;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Memo;
import steadycog.number.Same;
import steadycog.rating.Rating;
import steadycog.rating.Running;
import steadycog.torque.Torques;
import steadycog.train.Duty;
import steadycog.train.State;
import steadycog.train.Train;

/** The rating of a train in all its states, or as it is driven where it has none. */
public final class Ratings {
  /** The cut sheet, its rules and what-ifs ask for that of one train again and again. */
  private static final Memo<Same<Train, Train>, Rating> LATEST =
      Memo.of(2, of -> Rating.of(of.one(), runnings(of.one())));

  private Ratings() {}

  /** By the duty on the card; states of which no share is said share what is left of the time. */
  public static Rating of(Train train) {
    return LATEST.get(new Same<>(train, train));
  }

  /** The ways in which a train runs, each for its share of the time. */
  public static List<Running> runnings(Train train) {
    if (train.shifts().states().isEmpty()) {
      List<Running> all = new ArrayList<>();
      add(all, "", 1, Study.of(train));
      return all;
    }
    return runnings(train, ShiftTable.of(train).rows());
  }

  static Rating of(Train train, List<ShiftTable.Row> rows) {
    return Rating.of(train, runnings(train, rows));
  }

  private static List<Running> runnings(Train train, List<ShiftTable.Row> rows) {
    List<State> states = train.shifts().states();
    List<Running> all = new ArrayList<>();
    Duty duty = train.sizes().duty();
    double said = duty.shares().values().stream().mapToDouble(BigFraction::doubleValue).sum();
    long unsaid = states.stream().filter(s -> !duty.shares().containsKey(s.name())).count();
    double rest = unsaid == 0 ? 0 : Math.max(0, 1 - said) / unsaid;
    for (ShiftTable.Row row : rows) {
      BigFraction share = duty.shares().get(row.state().name());
      add(all, row.state().name(), share == null ? rest : share.doubleValue(), row.study());
    }
    return all;
  }

  private static void add(List<Running> all, String state, double share, Study study) {
    Torques torques = study.loading().flow().torques();
    if (torques.status() == Torques.Status.DETERMINED) {
      all.add(new Running(state, share, study.motion(), torques));
    }
  }
}
