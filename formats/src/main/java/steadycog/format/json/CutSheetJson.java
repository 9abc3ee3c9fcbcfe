package steadycog.format.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import steadycog.number.Units;
import steadycog.piece.Blank;
import steadycog.piece.Piece;
import steadycog.piece.Pieces;
import steadycog.sizing.Band;
import steadycog.sizing.Bearing;
import steadycog.sizing.CutSheet;
import steadycog.sizing.Identify;
import steadycog.sizing.LostMotion;
import steadycog.sizing.MeshFigures;
import steadycog.sizing.MeshPlay;
import steadycog.sizing.SheetTable;
import steadycog.sizing.SheetTables;
import steadycog.sizing.Thrust;
import steadycog.sizing.ToothLoad;
import steadycog.sizing.ToothLoad.Bending;
import steadycog.sizing.WheelFigures;
import steadycog.study.NamedStudy;
import steadycog.train.Bore;
import steadycog.train.Helix;

/** Cut sheets as JSON: lengths in mm, forces in N, stresses in MPa, play also in arc minutes. */
public final class CutSheetJson {
  private static final double CHORD = 0.05;

  private CutSheetJson() {}

  /** What {@code sheet --json} prints: one object, or several under "trains". */
  public static String write(List<NamedStudy> trains) {
    if (trains.size() == 1) {
      return PrettyJson.write(one(trains.getFirst()));
    }
    ObjectNode root = JobJson.MAPPER.createObjectNode();
    ArrayNode list = root.putArray("trains");
    for (NamedStudy train : trains) {
      ObjectNode node = list.addObject().put("train", train.name());
      node.setAll(one(train));
    }
    return PrettyJson.write(root);
  }

  private static ObjectNode one(NamedStudy train) {
    CutSheet sheet = train.cutSheet();
    ObjectNode node = JobJson.MAPPER.createObjectNode();
    sheet.wheels().forEach(wheel -> add(node.withArray("wheels").addObject(), wheel));
    sheet.plays().forEach(play -> add(node.withArray("meshes").addObject(), play));
    node.withArray("wheels");
    node.withArray("meshes");
    ObjectNode box = node.putObject("box");
    box.put("widthMm", sheet.box().width()).put("heightMm", sheet.box().height());
    box.put("lengthMm", sheet.box().length()).put("diameterMm", sheet.box().diameter());
    JsonValues.putNumber(node, "lostMotionArcMin", sheet.lostMotion().map(LostMotion::minutes));
    band(node.putObject("lostMotionBandArcMin"), sheet.lostMotion().map(LostMotion::band));
    ArrayNode shares = node.putArray("lostMotionShares");
    for (LostMotion.Share share : sheet.lostMotion().map(LostMotion::shares).orElse(List.of())) {
      ObjectNode each = shares.addObject().put("of", share.of());
      JsonValues.putNumber(each, "arcMin", Optional.of(share.minutes().nominal()));
      band(each.putObject("band"), Optional.of(share.minutes()));
    }
    addTables(node.putArray("drives"), new SheetTables(train.study().train(), sheet, Units.USUAL));
    ArrayNode loads = node.putArray("strength");
    sheet.screening().loads().forEach(load -> add(loads.addObject(), load));
    Optional<ToothLoad.Weakest> weakest = sheet.screening().weakest();
    if (weakest.isPresent()) {
      ObjectNode weak = node.putObject("weakest");
      weak.put("wheel", weakest.get().wheel().toString());
      weak.put("by", weakest.get().bending() ? "bending" : "pressure");
      weak.put("factor", weakest.get().factor());
    } else {
      node.putNull("weakest");
    }
    ArrayNode bearings = node.putArray("bearings");
    for (Bearing bearing : sheet.bearings()) {
      ObjectNode each = bearings.addObject().put("member", bearing.member().toString());
      each.put("planet", bearing.planet());
      each.put("forceN", bearing.force()).put("tiltingNmm", bearing.tilting());
    }
    for (Thrust thrust : sheet.thrusts()) {
      ObjectNode each = node.withArray("thrusts").addObject();
      each.put("member", thrust.member().toString()).put("planet", thrust.planet());
      each.put("towardsDriveEndN", thrust.force()).put("otherWayN", thrust.otherWay());
      each.put("tiltingNmm", thrust.tilting());
      each.put("cancelledBy", thrust.cancelling().map(Object::toString).orElse(null));
    }
    train
        .rating()
        .ifPresent(
            rating ->
                RatingJson.add(
                    node.putObject("rating"),
                    rating,
                    train.shafts().orElseThrow(),
                    train.whatIf()));
    Pieces pieces = train.study().pieces(CHORD);
    ArrayNode made = node.putArray("pieces");
    for (Piece piece : pieces.all()) {
      ObjectNode each = made.addObject().put("name", piece.name());
      each.put("member", piece.member().toString()).put("count", piece.stands().size());
      each.put("remark", piece.remark());
    }
    return node;
  }

  private static void add(ObjectNode node, WheelFigures wheel) {
    Blank blank = wheel.blank();
    node.put("name", wheel.id().toString()).put("teeth", wheel.teeth().count());
    node.put("internal", wheel.teeth().internal()).put("moduleMm", wheel.moduleMm());
    if (!wheel.helix().isStraight()) {
      node.put("helixDegrees", wheel.helix().degrees().doubleValue());
      node.put("hand", wheel.helix().hand().map(Helix.Hand::word).orElse(null));
      node.put("herringbone", wheel.helix().isDouble());
      node.put("transverseModuleMm", wheel.transverseMm());
      put(node, "spanFaceMm", wheel.spanFace());
    }
    node.put("pressureAngle", wheel.angle()).put("shift", wheel.shift());
    node.put("pitchMm", wheel.pitch()).put("baseMm", wheel.base());
    node.put("tipMm", wheel.tip()).put("rootMm", wheel.root());
    node.put("thicknessMm", wheel.thickness());
    put(node, "spanTeeth", wheel.spanned());
    put(node, "spanMm", wheel.span());
    node.put("pinMm", wheel.pin());
    put(node, "overPinsMm", wheel.overPins());
    node.put("bore", blank.bore().map(Bore::toString).orElse(null));
    node.put("boreStated", blank.boreStated());
    node.put("widthMm", blank.widthMm()).put("widthStated", blank.widthStated());
    node.put("offFlankMm", blank.flankMm());
    node.put("material", blank.made().material().word());
    node.put("materialStated", blank.madeStated());
  }

  private static void put(ObjectNode node, String name, OptionalDouble value) {
    JsonValues.putNumber(
        node, name, value.isPresent() ? Optional.of(value.getAsDouble()) : Optional.empty());
  }

  private static void put(ObjectNode node, String name, OptionalInt value) {
    node.put(name, value.isPresent() ? Integer.valueOf(value.getAsInt()) : null);
  }

  /** Every length of drives without involute teeth, as the sheet has them, mm. */
  private static void addTables(ArrayNode node, SheetTables tables) {
    for (SheetTable table : tables.drives()) {
      ObjectNode drive = node.addObject().put("drive", table.title());
      for (int column = 0; column < table.columns().size(); column++) {
        ObjectNode piece = drive.putObject(table.columns().get(column));
        for (SheetTable.Row row : table.rows()) {
          String text = row.cells().get(column).text();
          if (!text.isEmpty()) {
            JsonValues.putValue(piece, row.label(), text);
          }
        }
      }
    }
  }

  /** Least, most and the likely ends of a band; null where there is none. */
  static void band(ObjectNode node, Optional<Band> band) {
    JsonValues.putNumber(node, "least", band.map(Band::least));
    JsonValues.putNumber(node, "most", band.map(Band::most));
    JsonValues.putNumber(node, "likelyLeast", band.map(Band::likelyLeast));
    JsonValues.putNumber(node, "likelyMost", band.map(Band::likelyMost));
  }

  private static void add(ObjectNode node, MeshPlay play) {
    MeshFigures mesh = play.figures();
    node.putArray("between").add(mesh.mesh().a().toString()).add(mesh.mesh().b().toString());
    node.put("distanceMm", mesh.distance()).put("standardDistanceMm", mesh.standard());
    boolean runs = mesh.pair().runs();
    JsonValues.putNumber(node, "workingAngle", known(runs, mesh.workingAngle()));
    JsonValues.putNumber(node, "contactRatio", known(runs, mesh.contactRatio()));
    JsonValues.putNumber(node, "playMm", known(runs, play.play()));
    JsonValues.putNumber(node, "playAroundMm", known(runs, play.around().nominal()));
    JsonValues.putNumber(node, "lostToFilletsMm", known(runs, play.lost()));
    band(node.putObject("playAroundBandMm"), Optional.of(play.around()).filter(band -> runs));
    node.put("tipClearanceMm", mesh.tipClearance());
  }

  /** A value that a pair has only where it runs. */
  private static Optional<Double> known(boolean runs, double value) {
    return runs && Double.isFinite(value) ? Optional.of(value) : Optional.empty();
  }

  private static void add(ObjectNode node, ToothLoad load) {
    node.putArray("between").add(load.mesh().a().toString()).add(load.mesh().b().toString());
    node.put("forceN", load.force()).put("contacts", load.contacts());
    JsonValues.putNumber(node, "speedMPerS", load.speed());
    ArrayNode bending = node.putArray("bending");
    for (Optional<Bending> side : List.of(load.a(), load.b())) {
      side.ifPresent(
          one ->
              bending
                  .addObject()
                  .put("wheel", one.wheel().toString())
                  .put("form", one.form())
                  .put("stressMPa", one.stress())
                  .put("allowedMPa", one.allowed())
                  .put("factor", one.factor()));
    }
    JsonValues.putNumber(node, "pressureMPa", load.pressure());
    node.put("pressureAllowedMPa", load.pressureAllowed());
    JsonValues.putNumber(node, "pressureFactor", load.pressureFactor());
  }

  /** What {@code identify --json} prints. */
  public static String guesses(List<Identify.Guess> guesses) {
    ObjectNode root = JobJson.MAPPER.createObjectNode();
    ArrayNode list = root.putArray("guesses");
    for (Identify.Guess guess : guesses) {
      ObjectNode node = list.addObject().put("pitch", guess.pitch().statement());
      node.put("moduleMm", guess.moduleMm()).put("teeth", guess.teeth());
      node.put("pressureAngle", guess.angle()).put("helixDegrees", guess.helix());
      node.put("shift", guess.shift());
      node.put("offMm", guess.off() + 0.0).put("score", guess.score());
    }
    return PrettyJson.write(root);
  }
}
