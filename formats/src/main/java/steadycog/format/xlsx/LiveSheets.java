package steadycog.format.xlsx;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import steadycog.motion.Equations;
import steadycog.motion.Mechanism;
import steadycog.motion.Motion;
import steadycog.motion.Relation;
import steadycog.number.AngularSpeed;
import steadycog.study.NamedStudy;
import steadycog.study.Study;
import steadycog.train.Drive;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Roles;

/**
 * A train as formulas: tooth counts, speed and torque of the drive are given; ratio, speeds and
 * torques follow by the equations of its meshes (Willis), solved in the workbook by an inverse.
 */
final class LiveSheets {
  /** The row of the first member, from 0. */
  private static final int TOP = 6;

  private static final int NAME = 0;
  private static final int TEETH = 1;
  private static final int ROLE = 2;
  private static final int GIVEN = 3;
  private static final int SPEED = 4;
  private static final int TURNS = 5;
  private static final int TORQUE = 6;
  private static final String FILL = "FFF4DC";

  private final Worksheet members;
  private final Worksheet sums;
  private final Study study;
  private final Equations equations;
  private final Mechanism mechanism;
  private final int bodies;
  private final String sumsName;
  private final String membersName;

  private LiveSheets(Workbook book, NamedStudy named, Equations equations, String suffix) {
    this.study = named.study();
    this.equations = equations;
    mechanism = equations.mechanism();
    bodies = mechanism.bodies().size();
    membersName = "Members" + suffix;
    sumsName = "Equations" + suffix;
    members = book.newWorksheet(membersName);
    sums = book.newWorksheet(sumsName);
    members.value(0, 0, named.name());
  }

  /**
   * Adds the two sheets of a train; none where its speeds are not settled.
   *
   * @param suffix of their names
   */
  static void add(Workbook book, NamedStudy named, String suffix) {
    Optional<Equations> equations = Equations.of(named.study().motion().mechanism());
    equations.ifPresent(
        known -> {
          LiveSheets sheets = new LiveSheets(book, named, known, suffix);
          sheets.members();
          sheets.equations();
        });
  }

  // ---- what is given, and what comes of it

  private void members() {
    members.style(0, 0).bold().fontSize(14).set();
    members.value(
        1, 0, "Change a tooth count, the speed or the torque in a tinted cell: the rest follows.");
    members.value(
        2,
        0,
        "Speeds by the equation of every mesh; torques without losses. Whether such a train can be"
            + " built and go together, the program tells.");
    String[] heads = {
      "member", "teeth", "role", "given, rpm", "speed, rpm", "turns per input turn", "torque, Nm"
    };
    for (int c = 0; c < heads.length; c++) {
      members.value(TOP - 1, c, heads[c]);
    }
    members.range(TOP - 1, 0, TOP - 1, heads.length - 1).style().bold().borderStyle("thin").set();
    for (int k = 0; k < bodies; k++) {
      member(k);
    }
    torques();
    ratio();
    members.width(NAME, 20);
    for (int c = 1; c < heads.length; c++) {
      members.width(c, 20);
    }
    members.freezePane(1, TOP);
    Books.print(members, TOP - 1);
  }

  private void member(int k) {
    int row = TOP + k;
    MemberId id = mechanism.bodies().get(k);
    Member member = study.train().member(id);
    members.value(row, NAME, id.toString());
    member.teeth().ifPresent(teeth -> given(row, TEETH, teeth.count()));
    members.value(row, ROLE, study.role(id).word());
    members.formula(
        row,
        SPEED,
        "SUMPRODUCT(" + sums(inverse(k, 0), inverse(k, bodies - 1)) + "," + givenRow() + ")");
    List<Drive> drives = mechanism.roles().drives();
    for (int d = 0; d < drives.size(); d++) {
      if (drives.get(d).member().equals(id)) {
        given(row, GIVEN, rpm(drives.get(d)));
      }
    }
    members.formula(
        row,
        TURNS,
        "IF("
            + cell(row(drives.getFirst().member()), SPEED)
            + "=0,\"\","
            + cell(row, SPEED)
            + "/"
            + cell(row(drives.getFirst().member()), SPEED)
            + ")");
  }

  private void given(int row, int column, Number value) {
    members.value(row, column, value);
    members.style(row, column).fillColor(FILL).set();
  }

  private double rpm(Drive drive) {
    Motion motion = study.motion();
    return motion.speed(drive.member()).map(AngularSpeed::inRpm).orElse(1.0);
  }

  /** With one drive and one take-off, what the load and each hold have to bear. */
  private void torques() {
    Roles roles = mechanism.roles();
    if (roles.drives().size() != 1 || roles.take().isEmpty()) {
      return;
    }
    int drive = row(roles.drives().getFirst().member());
    int take = row(roles.take().get().member());
    Optional<BigFraction> torque =
        study.loading().ideal().external(roles.drives().getFirst().member());
    given(drive, TORQUE, torque.map(BigFraction::doubleValue).filter(t -> t != 0).orElse(1.0));
    int equation = equations.relations().size();
    String load = cell(take, TORQUE);
    String share = sums(inverse(take - TOP, equation));
    members.formula(
        take, TORQUE, "IF(" + share + "=0,\"\",-" + cell(drive, TORQUE) + "/" + share + ")");
    for (int e = 0; e < equations.relations().size(); e++) {
      if (equations.relations().get(e).cause() instanceof Relation.Held(MemberId held)) {
        members.formula(
            row(held),
            TORQUE,
            "IF(" + share + "=0,\"\",-" + sums(inverse(take - TOP, e)) + "*" + load + ")");
      }
    }
  }

  private void ratio() {
    Roles roles = mechanism.roles();
    if (roles.drives().size() == 1 && roles.take().isPresent()) {
      String in = cell(row(roles.drives().getFirst().member()), SPEED);
      String out = cell(row(roles.take().get().member()), SPEED);
      members.value(3, 0, "ratio i = in/out");
      members.formula(3, 1, "IF(" + out + "=0,\"none\"," + in + "/" + out + ")");
      members.style(3, 0).bold().set();
      members.style(3, 1).bold().set();
    }
  }

  private int row(MemberId member) {
    return TOP + mechanism.indexOf(member);
  }

  // ---- the equations and their inverse

  private void equations() {
    sums.value(0, 0, "Every row is an equation: the sum of what stands in it times the speeds");
    for (int k = 0; k < bodies; k++) {
      sums.value(1, 1 + k, mechanism.bodies().get(k).toString());
    }
    sums.value(1, 1 + bodies, "is");
    sums.range(1, 0, 1, 1 + bodies).style().bold().set();
    int row = 2;
    for (Relation relation : equations.relations()) {
      sums.value(row, 0, relation.cause().toString());
      Map<Integer, String> terms = terms(relation);
      for (int k = 0; k < bodies; k++) {
        String term = terms.get(k);
        if (term == null) {
          sums.value(row, 1 + k, 0);
        } else {
          sums.formula(row, 1 + k, term);
        }
      }
      sums.value(row++, 1 + bodies, 0);
    }
    for (Drive drive : mechanism.roles().drives()) {
      sums.value(row, 0, "drive " + drive.member());
      for (int k = 0; k < bodies; k++) {
        sums.value(row, 1 + k, mechanism.indexOf(drive.member()) == k ? 1 : 0);
      }
      sums.formula(
          row++, 1 + bodies, "'" + membersName + "'!" + Books.cell(row(drive.member()), GIVEN));
    }
    inverse();
    sums.width(0, 24);
    sums.freezePane(1, 2);
    Books.print(sums, 1);
  }

  private void inverse() {
    int top = bodies + 4;
    sums.value(top - 1, 0, "The same right-hand sides in a row, and the inverse of the equations");
    for (int e = 0; e < bodies; e++) {
      sums.formula(top, 1 + e, Books.cell(2 + e, 1 + bodies));
    }
    String matrix = Books.range(2, 1, 1 + bodies, bodies);
    for (int k = 0; k < bodies; k++) {
      sums.value(top + 1 + k, 0, mechanism.bodies().get(k).toString());
      for (int e = 0; e < bodies; e++) {
        sums.formula(
            top + 1 + k, 1 + e, "INDEX(MINVERSE(" + matrix + ")," + (k + 1) + "," + (e + 1) + ")");
      }
    }
  }

  /** What each body's speed is multiplied by, as a formula of tooth counts. */
  private Map<Integer, String> terms(Relation relation) {
    Map<Integer, String> terms = new HashMap<>();
    if (relation.cause() instanceof Relation.Meshing(Mesh mesh)) {
      String a = teeth(mesh.a(), mesh.teethA().count());
      String b = teeth(mesh.b(), mesh.teethB().count());
      String sign = mesh.sign() < 0 ? "-" : "+";
      add(terms, mesh.a(), a);
      add(terms, mesh.b(), (mesh.sign() < 0 ? "-" : "") + b);
      mesh.carrier().ifPresent(carrier -> add(terms, carrier, "-(" + a + sign + b + ")"));
    } else {
      relation
          .terms()
          .forEach(term -> terms.put(term.body(), Integer.toString(term.coefficient().intValue())));
    }
    return terms;
  }

  private void add(Map<Integer, String> terms, MemberId member, String term) {
    terms.merge(mechanism.indexOf(member), term, (one, other) -> one + "+(" + other + ")");
  }

  /** The cell that holds a member's teeth, or the count where it is not the member's own. */
  private String teeth(MemberId id, int count) {
    boolean own = study.train().member(id).teeth().filter(t -> t.count() == count).isPresent();
    return own ? "'" + membersName + "'!" + Books.cell(row(id), TEETH) : Integer.toString(count);
  }

  private static String cell(int row, int column) {
    return Books.cell(row, column);
  }

  private String inverse(int body, int equation) {
    return Books.cell(bodies + 5 + body, 1 + equation);
  }

  private String givenRow() {
    return sums(Books.cell(bodies + 4, 1), Books.cell(bodies + 4, bodies));
  }

  private String sums(String cell) {
    return "'" + sumsName + "'!" + cell;
  }

  private String sums(String from, String to) {
    return "'" + sumsName + "'!" + from + ":" + to;
  }
}
