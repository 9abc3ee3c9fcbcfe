package steadycog.report;

import java.util.List;
import java.util.Set;
import steadycog.gearbox.Build.Whole;
import steadycog.job.Job;
import steadycog.job.Sheet;
import steadycog.number.Units;
import steadycog.study.NamedStudy;

/**
 * A report on one or more trains.
 *
 * @param title at its head
 * @param footer at the foot of every sheet
 */
public record Report(String title, String footer, List<Chapter> chapters) {

  /** All about one train. */
  public record Chapter(String title, List<Part> parts) {
    public Chapter {
      parts = List.copyOf(parts);
    }
  }

  /** A section that has something to say. */
  public record Part(Section section, List<Block> blocks) {
    public Part {
      blocks = List.copyOf(blocks);
    }
  }

  public Report {
    chapters = List.copyOf(chapters);
  }

  /**
   * The report on those trains of {@code job} that have a card.
   *
   * @param date when it is made, in words; may be empty
   */
  public static Report of(Job job, Set<Section> sections, Units units, String date) {
    List<Sheet> sheets = job.sheets().stream().filter(s -> s.card().isPresent()).toList();
    String name = sheets.size() == 1 ? sheets.getFirst().name() : "";
    String title =
        job.title().isBlank()
            ? name.isEmpty() ? "Gear trains" : name
            : job.title() + (name.isEmpty() ? "" : ": " + name);
    boolean shop = sections.equals(Section.SHOP);
    String kind = shop ? "Cut sheet, " : "";
    return new Report(
        kind + title,
        kind + title + (date.isEmpty() ? "" : ", " + date),
        sheets.stream()
            .map(sheet -> new Chapter(sheet.name(), new Chapters(sheet, units, sections).parts()))
            .toList());
  }

  /** The pages by which a gearbox made of a train is put together. */
  public static Report of(NamedStudy named, Whole whole, String date) {
    String title = "Gearbox, " + named.name();
    List<Part> parts =
        List.of(
            new Part(Section.GEARBOX, new GearboxBlocks(named).of(whole)),
            new Part(Section.CAUTIONS, List.of(new Block.Caution(Cautions.RUNNING))));
    return new Report(
        title,
        title + (date.isEmpty() ? "" : ", " + date),
        List.of(new Chapter(named.name(), parts)));
  }
}
