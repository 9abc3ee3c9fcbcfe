package steadycog.gearbox;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import steadycog.number.Figures;
import steadycog.rating.RatedShaft;
import steadycog.rating.RatedShaft.Life;
import steadycog.train.BallBearing;
import steadycog.train.Member;

/** What the shafts of a gearbox and their ball bearings bear, in words: a line each. */
public record ShaftLoads(Gearbox box) {
  /** What stands over the columns of {@link #rows}. */
  public static final List<String> HEADS =
      List.of("shaft of", "bearings", "front, N", "rear, N", "L10 life, h");

  /** Hours beyond which a life is not told in figures. */
  private static final double LONGEST = 100_000;

  /** A line a shaft; none where torques are not stated or nothing is pressed across its axis. */
  public List<List<String>> rows() {
    return box.shafts().stream()
        .map(
            shaft ->
                List.of(
                    String.join(", ", shaft.wheels().stream().map(Object::toString).toList()),
                    shaft.bearing().map(BallBearing::name).orElse("plain"),
                    Figures.significant(shaft.onFirst(), 3),
                    Figures.significant(shaft.onSecond(), 3),
                    shaft.life().map(ShaftLoads::hours).orElse("-")))
        .toList();
  }

  private static String hours(Life life) {
    return life.hours() > LONGEST ? "over " + Figures.plain(LONGEST) : rounded(life.hours(), 2);
  }

  /** Also whole digits are rounded: lives and ratings are known to a few figures. */
  private static String rounded(double value, int digits) {
    return new BigDecimal(value).round(new MathContext(digits)).toBigInteger().toString();
  }

  /** What is too weak, with its remedy. */
  public List<String> weak() {
    List<String> all = new ArrayList<>();
    for (RatedShaft shaft : box.shafts()) {
      String of = shaft.name();
      shaft
          .life()
          .filter(Life::isShort)
          .ifPresent(
              life ->
                  all.add(
                      "The bearings of the "
                          + of
                          + " last "
                          + rounded(life.hours(), 2)
                          + " h, "
                          + Figures.plain(life.wanted())
                          + " h are wanted: take some with a rating of "
                          + rounded(life.needed(), 3)
                          + " N or more, on a thicker shaft, or state a shorter life."));
      if (shaft.isShort()) {
        all.add(
            "The "
                + of
                + " is "
                + Figures.significant(shaft.made().orElseThrow().diameter(), 3)
                + " mm thick and should be "
                + Figures.significant(shaft.least(), 3)
                + " mm: a wider bore, or a stronger steel.");
      }
    }
    return all;
  }

  /** Which are too weak, in short; empty where none is. */
  public Optional<String> tooWeak() {
    List<String> all = new ArrayList<>();
    names(RatedShaft::isShort).ifPresent(names -> all.add("shafts of " + names));
    names(shaft -> shaft.life().filter(Life::isShort).isPresent())
        .ifPresent(names -> all.add("bearings of " + names));
    return all.isEmpty()
        ? Optional.empty()
        : Optional.of("Too weak for the load: " + String.join("; ", all) + ".");
  }

  private Optional<String> names(Predicate<RatedShaft> which) {
    return box.shafts().stream()
        .filter(which)
        .map(shaft -> shaft.member().toString())
        .reduce((a, b) -> a + ", " + b);
  }

  /** That ratings of bearings are estimated, if any is. */
  public Optional<String> note() {
    return box.shafts().stream().anyMatch(this::isEstimated)
        ? Optional.of(
            "Ratings of bearings that the card does not state are estimated from their size"
                + " (ISO 281); their maker's come first.")
        : Optional.empty();
  }

  private boolean isEstimated(RatedShaft shaft) {
    return shaft.life().isPresent()
        && box.train().members().stream()
            .map(Member::id)
            .filter(shaft.wheels()::contains)
            .flatMap(wheel -> box.train().size(wheel).bearing().stream())
            .noneMatch(size -> size.rating().isPresent());
  }
}
