package steadycog.study;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.motion.TurnCount;
import steadycog.number.Exact;
import steadycog.number.Known;
import steadycog.number.Ratio;
import steadycog.train.Join;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Roles;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * The ratio worked the way it is done by hand: mesh by mesh along the path from drive to take-off,
 * driven teeth over driver teeth, the signs and the products carried from row to row. A second
 * route beside the solver's.
 *
 * @param steps the meshes passed, in order
 * @param product the product of all stages: the reduction ratio i
 * @param agrees whether it equals what the solver found
 */
public record Working(List<Step> steps, BigFraction product, boolean agrees) {

  /**
   * One mesh passed from its driver to its driven wheel.
   *
   * @param stage driven teeth over driver teeth, negative across an external mesh
   * @param running product of this stage and all before it
   * @param driverTeeth teeth that pass on the driver's side in one input turn
   * @param drivenTeeth the same counted on the driven side
   * @param idler whether the driven wheel only passes the motion on: its teeth cancel
   */
  public record Step(
      MemberId driver,
      Teeth driverWheel,
      MemberId driven,
      Teeth drivenWheel,
      BigFraction stage,
      BigFraction running,
      BigFraction driverTeeth,
      BigFraction drivenTeeth,
      boolean idler) {

    /** {@code −72/18} before it is worked out. */
    public String quotient() {
      String sign = stage.signum() < 0 ? "-" : "";
      return sign + drivenWheel.count() + "/" + driverWheel.count();
    }

    /** The same for the train value: {@code −18/72}. */
    public String reciprocal() {
      String sign = stage.signum() < 0 ? "-" : "";
      return sign + driverWheel.count() + "/" + drivenWheel.count();
    }
  }

  public Working {
    steps = List.copyOf(steps);
  }

  /** The working of a train with one drive and a ratio; empty where there is no single path. */
  static Optional<Working> of(Study study) {
    Optional<Ratio> ratio = study.ratio();
    Roles roles = study.motion().mechanism().roles();
    if (ratio.isEmpty() || !roles.holds().isEmpty()) {
      return Optional.empty();
    }
    MemberId from = roles.drives().getFirst().member();
    MemberId to = roles.take().orElseThrow().member();
    return path(study.train(), roles, from, to).map(meshes -> along(study, meshes));
  }

  private static Working along(Study study, List<Passage> path) {
    List<Step> steps = new ArrayList<>();
    BigFraction running = BigFraction.ONE;
    TurnCount count = TurnCount.of(study.motion(), BigFraction.ONE);
    for (int k = 0; k < path.size(); k++) {
      Passage now = path.get(k);
      BigFraction stage = Exact.of(now.drivenTeeth().count(), now.driverTeeth().count());
      stage = now.mesh.sign() < 0 ? stage : stage.negate();
      running = running.multiply(stage);
      boolean idler = k + 1 < path.size() && path.get(k + 1).driver.equals(now.driven);
      steps.add(
          new Step(
              now.driver,
              now.driverTeeth(),
              now.driven,
              now.drivenTeeth(),
              stage,
              running,
              passed(count, now.driver, now.driverTeeth()),
              passed(count, now.driven, now.drivenTeeth()),
              idler));
    }
    BigFraction found = study.ratio().orElseThrow().reduction();
    return new Working(steps, running, running.compareTo(found) == 0);
  }

  private static BigFraction passed(TurnCount count, MemberId member, Teeth teeth) {
    return count.turns(member).orElse(BigFraction.ZERO).multiply(teeth.count()).abs();
  }

  /** The product form of i: {@code (-72/18) × (-80/20) = 16}. */
  public String productForm() {
    return form(Step::quotient, product);
  }

  /** The product form of e = 1/i: {@code (-18/72) × (-20/80) = 1/16}. */
  public String reciprocalForm() {
    return form(Step::reciprocal, product.reciprocal());
  }

  private String form(Function<Step, String> stage, BigFraction value) {
    String stages =
        steps.stream()
            .map(step -> "(" + stage.apply(step) + ")")
            .collect(Collectors.joining(" \u00d7 "));
    return (stages.isEmpty() ? "" : stages + " = ") + Exact.text(value);
  }

  /** A mesh passed in one direction. */
  private record Passage(Mesh mesh, MemberId driver, MemberId driven) {
    Teeth driverTeeth() {
      return mesh.teeth(driver);
    }

    Teeth drivenTeeth() {
      return mesh.teeth(driven);
    }
  }

  /** The shortest way from member to member over meshes on fixed axes and rigid ties. */
  private static Optional<List<Passage>> path(
      Train train, Roles roles, MemberId from, MemberId to) {
    Map<MemberId, List<Passage>> reached = new HashMap<>();
    Deque<MemberId> queue = new ArrayDeque<>(List.of(from));
    reached.put(from, List.of());
    List<Join> ties = new ArrayList<>(train.keyed());
    ties.addAll(train.joins());
    ties.addAll(roles.locks());
    while (!queue.isEmpty()) {
      MemberId at = queue.remove();
      List<Passage> before = Known.in(reached, at);
      for (Join tie : ties) {
        if (tie.touches(at)) {
          reach(reached, queue, tie.other(at), before);
        }
      }
      for (Mesh mesh : train.meshes()) {
        boolean onFrame = mesh.carrier().isEmpty();
        if (onFrame && mesh.touches(at)) {
          MemberId next = mesh.other(at);
          List<Passage> longer = new ArrayList<>(before);
          longer.add(new Passage(mesh, at, next));
          reach(reached, queue, next, longer);
        }
      }
    }
    return Optional.ofNullable(reached.get(to));
  }

  private static void reach(
      Map<MemberId, List<Passage>> reached,
      Deque<MemberId> queue,
      MemberId next,
      List<Passage> path) {
    if (reached.putIfAbsent(next, path) == null) {
      queue.add(next);
    }
  }
}
