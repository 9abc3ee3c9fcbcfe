package steadycog.cli;

import java.util.List;
import picocli.CommandLine.Command;
import steadycog.format.json.StudyJson;
import steadycog.study.NamedStudy;

/** {@code check}: the findings alone. */
@Command(
    name = "check",
    mixinStandardHelpOptions = true,
    description = "The findings alone, worst first.")
final class CheckCommand extends ReportCommand {

  @Override
  String table(List<NamedStudy> studies) {
    return StudyTable.check(studies);
  }

  @Override
  String json(List<NamedStudy> studies) {
    return StudyJson.check(studies);
  }
}
