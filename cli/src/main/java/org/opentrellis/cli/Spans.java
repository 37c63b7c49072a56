package org.opentrellis.cli;

/** About how long something takes, in words. */
final class Spans {
  private static final int MINUTE = 60;
  private static final int HOUR = 3600;

  private Spans() {}

  static String of(double seconds) {
    if (seconds < 2 * MINUTE) {
      return "some %d s".formatted(Math.max(1, Math.round(seconds)));
    }
    return seconds < 2 * HOUR
        ? "some %d minutes".formatted(Math.round(seconds / MINUTE))
        : "some %d hours".formatted(Math.round(seconds / HOUR));
  }
}
