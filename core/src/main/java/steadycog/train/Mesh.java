package steadycog.train;

import java.util.Optional;

/**
 * Teeth of two members in contact on a carrier: {@code Na(wa - wc) + s Nb(wb - wc) = 0} with s = +1
 * external, -1 internal (Willis equation of one mesh; Müller, <i>Epicyclic Drive Trains</i>).
 *
 * @param carrier the member in whose frame both axes stand still; empty for the frame of the
 *     machine
 * @param alike whether both turn the same way although neither is internal: bevel gears, each
 *     looked at from its own end
 */
public record Mesh(
    MemberId a, Teeth teethA, MemberId b, Teeth teethB, Optional<MemberId> carrier, boolean alike) {

  public Mesh {
    if (teethA.internal() && teethB.internal()) {
      throw new IllegalArgumentException("two internal wheels cannot mesh: " + a + ", " + b);
    }
  }

  /** Teeth on parallel axes. */
  public Mesh(MemberId a, Teeth teethA, MemberId b, Teeth teethB, Optional<MemberId> carrier) {
    this(a, teethA, b, teethB, carrier, false);
  }

  /** The sign s of Willis's equation: -1 where both wheels turn the same way, else +1. */
  public int sign() {
    return internal() || alike ? -1 : 1;
  }

  public boolean internal() {
    return teethA.internal() || teethB.internal();
  }

  /**
   * Twice the standard centre distance in modules: the sum of the teeth, of an internal mesh the
   * ring's less the pinion's.
   */
  public int span() {
    int pinion = teeth(pinion()).count();
    int gear = teeth(gear()).count();
    return internal() ? gear - pinion : gear + pinion;
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
