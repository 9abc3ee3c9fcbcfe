package steadycog.format.csv;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Ratio;
import steadycog.number.Units;
import steadycog.study.NamedStudy;
import steadycog.study.Study;
import steadycog.torque.Backwards;
import steadycog.train.Member;
import steadycog.train.MemberId;

/**
 * The members of trains with their numbers, a line each, of a train with states once a state; the
 * column titles name units and ratio.
 */
public final class StudyCsv {
  private static List<String> titles(Units units) {
    return Stream.of(
            List.of("train"),
            Csv.exactly("reduction ratio i = in/out"),
            List.of("train value e = out/in", "member", "role", "teeth", "internal"),
            Csv.exactly("turns per input turn"),
            List.of(
                "speed " + units.speed().symbol(),
                "torque from outside " + units.torque().symbol(),
                "without losses " + units.torque().symbol(),
                "torque carried " + units.torque().symbol(),
                "power " + units.power().symbol(),
                "speed against the carrier " + units.speed().symbol(),
                "efficiency of the train",
                "pushed back",
                "efficiency backwards",
                "losses at the edge, times these"))
        .flatMap(List::stream)
        .toList();
  }

  private StudyCsv() {}

  public static String write(List<NamedStudy> trains) {
    return write(trains, Units.USUAL);
  }

  /** The same in other units, which the titles name. */
  public static String write(List<NamedStudy> trains, Units units) {
    List<List<String>> lines = new ArrayList<>();
    for (NamedStudy train : trains.stream().flatMap(one -> one.each().stream()).toList()) {
      train.study().train().members().forEach(member -> lines.add(line(train, member, units)));
    }
    return Csv.write(titles(units), lines);
  }

  private static List<String> line(NamedStudy train, Member member, Units units) {
    Study study = train.study();
    MemberId id = member.id();
    List<String> line = new ArrayList<>(List.of(train.name()));
    line.addAll(Csv.exact(study.ratio().map(Ratio::reduction)));
    line.addAll(
        List.of(
            Csv.number(study.ratio().map(ratio -> ratio.trainValue().doubleValue())),
            id.toString(),
            study.role(id).word(),
            member.teeth().map(teeth -> Integer.toString(teeth.count())).orElse(""),
            member.teeth().map(teeth -> Boolean.toString(teeth.internal())).orElse("")));
    line.addAll(Csv.exact(study.motion().turnsPerInputTurn(id)));
    line.addAll(
        List.of(
            Csv.number(study.motion().speed(id).map(v -> v.in(units.speed()))),
            torque(study.torques().external(id), units),
            torque(study.loading().ideal().external(id), units),
            torque(study.torques().carried(id), units),
            Csv.number(study.power(id).map(units.power()::fromBase)),
            Csv.number(study.relativeToCarrier(id).map(v -> v.in(units.speed()))),
            Csv.number(study.efficiency()),
            Csv.pushedBack(study.loading().backwards()),
            Csv.number(study.loading().backwards().flatMap(Backwards::efficiency)),
            Csv.edge(study.loading().backwards())));
    return line;
  }

  private static String torque(Optional<BigFraction> newtonMetres, Units units) {
    return Csv.number(newtonMetres.map(t -> units.torque().fromBase(t.doubleValue())));
  }
}
