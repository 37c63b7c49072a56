package org.opentrellis.core.sentence;

/** Says about how long something takes. */
public final class HowLong {
  private static final int MINUTE = 60;
  private static final int HOUR = 3600;

  private HowLong() {}

  /** Such as "some 40 s", "some 3 minutes" or "some 5 hours". */
  public static String about(double seconds) {
    if (seconds < 2 * MINUTE) {
      return "some %d s".formatted(Math.max(1, Math.round(seconds)));
    }
    return seconds < 2 * HOUR
        ? "some %d minutes".formatted(Math.round(seconds / MINUTE))
        : "some %d hours".formatted(Math.round(seconds / HOUR));
  }
}
