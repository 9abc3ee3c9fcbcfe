package steadycog.notation;

import static steadycog.notation.Follows.Whom.MEMBER;
import static steadycog.notation.Follows.Whom.MESH;
import static steadycog.notation.Follows.Whom.NOBODY;
import static steadycog.number.Unit.Dimension.FORCE;
import static steadycog.number.Unit.Dimension.LENGTH;
import static steadycog.number.Unit.Dimension.POWER;
import static steadycog.number.Unit.Dimension.SPEED;
import static steadycog.number.Unit.Dimension.STRESS;
import static steadycog.number.Unit.Dimension.TORQUE;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import steadycog.notation.Statement.BadStatement;

/** The words that statements begin with, beside those of parts. */
enum Verb {
  DRIVE(Follows.of(MEMBER, List.of("motor"), SPEED, TORQUE, POWER)),
  HOLD(Follows.MEMBERS),
  TAKE(Follows.of(MEMBER, List.of(), TORQUE, POWER)),
  LOCK(Follows.MEMBERS),
  JOIN(Follows.MEMBERS),
  COAXIAL(Follows.MEMBERS),
  BRAKE(Follows.MEMBERS),
  CLUTCH(Follows.MEMBERS),
  /** Roles follow its name, parted by {@code ;}: each begins with a verb of its own. */
  STATE(Follows.NOTHING),
  PLACE(Follows.of(MEMBER, List.of("deg"))),
  EFFICIENCY(Follows.of(MESH, Follows.LOSSES)),
  FRICTION(Follows.NOTHING),
  MODULE(Follows.of(MEMBER, List.of(), LENGTH)),
  DP(Follows.MEMBERS),
  ANGLE(Follows.of(NOBODY, List.of("deg", "stub"))),
  HELIX(Follows.of(MEMBER, List.of("deg", "double", "groove", "left", "right"), LENGTH)),
  BUILD(Follows.of(MEMBER, List.of("in", "halves", "place"))),
  WIDTH(Follows.of(MEMBER, List.of(), LENGTH)),
  SHIFT(Follows.MEMBERS),
  BORE(Follows.of(MEMBER, List.of("flat", "hex", "key"), LENGTH)),
  CLEARANCE(Follows.of(NOBODY, Follows.CLEARANCES, LENGTH)),
  OFFSET(Follows.of(MEMBER, List.of(), LENGTH)),
  MATERIAL(Follows.of(MEMBER, Follows.MATERIALS, STRESS)),
  DISTANCE(Follows.of(MESH, List.of(), LENGTH)),
  SHARING(Follows.NOTHING),
  TOLERANCE(Follows.of(MESH, Follows.TOLERANCES, LENGTH)),
  TOOL(Follows.MEMBERS),
  SHAFTING(Follows.of(MEMBER, Follows.SHAFTINGS, STRESS)),
  BEARING(Follows.of(MEMBER, List.of("rating", "at"), FORCE, LENGTH)),
  GEOMETRY(Follows.of(MEMBER, List.of("J", "I"))),
  HARDNESS(Follows.of(MEMBER, List.of("HB"))),
  RATING(Follows.of(NOBODY, Follows.RATINGS)),
  DUTY(Follows.NOTHING),
  HOUSING(Follows.of(NOBODY, Follows.HOUSINGS, LENGTH)),
  MOTOR(Follows.of(NOBODY, List.of("face"), LENGTH)),
  LEAVE(Follows.of(NOBODY, List.of("out")));

  private final Follows follows;

  Verb(Follows follows) {
    this.follows = follows;
  }

  String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  Follows follows() {
    return follows;
  }

  /** Whether it says what a member does; only such stand in a state. */
  boolean isRole() {
    return compareTo(LOCK) <= 0;
  }

  /** Whether it says how large, how exact or of what wheels are, a module aside. */
  boolean isSize() {
    return compareTo(ANGLE) >= 0;
  }

  static Optional<Verb> of(Token token) {
    return Arrays.stream(values()).filter(verb -> token.is(verb.word())).findFirst();
  }

  static boolean isVerb(Token token) {
    return of(token).isPresent();
  }

  static BadStatement unknown(Token token) {
    List<String> words = Arrays.stream(values()).map(Verb::word).toList();
    String all = String.join(", ", words.subList(0, words.size() - 1)) + " or " + words.getLast();
    return Statement.unexpected(token, "a part (" + kinds() + ") or " + all);
  }

  static String kinds() {
    List<String> all = new ArrayList<>();
    for (PartText.Kind kind : PartText.Kind.values()) {
      all.add(kind.keyword());
    }
    return String.join(", ", all);
  }
}
