package steadycog.train;

import java.util.List;
import java.util.Optional;

/** One gear set: its members, and what ties them together inside the set. */
public sealed interface Part permits Parallel {

  /** The name on the card, or "" for an unnamed part. */
  String name();

  /** Every member, in the order of the card. */
  List<Member> members();

  /** Every toothed contact, in the order of the card. */
  List<Mesh> meshes();

  /** Members keyed to one another inside the part. */
  List<Join> keyed();

  /**
   * What a card without {@code drive} and {@code take} means; empty where a hold must be chosen.
   */
  Optional<Ends> usualEnds();

  /** The same part with another tooth count on one of its wheels. */
  Part withTeeth(MemberId member, Teeth teeth);
}
