package org.opentrellis.cli;

import java.io.PrintWriter;
import java.time.Duration;
import java.util.concurrent.atomic.AtomicLong;
import org.opentrellis.core.dryrun.RunControl;
import org.opentrellis.core.sentence.HowLong;

/** Says from time to time how many people are through, once it takes longer. */
final class PeopleThrough implements RunControl {
  private static final long EVERY_NANOS = Duration.ofSeconds(3).toNanos();
  private static final double NANOS = 1e9;

  private final PrintWriter to;
  private final long people;
  private final AtomicLong through = new AtomicLong();
  private final long begun = System.nanoTime();
  private long toldAt = begun;

  PeopleThrough(PrintWriter to, long people) {
    this.to = to;
    this.people = people;
  }

  @Override
  public void reached(int more) {
    long now = through.addAndGet(more);
    if (System.nanoTime() - toldAt > EVERY_NANOS) {
      tell(now);
    }
  }

  private synchronized void tell(long now) {
    long time = System.nanoTime();
    if (time - toldAt > EVERY_NANOS && now > 0 && now < people) {
      toldAt = time;
      double left = (time - begun) / NANOS * (people - now) / now;
      to.printf("%,d of %,d people, %s to go%n", now, people, HowLong.about(left));
    }
  }
}
