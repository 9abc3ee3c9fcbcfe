package steadycog.search;

/** One kind of train: finds leads. */
interface Source {

  Kind kind();

  /** Adds every lead whose error lies within the reach. */
  void sweep(Reach reach);
}
