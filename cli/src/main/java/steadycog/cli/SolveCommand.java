package steadycog.cli;

import java.util.List;
import java.util.Optional;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import steadycog.format.json.Layout;
import steadycog.format.json.StudyJson;
import steadycog.number.Units;
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
    Optional<Units> chosen = input.asked();
    return StudyTable.solve(studies, chosen) + (working ? WorkingTable.of(studies, chosen) : "");
  }

  @Override
  void check() {
    super.check();
    input.requires(
        "--working", !json && !many.lines, "it is for reading, not in JSON: leave one of them out");
  }

  @Override
  String json(List<NamedStudy> studies, boolean cures, Layout layout) {
    return StudyJson.solve(studies, cures, layout);
  }
}
