package steadycog.study;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.number.Exact;
import steadycog.number.Figures;
import steadycog.number.Memo;
import steadycog.number.Quantity;
import steadycog.number.Same;
import steadycog.number.Unit;
import steadycog.piece.Blank;
import steadycog.rating.Rating;
import steadycog.rating.Running;
import steadycog.sizing.SheetTable;
import steadycog.sizing.SheetTable.Cell;
import steadycog.sizing.SheetTable.Field;
import steadycog.sizing.SheetTable.Row;
import steadycog.train.Duty;
import steadycog.train.Duty.Term;
import steadycog.train.MemberId;
import steadycog.train.Pitch;
import steadycog.train.Sizes;
import steadycog.train.Train;
import steadycog.train.WheelSize;

/**
 * What to change first: by how much the factor that falls shortest of what is wanted grows or falls
 * with a tenth more of each thing that it follows from.
 *
 * @param changes the most telling first
 */
public record WhatIf(List<Change> changes) {
  private static final BigFraction TENTH_MORE = Exact.of(11, 10);

  /** Nothing changes by less than this share. */
  private static final double NOTHING = 1e-9;

  public WhatIf {
    changes = List.copyOf(changes);
  }

  /**
   * One thing that is a tenth more.
   *
   * @param input what, in the trade's words
   * @param times what the worst factor is multiplied by
   */
  public record Change(String input, double times) {}

  /** Eight ratings for whoever chooses another wheel of one train would be seven too many. */
  private static final Memo<Same<Train, Train>, WhatIf> LATEST =
      Memo.of(2, of -> workedOut(of.one()));

  /** Of a train whose rating is asked for. */
  public static WhatIf of(Train train) {
    return LATEST.get(new Same<>(train, train));
  }

  private static WhatIf workedOut(Train train) {
    List<Running> runnings = Ratings.runnings(train);
    Optional<Rating.Weakest> now = Ratings.of(train).weakest();
    if (now.isEmpty()) {
      return new WhatIf(List.of());
    }
    List<Change> all = new ArrayList<>();
    for (Change tried :
        List.of(
            tried("module", train, runnings, WhatIf::coarser),
            tried("face width", train, runnings, WhatIf::wider),
            tried("hardness", train, runnings, WhatIf::harder),
            tried("overload", train, runnings, asks(Term.OVERLOAD)),
            tried("life", train, runnings, asks(Term.LIFE)),
            tried("quality", train, runnings, asks(Term.QUALITY)),
            tried("planets' share", train, runnings, WhatIf::lessEven))) {
      double times = tried.times / now.get().margin();
      if (Double.isFinite(times) && Math.abs(times - 1) > NOTHING) {
        all.add(new Change(tried.input, times));
      }
    }
    all.sort(Comparator.comparingDouble(change -> -Math.abs(Math.log(change.times))));
    return new WhatIf(all);
  }

  /** The margin after a change; not a number where it cannot be made. */
  private static Change tried(
      String input, Train train, List<Running> runnings, UnaryOperator<Train> change) {
    Train changed;
    try {
      changed = change.apply(train);
    } catch (IllegalArgumentException beyond) {
      return new Change(input, Double.NaN);
    }
    return new Change(
        input,
        Rating.of(changed, runnings).weakest().map(Rating.Weakest::margin).orElse(Double.NaN));
  }

  private static UnaryOperator<Train> asks(Term term) {
    return train -> {
      Duty duty = train.sizes().duty();
      BigFraction now = duty.terms().getOrDefault(term, term.usual());
      return train.withSizes(train.sizes().withDuty(duty.with(term, now.multiply(TENTH_MORE))));
    };
  }

  private static Train lessEven(Train train) {
    BigFraction now = train.sizes().sharing().orElse(Exact.of(12, 10));
    return train.withSizes(train.sizes().withSharing(Optional.of(now.multiply(TENTH_MORE))));
  }

  private static Quantity more(Quantity length) {
    return new Quantity(length.value().multiply(TENTH_MORE), length.unit());
  }

  /** All modules, faces left as they are. */
  private static Train coarser(Train train) {
    Train coarse =
        train.sized(
            new Pitch.Module(
                more(new Quantity(Exact.parse(String.valueOf(train.moduleMm())), Unit.MM))));
    Sizes sizes = kept(train, coarse.sizes());
    for (MemberId wheel : train.sizes().wheels().keySet()) {
      WheelSize own = sizes.own(wheel);
      Optional<Pitch> pitch =
          train
              .sizes()
              .own(wheel)
              .pitch()
              .map(
                  given ->
                      new Pitch.Module(
                          new Quantity(given.moduleMm().multiply(TENTH_MORE), Unit.MM)));
      sizes = sizes.with(wheel, own.withPitch(pitch));
    }
    return coarse.withSizes(sizes);
  }

  /** Faces as they are now, also those that follow from the module. */
  private static Sizes kept(Train train, Sizes sizes) {
    Sizes all = sizes;
    for (MemberId wheel : wheels(train)) {
      String width = String.valueOf(Blank.widthMm(train, wheel));
      all =
          all.with(
              wheel,
              all.own(wheel).withWidth(Optional.of(new Quantity(Exact.parse(width), Unit.MM))));
    }
    return all;
  }

  private static Train wider(Train train) {
    Sizes all = kept(train, train.sizes());
    for (MemberId wheel : wheels(train)) {
      all = all.with(wheel, all.own(wheel).withWidth(all.own(wheel).width().map(WhatIf::more)));
    }
    return train.withSizes(all);
  }

  private static Train harder(Train train) {
    Sizes all = train.sizes();
    for (MemberId wheel : wheels(train)) {
      BigFraction now = train.size(wheel).hardness().orElse(BigFraction.of(Rating.USUAL_BRINELL));
      all = all.with(wheel, all.own(wheel).withHardness(Optional.of(now.multiply(TENTH_MORE))));
    }
    return train.withSizes(all);
  }

  private static List<MemberId> wheels(Train train) {
    return train.involuteWheels().stream().map(wheel -> wheel.id()).toList();
  }

  /** As a table: what a tenth more of each does; no columns where nothing is rated. */
  public SheetTable table() {
    return new SheetTable(
        "What if: a tenth more of",
        changes.stream().map(Change::input).toList(),
        List.of(
            new Row(
                "the worst factor is multiplied by",
                "",
                Field.FOLLOWS,
                changes.stream().map(change -> Cell.of(Figures.fixed(change.times, 3))).toList())));
  }
}
