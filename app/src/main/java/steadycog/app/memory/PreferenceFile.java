package steadycog.app.memory;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Properties;
import steadycog.app.desk.Preferences;
import steadycog.number.Unit;
import steadycog.piece.Plates;

/** Preferences kept as a properties file; what is missing or unknown in it stays as usual. */
public final class PreferenceFile {
  private final Path file;

  public PreferenceFile(Path folder) {
    file = folder.resolve("preferences.properties");
  }

  /** The kept preferences, or the usual ones where none can be read. */
  public Preferences load() {
    return Kept.load(file).map(PreferenceFile::read).orElse(Preferences.USUAL);
  }

  private static Preferences read(Properties kept) {
    Preferences found = Preferences.USUAL.leading(flag(kept, "train-value-leads"));
    for (String name : new String[] {"speed", "torque", "power", "length"}) {
      found = Unit.of(kept.getProperty(name, "")).map(found::in).orElse(found);
    }
    found = Plates.Size.read(kept.getProperty("plate", "")).map(found::onPlates).orElse(found);
    return found.inDark(flag(kept, "dark")).standingStill(flag(kept, "still")).sized(size(kept));
  }

  private static boolean flag(Properties kept, String name) {
    return Boolean.parseBoolean(kept.getProperty(name));
  }

  private static double size(Properties kept) {
    try {
      return Double.parseDouble(kept.getProperty("text-size", ""));
    } catch (NumberFormatException none) {
      return Preferences.NORMAL_TEXT;
    }
  }

  public void save(Preferences preferences) throws IOException {
    Properties kept = new Properties();
    kept.setProperty("train-value-leads", Boolean.toString(preferences.trainValueLeads()));
    kept.setProperty("speed", preferences.speed().symbol());
    kept.setProperty("torque", preferences.torque().symbol());
    kept.setProperty("power", preferences.power().symbol());
    kept.setProperty("length", preferences.length().symbol());
    kept.setProperty("dark", Boolean.toString(preferences.dark()));
    kept.setProperty("still", Boolean.toString(preferences.still()));
    kept.setProperty("text-size", Double.toString(preferences.textSize()));
    kept.setProperty("plate", preferences.plate().toString());
    Kept.save(kept, file);
  }
}
