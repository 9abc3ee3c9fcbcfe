package steadycog.notation;

import java.util.List;

/** A card that makes no train; holds every problem found, first one first. */
public final class CardException extends Exception {
  private static final long serialVersionUID = 1L;

  private final transient List<CardProblem> problems;

  CardException(List<CardProblem> problems) {
    super(problems.getFirst().toString());
    this.problems = List.copyOf(problems);
  }

  public List<CardProblem> problems() {
    return problems;
  }
}
