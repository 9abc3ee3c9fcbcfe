package steadycog.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import steadycog.number.Measured;
import steadycog.number.Ratio;
import steadycog.number.Unit;
import steadycog.torque.Backwards;
import steadycog.torque.PowerFlow;
import steadycog.train.Drive;
import steadycog.train.MemberId;

/** What losses do to a train: it locks, holds itself, or gives more heat than work. */
final class LossRule implements Rule {
  /** Less than this comes out: more than half is heat. */
  private static final double HALF = 0.5;

  /** Losses this near to the tipping point, as a factor, leave open which side it falls to. */
  private static final double NEAR = 1.5;

  @Override
  public Needs needs() {
    return Needs.LOADING;
  }

  @Override
  public List<Finding> check(Subject subject) {
    List<Finding> found = new ArrayList<>();
    flow(subject).ifPresent(found::add);
    heat(subject).ifPresent(found::add);
    subject.loading().backwards().flatMap(back -> backwards(subject, back)).ifPresent(found::add);
    return found;
  }

  private static Optional<Finding> flow(Subject subject) {
    PowerFlow flow = subject.loading().flow();
    List<MemberId> ends = ends(subject);
    return switch (flow.verdict()) {
      case RUNS, OPEN, NONE -> Optional.empty();
      case LOWERS -> Optional.of(lowering(subject, flow));
      case LOCKS -> Optional.of(Finding.of("locks", Severity.ERROR, ends).with("ends", text(ends)));
      case SEVERAL ->
          Optional.of(
              Finding.of("several-flows", Severity.WARNING, ends)
                  .with("least", percent(flow.efficiencies().stream().min(Double::compare).get()))
                  .with("most", percent(flow.efficiencies().stream().max(Double::compare).get())));
      case IMPOSSIBLE -> Optional.of(Finding.of("no-flow", Severity.WARNING, ends));
      case UNTRIED -> Optional.of(Finding.of("untried-flow", Severity.WARNING, ends));
    };
  }

  /** A load that comes down: what the drive has to do for it. */
  private static Finding lowering(Subject subject, PowerFlow flow) {
    MemberId drive = subject.motion().mechanism().roles().drives().getFirst().member();
    double torque =
        flow.torques().external(drive).map(known -> Math.abs(known.doubleValue())).orElse(0.0);
    return Finding.of("lowering", Severity.NOTE, ends(subject))
        .with("drive", drive)
        .with("take", subject.motion().mechanism().roles().take().orElseThrow().member())
        .with("push", Measured.significant(torque, Unit.NM, 3));
  }

  private static List<MemberId> ends(Subject subject) {
    List<MemberId> ends =
        new ArrayList<>(
            subject.motion().mechanism().roles().drives().stream().map(Drive::member).toList());
    subject.motion().mechanism().roles().take().ifPresent(take -> ends.add(take.member()));
    return ends;
  }

  private static String text(List<MemberId> ends) {
    return String.join(" and ", ends.stream().map(MemberId::toString).toList());
  }

  /** Where more is lost than comes out, a higher ratio buys heat, not torque. */
  private static Optional<Finding> heat(Subject subject) {
    Optional<Double> efficiency = subject.loading().flow().efficiency();
    Optional<Ratio> ratio = subject.motion().ratio();
    if (efficiency.isEmpty() || efficiency.get() >= HALF || ratio.isEmpty()) {
      return Optional.empty();
    }
    double reduction = Math.abs(ratio.get().reduction().doubleValue());
    Finding finding =
        Finding.of("more-heat", Severity.WARNING, ends(subject))
            .with("efficiency", percent(efficiency.get()))
            .with("losses", losses(subject));
    return Optional.of(
        reduction > 1
            ? finding
                .with("ideal", rounded(reduction))
                .with("gain", rounded(reduction * efficiency.get()))
            : finding.worded("fast"));
  }

  /** Whose losses they are: people take assumed numbers for measured ones. */
  private static String losses(Subject subject) {
    return subject.train().losses().unstated()
        ? "losses assumed for cut and oiled gears"
        : "the stated losses";
  }

  private static Optional<Finding> backwards(Subject subject, Backwards back) {
    MemberId take = subject.motion().mechanism().roles().take().orElseThrow().member();
    Optional<Double> factor = back.tipping().map(Backwards.Tipping::factor);
    if (back.drivable().isEmpty() || factor.isEmpty()) {
      return Optional.empty();
    }
    boolean holds = !back.drivable().get();
    boolean near = factor.get() < NEAR && factor.get() > 1 / NEAR;
    if (!holds && !near) {
      return Optional.empty();
    }
    Finding finding =
        Finding.of("self-locking", Severity.NOTE, List.of(take))
            .with("take", take)
            .with("tips", shares(back.tipping().get()))
            .with("factor", String.format(Locale.ROOT, "%.2f", factor.get()));
    if (holds) {
      return Optional.of(near ? finding.worded("just") : finding);
    }
    return Optional.of(
        finding.worded("nearly").with("efficiency", percent(back.efficiency().orElse(0.0))));
  }

  private static String shares(Backwards.Tipping tipping) {
    String least = percent(tipping.least());
    String most = percent(tipping.most());
    return least.equals(most) ? least : least + " to " + most;
  }

  private static String percent(double share) {
    return String.format(Locale.ROOT, "%.1f %%", share * 100);
  }

  private static String rounded(double value) {
    return String.format(Locale.ROOT, value < 10 ? "%.1f" : "%.0f", value);
  }
}
