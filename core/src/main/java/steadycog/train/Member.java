package steadycog.train;

import java.util.Optional;

/** A body that turns, as a part names it; {@code teeth} is empty where it has none of its own. */
public record Member(MemberId id, Optional<Teeth> teeth) {}
