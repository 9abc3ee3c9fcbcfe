package steadycog.report;

import java.util.List;
import java.util.Set;
import steadycog.bench.Chart;
import steadycog.gearbox.Bill;
import steadycog.gearbox.Component;
import steadycog.gearbox.Exploded;
import steadycog.piece.Region;

/** A piece of a report. */
public sealed interface Block {

  /** A heading within a section. */
  record Heading(String text) implements Block {}

  /** A paragraph. */
  record Text(String text) implements Block {}

  /** A paragraph in small slanted type. */
  record Remark(String text) implements Block {}

  /** What keeps people from harm. */
  record Caution(String text) implements Block {}

  /** Lines of a card, in a row as they stand. */
  record Lines(List<String> lines) implements Block {
    public Lines {
      lines = List.copyOf(lines);
    }
  }

  /**
   * A finding and how it was settled.
   *
   * @param severity the word for it
   * @param settled empty where nobody said
   */
  record Finding(String severity, String text, String settled) implements Block {}

  /**
   * A table: the first column, of heads, to the left, the others to the right.
   *
   * @param caption what it shows
   * @param most columns beside the first that stand next to each other on a sheet of A4
   */
  record Table(String caption, List<String> heads, List<List<String>> rows, int most)
      implements Block {
    /** What stands where there is no value. */
    static final String NONE = "\u2013";

    /** Usual columns of numbers beside each other. */
    static final int COLUMNS = 8;

    public Table {
      heads = List.copyOf(heads);
      rows = List.copyOf(rows);
      for (List<String> row : rows) {
        if (row.size() != heads.size()) {
          throw new IllegalArgumentException(row.size() + " cells under " + heads.size());
        }
      }
    }
  }

  /**
   * What is made, as it stands in mesh, in mm, seen from the drive end.
   *
   * @param regions the largest first
   * @param names of what is drawn
   * @param words what it shows, for those who do not see it
   * @param bounds least x, least y, greatest x, greatest y
   */
  @SuppressWarnings("ArrayRecordComponent") // Never compared.
  record Drawing(List<Region> regions, List<Name> names, String words, double[] bounds)
      implements Block {
    public Drawing {
      regions = List.copyOf(regions);
      names = List.copyOf(names);
    }
  }

  /** A name in a drawing, about the point x, y, mm. */
  record Name(String text, double x, double y) {}

  /**
   * A gearbox in parallel projection.
   *
   * @param bill by which it is numbered
   * @param fresh what is tinted
   * @param words what it shows
   */
  record Assembly(Exploded drawing, Bill bill, Set<Component> fresh, String words)
      implements Block {
    public Assembly {
      fresh = Set.copyOf(fresh);
    }
  }

  /** Charts beside each other. */
  record Charts(List<Chart> charts) implements Block {
    public Charts {
      charts = List.copyOf(charts);
    }
  }
}
