package steadycog.format.csv;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.AngularSpeed;
import steadycog.number.Exact;
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
  private static final List<String> TITLES =
      List.of(
          "train",
          "reduction ratio i = in/out",
          "train value e = out/in",
          "member",
          "role",
          "teeth",
          "internal",
          "turns per input turn",
          "speed rpm",
          "torque from outside Nm",
          "without losses Nm",
          "torque carried Nm",
          "power W",
          "speed against the carrier rpm",
          "efficiency of the train",
          "pushed back",
          "efficiency backwards",
          "losses at the edge, times these");

  private StudyCsv() {}

  public static String write(List<NamedStudy> trains) {
    List<List<String>> lines = new ArrayList<>();
    for (NamedStudy train : trains.stream().flatMap(one -> one.each().stream()).toList()) {
      train.study().train().members().forEach(member -> lines.add(line(train, member)));
    }
    return Csv.write(TITLES, lines);
  }

  private static List<String> line(NamedStudy train, Member member) {
    Study study = train.study();
    MemberId id = member.id();
    return List.of(
        train.name(),
        exact(study.ratio().map(ratio -> ratio.reduction())),
        exact(study.ratio().map(ratio -> ratio.trainValue())),
        id.toString(),
        study.role(id).word(),
        member.teeth().map(teeth -> Integer.toString(teeth.count())).orElse(""),
        member.teeth().map(teeth -> Boolean.toString(teeth.internal())).orElse(""),
        exact(study.motion().turnsPerInputTurn(id)),
        Csv.number(study.motion().speed(id).map(AngularSpeed::inRpm)),
        Csv.number(study.torques().external(id).map(BigFraction::doubleValue)),
        Csv.number(study.loading().ideal().external(id).map(BigFraction::doubleValue)),
        Csv.number(study.torques().carried(id).map(BigFraction::doubleValue)),
        Csv.number(study.power(id)),
        Csv.number(study.relativeToCarrier(id).map(AngularSpeed::inRpm)),
        Csv.number(study.efficiency()),
        Csv.pushedBack(study.loading().backwards()),
        Csv.number(study.loading().backwards().flatMap(Backwards::efficiency)),
        Csv.edge(study.loading().backwards()));
  }

  private static String exact(Optional<BigFraction> value) {
    return value.map(Exact::text).orElse("");
  }
}
