package steadycog.format.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import steadycog.notation.Card;
import steadycog.number.Exact;
import steadycog.search.Candidate;
import steadycog.search.Found;
import steadycog.search.Loosen;
import steadycog.search.Nearby;
import steadycog.search.Query;
import steadycog.search.TargetTolerance;
import steadycog.study.SizeChoices.Choice;

/** What a search found as JSON; every candidate's card is whole, ready for {@code solve -}. */
public final class FoundJson {
  private FoundJson() {}

  /**
   * What {@code find --json} prints.
   *
   * @param hints which limits to loosen where nothing is found
   */
  public static String write(Found found, List<Loosen.Hint> hints) {
    ObjectNode root = JobJson.MAPPER.createObjectNode();
    ArrayNode list = root.putArray("candidates");
    found.candidates().forEach(candidate -> add(list, candidate, null));
    root.put("examined", found.examined());
    ObjectNode rejected = root.putObject("rejected");
    found.rejected().forEach(rejected::put);
    rank(root, found.query());
    root.put("provenBest", found.provenBest());
    ArrayNode loosen = root.putArray("loosen");
    for (Loosen.Hint hint : hints) {
      loosen
          .addObject()
          .put("limit", hint.field().key())
          .put("to", hint.text())
          .put("card", Card.of(hint.first().train()).text());
    }
    return PrettyJson.write(root);
  }

  private static void rank(ObjectNode root, Query query) {
    root.put("rank", query.listing().rank().word());
    root.put("tolerance", query.tolerance().map(TargetTolerance::toString).orElse(null));
  }

  /** What {@code find --near --json} prints: the same, each with what it changes. */
  public static String write(Nearby.Changes changes, Layout layout) {
    ObjectNode root = JobJson.MAPPER.createObjectNode();
    ArrayNode list = root.putArray("candidates");
    changes.list().forEach(change -> add(list, change.candidate(), change.words()));
    root.put("examined", changes.examined());
    root.putObject("rejected");
    rank(root, changes.query());
    root.put("provenBest", changes.whole());
    return layout.write(root);
  }

  private static void add(ArrayNode list, Candidate candidate, @Nullable String changes) {
    ObjectNode node = list.addObject();
    node.put("card", Card.of(candidate.train()).text());
    node.put("kind", candidate.kind().word());
    node.put("ratio", Exact.text(candidate.ratio().reduction()));
    node.put("trainValue", Exact.text(candidate.ratio().trainValue()));
    node.put("direction", candidate.ratio().sameDirection() ? "same" : "opposite");
    node.put("errorPpm", candidate.errorPpm() + 0.0);
    node.put("stages", candidate.stages());
    node.put("size", candidate.size());
    Optional<Double> diameter = Optional.of(candidate.diameter()).filter(d -> d > 0);
    node.put("diameterModules", diameter.orElse(null));
    node.put("planets", candidate.planets() == 0 ? null : (Integer) candidate.planets());
    node.put("distortion", candidate.distortion());
    node.put("inStep", candidate.inStep());
    node.put("helixDegrees", candidate.helix());
    node.put("thrustN", candidate.thrust().orElse(null));
    node.put("pitch", candidate.sized().map(one -> one.pitch().statement()).orElse(null));
    node.put("faceMm", candidate.sized().map(Choice::face).orElse(null));
    node.put("largestMm", candidate.sized().map(Choice::diameter).orElse(null));
    node.put("massKg", candidate.sized().map(Choice::mass).orElse(null));
    JsonValues.putNumber(node, "efficiency", candidate.eachWay().efficiency());
    LoadingJson.addBackwards(node, Optional.of(candidate.eachWay().backwards()));
    node.put("worst", candidate.worst().word());
    node.put("breaks", candidate.trouble().orElse(null));
    node.put("changes", changes);
  }
}
