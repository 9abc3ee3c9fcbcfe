package steadycog.sizing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import steadycog.number.Figures;
import steadycog.piece.BevelBody;
import steadycog.shape.BevelPair;
import steadycog.train.Clearance;
import steadycog.train.Pitch;
import steadycog.train.Train;

/** What is said above the tables of a cut sheet, a line each. */
public final class SheetSummary {
  private final Train train;
  private final CutSheet sheet;
  private final SheetTables tables;

  /** The lines above {@code tables}. */
  SheetSummary(Train train, CutSheet sheet, SheetTables tables) {
    this.train = train;
    this.sheet = sheet;
    this.tables = tables;
  }

  /** The size of teeth as stated, else as it is taken: {@code module 1 mm}. */
  public String pitch() {
    String common = train.pitch().map(SheetSummary::standard).orElse("module 1 mm, not stated");
    return train.hasOwnPitches() ? common + "; others as in the table" : common;
  }

  /** The size, and the standard ones next to it where it is none itself. */
  private static String standard(Pitch pitch) {
    double module = pitch.moduleMm().doubleValue();
    boolean inch = pitch instanceof Pitch.Diametral;
    if (Identify.isStandard(pitch)) {
      return pitch.statement();
    }
    Optional<Pitch> below = Identify.below(module, inch);
    Optional<Pitch> above =
        Identify.series().stream()
            .filter(one -> one instanceof Pitch.Diametral == inch)
            .filter(one -> one.moduleMm().doubleValue() > module)
            .min(Comparator.comparing(Pitch::moduleMm));
    String next =
        Stream.of(below, above)
            .flatMap(Optional::stream)
            .map(Pitch::statement)
            .collect(Collectors.joining(" and "));
    return pitch.statement() + " (no standard size; next to it " + next + ")";
  }

  /**
   * Box, play at the output and the weakest tooth.
   *
   * @param rated whether the weakest tooth is named
   */
  public List<String> lines(boolean rated) {
    List<String> lines = new ArrayList<>();
    Box box = sheet.box();
    lines.add(
        "Room: "
            + tables.length(box.width())
            + " \u00d7 "
            + tables.length(box.height())
            + " \u00d7 "
            + tables.length(box.length())
            + " "
            + tables.symbol()
            + ", or a cylinder of \u00d8\u2009"
            + tables.length(box.diameter())
            + " "
            + tables.symbol());
    if (train.sizes().clearance().unstated() && !train.meshes().isEmpty()) {
      lines.add(
          "No clearance is chosen: teeth touch on both flanks, holes are as wide as their shafts");
    }
    if (train.parts().stream().anyMatch(part -> BevelPair.of(train, part).isPresent())) {
      lines.add(
          "Bevel gears: spur teeth on the back cone (Tredgold), within "
              + Figures.significant(BevelBody.INEXACT, 1)
              + " modules of exact ones; lengths at the large end");
    }
    sheet
        .lostMotion()
        .ifPresent(
            lost ->
                lines.add(
                    "Play at "
                        + lost.output()
                        + " with the input held: "
                        + SheetTables.fixed(lost.minutes(), 1)
                        + "\u2032 (arc minutes)"
                        + band(lost.band())));
    sheet
        .screening()
        .weakest()
        .filter(weakest -> rated)
        .ifPresent(weakest -> lines.add(weakest(weakest)));
    return lines;
  }

  /** Whether the card states all that strength follows from: teeth, face widths, materials. */
  public boolean isRated() {
    return Screening.isStated(train);
  }

  private static String band(Band band) {
    return band.isWide()
        ? ", by its tolerances likely "
            + SheetTables.fixed(Math.max(0, band.likelyLeast()), 1)
            + " to "
            + SheetTables.fixed(band.likelyMost(), 1)
            + ", at worst "
            + SheetTables.fixed(Math.max(0, band.least()), 1)
            + " to "
            + SheetTables.fixed(band.most(), 1)
        : "";
  }

  /** {@code Weakest tooth: planet in sun ~ planet, 1.32 times the load, by bending at the root}. */
  public static String weakest(ToothLoad.Weakest weakest) {
    return "Weakest tooth: "
        + weakest.wheel()
        + " in "
        + weakest.mesh().a()
        + " ~ "
        + weakest.mesh().b()
        + ", bears "
        + Figures.significant(weakest.factor(), 3)
        + " times the load, by "
        + (weakest.bending() ? "bending at the root" : "pressure on the flank");
  }

  /** What is left between parts, in words: {@code printed: flanks 0.08 mm, bores 0.2 mm}. */
  public String clearance() {
    Clearance clearance = train.sizes().clearance();
    if (clearance.unstated()) {
      return "none stated: teeth touch on both flanks";
    }
    List<String> gaps = new ArrayList<>();
    for (Clearance.Gap gap : Clearance.Gap.OF_WHEELS) {
      double mm = clearance.mm(gap);
      if (mm != 0) {
        gaps.add(
            gap.word()
                + " "
                + Figures.significant(tables.units().length().fromBase(mm), 3)
                + " "
                + tables.symbol());
      }
    }
    String process = clearance.process().map(p -> p.word() + ": ").orElse("");
    return process + (gaps.isEmpty() ? "none" : String.join(", ", gaps));
  }
}
