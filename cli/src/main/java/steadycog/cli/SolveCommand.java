package steadycog.cli;

import java.util.List;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import steadycog.format.json.StudyJson;
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

  @Override
  String table(List<NamedStudy> studies) {
    return StudyTable.solve(studies) + (working ? WorkingTable.of(studies) : "");
  }

  @Override
  String json(List<NamedStudy> studies) {
    return StudyJson.solve(studies);
  }
}
