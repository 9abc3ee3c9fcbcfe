package steadycog.format.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Optional;
import steadycog.bench.BenchBook;
import steadycog.bench.BenchTest;
import steadycog.bench.Build;
import steadycog.bench.Guess;
import steadycog.bench.LoadStep;
import steadycog.bench.LoadTest;
import steadycog.bench.TestHead;
import steadycog.bench.TurnTest;
import steadycog.number.Exact;

/** Writes bench books into job files; {@link BookReader} reads them. */
final class BenchJson {
  private BenchJson() {}

  static void write(BenchBook book, ObjectNode node) {
    if (!book.builds().isEmpty()) {
      ArrayNode builds = node.putArray("builds");
      book.builds().forEach(build -> build(build, builds.addObject()));
    }
    if (!book.settled().isEmpty()) {
      ArrayNode settled = node.putArray("settled");
      for (BenchBook.Settled one : book.settled()) {
        settled.addObject().put("finding", one.finding()).put("how", one.how());
      }
    }
    if (!book.guesses().isEmpty()) {
      ArrayNode guesses = node.putArray("guesses");
      for (Guess one : book.guesses()) {
        ObjectNode each = guesses.addObject();
        date(each, one.date());
        each.put("configuration", one.configuration())
            .put("guess", Exact.text(one.guess()))
            .put("ratio", Exact.text(one.actual()));
      }
    }
  }

  private static void build(Build build, ObjectNode node) {
    node.put("name", build.name());
    date(node, build.date());
    lines(node, "changed", build.changed());
    if (!build.files().isEmpty()) {
      build.files().forEach(node.putArray("files")::add);
    }
    JobJson.lines(build.card().text()).forEach(node.putArray("card")::add);
    if (!build.tests().isEmpty()) {
      ArrayNode tests = node.putArray("tests");
      build.tests().forEach(test -> test(test, tests.addObject()));
    }
  }

  /** What has no date says none. */
  private static void date(ObjectNode node, Optional<LocalDate> date) {
    date.ifPresent(day -> node.put("date", day.toString()));
  }

  private static void lines(ObjectNode node, String field, String text) {
    if (!text.isEmpty()) {
      Arrays.asList(text.split("\\R", -1)).forEach(node.putArray(field)::add);
    }
  }

  private static void test(BenchTest test, ObjectNode node) {
    TestHead head = test.head();
    node.put("kind", test instanceof TurnTest ? "turns" : "load").put("title", head.title());
    date(node, head.date());
    node.put("source", head.source());
    if (!head.state().isEmpty()) {
      node.put("state", head.state());
    }
    lines(node, "notes", head.notes());
    switch (test) {
      case TurnTest turns -> turns(turns, node);
      case LoadTest load -> load(load, node);
    }
  }

  private static void turns(TurnTest test, ObjectNode node) {
    node.put("tolerance", test.tolerance());
    ArrayNode readings = node.putArray("readings");
    for (TurnTest.Reading reading : test.readings()) {
      readings
          .addObject()
          .put("input", Exact.text(reading.input()))
          .put("output", Exact.text(reading.output()));
    }
  }

  private static void load(LoadTest test, ObjectNode node) {
    node.put("way", test.rigging().way().key());
    test.rigging().length().ifPresent(length -> node.put("length", length.toString()));
    test.rigging().torqueConstant().ifPresent(k -> node.put("torqueConstant", k));
    if (test.rigging().idle() > 0) {
      node.put("idleCurrent", test.rigging().idle());
    }
    ArrayNode steps = node.putArray("steps");
    for (LoadStep step : test.steps()) {
      ObjectNode one = steps.addObject().put("load", step.load().toString());
      step.read().forEach((measure, value) -> one.put(measure.key(), value.toString()));
      one.put("outcome", step.outcome().word());
      if (!step.where().isEmpty()) {
        one.put("where", step.where());
      }
    }
  }
}
