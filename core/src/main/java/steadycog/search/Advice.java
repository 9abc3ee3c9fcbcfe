package steadycog.search;

/** Which limit to loosen when a rule turns everything down. */
final class Advice {
  private Advice() {}

  /** Advice for the rule that turned down most. */
  static String loosen(String rule) {
    return switch (rule) {
      case "direction" -> "Allow either direction, or another number of stages.";
      case "ring" -> "Allow other rings, or a larger diameter.";
      case "assembly", "indexing" -> "Allow other numbers of planets.";
      case "neighbour" -> "Allow fewer planets, or larger suns.";
      case "row-closure" -> "Allow more distortion between the rows.";
      case "interference", "internal-interference", "errors" ->
          "Allow more teeth: small pinions interfere.";
      case "stock" -> "Add wheels to the stock list.";
      case "reverted-closure" -> "Drop input and output in line, or widen the tolerance.";
      case "stage-ratio" -> "Allow a larger step a stage, or more stages.";
      case "efficiency" -> "Ask for less efficiency, or allow other kinds and more stages.";
      case "backwards" -> "Allow trains that turn back or hold, or change the losses.";
      case "tolerance" -> "Widen the tolerance.";
      default -> "Allow more teeth, more stages or a wider tolerance.";
    };
  }
}
