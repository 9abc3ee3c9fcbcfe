package steadycog.cli;

import java.util.List;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import steadycog.format.json.Layout;
import steadycog.format.json.StudyJson;
import steadycog.job.Job;
import steadycog.study.NamedStudy;

/** {@code check}: the findings alone. */
@Command(
    name = "check",
    mixinStandardHelpOptions = true,
    description =
        "The findings alone, worst first; all pieces are put together and turned as well.")
final class CheckCommand extends ReportCommand {

  @Option(
      names = "--assembly",
      description = "also whether a whole gearbox made of it goes together")
  boolean assembly;

  @Override
  List<NamedStudy> studies(Job job) {
    return CardInput.studies(job).stream()
        .map(NamedStudy::proven)
        .map(train -> assembly ? train.assembled() : train)
        .toList();
  }

  @Override
  String table(List<NamedStudy> studies) {
    return StudyTable.check(studies, input.asked());
  }

  @Override
  String json(List<NamedStudy> studies, boolean cures, Layout layout) {
    return StudyJson.check(studies, cures, layout);
  }
}
