package steadycog.format.csv;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import steadycog.search.Candidate;
import steadycog.study.SizeChoices.Choice;

/** Candidates of a search, a line each; the card stands on one line, statements parted by ;. */
public final class FoundCsv {
  private static final List<String> TITLES =
      Stream.of(
              List.of("card", "kind"),
              Csv.exactly("reduction ratio i = in/out"),
              List.of(
                  "train value e = out/in",
                  "direction",
                  "error ppm",
                  "stages",
                  "sum of teeth",
                  "largest wheel, modules",
                  "planets",
                  "distortion, teeth",
                  "planets in step",
                  "helix, deg",
                  "thrust for 1 Nm, N",
                  "teeth that bear the load",
                  "face, mm",
                  "round all, mm",
                  "mass, kg",
                  "efficiency",
                  "pushed back",
                  "efficiency backwards",
                  "losses at the edge, times these",
                  "worst finding",
                  "rule it breaks"))
          .flatMap(List::stream)
          .toList();

  private FoundCsv() {}

  public static String write(List<Candidate> candidates) {
    return Csv.write(TITLES, candidates.stream().map(FoundCsv::line).toList());
  }

  private static List<String> line(Candidate candidate) {
    List<String> line = new ArrayList<>(List.of(candidate.card(), candidate.kind().word()));
    line.addAll(Csv.exact(Optional.of(candidate.ratio().reduction())));
    line.addAll(
        List.of(
            Csv.number(candidate.ratio().trainValue().doubleValue()),
            candidate.ratio().sameDirection() ? "same" : "opposite",
            Csv.number(candidate.errorPpm()),
            Integer.toString(candidate.stages()),
            Integer.toString(candidate.size()),
            candidate.diameter() == 0 ? "" : Csv.number(candidate.diameter()),
            candidate.planets() == 0 ? "" : Integer.toString(candidate.planets()),
            Integer.toString(candidate.distortion()),
            Boolean.toString(candidate.inStep()),
            Csv.number(candidate.helix()),
            candidate.thrust().map(Csv::number).orElse(""),
            candidate.sized().map(one -> one.pitch().statement()).orElse(""),
            Csv.number(candidate.sized().map(Choice::face)),
            Csv.number(candidate.sized().map(Choice::diameter)),
            Csv.number(candidate.sized().map(Choice::mass)),
            Csv.number(candidate.eachWay().efficiency()),
            Csv.pushedBack(Optional.of(candidate.eachWay().backwards())),
            Csv.number(candidate.eachWay().backwards().efficiency()),
            Csv.edge(Optional.of(candidate.eachWay().backwards())),
            candidate.worst().word(),
            candidate.trouble().orElse("")));
    return line;
  }
}
