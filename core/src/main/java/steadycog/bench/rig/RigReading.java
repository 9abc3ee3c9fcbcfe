package steadycog.bench.rig;

/**
 * What the instruments show at a moment.
 *
 * @param time since the rig was started, s
 * @param inputCounts of the encoder, with their sign, not wrapped
 * @param outputCounts of the encoder, with their sign, not wrapped
 * @param torque at the output, N m, positive where it resists
 * @param current of the motor, A
 * @param voltage of the motor, V
 * @param temperature of the housing, \u00b0C
 * @param noise dB
 */
public record RigReading(
    double time,
    long inputCounts,
    long outputCounts,
    double torque,
    double current,
    double voltage,
    double temperature,
    double noise) {}
