package steadycog.format.csv;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayInputStream;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.bench.Recording;
import steadycog.bench.Recording.Channel;
import steadycog.format.json.UnreadableException;

/** However a recording is written, the same readings come out: forms put together at random. */
class RecordingFormsTest {
  private static final String[] SEPARATORS = {",", ";", "\t", "|", "   "};

  /**
   * Names and units by which instruments may head a channel, and what the unit is in base units.
   */
  private record Head(Channel channel, String text, double unit) {}

  private static final Map<Channel, List<Head>> HEADS =
      new TreeMap<>(
          Map.of(
              Channel.TIME,
              List.of(
                  new Head(Channel.TIME, "time [s]", 1),
                  new Head(Channel.TIME, "t_ms", 1e-3),
                  new Head(Channel.TIME, "Elapsed_min", 60),
                  new Head(Channel.TIME, "time/s", 1)),
              Channel.INPUT,
              List.of(
                  new Head(Channel.INPUT, "input_deg", 1 / 360.0),
                  new Head(Channel.INPUT, "motorAngle(turn)", 1),
                  new Head(Channel.INPUT, "drive[counts/4096]", 1 / 4096.0),
                  new Head(Channel.INPUT, "phi_in/rad", 1 / (2 * Math.PI))),
              Channel.OUTPUT,
              List.of(
                  new Head(Channel.OUTPUT, "output[deg]", 1 / 360.0),
                  new Head(Channel.OUTPUT, "load_position[rev]", 1),
                  new Head(Channel.OUTPUT, "Angle_Out_arcmin", 1 / 21_600.0)),
              Channel.TORQUE,
              List.of(
                  new Head(Channel.TORQUE, "torque[Nm]", 1),
                  new Head(Channel.TORQUE, "brakeTorque_mNm", 1e-3),
                  new Head(Channel.TORQUE, "load[lbf-in]", 0.1129848290276167)),
              Channel.TORQUE_IN,
              List.of(
                  new Head(Channel.TORQUE_IN, "motor_torque[Nmm]", 1e-3),
                  new Head(Channel.TORQUE_IN, "torque_in/Nm", 1)),
              Channel.CURRENT,
              List.of(
                  new Head(Channel.CURRENT, "motor_current_mA", 1e-3),
                  new Head(Channel.CURRENT, "I[A]", 1)),
              Channel.VOLTAGE,
              List.of(
                  new Head(Channel.VOLTAGE, "supply_voltage[V]", 1),
                  new Head(Channel.VOLTAGE, "U_mV", 1e-3)),
              Channel.NOISE,
              List.of(new Head(Channel.NOISE, "noise[dBA]", 1))));

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void theSameReadingsComeOutOfEveryForm(long seed) throws Exception {
    Random random = new Random(seed);
    for (int round = 0; round < 120; round++) {
      List<Head> heads = new ArrayList<>();
      for (Map.Entry<Channel, List<Head>> one : HEADS.entrySet()) {
        boolean needed = Set.of(Channel.INPUT, Channel.OUTPUT).contains(one.getKey());
        if (needed || random.nextBoolean()) {
          heads.add(one.getValue().get(random.nextInt(one.getValue().size())));
        }
      }
      Collections.shuffle(heads, random);
      String separator = SEPARATORS[random.nextInt(SEPARATORS.length)];
      boolean comma = !separator.equals(",") && random.nextBoolean();
      int rows = random.nextInt(4, 40);
      double[][] base = new double[rows][heads.size()];
      StringBuilder text = new StringBuilder();
      int above = random.nextInt(4);
      for (int k = 0; k < above; k++) {
        text.append(k % 2 == 0 ? "# logger " + k : "Serial: TR-" + k).append('\n');
      }
      List<String> names = heads.stream().map(Head::text).toList();
      text.append(random.nextInt(5) == 0 ? "# " : "").append(String.join(separator, names));
      text.append('\n');
      for (int r = 0; r < rows; r++) {
        List<String> cells = new ArrayList<>();
        for (int c = 0; c < heads.size(); c++) {
          boolean time = heads.get(c).channel == Channel.TIME;
          double value = time ? r + 1.25 : random.nextInt(-9000, 9000) / 8.0;
          base[r][c] = value * heads.get(c).unit;
          String cell = String.format(Locale.ROOT, "%.3f", value);
          cells.add(comma ? cell.replace('.', ',') : cell);
        }
        text.append(String.join(separator, cells)).append('\n');
      }
      text.append(random.nextBoolean() ? "end of file\n" : "");
      String all = text.toString();
      Charset charset = random.nextInt(4) == 0 ? StandardCharsets.UTF_16 : StandardCharsets.UTF_8;
      Recording recording = read(all.getBytes(charset), all);
      assertEquals(rows, recording.rows(), all);
      for (int c = 0; c < heads.size(); c++) {
        double[] column = recording.column(heads.get(c).channel).orElseThrow(() -> lost(all));
        for (int r = 0; r < rows; r++) {
          assertEquals(base[r][c], column[r], 1e-9 * (1 + Math.abs(base[r][c])), all);
        }
      }
      assertEquals(heads.size(), recording.columns().size(), "and nothing else");
    }
  }

  private static AssertionError lost(String text) {
    return new AssertionError("a channel is lost: " + text);
  }

  private static Recording read(byte[] bytes, String said) throws Exception {
    Beginning beginning = Beginning.of(new ByteArrayInputStream(bytes));
    ColumnGuess guess = beginning.guess();
    assertEquals(List.of(), guess.questions(), said);
    try {
      return RecordingCsv.read(
          new ByteArrayInputStream(bytes), "r", beginning, guess.columns(), n -> {}, () -> false);
    } catch (UnreadableException refused) {
      throw new AssertionError(refused.getMessage() + " of\n" + said, refused);
    }
  }

  // ---- numbers

  /** Written in any country a number is read as it was meant. */
  @Test
  void numbersOfAnyCountryAreRead() {
    Random random = new Random(21);
    for (int k = 0; k < 3000; k++) {
      double value = random.nextInt(-90_000_000, 90_000_000) / 1000.0;
      String point = String.format(Locale.ROOT, "%.3f", value);
      String marked = String.format(Locale.ROOT, "%,.3f", value);
      Numbers points = new Numbers(false);
      Numbers commas = new Numbers(true);
      assertEquals(value, points.parse(point), 1e-9);
      assertEquals(value, points.parse(marked), 1e-9, marked);
      assertEquals(value, commas.parse(point.replace('.', ',')), 1e-9);
      String german = marked.replace(',', '_').replace('.', ',').replace('_', '.');
      assertEquals(value, commas.parse(german), 1e-9, german);
      assertEquals(value, commas.parse(german.replace('.', '\u00a0')), 1e-9);
      assertEquals(value, points.parse(point.replace('-', '\u2212')), 1e-9);
      assertEquals(commas, Numbers.of(List.of(german + "1"), false).orElseThrow(), german);
      assertEquals(points, Numbers.of(List.of(point + "1"), true).orElseThrow(), point);
    }
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"", "x", "1.2.3", "0x10", "1e", "--1", "Infinity", "NaN", "1,2,3", "12abc", "-"})
  void whatIsNoNumberIsNone(String text) {
    assertTrue(Double.isNaN(new Numbers(false).parse(text)), text);
    assertTrue(Double.isNaN(new Numbers(true).parse(text)), text);
  }

  @Test
  void threeDigitsBehindACommaAreAskedWhereTheyCanBeEither() {
    assertEquals(Optional.empty(), Numbers.of(List.of("1,234", "5,678"), true));
    assertTrue(Numbers.of(List.of("1,234", "5,678"), false).orElseThrow().comma());
    assertTrue(Numbers.of(List.of("1,234", "0,5"), true).orElseThrow().comma());
    assertFalse(Numbers.of(List.of("1,234", "0.5"), true).orElseThrow().comma());
  }

  // ---- times

  private static final List<String> FORMS =
      List.of(
          "yyyy-MM-dd'T'HH:mm:ss.SSS",
          "yyyy-MM-dd HH:mm:ss,SSS",
          "yyyy/MM/dd HH:mm:ss.SSS",
          "dd.MM.yyyy HH:mm:ss.SSS",
          "dd-MMM-yyyy HH:mm:ss.SSS",
          "yyyyMMdd'T'HHmmss.SSS",
          "HH:mm:ss.SSS");

  /**
   * However a clock writes them, the same moments lie the same seconds apart, over midnight too.
   */
  @Test
  void clocksOfAnyFormTellTheSameSeconds() {
    Random random = new Random(31);
    for (int round = 0; round < 300; round++) {
      LocalDateTime start =
          LocalDateTime.of(2031, random.nextInt(1, 13), random.nextInt(13, 28), 23, 59)
              .minusSeconds(random.nextInt(90));
      String form = FORMS.get(random.nextInt(FORMS.size()));
      DateTimeFormatter writer = DateTimeFormatter.ofPattern(form, Locale.ENGLISH);
      List<LocalDateTime> moments = new ArrayList<>();
      for (int k = 0; k < 60; k++) {
        moments.add(start.plus(k * 3_250L, ChronoUnit.MILLIS));
      }
      List<String> cells = moments.stream().map(writer::format).toList();
      Times times = new Times(Times.order(cells));
      for (int k = 0; k < cells.size(); k++) {
        assertTrue(Times.kind(cells.get(k)).isPresent(), cells.get(k));
        assertEquals(3.25 * k, times.next("", cells.get(k)), 1e-6, cells.get(k));
      }
    }
  }

  @ParameterizedTest
  @CsvSource({"dd/MM/yyyy,DAY_FIRST", "MM/dd/yyyy,MONTH_FIRST", "dd.MM.yy,DAY_FIRST"})
  void theOrderOfADateFollowsFromItsNumbers(String form, Times.Order expected) {
    DateTimeFormatter writer = DateTimeFormatter.ofPattern(form, Locale.ENGLISH);
    List<String> dates = List.of(writer.format(LocalDateTime.of(2031, 3, 24, 0, 0)));
    assertEquals(expected, Times.order(dates));
    assertFalse(Times.open(dates));
    assertTrue(Times.open(List.of("03/04/2031", "04/04/2031")));
    assertEquals(Times.Order.MONTH_FIRST, Times.order(List.of("03/04/2031 10:00:00 PM")));
  }

  @Test
  void zonesAndHalvesOfTheDayCount() {
    Times times = new Times(Times.Order.OPEN);
    OffsetDateTime first = OffsetDateTime.of(2031, 3, 14, 1, 30, 0, 0, ZoneOffset.ofHours(1));
    assertEquals(0, times.next("", first.toString()));
    OffsetDateTime later = first.plusHours(2).withOffsetSameInstant(ZoneOffset.ofHours(2));
    assertEquals(7200, times.next("", later.toString()), 1e-6, "summer begins");
    Times halves = new Times(Times.Order.OPEN);
    assertEquals(0, halves.next("", "11:59:59 AM"));
    assertEquals(1, halves.next("", "12:00:00 PM"));
    assertEquals(3602, halves.next("", "1:00:01 p.m."));
    assertEquals(43_201, halves.next("", "12:00:00 am"), "midnight");
    assertTrue(Double.isInfinite(halves.next("", "noon")));
    assertTrue(Double.isInfinite(new Times(Times.Order.DAY_FIRST).next("31.02.2031", "10:00:00")));
  }

  // ---- heads

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "time,angle [deg],angle 2 [deg]|INPUT",
        "time,motor,output [deg]|CURRENT",
        "time,output [deg],load|TORQUE",
        "time,input,output,torque A [Nm],torque B [Nm]|TORQUE",
        "time,input,output,current 1 [A],current 2 [A]|CURRENT",
        "t [s],time [s],input,output|TIME",
        "time,input,output,torque [deg]|OUTPUT"
      })
  void whatCanBeReadTwoWaysIsAskedAndTheAnswerIsTaken(String heads, Channel about)
      throws Exception {
    int columns = heads.split(",").length;
    StringBuilder text = new StringBuilder(heads).append('\n');
    for (int r = 0; r < 5; r++) {
      for (int c = 0; c < columns; c++) {
        text.append(c == 0 ? "" : ",").append(c + r);
      }
      text.append('\n');
    }
    Beginning beginning =
        Beginning.of(new ByteArrayInputStream(text.toString().getBytes(StandardCharsets.UTF_8)));
    ColumnGuess guess = beginning.guess();
    assertTrue(
        guess.questions().stream().anyMatch(q -> q.channels().contains(about)),
        () -> guess.questions().toString());
    String refused =
        assertThrows(IllegalArgumentException.class, () -> guess.with("", beginning.heads()))
            .getMessage();
    assertTrue(refused.contains("say which, as in --columns "), refused);
    StringBuilder answers = new StringBuilder();
    guess.questions().forEach(q -> answers.append(q.example().split(" ")[0]).append(','));
    Columns told = guess.with(answers.toString(), beginning.heads());
    for (ColumnGuess.Question question : guess.questions()) {
      assertTrue(question.channels().stream().anyMatch(told.of()::containsKey));
    }
  }
}
