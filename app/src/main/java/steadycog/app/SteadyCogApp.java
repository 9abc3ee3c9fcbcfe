package steadycog.app;

import java.util.function.Consumer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.stage.Stage;
import steadycog.app.desk.Desk;

/** The JavaFX application: one window over one desk. */
public final class SteadyCogApp extends Application {
  private static final double WIDTH = 1280;
  private static final double HEIGHT = 800;

  /** What to do with the first window; set before the toolkit is started. */
  private static Consumer<Opened> whenOpen = opened -> {};

  /** A window on screen with what it shows. */
  record Opened(Stage stage, MainWindow window, Desk desk) {}

  /** Starts the toolkit and stays until it ends. */
  static void run(Consumer<Opened> whenOpen) {
    SteadyCogApp.whenOpen = whenOpen;
    launch(SteadyCogApp.class);
  }

  @Override
  public void start(Stage stage) {
    whenOpen.accept(open(stage, FileDialogs.over(stage)));
  }

  /** Fills the stage and shows it. */
  static Opened open(Stage stage, FileDialogs dialogs) {
    Desk desk = new Desk();
    MainWindow window = new MainWindow(desk, dialogs);
    stage.setScene(new Scene(window, WIDTH, HEIGHT));
    stage.setMinWidth(960);
    stage.setMinHeight(640);
    desk.pageProperty().addListener(o -> setTitle(stage, desk));
    desk.fileProperty().addListener(o -> setTitle(stage, desk));
    setTitle(stage, desk);
    stage.setOnCloseRequest(
        request -> {
          request.consume();
          window.keeper().unlessUnsaved(stage::hide);
        });
    stage.show();
    return new Opened(stage, window, desk);
  }

  private static void setTitle(Stage stage, Desk desk) {
    stage.setTitle(JobKeeper.titleOf(desk) + (desk.isUnsaved() ? " •" : "") + " \u2013 Steady Cog");
  }

  /** Ends the toolkit and with it {@link #run}. */
  static void end() {
    Platform.exit();
  }
}
