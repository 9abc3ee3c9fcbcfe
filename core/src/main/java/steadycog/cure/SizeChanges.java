package steadycog.cure;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.piece.Blank;
import steadycog.piece.Shafts;
import steadycog.shape.Drives;
import steadycog.train.BallBearing;
import steadycog.train.BearingSize;
import steadycog.train.Bore;
import steadycog.train.Clearance;
import steadycog.train.Clearance.Gap;
import steadycog.train.MemberId;
import steadycog.train.Pitch;
import steadycog.train.ShaftSize;
import steadycog.train.Sizes;
import steadycog.train.Train;
import steadycog.train.WheelSize;

/** Changes of bores, widths and the module. */
final class SizeChanges {
  /** Standard modules in mm (ISO 54, series I, and the small ones in use). */
  private static final List<String> MODULES =
      List.of(
          "0.3", "0.4", "0.5", "0.6", "0.8", "1", "1.25", "1.5", "2", "2.5", "3", "4", "5", "6",
          "8", "10");

  private static final List<Double> WIDER = List.of(1.25, 1.5, 2.0, 2.5, 3.0);

  /** Strengths in tension of tempered steels for shafts, MPa. */
  private static final List<String> STEELS = List.of("700", "900", "1100");

  private static final int FLANK_STEPS = 40;

  private SizeChanges() {}

  /** Smaller round bores of the wheels that state one, or of what states it on their shafts. */
  static List<Change> bores(Train train, List<MemberId> wheels) {
    List<Change> all = new ArrayList<>();
    for (MemberId wheel :
        wheels.stream().flatMap(w -> Shafts.stating(train, w).stream()).toList()) {
      WheelSize own = train.sizes().own(wheel);
      if (own.bore().orElse(null) instanceof Bore.Round(Quantity size)) {
        for (double share = 0.95; share > 0.05; share -= 0.05) {
          Quantity smaller = DriveChanges.atMost(share * size.inBase());
          all.add(
              Change.sized(
                      "bore " + wheel + " " + size + " -> " + smaller,
                      train.withSizes(
                          train
                              .sizes()
                              .with(wheel, own.withBore(Optional.of(new Bore.Round(smaller))))))
                  .worth(1 - share));
        }
      }
    }
    return all;
  }

  /** Larger bores of the usual sizes for all that states one on a shaft; a stronger steel. */
  static List<Change> shaft(Train train, List<MemberId> wheels) {
    List<Change> all = new ArrayList<>();
    List<MemberId> stating = Shafts.stating(train, wheels.getFirst());
    for (MemberId wheel : stating.isEmpty() ? wheels.subList(0, 1) : stating) {
      WheelSize own = train.sizes().own(wheel);
      Optional<Bore> now = own.bore().or(() -> Blank.of(train, wheel).bore());
      double size = now.map(bore -> bore.size().inBase()).orElse(0.0);
      for (Quantity larger : Shafts.usualFrom(Math.nextUp(size))) {
        Optional<Bore> bore = now.flatMap(old -> larger(old, larger));
        if (bore.isPresent() && larger.inBase() <= 4 * size) {
          all.add(
              Change.sized(
                      "bore " + wheel + " " + bore.get(),
                      train.withSizes(train.sizes().with(wheel, own.withBore(bore))))
                  .worth(larger.inBase() / size));
        }
      }
    }
    for (String steel : STEELS) {
      Quantity strength = Quantity.of(steel, Unit.MPA);
      WheelSize own = train.sizes().own(wheels.getFirst());
      all.add(
          Change.sized(
                  "shafting " + wheels.getFirst() + " strength " + strength,
                  train.withSizes(
                      train
                          .sizes()
                          .with(
                              wheels.getFirst(),
                              own.withShaft(
                                  Optional.of(
                                      own.shaft().orElse(ShaftSize.NONE).withStrength(strength))))))
              .worth(3));
    }
    return all;
  }

  /** The bearing that goes onto the shaft as it is; whoever takes it enters its rating. */
  static List<Change> bearing(Train train, List<MemberId> wheels) {
    double size =
        wheels.stream()
            .flatMap(wheel -> Blank.of(train, wheel).bore().stream())
            .mapToDouble(bore -> bore.size().inBase())
            .min()
            .orElse(0);
    MemberId wheel =
        wheels.stream()
            .filter(one -> train.sizes().own(one).bearing().isPresent())
            .findFirst()
            .orElse(wheels.getFirst());
    WheelSize own = train.sizes().own(wheel);
    return BallBearing.on(size).stream()
        .map(
            fits -> {
              BearingSize changed =
                  new BearingSize(
                      Optional.of(fits),
                      Optional.empty(),
                      own.bearing().flatMap(BearingSize::places));
              return Change.sized(
                      "bearing " + wheel + " " + fits.name(),
                      train.withSizes(
                          train.sizes().with(wheel, own.withBearing(Optional.of(changed)))))
                  .worth(1);
            })
        .toList();
  }

  private static Optional<Bore> larger(Bore old, Quantity size) {
    return old instanceof Bore.Flatted ? Optional.empty() : Optional.of(resized(old, size));
  }

  /** A bore of the same sort: a usual key in it, a flat in proportion. */
  static Bore resized(Bore old, Quantity size) {
    return switch (old) {
      case Bore.Round _ -> new Bore.Round(size);
      case Bore.Keyed _ -> new Bore.Keyed(size, Optional.empty(), Optional.empty());
      case Bore.Hexagon _ -> new Bore.Hexagon(size);
      case Bore.Flatted(Quantity was, Quantity across) ->
          new Bore.Flatted(
              size, DriveChanges.atMost(size.inBase() * across.inBase() / was.inBase()));
    };
  }

  /** More off all flanks, in hundredths of a millimetre. */
  static List<Change> flanks(Train train) {
    List<Change> all = new ArrayList<>();
    Clearance clearance = train.sizes().clearance();
    double now = clearance.mm(Gap.FLANK);
    for (int step = 1; step <= FLANK_STEPS; step++) {
      double mm = (Math.floor(100 * now) + step) / 100;
      Quantity flank = Quantity.of(Figures.significant(mm, 3), Unit.MM);
      Sizes wider = train.sizes().withClearance(clearance.with(Gap.FLANK, Optional.of(flank)));
      all.add(Change.sized("clearance flank " + flank, train.withSizes(wider)).worth(1 + mm));
    }
    return all;
  }

  /** One bore for all that sit on one shaft, each of those that they have. */
  static List<Change> sameBore(Train train, List<MemberId> seats) {
    List<Change> all = new ArrayList<>();
    for (MemberId kept : seats) {
      Bore bore = train.size(kept).bore().orElseThrow();
      Sizes sizes = train.sizes();
      List<String> words = new ArrayList<>();
      for (MemberId seat : seats) {
        Bore old = train.size(seat).bore().orElseThrow();
        if (!old.equals(bore)) {
          words.add("bore " + seat + " " + old + " -> " + bore);
          sizes = sizes.with(seat, sizes.own(seat).withBore(Optional.of(bore)));
        }
      }
      all.add(
          Change.sized(String.join(", ", words), train.withSizes(sizes))
              .worth(1 + bore.size().inBase() / 1000));
    }
    return all;
  }

  /** Wider faces, and the next larger modules. */
  static List<Change> strength(Train train, MemberId wheel) {
    List<Change> all = new ArrayList<>();
    double now = Blank.widthMm(train, wheel);
    Sizes sizes = train.sizes();
    for (double times : WIDER) {
      Quantity width = DriveChanges.atMost(Math.ceil(times * now));
      Sizes wider = sizes.withCommon(sizes.common().withWidth(Optional.of(width)));
      for (MemberId stated : sizes.wheels().keySet()) {
        wider = wider.with(stated, wider.own(stated).withWidth(Optional.empty()));
      }
      all.add(Change.sized("width " + width, train.withSizes(wider)).worth(times));
    }
    all.addAll(modules(train));
    return all;
  }

  /** The next larger standard modules, to three times of what there is. */
  static List<Change> modules(Train train) {
    List<Change> all = new ArrayList<>();
    double module = Drives.moduleMm(train);
    for (String next : MODULES) {
      double larger = Exact.parse(next).doubleValue();
      if (larger > module && larger <= 3 * module) {
        all.add(
            Change.sized(
                    "module " + next + " mm",
                    train.sized(new Pitch.Module(Quantity.of(next, Unit.MM))))
                .worth(1 + larger / module));
      }
    }
    return all;
  }
}
