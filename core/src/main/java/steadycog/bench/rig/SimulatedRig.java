package steadycog.bench.rig;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import steadycog.bench.LoadResult;
import steadycog.bench.TurnVerdict;
import steadycog.sizing.LostMotion;
import steadycog.sizing.ToothLoad;
import steadycog.study.Study;
import steadycog.train.Drive;
import steadycog.train.Motor;
import steadycog.train.Teeth;
import steadycog.train.Train;

/**
 * A rig of numbers: the motor's falling line with a current limit, the train's ratio and losses,
 * play that is taken up on the side that the load pushes to and grows with overload, teeth that
 * give way at a hidden strength, and instruments with noise. Warmth and sound are rough models that
 * only have the right shape. Everything follows from the settings.
 */
public final class SimulatedRig implements Rig {
  /** Time between readings, s. */
  public static final double STEP = 0.01;

  private static final double SUPPLY = 12;

  /** Current that the motor takes by itself, of that which it takes at rest. */
  private static final double IDLE_SHARE = 0.04;

  private static final double SPEED_LAG = 0.08;
  private static final double USUAL_SPEED = 120;
  private static final double USUAL_PLAY = 20;
  private static final double AMBIENT = 21;
  private static final double KELVIN_PER_WATT = 4;
  private static final double WARMING = 60;
  private static final double QUIET = 46;

  /** Under more than this part of its strength a build wears visibly. */
  private static final double WEARS_FROM = 0.7;

  /** It bears too much for so long before it gives way, s. */
  private static final double GIVES_WAY_AFTER = 0.3;

  private static final double MISSES = 0.004;
  private static final double MINUTES_PER_TURN = 360 * 60;

  private final RigSettings settings;
  private final Faulty build;
  private final double reduction;
  private final double efficiency;
  private final double stall;
  private final double free;
  private final double speed;
  private final double strength;
  private final boolean jumps;
  private final Teeth last;
  private final String weakest;
  private final SplittableRandom random;

  private double wantedSpeed;
  private double wantedLoad;
  private boolean stopped;
  private double time;
  private double left;
  private double inputSpeed;
  private double input;
  private double output;
  private double slipped;
  private double slipping;
  private double play;
  private double damage;
  private double overloaded;
  private boolean broken;
  private boolean jumped;
  private double missed;
  private double warmth;

  private SimulatedRig(Train card, Study own, RigSettings settings) {
    this.settings = settings;
    random = new SplittableRandom(settings.seed());
    SplittableRandom hidden = random.split();
    build = Faulty.of(card, settings.fault(), hidden.nextInt(1 << 20));
    Study study = build.train().equals(card) ? own : Study.of(build.train());
    reduction = study.ratio().orElseThrow().reduction().doubleValue();
    efficiency = study.efficiency().orElse(0.0);
    last = TurnVerdict.lastMesh(study).orElseThrow();
    double usual = usualStrength(own);
    strength = settings.strength().orElse(usual * (0.9 + 0.9 * hidden.nextDouble()));
    jumps = hidden.nextBoolean();
    weakest =
        LoadResult.weakest(own, usual)
            .map(tooth -> "teeth of " + tooth.wheel())
            .orElse("teeth of the last mesh");
    Drive drive = own.motion().mechanism().roles().drives().getFirst();
    Optional<Motor> motor = drive.motor();
    double most = Math.max(strength, usual);
    double good = own.efficiency().orElse(0.5);
    double ratio = Math.abs(own.ratio().orElseThrow().reduction().doubleValue());
    stall = motor.map(m -> m.stall().inBase()).orElse(2.2 * most / ratio / Math.max(good, 0.05));
    double stated = drive.speed().map(s -> Math.abs(s.inBase())).orElse(USUAL_SPEED);
    double asked = stated > 0 ? stated : USUAL_SPEED;
    free = motor.map(m -> m.free().inBase()).orElse(2 * asked);
    speed = Math.min(asked, free / 2);
    play =
        settings
            .play()
            .or(() -> own.cutSheet().lostMotion().map(LostMotion::minutes).filter(m -> m >= 1))
            .orElse(USUAL_PLAY);
    slipping = build.fault() == RigSettings.Fault.SLIPPING ? 0.03 : 0;
  }

  /** Why no rig can be made for {@code train} in its roles; empty where one can. */
  public static Optional<String> refusal(Train train) {
    return refusal(Study.of(train));
  }

  private static Optional<String> refusal(Study study) {
    if (study.ratio().isEmpty()) {
      return Optional.of("drive one member and take off one: the rig needs a ratio");
    }
    if (study.loading().flow().verdict().known()) {
      return Optional.empty();
    }
    return Optional.of("its losses leave open what comes out: state efficiencies that settle it");
  }

  /**
   * A rig for a train in its roles.
   *
   * @throws IllegalArgumentException where {@link #refusal} says why not
   */
  public static SimulatedRig of(Train train, RigSettings settings) {
    Study study = Study.of(train);
    refusal(study)
        .ifPresent(
            why -> {
              throw new IllegalArgumentException(why);
            });
    return new SimulatedRig(train, study, settings);
  }

  /**
   * The torque at the output at which the screening has a factor of 1, N m; where it knows nothing
   * three times what the card says.
   */
  private static double usualStrength(Study study) {
    double card =
        study
            .torques()
            .external(study.motion().mechanism().roles().take().orElseThrow().member())
            .map(torque -> Math.abs(torque.doubleValue()))
            .filter(torque -> torque > 0)
            .orElse(1.0);
    return LoadResult.weakest(study, card).map(tooth -> card * allowance(tooth)).orElse(3 * card);
  }

  /** Stress at the root grows with the load, pressure with its square root. */
  private static double allowance(ToothLoad.Weakest tooth) {
    return tooth.bending() ? tooth.factor() : tooth.factor() * tooth.factor();
  }

  @Override
  public int inputCounts() {
    return settings.inputCounts();
  }

  @Override
  public int outputCounts() {
    return settings.outputCounts();
  }

  @Override
  public double torqueConstant() {
    // As large as what it induces: 1 V s/rad is 1 N m/A.
    return SUPPLY / (free * Math.PI / 30);
  }

  @Override
  public double idleCurrent() {
    return IDLE_SHARE * stall / torqueConstant();
  }

  @Override
  public double usualSpeed() {
    return speed;
  }

  /** The torque at which the build gives way, N m: for those who look behind the scenes. */
  public double hiddenStrength() {
    return strength;
  }

  @Override
  public Command command() {
    return new Command() {
      @Override
      public void drive(double rpm) {
        wantedSpeed = rpm;
      }

      @Override
      public void load(double torque) {
        wantedLoad = torque;
      }
    };
  }

  @Override
  public void stop() {
    stopped = true;
  }

  @Override
  public Optional<String> inspect() {
    List<String> found = new ArrayList<>();
    if (broken) {
      found.add(weakest + " broken off");
    } else if (jumped) {
      found.add(weakest + " jumped and are worn");
    }
    build.found().ifPresent(found::add);
    return Optional.of(found.isEmpty() ? "nothing wrong to be seen" : String.join("; ", found));
  }

  @Override
  public List<RigReading> pass(double seconds) {
    List<RigReading> readings = new ArrayList<>();
    left += seconds;
    while (left >= STEP - 1e-12) {
      left -= STEP;
      readings.add(step());
    }
    return readings;
  }

  private RigReading step() {
    time += STEP;
    double wanted = stopped ? 0 : wantedSpeed;
    double load = stopped || broken ? 0 : wantedLoad;
    double pushed = Math.max(0, load) / Math.abs(reduction);
    double needed = efficiency > 0 ? pushed / efficiency : pushed > 0 ? stall : 0;
    double limit =
        settings
            .currentLimit()
            .map(amperes -> Math.max(0, amperes - idleCurrent()) * torqueConstant())
            .orElse(stall);
    double most = Math.min(stall, limit);
    boolean stalls = wanted != 0 && needed >= most;
    double reached =
        stalls ? 0 : Math.signum(wanted) * Math.min(Math.abs(wanted), free * (1 - needed / stall));
    inputSpeed += (reached - inputSpeed) * Math.min(1, STEP / SPEED_LAG);
    double moved = inputSpeed / 60 * STEP;
    input += moved;
    double carried = stalls ? Math.min(load, most * Math.abs(reduction) * efficiency) : load;
    wear(carried, moved);
    follow(load, moved);

    double torque = wanted == 0 ? 0 : stalls ? most : needed;
    double amperes = wanted == 0 ? 0 : idleCurrent() + torque / torqueConstant();
    double volts =
        wanted == 0 ? 0 : SUPPLY * Math.min(1, Math.abs(inputSpeed) / free + torque / stall);
    double given = torque * Math.abs(inputSpeed) * Math.PI / 30;
    double lost = given * (1 - efficiency) + (stalls ? volts * amperes : 0);
    warmth += (lost * KELVIN_PER_WATT - warmth) * STEP / WARMING;
    double sound = QUIET + 12 * Math.log10(1 + 2 * given) + 6 * damage + (jumped ? 8 : 0);
    return new RigReading(
        time,
        Math.round(Math.floor(input * settings.inputCounts())),
        Math.round(Math.floor(output * settings.outputCounts()) - missed),
        noisy(carried),
        noisy(amperes),
        volts,
        AMBIENT + warmth + 0.05 * random.nextGaussian(),
        sound + 0.3 * random.nextGaussian());
  }

  private double noisy(double value) {
    return value * (1 + settings.noise() * random.nextGaussian());
  }

  /** Wears, and gives way once it has borne too much for a moment. */
  private void wear(double torque, double moved) {
    double share = torque / strength;
    if (share > WEARS_FROM && moved != 0) {
      damage += STEP * 0.25 * Math.pow((share - WEARS_FROM) / (1 - WEARS_FROM), 2);
    }
    overloaded = share >= 1 && !broken ? overloaded + STEP : 0;
    if (overloaded >= GIVES_WAY_AFTER) {
      damage += 0.2;
      if (jumps && !broken) {
        jumped = true;
        overloaded = 0;
        slipped += Math.signum(moved / reduction) / last.count();
      } else {
        broken = true;
      }
    }
  }

  /** The output goes where the input pushes it, less what slips, on the side that is loaded. */
  private void follow(double load, double moved) {
    if (build.fault() == RigSettings.Fault.SLIPPING && random.nextDouble() < STEP) {
      slipping = 0.01 + 0.06 * random.nextDouble();
    }
    double turned = moved / reduction;
    slipped += turned * slipping;
    if (broken) {
      return;
    }
    double half = play * (1 + damage) / MINUTES_PER_TURN / 2;
    double middle = input / reduction - slipped;
    double way = Math.signum(wantedSpeed == 0 ? reduction : wantedSpeed / reduction);
    double before = output;
    output =
        load > 0
            ? middle - way * half
            : load < 0 ? middle + way * half : Math.clamp(output, middle - half, middle + half);
    if (build.fault() == RigSettings.Fault.MISSED_COUNTS) {
      missed += (output - before) * settings.outputCounts() * MISSES * 2 * random.nextDouble();
    }
  }
}
