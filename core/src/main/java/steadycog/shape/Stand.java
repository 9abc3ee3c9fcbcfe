package steadycog.shape;

import steadycog.train.Bevel;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.Mesh;
import steadycog.train.Parallel;
import steadycog.train.Planetary;
import steadycog.train.Shaft;
import steadycog.train.StrainWave;
import steadycog.train.Train;

/** How the axes of two meshing wheels stand to each other in the drawings. */
enum Stand {
  /** At a centre distance, in whatever direction there is room. */
  APART,
  /** Where a carrier holds them. */
  CARRIED,
  /** At a right angle. */
  ACROSS,
  /** On one line, or so near to it that they are drawn from one. */
  TOGETHER;

  static Stand of(Train train, Mesh mesh) {
    return switch (train.partOf(mesh.a())) {
      case Parallel _ -> APART;
      case Planetary _ -> CARRIED;
      case Bevel _ -> ACROSS;
      case Cycloidal _, StrainWave _, Differential _ -> TOGETHER;
      case Shaft shaft -> throw new IllegalArgumentException(shaft + " has no meshes");
    };
  }
}
