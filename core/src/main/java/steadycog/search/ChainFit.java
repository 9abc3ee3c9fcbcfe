package steadycog.search;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.shape.BevelPair;
import steadycog.train.Bevel;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Parallel;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Shaft;
import steadycog.train.StrainWave;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * How the wheels of a chain run together: pinions of few teeth are shifted outwards until no flank
 * is undercut. Between axes in line the mate is shifted as far inwards, so that the distance stays;
 * so is the ring that a pinion runs in.
 */
final class ChainFit {
  /** Further out than what undercut asks for, where interference asks for more, in tenths. */
  private static final List<Integer> MORE = List.of(0, 1, 2, 3);

  private ChainFit() {}

  /** The chain in the ways in which it may be free of errors, the least shifts first. */
  static List<Train> of(Train train) {
    boolean inLine = !train.coaxials().isEmpty();
    List<Train> ways = new ArrayList<>();
    for (int tenths : MORE) {
      Map<MemberId, BigFraction> shifts = shifts(train, tenths, inLine);
      Train shifted = train.withSizes(SetFit.shifted(train.sizes(), shifts));
      if (!ways.contains(shifted)) {
        ways.add(shifted);
      }
    }
    if (!ways.contains(train)) {
      ways.add(train);
    }
    return ways;
  }

  /** Shifts that leave the flanks of external wheels whole. */
  static Map<MemberId, BigFraction> againstUndercut(List<Member> wheels) {
    Map<MemberId, BigFraction> shifts = new LinkedHashMap<>();
    for (Member wheel : wheels) {
      Teeth teeth = wheel.teeth().orElseThrow();
      if (!teeth.internal()) {
        SetFit.againstUndercut(teeth.count()).ifPresent(x -> shifts.put(wheel.id(), x));
      }
    }
    return shifts;
  }

  private static Map<MemberId, BigFraction> shifts(Train train, int tenths, boolean inLine) {
    Map<MemberId, BigFraction> shifts = new LinkedHashMap<>();
    for (Part part : train.parts()) {
      switch (part) {
        case Parallel chain -> shift(chain, tenths, inLine, shifts);
        case Bevel _, Differential _ ->
            shift(BevelPair.of(train, part).orElseThrow(), tenths, shifts);
        case Planetary _, Cycloidal _, StrainWave _, Shaft _ -> {}
      }
    }
    return shifts;
  }

  /** The smaller gear's against undercut, which takes its mate back by as much. */
  private static void shift(BevelPair pair, int tenths, Map<MemberId, BigFraction> shifts) {
    BevelPair.Gear small = pair.isSmaller() ? pair.one() : pair.other();
    BigFraction x =
        SetFit.againstUndercut(small.virtualTeeth())
            .orElse(BigFraction.ZERO)
            .add(Exact.of(tenths, 10));
    if (x.signum() != 0) {
      shifts.put(pair.one().id(), pair.isSmaller() ? x : x.negate());
    }
  }

  private static void shift(
      Parallel chain, int tenths, boolean inLine, Map<MemberId, BigFraction> shifts) {
    shifts.putAll(againstUndercut(chain.members()));
    BigFraction more = Exact.of(tenths, 10);
    for (Mesh mesh : chain.meshes()) {
      MemberId pinion = mesh.pinion();
      MemberId gear = mesh.gear();
      if (tenths > 0 && !shifts.containsKey(gear)) {
        shifts.merge(pinion, more, BigFraction::add);
      }
      BigFraction x = shifts.getOrDefault(pinion, BigFraction.ZERO);
      if (x.signum() != 0 && mesh.internal()) {
        shifts.put(gear, x);
      } else if (x.signum() != 0 && inLine && !shifts.containsKey(gear)) {
        shifts.put(gear, x.negate());
      }
    }
  }
}
