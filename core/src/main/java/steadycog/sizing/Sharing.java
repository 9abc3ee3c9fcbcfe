package steadycog.sizing;

import steadycog.train.Mesh;
import steadycog.train.Part;
import steadycog.train.Train;

/**
 * How the planets of a set share what a mesh carries.
 *
 * @param contacts that share it; one on fixed axes
 * @param uneven the most loaded over the mean
 */
record Sharing(int contacts, double uneven) {

  static Sharing of(Train train, Mesh mesh) {
    Part part = train.partOf(mesh.a());
    int contacts = Math.max(part.copies(mesh.a()), part.copies(mesh.b()));
    return new Sharing(contacts, contacts > 1 ? train.sizes().sharingInForce() : 1);
  }

  /** What the most loaded contact has of {@code all}. */
  double most(double all) {
    return all / contacts * uneven;
  }
}
