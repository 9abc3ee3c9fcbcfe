package steadycog.report;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import steadycog.bench.BenchBook;
import steadycog.bench.Build;
import steadycog.check.Severity;
import steadycog.job.Sheet;
import steadycog.number.Pace;
import steadycog.number.Units;
import steadycog.report.Block.Finding;
import steadycog.report.Block.Text;
import steadycog.study.NamedStudy;
import steadycog.study.Study;

/** What was found of a train, how each finding was settled, and what must be put right. */
final class FindingBlocks {
  private final Sheet sheet;
  private final NamedStudy named;
  private final Units units;

  FindingBlocks(Sheet sheet, NamedStudy named, Units units) {
    this.sheet = sheet;
    this.named = named;
    this.units = units;
  }

  List<Block> findings() {
    BenchBook book = sheet.book();
    List<Block> blocks = new ArrayList<>();
    List<String> keys = new ArrayList<>();
    for (NamedStudy one : named.each()) {
      one.study().findings().forEach(finding -> add(blocks, keys, finding));
    }
    named.plan().ifPresent(plan -> plan.findings().forEach(finding -> add(blocks, keys, finding)));
    List<String> told = new ArrayList<>(keys);
    for (Build build : book.builds()) {
      for (steadycog.check.Finding old : Study.of(build.card().train()).findings()) {
        String key = BenchBook.keyOf(old);
        boolean matters = old.severity() == Severity.ERROR || old.severity() == Severity.WARNING;
        if (matters && !told.contains(key) && named.plan().isEmpty()) {
          told.add(key);
          blocks.add(
              new Finding(
                  "gone",
                  "In " + build.name() + ": " + old.in(units).message(),
                  book.howSettled(old).orElse("by the card as it is now")));
        }
      }
    }
    for (BenchBook.Settled one : book.settled()) {
      if (!told.contains(one.finding())) {
        blocks.add(new Finding("settled", one.finding() + ", no longer found", one.how()));
      }
    }
    if (blocks.isEmpty()) {
      blocks.add(new Text("Nothing found."));
    }
    return blocks;
  }

  private void add(List<Block> blocks, List<String> keys, steadycog.check.Finding found) {
    steadycog.check.Finding finding = found.in(units);
    String key = BenchBook.keyOf(finding);
    if (keys.contains(key) || finding.severity() == Severity.OK) {
      return;
    }
    keys.add(key);
    blocks.add(
        new Finding(
            finding.severity().word(),
            (finding.message() + finding.remedy().map(remedy -> " " + remedy).orElse(""))
                .replace("->", "\u2192"),
            sheet.book().howSettled(finding).orElse("")));
  }

  /** What the shop must know before it cuts, what its pieces show when put together first. */
  List<Block> faults() {
    List<Block> blocks = new ArrayList<>();
    List<String> keys = new ArrayList<>();
    Stream.concat(
            named.study().collisions(Pace.FREE).stream(),
            named.each().stream().flatMap(one -> one.study().findings().stream()))
        .filter(steadycog.check.Finding::isBad)
        .forEach(finding -> add(blocks, keys, finding));
    return blocks;
  }
}
