package steadycog.app.cut;

import java.util.List;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import steadycog.app.desk.Desk;
import steadycog.app.look.Look;
import steadycog.app.look.Sign;
import steadycog.sizing.CutSheet;
import steadycog.sizing.MeshFigures;
import steadycog.sizing.MeshPlay;
import steadycog.sizing.SheetTables;
import steadycog.study.Study;
import steadycog.train.MemberId;

/** The teeth of one mesh as they are made, with what that gives. */
final class MeshLook extends VBox {
  private static final PseudoClass ALARM = PseudoClass.getPseudoClass("alarm");
  private static final double HEIGHT = 206;

  private final Desk desk;
  private final MeshView view = new MeshView();
  private final Label title = Look.label("", "caption");
  private Optional<MemberId> seen = Optional.empty();
  private int mesh;

  MeshLook(Desk desk) {
    super(4);
    this.desk = desk;
    Look.styled(this, "panel", "working");
    view.setPrefHeight(HEIGHT);
    view.setMinHeight(HEIGHT);
    title.setWrapText(true);
    getChildren().addAll(title, view);
  }

  /** Which mesh of the sheet it shows, from 0. */
  int mesh() {
    return mesh;
  }

  void choose(int index) {
    mesh = index;
  }

  /** Another train is in view: its first mesh, whatever was chosen before. */
  void forget() {
    mesh = 0;
    seen = Optional.empty();
  }

  /** The mesh of a wheel that has just been chosen, the first once none is, else as it was. */
  void choose(CutSheet sheet) {
    List<MeshFigures> all = sheet.meshes();
    mesh = Math.clamp(mesh, 0, Math.max(0, all.size() - 1));
    Optional<MemberId> chosen = desk.selection();
    boolean fresh = !chosen.equals(seen);
    seen = chosen;
    if (fresh && chosen.isEmpty()) {
      mesh = 0;
    }
    boolean touches =
        chosen.isPresent() && !all.isEmpty() && all.get(mesh).mesh().touches(chosen.get());
    if (fresh && chosen.isPresent() && !touches) {
      for (int k = all.size() - 1; k >= 0; k--) {
        mesh = all.get(k).mesh().touches(chosen.get()) ? k : mesh;
      }
    }
  }

  void show(Study study, CutSheet sheet, SheetTables all) {
    Optional<MeshFigures> chosen =
        sheet.meshes().isEmpty() ? Optional.empty() : Optional.of(sheet.meshes().get(mesh));
    title.setText(chosen.map(one -> asMade(sheet.plays().get(mesh), all)).orElse(""));
    title.pseudoClassStateChanged(
        ALARM, chosen.filter(one -> one.overlaps() || !one.pair().runs()).isPresent());
    view.show(study.train(), study.layout(), chosen, desk.preferences().length());
    Look.show(this, chosen.isPresent());
  }

  private String asMade(MeshPlay play, SheetTables all) {
    MeshFigures one = play.figures();
    String unit = " " + desk.preferences().length().symbol();
    String how =
        !one.pair().runs()
            ? "axes too near"
            : one.overlaps()
                ? "they overlap by " + all.length(-one.play()) + unit
                : "play " + all.length(Math.max(0, play.play())) + unit;
    return Sign.mesh(one.mesh()) + " as made: " + how;
  }
}
