package steadycog.bench.rig;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import steadycog.bench.BenchTest;

/** A test under way on a rig. It gets on only while it is {@linkplain #advance advanced}. */
public abstract class Run {
  /** Beyond this every other reading is dropped from what is kept. */
  private static final int MOST_KEPT = 400_000;

  final Rig rig;
  private final List<RigReading> readings = new ArrayList<>();
  private int every = 1;
  private long seen;
  private boolean stopped;

  Run(Rig rig) {
    this.rig = rig;
  }

  /** The test with what has been logged until now. */
  public abstract BenchTest test();

  /** What is being done, in a few words. */
  public abstract String doing();

  /** How much of it is done, 0 to 1. */
  public abstract double progress();

  /** Whether it has come to its end by itself. */
  abstract boolean finished();

  /** One more reading. */
  abstract void take(RigReading reading);

  public final boolean isOver() {
    return stopped || finished();
  }

  /** What was read, oldest first; thinned once it is very much. */
  public final List<RigReading> readings() {
    return Collections.unmodifiableList(readings);
  }

  /** Lets time go by on the rig, s. */
  public final void advance(double seconds) {
    double left = seconds;
    while (left > 0 && !isOver()) {
      double slice = Math.min(left, SimulatedRig.STEP);
      left -= slice;
      for (RigReading reading : rig.pass(slice)) {
        keep(reading);
        if (!isOver()) {
          take(reading);
        }
      }
    }
    if (finished()) {
      rig.stop();
    }
  }

  private void keep(RigReading reading) {
    if (seen++ % every == 0) {
      readings.add(reading);
    }
    if (readings.size() > MOST_KEPT) {
      List<RigReading> fewer = new ArrayList<>();
      for (int k = 0; k < readings.size(); k += 2) {
        fewer.add(readings.get(k));
      }
      readings.clear();
      readings.addAll(fewer);
      every *= 2;
    }
  }

  /** Emergency stop: motor and brake off at once; what was logged stays. */
  public final void stop() {
    rig.stop();
    if (!isOver()) {
      stopped = true;
      onStop();
    }
  }

  /** Whether it was stopped before its end. */
  public final boolean isStopped() {
    return stopped;
  }

  void onStop() {}
}
