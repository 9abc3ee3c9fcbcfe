package steadycog.train;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;

/**
 * What teeth must bear, and how well they are made and held: what a rating asks beside sizes,
 * materials and loads.
 *
 * @param terms as stated; those that are not are {@link Term#usual}
 * @param mounting how well the shafts are held; empty for {@link Mounting#ENCLOSED}
 * @param crowned whether teeth are crowned or their leads corrected
 * @param shares of the time in which each state runs, by its name; without any all run as long
 */
public record Duty(
    Map<Term, BigFraction> terms,
    Optional<Mounting> mounting,
    boolean crowned,
    Map<String, BigFraction> shares) {
  public static final Duty NONE = new Duty(Map.of(), Optional.empty(), false, Map.of());

  /** A number that a rating asks for. */
  public enum Term implements Bounded.Term {
    /** Hours under load, all states together. */
    LIFE("life", "10000", "0.001", "1000000", "hours under load"),
    /** Transmission accuracy number Qv of AGMA, the higher the better. */
    QUALITY("quality", "6", "3", "12", "accuracy number Qv"),
    /** Overload factor Ko: 1 even, 1.25 light, 1.5 medium, 1.75 heavy shock. */
    OVERLOAD("overload", "1", "1", "5", "overload factor"),
    RELIABILITY("reliability", "0.99", "0.5", "0.9999", "reliability"),
    /** Of the steels' making, 1 or 2. */
    GRADE("grade", "1", "1", "2", "grade of steel"),
    /** The factor that bending is to have. */
    BENDING("bending", "1.5", "0.5", "10", "factor against bending"),
    /** The factor that contact is to have. */
    CONTACT("contact", "1.2", "0.5", "10", "factor against pitting");

    private final Bounded said;

    Term(String word, String usual, String least, String most, String says) {
      said = new Bounded(word, usual, least, most, says);
    }

    @Override
    public Bounded said() {
      return said;
    }

    public static Optional<Term> of(String word) {
      return Bounded.of(values(), word);
    }
  }

  /** How well shafts and housing keep the teeth in line (AGMA 2001, mesh alignment factor). */
  public enum Mounting {
    OPEN("open gears"),
    ENCLOSED("commercial, enclosed"),
    PRECISE("precision, enclosed"),
    FINEST("extra precision, enclosed");

    private final String says;

    Mounting(String says) {
      this.says = says;
    }

    /** The word on a card. */
    public String word() {
      return name().toLowerCase(Locale.ROOT);
    }

    public String says() {
      return says;
    }

    public static Optional<Mounting> of(String word) {
      return Arrays.stream(values()).filter(one -> one.word().equalsIgnoreCase(word)).findFirst();
    }
  }

  public Duty {
    Map<Term, BigFraction> ordered = new EnumMap<>(Term.class);
    ordered.putAll(terms);
    ordered.forEach(
        (term, value) -> {
          term.said.require(value);
          if (term == Term.GRADE && !Exact.isWhole(value)) {
            throw new IllegalArgumentException("grade " + Exact.plain(value) + ": expected 1 or 2");
          }
        });
    terms = Collections.unmodifiableMap(ordered);
    shares.forEach(
        (state, share) -> {
          if (share.signum() < 0 || share.compareTo(BigFraction.ONE) > 0) {
            throw new IllegalArgumentException(
                "duty " + state + ": expected a share of the time from 0 to 100 %");
          }
        });
    shares = Collections.unmodifiableMap(new TreeMap<>(shares));
  }

  public boolean unstated() {
    return equals(NONE);
  }

  /** Whether a rating is asked for, not shares of the time alone. */
  public boolean asksRating() {
    return !terms.isEmpty() || mounting.isPresent() || crowned;
  }

  /** As stated, or as usual. */
  public double value(Term term) {
    return terms.getOrDefault(term, term.usual()).doubleValue();
  }

  public Mounting mountingInForce() {
    return mounting.orElse(Mounting.ENCLOSED);
  }

  public Duty with(Term term, BigFraction value) {
    Map<Term, BigFraction> all = new EnumMap<>(Term.class);
    all.putAll(terms);
    all.put(term, value);
    return new Duty(all, mounting, crowned, shares);
  }

  /**
   * With the shares of these states alone; one that has another name in its place keeps its own.
   */
  Duty of(List<String> before, List<String> now) {
    Map<String, BigFraction> all = new TreeMap<>();
    for (int k = 0; k < now.size(); k++) {
      boolean renamed = before.size() == now.size() && !now.contains(before.get(k));
      BigFraction share = shares.get(renamed ? before.get(k) : now.get(k));
      if (share != null) {
        all.put(now.get(k), share);
      }
    }
    return new Duty(terms, mounting, crowned, all);
  }

  /** With what is usual in place of what was stated. */
  public Duty without(Term term) {
    Map<Term, BigFraction> all = new EnumMap<>(Term.class);
    all.putAll(terms);
    all.remove(term);
    return new Duty(all, mounting, crowned, shares);
  }

  public Duty withMounting(Mounting changed) {
    return new Duty(terms, Optional.of(changed), crowned, shares);
  }

  public Duty withCrowned() {
    return new Duty(terms, mounting, true, shares);
  }

  /** With the share of the time of one state. */
  public Duty running(String state, BigFraction share) {
    Map<String, BigFraction> all = new TreeMap<>(shares);
    all.put(state, share);
    return new Duty(terms, mounting, crowned, all);
  }

  /**
   * These words and {@code more} together.
   *
   * @throws IllegalArgumentException where both say one thing
   */
  Duty and(Duty more) {
    if (asksRating() && more.asksRating()) {
      throw new IllegalArgumentException("a second rating: say it all in one statement");
    }
    for (String state : more.shares.keySet()) {
      if (shares.containsKey(state)) {
        throw new IllegalArgumentException("a second duty of " + state + ": leave one");
      }
    }
    Duty rated = asksRating() ? this : more;
    Map<String, BigFraction> all = new TreeMap<>(shares);
    all.putAll(more.shares);
    return new Duty(rated.terms, rated.mounting, rated.crowned, all);
  }

  /** One statement each. */
  List<Duty> split() {
    List<Duty> all = new ArrayList<>();
    if (asksRating()) {
      all.add(new Duty(terms, mounting, crowned, Map.of()));
    }
    shares.forEach((state, share) -> all.add(NONE.running(state, share)));
    return all;
  }

  /** As a card states it, of one that says one thing: {@code rating life 2000 h quality 8}. */
  @Override
  public String toString() {
    for (Map.Entry<String, BigFraction> one : shares.entrySet()) {
      return "duty " + one.getKey() + " " + Exact.plain(one.getValue().multiply(100)) + " %";
    }
    String said =
        terms.entrySet().stream()
            .map(
                term ->
                    " "
                        + term.getKey().word()
                        + " "
                        + Exact.plain(term.getValue())
                        + (term.getKey() == Term.LIFE ? " h" : ""))
            .collect(Collectors.joining());
    return "rating"
        + said
        + mounting.map(way -> " " + way.word()).orElse("")
        + (crowned ? " crowned" : "");
  }
}
