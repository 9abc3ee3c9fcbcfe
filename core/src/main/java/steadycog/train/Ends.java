package steadycog.train;

/** Which member of a part is usually driven and which taken off when nothing else is said. */
public record Ends(MemberId drive, MemberId take) {}
