package steadycog.app;

import java.io.IOException;
import java.nio.file.Path;
import javafx.stage.Screen;
import javafx.stage.Stage;
import steadycog.app.memory.WindowFile;
import steadycog.app.memory.WindowFile.Left;

/** Puts the window back where it was left. */
final class WindowMemory {
  private final WindowFile file;
  private final Stage stage;
  private final MainWindow window;

  WindowMemory(Path folder, Stage stage, MainWindow window) {
    file = new WindowFile(folder);
    this.stage = stage;
    this.window = window;
  }

  /** Brings back what was left, where there is still a screen for it. */
  void bringBack() {
    file.load().ifPresent(this::bringBack);
  }

  private void bringBack(Left left) {
    boolean seen =
        !Screen.getScreensForRectangle(left.x(), left.y(), left.width(), left.height()).isEmpty();
    if (seen) {
      stage.setX(left.x());
      stage.setY(left.y());
      stage.setWidth(Math.max(stage.getMinWidth(), left.width()));
      stage.setHeight(Math.max(stage.getMinHeight(), left.height()));
      stage.setMaximized(left.maximized());
    }
    window.foldRail(left.railFolded());
  }

  /** Keeps how the window stands now; it is no loss worth a word where that fails. */
  void keep() {
    try {
      file.save(
          new Left(
              stage.getX(),
              stage.getY(),
              stage.getWidth(),
              stage.getHeight(),
              stage.isMaximized(),
              window.railFolded()));
    } catch (IOException unkept) {
      // The next start looks like the first.
    }
  }
}
