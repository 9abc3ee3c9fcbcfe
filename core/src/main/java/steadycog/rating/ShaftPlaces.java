package steadycog.rating;

import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import steadycog.piece.Blank;
import steadycog.piece.Levels;
import steadycog.rating.RatedShaft.Held;
import steadycog.shape.Drives;
import steadycog.shape.EdgeLayout;
import steadycog.shape.EdgeLayout.EdgeShaft;
import steadycog.shape.FaceLayout;
import steadycog.shape.Placed;
import steadycog.sizing.ToothPush;
import steadycog.train.BearingSize;
import steadycog.train.MemberId;
import steadycog.train.Planetary;
import steadycog.train.Train;

/** Where wheels and bearings lie along the axes, mm from the drive end, as pieces are made. */
final class ShaftPlaces {
  private final Train train;
  private final FaceLayout face;
  private final Levels levels;
  private final EdgeLayout edge;

  ShaftPlaces(Train train, FaceLayout face) {
    this.train = train;
    this.face = face;
    levels = Levels.of(train, face);
    edge = EdgeLayout.of(train, face, List.of());
  }

  List<EdgeShaft> shafts() {
    return edge.shafts();
  }

  /** Of everything together. */
  double height() {
    return levels.height();
  }

  /**
   * The bearings of a shaft: as stated, or at the walls where it goes there, else half a gap beside
   * what presses it. The middle of a set, which nothing presses, may lie beyond them.
   */
  Held held(EdgeShaft shaft, Predicate<MemberId> pressed) {
    for (MemberId wheel : shaft.members()) {
      Optional<BearingSize.Places> places =
          train.sizes().own(wheel).bearing().flatMap(BearingSize::places);
      if (places.isPresent()) {
        double from = middle(wheel);
        return new Held(
            from + places.get().first().inBase(), from + places.get().second().inBase(), true);
      }
    }
    boolean any = shaft.members().stream().anyMatch(pressed);
    double least = Double.MAX_VALUE;
    double most = -Double.MAX_VALUE;
    for (MemberId wheel : shaft.members()) {
      if (!any || pressed.test(wheel)) {
        double half = Blank.widthMm(train, wheel) / 2;
        least = Math.min(least, middle(wheel) - half);
        most = Math.max(most, middle(wheel) + half);
      }
    }
    double gap = Blank.ROW_GAP * Drives.moduleMm(train);
    return new Held(
        edge.isFree(shaft, false) ? Math.min(least, 0) - gap : least - gap / 2,
        edge.isFree(shaft, true) ? Math.max(most, levels.height()) + gap : most + gap / 2,
        false);
  }

  /** A pin is clamped where its planets begin, or held there and where they end. */
  Held pin(List<MemberId> planets, boolean bothEnds) {
    double from = Double.MAX_VALUE;
    double to = 0;
    for (MemberId planet : planets) {
      double begin = levels.from(face.wheel(planet).plane());
      from = Math.min(from, begin);
      to = Math.max(to, begin + Blank.widthMm(train, planet));
    }
    return new Held(from, bothEnds ? to : from, bothEnds);
  }

  /** The middle of what two meshing faces share; they begin in one plane. */
  double contact(ToothPush push) {
    double width =
        Math.min(Blank.widthMm(train, push.mesh().a()), Blank.widthMm(train, push.mesh().b()));
    return levels.from(face.wheel(push.wheel()).plane()) + width / 2;
  }

  /** Of a wheel or plate. */
  double middle(MemberId member) {
    Placed body =
        face.bodies().stream().filter(one -> one.id().equals(member)).findFirst().orElseThrow();
    double from = levels.from(body.plane());
    boolean plate =
        train.partOf(member, Planetary.class).isPresent() && train.member(member).teeth().isEmpty();
    return plate
        ? from - Blank.plateMm(train, member) / 2
        : from + Blank.widthMm(train, member) / 2;
  }
}
