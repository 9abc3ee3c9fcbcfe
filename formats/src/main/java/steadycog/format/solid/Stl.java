package steadycog.format.solid;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import steadycog.number.Printable;
import steadycog.piece.Solid;

/** Writes solids as binary STL, in mm: 80 bytes of title, then fifty bytes a triangle. */
public final class Stl {
  private static final int TITLE = 80;
  private static final int TRIANGLE = 50;

  private Stl() {}

  /** The file's bytes; {@code title} is cut to what has room. */
  public static byte[] write(Solids solids, String title) {
    ByteBuffer out =
        ByteBuffer.allocate(TITLE + Integer.BYTES + solids.triangles() * TRIANGLE)
            .order(ByteOrder.LITTLE_ENDIAN);
    // The word solid at the beginning would make readers take it for text.
    byte[] words = ("Steady Cog, mm: " + Printable.of(title)).getBytes(StandardCharsets.US_ASCII);
    out.put(Arrays.copyOf(words, TITLE));
    out.putInt(solids.triangles());
    for (Solids.Standing one : solids.all()) {
      write(out, one);
    }
    return out.array();
  }

  private static void write(ByteBuffer out, Solids.Standing one) {
    Solid solid = one.solid();
    double cos = Math.cos(one.laid().angle());
    double sin = Math.sin(one.laid().angle());
    double[][] corner = new double[3][];
    for (int t = 0; t < solid.corners().length; t += 3) {
      for (int k = 0; k < 3; k++) {
        int at = 3 * solid.corners()[t + k];
        double x = solid.points()[at];
        double y = solid.points()[at + 1];
        corner[k] =
            new double[] {
              (float) (one.laid().x() + x * cos - y * sin),
              (float) (one.laid().y() + x * sin + y * cos),
              (float) solid.points()[at + 2]
            };
      }
      put(out, normal(corner));
      for (double[] point : corner) {
        put(out, point);
      }
      out.putShort((short) 0);
    }
  }

  private static double[] normal(double[][] c) {
    double[] u = {c[1][0] - c[0][0], c[1][1] - c[0][1], c[1][2] - c[0][2]};
    double[] v = {c[2][0] - c[0][0], c[2][1] - c[0][1], c[2][2] - c[0][2]};
    double[] n = {u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]};
    double length = Math.sqrt(n[0] * n[0] + n[1] * n[1] + n[2] * n[2]);
    return length == 0 ? new double[3] : new double[] {n[0] / length, n[1] / length, n[2] / length};
  }

  private static void put(ByteBuffer out, double[] point) {
    for (double value : point) {
      out.putFloat((float) value);
    }
  }
}
