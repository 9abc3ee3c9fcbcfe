package steadycog.format.json;

import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.util.RawValue;

/** Answers about many cards, a line of JSON each. */
public final class LinesJson {
  private LinesJson() {}

  /**
   * What came of one card.
   *
   * @param file where it is from
   * @param number which of the cards there, from 1
   * @param exit code that the command gives for it alone
   * @param result JSON that the command prints of it alone, in one line
   */
  public static String line(String file, int number, int exit, String result) {
    ObjectNode root = head(file, number, exit);
    root.putNull("error");
    root.putRawValue("result", new RawValue(result));
    return root + "\n";
  }

  /**
   * That one cannot be read, and where.
   *
   * @param exit code that the command gives for it alone
   */
  public static String line(String file, int number, int exit, UnreadableException bad) {
    ObjectNode root = head(file, number, exit);
    root.putObject("error")
        .put("line", bad.line())
        .put("column", bad.column())
        .put("message", bad.what());
    root.putNull("result");
    return root + "\n";
  }

  private static ObjectNode head(String file, int number, int exit) {
    return JobJson.MAPPER
        .createObjectNode()
        .put("source", file)
        .put("card", number)
        .put("exit", exit);
  }
}
