package steadycog.rating;

import steadycog.rating.Beam.Section;

/** One section of one way of running, and the diameter that it asks for. */
record Asked(ShaftSteel steel, boolean pin, Bent bent, Section section, double diameter) {

  static Asked of(ShaftSteel steel, boolean pin, Bent bent, Section section, double wanted) {
    double diameter =
        pin
            ? steel.pinDiameter(section.bending(), bent.beam().shear(), wanted)
            : steel.diameter(section, bent.turning(), wanted);
    return new Asked(steel, pin, bent, section, diameter);
  }

  double factor(double made) {
    return pin
        ? steel.pinFactor(section.bending(), bent.beam().shear(), made)
        : steel.factor(section, bent.turning(), made);
  }
}
