package steadycog.gearbox;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.number.Figures;
import steadycog.piece.Blank;
import steadycog.piece.Piece;
import steadycog.train.Material;
import steadycog.train.Member;
import steadycog.train.Train;

/**
 * What has to be made and bought, each line with a number that the drawing shows too. What is
 * bought in one size is one line, wherever it goes.
 */
public record Bill(List<Line> lines) {
  private static final double GRAMS = 1e-6;

  /**
   * A line.
   *
   * @param number from 1
   * @param components whose pieces they are, alike but for where they go
   * @param size overall of what is made, designation of what is bought
   * @param material empty of what is bought
   * @param grams mass of one; empty of what is bought
   */
  public record Line(
      int number,
      List<Component> components,
      String name,
      int count,
      String size,
      Optional<Material> material,
      Optional<Double> grams) {

    public boolean isBought() {
      return material.isEmpty();
    }
  }

  public Bill {
    lines = List.copyOf(lines);
  }

  /** What is made comes first, in the order in which it was made up; then what is bought. */
  public static Bill of(Gearbox box, double chord) {
    List<Line> lines = new ArrayList<>();
    for (Component component : box.components()) {
      if (!component.isBought()) {
        Material material = material(box.train(), component);
        double grams = component.volume(chord) * material.density() * GRAMS;
        lines.add(
            new Line(
                lines.size() + 1,
                List.of(component),
                component.name(),
                component.count(),
                overall(component.piece()),
                Optional.of(material),
                Optional.of(grams)));
      }
    }
    for (String size :
        box.components().stream().flatMap(c -> c.size().stream()).distinct().toList()) {
      List<Component> alike =
          box.components().stream()
              .filter(one -> one.size().filter(size::equals).isPresent())
              .toList();
      lines.add(
          new Line(
              lines.size() + 1,
              alike,
              kind(alike),
              alike.stream().mapToInt(Component::count).sum(),
              size,
              Optional.empty(),
              Optional.empty()));
    }
    return new Bill(lines);
  }

  /** What components of one size are together: bearings, wherever they go. */
  private static String kind(List<Component> alike) {
    String first = alike.getFirst().name();
    for (String word : List.of("bearing", "key", "screw")) {
      if (alike.size() > 1 && alike.stream().allMatch(one -> one.name().contains(word))) {
        return word;
      }
    }
    return first;
  }

  private static Material material(Train train, Component component) {
    if (component.name().startsWith("shaft") && !component.name().contains(" spacer")) {
      return Material.STEEL;
    }
    return component.member().equals(Piece.FRAME)
        ? Blank.made(train, train.members().stream().map(Member::id).findFirst().orElseThrow())
            .material()
        : Blank.made(train, component.member()).material();
  }

  /** {@code ø 61 × 7.5} of what is round, else {@code 80 × 60 × 7.5}, mm. */
  private static String overall(Piece piece) {
    double[] box = piece.bounds();
    double wide = box[2] - box[0];
    double deep = box[3] - box[1];
    double high = piece.slabs().getLast().to();
    boolean round = Math.abs(box[0] + box[2]) < 0.2 && Math.abs(wide - deep) < 0.01 * wide;
    return (round ? "\u00f8 " + mm(wide) : mm(wide) + " \u00d7 " + mm(deep))
        + " \u00d7 "
        + mm(high);
  }

  private static String mm(double length) {
    return Figures.significant(length, 4);
  }

  /** The line of a component; throws where it has none. */
  public Line of(Component component) {
    return lines.stream()
        .filter(line -> line.components.contains(component))
        .findFirst()
        .orElseThrow();
  }

  /** Of everything that is made, in mm\u00b3. */
  public double volume() {
    return lines.stream()
            .filter(line -> !line.isBought())
            .mapToDouble(
                line ->
                    line.count * line.grams.orElseThrow() / line.material.orElseThrow().density())
            .sum()
        / GRAMS;
  }

  /** Of everything that is made, in grams. */
  public double grams() {
    return lines.stream().mapToDouble(line -> line.count * line.grams.orElse(0.0)).sum();
  }
}
