package steadycog.check;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.number.Measured;
import steadycog.piece.Blank;
import steadycog.sizing.MeshFigures;
import steadycog.sizing.Thrust;
import steadycog.sizing.WheelFigures;
import steadycog.torque.Torques;
import steadycog.train.Built;
import steadycog.train.Helices;
import steadycog.train.Helices.Contradiction;
import steadycog.train.Helix;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Planetary;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * Teeth that wind: hands and angles that contradict each other, faces too narrow for a helical pair
 * to be quieter than a straight one (overlap ratio below 1, ISO 21771), angles that press hard on
 * the shoulders, sets of herringbones that cannot be put together, thrust that shoulders have to
 * take, and faces too narrow to be spanned by a micrometer.
 */
final class HelixRule implements Rule {
  private static final int STEEP = 35;
  private static final double ENOUGH = 1;

  @Override
  public Needs needs() {
    return Needs.LOADING;
  }

  @Override
  public List<Finding> check(Subject subject) {
    Train train = subject.train();
    List<Finding> found = new ArrayList<>();
    if (!Helices.any(train)) {
      return found;
    }
    for (Contradiction wrong : Helices.contradictions(train)) {
      found.add(
          Finding.of("helix-hands", Severity.ERROR, List.of(wrong.one(), wrong.other()))
              .with("first", says(train, wrong.one()))
              .with("second", stated(train, wrong.other()))
              .with("follows", says(train, wrong.other()))
              .worded(wrong.angles() ? "angles" : "hands"));
    }
    steep(train, found);
    train.parts(Planetary.class).forEach(set -> herringbones(train, set, found));
    train.meshes().forEach(mesh -> groove(train, mesh, found));
    if (train.isSized()) {
      train.meshes().forEach(mesh -> overlap(train, mesh, found));
      spans(train, found);
    }
    Torques torques = subject.loading().flow().torques();
    if (torques.status() == Torques.Status.DETERMINED) {
      thrusts(train, torques, found);
    }
    return found;
  }

  /** What has to be taken up, and where two wheels of a shaft add to it that could take it off. */
  private static void thrusts(Train train, Torques torques, List<Finding> found) {
    List<Thrust> all =
        Thrust.ofShafts(train, torques).stream().filter(one -> one.force() != 0).toList();
    if (all.isEmpty()) {
      return;
    }
    Thrust most = Collections.max(all, Comparator.comparingDouble(one -> Math.abs(one.force())));
    found.add(
        Finding.of("thrust", Severity.NOTE, all.stream().map(Thrust::member).toList())
            .with("most", most.member().toString())
            .with("force", Figures.shown(Math.abs(most.force())) + " N")
            .with("end", most.force() > 0 ? "drive" : "far"));
    for (Thrust one : all) {
      one.cancelling()
          .filter(Thrust.Cancelling::adds)
          .ifPresent(
              way ->
                  found.add(
                      Finding.of("thrust-adds", Severity.NOTE, List.of(way.other(), way.wheel()))
                          .with("force", Figures.shown(Math.abs(one.force())) + " N")
                          .with("helix", way.toString())));
    }
  }

  /** Wheels whose face the flats of a micrometer leave before they touch (ISO 21771, span). */
  private static void spans(Train train, List<Finding> found) {
    for (Member member : train.members()) {
      WheelFigures.of(train, member)
          .filter(figures -> figures.spanFace().orElse(0.0) > oneHand(train, figures))
          .ifPresent(
              figures ->
                  found.add(
                      Finding.of("helix-span", Severity.NOTE, List.of(member.id()))
                          .with("teeth", figures.spanned().orElseThrow())
                          .with("face", Measured.mm(figures.spanFace().orElseThrow(), 1))));
    }
  }

  private static String says(Train train, MemberId wheel) {
    return Helices.of(train, wheel).toString();
  }

  private static String stated(Train train, MemberId wheel) {
    return train.sizes().own(wheel).helix().map(Helix::toString).orElse("");
  }

  private static void steep(Train train, List<Finding> found) {
    List<MemberId> steep =
        train.meshes().stream()
            .flatMap(mesh -> Stream.of(mesh.a(), mesh.b()))
            .distinct()
            .filter(wheel -> Helices.of(train, wheel).degrees().doubleValue() > STEEP)
            .toList();
    if (!steep.isEmpty()) {
      found.add(
          Finding.of("helix-steep", Severity.WARNING, steep)
              .with("most", STEEP)
              .with(
                  "angle", Exact.plain(Helices.of(train, steep.getFirst()).degrees()) + "\u00b0"));
    }
  }

  /**
   * Planets can be set into one of sun and ring across their axes, and then no more be pushed into
   * the other along them.
   */
  private static void herringbones(Train train, Planetary set, List<Finding> found) {
    List<Member> doubled =
        set.wheels().stream().filter(w -> Helices.of(train, w.id()).isDouble()).toList();
    List<MemberId> planets = ids(doubled, w -> set.isPlanet(w.id()));
    List<MemberId> rings = ids(doubled, w -> w.teeth().filter(Teeth::internal).isPresent());
    List<MemberId> suns = ids(doubled, w -> !planets.contains(w.id()) && !rings.contains(w.id()));
    boolean blocked = !suns.isEmpty() && !rings.isEmpty();
    boolean parted =
        Stream.of(suns, rings, planets).anyMatch(all -> built(train, all, Built.HALVES));
    boolean inPlace =
        Stream.of(suns, rings, planets).allMatch(all -> built(train, all, Built.PLACE));
    if (blocked && !parted && !inPlace) {
      found.add(
          Finding.of(
              "herringbone-set",
              Severity.ERROR,
              List.of(suns.getFirst(), planets.getFirst(), rings.getFirst())));
    }
  }

  /** The face that winds one way, mm. */
  private static double oneHand(Train train, WheelFigures figures) {
    return figures.helix().oneHand(Blank.widthMm(train, figures.id()));
  }

  private static List<MemberId> ids(List<Member> wheels, Predicate<Member> which) {
    return wheels.stream().filter(which).map(Member::id).toList();
  }

  private static boolean built(Train train, List<MemberId> wheels, Built how) {
    return wheels.stream().allMatch(w -> train.size(w).built().filter(how::equals).isPresent());
  }

  private static void groove(Train train, Mesh mesh, List<Finding> found) {
    Helix helix = Helices.of(train, mesh.a());
    double face = Math.min(Blank.widthMm(train, mesh.a()), Blank.widthMm(train, mesh.b()));
    if (helix.groovesAway(face)) {
      found.add(
          Finding.of("helix-groove", Severity.ERROR, List.of(mesh.a(), mesh.b()))
              .with("groove", Measured.mm(helix.grooveMm(), 2))
              .with("face", Measured.mm(face, 2)));
    }
  }

  private static void overlap(Train train, Mesh mesh, List<Finding> found) {
    MeshFigures.of(train, mesh)
        .filter(figures -> !figures.winding().helix().isStraight())
        .filter(figures -> figures.winding().overlap() < ENOUGH)
        .ifPresent(
            figures -> {
              double needed = figures.winding().faceNeeded();
              String faces =
                  Stream.of(mesh.a(), mesh.b())
                      .filter(wheel -> Blank.widthMm(train, wheel) < needed)
                      .map(MemberId::toString)
                      .collect(Collectors.joining(" and "));
              found.add(
                  Finding.of("helix-overlap", Severity.NOTE, List.of(mesh.a(), mesh.b()))
                      .with("ratio", PairRule.rounded(figures.winding().overlap(), 2))
                      .with("face", Measured.mm(needed, 1))
                      .with("wheels", faces));
            });
  }
}
