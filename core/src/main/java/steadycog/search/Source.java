package steadycog.search;

import java.util.List;

/** One kind of train: finds leads. */
interface Source {

  Kind kind();

  /** In what steps it is swept: those first whose trains come first. */
  List<Step> steps();

  /** Adds every lead of a step. */
  void sweep(Reach reach);
}
