package steadycog.rating;

import java.util.List;
import java.util.Optional;
import steadycog.rating.RatedShaft.Held;
import steadycog.train.BallBearing;
import steadycog.train.MemberId;

/** How shafts are carried where more is known of it than the drawing shows. */
public interface Carried {
  /** Nothing more is known. */
  Carried AS_DRAWN =
      new Carried() {
        @Override
        public Optional<Held> held(List<MemberId> wheels) {
          return Optional.empty();
        }

        @Override
        public Optional<BallBearing> bearing(List<MemberId> wheels) {
          return Optional.empty();
        }

        @Override
        public double shift(MemberId wheel) {
          return 0;
        }
      };

  /** Where the shaft of some wheels is held along the axes, mm. */
  Optional<Held> held(List<MemberId> wheels);

  /** The lesser of its two bearings. */
  Optional<BallBearing> bearing(List<MemberId> wheels);

  /** How far a wheel stands beyond where the drawing has it, mm. */
  double shift(MemberId wheel);
}
