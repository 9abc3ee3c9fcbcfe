package steadycog.app.gearbox;

import java.util.Optional;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import steadycog.app.desk.Desk;
import steadycog.app.look.Look;
import steadycog.app.look.Typed;
import steadycog.notation.LengthText;
import steadycog.notation.SizeText;
import steadycog.number.Figures;
import steadycog.number.Quantity;
import steadycog.train.Clearance;
import steadycog.train.Clearance.Gap;
import steadycog.train.Housing;
import steadycog.train.Housing.Bolts;
import steadycog.train.MotorFace;
import steadycog.train.Train;

/** What is wished of the box: wall, bolts, and the motor before it. */
final class WishBar extends FlowPane {
  private final Desk desk;
  private final TextField wall =
      Look.field("box-wall", 5, "Thickness of the wall round what turns, as 3 mm");
  private final TextField bolts =
      Look.field("box-bolts", 6, "Screws that hold the layers, as 4 x M3");
  private final TextField motor =
      Look.field("box-motor", 5, "Square face of the motor: " + MotorFace.sizes());
  private final TextField seats =
      Look.field(
          "box-seats", 5, "Added to the diameter of every hole that a bearing or a pin goes into");
  private final Label problem = Look.label("", "bad-word");

  WishBar(Desk desk) {
    super(10, 4);
    this.desk = desk;
    setRowValignment(VPos.CENTER);
    problem.setId("box-problem");
    problem.setWrapText(true);
    motor.setPromptText("none");
    Typed.on(wall, this::takeWall, this::said, desk.inViewProperty());
    Typed.on(bolts, this::takeBolts, this::said, desk.inViewProperty());
    Typed.on(motor, this::takeMotor, this::said, desk.inViewProperty());
    Typed.on(seats, this::takeSeats, this::said, desk.inViewProperty());
    getChildren()
        .addAll(
            named("wall", wall),
            named("bolts", bolts),
            named("motor face", motor),
            named("seats wider", seats),
            problem);
    said(Optional.empty());
  }

  private static HBox named(String text, TextField field) {
    HBox box = new HBox(5, new Label(text), field);
    box.setAlignment(Pos.CENTER_LEFT);
    return box;
  }

  /**
   * Shows what the card says; what it leaves out stands there in grey as it was assumed.
   *
   * @param assumed wall and bolts of the box that was made
   */
  void show(Train train, Optional<Housing> assumed) {
    Housing said = train.sizes().housing();
    Typed.show(wall, said.wall().map(Quantity::toString).orElse(""));
    Typed.show(bolts, said.bolts().map(Bolts::toString).orElse(""));
    Typed.show(motor, said.motor().map(face -> face.size() + " mm").orElse(""));
    Clearance clearance = train.sizes().clearance();
    Typed.show(
        seats,
        Optional.ofNullable(clearance.stated().get(Gap.SEAT)).map(Quantity::toString).orElse(""));
    seats.setPromptText(Figures.significant(clearance.mm(Gap.SEAT), 3) + " mm");
    wall.setPromptText(assumed.flatMap(Housing::wall).map(Quantity::toString).orElse(""));
    bolts.setPromptText(assumed.flatMap(Housing::bolts).map(Bolts::toString).orElse(""));
  }

  private void said(Optional<String> words) {
    problem.setText(words.orElse(""));
    Look.show(problem, words.isPresent());
  }

  private Optional<String> takeWall(String text) {
    Optional<Quantity> length = LengthText.read(text, desk.preferences().length());
    return length.isEmpty() && !text.isEmpty()
        ? Optional.of("A wall is a length such as 3 mm.")
        : desk.train().wish(box -> box.withWall(length));
  }

  private Optional<String> takeBolts(String text) {
    Optional<Bolts> read = SizeText.bolts(text);
    return read.isEmpty() && !text.isEmpty()
        ? Optional.of("Bolts are a count and a size such as 4 x M3.")
        : desk.train().wish(box -> box.withBolts(read));
  }

  private Optional<String> takeMotor(String text) {
    Optional<MotorFace> face =
        LengthText.read(text, desk.preferences().length())
            .flatMap(length -> MotorFace.of(length.inBase()));
    return face.isEmpty() && !text.isEmpty()
        ? Optional.of("Motors have faces of " + MotorFace.sizes() + ".")
        : desk.train().wish(box -> box.withMotor(face));
  }

  private Optional<String> takeSeats(String text) {
    Optional<Quantity> length = LengthText.read(text, desk.preferences().length());
    return length.isEmpty() && !text.isEmpty()
        ? Optional.of("Room in a seat is a length such as 0.1 mm.")
        : desk.train()
            .resize(
                train -> {
                  Clearance changed = train.sizes().clearance().with(Gap.SEAT, length);
                  return train.withSizes(train.sizes().withClearance(changed));
                });
  }
}
