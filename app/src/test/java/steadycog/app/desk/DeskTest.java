package steadycog.app.desk;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import steadycog.format.demo.TernRock;
import steadycog.format.file.JobFiles;
import steadycog.format.json.UnreadableException;
import steadycog.job.Job;
import steadycog.motion.Motion;
import steadycog.motion.RatioBoard;
import steadycog.notation.Card;
import steadycog.notation.PitchText;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.shape.Placed;
import steadycog.train.Bevel;
import steadycog.train.Bevel.Side;
import steadycog.train.Element;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.ShiftPlan;
import steadycog.train.Train;
import steadycog.train.WheelSize;

class DeskTest {
  @TempDir Path folder;
  private final Desk desk = new Desk();

  private static MemberId id(String name) {
    return new MemberId("", name);
  }

  private String ratio() {
    return desk.bench()
        .flatMap(bench -> bench.study().ratio())
        .map(ratio -> Exact.text(ratio.reduction()))
        .orElse("none");
  }

  private void typeKeys(String keys) {
    for (int i = 0; i < keys.length(); i++) {
      char key = keys.charAt(i);
      desk.train().type(desk.sheet().text() + key);
    }
  }

  @Test
  void everyKeystrokeIsUnderstoodOrKept() {
    typeKeys("parallel 18 ~ 7");
    assertEquals("7/18", ratio().replace("-", ""));
    typeKeys("2 ~");
    assertEquals("4", ratio().replace("-", ""), "the last train that could be read stays");
    assertEquals(1, desk.problemsProperty().get().size());
    assertEquals("parallel 18 ~ 72 ~", desk.sheet().text());
    typeKeys(" 36");
    assertEquals("2", ratio());
    assertEquals(List.of(), desk.problemsProperty().get());
  }

  @Test
  void oneWordTypedIsOneStepToUndo() {
    typeKeys("parallel 18 ~ 72");
    typeKeys(" ~ 36");
    desk.undo();
    assertEquals("parallel 18 ~ 72 ~", desk.sheet().text());
    desk.redo();
    assertEquals("parallel 18 ~ 72 ~ 36", desk.sheet().text());
    while (desk.canUndo()) {
      desk.undo();
    }
    assertEquals(Job.empty(), desk.job());
    assertFalse(desk.file().isUnsaved());
  }

  @Test
  void rolesAreWrittenOnTheCardAndKeepItsComments() {
    desk.train().type("# winch\nparallel 16 ~ 25 ~ 56 # counted\n");
    desk.train().hold(id("B"));
    assertEquals(Motion.Status.JAMMED, desk.bench().orElseThrow().study().motion().status());
    desk.train().free(id("B"));
    desk.train().drive(id("C"));
    assertEquals(
        "# winch\nparallel 16 ~ 25 ~ 56 # counted\ndrive C\ntake A\n", desk.sheet().text());
    assertEquals("2/7", ratio());
    desk.train().lock(id("A"), id("A"));
    desk.train().changeTeeth(id("A"), 12);
    assertEquals("1/2", ratio());
    assertTrue(desk.sheet().text().contains("parallel 28 ~ 25 ~ 56 # counted"));
  }

  /** Another arrangement is compared with the same teeth, made in the same way. */
  @Test
  void aVariantIsMadeAsTheTrainThatItIsToReplace() throws Exception {
    desk.file().putDown(Job.empty());
    desk.train()
        .type(
            "parallel 20 ~ 60; module 1.5 mm; clearance printed; shift A 0.2; material B brass\n"
                + "efficiency printed A-B 0.9; drive A 90 rpm; take B");
    desk.trains().tryVariant("smaller", Card.read("parallel 17 ~ 51").train());
    String text = desk.sheet().text();
    assertTrue(text.contains("module 1.5 mm"), text);
    assertTrue(text.contains("clearance printed"), text);
    assertTrue(text.contains("efficiency printed\n"), text);
    assertFalse(text.contains("shift"), text);
    assertFalse(text.contains("brass"), text);
  }

  @Test
  void anythingDoneCanBeUndoneAndDoneAgain() throws Exception {
    desk.file().putDown(TernRock.job());
    Random random = new Random(13);
    List<Page> pages = new ArrayList<>();
    pages.add(desk.pageProperty().get());
    for (int step = 0; step < 1000; step++) {
      Page before = desk.pageProperty().get();
      doSomething(random);
      if (!desk.pageProperty().get().job().equals(before.job())) {
        pages.add(desk.pageProperty().get());
      }
      assertInStep();
    }
    Page last = desk.pageProperty().get();
    while (desk.canUndo()) {
      desk.undo();
      assertInStep();
    }
    assertEquals(TernRock.job(), desk.job());
    assertFalse(desk.file().isUnsaved());
    while (desk.canRedo()) {
      desk.redo();
    }
    assertEquals(last.job(), desk.job());
    assertTrue(pages.size() > 500);
  }

  private void doSomething(Random random) {
    List<Member> members = desk.bench().orElseThrow().card().train().members();
    MemberId one = members.get(random.nextInt(members.size())).id();
    MemberId two = members.get(random.nextInt(members.size())).id();
    boolean small = members.size() < 14;
    switch (random.nextInt(28)) {
      case 0 -> desk.train().drive(one);
      case 1 -> desk.train().hold(one);
      case 2 -> desk.train().take(one);
      case 3, 4 -> desk.train().free(one);
      case 5 -> desk.train().lock(one, two);
      case 6 -> desk.train().changeTeeth(one, random.nextInt(-3, 4));
      case 7 -> desk.train().type(desk.sheet().text() + (random.nextBoolean() ? "?" : "# note\n"));
      case 8 -> desk.train().place(one, BigFraction.of(random.nextInt(24) * 15));
      case 9 -> desk.train().layOutAgain();
      case 10 -> build(small, () -> desk.train().insertIdler(one));
      case 11, 12 -> desk.train().removeWheel(one);
      case 13 -> build(small, () -> desk.train().meshWheel(one));
      case 14 -> build(small, () -> desk.train().keyWheel(one));
      case 15 -> desk.train().changePlanets(one, random.nextInt(-1, 2));
      case 16 -> configure(random);
      case 17 -> shift(random, one, two);
      case 18 -> desk.plan().add(new Element.Brake(one));
      case 19 -> desk.train().join(one, two);
      case 20 ->
          build(
              small,
              () -> desk.train().addPart(new Bevel("b", 11, 43, Side.LEFT, Optional.empty())));
      case 21 -> desk.train().removePart(one);
      case 22, 23 -> size(random, one);
      case 24 -> desk.train().addRow(one);
      default -> desk.showSheet(random.nextInt(desk.job().sheets().size()));
    }
  }

  /** Something with the states of the train in view. */
  private void shift(Random random, MemberId one, MemberId two) {
    ShiftPlan plan = desk.bench().orElseThrow().card().train().shifts();
    if (plan.states().isEmpty() || random.nextInt(4) == 0) {
      desk.plan().addState();
      return;
    }
    String name = plan.states().get(random.nextInt(plan.states().size())).name();
    switch (random.nextInt(6)) {
      case 0 -> desk.showState(name);
      case 1 -> desk.plan().remove(name);
      case 2 -> desk.plan().move(name, random.nextInt(-1, 2));
      case 3 -> desk.plan().rename(name, "s" + random.nextInt(5));
      case 4 -> plan.elements().stream().findFirst().ifPresent(desk.plan()::drop);
      default ->
          desk.plan()
              .toggle(name, one.equals(two) ? new Element.Brake(one) : Element.Clutch.of(one, two));
    }
  }

  /** Says something of the losses and the distance of a pair, and of the size of a wheel. */
  private void size(Random random, MemberId wheel) {
    Train train = desk.bench().orElseThrow().card().train();
    if (!train.meshes().isEmpty()) {
      Mesh mesh = train.meshes().get(random.nextInt(train.meshes().size()));
      MemberId a = train.partOf(mesh.a()).body(mesh.a());
      MemberId b = train.partOf(mesh.b()).body(mesh.b());
      Optional<Quantity> length = Optional.of(Quantity.of("40", Unit.MM));
      desk.train().lose(losses -> losses.with(a, b, Optional.of(Exact.of(97, 100))));
      if (train.partOf(a).takesDistance()) {
        desk.train().resize(now -> now.withSizes(now.sizes().withDistance(a, b, length)));
      }
    }
    WheelSize size = WheelSize.NONE.withWidth(Optional.of(Quantity.of("8", Unit.MM)));
    Optional<BigFraction> shift =
        train.partOf(wheel).takesShift(wheel) ? Optional.of(Exact.of(1, 5)) : Optional.empty();
    desk.train().resize(now -> now.withSizes(now.sizes().with(wheel, size.withShift(shift))));
  }

  private void configure(Random random) {
    RatioBoard board = RatioBoard.of(desk.bench().orElseThrow().card().train());
    if (!board.configurations().isEmpty()) {
      int any = random.nextInt(board.configurations().size());
      desk.train().configure(board.configurations().get(any));
    }
  }

  private static void build(boolean small, Runnable action) {
    if (small) {
      action.run();
    }
  }

  /** Card, drawing and ledger speak of the same train. */
  private void assertInStep() throws Exception {
    Bench bench = desk.bench().orElseThrow();
    Card card = desk.sheet().card().orElseThrow();
    assertEquals(card, bench.card());
    assertEquals(card.train(), Card.read(card.text()).train());
    assertEquals(bench.state().map(card.train()::in).orElseGet(card::train), bench.study().train());
    assertEquals(
        card.train().members().stream().map(Member::id).collect(Collectors.toSet()),
        bench.study().layout().bodies().stream().map(Placed::id).collect(Collectors.toSet()));
    assertEquals(desk.sheet().draft().isPresent(), !desk.problemsProperty().get().isEmpty());
  }

  @Test
  void savesOpensAndRefusesWithoutTouchingTheOpenJob() throws Exception {
    desk.train().type("parallel 18 ~ 72\n");
    desk.train().type("parallel 18 ~ 72 ~\n");
    Path file = folder.resolve("mine.cog.json");
    assertTrue(desk.file().isUnsaved());
    desk.file().save(file);
    assertFalse(desk.file().isUnsaved());
    Desk tomorrow = new Desk();
    tomorrow.file().open(file);
    assertEquals(desk.job(), tomorrow.job());
    assertEquals("parallel 18 ~ 72 ~\n", tomorrow.sheet().text());
    assertEquals(1, tomorrow.problemsProperty().get().size());
    Path broken = folder.resolve("broken.cog.json");
    Files.writeString(broken, Files.readString(file).substring(0, 60));
    assertThrows(UnreadableException.class, () -> tomorrow.file().open(broken));
    assertEquals(desk.job(), tomorrow.job());
    assertEquals(Optional.of(file), tomorrow.file().pathProperty().get());
  }

  @Test
  void theCrankCountsExactly() {
    desk.train().type("parallel 18 ~ 72 = 20 ~ 80\ndrive A -10 rpm\ntake D\n");
    Crank crank = desk.crank();
    crank.tooth(1);
    assertEquals("-1/18", Exact.text(crank.inputTurns()), "the way the drive turns");
    crank.tooth(-1);
    crank.turn(3);
    Mesh first = desk.bench().orElseThrow().card().train().meshes().getFirst();
    assertEquals("54", Exact.text(crank.count().orElseThrow().teethPassed(first).orElseThrow()));
    assertEquals("3/4", Exact.text(crank.count().orElseThrow().turns(id("B")).orElseThrow()));
    assertEquals("16", crank.lineUp().orElseThrow().toString());
    assertEquals("13", Exact.text(crank.toNextLineUp().orElseThrow()));
    for (int k = 0; k < 3600; k++) {
      crank.drag(1 / 360.0);
    }
    assertEquals("7", Exact.text(crank.inputTurns()));
    crank.toggleRunning();
    assertTrue(crank.runningProperty().get());
    BigFraction before = crank.inputTurns();
    crank.advance(0.5);
    assertTrue(crank.inputTurns().compareTo(before) < 0, "it runs the way it is driven");
    desk.train().hold(id("B"));
    crank.advance(0.5);
    assertFalse(crank.runningProperty().get(), "a jammed train stops the crank");
    BigFraction stuck = crank.inputTurns();
    crank.turn(1);
    assertEquals(stuck, crank.inputTurns());
  }

  @Test
  void selectionGoesRoundAndForgetsWhatIsGone() {
    desk.train().type("parallel 18 ~ 72 ~ 20");
    desk.selectNext(-1);
    assertEquals(Optional.of(id("C")), desk.selection());
    desk.selectNext(1);
    assertEquals(Optional.of(id("A")), desk.selection());
    desk.selectNext(-1);
    desk.train().type("parallel 18 ~ 72");
    assertEquals(Optional.empty(), desk.selection());
    desk.select(Optional.of(id("Q")));
    assertEquals(Optional.empty(), desk.selection());
  }

  @Test
  void aDamagedFileNeverTouchesTheOpenJob() throws Exception {
    desk.train().type("parallel 18 ~ 72\n");
    Job open = desk.job();
    Path file = folder.resolve("tern.cog.json");
    JobFiles.save(TernRock.job(), 0, file);
    String whole = Files.readString(file);
    Random random = new Random(17);
    for (int k = 0; k < 200; k++) {
      int at = random.nextInt(whole.length());
      Files.writeString(file, whole.substring(0, at) + (char) random.nextInt(33, 127));
      assertThrows(UnreadableException.class, () -> desk.file().open(file));
      assertSame(open, desk.job());
    }
  }

  @Test
  void aSetLosesItsSunWithAllThatIsSaidAboutIt() {
    desk.train()
        .type("planetary sun 24 planet 15 x3 ring 54\ndrive sun 60 rpm\nhold ring\ntake carrier\n");
    desk.train().removeWheel(id("sun"));
    assertEquals("planetary planet 15 x3 ring 54\nhold ring\ntake carrier\n", desk.sheet().text());
    desk.train().removeWheel(id("ring"));
    assertEquals("planetary planet 15 x3 ring 54\nhold ring\ntake carrier\n", desk.sheet().text());
    desk.undo();
    desk.train().changePlanets(id("carrier"), 1);
    desk.train().changePlanets(id("carrier"), 40);
    assertTrue(desk.sheet().text().startsWith("planetary sun 24 planet 15 x12 ring 54"));
    desk.undo();
    assertTrue(desk.sheet().text().startsWith("planetary sun 24 planet 15 x3"), "one strand");
    // What only chains have does nothing here.
    String before = desk.sheet().text();
    desk.select(Optional.of(id("planet")));
    desk.train().meshWheel(id("planet"));
    desk.train().keyWheel(id("sun"));
    desk.train().insertIdler(id("ring"));
    assertEquals(before, desk.sheet().text());
    assertEquals(Optional.of(id("planet")), desk.selection(), "and leaves the choice alone");
  }

  @Test
  void theSecondDriveIsSetInOneStepAndSizesAreKept() {
    desk.train()
        .type(
            """
            planetary sun 24 planet 15 x3 ring 54
            drive sun 9 rpm
            drive ring 1 rpm
            take carrier
            """);
    for (int k = 1; k <= 4; k++) {
      desk.train().driveSecond(new Quantity(BigFraction.of(-k), Unit.RPM));
    }
    assertTrue(desk.bench().orElseThrow().study().motion().speed(id("carrier")).get().isZero());
    desk.undo();
    assertTrue(desk.sheet().text().contains("drive ring 1 rpm"));
    desk.train().size(PitchText.read("dp 16").orElseThrow());
    assertTrue(desk.sheet().text().contains("dp 16"));
    assertEquals(Optional.empty(), PitchText.read("large"));
    assertEquals(PitchText.read("1.5 mm"), PitchText.read("module 1.5 mm"));
  }
}
