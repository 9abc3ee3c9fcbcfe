package steadycog.train;

import java.util.List;
import java.util.Optional;
import steadycog.number.Quantity;

/**
 * A thin toothed flexspline, pressed out of round by a wave generator so that its teeth meet those
 * of a rigid circular spline at each lobe and creep round by their difference.
 *
 * @param flex teeth of the flexspline
 * @param circular teeth of the circular spline, more than the flexspline's
 * @param lobes of the wave generator, usually 2
 * @param sizes whatever is stated of the flexspline
 */
public record StrainWave(String name, int flex, int circular, int lobes, Sizes sizes)
    implements Part {
  public static final int FEWEST_TEETH = 12;
  public static final int MOST_TEETH = 2_000;
  public static final int MOST_LOBES = 4;

  /** How the flexspline is closed at its back. */
  public enum Mount {
    /** By a bottom inwards, to a shaft: the shorter mount. */
    CUP,
    /** By a flange outwards: leaves a large bore through the middle. */
    HAT
  }

  /**
   * What is stated of the flexspline.
   *
   * @param wall thickness under the teeth; a hundredth of its diameter where not stated
   * @param allowable bending stress in MPa that the designer allows; empty where not stated
   */
  public record Sizes(Mount mount, Optional<Quantity> wall, Optional<Integer> allowable) {
    public static final int MOST_MPA = 5_000;
    public static final Sizes USUAL = new Sizes(Mount.CUP, Optional.empty(), Optional.empty());

    public Sizes {
      wall.ifPresent(length -> Cycloidal.requireLength("wall", length));
      allowable.ifPresent(
          stress -> {
            if (stress < 1 || stress > MOST_MPA) {
              throw new IllegalArgumentException(
                  "allow " + stress + " MPa: expected 1 to " + MOST_MPA);
            }
          });
    }

    public Sizes withWall(Quantity changed) {
      return new Sizes(mount, Optional.of(changed), allowable);
    }
  }

  public StrainWave {
    if (flex < FEWEST_TEETH || flex >= MOST_TEETH) {
      throw new IllegalArgumentException(
          "flex " + flex + ": expected " + FEWEST_TEETH + " to " + (MOST_TEETH - 1));
    }
    if (circular <= flex || circular > MOST_TEETH) {
      throw new IllegalArgumentException(
          "circular " + circular + ": expected more teeth than the flexspline's " + flex);
    }
    if (lobes < 2 || lobes > MOST_LOBES) {
      throw new IllegalArgumentException("lobes " + lobes + ": expected 2 to " + MOST_LOBES);
    }
  }

  /** The drive whose ratio is {@code -nominal} with the circular spline held: a tooth a lobe. */
  public static StrainWave nominal(String name, int nominal, int lobes, Sizes sizes) {
    return new StrainWave(name, nominal * lobes, (nominal + 1) * lobes, lobes, sizes);
  }

  /** How many teeth the circular spline has more. */
  public int difference() {
    return circular - flex;
  }

  public MemberId waveId() {
    return new MemberId(name, "wave");
  }

  public MemberId flexId() {
    return new MemberId(name, "flex");
  }

  public MemberId circularId() {
    return new MemberId(name, "circular");
  }

  public StrainWave sized(Sizes changed) {
    return new StrainWave(name, flex, circular, lobes, changed);
  }

  /** The same drive with other counts. */
  public StrainWave counted(int flexTeeth, int circularTeeth) {
    return new StrainWave(name, flexTeeth, circularTeeth, lobes, sizes);
  }

  @Override
  public StrainWave named(String changed) {
    return new StrainWave(changed, flex, circular, lobes, sizes);
  }

  @Override
  public List<Member> members() {
    return List.of(
        new Member(waveId(), Optional.empty()),
        new Member(flexId(), Optional.of(Teeth.external(flex))),
        new Member(circularId(), Optional.of(Teeth.internal(circular))));
  }

  @Override
  public List<Mesh> meshes() {
    return List.of(
        new Mesh(
            flexId(),
            Teeth.external(flex),
            circularId(),
            Teeth.internal(circular),
            Optional.of(waveId())));
  }

  @Override
  public List<Join> inLine() {
    return List.of(new Join(waveId(), flexId()), new Join(waveId(), circularId()));
  }

  @Override
  public List<MemberId> shafts() {
    return List.of(waveId(), flexId(), circularId());
  }

  @Override
  public MeshKind kind(Mesh mesh) {
    return MeshKind.STRAIN_WAVE;
  }

  @Override
  public boolean involute() {
    return false;
  }

  /** A changed flexspline takes the circular spline along at the same difference. */
  @Override
  public StrainWave withTeeth(MemberId member, Teeth teeth) {
    if (member.equals(flexId())) {
      int kept = Math.clamp(teeth.count(), FEWEST_TEETH, MOST_TEETH - difference());
      return counted(kept, kept + difference());
    }
    if (member.equals(circularId())) {
      return counted(flex, Math.clamp(teeth.count(), flex + 1, MOST_TEETH));
    }
    throw new IllegalArgumentException(member + " has no teeth");
  }
}
