package steadycog.shape;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import steadycog.number.Known;
import steadycog.train.Bevel;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.Element;
import steadycog.train.Join;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Parallel;
import steadycog.train.Part;
import steadycog.train.Planetary;
import steadycog.train.Shaft;
import steadycog.train.StrainWave;
import steadycog.train.Train;

/** Which members share an axis: those keyed, joined or coaxial with one another. */
public final class Axes {
  private final Map<MemberId, MemberId> parent = new HashMap<>();
  private final Map<MemberId, Integer> numbers = new HashMap<>();
  private final List<List<Member>> members = new ArrayList<>();

  private Axes(Train train) {
    train.members().forEach(member -> parent.put(member.id(), member.id()));
    train.keyed().forEach(this::tie);
  }

  /** Members whose axes are in line, whether or not they turn as one. */
  public static Axes of(Train train) {
    Axes axes = new Axes(train);
    train.joins().forEach(axes::tie);
    train.inLine().forEach(axes::tie);
    clutches(train).forEach(axes::tie);
    return axes.numbered(train);
  }

  /** What is tied by clutches is in line, where it can be: central members and plain shafts. */
  private static List<Join> clutches(Train train) {
    List<Join> all = new ArrayList<>(train.roles().locks());
    for (Element element : train.shifts().elements()) {
      if (element instanceof Element.Clutch(Join join)) {
        all.add(join);
      }
    }
    all.removeIf(join -> !isCentral(train, join.a()) || !isCentral(train, join.b()));
    return all;
  }

  private static boolean isCentral(Train train, MemberId member) {
    Part part = train.partOf(member);
    return part.isCentred() && part.shafts().contains(member);
  }

  /** Members that share a shaft: keyed or joined. */
  public static Axes ofShafts(Train train) {
    Axes axes = new Axes(train);
    train.joins().forEach(axes::tie);
    return axes.numbered(train);
  }

  /**
   * As drawn in the face view: in line, but for sets, which stand beside each other instead of over
   * each other, and the near side of a differential, which would hide the rest.
   */
  static Axes drawn(Train train) {
    Axes axes = new Axes(train);
    Set<MemberId> middles = new HashSet<>();
    for (Part part : train.parts()) {
      inDrawing(part).forEach(axes::tie);
      middles.addAll(middles(part));
    }
    List<Join> across = new ArrayList<>(train.joins());
    across.addAll(train.coaxials());
    for (Join join : across) {
      if (!axes.isMiddle(join.a(), middles) || !axes.isMiddle(join.b(), middles)) {
        axes.tie(join);
      }
    }
    return axes.numbered(train);
  }

  private static List<Join> inDrawing(Part part) {
    return switch (part) {
      case Differential sides ->
          sides.inLine().stream().filter(pair -> !pair.touches(sides.leftId())).toList();
      case Parallel _, Planetary _, Cycloidal _, StrainWave _, Bevel _, Shaft _ -> part.inLine();
    };
  }

  /** Members at the middle of what would hide, or be hidden by, another such part. */
  private static List<MemberId> middles(Part part) {
    return switch (part) {
      case Planetary set -> List.of(set.carrierId());
      case Cycloidal drive -> List.of(drive.eccentricId());
      case StrainWave drive -> List.of(drive.waveId());
      case Differential sides -> List.of(sides.caseId(), sides.leftId());
      case Parallel none -> List.of();
      case Bevel none -> List.of();
      case Shaft none -> List.of();
    };
  }

  private boolean isMiddle(MemberId member, Set<MemberId> middles) {
    return middles.stream().anyMatch(middle -> root(middle).equals(root(member)));
  }

  private Axes numbered(Train train) {
    for (Member member : train.members()) {
      MemberId root = root(member.id());
      if (!numbers.containsKey(root)) {
        numbers.put(root, members.size());
        members.add(new ArrayList<>());
      }
      numbers.put(member.id(), numbers.get(root));
      members.get(numbers.get(root)).add(member);
    }
    return this;
  }

  /** How many axes there are. */
  public int count() {
    return members.size();
  }

  /** The number of the member's axis, from 0 in the order of the card. */
  public int of(MemberId member) {
    return Known.in(numbers, member);
  }

  /** The members on an axis, in the order of the card. */
  public List<Member> on(int axis) {
    return members.get(axis);
  }

  private void tie(Join join) {
    parent.put(root(join.b()), root(join.a()));
  }

  private MemberId root(MemberId member) {
    MemberId at = member;
    MemberId above = Known.in(parent, at);
    while (!above.equals(at)) {
      at = above;
      above = Known.in(parent, at);
    }
    return at;
  }
}
