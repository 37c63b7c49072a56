package org.opentrellis.torture;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.atomic.AtomicLong;

/** What has been counted so far. Safe for many threads. */
public final class Score {
  private static final int TOLD = 40;
  private static final int LATE_MILLIS = 5_000;

  private final AtomicLong acknowledged = new AtomicLong();
  private final AtomicLong lost = new AtomicLong();
  private final AtomicLong starts = new AtomicLong();
  private final AtomicLong refusedStarts = new AtomicLong();
  private final AtomicLong requests = new AtomicLong();
  private final AtomicLong faults = new AtomicLong();
  private final List<String> told = Collections.synchronizedList(new ArrayList<>());

  /** Something was answered as done. */
  void acknowledge() {
    acknowledged.incrementAndGet();
  }

  void lose(String what) {
    lost.incrementAndGet();
    tell("lost: " + what);
  }

  void start(boolean ready, String what) {
    starts.incrementAndGet();
    if (!ready) {
      refusedStarts.incrementAndGet();
      tell("did not start: " + what);
    }
  }

  /** A request was answered: that must never be as our fault. */
  void answered(int status, String request) {
    requests.incrementAndGet();
    if (status >= 500) {
      faults.incrementAndGet();
      tell("answered " + status + ": " + request);
    }
  }

  /** The same of one that is alone: it must not take longer than five seconds either. */
  void answeredInTime(int status, long millis, String request) {
    answered(status, request);
    if (status < 500 && millis > LATE_MILLIS) {
      faults.incrementAndGet();
      tell("took " + millis + " ms: " + request);
    }
  }

  private void tell(String what) {
    if (told.size() < TOLD) {
      told.add(what);
    }
  }

  /** What went wrong, the first few. */
  public List<String> told() {
    return List.copyOf(told);
  }

  public boolean isClean() {
    return lost.get() + refusedStarts.get() + faults.get() == 0;
  }

  /** How much was tried. */
  public long tried() {
    return acknowledged.get() + starts.get() + requests.get();
  }

  /** The closing line. */
  @Override
  public String toString() {
    return "lost: %d of %d acknowledged, refused to start: %d of %d, answered 5xx: %d of %d"
        .formatted(
            lost.get(),
            acknowledged.get(),
            refusedStarts.get(),
            starts.get(),
            faults.get(),
            requests.get());
  }
}
