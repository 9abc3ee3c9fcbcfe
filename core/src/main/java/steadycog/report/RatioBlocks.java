package steadycog.report;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.apache.commons.numbers.fraction.BigFraction;
import org.jspecify.annotations.Nullable;
import steadycog.bench.Slip;
import steadycog.number.AngularSpeed;
import steadycog.number.Figures;
import steadycog.number.Ratio;
import steadycog.number.Units;
import steadycog.report.Block.Heading;
import steadycog.report.Block.Remark;
import steadycog.report.Block.Table;
import steadycog.report.Block.Text;
import steadycog.study.ConfigurationBoard;
import steadycog.study.MotorPoint;
import steadycog.study.NamedStudy;
import steadycog.study.Study;
import steadycog.study.Working;
import steadycog.torque.Backwards;
import steadycog.torque.PowerFlow;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Role;

/** What a report says of the ratios of a train, and how they were worked out. */
final class RatioBlocks {
  private final NamedStudy named;
  private final Units units;

  RatioBlocks(NamedStudy named, Units units) {
    this.named = named;
    this.units = units;
  }

  private static final int MOST_CONFIGURATIONS = 40;

  List<Block> ratios() {
    List<Block> blocks = new ArrayList<>();
    for (NamedStudy one : named.each()) {
      Study study = one.study();
      if (named.plan().isPresent()) {
        blocks.add(new Heading(one.name().substring(named.name().length() + 2)));
      }
      blocks.add(new Text(headline(study)));
      outcome(study).ifPresent(words -> blocks.add(new Text(words)));
      study.motorPoint().ifPresent(point -> blocks.add(new Text(motor(point))));
      blocks.add(members(study));
    }
    if (named.plan().isEmpty()) {
      board().ifPresent(blocks::add);
    }
    return blocks;
  }

  /** The ratio alone, of every state where there are states. */
  List<Block> headlines() {
    return named.each().stream()
        .<Block>map(one -> new Text(stateWords(one) + headline(one.study())))
        .toList();
  }

  private static String headline(Study study) {
    Optional<Ratio> ratio = study.ratio();
    if (ratio.isEmpty()) {
      return switch (study.motion().status()) {
        case JAMMED -> "Jammed: " + study.motion().conflictText() + ".";
        case UNDETERMINED ->
            "No ratio: nothing ties "
                + study.motion().floating().stream()
                    .map(MemberId::toString)
                    .collect(Collectors.joining(", "))
                + " to the drive.";
        case DETERMINED -> "No single ratio.";
      };
    }
    Ratio known = ratio.get();
    return "Ratio i = in/out = "
        + Figures.exact(known.reduction())
        + " ("
        + known.reductionText()
        + "); train value e = out/in = "
        + Figures.exact(known.trainValue())
        + ". The output turns the "
        + (known.sameDirection() ? "same" : "other")
        + " way.";
  }

  private Optional<String> outcome(Study study) {
    PowerFlow.Verdict verdict = study.loading().flow().verdict();
    String out =
        switch (verdict) {
          case RUNS -> study.efficiency().map(e -> Figures.percent(e, 1) + " comes out").orElse("");
          case LOCKS -> "it locks: the meshes take all that goes in";
          case LOWERS -> "the drive has to help the load down";
          case SEVERAL -> "several flows of power agree with its losses";
          case OPEN -> "paths share the load in a way that stiffness decides";
          case IMPOSSIBLE, UNTRIED, NONE -> "";
        };
    String back =
        study
            .loading()
            .backwards()
            .flatMap(Backwards::drivable)
            .map(turns -> turns ? "pushed back it turns" : "pushed back it holds")
            .orElse("");
    String both = out.isEmpty() || back.isEmpty() ? out + back : out + "; " + back;
    if (both.isEmpty()) {
      return Optional.empty();
    }
    String circulating =
        study
            .circulation()
            .map(share -> "; circulating power " + Figures.shown(share) + " \u00d7")
            .orElse("");
    return Optional.of("With losses: " + both + circulating + ".");
  }

  private String motor(MotorPoint point) {
    return "The motor, "
        + point.motor().stall()
        + " at rest and "
        + point.motor().free()
        + " without load: "
        + point.verdict().name().toLowerCase(Locale.ROOT).replace('_', ' ')
        + ", takes "
        + Figures.shown(point.needed() / units.torque().inBase())
        + " "
        + units.torque().symbol()
        + " at "
        + Figures.shown(point.speed() / units.speed().inBase())
        + " "
        + units.speed().symbol()
        + ".";
  }

  private Table members(Study study) {
    List<List<String>> rows = new ArrayList<>();
    for (Member member : study.train().members()) {
      MemberId id = member.id();
      Role role = study.role(id);
      boolean outside = role == Role.DRIVE || role == Role.HOLD || role == Role.TAKE;
      Optional<Double> torque =
          (outside ? study.torques().external(id) : study.torques().carried(id))
              .map(nm -> nm.doubleValue() / units.torque().inBase());
      Optional<Double> power =
          (outside ? study.power(id) : study.carriedPower(id))
              .map(watts -> watts / units.power().inBase());
      rows.add(
          List.of(
              id.toString(),
              role.word(),
              member.teeth().map(Object::toString).orElse(Table.NONE),
              study
                  .motion()
                  .turnsPerInputTurn(id)
                  .map(t -> Figures.shown(t.doubleValue()))
                  .orElse(Table.NONE),
              study.motion().turnsPerInputTurn(id).map(Figures::exact).orElse(Table.NONE),
              shown(study.motion().speed(id).map(speed -> speed.in(units.speed()))),
              way(study.motion().speed(id)),
              bracketed(torque, outside),
              bracketed(power, outside)));
    }
    return new Table(
        "Speed, torque and power of every member; in brackets what only passes through",
        List.of(
            "member",
            "role",
            "teeth",
            "turns",
            "exactly",
            units.speed().symbol(),
            "way",
            units.torque().symbol(),
            units.power().symbol()),
        rows,
        Table.COLUMNS);
  }

  private static String way(Optional<AngularSpeed> speed) {
    return speed
        .map(s -> s.signum() == 0 ? "rest" : s.signum() > 0 ? "ccw" : "cw")
        .orElse(Table.NONE);
  }

  /** What only passes through stands in brackets. */
  private static String bracketed(Optional<Double> value, boolean outside) {
    return value
        .map(v -> outside ? Figures.shown(v) : "(" + Figures.shown(v) + ")")
        .orElse(Table.NONE);
  }

  private Optional<Block> board() {
    ConfigurationBoard board = ConfigurationBoard.of(named.study().train());
    if (board.rows().isEmpty() || board.rows().size() > MOST_CONFIGURATIONS) {
      return Optional.empty();
    }
    List<List<String>> rows = new ArrayList<>();
    for (ConfigurationBoard.Row row : board.rows()) {
      boolean now = row.isIn(named.study().train().rolesInForce());
      Ratio ratio = row.configuration().ratio();
      rows.add(
          List.of(
              (now ? "\u2192 " : "") + Slip.words(row.configuration()),
              Figures.exact(ratio.reduction()),
              ratio.reductionText(),
              ratio.mode().word(),
              row.eachWay().efficiency().map(e -> Figures.percent(e, 1)).orElse(Table.NONE)));
    }
    return Optional.of(
        new Table(
            "Every drive, hold and take-off; an arrow marks the one on the card",
            List.of("every configuration", "i = in/out", "about", "mode", "comes out"),
            rows,
            Table.COLUMNS));
  }

  List<Block> working() {
    List<Block> blocks = new ArrayList<>();
    for (NamedStudy one : named.each()) {
      one.study()
          .working()
          .ifPresent(
              working -> {
                blocks.add(
                    new Text(stateWords(one) + "i = " + Figures.typeset(working.productForm())));
                blocks.add(steps(working));
                blocks.add(
                    new Remark(
                        working.agrees()
                            ? "Agrees with the solver exactly."
                            : "Does not agree with the solver: other paths take part."));
              });
      one.study()
          .epicyclicWorking()
          .ifPresent(
              working -> {
                blocks.add(new Text(stateWords(one) + Slip.seenFromCarrier(working)));
                blocks.add(
                    new Text(
                        "Turns of every member for one turn of the input, by relative motion, by"
                            + " the turn table, and by pitch-line speeds:"));
                List<List<String>> rows = new ArrayList<>();
                working
                    .relative()
                    .turns()
                    .forEach(
                        (member, turns) ->
                            rows.add(
                                List.of(
                                    member.toString(),
                                    Figures.exact(turns),
                                    turns(working.table().turns().get(member)),
                                    turns(working.pitchLine().turns().get(member)))));
                blocks.add(
                    new Table(
                        "Turns for one of the input, worked out in three ways",
                        List.of("member", "relative motion", "turn table", "pitch lines"),
                        rows,
                        Table.COLUMNS));
                blocks.add(
                    new Remark(
                        working.agrees()
                            ? "All three agree with the solver exactly."
                            : "They do not all agree with the solver."));
              });
    }
    return blocks;
  }

  /** {@code state low: } before what is said of one state; nothing where there is none. */
  private String stateWords(NamedStudy one) {
    return named.plan().isEmpty() ? "" : one.name().substring(named.name().length() + 2) + ": ";
  }

  private static String turns(@Nullable BigFraction turns) {
    return turns == null ? Table.NONE : Figures.exact(turns);
  }

  private static Table steps(Working working) {
    List<List<String>> rows = new ArrayList<>();
    for (Working.Step step : working.steps()) {
      rows.add(
          List.of(
              step.driver()
                  + " "
                  + step.driverWheel()
                  + " \u2192 "
                  + step.driven()
                  + " "
                  + step.drivenWheel()
                  + (step.idler() ? " (idler)" : ""),
              Figures.typeset(step.quotient()),
              Figures.exact(step.running()),
              Figures.exact(step.driverTeeth())));
    }
    return new Table(
        "The ratio mesh by mesh",
        List.of("driver, driven", "driven / driver", "so far", "teeth past in an input turn"),
        rows,
        Table.COLUMNS);
  }

  private static String shown(Optional<Double> value) {
    return value.map(Figures::shown).orElse(Table.NONE);
  }
}
