package steadycog.cure;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.check.Subject;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.piece.Blank;
import steadycog.sizing.MeshFigures;
import steadycog.sizing.Thrust;
import steadycog.torque.Torques;
import steadycog.train.Built;
import steadycog.train.Helices;
import steadycog.train.Helix;
import steadycog.train.MemberId;
import steadycog.train.Sizes;
import steadycog.train.Train;
import steadycog.train.WheelSize;

/** Changes of how teeth wind, and of how wheels come to their places. */
final class HelixChanges {
  private static final List<Integer> SMALLER = List.of(35, 30, 25, 20, 15);

  private final Train train;
  private final Sizes sizes;

  HelixChanges(Train train) {
    this.train = train;
    this.sizes = train.sizes();
  }

  /** What is tried for a finding of that code about those wheels. */
  List<Change> of(String code, List<MemberId> members) {
    return switch (code) {
      case "helix-hands" -> List.of(unsaid(members.getLast()), unsaid(members.getFirst()));
      case "helix-groove" -> List.of(without());
      case "helix-steep" -> SMALLER.stream().map(this::notAbove).toList();
      case "helix-overlap" -> wider(members).stream().toList();
      case "herringbone-set" -> herringbones(members);
      case "thrust-adds" -> opposed(members);
      default -> List.of();
    };
  }

  private Change unsaid(MemberId wheel) {
    WheelSize own = sizes.own(wheel);
    return Change.sized(
        "helix " + wheel + " " + own.helix().map(Helix::toString).orElse("") + " left out",
        train.withSizes(sizes.with(wheel, own.withHelix(Optional.empty()))));
  }

  private Change without() {
    return Change.sized(
        "no groove", wound(helix -> new Helix(helix.degrees(), helix.hand(), helix.doubled())));
  }

  private Change notAbove(int degrees) {
    BigFraction most = BigFraction.of(degrees);
    return Change.sized(
            "helix at most " + degrees + " deg",
            wound(helix -> helix.degrees().compareTo(most) > 0 ? helix.at(most) : helix))
        .worth(1 + 1.0 / degrees);
  }

  private Train wound(UnaryOperator<Helix> how) {
    Sizes all = sizes.withCommon(wound(sizes.common(), how));
    for (MemberId wheel : sizes.wheels().keySet()) {
      all = all.with(wheel, wound(sizes.own(wheel), how));
    }
    return train.withSizes(all);
  }

  private static WheelSize wound(WheelSize size, UnaryOperator<Helix> how) {
    return size.withHelix(size.helix().map(how));
  }

  /** Both faces of a pair as wide as an axial pitch of it. */
  private Optional<Change> wider(List<MemberId> pair) {
    return train.meshes().stream()
        .filter(mesh -> mesh.touches(pair.getFirst()) && mesh.touches(pair.getLast()))
        .findFirst()
        .flatMap(mesh -> MeshFigures.of(train, mesh))
        .map(
            mesh -> {
              double face = mesh.winding().faceNeeded();
              Quantity width = Quantity.of(String.valueOf((int) Math.ceil(face)), Unit.MM);
              Sizes all = sizes;
              List<String> words = new ArrayList<>();
              for (MemberId wheel : pair) {
                if (Blank.widthMm(train, wheel) < face) {
                  all = all.with(wheel, all.own(wheel).withWidth(Optional.of(width)));
                  words.add("width " + wheel + " " + width);
                }
              }
              return Change.sized(String.join(", ", words), train.withSizes(all));
            });
  }

  /**
   * Of two wheels on a shaft one wound so that it takes up what the other presses, or at least
   * wound against it.
   */
  private List<Change> opposed(List<MemberId> pair) {
    Torques torques = Subject.of(train).loading().flow().torques();
    List<Change> all = new ArrayList<>();
    for (Thrust one : Thrust.ofShafts(train, torques)) {
      one.cancelling()
          .filter(way -> pair.equals(List.of(way.other(), way.wheel())))
          .ifPresent(
              way -> {
                Helix now = Helices.of(train, way.wheel());
                all.add(wound(way.wheel(), way.helix()).worth(1));
                all.add(
                    wound(way.wheel(), new Helix(now.degrees(), way.helix().hand(), false))
                        .worth(1.1));
              });
    }
    return all;
  }

  private Change wound(MemberId wheel, Helix helix) {
    return Change.sized(
        "helix " + wheel + " " + helix, Helices.with(train, wheel, Optional.of(helix)));
  }

  /** One of them in two halves, the ring before all; all in place; one hand. */
  private List<Change> herringbones(List<MemberId> members) {
    List<Change> all = new ArrayList<>();
    for (MemberId wheel : members.reversed()) {
      all.add(
          Change.sized(
                  "build " + wheel + " " + Built.HALVES,
                  train.withSizes(
                      sizes.with(wheel, sizes.own(wheel).withBuilt(Optional.of(Built.HALVES)))))
              .worth(1 + all.size() / 10.0));
    }
    all.add(
        Change.sized(
                "build " + Built.PLACE,
                train.withSizes(
                    sizes.withCommon(sizes.common().withBuilt(Optional.of(Built.PLACE)))))
            .worth(2));
    all.add(
        Change.sized(
                "helix without double",
                wound(helix -> new Helix(helix.degrees(), helix.hand(), false)))
            .worth(3));
    return all;
  }
}
