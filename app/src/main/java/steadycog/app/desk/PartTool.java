package steadycog.app.desk;

import java.util.EnumSet;
import java.util.Set;
import steadycog.train.Bevel;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.Parallel;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Shaft;
import steadycog.train.StrainWave;

/** What can be changed by hand in a part beside its teeth. */
public enum PartTool {
  /** Wheels are added, keyed and let in. */
  WHEELS,
  /** Planets more and fewer. */
  PLANETS,
  /** A second row of planets. */
  ROW,
  /** Discs more and fewer. */
  DISCS,
  /** The crown to the other side. */
  CROWN;

  /** What can be changed in {@code part}. */
  public static Set<PartTool> of(Part part) {
    return switch (part) {
      case Parallel _ -> EnumSet.of(WHEELS);
      case Planetary set -> set.takesRow() ? EnumSet.of(PLANETS, ROW) : EnumSet.of(PLANETS);
      case Cycloidal _ -> EnumSet.of(DISCS);
      case Bevel _ -> EnumSet.of(CROWN);
      case StrainWave _, Differential _, Shaft _ -> EnumSet.noneOf(PartTool.class);
    };
  }
}
