package steadycog.format.json;

import com.fasterxml.jackson.databind.JsonNode;

/** How JSON stands on the page. */
public enum Layout {
  /** For people, and for comparison line by line; ends with a line. */
  PAGE,
  /** All in one line, without an end of it. */
  LINE;

  String write(JsonNode root) {
    return this == PAGE ? PrettyJson.write(root) : root.toString();
  }
}
