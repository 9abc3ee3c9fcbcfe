package steadycog.report;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.gearbox.Axonometry;
import steadycog.gearbox.Bill;
import steadycog.gearbox.Build;
import steadycog.gearbox.Build.Whole;
import steadycog.gearbox.Component;
import steadycog.gearbox.Component.Fastening;
import steadycog.gearbox.Exploded;
import steadycog.gearbox.Gearbox;
import steadycog.gearbox.Move;
import steadycog.gearbox.ShaftLoads;
import steadycog.gearbox.Step;
import steadycog.number.Figures;
import steadycog.report.Block.Assembly;
import steadycog.report.Block.Caution;
import steadycog.report.Block.Heading;
import steadycog.report.Block.Remark;
import steadycog.report.Block.Table;
import steadycog.report.Block.Text;
import steadycog.sizing.MeshFigures;
import steadycog.study.NamedStudy;
import steadycog.train.Roles;

/** A whole gearbox: its bill, and step by step how it is put together. */
final class GearboxBlocks {
  /** How far outlines may leave the true line in the pictures, mm. */
  private static final double FINE = 0.08;

  private static final int COLUMNS = 5;

  private static final String TURN_OVER =
      "Turn it over, or hold it so that nothing drops out: this goes in from the drive end.";

  private static final String SCREWS =
      "Set all screws by hand first, then tighten crosswise; nothing may bind while you do.";

  private static final String TEETH =
      "Set teeth or lobes into mesh as the picture has them, clocked pieces each at its place.";

  private static final String DOTS =
      "Dots go to as many dots: of a planet they mark the tooth, of the sun or ring the space.";

  private record Check(String word, String text) {}

  /** What to look after, by a word in the name of a piece; the first that fits. */
  private static final List<Check> CHECKS =
      List.of(
          new Check(
              "bearing",
              "Press a bearing by the ring that sits tight, never through its balls, until it"
                  + " rests; it must still turn lightly."),
          new Check(
              "pin", "Press pins in square, an end flush; what turns on them must turn freely."),
          new Check("key", "Lay keys into their grooves; they slide along and do not rock."),
          new Check("screw", SCREWS),
          new Check("bolt", SCREWS),
          new Check(
              "spacer",
              "Spacers slip on; they keep pieces apart and touch nothing that turns otherwise."),
          new Check(
              "slide",
              "Grease the slide ring and push it in evenly, the flexspline bends to it. Look before"
                  + " you turn: teeth must stand in mesh alike at every lobe, or it comes out"
                  + " again."),
          new Check("planet", TEETH),
          new Check("disc", TEETH));

  private final NamedStudy named;
  private final Set<String> said = new HashSet<>();
  private boolean below;

  GearboxBlocks(NamedStudy named) {
    this.named = named;
  }

  /** Cost: builds it, proves it, and draws it once a step. */
  List<Block> gearbox() {
    Build build = named.gearbox();
    return build
        .box()
        .map(this::of)
        .orElseGet(
            () -> List.of(new Remark("No gearbox is made of this train: " + build.why() + ".")));
  }

  /** Cost: draws it once a step. */
  List<Block> of(Whole whole) {
    List<Block> blocks = new ArrayList<>();
    if (!whole.proof().holds()) {
      blocks.add(new Caution("It does not go together as it is. Put this right first:"));
      whole.proof().problems().forEach(problem -> blocks.add(new Text(problem + ".")));
    }
    Exploded.Model model = new Exploded.Model(whole.gearbox(), whole.proof().order(), FINE);
    blocks.add(
        new Assembly(
            model.draw(1, 0, Axonometry.USUAL),
            whole.bill(),
            Set.of(),
            "Pulled apart along its axis, the drive end in front. Numbers as in the bill."));
    blocks.add(bill(whole.bill()));
    blocks.add(
        new Remark(
            "Made: "
                + Figures.significant(whole.bill().grams(), 3)
                + " g, "
                + Figures.significant(whole.bill().volume() / 1000, 3)
                + " cm\u00b3. What is bought goes by its standard sizes."));
    blocks.add(new Text(whole.gearbox().fits()));
    whole.gearbox().omissions().map(Remark::new).ifPresent(blocks::add);
    ShaftLoads loads = new ShaftLoads(whole.gearbox());
    if (!loads.rows().isEmpty()) {
      blocks.add(new Table("What its bearings bear", ShaftLoads.HEADS, loads.rows(), COLUMNS));
      loads.weak().forEach(line -> blocks.add(new Caution(line)));
      loads.note().ifPresent(note -> blocks.add(new Remark(note)));
    }
    if (whole.proof().holds()) {
      blocks.add(new Heading("Putting it together"));
      blocks.add(new Caution(Cautions.ASSEMBLING));
      blocks.add(
          new Text(
              "The drive end lies below, on the bench. What goes in at a step is tinted and held"
                  + " off its place; the order matters."));
      List<Step> steps = Step.all(whole.proof().order());
      for (Step step : steps) {
        step(blocks, whole, model, step);
      }
      blocks.add(new Heading("When it is together"));
      running(whole.gearbox()).forEach(line -> blocks.add(new Text(line)));
    }
    return blocks;
  }

  private static Table bill(Bill bill) {
    List<List<String>> rows = new ArrayList<>();
    for (Bill.Line line : bill.lines()) {
      rows.add(
          List.of(
              line.number() + "  " + line.name(),
              Integer.toString(line.count()),
              Figures.typeset(line.size().replace(" x ", " \u00d7 ")),
              line.material().map(one -> one.word()).orElse("bought"),
              line.grams().map(g -> Figures.significant(g, 3)).orElse(Table.NONE)));
    }
    return new Table(
        "Bill: what is made and what is bought",
        List.of("piece", "count", "size, mm", "material", "g each"),
        rows,
        COLUMNS);
  }

  // ---- the steps

  private void step(List<Block> blocks, Whole whole, Exploded.Model model, Step step) {
    blocks.add(new Heading("Step " + step.number()));
    List<String> lines = new ArrayList<>();
    for (Move move : step.moves()) {
      boolean first = lines.isEmpty() && step.before().isEmpty();
      lines.add(says(move, whole.bill()) + (first ? "onto the bench" : where(move)) + ".");
    }
    blocks.add(
        new Assembly(
            model.draw(step, Axonometry.BENCH),
            whole.bill(),
            step.fresh(),
            "Step " + step.number() + ": " + String.join(" ", lines)));
    lines.forEach(line -> blocks.add(new Text(line)));
    dotted(whole, step)
        .ifPresent(
            dotted -> {
              blocks.add(
                  new Assembly(
                      model.draw(dotted, Axonometry.PLAN),
                      whole.bill(),
                      step.fresh(),
                      "Dot to dot, as many to as many, looked down on."));
              blocks.add(new Remark(DOTS));
            });
    checks(step).forEach(check -> blocks.add(new Remark(check)));
  }

  /** What is seen of pieces with dots where the last of them goes in. */
  private static Optional<List<Component>> dotted(Whole whole, Step step) {
    Gearbox box = whole.gearbox();
    List<Component> all = box.dotted().stream().map(box::component).toList();
    List<Component> last = all.stream().filter(one -> step.fresh().contains(one)).toList();
    boolean there =
        all.stream()
            .allMatch(
                one ->
                    last.contains(one)
                        || step.before().stream().anyMatch(move -> move.component().equals(one)));
    return last.isEmpty() || !there ? Optional.empty() : Optional.of(all);
  }

  /** {@code 4 × bolt (15), M3 × 45,}. */
  private static String says(Move move, Bill bill) {
    Component component = move.component();
    String remark = component.piece().remark();
    return (move.copies().size() == 1 ? "1 \u00d7 " : "")
        + move.what(bill)
        + component.size().map(size -> ", " + size.replace(" x ", " \u00d7 ")).orElse("")
        + (remark.isEmpty() ? "" : ", " + remark)
        + ", ";
  }

  /** {@code from below, into front plate}. */
  private static String where(Move move) {
    String from =
        switch (move.way()) {
          case FROM_THE_DRIVE_END -> "from below";
          case FROM_THE_FAR_END -> "from above";
          case FROM_THE_SIDE -> "from the side";
        };
    return from
        + move.component()
            .fastening()
            .map(Fastening::tied)
            .filter(tied -> !tied.isEmpty())
            .map(tied -> ", into " + String.join(", ", tied))
            .orElse("");
  }

  /** What to look after at a step; each is said once, where it first matters. */
  private List<String> checks(Step step) {
    List<String> checks = new ArrayList<>();
    if (step.isFromBelow() != below) {
      below = !below;
      checks.add(below ? TURN_OVER : "Turn it back onto its drive end.");
    }
    for (Component one : step.fresh()) {
      List<String> words = List.of(one.name().split(" "));
      Optional<String> check =
          CHECKS.stream().filter(each -> words.contains(each.word)).map(Check::text).findFirst();
      check.filter(said::add).ifPresent(checks::add);
    }
    return checks;
  }

  // ---- at the end

  private List<String> running(Gearbox box) {
    List<String> lines = new ArrayList<>();
    Roles roles = box.train().rolesInForce();
    Optional<BigFraction> ratio = named.study().ratio().map(r -> r.reduction());
    if (ratio.isPresent() && roles.take().isPresent() && !ratio.get().equals(BigFraction.ZERO)) {
      lines.add(
          "Turn "
              + roles.drives().getFirst().member()
              + " by hand: "
              + Figures.exact(ratio.get().abs())
              + " of its turns bring "
              + roles.take().get().member()
              + " round once, "
              + (ratio.get().signum() < 0 ? "the other" : "the same")
              + " way. It must run freely all that way, without a tight place.");
    }
    List<String> plays = new ArrayList<>();
    Set<String> pairs = new HashSet<>();
    for (MeshFigures mesh : named.cutSheet().meshes()) {
      String pair = mesh.mesh().a() + " with " + mesh.mesh().b();
      if (pairs.add(pair) && Double.isFinite(mesh.playAround())) {
        plays.add(pair + " " + Figures.significant(mesh.playAround(), 2) + " mm");
      }
    }
    if (!plays.isEmpty()) {
      lines.add(
          "Play along the pitch circles, as drawn: "
              + String.join("; ", plays)
              + ". Where there is none, stop and look for burrs, or for pieces at a wrong place.");
    }
    lines.add(
        "Everything that turns has a little play along the axes, about "
            + Figures.significant(Gearbox.AXIAL_PLAY, 2)
            + " mm; tighten the bolts again after the first hour of running.");
    return lines;
  }
}
