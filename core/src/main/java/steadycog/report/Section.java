package steadycog.report;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** What a report can hold, in its order. */
public enum Section {
  JOB("Job and card"),
  DRAWING("Drawing"),
  RATIOS("Roles and ratios"),
  WORKING("Working"),
  FINDINGS("Findings"),
  FAULTS("Errors and warnings"),
  CUT_SHEET("Cut sheet"),
  SHIFT_PLAN("Shift plan"),
  GEARBOX("Gearbox, step by step"),
  BENCH("Bench"),
  CAUTIONS("Cautions");

  /** What a cut sheet for the shop holds. */
  public static final Set<Section> SHOP = EnumSet.of(DRAWING, FAULTS, CUT_SHEET, CAUTIONS);

  /**
   * What a report on a train holds. Errors and warnings are among the findings; a gearbox takes
   * seconds and pages, and is asked for.
   */
  public static final Set<Section> ALL = EnumSet.complementOf(EnumSet.of(FAULTS, GEARBOX));

  private final String title;

  Section(String title) {
    this.title = title;
  }

  public String title() {
    return title;
  }

  /** The word on the command line: {@code cut-sheet}. */
  public String key() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  public static Optional<Section> of(String key) {
    return Arrays.stream(values()).filter(one -> one.key().equals(key)).findFirst();
  }
}
