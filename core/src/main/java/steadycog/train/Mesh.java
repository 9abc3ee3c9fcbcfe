package steadycog.train;

import java.util.Optional;

/**
 * Teeth of two members in contact on a carrier: {@code Na(wa - wc) + s Nb(wb - wc) = 0} with s = +1
 * external, -1 internal (Willis equation of one mesh; Müller, <i>Epicyclic Drive Trains</i>).
 *
 * @param carrier the member in whose frame both axes stand still; empty for the frame of the
 *     machine
 */
public record Mesh(MemberId a, Teeth teethA, MemberId b, Teeth teethB, Optional<MemberId> carrier) {

  public Mesh {
    if (teethA.internal() && teethB.internal()) {
      throw new IllegalArgumentException("two internal wheels cannot mesh: " + a + ", " + b);
    }
  }

  public boolean internal() {
    return teethA.internal() || teethB.internal();
  }

  public boolean touches(MemberId member) {
    return a.equals(member) || b.equals(member);
  }

  /** The wheel that {@code member}, one of the two, meshes with. */
  public MemberId other(MemberId member) {
    return a.equals(member) ? b : a;
  }

  /** The teeth of {@code member}, one of the two. */
  public Teeth teeth(MemberId member) {
    return a.equals(member) ? teethA : teethB;
  }

  /**
   * The smaller of two external wheels, the first where they are equal; the wheel inside a ring.
   */
  public MemberId pinion() {
    boolean aIsPinion = internal() ? teethB.internal() : teethA.count() <= teethB.count();
    return aIsPinion ? a : b;
  }

  /** The wheel that is not the pinion. */
  public MemberId gear() {
    return other(pinion());
  }
}
