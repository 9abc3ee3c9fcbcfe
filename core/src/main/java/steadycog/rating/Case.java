package steadycog.rating;

/**
 * One tooth of one mesh in one state.
 *
 * @param state its name; empty of a train without states
 * @param share of the time
 * @param force tangential on the most loaded contact, N
 * @param speed of the pitch line against the carrier, m/s
 * @param bending stress at the root, MPa
 * @param contact pressure between flanks, MPa
 * @param cycles in the whole life
 */
public record Case(
    String state,
    double share,
    double force,
    double speed,
    MeshFactors mesh,
    ToothFactors tooth,
    double bending,
    double contact,
    double cycles) {}
