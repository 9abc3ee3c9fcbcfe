package steadycog.app.cut;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.beans.Observable;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.app.files.AskFile;
import steadycog.app.gearbox.BoxSwitch;
import steadycog.app.gearbox.GearboxPanel;
import steadycog.app.ledger.RoomTable;
import steadycog.app.look.Later;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.report.Cautions;
import steadycog.shape.Drives;
import steadycog.sizing.CutSheet;
import steadycog.sizing.Identify;
import steadycog.sizing.MeshFigures;
import steadycog.sizing.SheetSummary;
import steadycog.sizing.SheetTable;
import steadycog.sizing.SheetTable.Field;
import steadycog.sizing.SheetTables;
import steadycog.sizing.ToothLoad;
import steadycog.sizing.WheelFigures;
import steadycog.study.NamedStudy;
import steadycog.study.Room;
import steadycog.study.Study;
import steadycog.train.MemberId;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * The cut sheet: what counts become in mm, to type over where it can be chosen; teeth as they are
 * made, magnified; a first look at strength; files for the shop; and a gear in hand identified.
 */
public final class CutStation extends HBox {
  private static final double RIGHT_WIDTH = 372;
  private static final double RIGHT_SHARE = 0.42;

  /** The bar beside the tables and the room round them. */
  private static final double SCROLL_ROOM = 40;

  private final Desk desk;
  private final SizeEdits edits;
  private final SizeBar sizes;
  private final Label empty =
      Look.label(
          "Put a train on the bench first: diameters, centre distances and play will stand here.",
          "soft");
  private final VBox summary = new VBox(1);
  private final SheetGrid wheels = new SheetGrid("sheet-wheels", new WheelHand());
  private final SheetGrid meshes = new SheetGrid("sheet-meshes", new MeshHand());
  private final SheetGrid strength = new SheetGrid("sheet-strength", new MeshHand());
  private final SheetGrid lost = new SheetGrid("sheet-lost", new SheetGrid.Hand() {});
  private final FlowPane drives = beside();
  private final List<SheetGrid> grids = new ArrayList<>();
  private final SheetGrid bearings = new SheetGrid("sheet-bearings", new SheetGrid.Hand() {});
  private final SheetGrid thrusts = new SheetGrid("sheet-thrusts", new SheetGrid.Hand() {});
  private final RatingPanel rated = new RatingPanel();
  private final SizePanel size;
  private final CheckBox shifting = new CheckBox("shift teeth to a distance typed over");
  private final Label screening = Look.label(Cautions.SCREENING, "caution");
  private final SizeFindings findings;
  private final Label roomTitle = Look.label("", "caption");
  private final RoomTable rooms;
  private final VBox room;
  private final FilesPanel files;
  private final GearboxPanel gearbox;
  private final BoxSwitch choice = new BoxSwitch(this::show);
  private final ScrollPane scroll;
  private final ScrollPane side;
  private final VBox meshBox;
  private final MeshLook teeth;
  private final VBox tables;
  private Optional<Shown> shown = Optional.empty();
  private List<List<MemberId>> columns = List.of();

  /** What is in view. */
  private record Shown(Study study, CutSheet sheet) {}

  public CutStation(Desk desk, AskFile ask) {
    super(8);
    this.desk = desk;
    setId("cut-station");
    edits = new SizeEdits(desk);
    sizes = new SizeBar(desk, edits);
    files = new FilesPanel(desk, ask);
    size = new SizePanel(desk);
    rooms = new RoomTable(desk);
    findings = new SizeFindings(desk);
    room = new VBox(3, roomTitle, rooms);
    empty.setWrapText(true);
    screening.setWrapText(true);
    shifting.setSelected(true);
    shifting.setTooltip(
        new Tooltip("Else the axes are put there as they are, and the play shows what that gives"));
    HBox distance = new HBox(shifting);
    distance.setAlignment(Pos.CENTER_LEFT);
    meshBox = new VBox(4, meshes, distance);
    tables =
        Look.styled(
            new VBox(
                10,
                summary,
                wheels,
                drives,
                beside(meshBox, strength),
                rated,
                screening,
                beside(lost, bearings, room),
                thrusts,
                findings),
            "panel",
            "cut-tables");
    scroll = new ScrollPane(tables);
    scroll.setFitToWidth(true);
    for (Region wide : List.of(summary, screening, findings)) {
      wide.maxWidthProperty().bind(scroll.widthProperty().subtract(SCROLL_ROOM));
    }
    tables.minHeightProperty().bind(scroll.heightProperty().subtract(2));
    VBox.setVgrow(scroll, Priority.ALWAYS);
    gearbox = new GearboxPanel(desk, ask);
    VBox.setVgrow(gearbox, Priority.ALWAYS);
    VBox left = new VBox(8, choice, sizes, empty, scroll, gearbox);
    HBox.setHgrow(left, Priority.ALWAYS);
    left.setMinWidth(0);
    teeth = new MeshLook(desk);
    VBox right = new VBox(8, teeth, size, files, new IdentifyPanel(desk));
    side = Look.styled(new ScrollPane(right), "side-scroll");
    side.setFitToWidth(true);
    side.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    desk.preferencesProperty().subscribe(preferences -> share(side));
    widthProperty().subscribe(now -> share(side));
    getChildren().addAll(left, side);
    desk.inViewProperty().addListener(o -> teeth.forget());
    Later later = Later.nextFrame(this::show);
    desk.benchProperty().addListener(o -> later.ask());
    desk.cures().knownProperty().addListener(o -> later.ask());
    desk.preferencesProperty().addListener(o -> later.ask());
    desk.selectionProperty().addListener(o -> later.ask());
    setFocusTraversable(true);
    visibleProperty().addListener(o -> show());
    show();
  }

  /** Large text makes the right side wider, but never so that the tables have less than it. */
  private void share(ScrollPane side) {
    double wanted = RIGHT_WIDTH * desk.preferences().zoom();
    double width = getWidth() > 0 ? Math.min(wanted, RIGHT_SHARE * getWidth()) : wanted;
    side.setMinWidth(width);
    side.setPrefWidth(width);
  }

  /** Side by side where there is room. */
  private static FlowPane beside(Node... nodes) {
    FlowPane pane = new FlowPane(36, 10, nodes);
    pane.setRowValignment(VPos.TOP);
    return pane;
  }

  /** Works the sheet out; only while it is looked at. */
  private void show() {
    if (!isVisible()) {
      return;
    }
    Optional<Bench> bench = desk.bench();
    boolean any = bench.isPresent();
    boolean box = any && choice.isWhole();
    Look.show(empty, !any);
    Look.show(sizes, any && !box);
    Look.show(gearbox, box);
    Look.show(scroll, !box);
    Look.show(side, !box);
    tables.setVisible(any);
    Look.show(files, any);
    Look.show(size, any);
    Look.show(teeth, any);
    if (box) {
      bench.ifPresent(now -> gearbox.show(now.study(), now.card().train()));
      return;
    }
    shown = bench.map(this::worked);
    shown.ifPresent(this::fill);
  }

  /** In the state in view; loads are the largest of all states. */
  private Shown worked(Bench bench) {
    Train whole = bench.card().train();
    CutSheet sheet =
        whole.shifts().states().isEmpty()
            ? bench.study().cutSheet()
            : NamedStudy.of("", whole).cutSheet();
    return new Shown(bench.study(), sheet);
  }

  private void fill(Shown now) {
    Train train = now.study.train();
    SheetTables all = new SheetTables(train, now.sheet, desk.preferences().units());
    SheetSummary above = all.summary();
    sizes.show(desk.bench().orElseThrow().card().train(), Optional.of(now.sheet.box()));
    teeth.choose(now.sheet);
    summary.getChildren().clear();
    if (!standardTeeth(train)) {
      summary.getChildren().add(new Label("Teeth: " + above.pitch()));
    }
    for (String line : above.lines(true)) {
      Label label = new Label(line);
      label.setWrapText(true);
      summary.getChildren().add(label);
    }
    columns = all.driveColumns();
    showDrives(all.drives());
    int wheel = indexOf(now.sheet.wheels(), desk.selection());
    wheels.show(
        all.wheels(), now.sheet.wheels().stream().map(w -> Sign.shortName(w.id())).toList(), wheel);
    meshes.show(
        all.meshes(),
        now.sheet.meshes().stream().map(m -> Sign.mesh(m.mesh())).toList(),
        teeth.mesh());
    Look.show(meshBox, !now.sheet.meshes().isEmpty());
    SheetTable loads = all.strength();
    List<ToothLoad> loaded = now.sheet.screening().loads();
    strength.show(
        loads,
        loaded.stream().map(load -> Sign.mesh(load.mesh())).toList(),
        loaded.size() == now.sheet.meshes().size() ? teeth.mesh() : -1);
    Look.show(screening, !loads.columns().isEmpty());
    Train whole = desk.bench().orElseThrow().card().train();
    size.show(whole);
    rated.show(whole, desk.preferences().units());
    SheetTable shares = all.lostMotion();
    lost.show(shares, shares.columns(), -1);
    bearings.show(
        all.bearings(),
        now.sheet.bearings().stream()
            .map(b -> (b.planet() ? "pin of " : "shaft of ") + Sign.shortName(b.member()))
            .toList(),
        -1);
    SheetTable along = all.thrusts();
    thrusts.show(along, along.columns(), -1);
    Look.show(thrusts, !along.columns().isEmpty());
    showRooms(now.study);
    findings.show();
    teeth.show(now.study, now.sheet, all);
    files.show(now.study);
  }

  /** What drives other than wheels are made of, a table each. */
  private void showDrives(List<SheetTable> all) {
    while (grids.size() < all.size()) {
      int index = grids.size();
      grids.add(new SheetGrid("sheet-drive" + (index == 0 ? "" : index + 1), new DriveHand(index)));
    }
    for (int k = 0; k < all.size(); k++) {
      grids.get(k).show(all.get(k), all.get(k).columns(), -1);
    }
    drives.getChildren().setAll(grids.subList(0, all.size()));
    Look.show(drives, !all.isEmpty());
  }

  private static boolean standardTeeth(Train train) {
    return train.pitch().isEmpty() || Identify.isStandard(train.pitch().get());
  }

  private static int indexOf(List<WheelFigures> wheels, Optional<MemberId> member) {
    for (int k = 0; k < wheels.size(); k++) {
      if (member.isPresent() && wheels.get(k).id().equals(member.get())) {
        return k;
      }
    }
    return -1;
  }

  private void showRooms(Study study) {
    List<Room> all = study.rooms();
    Look.show(room, all.size() > 1);
    roomTitle.setText(
        "Room for the same ratio, in "
            + desk.preferences().length().symbol()
            + " at these teeth (carriers and faces not counted)");
    double module = Drives.moduleMm(study.train());
    rooms.show(all, module / desk.preferences().length().inBase());
  }

  private abstract class SheetHand implements SheetGrid.Hand {
    @Override
    public void say(Optional<String> problem) {
      settle(problem);
    }

    @Override
    public Observable other() {
      return desk.inViewProperty();
    }
  }

  /** What can be said of a wheel, where a column is one. */
  private abstract class MemberHand extends SheetHand {
    abstract Optional<MemberId> wheelAt(int column);

    @Override
    public boolean changes(Field field, int column) {
      return wheelAt(column).filter(wheel -> changes(field, wheel)).isPresent();
    }

    private boolean changes(Field field, MemberId wheel) {
      Train train = shown.orElseThrow().study.train();
      return switch (field) {
        case SHIFT -> train.partOf(wheel).takesShift(wheel);
        case BORE -> train.member(wheel).teeth().filter(Teeth::internal).isEmpty();
        case HELIX -> train.partOf(wheel).takesHelix();
        case MODULE, WIDTH, OFFSET, MATERIAL -> true;
        case DISTANCE, FOLLOWS -> false;
      };
    }

    @Override
    public Optional<String> take(Field field, int column, String text) {
      return edits.wheel(field, wheelAt(column).orElseThrow(), text);
    }

    @Override
    public void choose(int column) {
      wheelAt(column).ifPresent(wheel -> desk.select(Optional.of(wheel)));
    }
  }

  private final class WheelHand extends MemberHand {
    @Override
    Optional<MemberId> wheelAt(int column) {
      return Optional.of(shown.orElseThrow().sheet.wheels().get(column).id());
    }
  }

  /** Columns of bevel gears are members; of other drives all is said on the card. */
  private final class DriveHand extends MemberHand {
    private final int index;

    DriveHand(int index) {
      this.index = index;
    }

    @Override
    Optional<MemberId> wheelAt(int column) {
      return columns.get(index).stream().skip(column).findFirst();
    }
  }

  /** Wheels of meshes, also of those whose strength is shown. */
  private final class MeshHand extends SheetHand {
    @Override
    public boolean changes(Field field, int column) {
      if (field != Field.DISTANCE) {
        return false;
      }
      Shown now = shown.orElseThrow();
      return now.study.train().partOf(now.sheet.meshes().get(column).mesh().a()).takesDistance();
    }

    @Override
    public Optional<String> take(Field field, int column, String text) {
      MeshFigures figures = shown.orElseThrow().sheet.meshes().get(column);
      return edits.distance(figures, text, shifting.isSelected());
    }

    @Override
    public void choose(int column) {
      teeth.choose(column);
      show();
    }
  }

  /** Lets fields show what the card says now, once whatever took the focus has it. */
  private void settle(Optional<String> problem) {
    sizes.said(problem);
    Platform.runLater(this::show);
  }
}
