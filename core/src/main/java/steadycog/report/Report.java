package steadycog.report;

import java.util.List;
import java.util.Set;
import steadycog.job.Job;
import steadycog.job.Sheet;
import steadycog.number.Units;

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
}
