package steadycog.format.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import steadycog.bench.BenchTest;
import steadycog.bench.Build;
import steadycog.bench.Doubt;
import steadycog.bench.LoadResult;
import steadycog.bench.LoadTest;
import steadycog.bench.Measure;
import steadycog.bench.Recording;
import steadycog.bench.RecordingResult;
import steadycog.bench.Slip;
import steadycog.bench.TurnTest;
import steadycog.bench.TurnVerdict;
import steadycog.job.Sheet;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.sizing.Band;
import steadycog.train.Train;

/** What tests and recordings say, for machines; described in docs/format.md. */
public final class BenchResultJson {
  private BenchResultJson() {}

  /** All builds of all trains with their tests worked out. */
  public static String write(List<Sheet> sheets) {
    ObjectNode root = JobJson.MAPPER.createObjectNode();
    ArrayNode trains = root.putArray("trains");
    for (Sheet sheet : sheets) {
      ObjectNode train = trains.addObject().put("name", sheet.name());
      ArrayNode builds = train.putArray("builds");
      for (Build build : sheet.book().builds()) {
        ObjectNode node = builds.addObject();
        node.put("name", build.name()).put("date", text(build.date()));
        node.put("changed", build.changed());
        ArrayNode tests = node.putArray("tests");
        build.tests().forEach(test -> test(build.train(test), test, tests.addObject()));
      }
    }
    return PrettyJson.write(root);
  }

  /** A recording worked out. */
  public static String write(Train train, Recording recording, RecordingResult result) {
    ObjectNode root = JobJson.MAPPER.createObjectNode();
    root.put("recording", recording.name()).put("rows", recording.rows());
    root.put("skipped", recording.skipped());
    ArrayNode bad = root.putArray("badRows");
    recording.bad().forEach(row -> bad.addObject().put("line", row.line()).put("why", row.why()));
    result.remarks().forEach(root.putArray("remarks")::add);
    number(root, "ratio", result.ratio());
    root.put("scatterDegrees", result.scatter());
    ObjectNode turns = root.putObject("turns");
    result.turns().ifPresentOrElse(t -> test(train, t, turns), () -> root.putNull("turns"));
    ObjectNode load = root.putObject("load");
    result.load().ifPresentOrElse(t -> test(train, t, load), () -> root.putNull("load"));
    return PrettyJson.write(root);
  }

  /** One test worked out. */
  public static String write(Train train, BenchTest test) {
    ObjectNode root = JobJson.MAPPER.createObjectNode();
    test(train, test, root);
    return PrettyJson.write(root);
  }

  private static void number(ObjectNode node, String field, Optional<Double> value) {
    node.put(field, value.filter(Double::isFinite).orElse(null));
  }

  private static void test(Train train, BenchTest test, ObjectNode node) {
    node.put("kind", test instanceof TurnTest ? "turns" : "load");
    node.put("title", test.head().title()).put("date", text(test.head().date()));
    node.put("source", test.head().source());
    switch (test) {
      case TurnTest turns -> turns(TurnVerdict.of(train, turns), node);
      case LoadTest load -> load(LoadResult.of(train, load), node);
    }
  }

  private static @Nullable String text(Optional<LocalDate> date) {
    return date.map(LocalDate::toString).orElse(null);
  }

  private static void turns(TurnVerdict verdict, ObjectNode node) {
    node.put("verdict", verdict.word()).put("words", verdict.words());
    node.put("ratio", verdict.theory().map(ratio -> Exact.text(ratio.reduction())).orElse(null));
    number(node, "measured", verdict.measured());
    number(node, "slip", verdict.slip());
    node.put("lastMeshTeeth", verdict.last().map(teeth -> teeth.count()).orElse(null));
    node.put("nextTurns", verdict.next().orElse(null));
    ArrayNode likely = node.putArray("likely");
    for (TurnVerdict.Likely one : verdict.likely()) {
      ObjectNode each = likely.addObject().put("verdict", TurnVerdict.word(one.kind()));
      each.put("words", one.words()).put("share", one.share());
    }
    ArrayNode rows = node.putArray("readings");
    for (TurnVerdict.Row row : verdict.rows()) {
      ObjectNode one = rows.addObject();
      one.put("inputTurns", Exact.text(row.reading().input()));
      one.put("outputTurns", Exact.text(row.reading().output()));
      number(one, "ratio", row.ratio());
      number(one, "percent", row.percent());
      number(one, "degrees", row.degrees());
      number(one, "teeth", row.teeth());
    }
    ArrayNode counts = node.putArray("counts");
    for (TurnVerdict.Count count : verdict.counts()) {
      counts
          .addObject()
          .put("counts", count.text())
          .put("ratio", Exact.text(count.ratio().reduction()))
          .put("sound", count.sound());
    }
    ArrayNode configurations = node.putArray("configurations");
    verdict
        .configurations()
        .forEach(
            one ->
                configurations
                    .addObject()
                    .put("drive", one.drive().toString())
                    .put("hold", one.heldText().orElse(null))
                    .put("take", one.take().toString())
                    .put("ratio", Exact.text(one.ratio().reduction()))
                    .put("words", Slip.words(one)));
  }

  private static void load(LoadResult result, ObjectNode node) {
    number(node, "predictedEfficiency", result.predicted());
    number(node, "predictedPlayArcmin", result.play().map(Band::nominal));
    CutSheetJson.band(node.putObject("predictedPlayBandArcmin"), result.play());
    number(node, "measuredPlayArcmin", result.measuredPlay());
    node.put("playWords", result.playWords().orElse(null));
    number(node, "bestNm", result.best().map(LoadResult.Row::torque));
    node.put(
        "firstFailure", result.firstFailure().map(row -> row.step().outcome().word()).orElse(null));
    number(node, "firstFailureNm", result.firstFailure().map(LoadResult.Row::torque));
    ArrayNode doubts = node.putArray("doubts");
    for (Doubt doubt : result.doubts()) {
      ObjectNode each = doubts.addObject().put("step", doubt.step().orElse(null));
      each.put("words", doubt.words());
    }
    ArrayNode steps = node.putArray("steps");
    for (LoadResult.Row row : result.rows()) {
      ObjectNode one = steps.addObject().put("load", row.step().load().toString());
      one.put("torqueNm", row.torque());
      number(one, "torqueInNm", row.torqueIn());
      number(one, "efficiency", row.efficiency());
      number(one, "efficiencyWithMotor", row.whole());
      number(one, "factor", row.factor().map(f -> f.factor()));
      for (Measure measure : Measure.values()) {
        one.put(measure.key(), row.step().of(measure).map(Quantity::toString).orElse(null));
      }
      one.put("outcome", row.step().outcome().word()).put("where", row.step().where());
    }
  }
}
