package steadycog.format.xlsx;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.dhatim.fastexcel.Worksheet;
import steadycog.motion.Equations;
import steadycog.motion.Relation;
import steadycog.motion.Relation.Meshing;
import steadycog.torque.MeshEfficiency;
import steadycog.torque.PowerFlow;
import steadycog.train.Mesh;

/**
 * Losses as formulas. Which wheel of a mesh gives the power follows from the torques without
 * losses; the wheel that takes it gets the stated share, its carrier the rest (Müller, <i>Epicyclic
 * Drive Trains</i>). Where the torques that then follow do not bear these directions out, the
 * workbook says nothing and leaves it to the program.
 */
final class LiveLosses {
  /** A smaller share of what goes in is rounding. */
  private static final int DIGITS = 9;

  private static final int PASSES = 1;
  private static final int DRIVING = 2;
  private static final int LOST = 3;
  private static final int SOURCE = 4;

  // Columns of what is worked out of each mesh, beside the equations.
  private static final int ROLLING = 1;
  private static final int IDEAL = 2;
  private static final int WAY = 3;
  private static final int FORCE = 4;
  private static final int AGAINST = 5;

  private final LiveSheets live;
  private final Worksheet sums;
  private final Matrix ideal;
  private final int top;
  private final List<Meshing> meshes;
  private final List<Relation> relations;

  /** With how its meshes are worked out below {@code ideal}. */
  private LiveLosses(LiveSheets live, Equations equations, Worksheet sums, Matrix ideal) {
    this.live = live;
    this.sums = sums;
    this.ideal = ideal;
    top = ideal.end();
    relations = equations.relations();
    meshes =
        relations.stream()
            .map(Relation::cause)
            .filter(Meshing.class::isInstance)
            .map(Meshing.class::cast)
            .toList();
  }

  /** Empty where power does not come out one way alone, or paths share it. */
  static Optional<LiveLosses> of(
      LiveSheets live, PowerFlow flow, Equations equations, Worksheet sums, Matrix ideal) {
    LiveLosses losses = new LiveLosses(live, equations, sums, ideal);
    return flow.verdict() == PowerFlow.Verdict.RUNS && losses.meshes.size() == flow.meshes().size()
        ? Optional.of(losses)
        : Optional.empty();
  }

  // ---- on the sheet of the equations

  /** Writes the balance of torques with losses. */
  Matrix balance() {
    String[] heads = {
      "mesh", "wheel over carrier, rpm", "force", "way", "force with losses", "against the way"
    };
    for (int c = 0; c < heads.length; c++) {
      sums.value(top, c, heads[c]);
    }
    sums.range(top, 0, top, heads.length - 1).style().bold().set();
    Matrix matrix =
        new Matrix(
            sums,
            top + meshes.size() + 2,
            "Torques with losses: the wheel that is driven gets the share that its mesh passes",
            live.bodies());
    for (int e = 0; e < relations.size(); e++) {
      Relation relation = relations.get(e);
      if (relation.cause() instanceof Meshing(Mesh mesh)) {
        int row = row(relation);
        sums.value(row, 0, relation.cause().toString());
        direction(row, mesh, e, matrix);
        matrix.equation(e, relation.cause().toString(), shared(mesh, row));
      } else {
        matrix.equation(e, relation.cause().toString(), live.terms(relation));
      }
    }
    live.driven(matrix);
    matrix.invert();
    return matrix;
  }

  /** Works out which wheel of a mesh drives, and whether the torques with losses say so too. */
  private void direction(int row, Mesh mesh, int equation, Matrix matrix) {
    String in = live.powerIn();
    String power = at(row, ROLLING) + "*" + at(row, IDEAL);
    String agrees = "SIGN(" + at(row, FORCE) + "*" + at(row, IDEAL) + ")=1";
    sums.formula(row, ROLLING, rolling(mesh));
    sums.formula(row, IDEAL, force(ideal, equation, live.at(live.take(), LiveSheets.IDEAL)));
    sums.formula(
        row, WAY, "IF(" + in + "=0,0,SIGN(ROUND(" + power + "/(" + in + ")," + DIGITS + ")))");
    sums.formula(
        row, FORCE, force(matrix, equation, "(" + live.atTake(matrix, LiveSheets.TORQUE) + ")"));
    sums.formula(row, AGAINST, "IF(OR(" + at(row, WAY) + "=0," + agrees + "),0,1)");
  }

  /** What acts on bodies at a mesh: on its driven wheel so much less. */
  private Map<Integer, String> shared(Mesh mesh, int row) {
    String way = at(row, WAY);
    String passes = live.at(passesRow(row), PASSES);
    return live.terms(
        mesh,
        "IF(" + way + "=1," + passes + ",1)*" + live.teeth(mesh.a(), mesh.teethA()),
        "IF(" + way + "=-1," + passes + ",1)*" + live.teeth(mesh.b(), mesh.teethB()));
  }

  private String rolling(Mesh mesh) {
    String wheel = live.at(mesh.a(), LiveSheets.SPEED);
    return mesh.carrier().map(c -> wheel + "-" + live.at(c, LiveSheets.SPEED)).orElse(wheel);
  }

  private String force(Matrix matrix, int equation, String load) {
    return "-" + matrix.inverse(live.takeIndex(), equation) + "*" + load;
  }

  private int row(Relation relation) {
    return top + 1 + meshes.indexOf(relation.cause());
  }

  private String at(int row, int column) {
    return Books.cell(sums, row, column);
  }

  /** Whether the torques bear the directions out. */
  String holds() {
    return "SUM(" + at(top + 1, AGAINST) + ":" + Books.cell(top + meshes.size(), AGAINST) + ")=0";
  }

  // ---- on the sheet of the members

  private int passesRow(int row) {
    return live.below() + row - top;
  }

  /** Writes what each mesh passes on, to be changed there, and what it loses. */
  void meshes(Worksheet members, List<MeshEfficiency> efficiencies) {
    List<String> heads = List.of("mesh", "passes", "driving wheel", "lost, W", "from");
    Books.heads(members, live.below(), heads, List.of(PASSES, LOST));
    for (int k = 0; k < meshes.size(); k++) {
      Mesh mesh = meshes.get(k).mesh();
      int row = live.below() + 1 + k;
      int sum = top + 1 + k;
      members.value(row, 0, meshes.get(k).toString());
      live.given(row, PASSES, efficiencies.get(k).value().doubleValue());
      members.formula(
          row,
          DRIVING,
          "IF("
              + at(sum, WAY)
              + "=0,\"\",IF("
              + at(sum, WAY)
              + "=-1,\""
              + mesh.a()
              + "\",\""
              + mesh.b()
              + "\"))");
      members.formula(
          row,
          LOST,
          "IF("
              + live.isKnown()
              + ",(1-"
              + live.at(row, PASSES)
              + ")*ABS("
              + at(sum, ROLLING)
              + "*"
              + live.teeth(mesh.a(), mesh.teethA())
              + "*"
              + at(sum, FORCE)
              + ")*2*PI()/60,\"\")");
      members.value(row, SOURCE, efficiencies.get(k).says());
    }
    Books.words(members, live.below(), live.below() + meshes.size(), DRIVING);
    Books.words(members, live.below(), live.below() + meshes.size(), SOURCE);
  }
}
