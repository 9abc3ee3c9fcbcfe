package steadycog.app;

import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.stage.FileChooser;
import javafx.stage.FileChooser.ExtensionFilter;
import javafx.stage.Window;
import steadycog.app.files.AskFile;
import steadycog.format.file.JobFiles;

/** How the window asks for a file; another answerer can stand in for the system's dialogs. */
interface FileDialogs extends AskFile {

  /** A file to open, or empty if the person changed their mind. */
  Optional<Path> askOpen();

  /** What can be opened, and what can be saved. */
  ExtensionFilter READ =
      new ExtensionFilter("Job, card or table", "*.cog.json", "*.json", "*.txt", "*.csv", "*.xlsx");

  ExtensionFilter WRITTEN = new ExtensionFilter("Job or card", "*.cog.json", "*.json", "*.txt");

  /** A file to save in, with an ending that says the format. */
  Optional<Path> askSave(String suggestedName);

  /** The system's own dialogs. */
  static FileDialogs over(Window owner) {
    return new FileDialogs() {
      @Override
      public Optional<Path> askOpen() {
        return Optional.ofNullable(chooser("Open a job, card or table", READ).showOpenDialog(owner))
            .map(File::toPath);
      }

      @Override
      public Optional<Path> askSave(String suggestedName) {
        FileChooser chooser = chooser("Save the job", WRITTEN);
        chooser.setInitialFileName(suggestedName + JobFiles.JOB_ENDING);
        return Optional.ofNullable(chooser.showSaveDialog(owner))
            .map(File::toPath)
            .map(FileDialogs::withEnding);
      }

      @Override
      public Optional<Path> askExport(String suggested, String says, String ending) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(says);
        chooser.getExtensionFilters().add(new ExtensionFilter(says, "*" + ending));
        chooser.setInitialFileName(suggested + ending);
        return Optional.ofNullable(chooser.showSaveDialog(owner))
            .map(File::toPath)
            .map(file -> ending(file, ending));
      }

      @Override
      public Optional<Path> askRead(String says, List<String> endings) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(says);
        chooser
            .getExtensionFilters()
            .addAll(
                new ExtensionFilter(says, endings.stream().map(one -> "*" + one).toList()),
                new ExtensionFilter("Any file", "*.*"));
        return Optional.ofNullable(chooser.showOpenDialog(owner)).map(File::toPath);
      }

      @Override
      public List<Path> askAny(String says) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(says);
        List<File> chosen = chooser.showOpenMultipleDialog(owner);
        return chosen == null ? List.of() : chosen.stream().map(File::toPath).toList();
      }
    };
  }

  private static FileChooser chooser(String title, ExtensionFilter all) {
    FileChooser chooser = new FileChooser();
    chooser.setTitle(title);
    chooser
        .getExtensionFilters()
        .addAll(
            all, new ExtensionFilter("Job", "*.cog.json"), new ExtensionFilter("Card", "*.txt"));
    return chooser;
  }

  private static Path ending(Path file, String ending) {
    boolean has = file.toString().toLowerCase(Locale.ROOT).endsWith(ending);
    return has ? file : file.resolveSibling(file.getFileName() + ending);
  }

  /** A name without a known ending becomes a job file. */
  static Path withEnding(Path file) {
    return JobFiles.isJob(file) || JobFiles.isCard(file)
        ? file
        : file.resolveSibling(file.getFileName() + JobFiles.JOB_ENDING);
  }
}
