package org.opentrellis.app.live;

import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.http.Incident;
import org.opentrellis.app.http.Refusal;
import org.opentrellis.app.storage.Quietly;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/** Turns the clock on when somebody asks for it; one turning at a time. */
@Service
public class ClockTurning implements DisposableBean {
  private static final Logger LOG = LoggerFactory.getLogger(ClockTurning.class);
  private static final long A_MOMENT_MILLIS = 1_500;
  private static final long FURTHEST = 10L * 366 * 24 * 3600;

  private final DueWork work;
  private final MailLeaves mail;
  private final AccountClock clock;
  private volatile @Nullable String failure;
  private volatile ClockView.@Nullable Turned last;

  /** A turning that has been asked for; it may have to wait for what is being done just now. */
  private volatile DueWork.@Nullable Turning asked;

  private final ExecutorService hand =
      Executors.newSingleThreadExecutor(Thread.ofPlatform().name("clock-", 0).factory());

  ClockTurning(DueWork work, MailLeaves mail, AccountClock clock) {
    this.work = work;
    this.mail = mail;
    this.clock = clock;
  }

  ClockView view() {
    long next = work.next();
    return new ClockView(
        clock.now(),
        clock.turnedOn(),
        next == Long.MAX_VALUE ? null : next,
        turning(),
        last,
        failure);
  }

  /**
   * Begins; a short turning is over when this returns.
   *
   * @throws ProblemsFound if it is not said how far, or the moment lies behind
   * @throws Refusal if it is being turned already
   */
  synchronized ClockView turn(ClockOrder order) {
    if (turning() != null) {
      throw new Refusal(HttpStatus.CONFLICT, "turning", "The clock is being turned already.", null);
    }
    mail.refuse("the clock cannot be turned");
    long to = to(order);
    failure = null;
    asked = new DueWork.Turning(clock.now(), to, 0, 0);
    Future<?> under = hand.submit(() -> carryOut(to));
    try {
      under.get(A_MOMENT_MILLIS, TimeUnit.MILLISECONDS);
    } catch (TimeoutException longer) {
      // it goes on
    } catch (InterruptedException stop) {
      Thread.currentThread().interrupt();
    } catch (ExecutionException impossible) {
      throw new IllegalStateException(impossible);
    }
    return view();
  }

  /** Turns it on to where the machine's clock is, and returns when it is there. */
  public void catchUp() {
    while (clock.turnedOn() < 0) {
      work.turnTo(clock.now() - clock.turnedOn());
    }
  }

  private DueWork.@Nullable Turning turning() {
    DueWork.Turning under = work.turning();
    return under == null ? asked : under;
  }

  private void carryOut(long to) {
    long begun = System.nanoTime();
    try {
      DueWork.Turning done = work.turnTo(to);
      last =
          new ClockView.Turned(
              clock.now() - done.from(),
              done.turns(),
              done.messages(),
              TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - begun));
    } catch (RuntimeException trouble) {
      LOG.warn("The clock could not be turned to {}.", to, trouble);
      failure = Incident.noted(trouble).sentence();
    } finally {
      asked = null;
    }
  }

  ClockView stop() {
    work.stop();
    return view();
  }

  private long to(ClockOrder order) {
    long now = clock.now();
    @Nullable Long to = order.to();
    if (Boolean.TRUE.equals(order.toNext())) {
      long next = work.next();
      if (next == Long.MAX_VALUE) {
        throw refused("/toNext", "Nothing is due: nobody waits for anything.");
      }
      to = Math.max(next, now);
    } else if (order.seconds() != null) {
      to = now + order.seconds();
    }
    if (to == null) {
      throw refused("", "Say how far the clock is to be turned.");
    }
    if (to < now) {
      throw refused("/to", "The clock only goes on, never back.");
    }
    if (to > now + FURTHEST) {
      throw refused("/to", "The clock can be turned on by ten years at most at a time.");
    }
    return to;
  }

  private static ProblemsFound refused(String place, String sentence) {
    return new ProblemsFound(List.of(new Problem("clock", place, sentence)));
  }

  @Override
  public void destroy() {
    work.stop();
    Quietly.end(hand);
  }
}
