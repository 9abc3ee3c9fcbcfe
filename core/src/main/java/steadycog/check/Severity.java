package steadycog.check;

import java.util.Locale;

/** How bad a finding is, worst last. */
public enum Severity {
  OK,
  NOTE,
  WARNING,
  ERROR;

  public boolean isError() {
    return this == ERROR;
  }

  /** The word in machine output: {@code warning}. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}
