package steadycog.study;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.check.Finding;
import steadycog.check.PlanChecks;
import steadycog.check.RatingFinding;
import steadycog.check.ShaftFindings;
import steadycog.motion.Motion;
import steadycog.number.Memo;
import steadycog.number.Mode;
import steadycog.number.Ratio;
import steadycog.number.Same;
import steadycog.shape.FaceLayout;
import steadycog.torque.Torques;
import steadycog.train.Duty;
import steadycog.train.Element;
import steadycog.train.Join;
import steadycog.train.MemberId;
import steadycog.train.ShiftPlan;
import steadycog.train.State;
import steadycog.train.Train;

/**
 * Every state of a train, worked out and compared with the next.
 *
 * @param elements brakes and clutches in the order of the plan
 * @param rows one a state, in the order of the plan
 * @param findings about the plan as a whole, worst first
 */
public record ShiftTable(
    Train train, List<Element> elements, List<Row> rows, List<Finding> findings) {

  /**
   * One state.
   *
   * @param torques one an element: the size of the torque that it takes or passes, ideal; empty
   *     where it is off or its torque does not follow
   * @param fastest the member that turns fastest for the speed of the first drive
   * @param step the ratio over that of the next state; empty for the last and where either has none
   * @param changes how many elements change at once on the way to the next state: the larger of
   *     those engaged and those released; 1 is a single swap. 0 for the last state
   */
  public record Row(
      State state,
      Study study,
      List<Optional<BigFraction>> torques,
      Optional<Motion.Fastest> fastest,
      Optional<BigFraction> step,
      int changes) {
    public Row {
      torques = List.copyOf(torques);
    }

    /** Whether a member turns at more than {@value PlanChecks#OVERSPEED} times the input. */
    public boolean overspeed() {
      return fastest.filter(one -> PlanChecks.isOverspeed(one.times())).isPresent();
    }

    public boolean jammed() {
      return study.motion().status() == Motion.Status.JAMMED;
    }

    /** Whether nothing reacts: the take-off floats. */
    public boolean neutral() {
      return study.mode().filter(mode -> mode == Mode.NEUTRAL).isPresent();
    }
  }

  /** The plan, the cut sheet and the report all ask for the states of one train. */
  private static final Memo<Same<Train, Train>, ShiftTable> LATEST =
      Memo.of(2, of -> workedOut(of.one()));

  public ShiftTable {
    elements = List.copyOf(elements);
    rows = List.copyOf(rows);
    findings = List.copyOf(findings);
  }

  /** Works every state out; the layout is shared, since it is the same in all of them. */
  public static ShiftTable of(Train train) {
    return LATEST.get(new Same<>(train, train));
  }

  private static ShiftTable workedOut(Train train) {
    List<State> states = train.shifts().states();
    List<Element> elements = train.shifts().elements();
    if (states.isEmpty()) {
      return new ShiftTable(train, elements, List.of(), List.of());
    }
    FaceLayout layout = FaceLayout.of(train.in(states.getFirst()));
    List<Study> studies = states.stream().map(state -> Study.of(train.in(state), layout)).toList();
    List<Row> rows = new ArrayList<>();
    for (int k = 0; k < states.size(); k++) {
      Study study = studies.get(k);
      boolean last = k + 1 == states.size();
      rows.add(
          new Row(
              states.get(k),
              study,
              torques(elements, states.get(k), study.torques()),
              study.motion().fastest(),
              last ? Optional.empty() : step(study, studies.get(k + 1)),
              last ? 0 : ShiftPlan.changes(states.get(k).engaged(), states.get(k + 1).engaged())));
    }
    List<Motion> motions = studies.stream().map(Study::motion).toList();
    List<Finding> findings = new ArrayList<>(PlanChecks.of(train, motions));
    Duty duty = train.sizes().duty();
    if (duty.asksRating() && !duty.shares().isEmpty()) {
      RatingFinding.of(Ratings.of(train, rows)).ifPresent(findings::add);
      findings.addAll(ShaftFindings.of(Ratings.shafts(train, rows)));
      findings.sort(Comparator.comparing(Finding::severity).reversed());
    }
    return new ShiftTable(train, elements, rows, findings);
  }

  private static Optional<BigFraction> step(Study from, Study to) {
    return from.ratio()
        .flatMap(high -> to.ratio().map(low -> high.reduction().divide(low.reduction())));
  }

  private static List<Optional<BigFraction>> torques(
      List<Element> elements, State state, Torques torques) {
    List<Optional<BigFraction>> all = new ArrayList<>();
    for (Element element : elements) {
      all.add(state.engaged().contains(element) ? torque(element, torques) : Optional.empty());
    }
    return all;
  }

  private static Optional<BigFraction> torque(Element element, Torques torques) {
    return switch (element) {
      case Element.Brake(MemberId member) -> torques.external(member).map(BigFraction::abs);
      case Element.Clutch(Join lock) -> torques.throughClutch(lock);
    };
  }

  /** The largest over the smallest ratio of states that turn the output the same way. */
  public Optional<BigFraction> spread() {
    List<BigFraction> forward =
        rows.stream()
            .flatMap(row -> row.study.ratio().stream())
            .map(Ratio::reduction)
            .filter(ratio -> ratio.signum() > 0)
            .sorted()
            .toList();
    return forward.size() < 2
        ? Optional.empty()
        : Optional.of(forward.getLast().divide(forward.getFirst()));
  }
}
