package steadycog.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.bench.Recording.Channel;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.train.Train;

/** A recording is counted right, or says why it cannot be counted: never wrong without a word. */
class CountedOrToldTest {
  private static final LocalDate DAY = LocalDate.of(2031, 5, 6);
  private static final int ROWS = 400;

  private static Recording recording(Map<Channel, double[]> columns) {
    int rows = columns.values().iterator().next().length;
    int[] lines = IntStream.range(2, rows + 2).toArray();
    return new Recording("r", columns, rows, List.of(), 0, Map.of(), lines, List.of());
  }

  private static double wrapped(double turns) {
    return turns - Math.floor(turns);
  }

  private static RecordingResult turned(double step, double ratio, double jitter, Train train) {
    SplittableRandom random = new SplittableRandom(Double.doubleToLongBits(step));
    double[] time = new double[ROWS];
    double[] input = new double[ROWS];
    double[] output = new double[ROWS];
    double at = 0;
    for (int k = 0; k < ROWS; k++) {
      // From rest up to speed, as every motor starts.
      at += step * Math.min(1, k / 25.0) * (1 + jitter * (random.nextDouble() - 0.5));
      time[k] = 0.01 * k;
      input[k] = wrapped(at);
      output[k] = at / ratio;
    }
    Map<Channel, double[]> columns = new EnumMap<>(Channel.class);
    columns.put(Channel.TIME, time);
    columns.put(Channel.INPUT, input);
    columns.put(Channel.OUTPUT, output);
    return RecordingResult.of(recording(columns), Rigging.METER, DAY, "", Optional.of(train));
  }

  private static Train train(String card) throws CardException {
    return Card.read(card).train();
  }

  /** From slow to many turns a row, forwards and backwards, with the ratio of the card or not. */
  @ParameterizedTest
  @ValueSource(strings = {"parallel 10 ~ 40 = 10 ~ 25", "parallel 12 ~ 102 = 12 ~ 120"})
  void noSpeedIsCountedWrong(String gears) throws CardException {
    Train train = train(gears + "; drive A; take D");
    double ratio = gears.contains("102") ? 85 : 10;
    int counted = 0;
    int told = 0;
    for (double step = 0.011; step < 2.6; step += 0.0137) {
      for (double signed : new double[] {step, -step}) {
        RecordingResult result = turned(signed, ratio, 0.02, train);
        if (result.ratio().isPresent()) {
          counted++;
          assertEquals(ratio, result.ratio().get(), 0.01 * ratio, "step " + signed);
        } else {
          told++;
          assertTrue(
              result.remarks().stream().anyMatch(r -> r.contains("record faster")),
              () -> signed + ": " + result.remarks());
          assertTrue(step > 0.3, "slow enough to count: " + step);
        }
      }
    }
    assertTrue(counted > 30 && told > 200, counted + " counted, " + told + " told");
  }

  /** Steps of a load are found whatever sits on top: noise, spikes, a sign, an offset at rest. */
  @Test
  void theStepsOfALoadAreFound() {
    SplittableRandom random = new SplittableRandom(17);
    for (int round = 0; round < 150; round++) {
      int steps = random.nextInt(2, 7);
      double least = random.nextDouble(0.2, 2);
      double sign = random.nextBoolean() ? 1 : -1;
      List<Double> torque = new ArrayList<>();
      List<Double> planned = new ArrayList<>();
      for (int s = 0; s < steps; s++) {
        double load = least * (s + 1);
        planned.add(load);
        for (int k = 0; k < 60; k++) {
          torque.add(sign * load * (1 + 0.002 * (random.nextDouble() - 0.5)));
        }
      }
      int spikes = random.nextInt(3);
      for (int k = 0; k < spikes; k++) {
        torque.set(20 + 60 * random.nextInt(steps), sign * 900.0);
      }
      Map<Channel, double[]> columns = new EnumMap<>(Channel.class);
      columns.put(Channel.TORQUE, torque.stream().mapToDouble(t -> t).toArray());
      RecordingResult result =
          RecordingResult.of(recording(columns), Rigging.METER, DAY, "", Optional.empty());
      List<LoadStep> found = result.load().orElseThrow().steps();
      assertEquals(steps, found.size(), () -> planned + " " + result.remarks());
      for (int s = 0; s < steps; s++) {
        assertEquals(planned.get(s), found.get(s).load().inBase(), 0.01 * planned.get(s));
      }
      assertEquals(
          sign < 0, result.remarks().stream().anyMatch(r -> r.contains("read as negative")));
      assertEquals(spikes > 0, result.remarks().stream().anyMatch(r -> r.contains("set aside")));
    }
  }

  @Test
  void whatAReaderFoundIsPassedOn() {
    Map<Channel, double[]> columns = Map.of(Channel.TORQUE, new double[50]);
    Recording said =
        new Recording("r", columns, 50, List.of(), 3, Map.of(), new int[50], List.of("a word"));
    RecordingResult result = RecordingResult.of(said, Rigging.METER, DAY, "", Optional.empty());
    assertEquals(List.of("a word", "3 rows skipped"), result.remarks());
  }
}
