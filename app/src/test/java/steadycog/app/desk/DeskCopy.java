package steadycog.app.desk;

/** Brings one desk into the state of another, as if its owner had gone straight there. */
public final class DeskCopy {
  private DeskCopy() {}

  public static void copy(Desk from, Desk to) {
    to.preferencesProperty().set(from.preferences());
    if (from.file().isUnsaved()) {
      to.file().recover(from.job(), from.file().pathProperty().get(), from.file().stamp());
    } else {
      to.file().putDown(from.job());
    }
    to.showSheet(from.pageProperty().get().index());
    to.stationProperty().set(from.stationProperty().get());
    to.powerProperty().set(from.powerProperty().get());
    to.exaggerationProperty().set(from.exaggerationProperty().get());
    from.state().ifPresent(to::showState);
    to.select(from.selection());
    to.crank().moveTo(from.crank().positionProperty().get());
  }
}
