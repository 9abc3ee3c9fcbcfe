package steadycog.bench;

/** Something tried on a build. */
public sealed interface BenchTest permits TurnTest, LoadTest {
  TestHead head();

  /** The same under another head. */
  BenchTest headed(TestHead changed);
}
