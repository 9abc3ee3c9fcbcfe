package steadycog.cli;

import java.util.List;
import picocli.CommandLine.ITypeConverter;
import picocli.CommandLine.TypeConversionException;
import steadycog.number.Unit;
import steadycog.number.Units;

/** A unit asked for by {@code --units}: one of those in which numbers are shown. */
final class ShownUnit implements ITypeConverter<Unit> {
  @Override
  public Unit convert(String symbol) {
    return Unit.of(symbol)
        .filter(one -> Units.USUAL.of(one.dimension()).isPresent())
        .orElseThrow(
            () ->
                new TypeConversionException(
                    "'" + symbol + "': expected units as rpm, Nm, W, mm, lbf-in"));
  }

  /** The usual units with those asked for in their places. */
  static Units of(List<Unit> asked) {
    Units shown = Units.USUAL;
    for (Unit unit : asked) {
      shown = shown.with(unit);
    }
    return shown;
  }
}
