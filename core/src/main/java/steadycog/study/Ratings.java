package steadycog.study;

import java.util.ArrayList;
import java.util.List;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Memo;
import steadycog.number.Same;
import steadycog.rating.Rating;
import steadycog.rating.Running;
import steadycog.rating.ShaftRating;
import steadycog.shape.FaceLayout;
import steadycog.train.Duty;
import steadycog.train.State;
import steadycog.train.Train;

/** The rating of a train in all its states, or as it is driven where it has none. */
public final class Ratings {
  /** The cut sheet, its rules and what-ifs ask for that of one train again and again. */
  private static final Memo<Same<Train, Train>, Rating> LATEST =
      Memo.of(2, of -> Rating.of(of.one(), runnings(of.one())));

  private static final Memo<Same<Train, Train>, Ways> WAYS = Memo.of(2, of -> Ways.of(of.one()));

  private static final Memo<Same<Train, Train>, ShaftRating> SHAFTS =
      Memo.of(2, of -> shafts(WAYS.get(of)));

  /** How a train runs, and where its wheels stand. */
  private record Ways(Train train, FaceLayout layout, List<Running> runnings) {
    static Ways of(Train train) {
      if (!train.shifts().states().isEmpty()) {
        return of(train, ShiftTable.of(train).rows());
      }
      Study study = Study.of(train);
      List<Running> all = new ArrayList<>();
      add(all, "", 1, study);
      return new Ways(train, study.layout(), all);
    }

    static Ways of(Train train, List<ShiftTable.Row> rows) {
      return new Ways(train, rows.getFirst().study().layout(), Ratings.runnings(train, rows));
    }
  }

  private Ratings() {}

  /** By the duty on the card; states of which no share is said share what is left of the time. */
  public static Rating of(Train train) {
    return LATEST.get(new Same<>(train, train));
  }

  /** Its shafts, pins and bearings in the same states. */
  public static ShaftRating shafts(Train train) {
    return SHAFTS.get(new Same<>(train, train));
  }

  static ShaftRating shafts(Train train, List<ShiftTable.Row> rows) {
    return shafts(Ways.of(train, rows));
  }

  private static ShaftRating shafts(Ways ways) {
    return ShaftRating.of(ways.train, ways.layout, ways.runnings);
  }

  /** The ways in which a train runs, each for its share of the time. */
  public static List<Running> runnings(Train train) {
    return WAYS.get(new Same<>(train, train)).runnings;
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
    Running.of(state, share, study.motion(), study.loading()).ifPresent(all::add);
  }
}
