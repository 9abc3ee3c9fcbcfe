package steadycog.train;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import steadycog.RandomTrains;
import steadycog.notation.Card;
import steadycog.notation.CardException;

/** What every kind of part answers, so that nobody has to ask which kind it is. */
class PartsTest {
  static Stream<Part> parts() throws CardException {
    return Stream.of(
            "parallel 18 ~ 72 = 20 ~ 80i",
            "planetary sun 24 planet 15 x3 ring 54",
            "planetary planet 15 x2 ring 54",
            "planetary sun 12/12 planet 18=20 x3 ring 48/52",
            "planetary sun 20 planet 16~18 x3 ring 74",
            "cycloidal lobes 10 pins 11 discs 2",
            "strainwave flex 200 circular 202",
            "bevel 16 ~ 40",
            "differential side 16 spider 10 x2",
            "a: shaft\nb: parallel 10 ~ 20")
        .map(PartsTest::part);
  }

  private static Part part(String card) {
    try {
      return Card.read(card).train().parts().getFirst();
    } catch (CardException wrong) {
      throw new AssertionError(card, wrong);
    }
  }

  @ParameterizedTest
  @MethodSource("parts")
  void everyMeshJoinsTwoOfItsMembersAndSharesTheirTeeth(Part part) {
    Set<MemberId> members = new HashSet<>();
    part.members().forEach(member -> assertTrue(members.add(member.id()), member::toString));
    for (Mesh mesh : part.meshes()) {
      assertTrue(members.containsAll(List.of(mesh.a(), mesh.b())), mesh::toString);
      assertNotEquals(mesh.a(), mesh.b());
      assertTrue(mesh.carrier().stream().allMatch(members::contains));
      for (Member member : part.members()) {
        if (mesh.touches(member.id())) {
          assertEquals(member.teeth(), Optional.of(mesh.teeth(member.id())), mesh::toString);
        }
      }
    }
    assertTrue(members.containsAll(part.shafts()));
    part.keyed().forEach(join -> assertTrue(members.containsAll(List.of(join.a(), join.b()))));
    part.inLine().forEach(join -> assertTrue(members.containsAll(List.of(join.a(), join.b()))));
  }

  @ParameterizedTest
  @MethodSource("parts")
  void wheelsThatMeshLieInOneRow(Part part) {
    assertTrue(part.rowCount() >= 1);
    Set<Integer> used = new HashSet<>();
    for (Member member : part.members()) {
      int row = part.row(member.id());
      assertTrue(row >= 0 && row < part.rowCount(), member::toString);
      used.add(row);
      assertEquals(part.body(member.id()), part.body(part.body(member.id())), "a body is its own");
      assertTrue(part.copies(member.id()) >= 1);
    }
    assertEquals(part.rowCount(), used.size(), "no row is empty");
    part.meshes().forEach(mesh -> assertEquals(part.row(mesh.a()), part.row(mesh.b())));
  }

  @ParameterizedTest
  @MethodSource("parts")
  void eitherItsWheelsStandApartOrItsShaftsAreOnOneAxis(Part part) {
    boolean atAnAngle = part instanceof Bevel;
    assertEquals(!part.isChain() && !atAnAngle, part.isCentred(), part::toString);
    assertTrue(!part.isChain() || part.takesDistance());
    if (part.usualEnds().isPresent()) {
      Ends ends = part.usualEnds().get();
      assertTrue(part.shafts().containsAll(List.of(ends.drive(), ends.take())));
      assertNotEquals(ends.drive(), ends.take());
    }
  }

  @ParameterizedTest
  @MethodSource("parts")
  void anotherNameOrCountChangesNothingElse(Part part) {
    Part other = part.named("other");
    assertEquals("other", other.name());
    assertEquals(part, other.named(part.name()));
    assertEquals(
        part.members().stream().map(Member::teeth).toList(),
        other.members().stream().map(Member::teeth).toList());
    for (Member member : part.members()) {
      if (member.teeth().isEmpty()) {
        Teeth none = Teeth.external(9);
        if (part.members().size() > 1 && !(part instanceof StrainWave)) {
          assertThrows(IllegalArgumentException.class, () -> part.withTeeth(member.id(), none));
        }
        continue;
      }
      Teeth old = member.teeth().get();
      assertEquals(part, part.withTeeth(member.id(), old), member::toString);
      Part more = part.withTeeth(member.id(), new Teeth(old.count() + 1, old.internal()));
      Optional<Teeth> now =
          more.members().stream()
              .filter(one -> one.id().equals(member.id()))
              .findFirst()
              .flatMap(Member::teeth);
      assertEquals(Optional.of(new Teeth(old.count() + 1, old.internal())), now);
    }
  }

  @Test
  void aTrainGivesItsPartsByKindInTheOrderOfTheCard() {
    Train train = RandomTrains.combined(new Random(5));
    List<Part> together =
        Stream.<Class<? extends Part>>of(
                Parallel.class,
                Planetary.class,
                Cycloidal.class,
                StrainWave.class,
                Bevel.class,
                Differential.class,
                Shaft.class)
            .<Part>flatMap(kind -> train.parts(kind).stream())
            .toList();
    assertEquals(Set.copyOf(train.parts()), Set.copyOf(together));
    assertEquals(train.parts().size(), together.size());
    assertEquals(train.parts(), train.parts(Part.class));
    for (Part part : train.parts()) {
      for (Member member : part.members()) {
        assertEquals(Optional.of(part), train.partOf(member.id(), Part.class));
        assertEquals(
            part instanceof Planetary, train.partOf(member.id(), Planetary.class).isPresent());
      }
    }
    assertThrows(
        IllegalArgumentException.class,
        () -> train.partOf(new MemberId("nowhere", "sun"), Planetary.class));
  }

  static Stream<Arguments> spared() {
    return Stream.of(
        Arguments.of("sun 24 planet 15 x3 ring 54", "sun", "planet 15 x3 ring 54"),
        Arguments.of("sun 24 planet 15 x3 ring 54", "ring", "sun 24 planet 15 x3"),
        Arguments.of("sun 24 planet 15 x3", "sun", ""),
        Arguments.of("sun 24 planet 15 x3 ring 54", "planet", ""),
        Arguments.of("sun 24 planet 15 x3 ring 54", "carrier", ""),
        Arguments.of("sun 12/- planet 18=20 x3 ring -/50", "ring", "sun 12 planet 18 x3"),
        Arguments.of("sun 12/- planet 18=20 x3 ring -/50", "sun", "planet 20 x3 ring 50"));
  }

  @ParameterizedTest
  @MethodSource("spared")
  void aWheelIsTakenOutWithTheRowThatHadNoOther(String set, String member, String left) {
    Planetary before = (Planetary) part("planetary " + set);
    Optional<Planetary> after = SetEdit.without(before, new MemberId("", member));
    assertEquals(left.isEmpty() ? Optional.empty() : Optional.of(part("planetary " + left)), after);
  }

  @Test
  void membersFollowTheirWheelsIntoAnEditedSet() {
    Random random = new Random(11);
    for (int k = 0; k < 500; k++) {
      Planetary set = RandomTrains.planetary("s", random);
      Train train = Train.of(List.of(set));
      for (Member gone : set.members()) {
        Optional<Edited> edited = SetEdit.without(train, set, gone.id());
        if (edited.isEmpty()) {
          continue;
        }
        Planetary left = edited.get().train().parts(Planetary.class).getFirst();
        assertEquals(Optional.empty(), edited.get().follows().apply(gone.id()), set::toString);
        Set<MemberId> seen = new HashSet<>();
        for (Member member : set.members()) {
          Optional<MemberId> now = edited.get().follows().apply(member.id());
          now.ifPresent(id -> assertTrue(seen.add(id), set + " without " + gone));
          now.ifPresent(id -> assertEquals(member.teeth(), teeth(left, id)));
        }
        left.members().forEach(member -> assertTrue(seen.contains(member.id())));
      }
    }
  }

  private static Optional<Teeth> teeth(Part part, MemberId id) {
    return part.members().stream()
        .filter(member -> member.id().equals(id))
        .findFirst()
        .flatMap(Member::teeth);
  }

  @Test
  void aRowLeavesRoomForOneSunUnlessItHasPairs() throws CardException {
    assertEquals(24, PlanetRow.of(0, 15, 54).virtualSun().getAsInt());
    assertEquals(-2, PlanetRow.of(0, 28, 54).virtualSun().getAsInt());
    assertTrue(PlanetRow.of(24, 15, 0).virtualSun().isEmpty());
    Planetary pairs = (Planetary) part("planetary sun 20 planet 16~18 x3 ring 74");
    assertTrue(pairs.row().virtualSun().isEmpty());
    assertFalse(pairs.takesRow());
    assertTrue(((Planetary) part("planetary sun 24 planet 15 x3 ring 54")).takesRow());
  }
}
