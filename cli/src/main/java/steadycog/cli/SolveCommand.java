package steadycog.cli;

import java.util.List;
import java.util.Optional;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import steadycog.format.json.StudyJson;
import steadycog.number.Unit;
import steadycog.report.Units;
import steadycog.study.NamedStudy;

/** {@code solve}: speeds, torques and powers of every member for the roles on the card. */
@Command(
    name = "solve",
    mixinStandardHelpOptions = true,
    description = "Speeds, torques, powers, ratio and findings for the roles on the card.")
final class SolveCommand extends ReportCommand {

  @Option(
      names = "--working",
      description = "add how the ratio and every torque come about, step by step")
  boolean working;

  @Option(
      names = "--units",
      paramLabel = "UNITS",
      split = ",",
      description = "show in these units, as rad/s,lbf-in,hp; else in those of the card")
  List<String> units = List.of();

  @Override
  String table(List<NamedStudy> studies) {
    Optional<Units> chosen = chosen();
    return StudyTable.solve(studies, chosen) + (working ? WorkingTable.of(studies, chosen) : "");
  }

  private Optional<Units> chosen() {
    if (units.isEmpty()) {
      return Optional.empty();
    }
    Units chosen = Units.USUAL;
    for (String symbol : units) {
      Unit unit =
          Unit.of(symbol)
              .orElseThrow(
                  () ->
                      new ParameterException(
                          input.spec.commandLine(),
                          "--units " + symbol + ": expected units as rpm, Nm, W, lbf-in"));
      chosen = chosen.with(unit);
    }
    return Optional.of(chosen);
  }

  @Override
  String json(List<NamedStudy> studies) {
    return StudyJson.solve(studies);
  }
}
