package steadycog.app;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import javafx.animation.AnimationTimer;
import javafx.scene.image.PixelReader;
import javafx.scene.image.WritableImage;
import javax.imageio.ImageIO;
import steadycog.format.file.JobFiles;

/** Pictures of what the window shows. */
final class Picture {
  /** Until the window has drawn itself a few times its cached parts show what was there before. */
  private static final int FRAMES = 4;

  private Picture() {}

  /** Runs {@code action} once the window has come to rest. */
  static void whenDrawn(Runnable action) {
    new AnimationTimer() {
      private int frames;

      @Override
      public void handle(long now) {
        frames++;
        if (frames > FRAMES) {
          stop();
          action.run();
        }
      }
    }.start();
  }

  /** Writes {@code picture} as PNG, whole or not at all. */
  static void write(WritableImage picture, Path file) throws IOException {
    int width = (int) picture.getWidth();
    int height = (int) picture.getHeight();
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    PixelReader pixels = picture.getPixelReader();
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        image.setRGB(x, y, pixels.getArgb(x, y));
      }
    }
    ByteArrayOutputStream png = new ByteArrayOutputStream();
    ImageIO.write(image, "png", png);
    JobFiles.write(file, png.toByteArray());
  }
}
