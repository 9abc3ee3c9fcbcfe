package steadycog.cli;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import steadycog.bench.BenchTest;
import steadycog.bench.Build;
import steadycog.bench.LoadTest;
import steadycog.bench.Recording;
import steadycog.bench.RecordingResult;
import steadycog.bench.Rigging;
import steadycog.bench.TestHead;
import steadycog.bench.TurnTest;
import steadycog.bench.TurnVerdict;
import steadycog.bench.rig.LoadRun;
import steadycog.bench.rig.RigSettings;
import steadycog.bench.rig.Run;
import steadycog.bench.rig.SimulatedRig;
import steadycog.bench.rig.TurnRun;
import steadycog.format.csv.Beginning;
import steadycog.format.csv.BenchCsv;
import steadycog.format.csv.ColumnGuess;
import steadycog.format.csv.Columns;
import steadycog.format.csv.RecordingCsv;
import steadycog.format.file.JobFiles;
import steadycog.format.file.Trouble;
import steadycog.format.json.BenchResultJson;
import steadycog.format.json.UnreadableException;
import steadycog.job.Job;
import steadycog.job.Sheet;
import steadycog.job.TrainText;
import steadycog.number.Figures;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.report.BenchBlocks;
import steadycog.report.Block;
import steadycog.train.Train;

/** {@code bench}: what was tested, what a recording says, or a test on the simulated rig. */
@Command(
    name = "bench",
    mixinStandardHelpOptions = true,
    description = {
      "The bench book: builds, turn counts and load tests of the job, worked out.",
      "With --csv what a recording says of one train; with --rig a test on the simulated rig."
    })
final class BenchCommand implements Callable<Integer> {
  private static final int READINGS = 3;

  /** First rows of a recording that are printed. */
  private static final int SHOWN = 3;

  private static final double PATIENCE = 3600 * 24;

  @Mixin CardInput input;

  @Option(names = "--json", description = "print JSON")
  boolean json;

  @Option(
      names = "--csv",
      paramLabel = "DATA",
      description =
          "a recording: columns of time, input and output angle, torque and so on, with heads")
  Optional<Path> data = Optional.empty();

  @Option(
      names = "--columns",
      paramLabel = "CHANNEL=COLUMN:UNIT,…",
      description =
          "which column of the recording holds what, where the heads do not say it: time, input,"
              + " output, torque, torque-in, current, voltage, temperature, noise; COLUMN is a head"
              + " or a number from 1, UNIT such as deg, turn, rad, counts/4096, Nm, lbf-in")
  String columns = "";

  @Option(
      names = "--motor",
      paramLabel = "NMM/A,A",
      split = ",",
      description = "torque constant of the motor in Nmm/A, and its current by itself in A")
  List<Double> motor = List.of();

  @Option(names = "--state", description = "of a train with states the one that was tested")
  String state = "";

  @Option(names = "--rig", paramLabel = "turns|load", description = "runs a test on the rig")
  Optional<String> rig = Optional.empty();

  @Option(names = "--seed", description = "of the rig (default: ${DEFAULT-VALUE})")
  long seed = 1;

  @Option(
      names = "--fault",
      description =
          "on purpose: none, miscount, wrong-member, slipping, missed-counts or surprise"
              + " (default: ${DEFAULT-VALUE})")
  String fault = "none";

  @Option(names = "--top", paramLabel = "TORQUE", description = "of a load test: 1.2Nm")
  Optional<String> top = Optional.empty();

  @Option(names = "--steps", description = "of a load test (default: ${DEFAULT-VALUE})")
  int steps = 8;

  @Option(names = "--strength", paramLabel = "NM", description = "at which the build gives way")
  Optional<Double> strength = Optional.empty();

  @Option(names = "--play", paramLabel = "ARCMIN", description = "at the output")
  Optional<Double> play = Optional.empty();

  @Option(names = "--limit", paramLabel = "A", description = "current that the supply gives")
  Optional<Double> limit = Optional.empty();

  @Option(
      names = "--record",
      paramLabel = "OUT",
      description = "writes what the rig read to a CSV file that --csv reads")
  Optional<Path> record = Optional.empty();

  @Override
  public Integer call() {
    fitting();
    return data.isPresent() || rig.isPresent() ? input.withOne(this::test) : input.with(this::book);
  }

  /** Refuses options that would be passed over. */
  private void fitting() {
    input.requireText(!json);
    input.requires("--rig", data.isEmpty(), "a recording is read: leave --csv or --rig out");
    for (String option : List.of("--columns", "--motor")) {
      input.requires(option, data.isPresent(), "of a recording: it needs --csv DATA");
    }
    for (String option :
        List.of("--seed", "--fault", "--strength", "--play", "--limit", "--record")) {
      input.requires(option, rig.isPresent(), "of the rig: it needs --rig turns or --rig load");
    }
    for (String option : List.of("--top", "--steps")) {
      input.requires(option, rig.filter("load"::equals).isPresent(), "it needs --rig load");
    }
    input.requires("--state", data.isPresent() || rig.isPresent(), "it needs --csv DATA or --rig");
  }

  private int book(Job job) {
    if (json) {
      input.print(BenchResultJson.write(job.sheets()));
      return Exit.DONE;
    }
    List<TrainText> all = new ArrayList<>();
    for (Sheet sheet : job.sheets()) {
      List<Build> builds = sheet.book().builds();
      if (builds.isEmpty()) {
        continue;
      }
      StringBuilder text = new StringBuilder();
      for (int k = 0; k < builds.size(); k++) {
        Optional<Build> before = k == 0 ? Optional.empty() : Optional.of(builds.get(k - 1));
        BenchBlocks maker = new BenchBlocks(input.units(builds.get(k).card().train()));
        text.append(text(maker.build(builds.get(k), before)));
      }
      all.add(new TrainText(sheet.name(), text.toString()));
    }
    input.tell(all.isEmpty() ? "nothing built yet\n" : Lines.headed(all, true));
    return Exit.DONE;
  }

  private int test(Sheet sheet) {
    Train whole = sheet.card().orElseThrow().train();
    if (!state.isEmpty() && whole.shifts().state(state).isEmpty()) {
      return input.refuse(input.source + ":1:1: no state '" + state + "'");
    }
    String shown =
        state.isEmpty() && !whole.shifts().states().isEmpty()
            ? whole.shifts().states().getFirst().name()
            : state;
    Train train = whole.shifts().state(shown).map(whole::in).orElse(whole);
    try {
      return data.isPresent() ? recording(train, data.get(), shown) : onRig(train, shown);
    } catch (IllegalArgumentException wrong) {
      return input.refuse(input.source + ":1:1: " + wrong.getMessage());
    }
  }

  // ---- recordings

  private int recording(Train train, Path file, String shown) {
    try {
      Read read = read(file);
      RecordingResult result =
          RecordingResult.of(
              read.recording(), rigging(), LocalDate.now(), shown, Optional.of(train));
      if (json) {
        input.print(BenchResultJson.write(train, read.recording(), result));
      } else {
        input.tell(text(train, read, result));
      }
      return Exit.DONE;
    } catch (UnreadableException unreadable) {
      return input.refuse(unreadable.at(file.toString()));
    } catch (NoSuchFileException missing) {
      return input.refuse(file + ":1:1: no such file");
    } catch (IOException broken) {
      return input.refuse(file + ":1:1: cannot be read: " + Trouble.words(broken));
    }
  }

  /**
   * A recording that was read.
   *
   * @param guess how its columns were taken, unless the command line says it
   */
  private record Read(Recording recording, Beginning beginning, ColumnGuess guess) {}

  private Read read(Path file) throws IOException, UnreadableException {
    Beginning beginning;
    try (InputStream in = Files.newInputStream(file)) {
      beginning = Beginning.of(in);
    }
    ColumnGuess guess = beginning.guess();
    Columns chosen;
    try {
      chosen = guess.with(columns, beginning.heads());
    } catch (IllegalArgumentException wrong) {
      throw new UnreadableException(
          Math.max(1, beginning.firstRow() - 1), 1, String.valueOf(wrong.getMessage()));
    }
    try (InputStream in = new BufferedInputStream(Files.newInputStream(file))) {
      Recording recording =
          RecordingCsv.read(
              in, file.getFileName().toString(), beginning, chosen, bytes -> {}, () -> false);
      return new Read(recording, beginning, guess);
    }
  }

  private Rigging rigging() {
    return motor.isEmpty()
        ? Rigging.METER
        : Rigging.METER.turnedBy(
            Optional.of(motor.getFirst() * Unit.NMM.inBase()), motor.size() > 1 ? motor.get(1) : 0);
  }

  private String text(Train train, Read read, RecordingResult result) {
    Recording recording = read.recording();
    StringBuilder text = new StringBuilder();
    read.guess().said().forEach(line -> text.append(line).append('\n'));
    if (!columns.isEmpty()) {
      text.append("but as told: ").append(columns).append('\n');
    }
    read.beginning().preview(SHOWN).forEach(row -> text.append("  ").append(row).append('\n'));
    text.append(recording.rows()).append(" rows read");
    result.remarks().forEach(remark -> text.append("\nnote: ").append(remark));
    recording
        .bad()
        .forEach(bad -> text.append("\nline ").append(bad.line()).append(": ").append(bad.why()));
    if (recording.skipped() > recording.bad().size()) {
      text.append("\nand ").append(recording.skipped() - recording.bad().size()).append(" more");
    }
    text.append('\n');
    result
        .ratio()
        .ifPresent(
            ratio ->
                text.append("i = in/out   ")
                    .append(Figures.significant(ratio, 7))
                    .append("   scatter ")
                    .append(Figures.significant(result.scatter(), 3))
                    .append(" deg\n"));
    BenchBlocks maker = new BenchBlocks(input.units(train));
    result.turns().ifPresent(test -> text.append('\n').append(text(maker.test(train, test))));
    result.load().ifPresent(test -> text.append('\n').append(text(maker.test(train, test))));
    return text.toString();
  }

  // ---- the rig

  private int onRig(Train train, String shown) {
    RigSettings.Fault wanted =
        RigSettings.Fault.of(fault)
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        "--fault "
                            + fault
                            + ": expected "
                            + Arrays.stream(RigSettings.Fault.values())
                                .map(RigSettings.Fault::key)
                                .collect(Collectors.joining(", "))));
    RigSettings settings = RigSettings.USUAL.seeded(seed).with(wanted).limitedTo(limit);
    settings = strength.map(settings::breakingAt).orElse(settings);
    settings = play.map(settings::playing).orElse(settings);
    SimulatedRig made = SimulatedRig.of(train, settings);
    Run run =
        switch (rig.orElseThrow()) {
          case "turns" -> turns(train, made, shown);
          case "load" -> load(made, shown);
          default ->
              throw new IllegalArgumentException("--rig " + rig.get() + ": expected turns or load");
        };
    for (double time = 0; time < PATIENCE && !run.isOver(); time++) {
      run.advance(1);
    }
    run.stop();
    BenchTest test = run.test();
    if (record.isPresent()) {
      try {
        JobFiles.write(record.get(), BenchCsv.readings(made, run.readings()));
      } catch (IOException failed) {
        return input.refuse(record.get() + ":1:1: cannot be written: " + Trouble.words(failed));
      }
    }
    if (json) {
      input.print(BenchResultJson.write(train, test));
      return Exit.DONE;
    }
    input.tell(
        text(new BenchBlocks(input.units(train)).test(train, test))
            + "opened up: "
            + made.inspect().orElse("nothing to be seen")
            + "\n");
    return Exit.DONE;
  }

  private TestHead head(String title, String shown) {
    return new TestHead(title, LocalDate.now(), "simulated rig, seed " + seed, shown, "");
  }

  private Run turns(Train train, SimulatedRig made, String shown) {
    TurnTest empty = new TurnTest(head("Turn count", shown), 1, List.of());
    int turns = TurnVerdict.turnsToTell(train, empty.tolerance()).orElse(10);
    return new TurnRun(made, empty, turns, READINGS, made.usualSpeed());
  }

  private Run load(SimulatedRig made, String shown) {
    Quantity most =
        top.map(Rigging.METER::readLoad)
            .orElseGet(
                () -> Quantity.of(Figures.significant(1.2 * made.hiddenStrength(), 2), Unit.NM));
    if (steps < 1 || steps > LoadTest.MOST_STEPS) {
      throw new IllegalArgumentException(
          "--steps " + steps + ": expected 1 to " + LoadTest.MOST_STEPS);
    }
    LoadTest plan =
        new LoadTest(head("Load test", shown), Rigging.METER, LoadTest.plan(most, steps));
    return new LoadRun(made, plan, made.usualSpeed());
  }

  // ---- words

  private static String text(List<Block> blocks) {
    StringBuilder text = new StringBuilder();
    for (Block block : blocks) {
      switch (block) {
        case Block.Heading heading ->
            text.append(text.isEmpty() ? "" : "\n").append(heading.text()).append('\n');
        case Block.Text words -> text.append(words.text()).append('\n');
        case Block.Remark remark -> text.append("  ").append(remark.text()).append('\n');
        case Block.Caution caution -> text.append(caution.text()).append('\n');
        case Block.Lines lines ->
            lines.lines().forEach(line -> text.append("  + ").append(line).append('\n'));
        case Block.Finding finding ->
            text.append(finding.severity()).append(' ').append(finding.text()).append('\n');
        case Block.Table table -> text.append(table(table));
        // Drawings and charts are for paper.
        case Block.Drawing drawing -> {}
        case Block.Assembly whole -> {}
        case Block.Charts charts -> {}
      }
    }
    return text.toString();
  }

  private static String table(Block.Table table) {
    List<String> heads = new ArrayList<>(table.heads());
    TextTable text = new TextTable(1, heads.toArray(String[]::new));
    table.rows().forEach(row -> text.add(row.toArray(String[]::new)));
    return text.toString();
  }
}
