package steadycog.app.bench;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.files.AskFile;
import steadycog.app.files.Shop;
import steadycog.app.look.Look;
import steadycog.bench.BenchBook;
import steadycog.check.Finding;
import steadycog.check.Severity;
import steadycog.format.html.ReportHtml;
import steadycog.format.pdf.ReportPdf;
import steadycog.job.Job;
import steadycog.number.Units;
import steadycog.report.Block;
import steadycog.report.Report;
import steadycog.report.Section;

/** The report: what is in it, how findings were settled, and how it will read. */
final class ReportPanel extends VBox {
  private final Desk desk;
  private final AskFile ask;
  private final Shop shop = new Shop(Platform::runLater);
  private final Map<Section, CheckBox> sections = new EnumMap<>(Section.class);
  private final CheckBox whole = new CheckBox("all trains of the job");
  private final Label said = Look.label("", "soft");
  private final VBox settling = new VBox(4);
  private final BlocksView preview = new BlocksView();
  private List<String> settlingFor = List.of();

  ReportPanel(Desk desk, AskFile ask) {
    super(8);
    this.desk = desk;
    this.ask = ask;
    setId("report");
    FlowPane choice = new FlowPane(12, 5);
    choice.setRowValignment(VPos.CENTER);
    for (Section section : Section.values()) {
      CheckBox box = new CheckBox(section.title());
      box.setId("section-" + section.key());
      box.setSelected(section != Section.GEARBOX);
      box.setOnAction(e -> show());
      sections.put(section, box);
      choice.getChildren().add(box);
    }
    Button pdf = Look.styled(new Button("Write PDF \u2026"), "main");
    pdf.setId("report-pdf");
    pdf.setOnAction(e -> write(".pdf"));
    Button html = new Button("Write HTML \u2026");
    html.setId("report-html");
    html.setOnAction(e -> write(".html"));
    whole.setId("report-whole");
    whole.setTooltip(new Tooltip("Else the train in view alone"));
    said.setId("report-said");
    said.setWrapText(true);
    HBox buttons = new HBox(10, pdf, html, whole, said);
    HBox.setHgrow(said, Priority.ALWAYS);
    buttons.setAlignment(Pos.CENTER_LEFT);
    settling.setId("settling");
    getChildren()
        .addAll(
            Look.label("The report holds", "caption"),
            choice,
            buttons,
            settling,
            Look.label("How it reads", "caption"),
            preview);
    shop.saidProperty().addListener((o, old, now) -> said.setText(now));
  }

  private Set<Section> chosen() {
    Set<Section> chosen = EnumSet.noneOf(Section.class);
    sections.forEach(
        (section, box) -> {
          if (box.isSelected()) {
            chosen.add(section);
          }
        });
    return chosen;
  }

  void show() {
    showSettling();
    List<Block> blocks = new ArrayList<>();
    if (desk.bench().isPresent()) {
      Job job = new Job(desk.job().title(), List.of(desk.sheet()));
      Set<Section> seen = chosen();
      boolean box = seen.remove(Section.GEARBOX);
      Report report = Report.of(job, seen, desk.preferences().units(), "");
      for (Report.Part part : report.chapters().getFirst().parts()) {
        blocks.add(new Block.Heading(part.section().title()));
        blocks.addAll(part.blocks());
      }
      if (box) {
        blocks.add(new Block.Heading(Section.GEARBOX.title()));
        blocks.add(
            new Block.Remark(
                "Built, proven and drawn step by step when the file is written; it stands on the"
                    + " cut sheet under Gearbox."));
      }
    } else {
      blocks.add(new Block.Remark("Put a train on the bench first."));
    }
    preview.show(blocks);
  }

  /** A field for every finding that wants an answer. */
  private void showSettling() {
    List<Finding> open =
        desk.bench().map(Bench::study).stream()
            .flatMap(study -> study.findings().stream())
            .filter(
                finding ->
                    finding.severity() == Severity.ERROR || finding.severity() == Severity.WARNING)
            .toList();
    List<String> keys = new ArrayList<>(List.of(desk.sheet().name()));
    open.stream().map(BenchBook::keyOf).forEach(keys::add);
    if (!keys.equals(settlingFor)) {
      settlingFor = keys;
      settling.getChildren().clear();
      if (!open.isEmpty()) {
        settling.getChildren().add(Look.label("How findings were settled", "caption"));
      }
      for (int k = 0; k < open.size(); k++) {
        settling.getChildren().add(field(open.get(k), k));
      }
    }
  }

  private HBox field(Finding finding, int index) {
    String message = finding.in(desk.preferences().units()).message();
    Label what = Look.label(finding.severity().word() + ": " + message, "small");
    what.setTooltip(new Tooltip(message));
    what.setPrefWidth(0);
    HBox.setHgrow(what, Priority.ALWAYS);
    what.setMaxWidth(Double.MAX_VALUE);
    TextField how = Look.styled(new TextField(), "sheet-field");
    how.setId("settled-" + index);
    how.setPromptText("how it was settled; Enter takes it");
    how.setAccessibleText("How " + what.getText() + " was settled");
    how.setText(desk.book().book().howSettled(finding).orElse(""));
    how.setOnAction(e -> desk.book().settle(finding, how.getText()));
    how.focusedProperty()
        .addListener(
            (o, was, now) -> {
              // One that was taken away loses the keys only afterwards.
              if (was && !now && settling.getChildren().contains(how.getParent())) {
                desk.book().settle(finding, how.getText());
              }
            });
    how.setPrefWidth(0);
    HBox.setHgrow(how, Priority.ALWAYS);
    HBox row = new HBox(8, what, how);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private void write(String ending) {
    Set<Section> sectionsNow = chosen();
    Units units = desk.preferences().units();
    Job job = desk.job();
    Job written = whole.isSelected() ? job : new Job(job.title(), List.of(desk.sheet()));
    if (written.sheets().stream().allMatch(sheet -> sheet.card().isEmpty())) {
      said.setText("Put a train on the bench first.");
      return;
    }
    String name = whole.isSelected() && !job.title().isBlank() ? job.title() : desk.sheet().name();
    Optional<Path> file = ask.askExport(name, "Report", ending);
    String date = LocalDate.now().toString();
    file.ifPresent(
        to ->
            shop.make(
                to,
                (cancelled, progress) -> {
                  Report report = Report.of(written, sectionsNow, units, date);
                  return ending.equals(".html")
                      ? ReportHtml.write(report).getBytes(StandardCharsets.UTF_8)
                      : ReportPdf.write(report);
                }));
  }
}
