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
}
