package steadycog.format.xlsx;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.numbers.fraction.BigFraction;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import steadycog.motion.Equations;
import steadycog.motion.Mechanism;
import steadycog.motion.Motion;
import steadycog.motion.Relation;
import steadycog.motion.Relation.Meshing;
import steadycog.number.AngularSpeed;
import steadycog.study.NamedStudy;
import steadycog.study.Study;
import steadycog.torque.PowerFlow;
import steadycog.train.Drive;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Roles;
import steadycog.train.Teeth;

/**
 * A train as formulas: tooth counts, what meshes pass on, speed of the drive and the torque that
 * the card states are given; ratio, speeds and torques follow by the equations of its meshes
 * (Willis), solved in the workbook by an inverse.
 */
final class LiveSheets {
  /** The row of the first member, from 0. */
  private static final int TOP = 6;

  private static final int RATIO_ROW = 3;
  private static final int EFFICIENCY_ROW = 4;
  private static final int TEETH = 1;
  private static final int ROLE = 2;
  private static final int GIVEN = 3;
  static final int SPEED = 4;
  private static final int TURNS = 5;
  static final int TORQUE = 6;
  static final int IDEAL = 7;
  private static final String FILL = "FFF4DC";

  private final Worksheet members;
  private final Worksheet sums;
  private final Study study;
  private final Equations equations;
  private final Mechanism mechanism;
  private final Roles roles;
  private final Matrix matrix;

  private LiveSheets(Workbook book, NamedStudy named, Equations equations, String suffix) {
    this.study = named.study();
    this.equations = equations;
    mechanism = equations.mechanism();
    roles = mechanism.roles();
    members = book.newWorksheet("Members" + suffix);
    sums = book.newWorksheet("Equations" + suffix);
    matrix =
        new Matrix(
            sums,
            1,
            "Every row is an equation: the sum of what stands in it times the speeds",
            bodies());
    for (Worksheet sheet : List.of(members, sums)) {
      sheet.value(0, 0, named.name());
      sheet.style(0, 0).bold().fontSize(14).set();
    }
  }

  /**
   * Adds the two sheets of a train; none where its speeds are not settled.
   *
   * @param suffix of their names
   */
  static void add(Workbook book, NamedStudy named, String suffix) {
    Equations.of(named.study().motion().mechanism())
        .ifPresent(known -> new LiveSheets(book, named, known, suffix).write());
  }

  private void write() {
    equations();
    members();
    speeds();
    if (roles.drives().size() == 1 && roles.take().isPresent()) {
      ratio();
      torques();
    }
    Books.print(members, TOP - 1);
    Books.print(sums, 1);
  }

  // ---- where things stand

  List<String> bodies() {
    return mechanism.bodies().stream().map(MemberId::toString).toList();
  }

  /** The first free row below the members, one left empty. */
  int below() {
    return TOP + mechanism.bodies().size() + 1;
  }

  /** A cell of the sheet of members. */
  String at(int row, int column) {
    return Books.cell(members, row, column);
  }

  String at(MemberId member, int column) {
    return at(TOP + mechanism.indexOf(member), column);
  }

  private MemberId drive() {
    return roles.drives().getFirst().member();
  }

  MemberId take() {
    return roles.take().orElseThrow().member();
  }

  int takeIndex() {
    return mechanism.indexOf(take());
  }

  /** The equation that gives the first drive its speed; the others' follow. */
  private int driven() {
    return equations.relations().size();
  }

  // ---- what is given, and what comes of it

  private void members() {
    members.value(
        1, 0, "Change a tinted cell: a tooth count, a speed, a torque. The rest follows.");
    members.value(
        2,
        0,
        "Speeds and torques by the equation of every mesh. Whether such a train can be built and"
            + " go together, the program tells.");
    List<String> heads =
        List.of(
            "member",
            "teeth",
            "role",
            "given, rpm",
            "speed, rpm",
            "turns per input turn",
            "torque, Nm",
            "without losses, Nm");
    Books.heads(members, TOP - 1, heads, List.of(TEETH, GIVEN, SPEED, TURNS, TORQUE, IDEAL));
    for (int c = 0; c < heads.size(); c++) {
      members.width(c, 20);
    }
    for (MemberId id : mechanism.bodies()) {
      int row = TOP + mechanism.indexOf(id);
      Member member = study.train().member(id);
      members.value(row, 0, id.toString());
      member.teeth().ifPresent(teeth -> given(row, TEETH, teeth.count()));
      members.value(row, ROLE, study.role(id).word());
    }
    Books.words(members, TOP - 1, below() - 2, ROLE);
    members.freezePane(1, TOP);
  }

  /** A value that is there to be changed. */
  void given(int row, int column, Number value) {
    members.value(row, column, value);
    members.style(row, column).fillColor(FILL).set();
  }

  private void speeds() {
    Motion motion = study.motion();
    List<String> given = new ArrayList<>();
    for (Drive drive : roles.drives()) {
      given(
          TOP + mechanism.indexOf(drive.member()),
          GIVEN,
          motion.speed(drive.member()).map(AngularSpeed::inRpm).orElse(1.0));
      given.add(at(drive.member(), GIVEN));
    }
    String input = at(drive(), SPEED);
    for (int k = 0; k < mechanism.bodies().size(); k++) {
      List<String> parts = new ArrayList<>();
      for (int d = 0; d < given.size(); d++) {
        parts.add(matrix.inverse(k, driven() + d) + "*" + given.get(d));
      }
      members.formula(TOP + k, SPEED, String.join("+", parts));
      members.formula(
          TOP + k, TURNS, "IF(" + input + "=0,\"\"," + at(TOP + k, SPEED) + "/" + input + ")");
    }
  }

  private void ratio() {
    String out = at(take(), SPEED);
    members.value(RATIO_ROW, 0, "ratio i = in/out");
    members.formula(
        RATIO_ROW, 1, "IF(" + out + "=0,\"none\"," + at(drive(), SPEED) + "/" + out + ")");
    members.range(RATIO_ROW, 0, RATIO_ROW, 1).style().bold().set();
  }

  // ---- torques

  /** Whether the card states the load, from which the drive's torque follows. */
  private boolean isLoadGiven() {
    return roles.take().orElseThrow().load().isPresent();
  }

  private MemberId stated() {
    return isLoadGiven() ? take() : drive();
  }

  /** Power that goes in, without losses: Nm times rpm. */
  String powerIn() {
    return at(drive(), SPEED) + "*" + at(drive(), IDEAL);
  }

  /** What the load and each hold have to bear, or the drive has to give. */
  private void torques() {
    double value =
        study
            .loading()
            .ideal()
            .external(stated())
            .map(BigFraction::doubleValue)
            .filter(torque -> torque != 0)
            .orElse(1.0);
    given(TOP + mechanism.indexOf(stated()), TORQUE, value);
    members.formula(TOP + mechanism.indexOf(stated()), IDEAL, at(stated(), TORQUE));
    torques(matrix, IDEAL, isNot(share(matrix)));
    PowerFlow flow = study.loading().flow();
    LiveLosses.of(this, flow, equations, sums, matrix)
        .ifPresent(
            losses -> {
              Matrix balance = losses.balance();
              // Of the same sign as without losses: power comes out, and not both ends are pushed.
              String delivers = "SIGN(" + share(balance) + "*" + share(matrix) + ")=1";
              torques(balance, TORQUE, "AND(" + delivers + "," + losses.holds() + ")");
              efficiency();
              losses.meshes(members, flow.meshes());
            });
  }

  /** Not zero; the writer takes no sign that has a meaning in XML. */
  private static String isNot(String cell) {
    return "NOT(" + cell + "=0)";
  }

  private String share(Matrix balance) {
    return balance.inverse(takeIndex(), driven());
  }

  /** The torque at the take-off as a balance has it. */
  String atTake(Matrix balance, int column) {
    return isLoadGiven()
        ? at(take(), column)
        : "IF(" + share(balance) + "=0,0,-" + at(drive(), column) + "/" + share(balance) + ")";
  }

  private void torques(Matrix balance, int column, String known) {
    String load = at(take(), column);
    int other = mechanism.indexOf(isLoadGiven() ? drive() : take());
    String follows = isLoadGiven() ? "-" + share(balance) + "*" + load : atTake(balance, column);
    members.formula(TOP + other, column, "IF(" + known + "," + follows + ",\"\")");
    for (int e = 0; e < equations.relations().size(); e++) {
      if (equations.relations().get(e).cause() instanceof Relation.Held(MemberId held)) {
        String bears = "-" + balance.inverse(takeIndex(), e) + "*" + load;
        members.formula(
            TOP + mechanism.indexOf(held), column, "IF(" + known + "," + bears + ",\"\")");
      }
    }
  }

  private void efficiency() {
    members.value(EFFICIENCY_ROW, 0, "comes out");
    members.formula(
        EFFICIENCY_ROW,
        1,
        "IF("
            + isKnown()
            + ",-"
            + at(take(), TORQUE)
            + "*"
            + at(take(), SPEED)
            + "/("
            + at(drive(), TORQUE)
            + "*"
            + at(drive(), SPEED)
            + "),\"the program tells\")");
    members.range(EFFICIENCY_ROW, 0, EFFICIENCY_ROW, 1).style().bold().set();
    members.style(EFFICIENCY_ROW, 1).format("0.0%").set();
  }

  /** Whether the torques with losses follow. */
  String isKnown() {
    return "AND(ISNUMBER("
        + at(take(), TORQUE)
        + "),ISNUMBER("
        + at(drive(), TORQUE)
        + "),"
        + isNot(powerIn())
        + ")";
  }

  // ---- the equations

  private void equations() {
    int is = 1 + mechanism.bodies().size();
    sums.value(1, is, "is");
    for (int e = 0; e < driven(); e++) {
      Relation relation = equations.relations().get(e);
      matrix.equation(e, relation.cause().toString(), terms(relation));
      sums.value(matrix.row(e), is, 0);
    }
    driven(matrix);
    for (int d = 0; d < roles.drives().size(); d++) {
      sums.formula(matrix.row(driven() + d), is, at(roles.drives().get(d).member(), GIVEN));
    }
    matrix.invert();
    sums.width(0, 24);
    sums.freezePane(1, 2);
  }

  /** The rows of the drives. */
  void driven(Matrix rows) {
    for (int d = 0; d < roles.drives().size(); d++) {
      MemberId member = roles.drives().get(d).member();
      rows.equation(driven() + d, "drive " + member, Map.of(mechanism.indexOf(member), "1"));
    }
  }

  /** What each body's speed is multiplied by, as a formula of tooth counts. */
  Map<Integer, String> terms(Relation relation) {
    if (relation.cause() instanceof Meshing(Mesh mesh)) {
      return terms(mesh, teeth(mesh.a(), mesh.teethA()), teeth(mesh.b(), mesh.teethB()));
    }
    Map<Integer, String> terms = new HashMap<>();
    relation
        .terms()
        .forEach(term -> terms.put(term.body(), Integer.toString(term.coefficient().intValue())));
    return terms;
  }

  /** The terms of a mesh with so much on its first and second wheel. */
  Map<Integer, String> terms(Mesh mesh, String onA, String onB) {
    String sign = mesh.sign() < 0 ? "-" : "+";
    Map<Integer, String> terms = new HashMap<>();
    terms.put(mechanism.indexOf(mesh.a()), onA);
    terms.put(mechanism.indexOf(mesh.b()), sign + onB);
    mesh.carrier()
        .ifPresent(carrier -> terms.put(mechanism.indexOf(carrier), "-(" + onA + sign + onB + ")"));
    return terms;
  }

  /** The cell that holds a member's teeth, or the count where it is not the member's own. */
  String teeth(MemberId id, Teeth teeth) {
    boolean own =
        study.train().member(id).teeth().filter(t -> t.count() == teeth.count()).isPresent();
    return own ? at(id, TEETH) : Integer.toString(teeth.count());
  }
}
