package steadycog.cli;

/** What a command's exit code says. */
final class Exit {
  static final int DONE = 0;
  static final int DONE_WITH_ERRORS = 1;
  static final int NOT_READ = 2;

  private Exit() {}
}
