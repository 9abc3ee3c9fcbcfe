package steadycog.cli;

import picocli.CommandLine.Option;

/** How a command prints: one of the two at most. */
final class Output {
  @Option(names = "--json", description = "print JSON")
  boolean json;

  @Option(names = "--csv", description = "print comma-separated values")
  boolean csv;

  boolean isText() {
    return !json && !csv;
  }
}
