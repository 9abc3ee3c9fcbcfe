package steadycog.format.csv;

import java.util.ArrayList;
import java.util.List;
import steadycog.gearbox.Bill;
import steadycog.gearbox.Build;

/** Bills of gearboxes, a line each. */
public final class BillCsv {
  private static final List<String> TITLES =
      List.of(
          "train",
          "number",
          "count",
          "piece",
          "size, mm",
          "made or bought",
          "material",
          "mass of one, g");

  private BillCsv() {}

  /**
   * The bills of all trains of which a gearbox is made.
   *
   * @param names one a build
   */
  public static String write(List<String> names, List<Build> builds) {
    List<List<String>> lines = new ArrayList<>();
    for (int k = 0; k < builds.size(); k++) {
      String train = names.get(k);
      builds
          .get(k)
          .box()
          .ifPresent(whole -> whole.bill().lines().forEach(line -> lines.add(cells(train, line))));
    }
    return Csv.write(TITLES, lines);
  }

  private static List<String> cells(String train, Bill.Line line) {
    return List.of(
        train,
        Integer.toString(line.number()),
        Integer.toString(line.count()),
        line.name(),
        line.size(),
        line.isBought() ? "bought" : "made",
        line.material().map(material -> material.word()).orElse(""),
        Csv.number(line.grams()));
  }
}
