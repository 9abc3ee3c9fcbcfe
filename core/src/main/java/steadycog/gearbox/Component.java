package steadycog.gearbox;

import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import org.jspecify.annotations.Nullable;
import steadycog.piece.Piece;
import steadycog.piece.Piece.Stand;
import steadycog.piece.Slab;
import steadycog.train.MemberId;

/**
 * One line of the bill, with where each of its pieces stands.
 *
 * @param piece its body; the member is that with which it turns, {@link Piece#FRAME} what stands
 *     still
 * @param size what it is called where it is bought, as {@code 608, 8 × 22 × 7}; empty of what is
 *     made
 * @param fastening whether it is screwed, pressed or tapped in, so that friction holds it
 */
public record Component(Piece piece, Optional<String> size, Optional<Fastening> fastening) {

  /**
   * What holds by friction.
   *
   * @param tied names of the components in which it sits
   * @param keeps whether they stay where they are until it is out; not what only stops it
   */
  public record Fastening(List<String> tied, boolean keeps) {
    public Fastening {
      tied = List.copyOf(tied);
    }
  }

  /** One line of a bill is told from another by identity: outlines are long to compare. */
  @Override
  public boolean equals(@Nullable Object other) {
    return this == other;
  }

  @Override
  public int hashCode() {
    return System.identityHashCode(this);
  }

  /** The same where its pieces are after the crank has been turned, by how much each member. */
  Component turned(ToDoubleFunction<MemberId> turned) {
    double own = member().equals(Piece.FRAME) ? 0 : turned.applyAsDouble(member());
    List<Stand> at = piece.stands().stream().map(stand -> stand.turned(own, turned)).toList();
    return new Component(piece.remade(name(), piece.slabs(), at), size, fastening);
  }

  /** Whether it is screwed, pressed or tapped into another. */
  boolean isIn(Component other) {
    return fastening.filter(tie -> tie.tied().contains(other.name())).isPresent();
  }

  /** A piece to be made that friction does not hold. */
  static Component made(Piece piece) {
    return new Component(piece, Optional.empty(), Optional.empty());
  }

  public boolean isBought() {
    return size.isPresent();
  }

  public String name() {
    return piece.name();
  }

  public MemberId member() {
    return piece.member();
  }

  public int count() {
    return piece.stands().size();
  }

  /** Volume of one of them, mm³. */
  public double volume(double chord) {
    double sum = 0;
    for (Slab slab : piece.slabs()) {
      sum += slab.region().area(chord).getArea() * (slab.to() - slab.from());
    }
    return sum;
  }
}
