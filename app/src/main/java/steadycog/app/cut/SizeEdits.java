package steadycog.app.cut;

import java.math.BigDecimal;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.app.desk.Desk;
import steadycog.notation.LengthText;
import steadycog.notation.PitchText;
import steadycog.notation.SizeText;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.shape.PairShift;
import steadycog.sizing.MeshFigures;
import steadycog.sizing.SheetTable.Field;
import steadycog.train.Bore;
import steadycog.train.Clearance;
import steadycog.train.Clearance.Gap;
import steadycog.train.Helices;
import steadycog.train.Helix;
import steadycog.train.Made;
import steadycog.train.Material;
import steadycog.train.MemberId;
import steadycog.train.Pitch;
import steadycog.train.Sizes;
import steadycog.train.Train;
import steadycog.train.WheelSize;

/** Takes what was typed on the cut sheet over to the desk; what cannot be understood is said. */
final class SizeEdits {
  static final String HELIX =
      "A helix is an angle from 0 to 45 degrees such as 20, 20 left or 20 double.";

  private final Desk desk;

  SizeEdits(Desk desk) {
    this.desk = desk;
  }

  /**
   * Changes one value of a wheel; an empty text takes back what is stated of it.
   *
   * @return what is wrong with the text, or empty
   */
  Optional<String> wheel(Field field, MemberId wheel, String text) {
    String bare = text.replace('\u2212', '-').replaceFirst("^\\+", "");
    boolean none = bare.isEmpty();
    return switch (field) {
      case MODULE -> module(wheel, bare, none);
      case HELIX -> helix(wheel, bare, none);
      case SHIFT -> shift(wheel, bare, none);
      case BORE -> {
        Optional<Bore> bore = SizeText.bore(bare).or(() -> round(bare));
        yield bore.isEmpty() && !none
            ? Optional.of("A bore is a shaft such as 8 mm, 8 mm key, 8 mm hex or 5 mm flat 4.5 mm.")
            : own(wheel, size -> size.withBore(bore));
      }
      case WIDTH -> {
        Optional<Quantity> width = length(bare);
        yield width.isEmpty() && !none
            ? Optional.of("A face width is a length such as 8 mm or 0.5 in.")
            : own(wheel, size -> size.withWidth(width));
      }
      case OFFSET -> offset(wheel, bare, none);
      case MATERIAL -> {
        Optional<Made> made = SizeText.made(bare);
        yield made.isEmpty() && !none
            ? Optional.of(
                "A material is one of "
                    + Material.words()
                    + ", with stresses if you like: steel bending 200 MPa contact 600 MPa.")
            : own(wheel, size -> size.withMade(made));
      }
      case DISTANCE, FOLLOWS -> Optional.empty();
    };
  }

  /** Of the wheel and all that mesh with it; a bare number is a module in mm. */
  private Optional<String> module(MemberId wheel, String text, boolean none) {
    Optional<Pitch> pitch = PitchText.read(text).or(() -> PitchText.read(text + " mm"));
    if (pitch.isEmpty() && !none) {
      return Optional.of("A module of its own is such as 1.25 mm, or dp 16.");
    }
    return resized(train -> train.withPitch(wheel, pitch));
  }

  /** Of the wheel and all that mesh with it; a bare number leaves hand and halves as they are. */
  private Optional<String> helix(MemberId wheel, String text, boolean none) {
    Helix now = Helices.of(desk.bench().orElseThrow().card().train(), wheel);
    Optional<Helix> helix =
        SizeText.helix(text)
            .map(
                read ->
                    Exact.isNumber(text)
                        ? now.at(read.degrees())
                        : read.handed(read.hand().or(now::hand)));
    if (helix.isEmpty() && !none) {
      return Optional.of(HELIX);
    }
    return resized(train -> Helices.with(train, wheel, helix));
  }

  private Optional<String> shift(MemberId wheel, String text, boolean none) {
    if (!none && !Exact.isNumber(text)) {
      return Optional.of("A profile shift is a number of modules such as 0.25.");
    }
    Optional<BigFraction> x = none ? Optional.empty() : Optional.of(Exact.parse(text));
    return own(wheel, size -> size.withShift(x.filter(given -> given.signum() != 0)));
  }

  /** What is typed is all that comes off a flank; the train's clearance is part of it. */
  private Optional<String> offset(MemberId wheel, String text, boolean none) {
    Optional<Quantity> all = length(text);
    if (all.isEmpty() && !none) {
      return Optional.of("What comes off a flank is a length such as 0.08 mm.");
    }
    Clearance clearance = desk.bench().orElseThrow().card().train().sizes().clearance();
    BigFraction flank = Exact.parse(BigDecimal.valueOf(clearance.mm(Gap.FLANK)).toPlainString());
    Optional<Quantity> own =
        all.map(given -> given.value().multiply(given.unit().factor()).subtract(flank))
            .filter(left -> left.signum() != 0)
            .map(left -> new Quantity(left, Unit.MM));
    return own(wheel, size -> size.withOffset(own));
  }

  private Optional<String> own(MemberId wheel, UnaryOperator<WheelSize> change) {
    try {
      WheelSize changed = change.apply(sizes().own(wheel));
      return resized(train -> train.withSizes(train.sizes().with(wheel, changed)));
    } catch (IllegalArgumentException outOfRange) {
      return Optional.of(sentence(String.valueOf(outOfRange.getMessage())));
    }
  }

  private Optional<String> resized(UnaryOperator<Train> change) {
    return desk.train().resize(change).map(SizeEdits::sentence);
  }

  private Sizes sizes() {
    return desk.bench().orElseThrow().card().train().sizes();
  }

  private Optional<Bore> round(String text) {
    return length(text).filter(length -> length.value().signum() > 0).map(Bore.Round::new);
  }

  private Optional<Quantity> length(String text) {
    return LengthText.read(text, desk.preferences().length());
  }

  static String sentence(String words) {
    return Character.toUpperCase(words.charAt(0)) + words.substring(1) + ".";
  }

  /**
   * Puts a pair at a distance: by shifts where {@code shifting} and teeth bear them, else as it is.
   */
  Optional<String> distance(MeshFigures mesh, String text, boolean shifting) {
    Optional<Quantity> given = length(text);
    if (given.filter(length -> length.value().signum() > 0).isEmpty()) {
      if (!text.isEmpty()) {
        return Optional.of("A centre distance is a length such as 40 mm.");
      }
      return place(mesh, Optional.empty());
    }
    Train train = desk.bench().orElseThrow().card().train();
    double apart = train.sizes().clearance().mm(Gap.APART);
    double tight = given.get().inBase() + (mesh.mesh().internal() ? apart : -apart);
    Optional<PairShift> shifted =
        shifting
            ? PairShift.reaching(train, mesh.mesh(), tight / mesh.moduleMm())
            : Optional.empty();
    boolean follows = mesh.mesh().carrier().isPresent();
    if (shifted.isEmpty()) {
      return place(mesh, given)
          .or(
              () ->
                  shifting && !follows
                      ? Optional.of("No shift that teeth bear reaches it: the axes are put there.")
                      : Optional.empty());
    }
    Sizes sizes = shifted.get().sized().sizes();
    Sizes unplaced = sizes.withDistance(mesh.mesh().a(), mesh.mesh().b(), Optional.empty());
    return resized(now -> now.withSizes(unplaced));
  }

  private Optional<String> place(MeshFigures mesh, Optional<Quantity> length) {
    Train train = desk.bench().orElseThrow().card().train();
    MemberId a = train.partOf(mesh.mesh().a()).body(mesh.mesh().a());
    MemberId b = train.partOf(mesh.mesh().b()).body(mesh.mesh().b());
    return resized(now -> now.withSizes(now.sizes().withDistance(a, b, length)));
  }

  /** Changes the room that the process needs; an empty text takes back what is stated. */
  Optional<String> gap(Gap gap, String text) {
    Optional<Quantity> length = length(text);
    if (length.isEmpty() && !text.isEmpty()) {
      return Optional.of("Room is a length such as 0.1 mm.");
    }
    try {
      Clearance changed = sizes().clearance().with(gap, length);
      return resized(train -> train.withSizes(train.sizes().withClearance(changed)));
    } catch (IllegalArgumentException outOfRange) {
      return Optional.of(sentence(String.valueOf(outOfRange.getMessage())));
    }
  }
}
