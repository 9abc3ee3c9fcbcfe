package steadycog.study;

import java.util.List;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.train.Motor;

/** Made-up motors to try, from small to large; a real one's stall torque and speed are typed. */
public final class MotorShelf {
  private MotorShelf() {}

  /** A motor by its name on the shelf. */
  public record Shelved(String name, Motor motor) {}

  /** All of them, the weakest first. */
  public static List<Shelved> all() {
    return List.of(
        shelved("Petrel", "3", Unit.NMM, "9000"),
        shelved("Puffin", "12", Unit.NMM, "8000"),
        shelved("Skua", "40", Unit.NMM, "6500"),
        shelved("Fulmar", "0.12", Unit.NM, "5200"),
        shelved("Gannet", "0.42", Unit.NM, "4500"),
        shelved("Kittiwake", "0.9", Unit.NM, "3000"),
        shelved("Guillemot", "2.4", Unit.NM, "3000"),
        shelved("Cormorant", "8", Unit.NM, "1450"));
  }

  private static Shelved shelved(String name, String stall, Unit unit, String free) {
    return new Shelved(name, new Motor(Quantity.of(stall, unit), Quantity.of(free, Unit.RPM)));
  }
}
