package steadycog.report;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import steadycog.bench.Build;
import steadycog.bench.Comparison;
import steadycog.bench.Guess;
import steadycog.job.Sheet;
import steadycog.number.Figures;
import steadycog.number.Units;
import steadycog.report.Block.Caution;
import steadycog.report.Block.Heading;
import steadycog.report.Block.Lines;
import steadycog.report.Block.Remark;
import steadycog.report.Block.Table;
import steadycog.report.Block.Text;
import steadycog.report.Report.Part;
import steadycog.study.NamedStudy;

/** Writes what a report says of one train, section by section. */
final class Chapters {

  private final Sheet sheet;
  private final Units units;
  private final Set<Section> chosen;
  private final NamedStudy named;
  private final RatioBlocks ratios;
  private final SheetBlocks sheets;

  Chapters(Sheet sheet, Units units, Set<Section> chosen) {
    this.sheet = sheet;
    this.units = units;
    this.chosen = chosen;
    named = NamedStudy.of(sheet.name(), sheet.card().orElseThrow().train());
    ratios = new RatioBlocks(named, units);
    sheets = new SheetBlocks(named, units);
  }

  /** The chosen sections that have something to say. */
  List<Part> parts() {
    List<Part> parts = new ArrayList<>();
    for (Section section : Section.values()) {
      if (chosen.contains(section)) {
        List<Block> blocks = blocks(section);
        if (!blocks.isEmpty()) {
          parts.add(new Part(section, blocks));
        }
      }
    }
    return parts;
  }

  private List<Block> blocks(Section section) {
    return switch (section) {
      case JOB -> job();
      case DRAWING -> new DrawingBlocks(named).drawing();
      case RATIOS -> ratios.ratios();
      case WORKING -> ratios.working();
      case FINDINGS -> new FindingBlocks(sheet, named, units).findings();
      case FAULTS -> new FindingBlocks(sheet, named, units).faults();
      case CUT_SHEET -> cutSheet();
      case SHIFT_PLAN -> sheets.plan();
      case GEARBOX -> new GearboxBlocks(named).gearbox();
      case BENCH -> bench();
      case CAUTIONS -> cautions();
    };
  }

  // ---- the job

  private List<Block> job() {
    List<Block> blocks = new ArrayList<>();
    if (!sheet.notes().isBlank()) {
      blocks.add(new Text(sheet.notes().strip()));
    }
    blocks.add(
        new Lines(
            Arrays.stream(sheet.card().orElseThrow().text().split("\n"))
                .filter(line -> !line.isBlank())
                .toList()));
    if (sheet.draft().isPresent()) {
      blocks.add(
          new Remark(
              "The train line holds a draft that cannot be read; this report is on the last card"
                  + " that could."));
    }
    return blocks;
  }

  /** Without a section of their own the ratios stand over the sizes that make them. */
  private List<Block> cutSheet() {
    List<Block> blocks = new ArrayList<>();
    if (!chosen.contains(Section.RATIOS)) {
      blocks.addAll(ratios.headlines());
    }
    blocks.addAll(sheets.cutSheet());
    return blocks;
  }

  // ---- bench

  private List<Block> bench() {
    BenchBlocks maker = new BenchBlocks(units);
    List<Build> builds = sheet.book().builds();
    List<Block> blocks = new ArrayList<>();
    for (int k = 0; k < builds.size(); k++) {
      blocks.addAll(
          maker.build(builds.get(k), k == 0 ? Optional.empty() : Optional.of(builds.get(k - 1))));
    }
    guesses(blocks);
    List<Build> loaded = builds.stream().filter(build -> build.lastLoad().isPresent()).toList();
    if (loaded.size() > 1) {
      Build older = loaded.get(loaded.size() - 2);
      Build newer = loaded.getLast();
      blocks.addAll(
          maker.comparison(
              Comparison.of(
                  older, older.lastLoad().orElseThrow(), newer, newer.lastLoad().orElseThrow())));
    }
    return blocks;
  }

  /** What was guessed on the ratio board before it was looked at. */
  private void guesses(List<Block> blocks) {
    List<List<String>> rows = new ArrayList<>();
    for (Guess one : sheet.book().guesses()) {
      rows.add(
          List.of(
              one.configuration(),
              one.date().map(Object::toString).orElse(Table.NONE),
              Figures.exact(one.guess()),
              Figures.exact(one.actual()),
              one.guess().equals(one.actual()) ? "right" : "not right"));
    }
    if (!rows.isEmpty()) {
      blocks.add(new Heading("Practice"));
      blocks.add(
          new Table(
              "Ratios guessed before they were looked at",
              List.of("configuration", "date", "guessed i", "i = in/out", ""),
              rows,
              Table.COLUMNS));
    }
  }

  private List<Block> cautions() {
    List<Block> blocks = new ArrayList<>();
    blocks.add(new Caution(Cautions.RUNNING));
    if (chosen.contains(Section.CUT_SHEET) || chosen.contains(Section.BENCH)) {
      blocks.add(new Caution(Cautions.SCREENING));
    }
    if (chosen.contains(Section.BENCH) && !sheet.book().builds().isEmpty()) {
      blocks.add(new Caution(Cautions.LOADING));
    }
    return blocks;
  }
}
