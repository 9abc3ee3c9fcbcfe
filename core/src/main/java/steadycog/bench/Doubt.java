package steadycog.bench;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import steadycog.bench.LoadResult.Row;
import steadycog.number.Figures;
import steadycog.number.Quantity;

/**
 * What cannot be so among the readings of a load test, with the likeliest cause.
 *
 * @param step its number from 1 on; empty where all steps say it
 */
public record Doubt(Optional<Integer> step, String words) {
  /** How near an efficiency must come to the one worked out for a slip of units to explain it. */
  private static final double NEAR = 0.15;

  /** So little of what is worked out comes out only by a slip. */
  private static final double FAR = 0.3;

  /** Currents are read no better than this share, and voltages under load. */
  private static final double READ = 0.03;

  private static final double MORE_LOAD = 1.05;

  /** Slips of units and sizes: how many times too much torque they make of what there is. */
  private static final Map<Double, String> SLIPS = slips();

  private static Map<Double, String> slips() {
    Map<Double, String> all = new LinkedHashMap<>();
    all.put(2.0, "the whole beam or diameter was taken for one side of it");
    all.put(2.20462, "pounds were read and kilograms typed");
    all.put(4.44822, "newtons were read and pounds-force typed");
    all.put(Rigging.GRAVITY, "newtons were read and kilograms typed");
    all.put(10.0, "millimetres were measured and centimetres typed");
    all.put(25.4, "millimetres were measured and inches typed");
    all.put(141.612, "the torque constant is in N m/A and was typed as ounce-inches");
    all.put(1000.0, "the torque constant is in N m/A and was typed in mN m/A");
    return all;
  }

  /** Everything doubtful, that of all steps first. */
  static List<Doubt> of(List<Row> rows, Rigging rigging, Optional<Double> predicted) {
    List<Doubt> all = new ArrayList<>(little(rows, rigging, predicted).stream().toList());
    for (int k = 0; k < rows.size(); k++) {
      Row row = rows.get(k);
      Optional<Integer> number = Optional.of(k + 1);
      row.efficiency()
          .filter(share -> share > 1)
          .map(share -> more(share, rigging, predicted))
          .ifPresent(words -> all.add(new Doubt(number, words)));
      row.whole()
          .filter(share -> share > 1)
          .map(
              share ->
                  "with its motor more power comes out than the supply gives ("
                      + percent(share)
                      + "): current, voltage or speed is misread")
          .ifPresent(words -> all.add(new Doubt(number, words)));
      idle(row, rigging).ifPresent(words -> all.add(new Doubt(number, words)));
      constant(row, rigging).ifPresent(words -> all.add(new Doubt(number, words)));
    }
    falling(rows, all);
    return List.copyOf(all);
  }

  private static String more(double share, Rigging rigging, Optional<Double> predicted) {
    String cause =
        predicted
            .flatMap(worked -> slip(share / worked))
            .map(words -> "as if " + words)
            .orElse(
                (rigging.torqueConstant().isPresent()
                        ? "the torque constant is too small, "
                        : "the torque at the input is read low, ")
                    + "or load or arm are less than stated");
    return "more comes out than goes in (" + percent(share) + "): " + cause;
  }

  /** Of all steps far less comes out than is worked out, by just what a slip makes. */
  private static Optional<Doubt> little(
      List<Row> rows, Rigging rigging, Optional<Double> predicted) {
    List<Double> shares = rows.stream().flatMap(row -> row.efficiency().stream()).sorted().toList();
    if (shares.isEmpty() || predicted.isEmpty()) {
      return Optional.empty();
    }
    double middle = shares.get(shares.size() / 2);
    double off = predicted.get() / middle;
    return middle < FAR * predicted.get()
        ? slip(off)
            .map(
                words ->
                    new Doubt(
                        Optional.empty(),
                        "only "
                            + percent(middle)
                            + " comes out where "
                            + percent(predicted.get())
                            + " is worked out: "
                            + Figures.significant(off, 2)
                            + " times too little, as by a slip of units in load, arm or"
                            + (rigging.torqueConstant().isPresent()
                                ? " torque constant"
                                : " torque at the input")))
        : Optional.empty();
  }

  private static Optional<String> slip(double times) {
    return SLIPS.keySet().stream()
        .filter(factor -> Math.abs(times / factor - 1) < NEAR)
        .min(Comparator.comparingDouble(factor -> Math.abs(Math.log(times / factor))))
        .map(SLIPS::get);
  }

  private static Optional<String> idle(Row row, Rigging rigging) {
    return row.step()
        .of(Measure.CURRENT)
        .map(Quantity::inBase)
        .filter(
            amps ->
                row.step().outcome() == Outcome.HELD
                    && row.torque() > 0
                    && rigging.torqueConstant().isPresent()
                    && amps <= rigging.idle())
        .map(
            amps ->
                "the motor draws no more ("
                    + Figures.significant(amps, 3)
                    + " A) than alone ("
                    + Figures.significant(rigging.idle(), 3)
                    + " A): the idle current is less, or the load helps it along");
  }

  /** What a motor makes by turning cannot be more than its supply: k in V s is k in N m/A. */
  private static Optional<String> constant(Row row, Rigging rigging) {
    Optional<Double> speed = row.step().of(Measure.SPEED).map(q -> Math.abs(q.inBase()));
    Optional<Double> volts = row.step().of(Measure.VOLTAGE).map(Quantity::inBase);
    if (rigging.torqueConstant().isEmpty() || speed.isEmpty() || volts.isEmpty()) {
      return Optional.empty();
    }
    double turning = speed.get() * Math.PI / 30;
    double own = rigging.torqueConstant().get() * turning;
    return own > volts.get() * (1 + READ) && turning > 0
        ? Optional.of(
            "a motor of that torque constant would make "
                + Figures.significant(own, 3)
                + " V by itself at this speed, and "
                + Figures.significant(volts.get(), 3)
                + " V were on it: the constant is at most "
                + Figures.significant(1000 * volts.get() / turning, 3)
                + " N mm/A")
        : Optional.empty();
  }

  /** Between loads that were held, the lighter one first. */
  private static void falling(List<Row> rows, List<Doubt> all) {
    List<Row> held =
        rows.stream()
            .filter(row -> row.step().outcome() == Outcome.HELD)
            .filter(row -> row.step().of(Measure.CURRENT).isPresent())
            .sorted(Comparator.comparingDouble(Row::torque))
            .toList();
    for (int k = 1; k < held.size(); k++) {
      double before = amps(held.get(k - 1));
      double now = amps(held.get(k));
      boolean heavier = held.get(k).torque() > MORE_LOAD * held.get(k - 1).torque();
      if (heavier && now < before * (1 - READ)) {
        all.add(
            new Doubt(
                Optional.of(rows.indexOf(held.get(k)) + 1),
                "the current falls from "
                    + Figures.significant(before, 3)
                    + " to "
                    + Figures.significant(now, 3)
                    + " A though the load rises: one of the two is misread, or belongs to another"
                    + " step"));
      }
    }
  }

  private static double amps(Row row) {
    return row.step().of(Measure.CURRENT).orElseThrow().inBase();
  }

  private static String percent(double share) {
    return Figures.percent(share, 1);
  }

  /** {@code Step 3: more comes out than goes in …}. */
  public String text() {
    return step.map(number -> "Step " + number + ": ").orElse("All steps: ") + words + ".";
  }
}
