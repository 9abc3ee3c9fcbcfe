package steadycog.format.csv;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.bench.Recording;
import steadycog.bench.Recording.Channel;
import steadycog.bench.RecordingResult;
import steadycog.bench.Rigging;
import steadycog.format.json.UnreadableException;

class RecordingCsvTest {

  private static InputStream in(String text) {
    return new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8));
  }

  static Recording read(String text) throws IOException, UnreadableException {
    return read(text, "");
  }

  private static Recording read(String text, String columns)
      throws IOException, UnreadableException {
    Beginning beginning = Beginning.of(in(text));
    return RecordingCsv.read(
        in(text),
        "log.csv",
        beginning,
        beginning.guess().with(columns, beginning.heads()),
        bytes -> {},
        () -> false);
  }

  /** The same three rows however they are parted, headed and measured. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        """
        time [s],input [deg],output [deg],torque [Nm]
        0,0,0,0.5
        0.1,36,3.6,0.5
        0.2,72,7.2,0.5
        """,
        """
        time_ms;input_turns;output_rev;torque_Nmm
        0;0;0;500
        100;0,1;0,01;500
        200;0,2;0,02;500
        """,
        """
        t\tin (rad)\tout (deg)\ttorque out (N\u00b7m)
        # stopped here
        0\t0\t0\t0.5
        0.1\t0.628318531\t3.6\t0.5

        0.2\t1.256637061\t7.2\t0.5
        """,
        """
        Time,Input,Output,Torque
        s,counts/1000,counts/500,kgf-cm
        0,0,0,5.098581
        0.1,100,5,5.098581
        0.2,200,10,5.098581
        """,
        """
        \ufefftime,input,output,torque
        0,0,0,0.5 Nm
        0.1,36,3.6 deg,500 Nmm
        0.2,0.2 turn,0.02 turn,0.5
        """
      })
  void separatorsUnitsAndDecimalCommasAreUnderstood(String text) throws Exception {
    Recording recording = read(text);
    assertEquals(3, recording.rows());
    assertEquals(0, recording.skipped());
    for (int k = 0; k < 3; k++) {
      assertEquals(0.1 * k, recording.columns().get(Channel.TIME)[k], 1e-9);
      assertEquals(0.1 * k, recording.columns().get(Channel.INPUT)[k], 1e-9);
      assertEquals(0.01 * k, recording.columns().get(Channel.OUTPUT)[k], 1e-9);
      assertEquals(0.5, recording.columns().get(Channel.TORQUE)[k], 1e-6);
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "''|1:1: nothing in it",
        "turns\\n0\\n1|1:1: only one column",
        "0,1,2\\n1,2,3|1:1: neither both angles nor a torque among the columns column 1",
        "time,speed\\n0,1\\n1,1|1:1: neither both angles nor a torque",
        "time,input [furlong],output\\n0,0,0\\n1,1,1|1:1: unknown unit 'furlong' of input angle",
        "time,input,output\\n|1:1: no rows",
        "time,input,output\\n"
            + "0,1,5,0,1,5\\n"
            + "0,2,6,0,2,6\\n"
            + "0,3,7,0,3,7|2:1: 6 columns instead of 3: decimal commas",
        "time,input,output\\n0,a,0\\n1,b,1\\n2,2,2|2:1: 2 of 3 rows cannot be read",
        "a,b\\u0000|1:1: not text",
        "time,input,output\\n0,\"1,2\\n3,4,5|1:1: no rows"
      })
  void whatIsNoRecordingIsRefusedWithPlaceAndRemedy(String text, String expected) {
    String real = text.replace("\\n", "\n").replace("\\u0000", "\u0000");
    UnreadableException refused = assertThrows(UnreadableException.class, () -> read(real));
    String found = refused.at("f").substring(2);
    assertTrue(found.startsWith(expected), found);
  }

  @Test
  void badRowsAreSkippedByLineAndColumnsCanBeNamed() throws Exception {
    Recording recording =
        read(
            "when,north,south,odd\n0,0,0,x\n1,360,36,x\n2,oops,72,x\n3,1080\n4,1440,144,x\n",
            "time=when,input=2:deg,output=south:deg");
    assertEquals(3, recording.rows());
    assertEquals(2, recording.skipped());
    assertEquals(4, recording.bad().get(0).line());
    assertTrue(recording.bad().get(0).why().contains("'oops'"));
    assertEquals(5, recording.bad().get(1).line());
    assertEquals(6, recording.lines()[2]);
    IllegalArgumentException wrong =
        assertThrows(
            IllegalArgumentException.class,
            () -> read("time,input,output\n0,0,0\n1,1,1\n", "input=west"));
    assertTrue(wrong.getMessage().contains("there are: time, input, output"));
  }

  /** Damage anywhere leaves a recording that is read, or a clear refusal; never a crash. */
  @Test
  void damagedRecordingsAreReadOrRefused() throws Exception {
    StringBuilder whole = new StringBuilder("time [s],input [deg],output [deg],torque [Nm]\n");
    for (int k = 0; k < 60; k++) {
      whole.append(String.format(Locale.ROOT, "%.2f,%.1f,%.2f,0.5%n", 0.01 * k, 7.0 * k, 0.7 * k));
    }
    Random random = new Random(5);
    int readable = 0;
    for (int round = 0; round < 400; round++) {
      StringBuilder text = new StringBuilder(whole);
      for (int hits = random.nextInt(1, 6); hits > 0; hits--) {
        int at = random.nextInt(text.length());
        switch (random.nextInt(3)) {
          case 0 -> text.setCharAt(at, (char) random.nextInt(32, 127));
          case 1 -> text.insert(at, "\",;\t\n".charAt(random.nextInt(5)));
          default -> text.delete(at, Math.min(text.length(), at + random.nextInt(30)));
        }
      }
      try {
        Recording recording = read(text.toString());
        RecordingResult.of(recording, Rigging.METER, LocalDate.EPOCH, "", Optional.empty());
        readable++;
      } catch (IllegalArgumentException asked) {
        assertTrue(asked.getMessage().contains("say which, as in --columns"), asked.getMessage());
      } catch (UnreadableException clear) {
        assertTrue(clear.line() >= 1 && !clear.getMessage().isBlank());
      }
    }
    assertTrue(readable > 200, "most damage is survived: " + readable);
  }

  /** A counter of two bytes, written for an hour at 300 rows a second, with rows lost. */
  @Test
  void aMillionRowsAreReadAndCanBeStopped() throws Exception {
    int rows = 1_000_000;
    StringBuilder text = new StringBuilder("time [s],input [counts/4096],output [deg]\n");
    for (int k = 0; k < rows; k++) {
      if (k % 100_000 == 77) {
        continue;
      }
      long counts = (long) (k * 4096.0 / 150) % 65_536;
      long tenths = Math.round(k * 3600.0 / 150 / 85) % 3600;
      text.append(k / 300)
          .append('.')
          .append(1000 + k % 300 * 1000 / 300)
          .deleteCharAt(text.length() - 4);
      text.append(',').append(counts).append(',').append(tenths / 10).append('.');
      text.append(tenths % 10).append('\n');
    }
    byte[] bytes = text.toString().getBytes(StandardCharsets.UTF_8);
    Beginning beginning = Beginning.of(new ByteArrayInputStream(bytes));
    long[] told = {0};
    Recording recording =
        RecordingCsv.read(
            new ByteArrayInputStream(bytes),
            "long.csv",
            beginning,
            beginning.guess().columns(),
            now -> told[0] = now,
            () -> false);
    assertEquals(rows - 10, recording.rows());
    assertTrue(told[0] > bytes.length / 2);
    RecordingResult result =
        RecordingResult.of(recording, Rigging.METER, LocalDate.EPOCH, "", Optional.empty());
    assertEquals(85, result.ratio().orElseThrow(), 0.001, result.remarks()::toString);
    assertEquals(Optional.empty(), result.load());
    assertThrows(
        CancellationException.class,
        () ->
            RecordingCsv.read(
                new ByteArrayInputStream(bytes),
                "long.csv",
                beginning,
                beginning.guess().columns(),
                now -> {},
                () -> true));
  }
}
