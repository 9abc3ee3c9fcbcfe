package steadycog.shape;

/**
 * How finely an outline is drawn.
 *
 * @param flank points along one involute flank, at least 2
 * @param fillet points along one root fillet, at least 1
 */
public record Detail(int flank, int fillet) {
  public static final Detail FINE = new Detail(9, 6);
  public static final Detail MEDIUM = new Detail(4, 3);
  public static final Detail COARSE = new Detail(2, 1);
}
