package steadycog.format.json;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Arrays;
import java.util.List;
import steadycog.job.Job;
import steadycog.job.Sheet;

/** Writes and reads job files ({@code .cog.json}), described in docs/format.md. */
public final class JobJson {
  /** The value of the {@code format} field. */
  static final String FORMAT = "steady-cog-job";

  /**
   * The newest version that can be read, and the one that is written. Version 2 lets cards hold
   * planetary sets and the size of teeth, version 3 two rows of planets, and keeps what teeth are
   * looked for. Version 5 lets them say losses and motors, version 6 sizes; version 7 keeps bench
   * books. Older versions are read as they are, since their cards say the same.
   */
  public static final int VERSION = 8;

  private static final int DEEPEST = 12;

  /** As much as the largest file: what can be written can be read. */
  private static final int LONGEST_STRING = 1 << 24;

  static final JsonMapper MAPPER =
      new JsonMapper(
          JsonFactory.builder()
              .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
              .streamReadConstraints(
                  StreamReadConstraints.builder()
                      .maxNestingDepth(DEEPEST)
                      .maxStringLength(LONGEST_STRING)
                      .build())
              .build());

  private JobJson() {}

  /** The job as text, closed by a line feed; the same job always gives the same text. */
  public static String write(Job job) {
    ObjectNode root = MAPPER.createObjectNode();
    root.put("format", FORMAT).put("version", VERSION).put("title", job.title());
    ArrayNode trains = root.putArray("trains");
    for (Sheet sheet : job.sheets()) {
      ObjectNode train = trains.addObject().put("name", sheet.name());
      sheet.card().ifPresent(card -> lines(card.text()).forEach(train.putArray("card")::add));
      if (!sheet.notes().isEmpty()) {
        lines(sheet.notes()).forEach(train.putArray("notes")::add);
      }
      sheet.draft().ifPresent(draft -> lines(draft).forEach(train.putArray("draft")::add));
      if (!sheet.book().isEmpty()) {
        BenchJson.write(sheet.book(), train.putObject("bench"));
      }
      if (!sheet.wanted().texts().isEmpty()) {
        ObjectNode find = train.putObject("find");
        sheet.wanted().texts().forEach((field, text) -> find.put(field.key(), text));
      }
    }
    return PrettyJson.write(root);
  }

  /**
   * Reads a job. Memory is bounded by the text's own size.
   *
   * @throws UnreadableException if the text is no JSON, no job, of a newer version, or holds a card
   *     that cannot be read
   */
  public static Job read(String text) throws UnreadableException {
    return JobReader.read(text);
  }

  static List<String> lines(String text) {
    String trimmed = text.endsWith("\n") ? text.substring(0, text.length() - 1) : text;
    return Arrays.asList(trimmed.split("\\R", -1));
  }
}
