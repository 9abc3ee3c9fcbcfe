package steadycog.format.csv;

import java.util.List;
import java.util.Optional;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.search.Candidate;

/** Candidates of a search, a line each; the card stands on one line, statements parted by ;. */
public final class FoundCsv {
  private static final List<String> TITLES =
      List.of(
          "card",
          "kind",
          "reduction ratio i = in/out",
          "train value e = out/in",
          "direction",
          "error ppm",
          "stages",
          "sum of teeth",
          "largest wheel, modules",
          "planets",
          "distortion, teeth",
          "planets in step",
          "efficiency",
          "pushed back",
          "efficiency backwards",
          "losses at the edge, times these",
          "worst finding",
          "rule it breaks");

  private FoundCsv() {}

  public static String write(List<Candidate> candidates) {
    return Csv.write(TITLES, candidates.stream().map(FoundCsv::line).toList());
  }

  private static List<String> line(Candidate candidate) {
    return List.of(
        candidate.card(),
        candidate.kind().word(),
        Exact.text(candidate.ratio().reduction()),
        Exact.text(candidate.ratio().trainValue()),
        candidate.ratio().sameDirection() ? "same" : "opposite",
        Figures.significant(candidate.errorPpm(), 6),
        Integer.toString(candidate.stages()),
        Integer.toString(candidate.size()),
        candidate.diameter() == 0 ? "" : Figures.significant(candidate.diameter(), 6),
        candidate.planets() == 0 ? "" : Integer.toString(candidate.planets()),
        Integer.toString(candidate.distortion()),
        Boolean.toString(candidate.inStep()),
        Csv.number(candidate.eachWay().efficiency()),
        Csv.pushedBack(Optional.of(candidate.eachWay().backwards())),
        Csv.number(candidate.eachWay().backwards().efficiency()),
        Csv.edge(Optional.of(candidate.eachWay().backwards())),
        candidate.worst().word(),
        candidate.trouble().orElse(""));
  }
}
