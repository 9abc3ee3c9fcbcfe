package steadycog.app.find;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import steadycog.app.look.Sign;
import steadycog.check.Severity;
import steadycog.notation.Card;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.search.Candidate;
import steadycog.search.Kind;
import steadycog.search.Loosen.Hint;
import steadycog.search.Rank;
import steadycog.train.Member;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Train;

/** How candidates are written. */
final class Candidates {
  private static final int DECIMALS = 4;

  private Candidates() {}

  /** The parts of its card, without keywords that the kind says already. */
  static String wheels(Candidate candidate) {
    return candidate.train().parts().stream()
            .map(Candidates::wheels)
            .collect(Collectors.joining("  then  "))
        + modules(candidate.train());
  }

  /** {@code m 1.25/1.5} of rows in two modules. */
  private static String modules(Train train) {
    return train.parts(Planetary.class).stream()
        .filter(set -> train.hasOwnPitches())
        .limit(1)
        .flatMap(
            set ->
                IntStream.range(0, set.rowCount()).mapToObj(row -> set.planetIds(row).getFirst()))
        .map(planet -> Figures.significant(train.moduleMm(planet), 3))
        .reduce((first, second) -> first + "/" + second)
        .map(modules -> "  m " + modules)
        .orElse("");
  }

  /** The same for a narrow column: pairs as 18/102, sun, planets and ring by their places. */
  static String brief(Candidate candidate) {
    return wheels(candidate)
        .replace(" ~ ", "/")
        .replace(" = ", " \u00b7 ")
        .replaceFirst("^planets ", Sign.DASH + " \u00b7 ")
        .replaceAll("(then {2})planets ", "$1" + Sign.DASH + " \u00b7 ")
        .replace("sun ", "")
        .replace(" planets ", " \u00b7 ")
        .replace(" ring ", " \u00b7 ")
        .replace("  then  ", " + ");
  }

  private static String wheels(Part part) {
    String line = Card.of(Train.of(List.of(part))).text().lines().findFirst().orElse("");
    return line.replaceFirst("^(\\w+: )?(parallel|planetary|cycloidal|strainwave) ", "")
        .replace(" x", "\u2009\u00d7\u2009")
        .replace("planet ", "planets ")
        .replaceFirst(" discs \\d+", "");
  }

  static String ratio(Candidate candidate) {
    return Sign.colon(candidate.ratio().reduction(), DECIMALS);
  }

  static String error(Candidate candidate) {
    double ppm = candidate.errorPpm();
    if (ppm == 0) {
      return "exact";
    }
    double size = Math.abs(ppm);
    String number =
        size >= 1000
            ? String.format(Locale.ROOT, "%+.3f\u2009%%", ppm / 1e4)
            : (ppm > 0 ? "+" : "") + Figures.significant(ppm, 3) + "\u2009ppm";
    return Figures.typeset(number);
  }

  static String planets(Candidate candidate) {
    return candidate.planets() == 0 ? Sign.DASH : Integer.toString(candidate.planets());
  }

  static String distortion(Candidate candidate) {
    return candidate.distortion() == 0 ? Sign.DASH : Integer.toString(candidate.distortion());
  }

  static String phasing(Candidate candidate) {
    boolean set = candidate.kind() == Kind.PLANETARY || candidate.kind() == Kind.TWO_ROW;
    return !set ? Sign.DASH : candidate.inStep() ? "in step" : "in turn";
  }

  static String diameter(Candidate candidate) {
    return candidate.diameter() == 0 ? Sign.DASH : Figures.significant(candidate.diameter(), 3);
  }

  static String sized(Candidate candidate) {
    return candidate
        .sized()
        .map(
            choice ->
                choice.pitch().statement().replace("module ", "")
                    + ", "
                    + Figures.significant(choice.mass(), 3)
                    + "\u2009kg")
        .orElse(Sign.DASH);
  }

  static String findings(Candidate candidate) {
    return candidate
        .trouble()
        .orElse(candidate.worst() == Severity.OK ? "none" : candidate.worst().word());
  }

  static String kind(Kind kind) {
    return switch (kind) {
      case PARALLEL -> "pairs";
      case PLANETARY -> "planetary";
      case TWO_ROW -> "two rows";
      case CYCLOIDAL -> "cycloidal";
      case STRAIN_WAVE -> "strain wave";
    };
  }

  static String rank(Rank rank) {
    return switch (rank) {
      case ERROR -> "nearest";
      case SIZE -> "few teeth";
      case STAGES -> "few stages";
      case EFFICIENCY -> "most out";
      case DIAMETER -> "small \u00d8";
      case LOAD -> "light";
    };
  }

  /** {@code teeth 12..127}: what to loosen, and how far. */
  static String hint(Hint hint) {
    String to = hint.text();
    return switch (hint.field()) {
      case TOLERANCE -> "within " + to;
      case DIRECTION -> "turning either way";
      case TEETH -> "teeth " + to;
      case STOCK -> to.isEmpty() ? "wheels of other counts" : "stock " + to;
      case RING -> "rings " + to;
      case DIAMETER -> "largest \u00d8 " + to;
      case PER_STAGE -> "steps up to " + to;
      case PLANETS -> "planets " + to;
      case DISTORTION -> "rows off " + to;
      case TWO_MODULES -> "rows in two modules";
      case EFFICIENCY -> "out " + to;
      case STAGES -> "stages " + to;
      case BACKWARDS -> "whatever it does when pushed";
      case COAXIAL -> "not in line";
      case HELIX -> "straight teeth";
      case LOAD -> "no load";
      case DISTANCE -> "any distance";
      case DRIVER, DRIVEN -> "without the given wheel";
      case KIND -> kind(hint.first().kind()) + " as well";
      case TARGET, ANY, LOSSES, RANK, TOP -> hint.field().key() + " " + to;
    };
  }

  /** {@code 20.36°}; a dash where teeth are straight. */
  static String helix(Candidate candidate) {
    return candidate.helix() == 0 ? "\u2013" : Figures.fixed(candidate.helix(), 2) + "\u00b0";
  }

  /** {@code 36.4 N}; a dash where nothing presses or no module is known. */
  static String thrust(Candidate candidate) {
    return candidate.thrust().map(force -> Figures.shown(force) + " N").orElse("\u2013");
  }

  /** {@code shift A 0.3, C 0.3}; empty where nothing is shifted. */
  static String shifts(Candidate candidate) {
    return candidate.train().members().stream()
        .map(Member::id)
        .filter(wheel -> candidate.train().sizes().shift(wheel).isPresent())
        .map(
            wheel ->
                wheel
                    + "\u2009"
                    + Figures.typeset(Exact.plain(candidate.train().sizes().shift(wheel).get())))
        .collect(Collectors.joining(", "));
  }

  static String direction(Candidate candidate) {
    return candidate.ratio().sameDirection() ? "same" : "opposite";
  }
}
