package steadycog.search;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.train.MemberId;
import steadycog.train.Parallel;
import steadycog.train.Parallel.Link;
import steadycog.train.Part;
import steadycog.train.Teeth;

/** One stage of several in series. */
sealed interface SeriesStage {

  /** Size of w_in / w_out. */
  double ratio();

  /** 1 where it keeps the direction, else -1. */
  int sign();

  int size();

  double diameter();

  /** A planetary set used in one way. */
  record OfSet(SetShape shape, Use use, double ratio, int sign) implements SeriesStage {
    @Override
    public int size() {
      return shape.size();
    }

    @Override
    public double diameter() {
      return shape.diameter();
    }
  }

  /** A pair of external wheels. */
  record OfPair(int driver, int driven) implements SeriesStage {
    @Override
    public double ratio() {
      return (double) driven / driver;
    }

    @Override
    public int sign() {
      return -1;
    }

    @Override
    public int size() {
      return driver + driven;
    }

    @Override
    public double diameter() {
      return Math.max(driver, driven) + Candidate.TIPS;
    }

    Part part(String name) {
      return new Parallel(
          name, List.of(Teeth.external(driver), Teeth.external(driven)), List.of(Link.MESH));
    }

    /** Shifts that leave the flanks of both wheels whole. */
    Map<MemberId, BigFraction> shifts(Part part) {
      return ChainFit.againstUndercut(part.members());
    }
  }

  /** As a part of a train: which shafts it has, and how its wheels are shifted. */
  record Made(
      Part part,
      MemberId in,
      Optional<MemberId> held,
      MemberId out,
      Map<MemberId, BigFraction> shifts) {}
}
