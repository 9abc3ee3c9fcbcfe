package steadycog.notation;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import steadycog.notation.Statement.BadStatement;
import steadycog.train.MemberId;
import steadycog.train.Part;

/**
 * Finds the member that a word on the card means: exact, else in any case, else by bare name, else
 * the one member of a part of that name.
 */
final class MemberNames {
  private static final int MOST_LISTED = 12;

  private final List<MemberId> all = new ArrayList<>();
  private final List<MemberId> alone = new ArrayList<>();

  MemberNames(List<Part> parts) {
    for (Part part : parts) {
      part.members().forEach(member -> all.add(member.id()));
      if (part.members().size() == 1) {
        alone.add(part.members().getFirst().id());
      }
    }
  }

  MemberId read(Statement statement) throws BadStatement {
    Token token = statement.expectWord("a member: " + listed());
    Optional<MemberId> found = find(token.text());
    if (found.isPresent()) {
      return found.get();
    }
    List<MemberId> bare = bare(token.text());
    if (bare.size() > 1) {
      throw Statement.unexpected(
          token, "the part as well: " + bare.getFirst() + " or " + bare.get(1));
    }
    throw Statement.unexpected(token, "a member: " + listed());
  }

  /** The one member that {@code word} means, if it means one. */
  Optional<MemberId> find(String word) {
    List<MemberId> exact = all.stream().filter(id -> id.toString().equals(word)).toList();
    List<MemberId> anyCase =
        all.stream().filter(id -> id.toString().equalsIgnoreCase(word)).toList();
    List<MemberId> byPart = alone.stream().filter(id -> id.part().equalsIgnoreCase(word)).toList();
    return Stream.of(exact, anyCase, bare(word), byPart)
        .filter(found -> found.size() == 1)
        .findFirst()
        .map(List::getFirst);
  }

  private List<MemberId> bare(String word) {
    return all.stream().filter(id -> id.name().equalsIgnoreCase(word)).toList();
  }

  private String listed() {
    if (all.size() <= MOST_LISTED) {
      return String.join(", ", all.stream().map(MemberId::toString).toList());
    }
    return all.getFirst() + ", " + all.get(1) + " … " + all.getLast();
  }
}
