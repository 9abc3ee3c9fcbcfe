package steadycog.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import steadycog.piece.Shafts;
import steadycog.piece.Shafts.Seat;
import steadycog.shape.FaceLayout;
import steadycog.shape.Placed;
import steadycog.train.MemberId;

/**
 * What is keyed or joined sits on one shaft. Bores of several sizes ask for steps in it, and every
 * wheel must still get to its seat from one of its ends.
 */
final class ShaftRule implements Rule {

  @Override
  public Needs needs() {
    return Needs.LAYOUT;
  }

  @Override
  public List<Finding> check(Subject subject) {
    List<Finding> found = new ArrayList<>();
    for (List<Seat> seats : Shafts.stepped(subject.train())) {
      List<MemberId> members = seats.stream().map(Seat::member).toList();
      String bores =
          seats.stream()
              .map(seat -> seat.bore() + " in " + seat.member())
              .collect(Collectors.joining(", "));
      Optional<MemberId> trapped = trapped(along(subject.layout(), seats));
      Finding finding =
          Finding.of("shaft-steps", trapped.isPresent() ? Severity.ERROR : Severity.NOTE, members)
              .with("bores", bores);
      found.add(
          trapped.map(wheel -> finding.with("wheel", wheel).worded("trapped")).orElse(finding));
    }
    return found;
  }

  /** The seats in their order along the shaft. */
  private static List<Seat> along(FaceLayout layout, List<Seat> seats) {
    List<Seat> sorted = new ArrayList<>(seats);
    sorted.sort(
        Comparator.comparingInt(
            seat ->
                layout.bodies().stream()
                    .filter(body -> body.id().equals(seat.member()))
                    .mapToInt(Placed::plane)
                    .findFirst()
                    .orElse(0)));
    return sorted;
  }

  /** A wheel whose bore is smaller than a seat on its way from either end. */
  private static Optional<MemberId> trapped(List<Seat> seats) {
    for (int k = 1; k + 1 < seats.size(); k++) {
      double own = size(seats.get(k));
      double before = seats.subList(0, k).stream().mapToDouble(ShaftRule::size).max().orElse(0);
      double after =
          seats.subList(k + 1, seats.size()).stream().mapToDouble(ShaftRule::size).max().orElse(0);
      if (own < before && own < after) {
        return Optional.of(seats.get(k).member());
      }
    }
    return Optional.empty();
  }

  private static double size(Seat seat) {
    return seat.bore().size().inBase();
  }
}
