package steadycog.train;

import org.apache.commons.numbers.fraction.BigFraction;

/**
 * Where a shaft stands, as its designer dragged it.
 *
 * @param member a wheel
 * @param degrees direction in which it lies from the wheel that it meshes with: the one before it
 *     on the card, else the one after it; counter-clockwise from the right, seen from the drive end
 */
public record Place(MemberId member, BigFraction degrees) {}
