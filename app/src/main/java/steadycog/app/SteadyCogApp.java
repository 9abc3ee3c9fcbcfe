package steadycog.app;

import java.io.IOException;
import java.nio.file.Path;
import java.util.function.Consumer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.stage.Stage;
import steadycog.app.desk.Desk;
import steadycog.app.look.Look;
import steadycog.app.memory.PreferenceFile;
import steadycog.app.memory.Recovery;
import steadycog.format.file.Trouble;

/** The JavaFX application: one window over one desk. */
public final class SteadyCogApp extends Application {
  private static final double WIDTH = 1280;
  private static final double HEIGHT = 800;

  /** What to do with the first window; set before the toolkit is started. */
  private static Consumer<Opened> whenOpen = opened -> {};

  /** Where the program remembers things; set before the toolkit is started. */
  private static Path memory = Path.of("");

  /** A window on screen with what it shows. */
  record Opened(Stage stage, MainWindow window, Desk desk) {}

  /** Starts the toolkit and stays until it ends. */
  static void run(Path memory, Consumer<Opened> whenOpen) {
    SteadyCogApp.memory = memory;
    SteadyCogApp.whenOpen = whenOpen;
    launch(SteadyCogApp.class);
  }

  @Override
  public void start(Stage stage) {
    Opened opened = open(stage, FileDialogs.over(stage), memory);
    new Faults(memory, opened.window()).watch();
    whenOpen.accept(opened);
  }

  /** Fills the stage and shows it. */
  static Opened open(Stage stage, FileDialogs dialogs, Path memory) {
    Desk desk = new Desk(Platform::runLater);
    MainWindow window = new MainWindow(desk, dialogs, memory);
    keepPreferences(new PreferenceFile(memory), desk, window);
    window.keeper().tidyRecent();
    Recovery recovery = new Recovery(memory);
    AutoKeeper auto = new AutoKeeper(desk, recovery, window::tell);
    stage.setScene(new Scene(window, WIDTH, HEIGHT));
    stage.getIcons().add(Look.icon());
    stage.setMinWidth(960);
    stage.setMinHeight(640);
    desk.pageProperty().addListener(o -> setTitle(stage, desk));
    desk.file().pathProperty().addListener(o -> setTitle(stage, desk));
    setTitle(stage, desk);
    stage.setOnCloseRequest(
        request -> {
          request.consume();
          window
              .keeper()
              .unlessUnsaved(
                  () -> {
                    auto.giveUp();
                    stage.hide();
                  });
        });
    WindowMemory place = new WindowMemory(memory, stage, window);
    place.bringBack();
    stage.setOnHiding(
        going -> {
          place.keep();
          window.keeper().leave();
        });
    stage.setOnHidden(gone -> auto.end());
    stage.show();
    window.keeper().beforeSaving(auto::keepAtOnce);
    offerLostWork(recovery, auto, window, desk);
    return new Opened(stage, window, desk);
  }

  private static void keepPreferences(PreferenceFile file, Desk desk, MainWindow window) {
    desk.preferencesProperty().set(file.load());
    desk.preferencesProperty()
        .addListener(
            (o, old, now) -> {
              try {
                file.save(now);
              } catch (IOException failed) {
                window.tell("Preferences cannot be kept: " + Trouble.words(failed));
              }
            });
  }

  /** Work that an earlier run could not save is offered, newest first. */
  private static void offerLostWork(
      Recovery recovery, AutoKeeper auto, MainWindow window, Desk desk) {
    try {
      new LostWork(recovery, auto, window, desk).offer(recovery.find());
    } catch (IOException unreadable) {
      window.tell(
          "Unsaved work of earlier runs cannot be looked for: " + Trouble.words(unreadable));
    }
  }

  private static void setTitle(Stage stage, Desk desk) {
    stage.setTitle(
        JobKeeper.titleOf(desk) + (desk.file().isUnsaved() ? " •" : "") + " \u2013 Steady Cog");
  }

  /** Ends the toolkit and with it {@link #run}. */
  static void end() {
    Platform.exit();
  }
}
