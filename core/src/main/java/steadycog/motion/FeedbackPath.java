package steadycog.motion;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.number.Memo;
import steadycog.number.Same;
import steadycog.train.Drive;
import steadycog.train.Join;
import steadycog.train.MemberId;
import steadycog.train.Part;
import steadycog.train.Roles;
import steadycog.train.Take;
import steadycog.train.Train;

/**
 * A path of wheels on fixed axes that gears the second input of a summing set from the first, so
 * that a train of two freedoms has one again: its output is a fixed fraction of the input at every
 * speed (Müller, <i>Epicyclic Drive Trains</i>, coupled gears).
 *
 * @param path the part that closes the loop
 * @param input the drive
 * @param second the member that would be a second input without the path
 * @param gearing turns of {@code second} for one turn of the input, through the path
 * @param a turns of the output for one turn of the input while {@code second} stands
 * @param b turns of the output for one turn of {@code second} while the input stands
 */
public record FeedbackPath(
    Part path,
    MemberId input,
    MemberId second,
    MemberId output,
    BigFraction gearing,
    BigFraction a,
    BigFraction b) {
  /** A rule, the panels and the files all ask for that of one train. */
  private static final Memo<Same<Train, Motion>, Optional<FeedbackPath>> LATEST =
      Memo.of(8, of -> find(of.one(), of.other()));

  /** Turns of the output for one turn of the input: a + b times the gearing. */
  public BigFraction outputPerInput() {
    return a.add(b.multiply(gearing));
  }

  /** The first such path of a train that turns in one way; empty where there is none. */
  public static Optional<FeedbackPath> of(Train train, Motion motion) {
    return LATEST.get(new Same<>(train, motion));
  }

  private static Optional<FeedbackPath> find(Train train, Motion motion) {
    Roles roles = motion.mechanism().roles();
    if (motion.status() != Motion.Status.DETERMINED
        || motion.freedoms() != 1
        || roles.drives().size() != 1
        || roles.take().isEmpty()
        || train.parts().size() < 2) {
      return Optional.empty();
    }
    return train.parts().stream()
        .filter(FeedbackPath::onFixedAxes)
        .flatMap(part -> opened(train, motion, part).stream())
        .findFirst();
  }

  private static boolean onFixedAxes(Part part) {
    return !part.meshes().isEmpty()
        && part.meshes().stream().allMatch(mesh -> mesh.carrier().isEmpty());
  }

  /** Takes {@code part} away and looks whether two freedoms are left that both reach the output. */
  private static Optional<FeedbackPath> opened(Train train, Motion closed, Part part) {
    Map<MemberId, MemberId> outside = outside(train, part);
    Roles roles = closed.mechanism().roles();
    MemberId input = roles.drives().getFirst().member();
    MemberId output = roles.take().orElseThrow().member();
    MemberId drive = outside.getOrDefault(input, input);
    MemberId take = outside.getOrDefault(output, output);
    if (drive.part().equals(part.name()) || take.part().equals(part.name())) {
      return Optional.empty();
    }
    Train rest;
    try {
      Roles alone =
          new Roles(
              List.of(Drive.of(drive)), roles.holds(), Optional.of(Take.of(take)), roles.locks());
      rest = train.withRoles(alone).without(part);
    } catch (IllegalArgumentException nothingLeftOrTwoRoles) {
      return Optional.empty();
    }
    Motion open = MotionSolver.solve(Mechanism.of(rest));
    if (open.freedoms() != 2 || !open.floating().contains(take)) {
      return Optional.empty();
    }
    return outside.values().stream()
        .filter(open.floating()::contains)
        .filter(second -> !second.equals(take))
        .flatMap(second -> summing(rest, closed, part, drive, second, take).stream())
        .findFirst();
  }

  private static Optional<FeedbackPath> summing(
      Train rest, Motion closed, Part part, MemberId drive, MemberId second, MemberId take) {
    Roles both =
        new Roles(
            List.of(Drive.of(drive), Drive.of(second)),
            rest.roles().holds(),
            rest.roles().take(),
            rest.roles().locks());
    Motion motion = MotionSolver.solve(Mechanism.of(rest.withRoles(both)));
    Optional<List<BigFraction>> shares = motion.perDrive().get(motion.mechanism().indexOf(take));
    Optional<BigFraction> gearing = closed.turnsPerInputTurn(second);
    if (shares.isEmpty() || gearing.isEmpty() || shares.get().stream().anyMatch(Exact::isZero)) {
      return Optional.empty();
    }
    return Optional.of(
        new FeedbackPath(
            part,
            drive,
            second,
            take,
            gearing.get(),
            shares.get().getFirst(),
            shares.get().getLast()));
  }

  /** Members of {@code part} with a member of another part that each is joined to. */
  private static Map<MemberId, MemberId> outside(Train train, Part part) {
    Map<MemberId, MemberId> outside = new HashMap<>();
    for (Join join : train.joins()) {
      boolean ofA = join.a().part().equals(part.name());
      boolean ofB = join.b().part().equals(part.name());
      if (ofA != ofB) {
        outside.put(ofA ? join.a() : join.b(), ofA ? join.b() : join.a());
      }
    }
    for (Join keyed : part.keyed()) {
      if (outside.containsKey(keyed.a())) {
        outside.putIfAbsent(keyed.b(), outside.get(keyed.a()));
      } else if (outside.containsKey(keyed.b())) {
        outside.put(keyed.a(), outside.get(keyed.b()));
      }
    }
    return outside;
  }
}
