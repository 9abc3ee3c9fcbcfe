package steadycog.format.csv;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.AngularSpeed;
import steadycog.number.Exact;
import steadycog.study.NamedStudy;
import steadycog.study.Study;
import steadycog.train.Member;
import steadycog.train.MemberId;

/**
 * The members of trains with their numbers, a line each; the column titles name units and ratio.
 */
public final class StudyCsv {
  private static final String[] TITLES = {
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
    "torque carried Nm",
    "power W"
  };

  private StudyCsv() {}

  public static String write(List<NamedStudy> trains) {
    StringBuilder text = new StringBuilder();
    CSVFormat format = CSVFormat.RFC4180.builder().setHeader(TITLES).get();
    try (CSVPrinter printer = new CSVPrinter(text, format)) {
      for (NamedStudy train : trains) {
        for (Member member : train.study().train().members()) {
          printer.printRecord(line(train, member));
        }
      }
    } catch (IOException impossible) {
      throw new UncheckedIOException("writing to memory", impossible);
    }
    return text.toString();
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
        number(study.motion().speed(id).map(AngularSpeed::inRpm)),
        number(study.torques().external(id).map(BigFraction::doubleValue)),
        number(study.torques().carried(id).map(BigFraction::doubleValue)),
        number(study.power(id)));
  }

  private static String exact(Optional<BigFraction> value) {
    return value.map(Exact::text).orElse("");
  }

  /** Adding zero turns a negative zero into a plain one. */
  private static String number(Optional<Double> value) {
    return value.map(known -> Double.toString(known + 0.0)).orElse("");
  }
}
