package org.opentrellis.app.computing;

/**
 * Where a computation stands in line. Each lane has a queue and a thread of its own, so that what
 * is small never waits for what is large.
 */
public enum Lane {
  /** Some thousand people: estimates and previews, which somebody waits for while they edit. */
  QUICK,
  /** Runs of up to {@link #LARGE_FROM} people, and what takes as long. */
  USUAL,
  /** All beyond; it leaves a processor to whatever else is asked meanwhile. */
  LARGE;

  /** More people than this are many. */
  public static final int LARGE_FROM = 100_000;

  /** The lane of a run. */
  public static Lane ofRun(int people) {
    return people > LARGE_FROM ? LARGE : USUAL;
  }

  /** How many threads a computation in it may use on this machine. */
  public int threads() {
    return threads(Runtime.getRuntime().availableProcessors());
  }

  int threads(int processors) {
    return this == LARGE ? Math.max(1, processors - 1) : processors;
  }
}
