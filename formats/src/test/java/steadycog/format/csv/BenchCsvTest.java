package steadycog.format.csv;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import steadycog.bench.BenchTest;
import steadycog.bench.Build;
import steadycog.bench.LoadStep;
import steadycog.bench.LoadTest;
import steadycog.bench.Measure;
import steadycog.bench.Outcome;
import steadycog.bench.Recording;
import steadycog.bench.Recording.Channel;
import steadycog.bench.TestHead;
import steadycog.bench.TurnTest;
import steadycog.bench.rig.RigReading;
import steadycog.bench.rig.RigSettings;
import steadycog.bench.rig.SimulatedRig;
import steadycog.format.demo.TernRock;
import steadycog.format.json.UnreadableException;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit;

class BenchCsvTest {

  private static List<Build> builds() {
    return TernRock.job().sheets().stream()
        .flatMap(sheet -> sheet.book().builds().stream())
        .toList();
  }

  @Test
  void everyTestOfTheDemoComesBackAsItWas() throws Exception {
    int tests = 0;
    for (Build build : builds()) {
      for (BenchTest test : build.tests()) {
        String text = BenchCsv.write(build.train(test), test);
        BenchTest empty =
            switch (test) {
              case TurnTest turns -> turns.with(List.of());
              case LoadTest load -> load.with(List.of());
            };
        assertEquals(test, BenchCsv.read(text, empty), text);
        tests++;
      }
    }
    assertTrue(tests >= 5);
  }

  @ParameterizedTest
  @ValueSource(strings = {"=1+1", "'=1", "''-x", "'plain", "-5 mm off", "plain"})
  void aTextThatLooksLikeAFormulaComesBackAsItWas(String where) throws Exception {
    Build build = builds().getFirst();
    LoadTest test = (LoadTest) build.tests().getLast();
    LoadTest marked = test.with(List.of(test.steps().getFirst().at(where)));
    String text = BenchCsv.write(build.train(marked), marked);
    assertEquals(marked, BenchCsv.read(text, test.with(List.of())), text);
  }

  @Test
  void linesTypedElsewhereTakeTheirUnitsFromTheHeads() throws Exception {
    LoadTest into = (LoadTest) builds().getFirst().tests().getLast();
    LoadTest read =
        (LoadTest)
            BenchCsv.read(
                """
                Load [N],current [mA],Temperature (\u00b0F),outcome,mood
                2,350,70,held,good
                3 kg,,,broke,bad
                """,
                into);
    assertEquals(new Quantity(Exact.of(2, 1), Unit.N), read.steps().get(0).load());
    LoadStep first = read.steps().getFirst();
    assertEquals(0.35, first.of(Measure.CURRENT).orElseThrow().inBase(), 1e-12);
    assertEquals(21.111, first.of(Measure.TEMPERATURE).orElseThrow().inBase(), 1e-3);
    assertEquals(Outcome.BROKE, read.steps().get(1).outcome());
    assertEquals(Unit.KG, read.steps().get(1).load().unit());
    TurnTest turns =
        (TurnTest)
            BenchCsv.read(
                "input turns,output turns,degrees\n85,-1,-72\n",
                new TurnTest(
                    new TestHead("t", LocalDate.EPOCH, "", "", ""), TurnTest.BY_EYE, List.of()));
    assertEquals(Exact.of(-6, 5), turns.readings().getFirst().output());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "current\\n1|1:1: no column 'load'",
        "load\\n1 kg\\n2 Nm|3:1: '2 Nm': unknown unit 'Nm', expected kg, g, lb or oz, or N",
        "load,outcome\\n1 kg,exploded|2:1: 'exploded': expected held",
        "load,current\\n1 kg,\"0,5\"|2:1: '0,5': expected a number with A or mA, with a decimal"
      })
  void badLinesAreRefusedWithTheirPlace(String text, String expected) {
    LoadTest into = (LoadTest) builds().getFirst().tests().getLast();
    UnreadableException refused =
        assertThrows(
            UnreadableException.class, () -> BenchCsv.read(text.replace("\\n", "\n"), into));
    assertTrue(refused.at("f").startsWith("f:" + expected), refused.at("f"));
  }

  @Test
  void whatARigReadIsARecording() throws Exception {
    Build build = builds().getFirst();
    SimulatedRig rig = SimulatedRig.of(build.card().train(), RigSettings.USUAL);
    rig.command().drive(100);
    List<RigReading> readings = rig.pass(2);
    Recording recording = RecordingCsvTest.read(BenchCsv.readings(rig, readings));
    assertEquals(readings.size(), recording.rows());
    RigReading last = readings.getLast();
    int end = recording.rows() - 1;
    assertEquals(
        (double) last.inputCounts() / rig.inputCounts(),
        recording.columns().get(Channel.INPUT)[end],
        1e-12);
    assertEquals(last.current(), recording.columns().get(Channel.CURRENT)[end], 1e-6);
    assertEquals(16.0, recording.wraps().get(Channel.OUTPUT), "of a counter of two bytes");
  }
}
