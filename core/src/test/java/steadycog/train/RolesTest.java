package steadycog.train;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import steadycog.number.Quantity;
import steadycog.number.Unit;

class RolesTest {

  private static MemberId id(int k) {
    return new MemberId("", Parallel.letters(k));
  }

  @Test
  void speedEffortAndLoadStayWithTheirRoleWhoeverHasIt() {
    Quantity speed = Quantity.of("90", Unit.RPM);
    Quantity torque = Quantity.of("6", Unit.NM);
    Quantity load = Quantity.of("21", Unit.NM);
    Roles roles =
        new Roles(
            List.of(new Drive(id(0), Optional.of(speed), Optional.of(torque))),
            List.of(id(3)),
            Optional.of(new Take(id(2), Optional.of(load))),
            List.of());
    Random random = new Random(81);
    for (int step = 0; step < 500; step++) {
      MemberId member = id(random.nextInt(6));
      roles =
          switch (random.nextInt(3)) {
            case 0 -> roles.driving(member);
            case 1 -> roles.of(member) == Role.FREE ? roles.holding(member) : roles;
            default -> roles.taking(member);
          };
      assertEquals(1, roles.drives().size());
      assertEquals(Optional.of(speed), roles.drives().getFirst().speed());
      assertEquals(Optional.of(torque), roles.drives().getFirst().effort());
      assertEquals(Optional.of(load), roles.take().orElseThrow().load());
    }
  }

  @Test
  void drivingTheTakeOffTurnsTheTrainRound() {
    Roles roles = Roles.NONE.driving(id(0)).taking(id(2));
    Roles round = roles.driving(id(2));
    assertEquals(Role.DRIVE, round.of(id(2)));
    assertEquals(Role.TAKE, round.of(id(0)));
    assertEquals(roles, round.taking(id(2)));
    assertEquals(roles, round.driving(id(0)));
  }

  @Test
  void freeingForgetsRolesAndLocks() {
    Roles roles = Roles.NONE.driving(id(0)).holding(id(1)).locking(id(1), id(2));
    assertEquals(Role.HOLD, roles.of(id(1)));
    assertEquals(Role.LOCKED, roles.of(id(2)));
    Roles freed = roles.freeing(id(1));
    assertEquals(Role.FREE, freed.of(id(1)));
    assertEquals(Role.FREE, freed.of(id(2)));
    assertEquals(Role.DRIVE, freed.of(id(0)));
  }

  @Test
  void impossibleRolesAreRefused() {
    Drive drive = Drive.of(id(0));
    assertThrows(
        IllegalArgumentException.class,
        () -> new Roles(List.of(drive), List.of(id(0)), Optional.empty(), List.of()));
    assertThrows(
        IllegalArgumentException.class,
        () ->
            new Roles(
                List.of(drive, Drive.of(id(1)), Drive.of(id(2))),
                List.of(),
                Optional.empty(),
                List.of()));
    IllegalArgumentException wrong =
        assertThrows(
            IllegalArgumentException.class,
            () -> new Take(id(0), Optional.of(Quantity.of("5", Unit.RPM))));
    assertTrue(wrong.getMessage().contains("expected Nm"), wrong.getMessage());
  }
}
