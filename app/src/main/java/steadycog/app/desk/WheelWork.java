package steadycog.app.desk;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import steadycog.shape.PlanetGeometry;
import steadycog.shape.PlanetPlaces;
import steadycog.shape.Rims;
import steadycog.train.Bevel;
import steadycog.train.ChainEdit;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.Edited;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Parallel;
import steadycog.train.Part;
import steadycog.train.PartEdit;
import steadycog.train.PlanetRow;
import steadycog.train.Planetary;
import steadycog.train.SetEdit;
import steadycog.train.Shaft;
import steadycog.train.StrainWave;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * What is built on the drawing: wheels of chains, planets and discs, put in and taken out. Where a
 * change does not suit the member's kind of part, the train stays as it is.
 */
final class WheelWork {
  private static final int MESHED_TEETH = 36;
  private static final int KEYED_TEETH = 18;
  private static final int IDLER_TEETH = 24;
  private static final int FEWEST_IN_RING = 12;
  private static final int RIM_SPARE = 4;
  private static final int FURTHEST_STEP = 6;

  private WheelWork() {}

  /** A new wheel meshing with {@code member}; inside a ring one of a third of its teeth. */
  static Edited meshed(Train train, MemberId member) {
    int count =
        teeth(train, member)
            .filter(Teeth::internal)
            .map(ring -> Math.max(FEWEST_IN_RING, ring.count() / 3))
            .orElse(MESHED_TEETH);
    return canHaveRim(train, member)
        ? rimmed(train, member)
        : inChain(train, member, old -> ChainEdit.meshWith(old, member, Teeth.external(count)));
  }

  /** Whether {@code member} can carry a wheel on its outside: a ring, carrier or disc. */
  static boolean canHaveRim(Train train, MemberId member) {
    return switch (train.partOf(member)) {
      case Planetary set ->
          set.carrierId().equals(member)
              || teeth(train, member).filter(Teeth::internal).isPresent();
      case Cycloidal drive -> !drive.eccentricId().equals(member);
      case StrainWave drive -> drive.circularId().equals(member);
      case Differential sides -> sides.caseId().equals(member);
      case Parallel none -> false;
      case Bevel none -> false;
      case Shaft none -> false;
    };
  }

  /** Teeth round the member, as few as go round it, and a wheel beside them. */
  private static Edited rimmed(Train train, MemberId member) {
    int fewest = Rims.fewestTeeth(train, member);
    return PartEdit.rim(
        train, member, Teeth.external(fewest + RIM_SPARE), Teeth.external(IDLER_TEETH));
  }

  /** A new wheel keyed to the shaft of {@code member}. */
  static Edited keyed(Train train, MemberId member) {
    return inChain(train, member, old -> ChainEdit.keyTo(old, member, Teeth.external(KEYED_TEETH)));
  }

  /** An idler behind {@code member}. */
  static Edited withIdler(Train train, MemberId member) {
    return inChain(
        train, member, old -> ChainEdit.insertAfter(old, member, Teeth.external(IDLER_TEETH)));
  }

  /** Without a wheel of a chain, or the sun or ring of a set, where that leaves a train. */
  static Edited without(Train train, MemberId member) {
    Optional<Edited> fewer =
        switch (train.partOf(member)) {
          case Planetary set -> SetEdit.without(train, set, member);
          case Parallel _ -> ChainEdit.remove(train, member);
          case Cycloidal _, StrainWave _, Bevel _, Differential _, Shaft _ -> Optional.empty();
        };
    return fewer.orElseGet(() -> Edited.sameNames(train));
  }

  /** A second row for the planets of {@code member}'s set, where it has single planets in one. */
  static Edited withRow(Train train, MemberId member) {
    return train
        .partOf(member, Planetary.class)
        .filter(Planetary::takesRow)
        .map(set -> SetEdit.replacing(train, set, stepped(set)))
        .orElseGet(() -> Edited.sameNames(train));
  }

  /**
   * A row that closes at the centre distance of the first with planets that can be alike; its
   * planets as near to those of the first row as that allows.
   */
  private static Planetary stepped(Planetary set) {
    int planet = set.row().inner().count();
    int span = (int) Math.round(2 * new PlanetGeometry(set).innerRadius());
    for (int step = 1; step <= FURTHEST_STEP; step++) {
      for (int second : new int[] {planet - step, planet + step}) {
        if (second >= FEWEST_IN_RING) {
          Planetary two = set.withRows(List.of(set.row(), PlanetRow.of(0, second, span + second)));
          if (new PlanetPlaces(two).identical()) {
            return two;
          }
        }
      }
    }
    return set.withRows(List.of(set.row(), PlanetRow.of(0, planet, span + planet + set.count())));
  }

  private static Edited inChain(Train train, MemberId member, Function<Train, Edited> edit) {
    return train.partOf(member).isChain() ? edit.apply(train) : Edited.sameNames(train);
  }

  /** More or fewer planets on a carrier, or discs on an eccentric, within what it can hold. */
  static Train more(Train train, MemberId member, int step) {
    Part part = train.partOf(member);
    return train.withPart(
        switch (part) {
          case Planetary set ->
              set.withCount(Math.clamp(set.count() + step, 1, Planetary.MOST_PLANETS));
          case Cycloidal drive ->
              drive.sized(
                  drive
                      .sizes()
                      .withDiscs(
                          Math.clamp(drive.sizes().discs() + step, 1, Cycloidal.MOST_DISCS)));
          case Parallel chain -> chain;
          case StrainWave drive -> drive;
          case Bevel pair -> pair;
          case Differential sides ->
              sides.withSpiders(Math.clamp(sides.spiders() + step, 1, Differential.MOST_SPIDERS));
          case Shaft shaft -> shaft;
        });
  }

  private static Optional<Teeth> teeth(Train train, MemberId member) {
    return train.members().stream()
        .filter(candidate -> candidate.id().equals(member))
        .findFirst()
        .flatMap(Member::teeth);
  }
}
