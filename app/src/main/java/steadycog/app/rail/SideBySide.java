package steadycog.app.rail;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.app.desk.Preferences;
import steadycog.app.look.EachWayWords;
import steadycog.app.look.RatioWords;
import steadycog.app.look.RoleLook;
import steadycog.app.look.Sign;
import steadycog.check.Severity;
import steadycog.number.Ratio;
import steadycog.study.Study;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Role;
import steadycog.train.Teeth;

/** Two trains in words and figures, line by line. */
record SideBySide(List<Line> lines) {
  /** What is told of both; a dash where one has no such thing. */
  record Line(String what, String left, String right) {
    boolean differs() {
      return !left.equals(right);
    }
  }

  static SideBySide of(Optional<Study> left, Optional<Study> right, Preferences preferences) {
    List<Line> lines = new ArrayList<>();
    About about = (what, tell) -> lines.add(new Line(what, said(left, tell), said(right, tell)));
    about.tell("gives", s -> RatioWords.of(s, preferences.trainValueLeads(), preferences.speed()));
    about.tell("turns", s -> s.ratio().map(SideBySide::way).orElse(Sign.DASH));
    about.tell("power", s -> EachWayWords.of(s.loading().eachWay()));
    about.tell("wheels", s -> String.valueOf(s.train().involuteWheels().size()));
    about.tell("teeth in all", s -> String.valueOf(teeth(s)));
    for (Severity severity : List.of(Severity.ERROR, Severity.WARNING, Severity.NOTE)) {
      about.tell(severity.word() + "s", s -> String.valueOf(count(s, severity)));
    }
    about.tell("worst", s -> worst(s, preferences));
    for (MemberId member : members(left, right)) {
      about.tell(member.toString(), s -> figures(s, member, preferences));
    }
    return new SideBySide(lines);
  }

  private interface About {
    void tell(String what, Function<Study, String> words);
  }

  private static String said(Optional<Study> study, Function<Study, String> tell) {
    return study.map(tell).filter(words -> !words.isBlank()).orElse(Sign.DASH);
  }

  private static String way(Ratio ratio) {
    return ratio.sameDirection() ? "the same way" : "the other way";
  }

  private static int teeth(Study study) {
    return study.train().involuteWheels().stream()
        .flatMap(wheel -> wheel.teeth().stream())
        .mapToInt(Teeth::count)
        .sum();
  }

  private static long count(Study study, Severity severity) {
    return study.findings().stream().filter(f -> f.severity() == severity).count();
  }

  private static String worst(Study study, Preferences in) {
    return study.findings().stream()
        .filter(finding -> finding.severity() != Severity.OK)
        .findFirst()
        .map(finding -> finding.in(in.units()).message())
        .orElse("");
  }

  private static Set<MemberId> members(Optional<Study> left, Optional<Study> right) {
    Set<MemberId> all = new LinkedHashSet<>();
    for (Optional<Study> one : List.of(left, right)) {
      one.ifPresent(study -> study.train().members().forEach(member -> all.add(member.id())));
    }
    return all;
  }

  /** Teeth, role, speed and torque of one member. */
  private static String figures(Study study, MemberId id, Preferences in) {
    if (!study.train().has(id)) {
      return "";
    }
    Member member = study.train().member(id);
    Role role = study.role(id);
    boolean outside = role == Role.DRIVE || role == Role.HOLD || role == Role.TAKE;
    Optional<BigFraction> torque =
        outside ? study.torques().external(id) : study.torques().carried(id);
    return member.teeth().map(teeth -> teeth + ", ").orElse("")
        + RoleLook.word(role)
        + study
            .motion()
            .speed(id)
            .map(rate -> ", " + Sign.number(rate.in(in.speed())) + " " + in.speed().symbol())
            .orElse("")
        + torque
            .map(nm -> nm.doubleValue() / in.torque().inBase())
            .map(value -> ", " + Sign.number(value) + " " + in.torque().symbol())
            .orElse("");
  }
}
