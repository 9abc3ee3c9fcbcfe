package steadycog.cure;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import steadycog.check.Finding;
import steadycog.check.Inspection;
import steadycog.train.Bevel;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.MemberId;
import steadycog.train.Parallel;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Shaft;
import steadycog.train.StrainWave;
import steadycog.train.Train;

/** Which changes are tried for a finding; those of one part are made once for all its findings. */
final class Proposals {
  /** Findings that other roles put right, not other teeth. */
  private static final Set<String> OF_ROLES =
      Set.of(
          "jam",
          "floating",
          "no-drive",
          "no-take",
          "assumed-ends",
          "output-at-rest",
          "one-body",
          "torque-conflict");

  /** Findings that state what is so, or what no change of one card puts right. */
  private static final Set<String> OF_NOTHING =
      Set.of(
          "torque-split",
          "locks",
          "several-flows",
          "no-flow",
          "untried-flow",
          "more-heat",
          "self-locking",
          "feedback",
          "sensitivity",
          "idler",
          "differential-locked",
          "crown-side",
          "bevel-contact",
          "hypoid",
          "dead-wheel",
          "tall-planet",
          "clocked-planets",
          "ring-rim",
          "ring-wall",
          "collision",
          "unmade",
          "thrust",
          "helix-span",
          "bearing-life",
          "one-module");

  /** Findings about how teeth wind: other angles, hands and halves are all there is to them. */
  private static final Set<String> OF_HELIX =
      Set.of(
          "helix-groove",
          "helix-hands",
          "helix-steep",
          "helix-overlap",
          "herringbone-set",
          "thrust-adds");

  /** Findings that no count of teeth puts right. */
  private static final Set<String> OF_SIZES =
      Set.of(
          "tooth-strength",
          "rating",
          "shaft-strength",
          "bearing-bore",
          "shaft-steps",
          "least-play");

  /** Findings about counts and places alone: shifts and sizes are nothing to them. */
  private static final Set<String> OF_COUNTS =
      Set.of(
          "few-teeth",
          "ring-too-small",
          "assembly",
          "indexing",
          "no-sun",
          "hunting",
          "phasing",
          "stage-ratio",
          "one-planet",
          "two-planets",
          "uneven-balance",
          "spider-assembly",
          "lobe-count",
          "lobe-multiple");

  private final Inspection before;
  private final Train train;
  private final Map<Object, List<Trial>> made = new HashMap<>();

  Proposals(Inspection before) {
    this.before = before;
    this.train = before.train();
  }

  /** Everything that is tried. */
  List<Trial> of(Finding finding) {
    return Stream.concat(free(finding).stream(), counts(finding).stream()).toList();
  }

  /** Changes that leave every tooth count as it is. */
  List<Trial> free(Finding finding) {
    String code = finding.code();
    if (OF_NOTHING.contains(code)) {
      return List.of();
    }
    if (OF_ROLES.contains(code)) {
      return trials("roles", () -> new RoleChanges(train).all());
    }
    List<MemberId> members = finding.members();
    if (code.equals("tooth-strength") || code.equals("rating")) {
      return trials(members, () -> SizeChanges.strength(train, members.getFirst()));
    }
    if (code.equals("bearing-bore")) {
      return trials(List.of(code, members), () -> SizeChanges.bearing(train, members));
    }
    if (code.equals("shaft-strength")) {
      return trials(List.of(code, members), () -> SizeChanges.shaft(train, members));
    }
    if (OF_HELIX.contains(code)) {
      return trials(List.of(code, members), () -> new HelixChanges(train).of(code, members));
    }
    boolean sizes = !OF_COUNTS.contains(code);
    List<Trial> all = new ArrayList<>();
    for (Part part : parts(finding)) {
      all.addAll(trials(List.of("planets", part), () -> planets(part)));
      if (sizes) {
        all.addAll(trials(List.of("sizes", part), () -> sizes(part)));
      }
    }
    List<MemberId> onFixedAxes = onFixedAxes(finding);
    if (sizes && !onFixedAxes.isEmpty()) {
      all.addAll(
          trials(List.of("sizes", onFixedAxes), () -> new ChainChanges(train, onFixedAxes).free()));
    }
    if (code.equals("bore-wall")) {
      all.addAll(trials(List.of("bore", members), () -> SizeChanges.bores(train, members)));
    }
    if (code.equals("least-play")) {
      all.addAll(trials("flanks", () -> SizeChanges.flanks(train)));
    }
    if (code.equals("shaft-steps")) {
      return trials(List.of("seats", members), () -> SizeChanges.sameBore(train, members));
    }
    return all;
  }

  /** Changes of tooth counts. */
  List<Trial> counts(Finding finding) {
    String code = finding.code();
    if (OF_NOTHING.contains(code)
        || OF_ROLES.contains(code)
        || OF_SIZES.contains(code)
        || OF_HELIX.contains(code)) {
      return List.of();
    }
    List<Trial> all = new ArrayList<>();
    for (Part part : parts(finding)) {
      all.addAll(trials(List.of("counts", part), () -> counts(part)));
    }
    List<MemberId> onFixedAxes = onFixedAxes(finding);
    if (!onFixedAxes.isEmpty()) {
      all.addAll(
          trials(
              List.of("counts", onFixedAxes), () -> new ChainChanges(train, onFixedAxes).counts()));
    }
    return all;
  }

  private List<Change> planets(Part part) {
    return switch (part) {
      case Planetary set -> new SetChanges(train, set).planets();
      case Differential sides -> DriveChanges.spiders(train, sides);
      case Cycloidal drive -> DriveChanges.discs(train, drive);
      case Parallel chain -> List.of();
      case StrainWave drive -> List.of();
      case Bevel pair -> List.of();
      case Shaft shaft -> List.of();
    };
  }

  private List<Change> sizes(Part part) {
    return switch (part) {
      case Planetary set -> new SetChanges(train, set).shifts();
      case Cycloidal drive -> DriveChanges.sizes(train, drive);
      case StrainWave drive -> DriveChanges.walls(train, drive);
      case Parallel chain -> List.of();
      case Differential sides -> DriveChanges.bevels(train, sides);
      case Bevel pair -> DriveChanges.bevels(train, pair);
      case Shaft shaft -> List.of();
    };
  }

  private List<Change> counts(Part part) {
    return switch (part) {
      case Planetary set -> new SetChanges(train, set).counts();
      case Cycloidal drive -> DriveChanges.counts(train, drive);
      case StrainWave drive -> DriveChanges.counts(train, drive);
      case Differential sides -> DriveChanges.counts(train, sides);
      case Parallel chain -> List.of();
      case Bevel pair -> List.of();
      case Shaft shaft -> List.of();
    };
  }

  private List<MemberId> onFixedAxes(Finding finding) {
    return finding.members().stream().filter(member -> train.partOf(member).isChain()).toList();
  }

  private Set<Part> parts(Finding finding) {
    return finding.members().stream()
        .map(train::partOf)
        .collect(Collectors.toCollection(LinkedHashSet::new));
  }

  private List<Trial> trials(Object key, Supplier<List<Change>> changes) {
    return made.computeIfAbsent(
        key, none -> changes.get().stream().map(change -> new Trial(before, change)).toList());
  }
}
