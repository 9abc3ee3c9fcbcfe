package steadycog.format.csv;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assertions.fail;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.bench.Recording;
import steadycog.bench.Recording.Channel;
import steadycog.bench.RecordingResult;
import steadycog.bench.Rigging;
import steadycog.format.json.UnreadableException;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.train.Train;

/** Recordings as instruments write them: each is read right, or refused with its remedy. */
class RecordingKindsTest {
  private static final String SAMPLES = "/recordings/kinds.txt";

  /** A sample: its name, what is expected of it, and the text. */
  record Kind(String name, List<String> expected, String text) {
    @Override
    public String toString() {
      return name;
    }
  }

  static List<Kind> kinds() throws IOException {
    try (InputStream in = RecordingKindsTest.class.getResourceAsStream(SAMPLES)) {
      String all = new String(in.readAllBytes(), StandardCharsets.UTF_8);
      List<Kind> kinds = new ArrayList<>();
      for (String one : all.split("(?m)^== ")) {
        List<String> lines = one.lines().toList();
        if (!lines.isEmpty()) {
          List<String> expected =
              lines.stream().filter(l -> l.startsWith("> ")).map(l -> l.substring(2)).toList();
          List<String> text = lines.subList(1 + expected.size(), lines.size());
          kinds.add(new Kind(lines.getFirst(), expected, String.join("\n", text)));
        }
      }
      return kinds;
    }
  }

  private static final Train TEN = train("parallel 10 ~ 40 = 10 ~ 25; drive A 60 rpm; take D");

  private static Train train(String card) {
    try {
      return Card.read(card).train();
    } catch (CardException wrong) {
      throw new IllegalStateException(wrong);
    }
  }

  private record Read(Recording recording, RecordingResult result, List<String> said) {}

  private static Read read(byte[] bytes, String columns) throws IOException, UnreadableException {
    Beginning beginning = Beginning.of(new ByteArrayInputStream(bytes));
    ColumnGuess guess = beginning.guess();
    Recording recording =
        RecordingCsv.read(
            new ByteArrayInputStream(bytes),
            "log.csv",
            beginning,
            guess.with(columns, beginning.heads()),
            n -> {},
            () -> false);
    RecordingResult result =
        RecordingResult.of(
            recording, Rigging.METER, LocalDate.of(2031, 3, 14), "", Optional.of(TEN));
    List<String> said = new ArrayList<>(guess.said());
    said.addAll(result.remarks());
    return new Read(recording, result, said);
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void eachIsReadRightOrRefusedWithItsRemedy(Kind kind) throws Exception {
    String columns =
        kind.expected.stream()
            .filter(e -> e.startsWith("columns "))
            .map(e -> e.substring(8))
            .findFirst()
            .orElse("");
    byte[] bytes = kind.text.getBytes(StandardCharsets.UTF_8);
    if (kind.expected.stream().anyMatch(e -> e.startsWith("refused "))) {
      Exception refused = assertThrows(Exception.class, () -> read(bytes, columns));
      for (String expected : kind.expected) {
        assertTrue(
            refused.getMessage().contains(expected.substring(8)), () -> refused.getMessage());
      }
      return;
    }
    Read read = read(bytes, columns);
    for (String expected : kind.expected) {
      String value = expected.substring(expected.indexOf(' ') + 1);
      switch (expected.substring(0, expected.indexOf(' '))) {
        case "ratio" ->
            assertEquals(
                Double.parseDouble(value),
                read.result.ratio().orElseGet(() -> fail(read.said.toString())),
                0.01,
                read.said::toString);
        case "no" -> assertEquals(Optional.empty(), read.result.ratio(), read.said::toString);
        case "rpm" -> assertEquals(Double.parseDouble(value), speed(read.recording), 0.01);
        case "steps" ->
            assertEquals(
                Integer.parseInt(value),
                read.result.load().map(l -> l.steps().size()).orElse(0),
                read.said::toString);
        case "skipped" -> assertEquals(Long.parseLong(value), read.recording.skipped());
        case "told" ->
            assertTrue(read.said.stream().anyMatch(s -> s.contains(value)), read.said::toString);
        case "columns" -> {}
        default -> fail(expected);
      }
    }
  }

  /** Of the input from first row to last: it needs the time to be read right. */
  private static double speed(Recording recording) {
    double[] time = recording.columns().get(Channel.TIME);
    double[] input = recording.columns().get(Channel.INPUT);
    int last = recording.rows() - 1;
    return 60 * (input[last] - input[0]) / (time[last] - time[0]);
  }

  /** Letters in one byte or two, and any line ends, change nothing. */
  @ParameterizedTest
  @ValueSource(strings = {"UTF-8", "UTF-16", "UTF-16LE", "windows-1252"})
  void theLettersOfTheInstrumentAreUnderstood(String charset) throws Exception {
    for (String end : List.of("\n", "\r\n", "\r")) {
      String text =
          String.join(
              end,
              "time [s],input [°],output [°],temp [°C]",
              "0,0,0,21",
              "1,60,6,21",
              "2,120,12,22");
      Read read = read(text.getBytes(Charset.forName(charset)), "");
      assertEquals(10, read.result.ratio().orElseThrow(), 1e-6, read.said::toString);
      assertEquals(10, speed(read.recording), 1e-6);
    }
  }

  @Test
  void theSamplesAreMany() throws Exception {
    assertTrue(kinds().size() >= 58);
    assertEquals(
        kinds().size(), kinds().stream().map(Kind::name).distinct().count(), "names are unique");
  }
}
