package steadycog.app.desk;

/** What the side view shows of the power that goes through the train. */
public enum PowerShown {
  NONE("none", "The side view alone"),
  IDEAL("without losses", "As wide as there is power, were nothing lost"),
  REAL("with losses", "As wide as there is power; a red spot where a mesh loses some");

  private final String word;
  private final String help;

  PowerShown(String word, String help) {
    this.word = word;
    this.help = help;
  }

  public String word() {
    return word;
  }

  public String help() {
    return help;
  }

  /** The next one in turn. */
  public PowerShown next() {
    return values()[(ordinal() + 1) % values().length];
  }
}
