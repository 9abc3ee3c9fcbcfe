package steadycog.shape;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import steadycog.train.Join;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Train;

/** Which wheels share an axis: those keyed, joined or coaxial with one another. */
final class Axes {
  private final Map<MemberId, MemberId> parent = new HashMap<>();
  private final Map<MemberId, Integer> numbers = new HashMap<>();
  private final List<List<Member>> wheels = new ArrayList<>();

  private Axes(Train train, boolean coaxial) {
    List<Member> members = train.members();
    members.forEach(member -> parent.put(member.id(), member.id()));
    train.keyed().forEach(this::tie);
    train.joins().forEach(this::tie);
    if (coaxial) {
      train.inLine().forEach(this::tie);
    }
    for (Member member : members) {
      MemberId root = root(member.id());
      if (!numbers.containsKey(root)) {
        numbers.put(root, wheels.size());
        wheels.add(new ArrayList<>());
      }
      wheels.get(numbers.get(root)).add(member);
    }
  }

  /** Wheels that share an axis, whether or not they turn as one. */
  static Axes of(Train train) {
    return new Axes(train, true);
  }

  /** Wheels that share a shaft: keyed or joined. */
  static Axes ofShafts(Train train) {
    return new Axes(train, false);
  }

  int count() {
    return wheels.size();
  }

  int of(MemberId member) {
    return numbers.get(root(member));
  }

  List<Member> wheelsOn(int axis) {
    return wheels.get(axis);
  }

  private void tie(Join join) {
    parent.put(root(join.b()), root(join.a()));
  }

  private MemberId root(MemberId member) {
    MemberId at = member;
    while (!parent.get(at).equals(at)) {
      at = parent.get(at);
    }
    return at;
  }
}
