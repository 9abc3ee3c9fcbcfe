package steadycog.bench.rig;

import java.util.List;
import java.util.Optional;
import steadycog.bench.Miscounts;
import steadycog.bench.Miscounts.Miscount;
import steadycog.bench.Slip;
import steadycog.bench.rig.RigSettings.Fault;
import steadycog.motion.RatioBoard;
import steadycog.motion.RatioBoard.Configuration;
import steadycog.study.Study;
import steadycog.train.MemberId;
import steadycog.train.Train;

/**
 * A build that is not quite what its card says.
 *
 * @param train as it really is
 * @param fault which one was chosen; none where the train offers nothing of the kind
 * @param found what an inspection finds; empty where there is nothing
 */
record Faulty(Train train, Fault fault, Optional<String> found) {
  /** Other configurations whose ratios are larger than this are not taken. */
  private static final double LARGEST = 2000;

  /**
   * A build of {@code card} with a fault.
   *
   * @param choice not below 0; which of the possible ones
   */
  static Faulty of(Train card, Fault fault, int choice) {
    return switch (fault) {
      case NONE -> none(card);
      case MISCOUNT -> miscounted(card, choice);
      case WRONG_MEMBER -> held(card, choice);
      case SLIPPING -> new Faulty(card, fault, Optional.of("the clutch at the output slips"));
      case MISSED_COUNTS ->
          new Faulty(card, fault, Optional.of("the output's encoder misses counts"));
      case SURPRISE -> of(card, Fault.values()[choice % 5], choice / 5);
    };
  }

  private static Faulty none(Train card) {
    return new Faulty(card, Fault.NONE, Optional.empty());
  }

  private static Faulty miscounted(Train card, int choice) {
    List<Miscount> all =
        Miscounts.single(card, 1).stream().filter(one -> runs(one.train())).toList();
    if (all.isEmpty()) {
      return none(card);
    }
    Miscount one = all.get(choice % all.size());
    return new Faulty(one.train(), Fault.MISCOUNT, Optional.of("it has " + one.text()));
  }

  private static boolean runs(Train train) {
    return Study.of(train).loading().flow().verdict().known();
  }

  private static Faulty held(Train card, int choice) {
    Configuration now = own(card);
    List<Configuration> all =
        RatioBoard.of(card).configurations().stream()
            .filter(one -> one.lock().isEmpty() && !one.isLike(now))
            .filter(one -> Math.abs(one.ratio().reduction().doubleValue()) <= LARGEST)
            .filter(one -> !one.ratio().equals(now.ratio()))
            .filter(one -> runs(card.withRoles(one.in(card.rolesInForce()))))
            .toList();
    // The same drive and output with something else held is how hands slip.
    List<Configuration> near =
        all.stream()
            .filter(one -> one.drive().equals(now.drive()) && one.take().equals(now.take()))
            .toList();
    List<Configuration> chosen =
        near.isEmpty()
            ? all.stream().filter(one -> one.drive().equals(now.drive())).toList()
            : near;
    if (chosen.isEmpty()) {
      return none(card);
    }
    Configuration one = chosen.get(choice % chosen.size());
    return new Faulty(
        card.withRoles(one.in(card.rolesInForce())),
        Fault.WRONG_MEMBER,
        Optional.of(Slip.words(one)));
  }

  private static Configuration own(Train card) {
    Study study = Study.of(card);
    var roles = study.motion().mechanism().roles();
    MemberId drive = roles.drives().getFirst().member();
    return new Configuration(
        drive,
        roles.holds(),
        roles.take().orElseThrow().member(),
        roles.locks().stream().findFirst(),
        study.ratio().orElseThrow());
  }
}
