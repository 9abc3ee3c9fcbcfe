package steadycog.search;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.check.Severity;
import steadycog.check.Subject;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.shape.PlanetGeometry;
import steadycog.train.MemberId;
import steadycog.train.Parallel;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * Finds teeth by nested loops over counts: every train is written as a card, read, solved exactly
 * and judged by the rules. Shares with the search only how a set or a chain is made to fit.
 */
final class BruteSearch {
  private final Query query;
  private final BigFraction target;
  private final List<Candidate> all = new ArrayList<>();

  private BruteSearch(Query query) {
    this.query = query;
    this.target = query.target().ratio();
  }

  /** All that the search should find, in order. */
  static List<Candidate> of(Query query) {
    BruteSearch search = new BruteSearch(query);
    for (Kind kind : query.kinds()) {
      switch (kind) {
        case PARALLEL -> search.chains();
        case PLANETARY -> search.sets();
        case TWO_ROW -> search.twoRows();
        case CYCLOIDAL -> search.drives(kind, 5, 120, 1, 1);
        case STRAIN_WAVE -> search.drives(kind, 60, 640, 2, 3);
      }
    }
    search.all.sort(order(query.listing().rank()));
    return search.all;
  }

  /** The order that the documents promise. */
  static Comparator<Candidate> order(Rank rank) {
    Comparator<Candidate> rest =
        Comparator.comparingDouble((Candidate c) -> Math.abs(c.error()))
            .thenComparingInt(Candidate::stages)
            .thenComparingInt(Candidate::size);
    return switch (rank) {
      case ERROR -> rest;
      case SIZE, LOAD -> Comparator.<Candidate>comparingInt(c -> c.size()).thenComparing(rest);
      case STAGES -> Comparator.<Candidate>comparingInt(c -> c.stages()).thenComparing(rest);
      case EFFICIENCY ->
          Comparator.comparingDouble((Candidate c) -> -efficiency(c)).thenComparing(rest);
      case DIAMETER ->
          Comparator.comparingDouble((Candidate c) -> c.diameter() == 0 ? 1e9 : c.diameter())
              .thenComparing(rest);
    };
  }

  static double efficiency(Candidate candidate) {
    return Math.round(candidate.eachWay().efficiency().orElse(0.0) * 1e9) / 1e9;
  }

  private static Train read(String card) {
    try {
      return Card.read(card).train();
    } catch (CardException unreadable) {
      throw new AssertionError(card, unreadable);
    }
  }

  /** Whether the ratio of a train as it is written is near enough, and turns the wanted way. */
  private boolean isNear(Train train) {
    double most =
        query
            .tolerance()
            .map(t -> t.share(Math.min(5, query.limits().teeth().from())))
            .orElse(Hunt.FURTHEST);
    return Subject.of(train)
        .motion()
        .ratio()
        .filter(
            ratio ->
                Math.abs(Candidate.error(ratio, target)) <= most
                    && query.limits().direction().allows(ratio.reduction().signum()))
        .isPresent();
  }

  /** Lists the first of these that is free of errors, if it is within the other limits. */
  private boolean offer(Kind kind, List<Train> ways, boolean within) {
    if (!within) {
      return false;
    }
    for (Train way : ways) {
      Train lossy = way.withLosses(query.running().losses());
      Optional<Candidate> one =
          Candidate.of(kind, Subject.of(lossy), target)
              .filter(
                  c -> c.worst() != Severity.ERROR || (query.listing().any() && ways.size() == 1));
      if (one.isPresent()) {
        double most =
            query.tolerance().map(t -> t.share(one.get().lastTeeth())).orElse(Hunt.FURTHEST);
        if (Math.abs(one.get().error()) <= most
            && query.running().refusal(one.get().eachWay()).isEmpty()) {
          all.add(one.get());
        }
        return true;
      }
    }
    return false;
  }

  private boolean step(double ratio) {
    double most = query.limits().perStage().orElse(1e9) * (1 + 1e-12);
    return Math.abs(ratio) <= most && Math.abs(1 / ratio) <= most;
  }

  private boolean ring(int count) {
    return ringCount(count) && count + 2.5 <= query.limits().diameter().orElse(1e9);
  }

  private boolean ringCount(int count) {
    return query.limits().ring().map(r -> r.contains(count)).orElse(true);
  }

  private int[] counts() {
    Range teeth = query.limits().teeth();
    return IntStream.rangeClosed(teeth.from(), teeth.to())
        .filter(z -> query.limits().twoModules() || z + 2 <= query.limits().diameter().orElse(1e9))
        .filter(z -> query.wheels().mayHave(Teeth.external(z)))
        .toArray();
  }

  // Trains of pairs.

  private void chains() {
    Range stages = query.limits().stages();
    for (int k = stages.from(); k <= stages.to(); k++) {
      if (query.limits().coaxial() && k != 2) {
        continue;
      }
      for (List<Integer> drivers : choices(k, query.wheels().drivers())) {
        for (List<Integer> driven : choices(k, query.wheels().driven())) {
          pairings(drivers, driven);
        }
      }
    }
  }

  private List<List<Integer>> choices(int many, List<Integer> given) {
    List<List<Integer>> found = new ArrayList<>();
    if (many >= given.size()) {
      choose(0, many - given.size(), new ArrayList<>(given), found);
    }
    return found;
  }

  private void choose(int from, int left, List<Integer> chosen, List<List<Integer>> found) {
    if (left == 0) {
      found.add(List.copyOf(chosen));
      return;
    }
    int[] counts = counts();
    for (int k = from; k < counts.length; k++) {
      chosen.add(counts[k]);
      choose(k, left - 1, chosen, found);
      chosen.removeLast();
    }
  }

  private void pairings(List<Integer> drivers, List<Integer> driven) {
    int k = drivers.size();
    double ratio = 1;
    for (int j = 0; j < k; j++) {
      ratio *= (double) driven.get(j) / drivers.get(j);
    }
    double wanted = target.doubleValue();
    if (Math.abs(ratio / wanted - 1) > 0.51) {
      return;
    }
    boolean turned = !query.limits().direction().allows(k % 2 == 0 ? 1 : -1);
    List<List<Integer>> orders = new ArrayList<>();
    permute(new ArrayList<>(driven), 0, orders);
    List<String> straight = new ArrayList<>();
    List<String> inside = new ArrayList<>();
    List<String> over = new ArrayList<>();
    for (List<Integer> order : orders) {
      if (IntStream.range(0, k).allMatch(j -> step((double) order.get(j) / drivers.get(j)))) {
        straight.add(chain(drivers, order, -1, ""));
        for (int j = 0; j < k; j++) {
          if (order.get(j) > drivers.get(j) && ring(order.get(j))) {
            inside.add(chain(drivers, order, j, "i"));
          }
          int at = j;
          smallestIdler(drivers, driven)
              .ifPresent(idler -> over.add(chain(drivers, order, at, " ~ " + idler)));
        }
      }
    }
    if (!turned) {
      offerChain(straight);
    } else {
      offerChain(inside);
      if (!query.limits().coaxial()) {
        offerChain(over);
      }
    }
  }

  /** The smallest wheel that is left when the others are taken out of the stock. */
  private Optional<Integer> smallestIdler(List<Integer> drivers, List<Integer> driven) {
    for (int count : counts()) {
      List<Teeth> all = new ArrayList<>(List.of(Teeth.external(count)));
      drivers.forEach(wheel -> all.add(Teeth.external(wheel)));
      driven.forEach(wheel -> all.add(Teeth.external(wheel)));
      if (query.wheels().hold(all)) {
        return Optional.of(count);
      }
    }
    return Optional.empty();
  }

  /** A chain with one pair internal ("i") or with an idler (" ~ 12"). */
  private static String chain(List<Integer> drivers, List<Integer> driven, int at, String special) {
    return "parallel "
        + IntStream.range(0, drivers.size())
            .mapToObj(
                j ->
                    drivers.get(j)
                        + (j == at && special.length() > 1 ? special : "")
                        + " ~ "
                        + driven.get(j)
                        + (j == at && special.length() == 1 ? special : ""))
            .collect(Collectors.joining(" = "));
  }

  private void offerChain(List<String> chains) {
    List<Train> ways = new ArrayList<>();
    for (String chain : chains) {
      Train bare = read(chain);
      Part part = bare.parts().getFirst();
      String last = part.members().getLast().id().name();
      Train train =
          read(
              chain
                  + (query.limits().coaxial() ? "\ncoaxial A = " + last : "")
                  + "\ndrive A\ntake "
                  + last);
      if (isNear(train) && query.wheels().allow(train) && closes(train)) {
        ways.addAll(ChainFit.of(train));
      }
    }
    if (!ways.isEmpty()) {
      offer(Kind.PARALLEL, ways, true);
    }
  }

  private boolean closes(Train train) {
    return !query.limits().coaxial()
        || ((Parallel) train.parts().getFirst())
                .meshes().stream()
                    .map(
                        m ->
                            m.internal()
                                ? m.teethB().count() - m.teethA().count()
                                : m.teethB().count() + m.teethA().count())
                    .distinct()
                    .count()
            == 1;
  }

  private static void permute(List<Integer> values, int from, List<List<Integer>> all) {
    if (from == values.size()) {
      if (!all.contains(values)) {
        all.add(List.copyOf(values));
      }
      return;
    }
    for (int k = from; k < values.size(); k++) {
      Collections.swap(values, from, k);
      permute(values, from + 1, all);
      Collections.swap(values, from, k);
    }
  }

  // Planetary sets.

  private static final List<List<String>> USES =
      List.of(
          List.of("sun", "ring", "carrier"),
          List.of("sun", "carrier", "ring"),
          List.of("ring", "sun", "carrier"),
          List.of("ring", "carrier", "sun"),
          List.of("carrier", "sun", "ring"),
          List.of("carrier", "ring", "sun"));

  private static String roles(List<String> use, String prefix) {
    return "\ndrive %s%s\nhold %s%s\ntake %s%s"
        .formatted(prefix, use.get(0), prefix, use.get(1), prefix, use.get(2));
  }

  private void sets() {
    Range stages = query.limits().stages();
    if (stages.contains(1)) {
      for (int sun : counts()) {
        singles(sun);
        pairsOfPlanets(sun);
      }
    }
    if (stages.contains(2)) {
      series(2, 0, stages(), new ArrayList<>());
      if (!query.limits().coaxial()) {
        withPair();
      }
    }
    if (stages.contains(3)) {
      series(3, 0, stages(), new ArrayList<>());
    }
  }

  private void singles(int sun) {
    int most = query.limits().distortion();
    for (int planet : counts()) {
      for (int ring = sun + 2 * planet - most; ring <= sun + 2 * planet + most; ring++) {
        if (ring > planet) {
          set(Kind.PLANETARY, "sun %d planet %d x3 ring %d".formatted(sun, planet, ring), USES);
        }
      }
    }
  }

  /** Of each sun and ring, in each use, the set with the fewest teeth. */
  private void pairsOfPlanets(int sun) {
    int[] counts = counts();
    int most = counts[counts.length - 1];
    for (int ring = sun + counts[0]; ring <= sun + 4 * most; ring++) {
      for (List<String> use : USES) {
        boolean found = false;
        for (int sum = 2 * counts[0]; sum <= 2 * most && !found; sum++) {
          for (int inner : counts) {
            int outer = sum - inner;
            if (!found && IntStream.of(counts).anyMatch(z -> z == outer) && ring > outer) {
              String card = "sun %d planet %d~%d x3 ring %d".formatted(sun, inner, outer, ring);
              Planetary set = (Planetary) read("planetary " + card).parts().getFirst();
              if (new PlanetGeometry(set).pairMargin() >= 0) {
                found = set(Kind.PLANETARY, card, List.of(use));
              }
            }
          }
        }
      }
    }
  }

  /** One set in all uses that are near. */
  private boolean set(Kind kind, String wheels, List<List<String>> uses) {
    return set(kind, wheels, Optional.empty(), uses);
  }

  private boolean set(
      Kind kind, String wheels, Optional<RowModules> modules, List<List<String>> uses) {
    boolean sound = false;
    String sizes =
        modules
            .map(m -> "\nmodule %s mm\nmodule planet2 %s mm".formatted(m.first(), m.second()))
            .orElse("");
    for (List<String> use : uses) {
      Train train = read("planetary " + wheels + sizes + roles(use, ""));
      if (isNear(train)) {
        Planetary set = (Planetary) train.parts().getFirst();
        double ratio = Subject.of(train).motion().ratio().orElseThrow().reduction().doubleValue();
        sound |= offer(kind, ways(train, set, modules), step(ratio) && allows(train));
      }
    }
    return sound;
  }

  private List<Train> ways(Train train, Planetary set, Optional<RowModules> modules) {
    return SetFit.of(query.limits().planets(), set, modules).ways().stream()
        .map(way -> way.sizing(train.withPart(way.set())))
        .filter(way -> query.wheels().allow(way))
        .toList();
  }

  /** Rings within their limits, and all wheels in stock. */
  private boolean allows(Train train) {
    double most = query.limits().diameter().orElse(1e9) * train.moduleMm();
    return train.involuteWheels().stream()
        .allMatch(
            wheel -> {
              Teeth teeth = wheel.teeth().orElseThrow();
              double over = teeth.internal() ? 2.5 : 2;
              return (!teeth.internal() || ringCount(teeth.count()))
                  && (teeth.count() + over) * train.moduleMm(wheel.id()) <= most + 1e-9
                  && query.wheels().mayHave(teeth);
            });
  }

  /**
   * A set in one use.
   *
   * @param ratio signed
   */
  private record Stage(String wheels, List<String> use, double ratio) {}

  /** Sets whose rings fit, in all uses that slow down, or speed up, as the target does. */
  private List<Stage> stages() {
    List<Stage> stages = new ArrayList<>();
    for (int sun : counts()) {
      for (int planet : counts()) {
        String wheels = "sun %d planet %d x3 ring %d".formatted(sun, planet, sun + 2 * planet);
        for (List<String> use : USES) {
          Train train = read("planetary " + wheels + roles(use, ""));
          double ratio = Subject.of(train).motion().ratio().orElseThrow().reduction().doubleValue();
          if (Math.abs(ratio) > 1 == target.doubleValue() >= 1 && step(ratio) && allows(train)) {
            stages.add(new Stage(wheels, use, ratio));
          }
        }
      }
    }
    return stages;
  }

  private void series(int many, int from, List<Stage> stages, List<Stage> chosen) {
    if (chosen.size() < many) {
      for (int k = from; k < stages.size(); k++) {
        chosen.add(stages.get(k));
        series(many, k, stages, chosen);
        chosen.removeLast();
      }
      return;
    }
    double ratio = chosen.stream().mapToDouble(Stage::ratio).reduce(1, (x, y) -> x * y);
    if (Math.abs(Math.abs(ratio) / target.doubleValue() - 1) > 0.51) {
      return;
    }
    StringBuilder card = new StringBuilder();
    for (int k = 0; k < many; k++) {
      Stage stage = chosen.get(k);
      card.append(
          "s%d: planetary %s\nhold s%d.%s\n".formatted(k, stage.wheels(), k, stage.use().get(1)));
      if (k > 0) {
        card.append(
            "join s%d.%s = s%d.%s\n"
                .formatted(k - 1, chosen.get(k - 1).use().get(2), k, stage.use().get(0)));
      }
    }
    card.append(
        "drive s0.%s\ntake s%d.%s"
            .formatted(chosen.get(0).use().get(0), many - 1, chosen.get(many - 1).use().get(2)));
    several(card.toString());
  }

  private void several(String card) {
    Train train = read(card);
    if (!isNear(train)) {
      return;
    }
    List<Train> ways = List.of(train);
    for (Part part : train.parts()) {
      List<Train> next = new ArrayList<>();
      for (Train before : ways) {
        if (part instanceof Planetary set) {
          for (SetFit.Way way :
              SetFit.of(query.limits().planets(), set.named(""), Optional.empty()).ways()) {
            SetFit.Way named = way.named(set.name());
            next.add(named.sizing(before.withPart(named.set())));
          }
        } else {
          Map<MemberId, BigFraction> shifts = ChainFit.againstUndercut(part.members());
          next.add(before.withSizes(SetFit.shifted(before.sizes(), shifts)));
        }
      }
      ways = next;
    }
    offer(Kind.PLANETARY, ways.stream().filter(query.wheels()::allow).toList(), true);
  }

  private void withPair() {
    for (Stage stage : stages()) {
      for (int one : counts()) {
        for (int two : counts()) {
          double ratio = stage.ratio() * two / one;
          if (one != two
              && step((double) two / one)
              && Math.abs(Math.abs(ratio) / target.doubleValue() - 1) < 0.51) {
            withPair(stage, one, two);
          }
        }
      }
    }
  }

  private void withPair(Stage stage, int one, int two) {
    List<String> use = stage.use();
    String parts =
        "p: parallel %d ~ %d\ns: planetary %s\nhold s.%s\n"
            .formatted(one, two, stage.wheels(), use.get(1));
    several(parts + "join p.B = s.%s\ndrive p.A\ntake s.%s".formatted(use.get(0), use.get(2)));
    several(parts + "join s.%s = p.A\ndrive s.%s\ntake p.B".formatted(use.get(2), use.get(0)));
  }

  // Two rows.

  private void twoRows() {
    if (!query.limits().stages().contains(1)) {
      return;
    }
    int most = query.limits().distortion();
    int room =
        Math.max(query.limits().teeth().to(), query.limits().ring().map(Range::to).orElse(0));
    for (int one : counts()) {
      for (int two : counts()) {
        for (int sun = 1; sun <= room; sun++) {
          for (int off = -most; off <= most; off++) {
            rows(sun, one, two, off, most, room);
          }
          if (query.limits().twoModules()) {
            for (RowModules modules : RowModules.ALL) {
              apart(sun, one, two, modules, room);
            }
          }
        }
      }
    }
  }

  private void rows(int sun, int one, int two, int off, int most, int room) {
    int span = sun + one;
    int ring2 = span + two + off;
    int sun2 = span - two + off;
    boolean there = IntStream.of(counts()).anyMatch(z -> z == sun);
    int room2 = ring2 - 2 * two;
    boolean again = one < two || (one == two && off > 0);
    if (!again || room2 < 1 || room2 > room) {
      set(
          Kind.TWO_ROW,
          "planet %d=%d x3 ring %d/%d".formatted(one, two, span + one, ring2),
          uses("ring1", "ring2", "carrier"));
    }
    if (!there) {
      return;
    }
    set(
        Kind.TWO_ROW,
        "sun %d/- planet %d=%d x3 ring -/%d".formatted(sun, one, two, ring2),
        uses("sun", "ring", "carrier"));
    boolean twoSuns = IntStream.of(counts()).anyMatch(z -> z == sun2);
    if (twoSuns && (one > two || (one == two && sun >= sun2))) {
      set(
          Kind.TWO_ROW,
          "sun %d/%d planet %d=%d x3".formatted(sun, sun2, one, two),
          uses("sun1", "sun2", "carrier"));
    }
    for (int off1 = Math.abs(off) - most; off1 <= most - Math.abs(off); off1++) {
      int ring1 = span + one + off1;
      set(
          Kind.TWO_ROW,
          "sun %d/- planet %d=%d x3 ring %d/%d".formatted(sun, one, two, ring1, ring2),
          uses("sun", "ring1", "ring2"));
      if (one == two && ring1 != ring2) {
        set(
            Kind.TWO_ROW,
            "sun %d=%d planet %d=%d x3 ring %d/%d".formatted(sun, sun, one, two, ring1, ring2),
            uses("sun", "ring1", "ring2"));
      }
    }
  }

  /** Rows whose centre distances are equal in mm. */
  private void apart(int sun, int one, int two, RowModules modules, int room) {
    double second =
        (sun + one) * Double.parseDouble(modules.first()) / Double.parseDouble(modules.second());
    int span = (int) Math.rint(second);
    if (Math.abs(second - span) > 1e-9) {
      return;
    }
    int room2 = span - two;
    boolean there = IntStream.of(counts()).anyMatch(z -> z == sun);
    boolean later = one < two || (one == two && sun + 2 * one < span + two);
    if (!later || room2 < 1 || room2 > room) {
      set(
          Kind.TWO_ROW,
          "planet %d=%d x3 ring %d/%d".formatted(one, two, sun + 2 * one, span + two),
          Optional.of(modules),
          uses("ring1", "ring2", "carrier"));
    }
    if (!there) {
      return;
    }
    set(
        Kind.TWO_ROW,
        "sun %d/- planet %d=%d x3 ring -/%d".formatted(sun, one, two, span + two),
        Optional.of(modules),
        uses("sun", "ring", "carrier"));
    set(
        Kind.TWO_ROW,
        "sun %d/- planet %d=%d x3 ring %d/%d".formatted(sun, one, two, sun + 2 * one, span + two),
        Optional.of(modules),
        uses("sun", "ring1", "ring2"));
    if (IntStream.of(counts()).anyMatch(z -> z == room2)
        && (one > two || (one == two && sun > room2))) {
      set(
          Kind.TWO_ROW,
          "sun %d/%d planet %d=%d x3".formatted(sun, room2, one, two),
          Optional.of(modules),
          uses("sun1", "sun2", "carrier"));
    }
  }

  private static List<List<String>> uses(String a, String b, String c) {
    List<List<String>> all = new ArrayList<>();
    for (List<String> use : USES) {
      all.add(
          use.stream().map(name -> name.equals("sun") ? a : name.equals("ring") ? b : c).toList());
    }
    return all;
  }

  // Drives.

  private void drives(Kind kind, int from, int to, int least, int most) {
    if (!query.limits().stages().contains(1)) {
      return;
    }
    for (int count = from; count <= to; count++) {
      for (int more = least; more <= most; more++) {
        boolean pins = kind == Kind.CYCLOIDAL;
        String text =
            pins
                ? "cycloidal lobes %d pins %d discs 2".formatted(count, count + 1)
                : "strainwave flex %d circular %d lobes %d".formatted(count, count + more, more);
        for (List<String> use :
            pins ? uses("eccentric", "disc", "ring") : uses("wave", "flex", "circular")) {
          Train train = read(text + roles(use, ""));
          if (isNear(train)) {
            double ratio =
                Subject.of(train).motion().ratio().orElseThrow().reduction().doubleValue();
            boolean fits = pins || count + more + 2.5 <= query.limits().diameter().orElse(1e9);
            offer(kind, List.of(train), step(ratio) && fits && query.wheels().allow(train));
          }
        }
      }
    }
  }
}
