package steadycog;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import steadycog.number.Exact;
import steadycog.number.Quantity;
import steadycog.number.Unit;
import steadycog.train.Bore;
import steadycog.train.Built;
import steadycog.train.Clearance;
import steadycog.train.Cycloidal;
import steadycog.train.Differential;
import steadycog.train.Drive;
import steadycog.train.Element;
import steadycog.train.Helices;
import steadycog.train.Helix;
import steadycog.train.Helix.Hand;
import steadycog.train.Join;
import steadycog.train.Losses;
import steadycog.train.Losses.Practice;
import steadycog.train.Made;
import steadycog.train.Material;
import steadycog.train.Member;
import steadycog.train.MemberId;
import steadycog.train.Mesh;
import steadycog.train.Parallel;
import steadycog.train.Parallel.Link;
import steadycog.train.Part;
import steadycog.train.PlanetRow;
import steadycog.train.Planetary;
import steadycog.train.Planetary.Spacing;
import steadycog.train.Rack;
import steadycog.train.Roles;
import steadycog.train.SetEdit;
import steadycog.train.ShiftPlan;
import steadycog.train.Sizes;
import steadycog.train.State;
import steadycog.train.StrainWave;
import steadycog.train.Take;
import steadycog.train.Teeth;
import steadycog.train.Tolerance;
import steadycog.train.Train;
import steadycog.train.WheelSize;

/** Made-up trains for property tests; the same seed gives the same train. */
public final class RandomTrains {
  private RandomTrains() {}

  /** A chain of 2 to {@code most} wheels that can be drawn: rings hold what meshes inside them. */
  public static Parallel parallel(String name, Random random, int most) {
    int size = 2 + random.nextInt(most - 1);
    List<Teeth> wheels = new ArrayList<>();
    List<Link> links = new ArrayList<>();
    wheels.add(Teeth.external(12 + random.nextInt(60)));
    for (int k = 1; k < size; k++) {
      Teeth before = wheels.getLast();
      Link link = random.nextInt(5) < 3 ? Link.MESH : Link.SHAFT;
      boolean ring = link == Link.MESH && !before.internal() && random.nextInt(8) == 0;
      int count =
          ring
              ? 2 * before.count() + 10 + random.nextInt(20)
              : link == Link.MESH && before.internal()
                  ? 12 + random.nextInt(Math.max(1, before.count() / 2 - 12))
                  : 12 + random.nextInt(60);
      wheels.add(new Teeth(count, ring));
      links.add(link);
    }
    return new Parallel(name, wheels, links);
  }

  /**
   * A planetary set of any shape: single or paired planets, without sun or ring, fitting or not.
   */
  public static Planetary planetary(String name, Random random) {
    int sun = random.nextInt(10, 60);
    int planet = random.nextInt(10, 40);
    int count = random.nextInt(1, 7);
    if (random.nextInt(4) == 0) {
      int outer = random.nextInt(10, 40);
      int ring = sun + planet + outer + random.nextInt(Math.max(2, planet));
      return Planetary.oneRow(
          name,
          new PlanetRow(
              Optional.of(Teeth.external(sun)),
              List.of(Teeth.external(planet), Teeth.external(outer)),
              Optional.of(Teeth.internal(ring + 1))),
          count,
          Spacing.EQUAL);
    }
    if (random.nextInt(3) == 0) {
      return twoRows(name, random);
    }
    int stretch = random.nextInt(3) == 0 ? random.nextInt(-2, 3) : 0;
    Planetary set = Planetary.of(name, sun, planet, count, sun + 2 * planet + stretch);
    return switch (random.nextInt(6)) {
      case 0 -> SetEdit.without(set, set.sunId(0)).orElseThrow();
      case 1 -> SetEdit.without(set, set.ringId(0)).orElseThrow();
      default -> set;
    };
  }

  /** A set of two rows in any of its shapes, most of them closing within a tooth. */
  public static Planetary twoRows(String name, Random random) {
    int sun = random.nextInt(14, 40);
    int one = random.nextInt(14, 30);
    int two = random.nextBoolean() ? one : random.nextInt(14, 30);
    int span = sun + one;
    int ring1 = span + one + (random.nextInt(4) == 0 ? 1 : 0);
    int ring2 = span + two + random.nextInt(-1, 2);
    int sun2 = span - two;
    int shape = random.nextInt(sun2 > 10 ? 5 : 3);
    PlanetRow first =
        switch (shape) {
          case 0 -> PlanetRow.of(0, one, ring1);
          case 1, 3 -> PlanetRow.of(sun, one, 0);
          default -> PlanetRow.of(sun, one, ring1);
        };
    PlanetRow second =
        switch (shape) {
          case 3 -> PlanetRow.of(sun2, two, 0);
          case 4 -> PlanetRow.of(sun2, two, ring2);
          default -> PlanetRow.of(0, two, ring2);
        };
    Planetary set = Planetary.twoRows(name, first, second, random.nextInt(1, 7));
    Planetary tied =
        new Planetary(
            name,
            set.rows(),
            random.nextInt(5) == 0,
            random.nextInt(8) == 0,
            set.count(),
            Spacing.EQUAL);
    return tied.spaced(Spacing.values()[random.nextInt(3)]);
  }

  /** A cycloidal or strain wave drive, some with sizes. */
  public static Part drive(String name, Random random) {
    if (random.nextBoolean()) {
      Cycloidal drive = new Cycloidal(name, 5, 6, Cycloidal.Sizes.USUAL);
      Cycloidal counted = drive.withLobes(random.nextInt(4, 90));
      return random.nextBoolean()
          ? counted
          : counted.sized(
              Cycloidal.Sizes.USUAL
                  .withDiscs(random.nextInt(1, 4))
                  .withPin(new Quantity(Exact.of(random.nextInt(1, 40), 8), Unit.MM)));
    }
    int lobes = random.nextInt(2, 4);
    int nominal = random.nextInt(20, 320);
    StrainWave drive = StrainWave.nominal(name, nominal, lobes, StrainWave.Sizes.USUAL);
    return random.nextBoolean()
        ? drive
        : drive.sized(
            new StrainWave.Sizes(StrainWave.Mount.HAT, Optional.empty(), Optional.of(250)));
  }

  /**
   * Two to four parts on one line, joined at one or two members each, with a brake on every member
   * of some and clutches, and states that engage one to three of them; many jam or are neutral.
   */
  public static Train combined(Random random) {
    List<Part> parts = new ArrayList<>();
    int many = random.nextInt(2, 5);
    for (int k = 0; k < many; k++) {
      int sun = random.nextInt(12, 40);
      int planet = random.nextInt(12, 30);
      String name = "p" + k;
      parts.add(
          switch (random.nextInt(8)) {
            case 0 -> new Differential(name, sun, planet, 2);
            case 1 -> drive(name, random);
            case 2 ->
                new Planetary(name, twoRows(name, random).rows(), false, false, 3, Spacing.EQUAL);
            default -> Planetary.of(name, sun, planet, 3, sun + 2 * planet);
          });
    }
    List<Join> joins = new ArrayList<>();
    for (int k = 1; k < many; k++) {
      List<MemberId> before = parts.get(random.nextInt(k)).shafts();
      List<MemberId> own = parts.get(k).shafts();
      int ties = random.nextInt(1, 3);
      for (int tie = 0; tie < ties; tie++) {
        joins.add(new Join(any(before, random), any(own, random)));
      }
    }
    MemberId in = parts.getFirst().shafts().getFirst();
    MemberId out = parts.getLast().shafts().getLast();
    Train train =
        new Train(
            parts,
            joins,
            List.of(),
            List.of(),
            Optional.empty(),
            Roles.between(in, List.of(), out));
    ShiftPlan plan = ShiftPlan.NONE;
    for (MemberId shaft : parts.stream().flatMap(part -> part.shafts().stream()).toList()) {
      if (!shaft.equals(in) && !shaft.equals(out) && random.nextBoolean()) {
        plan = plan.declaring(new Element.Brake(shaft));
      }
    }
    MemberId clutched = parts.getFirst().shafts().getLast();
    plan = plan.declaring(Element.Clutch.of(in, clutched));
    for (int k = 0; k < 4; k++) {
      List<Element> on = new ArrayList<>(plan.elements());
      Collections.shuffle(on, random);
      plan =
          plan.adding(
              State.engaging("s" + k, on.subList(0, Math.min(on.size(), random.nextInt(1, 4)))));
    }
    return train.withShifts(plan);
  }

  private static <T> T any(List<T> all, Random random) {
    return all.get(random.nextInt(all.size()));
  }

  /** A chain driven at its first wheel and taken off at its last. */
  public static Train driven(Random random, int most) {
    Parallel part = parallel("", random, most);
    Quantity speed = new Quantity(Exact.of(random.nextInt(1, 4000), 4), Unit.RPM);
    Quantity torque = new Quantity(Exact.of(random.nextInt(1, 400), 25), Unit.NM);
    MemberId first = part.members().getFirst().id();
    MemberId last = part.members().getLast().id();
    Roles roles =
        new Roles(
            List.of(new Drive(first, Optional.of(speed), Optional.of(torque))),
            List.of(),
            Optional.of(Take.of(last)),
            List.of());
    return Train.of(List.of(part)).withRoles(roles);
  }

  /** A set with one of its shafts driven, one held and one taken off. */
  public static Train driven(Planetary set, Random random) {
    List<MemberId> shafts = new ArrayList<>(set.shafts());
    Collections.shuffle(shafts, random);
    Roles roles = Roles.between(shafts.get(0), List.of(shafts.get(1)), shafts.getLast());
    return Train.of(List.of(set)).withRoles(roles);
  }

  /** The same train with something said about its losses: of kinds, of meshes, or of friction. */
  public static Train losing(Train train, Random random) {
    Losses losses = Losses.UNSTATED;
    if (random.nextBoolean()) {
      losses = losses.with(Practice.values()[random.nextInt(Practice.values().length)]);
    }
    if (random.nextInt(3) == 0) {
      losses = losses.withFriction(Optional.of(Exact.of(random.nextInt(30), 100)));
    }
    for (Mesh mesh : train.meshes()) {
      if (random.nextInt(3) == 0) {
        losses =
            losses.with(
                train.partOf(mesh.a()).body(mesh.a()),
                train.partOf(mesh.b()).body(mesh.b()),
                Optional.of(Exact.of(random.nextInt(500, 1001), 1000)));
      }
    }
    return train.withLosses(losses);
  }

  /** The same train with something said about sizes: of all wheels, of single ones, of pairs. */
  public static Train sized(Train train, Random random) {
    Sizes sizes = Sizes.UNSTATED;
    if (random.nextBoolean()) {
      sizes = sizes.withRack(Optional.of(new Rack(Exact.of(random.nextInt(29, 50), 2), false)));
    }
    if (random.nextBoolean()) {
      Clearance clearance = Clearance.of(any(List.of(Clearance.Process.values()), random));
      Clearance.Gap gap = any(List.of(Clearance.Gap.values()), random);
      sizes = sizes.withClearance(clearance.with(gap, Optional.of(mm(random.nextInt(1, 30), 100))));
    }
    if (random.nextInt(3) == 0) {
      sizes = sizes.withSharing(Optional.of(Exact.of(random.nextInt(100, 140), 100)));
      sizes = sizes.withCommon(WheelSize.NONE.withMade(Optional.of(Made.of(Material.BRASS))));
    }
    for (Member member : train.members()) {
      MemberId wheel = member.id();
      if (random.nextInt(3) == 0) {
        WheelSize size = WheelSize.NONE.withWidth(Optional.of(mm(random.nextInt(1, 90), 4)));
        if (random.nextBoolean() && train.partOf(wheel).takesShift(wheel)) {
          size = size.withShift(Optional.of(Exact.of(random.nextInt(-30, 60), 100)));
        }
        if (random.nextBoolean()) {
          size = size.withBore(Optional.of(bore(random)));
        }
        if (random.nextBoolean() && member.teeth().isPresent()) {
          size = size.withOffset(Optional.of(mm(random.nextInt(-10, 20), 100)));
        }
        if (random.nextBoolean()) {
          Quantity stress = Quantity.of("40.5", Unit.MPA);
          size =
              size.withMade(
                  Optional.of(new Made(Material.PLA, Optional.of(stress), Optional.empty())));
        }
        sizes = sizes.with(wheel, size);
      }
    }
    for (Mesh mesh : random.nextBoolean() ? train.meshes() : List.<Mesh>of()) {
      if (random.nextBoolean() && train.partOf(mesh.a()).takesHelix()) {
        WheelSize wound = sizes.own(mesh.a()).withHelix(Optional.of(helix(random)));
        Optional<Built> built = Optional.of(any(List.of(Built.values()), random));
        sizes = sizes.with(mesh.a(), random.nextBoolean() ? wound.withBuilt(built) : wound);
      }
    }
    for (Mesh mesh : train.meshes()) {
      if (random.nextInt(4) == 0 && train.partOf(mesh.a()).takesDistance()) {
        sizes =
            sizes.withDistance(
                train.partOf(mesh.a()).body(mesh.a()),
                train.partOf(mesh.b()).body(mesh.b()),
                Optional.of(mm(random.nextInt(20, 400), 8)));
      }
    }
    if (random.nextInt(3) == 0) {
      Tolerance.Limits limits =
          new Tolerance.Limits(Exact.of(random.nextInt(9), 100), Exact.of(1, 50), Unit.MM);
      sizes =
          sizes.withTolerances(
              List.of(
                  new Tolerance(
                      Optional.empty(),
                      Map.of(any(List.of(Tolerance.Of.values()), random), limits))));
    }
    return train.withSizes(sizes);
  }

  /** The same with teeth that wind, all that mesh alike, at angles and with hands of their own. */
  public static Train wound(Train train, Random random) {
    Train wound = train;
    for (Mesh mesh : train.meshes()) {
      boolean free = wound.sizes().own(mesh.a()).helix().isEmpty();
      if (free && train.partOf(mesh.a()).takesHelix()) {
        wound = Helices.with(wound, mesh.a(), Optional.of(helix(random)));
      }
    }
    return wound;
  }

  private static Helix helix(Random random) {
    return new Helix(
        Exact.of(random.nextInt(0, 90), 2),
        random.nextBoolean() ? Optional.empty() : Optional.of(any(List.of(Hand.values()), random)),
        random.nextInt(4) == 0);
  }

  private static Bore bore(Random random) {
    Quantity size = mm(random.nextInt(8, 80), 4);
    Quantity most = new Quantity(size.value().multiply(Exact.of(3, 4)), Unit.MM);
    return switch (random.nextInt(5)) {
      case 0 -> new Bore.Hexagon(size);
      case 1 -> new Bore.Flatted(size, most);
      case 2 -> new Bore.Keyed(size, Optional.empty(), Optional.empty());
      case 3 -> new Bore.Keyed(size, Optional.of(most), Optional.of(mm(1, 2)));
      default -> new Bore.Round(size);
    };
  }

  private static Quantity mm(int top, int bottom) {
    return new Quantity(Exact.of(top, bottom), Unit.MM);
  }
}
