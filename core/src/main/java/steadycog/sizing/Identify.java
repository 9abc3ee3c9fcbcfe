package steadycog.sizing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.shape.Cut;
import steadycog.train.Helix;
import steadycog.train.Pitch;

/**
 * What gear it is, from what was measured on it: its tooth size among the standard series, how far
 * the measures are off, and the profile shift that they speak for. Sizes at which a neighbouring
 * count would explain the measures better say so, since miscounts of one tooth are common.
 */
public final class Identify {
  /** Standard modules, mm (ISO 54, with the small ones of instrument makers). */
  public static final List<String> MODULES =
      List.of(
          "0.2", "0.25", "0.3", "0.4", "0.5", "0.6", "0.7", "0.8", "1", "1.25", "1.5", "1.75", "2",
          "2.25", "2.5", "2.75", "3", "3.5", "4", "4.5", "5", "5.5", "6", "7", "8", "9", "10", "12",
          "16", "20");

  /** Usual diametral pitches, teeth an inch. */
  public static final List<String> PITCHES =
      List.of(
          "2", "2.5", "3", "4", "5", "6", "8", "10", "12", "14", "16", "18", "20", "22", "24", "28",
          "32", "36", "40", "48", "56", "64", "72", "80", "96", "120");

  private static final List<String> ANGLES = List.of("20", "14.5", "25");
  private static final double LEAST_SHIFT = -0.6;
  private static final double MOST_SHIFT = 1.0;

  /** How much a measure is trusted, mm and as a share of it. */
  private static final double CALIPER = 0.03;

  private static final double CALIPER_SHARE = 0.0005;

  /** How much the difference of two spans is trusted, mm: what a caliper is off by is in both. */
  private static final double DIFFERENCE = 0.02;

  /** Usual dedendum in modules, and how far that of a foreign gear may be off it. */
  private static final double ROOT = 1.25;

  private static final double ROOT_ERROR = 0.08;

  /** Steps of shift at which a helix is looked for, and what is nearly straight, degrees. */
  private static final double COARSE = 0.1;

  private static final double LEAST_HELIX = 3;

  /** What speaks against a candidate before anything is measured, in calipers' errors. */
  private static final double OTHER_COUNT = 1.5;

  private static final double RARE_ANGLE = 1.5;
  private static final double A_MODULE_OF_SHIFT = 12;
  private static final double WORST = 30;
  private static final int MOST = 12;

  private Identify() {}

  /**
   * What was measured; at least one of the lengths.
   *
   * @param teeth as counted
   * @param internal whether they point inwards
   * @param tip diameter over the tips (of an internal gear between them), mm
   * @param span over {@code spanned} teeth, mm
   * @param spanned teeth between the jaws
   * @param next span over one tooth more, mm: the two differ by the base pitch, pi m cos a, which
   *     tells pressure angles apart whatever the shift
   * @param distance of the axes to a mate, mm
   * @param mate teeth of that mate, external
   * @param root diameter at the roots, mm
   * @param helical whether its teeth are seen to wind
   * @param lead along the axis from where a tooth begins to where it has gone once round, mm
   */
  public record Measured(
      int teeth,
      boolean internal,
      OptionalDouble tip,
      OptionalDouble span,
      OptionalInt spanned,
      OptionalDouble next,
      OptionalDouble distance,
      OptionalInt mate,
      OptionalDouble root,
      boolean helical,
      OptionalDouble lead) {
    /** Of straight teeth, without what is measured at their roots. */
    public Measured(
        int teeth,
        boolean internal,
        OptionalDouble tip,
        OptionalDouble span,
        OptionalInt spanned,
        OptionalDouble next,
        OptionalDouble distance,
        OptionalInt mate) {
      this(
          teeth,
          internal,
          tip,
          span,
          spanned,
          next,
          distance,
          mate,
          OptionalDouble.empty(),
          false,
          OptionalDouble.empty());
    }

    public Measured {
      if (teeth < 4 || teeth > 2_000) {
        throw new IllegalArgumentException("teeth " + teeth + ": expected 4 to 2000");
      }
      if (span.isPresent() != spanned.isPresent()) {
        throw new IllegalArgumentException("a span needs the number of teeth that it goes over");
      }
      if (next.isPresent() && span.isEmpty()) {
        throw new IllegalArgumentException("a span over one tooth more needs the first span");
      }
      if (next.isPresent() && next.getAsDouble() <= span.getAsDouble()) {
        throw new IllegalArgumentException(
            "a span over one tooth more must be longer than the first span");
      }
      if (distance.isPresent() != mate.isPresent()) {
        throw new IllegalArgumentException("a centre distance needs the teeth of the other wheel");
      }
      if (lead.isPresent() && !helical) {
        throw new IllegalArgumentException("a lead is that of helical teeth");
      }
      boolean further = lead.isPresent() || root.isPresent() || next.isPresent();
      if (helical && !(further && (tip.isPresent() || distance.isPresent()))) {
        throw new IllegalArgumentException(
            "helical teeth need the diameter over the tips, and the lead, the diameter at the roots"
                + " or a span over one tooth more");
      }
      if (tip.isEmpty() && span.isEmpty() && distance.isEmpty()) {
        throw new IllegalArgumentException(
            "nothing measured: give a diameter, a span or a centre distance");
      }
      if (internal && span.isPresent()) {
        throw new IllegalArgumentException("a span is measured over external teeth only");
      }
    }

    private Measured counted(int count) {
      return new Measured(
          count, internal, tip, span, spanned, next, distance, mate, root, helical, lead);
    }

    /** The same with the diameter at the roots, mm. */
    public Measured withRoot(OptionalDouble measured) {
      return new Measured(
          teeth, internal, tip, span, spanned, next, distance, mate, measured, helical, lead);
    }

    /** The same of teeth that wind, with their lead where it was measured, mm. */
    public Measured wound(OptionalDouble measured) {
      return new Measured(
          teeth, internal, tip, span, spanned, next, distance, mate, root, true, measured);
    }
  }

  /**
   * One answer.
   *
   * @param teeth for which it holds: as counted, or one more or less
   * @param angle pressure angle, degrees; told apart only by a span
   * @param helix degrees; 0 of straight teeth
   * @param shift profile shift that the measures speak for, in modules
   * @param off largest deviation of a measure from what it would be, mm, signed
   * @param score how ill it explains the measures, in errors of a caliper; the best is first
   */
  public record Guess(
      Pitch pitch, int teeth, double angle, double helix, double shift, double off, double score) {
    public double moduleMm() {
      return pitch.moduleMm().doubleValue();
    }
  }

  /** The likeliest answers, the best first; none where nothing standard comes near. */
  public static List<Guess> of(Measured measured) {
    List<Guess> all = new ArrayList<>();
    for (Pitch pitch : series()) {
      for (int count = measured.teeth - 1; count <= measured.teeth + 1; count++) {
        for (String angle : measured.span.isEmpty() ? List.of("20") : ANGLES) {
          best(measured, pitch, count, angle).ifPresent(all::add);
        }
      }
    }
    return all.stream()
        .filter(guess -> guess.score < WORST)
        .sorted(Comparator.comparingDouble(Guess::score))
        .limit(MOST)
        .toList();
  }

  /** Every standard size. */
  public static List<Pitch> series() {
    List<Pitch> all = new ArrayList<>();
    MODULES.forEach(module -> all.add(new Pitch.Module(Quantity.of(module, Unit.MM))));
    PITCHES.forEach(dp -> all.add(new Pitch.Diametral(Exact.parse(dp))));
    return all;
  }

  /** Of a size and count the helix and shift that explain the measures best. */
  private static Optional<Guess> best(Measured read, Pitch pitch, int count, String degrees) {
    return helices(read.counted(count), pitch.moduleMm().doubleValue()).stream()
        .map(helix -> guess(read, pitch, count, degrees, helix))
        .min(Comparator.comparingDouble(Guess::score));
  }

  /**
   * Angles that come into question, degrees: that of the lead, sin b = pi mn z / L, or those with
   * which some shift explains the diameter over the tips, or the distance.
   */
  private static List<Double> helices(Measured measured, double module) {
    if (!measured.helical) {
      return List.of(0.0);
    }
    List<Double> sines = new ArrayList<>();
    measured.lead.ifPresent(lead -> sines.add(Math.PI * module * measured.teeth / lead));
    int inwards = measured.internal ? -1 : 1;
    for (double x = LEAST_SHIFT; measured.lead.isEmpty() && x < MOST_SHIFT; x += COARSE) {
      double wide = module * 2 * (inwards + x);
      double out = module * x;
      measured.tip.ifPresent(tip -> sines.add(sine(module * measured.teeth / (tip - wide))));
      measured.distance.ifPresent(
          far -> {
            double teeth = Math.abs(measured.teeth + inwards * measured.mate.orElseThrow());
            sines.add(sine(module * teeth / 2 / (far - out)));
          });
    }
    return sines.stream()
        .filter(sine -> sine > 0)
        .map(sine -> Math.toDegrees(Math.asin(sine)))
        .filter(angle -> angle >= LEAST_HELIX && angle <= Helix.MOST_DEGREES)
        .toList();
  }

  private static double sine(double cosine) {
    return Math.sqrt(1 - cosine * cosine);
  }

  /** The shift by least squares of what each measure speaks for, and what is left over. */
  private static Guess guess(Measured read, Pitch pitch, int count, String degrees, double helix) {
    Measured measured = read.counted(count);
    double module = pitch.moduleMm().doubleValue();
    double[][] terms =
        terms(measured, module, Math.toRadians(Double.parseDouble(degrees)), Math.toRadians(helix));
    double best = Double.MAX_VALUE;
    double shift = 0;
    for (double x = LEAST_SHIFT; x <= MOST_SHIFT + 1e-9; x += 0.005) {
      double score = A_MODULE_OF_SHIFT * Math.max(0, Math.abs(x) - 0.01);
      for (double[] term : terms) {
        score += Math.abs(term[0] + term[1] * x) / term[2];
      }
      if (score < best - 1e-9) {
        best = score;
        shift = x;
      }
    }
    double off = 0;
    for (double[] term : terms) {
      double left = -(term[0] + term[1] * shift);
      off = Math.abs(left) > Math.abs(off) ? left : off;
    }
    best += count == read.teeth ? 0 : OTHER_COUNT;
    best += degrees.equals("20") ? 0 : RARE_ANGLE;
    double rounded = Math.abs(shift) < 0.0049 ? 0 : Math.round(shift * 1000) / 1000.0;
    return new Guess(pitch, count, Double.parseDouble(degrees), helix, rounded, off, best);
  }

  private static double error(double measure) {
    return CALIPER + CALIPER_SHARE * measure;
  }

  /**
   * For each measure: how much too small it is without shift, what shift adds, its error (ISO
   * 21771; of straight teeth the helix is 0).
   *
   * @param an normal pressure angle, radians
   * @param b helix angle, radians
   */
  private static double[][] terms(Measured measured, double module, double an, double b) {
    List<double[]> all = new ArrayList<>();
    int z = measured.teeth;
    int inwards = measured.internal ? -1 : 1;
    double round = module / Math.cos(b);
    measured.tip.ifPresent(
        tip ->
            all.add(new double[] {round * z + 2 * module * inwards - tip, 2 * module, error(tip)}));
    measured.root.ifPresent(
        root ->
            all.add(
                new double[] {
                  round * z - 2 * ROOT * module * inwards - root,
                  2 * module,
                  error(root) + ROOT_ERROR * module
                }));
    measured.span.ifPresent(
        span -> {
          double at = Math.atan(Math.tan(an) / Math.cos(b));
          double teeth = (measured.spanned.orElseThrow() - 0.5) * Math.PI;
          double without = module * Math.cos(an) * (teeth + z * (Math.tan(at) - at));
          all.add(new double[] {without - span, 2 * module * Math.sin(an), error(span)});
          measured.next.ifPresent(
              next -> {
                double pitch = Math.PI * module * Math.cos(an);
                all.add(new double[] {pitch - (next - span), 0, DIFFERENCE});
              });
        });
    measured.distance.ifPresent(
        distance -> {
          double standard = round * (z + inwards * measured.mate.orElseThrow()) / 2;
          all.add(new double[] {Math.abs(standard) - distance, module, error(distance)});
        });
    return all.toArray(double[][]::new);
  }

  /** The teeth to span when measuring a gear of {@code teeth} teeth. */
  public static int teethToSpan(int teeth) {
    return WheelFigures.spanned(teeth, Cut.STANDARD, 1);
  }

  /** Whether the size is in the standard series of its kind. */
  public static boolean isStandard(Pitch pitch) {
    return series().stream()
        .filter(one -> one.getClass().equals(pitch.getClass()))
        .anyMatch(one -> one.moduleMm().equals(pitch.moduleMm()));
  }

  /**
   * The largest standard module (or diametral pitch) not above {@code moduleMm}, if there is one.
   */
  public static Optional<Pitch> below(double moduleMm, boolean inch) {
    return series().stream()
        .filter(pitch -> pitch instanceof Pitch.Diametral == inch)
        .filter(pitch -> pitch.moduleMm().doubleValue() <= moduleMm * (1 + 1e-12))
        .max(Comparator.comparing(Pitch::moduleMm));
  }
}
