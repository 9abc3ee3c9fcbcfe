package steadycog.search;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import steadycog.train.Join;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Part;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * Wheels that are there already.
 *
 * @param drivers counts of wheels that must drive, as that on the motor
 * @param driven counts of wheels that must be driven
 * @param stock how many wheels of each kind one owns; empty for whatever can be made
 */
public record Wheels(List<Integer> drivers, List<Integer> driven, Map<Teeth, Integer> stock) {
  public static final Wheels ANY = new Wheels(List.of(), List.of(), Map.of());
  private static final int MOST_OF_A_KIND = 99;

  public Wheels {
    drivers = List.copyOf(drivers);
    driven = List.copyOf(driven);
    stock = Map.copyOf(stock);
    Stream.of(drivers.stream(), driven.stream(), stock.keySet().stream().map(Teeth::count))
        .flatMap(counts -> counts)
        .filter(count -> count < Limits.FEWEST_TEETH || count > Limits.MOST_TEETH)
        .findFirst()
        .ifPresent(
            count -> {
              throw new IllegalArgumentException("tooth counts lie within 4..600: found " + count);
            });
  }

  /** {@code 24, 36x2, 72i}: a wheel of 24 teeth, two of 36, and a ring of 72. */
  public static Map<Teeth, Integer> parseStock(String text) {
    Map<Teeth, Integer> stock = new HashMap<>();
    for (String entry : entries(text)) {
      String[] parts = entry.split("[xX\u00d7]", 2);
      boolean internal = parts[0].endsWith("i");
      String count = internal ? parts[0].substring(0, parts[0].length() - 1) : parts[0];
      try {
        int many = parts.length == 1 ? 1 : Integer.parseInt(parts[1]);
        if (many < 1 || many > MOST_OF_A_KIND) {
          throw new NumberFormatException();
        }
        stock.merge(new Teeth(Integer.parseInt(count), internal), many, Integer::sum);
      } catch (NumberFormatException none) {
        throw new IllegalArgumentException(
            "'"
                + entry
                + "' is no wheel: write its count, 36x2 for two of 36 teeth, 72i for a ring");
      }
    }
    if (stock.isEmpty()) {
      throw new IllegalArgumentException(
          "the stock list is empty: write the counts you own, such as 24, 36x2, 48");
    }
    return stock;
  }

  private static List<String> entries(String text) {
    return Arrays.stream(text.split("[,;\\s]+")).filter(entry -> !entry.isEmpty()).toList();
  }

  /** {@code 24, 96}: a count each. */
  public static List<Integer> parseCounts(String text) {
    List<Integer> counts = new ArrayList<>();
    for (String entry : entries(text)) {
      if (!entry.matches("\\d{1,4}")) {
        throw new IllegalArgumentException("'" + entry + "' is no tooth count: write 24 or 24, 96");
      }
      counts.add(Integer.parseInt(entry));
    }
    return counts;
  }

  /** The least and the greatest count of external wheels in stock; empty where none are. */
  Optional<Range> range() {
    int[] counts = external();
    return counts.length == 0
        ? Optional.empty()
        : Optional.of(new Range(counts[0], counts[counts.length - 1]));
  }

  /** The counts of external wheels in stock, rising. */
  private int[] external() {
    return stock.keySet().stream()
        .filter(teeth -> !teeth.internal())
        .mapToInt(Teeth::count)
        .sorted()
        .toArray();
  }

  /** The counts that external wheels may have, rising. */
  int[] counts(Limits limits) {
    IntStream all =
        stock.isEmpty()
            ? IntStream.rangeClosed(limits.teeth().from(), limits.teeth().to())
            : Arrays.stream(external()).filter(limits.teeth()::contains);
    return all.filter(count -> count <= limits.mostTeeth()).toArray();
  }

  /** Whether such a wheel is there, or can be made. */
  boolean mayHave(Teeth teeth) {
    return stock.isEmpty() || stock.containsKey(teeth);
  }

  /** Whether each wheel of a train is there, or can be made. */
  boolean mayHave(Train train) {
    return train.involuteWheels().stream().flatMap(w -> w.teeth().stream()).allMatch(this::mayHave);
  }

  /** Whether the stock holds all of {@code wheels}, each as often as it occurs. */
  boolean hold(List<Teeth> wheels) {
    if (stock.isEmpty()) {
      return true;
    }
    Map<Teeth, Integer> used = new HashMap<>();
    wheels.forEach(teeth -> used.merge(teeth, 1, Integer::sum));
    return used.entrySet().stream()
        .allMatch(entry -> stock.getOrDefault(entry.getKey(), 0) >= entry.getValue());
  }

  /** Whether a train can be made of the stock and has the given wheels where they must be. */
  boolean allow(Train train) {
    return (stock.isEmpty() || holds(train))
        && (drivers.isEmpty() || has(drivers, ends(train, true)))
        && (driven.isEmpty() || has(driven, ends(train, false)));
  }

  private boolean holds(Train train) {
    if (!train.parts().stream().allMatch(Part::involute)) {
      return false;
    }
    List<Teeth> all = new ArrayList<>();
    for (Part part : train.parts()) {
      for (Member member : part.members()) {
        for (int copy = 0; copy < part.copies(member.id()); copy++) {
          member.teeth().ifPresent(all::add);
        }
      }
    }
    return hold(all);
  }

  private static boolean has(List<Integer> given, List<Integer> there) {
    List<Integer> left = new ArrayList<>(there);
    return given.stream().allMatch(count -> left.remove(count));
  }

  /**
   * The counts of the wheels at which power enters the stages of a train, or leaves them: from the
   * drive along the joins, each part left where it is joined to the next.
   */
  private static List<Integer> ends(Train train, boolean entering) {
    List<MemberId> in = new ArrayList<>();
    List<MemberId> out = new ArrayList<>();
    List<Join> left = new ArrayList<>(train.joins());
    MemberId at = train.rolesInForce().drives().getFirst().member();
    while (true) {
      in.add(at);
      Part here = train.partOf(at);
      if (here.isChain()) {
        boolean onwards = here.members().getFirst().id().equals(at);
        here.keyed().forEach(shaft -> in.add(onwards ? shaft.b() : shaft.a()));
        here.keyed().forEach(shaft -> out.add(onwards ? shaft.a() : shaft.b()));
      }
      String part = at.part();
      Optional<Join> next =
          left.stream()
              .filter(join -> join.a().part().equals(part) || join.b().part().equals(part))
              .findFirst();
      if (next.isEmpty()) {
        break;
      }
      left.remove(next.get());
      MemberId leaving = next.get().a().part().equals(part) ? next.get().a() : next.get().b();
      out.add(leaving);
      at = next.get().other(leaving);
    }
    out.add(train.rolesInForce().take().orElseThrow().member());
    return (entering ? in : out)
        .stream()
            .flatMap(member -> train.member(member).teeth().stream())
            .map(Teeth::count)
            .toList();
  }
}
