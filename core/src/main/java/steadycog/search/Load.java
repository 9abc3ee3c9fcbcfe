package steadycog.search;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.notation.Card;
import steadycog.notation.CardException;
import steadycog.number.Exact;
import steadycog.train.Drive;
import steadycog.train.Duty;
import steadycog.train.Duty.Term;
import steadycog.train.Roles;
import steadycog.train.Train;

/**
 * What candidates must bear, at their drive.
 *
 * @param drive speed and torque or power, of whatever member
 * @param hours for which, above 0
 */
public record Load(Drive drive, BigFraction hours) {
  private static final Pattern LIFE =
      Pattern.compile("^(.*?)(?:\\s+(?:for\\s+)?(\\d+(?:\\.\\d+)?)\\s*h)?$");

  /** A life that no rating is made for is refused as on a card. */
  public Load {
    Duty.NONE.with(Term.LIFE, hours);
  }

  /**
   * {@code 1500 rpm 0.5 Nm}, {@code 1500 rpm 80 W 2000 h}.
   *
   * @throws IllegalArgumentException saying what would be right
   */
  static Load parse(String text) {
    Matcher said = LIFE.matcher(text.strip());
    try {
      if (said.matches()) {
        String card = "parallel 20 ~ 40; drive A " + said.group(1);
        Drive drive = Card.read(card).train().roles().drives().getFirst();
        if (drive.speed().isPresent() && drive.effort().isPresent()) {
          BigFraction hours =
              said.group(2) == null ? Term.LIFE.usual() : Exact.parse(said.group(2));
          return new Load(drive, hours);
        }
      }
    } catch (CardException unreadable) {
      // Said below, in the words of this field.
    }
    throw new IllegalArgumentException(
        "'" + text.strip() + "' is no load: write 1500 rpm 0.5 Nm, or 1500 rpm 80 W 2000 h");
  }

  /** A train that is driven so and asks for a rating over that life. */
  Train on(Train train) {
    Roles roles = train.roles();
    List<Drive> drives = new ArrayList<>(roles.drives());
    drives.set(0, drive.movedTo(drives.getFirst().member()));
    Train driven = train.withRoles(new Roles(drives, roles.holds(), roles.take(), roles.locks()));
    return driven.withSizes(driven.sizes().withDuty(driven.sizes().duty().with(Term.LIFE, hours)));
  }
}
