package steadycog.app.desk;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import steadycog.cure.Advice;
import steadycog.cure.Cures;
import steadycog.cure.PutRight;
import steadycog.cure.PutRight.Keep;
import steadycog.cure.PutRight.Outcome;

/**
 * Looks aside for what puts the findings of the train in view right, and for the least change that
 * puts all of it right. What it finds holds for one bench only: another edit, and it is gone.
 */
public final class CureWork {
  /** Typing and dragging go on for so long before cures are looked for. */
  private static final long QUIET_MS = 60;

  /** Pieces are put together only of what stays in view so long: it takes a core for a while. */
  private static final long PROOF_QUIET_MS = 400;

  /** A change of the whole train, shown before it is taken. */
  public sealed interface Proposal {
    /** Nobody has asked for one. */
    record None() implements Proposal {}

    /** It is being looked for. */
    record Seeking() implements Proposal {}

    /** What came of it. */
    record Found(Outcome outcome) implements Proposal {}
  }

  /**
   * The findings of a bench with their cures.
   *
   * @param proven whether its pieces were put together as well
   */
  private record Known(Bench bench, List<Advice> advice, boolean proven) {}

  private final ReadOnlyObjectWrapper<Optional<Known>> known =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<Proposal> proposal =
      new ReadOnlyObjectWrapper<>(new Proposal.None());
  private final Desk desk;
  private final Aside aside;

  /** {@code onScreen} runs what it is given on the interface's thread. */
  CureWork(Desk desk, Consumer<Runnable> onScreen) {
    this.desk = desk;
    aside = new Aside("cure work", onScreen);
  }

  /** Changes whenever cures have been found, and when they hold no longer. */
  public ReadOnlyObjectProperty<?> knownProperty() {
    return known.getReadOnlyProperty();
  }

  public ReadOnlyObjectProperty<Proposal> proposalProperty() {
    return proposal.getReadOnlyProperty();
  }

  /** Whether the cures of the train in view have been found, or there is none. */
  public boolean isDone() {
    return desk.bench().isEmpty() || known.get().isPresent();
  }

  /** Whether its pieces have been put together too. */
  public boolean isProven() {
    return desk.bench().isEmpty() || known.get().filter(Known::proven).isPresent();
  }

  /** The findings of the train in view, with their cures once they are known. */
  public List<Advice> advice() {
    return known
        .get()
        .map(Known::advice)
        .orElseGet(
            () ->
                desk.bench().stream()
                    .flatMap(bench -> bench.study().findings().stream())
                    .map(Advice::of)
                    .toList());
  }

  /** Begins anew for the bench there is now. */
  void seek() {
    aside.drop();
    known.set(Optional.empty());
    proposal.set(new Proposal.None());
    desk.bench()
        .ifPresent(
            bench ->
                aside.work(
                    QUIET_MS,
                    pace -> cures(bench).all(pace),
                    found -> {
                      known.set(Optional.of(new Known(bench, found, false)));
                      prove(bench, found);
                    }));
  }

  /** Puts the pieces of the bench together. */
  private void prove(Bench bench, List<Advice> found) {
    aside.work(
        PROOF_QUIET_MS,
        bench.study()::collisions,
        collisions ->
            known.set(
                Optional.of(
                    new Known(
                        bench,
                        Advice.worstFirst(found, collisions.stream().map(Advice::of).toList()),
                        true))));
  }

  private static Cures cures(Bench bench) {
    return bench
        .state()
        .map(state -> Cures.of(bench.card().train(), state))
        .orElseGet(() -> Cures.of(bench.card().train()));
  }

  /** Looks for the least change that puts the whole train right, or takes the one that is shown. */
  public void putRight() {
    switch (proposal.get()) {
      case Proposal.None none -> propose();
      case Proposal.Seeking seeking -> {
        // It comes when it comes.
      }
      case Proposal.Found found -> found.outcome().cure().ifPresent(desk.train()::cure);
    }
  }

  private void propose() {
    if (desk.bench().isPresent()) {
      proposal.set(new Proposal.Seeking());
      aside.work(
          0,
          pace -> PutRight.of(desk.bench().orElseThrow().card().train(), Keep.NOTHING, pace),
          outcome -> proposal.set(new Proposal.Found(outcome)));
    }
  }

  /** Takes the proposal away, or stops looking for one. */
  public void leave() {
    if (!(proposal.get() instanceof Proposal.None)) {
      boolean seeking = proposal.get() instanceof Proposal.Seeking;
      proposal.set(new Proposal.None());
      if (seeking) {
        seek();
      }
    }
  }
}
