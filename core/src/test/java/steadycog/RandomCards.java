package steadycog;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.Supplier;
import steadycog.notation.Card;
import steadycog.notation.CardException;

/**
 * Cards of every kind as people in a hurry write them: mostly sensible, often a little off, now and
 * then absurd. What they all have in common is that the notation takes them.
 */
public final class RandomCards {
  private final Random random;
  private final StringBuilder text = new StringBuilder();

  private RandomCards(Random random) {
    this.random = random;
  }

  /** A card that can be read. */
  public static Card next(Random random) {
    while (true) {
      try {
        return Card.read(new RandomCards(random).write());
      } catch (CardException another) {
        // Two roles on one member, a bore larger than its flat: the reader's tests are elsewhere.
      }
    }
  }

  private String write() throws CardException {
    int parts = oneIn(4) ? 2 + random.nextInt(2) : 1;
    for (int k = 0; k < parts; k++) {
      line((parts == 1 ? "" : (char) ('a' + k) + ": ") + part());
    }
    List<String> members = new ArrayList<>();
    Card.read(text.toString()).train().members().forEach(m -> members.add(m.id().toString()));
    for (int k = 1; k < parts; k++) {
      String join = "join " + pick(members) + " = " + pick(members);
      line(join);
      if (oneIn(8)) {
        line(join);
      }
    }
    sizes(members);
    losses();
    roles(members);
    return text.toString();
  }

  private String part() {
    return switch (random.nextInt(9)) {
      case 0, 1 -> "parallel " + chain();
      case 2 -> "planetary " + set();
      case 3, 4 -> "planetary " + twoRows();
      case 5 -> pairs();
      case 6 -> "cycloidal " + cycloid();
      case 7 -> "strainwave " + strain();
      default -> pick(List.of("bevel " + teeth() + " ~ " + teeth(), sides(), "shaft"));
    };
  }

  private String chain() {
    StringBuilder chain = new StringBuilder().append(teeth());
    for (int k = random.nextInt(5); k >= 0; k--) {
      chain.append(oneIn(3) ? " = " : " ~ ").append(teeth()).append(oneIn(8) ? "i" : "");
    }
    return chain.toString();
  }

  private String set() {
    int sun = teeth();
    int planet = teeth();
    int ring = sun + 2 * planet + off();
    boolean without = oneIn(5);
    boolean bare = without && random.nextBoolean();
    return (bare ? "" : "sun " + sun)
        + " planet "
        + planet
        + " x"
        + planets()
        + spacing()
        + (without && !bare ? "" : " ring " + Math.max(1, ring));
  }

  private String twoRows() {
    int sun = teeth();
    int planet = teeth();
    int second = Math.max(1, planet + random.nextInt(21) - 10);
    int ring = sun + 2 * planet + off();
    int other = oneIn(6) ? teeth() : Math.max(1, ring + second - planet + off());
    String suns = pick(List.of(sun + "/-", sun + "/" + teeth(), sun + "=" + sun));
    return "sun "
        + suns
        + " planet "
        + planet
        + "="
        + second
        + " x"
        + planets()
        + spacing()
        + " ring "
        + Math.max(1, ring)
        + (suns.contains("=") ? "=" : "/")
        + other;
  }

  private String pairs() {
    int sun = teeth();
    int inner = teeth();
    int outer = inner + random.nextInt(9) - 4;
    return "planetary sun "
        + sun
        + " planet "
        + inner
        + "~"
        + Math.max(1, outer)
        + " x"
        + planets()
        + " ring "
        + (sun + inner + 2 * Math.max(1, outer) + off());
  }

  private String cycloid() {
    int lobes = 2 + random.nextInt(60);
    String sized =
        maybe(() -> " circle " + length(20, 120))
            + maybe(() -> " pin " + length(1, 12))
            + maybe(() -> " eccentric " + length(1, 5))
            + maybe(() -> " bore " + length(2, 40))
            + maybe(() -> " outputs " + (3 + random.nextInt(6)) + " x 8 mm on " + length(20, 80));
    return "lobes "
        + lobes
        + " pins "
        + (lobes + (oneIn(8) ? 2 : 1))
        + sized
        + maybe(() -> " discs " + (1 + random.nextInt(4)));
  }

  private String strain() {
    String teeth =
        random.nextBoolean()
            ? "nominal " + (5 + random.nextInt(300))
            : "flex " + (20 + random.nextInt(300));
    return teeth
        + maybe(() -> " lobes " + (2 + random.nextInt(3)))
        + maybe(() -> pick(List.of(" cup", " hat")))
        + maybe(() -> " wall 0.4 mm")
        + maybe(() -> " allow 300 MPa");
  }

  private String sides() {
    return "differential side " + teeth() + " spider " + teeth() + " x" + (1 + random.nextInt(4));
  }

  private void sizes(List<String> members) {
    if (random.nextBoolean()) {
      line(
          pick(
              List.of("module 0.5 mm", "module 2 mm", "dp 16", "module 0.001 mm", "module 40 mm")));
    }
    List<Supplier<String>> all =
        List.of(
            () -> "angle " + pick(List.of("14.5", "20", "25")) + maybe(() -> " stub"),
            () -> "width " + length(1, 40),
            () -> "module " + pick(members) + pick(List.of(" 0.8 mm", " 1.5 mm", " 2 mm")),
            () -> "shift " + pick(members) + " " + (random.nextInt(21) - 10) / 10.0,
            () -> "bore " + pick(members) + " " + length(1, 30),
            () -> "clearance " + pick(List.of("printed", "laser", "apart 1 mm", "flank 0.3 mm")),
            () -> "tolerance thickness +0 -0.05 mm" + maybe(() -> " centre +0.1 -0.1 mm"),
            () -> "material " + pick(List.of("steel", "petg")),
            () -> "distance " + pick(members) + "-" + pick(members) + " " + length(1, 90));
    for (int k = random.nextInt(3); k > 0; k--) {
      String said = pick(all).get();
      if (reads(said)) {
        line(said);
      }
    }
  }

  private boolean reads(String more) {
    try {
      Card.read(text + more);
      return true;
    } catch (CardException refused) {
      return false;
    }
  }

  private void losses() {
    if (oneIn(3)) {
      line(
          pick(
              List.of(
                  "efficiency ideal",
                  "efficiency printed",
                  "friction 0.1",
                  "efficiency external 0.5")));
    }
  }

  private void roles(List<String> members) {
    List<String> free = new ArrayList<>(members);
    String speed = pick(List.of("", " 60 rpm 0.5 Nm", " -1/3 rpm", " 2 rad/s", " 0 rpm"));
    for (String role : List.of("drive", "take", "hold", "drive", "hold")) {
      if (!free.isEmpty() && (role.equals("hold") ? random.nextBoolean() : !oneIn(5))) {
        String member = free.remove(random.nextInt(free.size()));
        String said = role + " " + member + (role.equals("drive") ? speed : "");
        if (reads(said)) {
          line(said);
        }
      }
    }
    for (int k = oneIn(5) ? 2 : 0; k > 0; k--) {
      String state = "state s" + k + ": hold " + pick(members);
      if (reads(state)) {
        line(state);
      }
    }
  }

  private int teeth() {
    return switch (random.nextInt(30)) {
      case 0 -> 1 + random.nextInt(7);
      case 1 -> 200 + random.nextInt(800);
      default -> 9 + random.nextInt(70);
    };
  }

  private int off() {
    return random.nextInt(3) == 0 ? random.nextInt(9) - 4 : 0;
  }

  private int planets() {
    return 1 + random.nextInt(oneIn(4) ? 12 : 5);
  }

  private String spacing() {
    return oneIn(4) ? pick(List.of(" uneven", " clocked")) : "";
  }

  private String length(int least, int most) {
    return (least + random.nextInt(10 * (most - least)) / 10.0) + " mm";
  }

  private String maybe(Supplier<String> said) {
    return oneIn(3) ? said.get() : "";
  }

  private boolean oneIn(int times) {
    return random.nextInt(times) == 0;
  }

  private <T> T pick(List<T> all) {
    return all.get(random.nextInt(all.size()));
  }

  private void line(String said) {
    text.append(said).append('\n');
  }
}
