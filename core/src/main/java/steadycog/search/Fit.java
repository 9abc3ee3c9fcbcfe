package steadycog.search;

import steadycog.train.Train;

/**
 * The same wheels in the ways in which they may go together: with this or that number of planets,
 * with shifts or without. The first that is free of errors is listed.
 *
 * @param ways the better ones first; empty where none is worth trying
 * @param plain as it is without any help, for those who want trains with errors too
 * @param trouble the rule that keeps them from going together, where {@code ways} is empty
 */
record Fit(Iterable<Train> ways, Train plain, String trouble) {}
