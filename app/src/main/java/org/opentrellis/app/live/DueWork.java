package org.opentrellis.app.live;

import java.time.Instant;
import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicReference;
import java.util.concurrent.locks.ReentrantLock;
import java.util.stream.LongStream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.TrellisSettings;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.clock.ClockKeeper;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;

/**
 * Does what is due: every second, and along the way when the clock is turned on, in order of time.
 * Nothing is kept here that the database does not know, so it may be stopped after any moment.
 */
@Service
class DueWork {
  private static final Logger LOG = LoggerFactory.getLogger(DueWork.class);

  /** Turns of different people that lie so close together are taken in one transaction. */
  private static final long TOGETHER_SECONDS = 900;

  private final LifeMapper lives;
  private final OutboxMapper outbox;
  private final GuestMapper guests;
  private final PutOffMapper putOff;
  private final TurnBatch batch;
  private final Postman postman;
  private final Lookouts lookouts;
  private final OutsideWorld outside;
  private final List<Appointments> appointments;
  private final ClockKeeper keeper;
  private final AccountClock clock;
  private final TrellisSettings settings;
  private final ReentrantLock working = new ReentrantLock();
  private final AtomicBoolean stopped = new AtomicBoolean();
  private final AtomicReference<@Nullable Turning> turning = new AtomicReference<>();
  private volatile boolean ready;
  private volatile boolean troubled;

  DueWork(
      LifeMapper lives,
      OutboxMapper outbox,
      GuestMapper guests,
      PutOffMapper putOff,
      TurnBatch batch,
      Postman postman,
      Lookouts lookouts,
      OutsideWorld outside,
      List<Appointments> appointments,
      ClockKeeper keeper,
      AccountClock clock,
      TrellisSettings settings) {
    this.lives = lives;
    this.outbox = outbox;
    this.guests = guests;
    this.putOff = putOff;
    this.batch = batch;
    this.postman = postman;
    this.lookouts = lookouts;
    this.outside = outside;
    this.appointments = appointments;
    this.keeper = keeper;
    this.clock = clock;
    this.settings = settings;
  }

  /**
   * How far the clock has been turned.
   *
   * @param from in epoch seconds
   * @param to where it is turned to
   * @param turns taken so far
   * @param messages handed over so far
   */
  record Turning(long from, long to, long turns, long messages) {
    Turning and(Worked worked) {
      return new Turning(from, to, turns + worked.turns(), messages + worked.messages());
    }
  }

  private record Worked(long turns, long messages) {
    boolean nothing() {
      return turns == 0 && messages == 0;
    }
  }

  /** Mail that was under way when the application ended is tried again. */
  @EventListener(ApplicationReadyEvent.class)
  void begin() {
    if (settings.rests()) {
      return;
    }
    // On a disk that is full nothing is written at the start; it is looked at again later.
    troubled = outbox.underWay() > 0;
    if (troubled) {
      LOG.warn("Some messages may have gone out before the last end; they are sent again.");
    }
    ready = true;
  }

  @Scheduled(initialDelay = 1000, fixedDelay = 1000)
  void tick() {
    if (!ready || !working.tryLock()) {
      return;
    }
    try {
      handAgain();
      passTo(clock.now(), false);
    } catch (RuntimeException trouble) {
      troubled = true;
      LOG.warn("What is due waits: {}", trouble.getMessage(), trouble);
    } finally {
      working.unlock();
    }
  }

  /** After a trouble nobody knows whether what was under way went out. */
  private void handAgain() {
    if (troubled) {
      batch.tryAgain();
      troubled = false;
    }
  }

  /** How far it is, if the clock is being turned just now. */
  @Nullable Turning turning() {
    return turning.get();
  }

  /** Has the turning end after the moment that it is at. */
  void stop() {
    stopped.set(true);
  }

  /**
   * Turns the clock on, and does all that is due on the way.
   *
   * @param to in epoch seconds; nothing happens if it lies behind
   * @return what was done
   */
  Turning turnTo(long to) {
    working.lock();
    try {
      stopped.set(false);
      turning.set(new Turning(clock.now(), to, 0, 0));
      keeper.stand(clock.instant());
      handAgain();
      passTo(to, true);
      if (!stopped.get()) {
        keeper.stand(Instant.ofEpochSecond(to));
      }
      Turning done = turning.get();
      return done == null ? new Turning(to, to, 0, 0) : done;
    } catch (RuntimeException trouble) {
      troubled = true;
      throw trouble;
    } finally {
      keeper.goOn();
      turning.set(null);
      working.unlock();
    }
  }

  private long nextAppointment() {
    return appointments.stream().mapToLong(Appointments::next).min().orElse(Long.MAX_VALUE);
  }

  /** When the next thing is due, or {@link Long#MAX_VALUE}. */
  long next() {
    return LongStream.of(
            lives.next().orElse(Long.MAX_VALUE),
            outbox.next().orElse(Long.MAX_VALUE),
            guests.next().orElse(Long.MAX_VALUE),
            putOff.next().orElse(Long.MAX_VALUE),
            lookouts.next(),
            outside.next(),
            nextAppointment())
        .min()
        .orElse(Long.MAX_VALUE);
  }

  /** Once it is to stop, what belongs to the moments that have come is done to the end. */
  private void passTo(long to, boolean turn) {
    long come = Long.MIN_VALUE;
    for (long next = next(); next <= to && (!stopped.get() || next <= come); ) {
      if (next > come) {
        // Whoever acts from outside does so at their own moment, and what is decided for all is
        // decided before anybody goes on by it.
        long alone = Math.min(outside.next(), nextAppointment());
        come = Math.min(to, Math.min(next + TOGETHER_SECONDS, Math.max(next, alone - 1)));
        if (turn) {
          keeper.stand(Instant.ofEpochSecond(next));
          keeper.keep();
        }
      }
      Worked worked = workAt(next, come);
      if (turn) {
        turning.updateAndGet(so -> so == null ? null : so.and(worked));
      }
      long after = next();
      if (worked.nothing() && after <= next) {
        throw new IllegalStateException("what is due at " + next + " does not get done");
      }
      next = after;
    }
    postman.hangUp();
    if (turn && stopped.get()) {
      keeper.stand(Instant.ofEpochSecond(come));
    }
    if (!turn) {
      stopped.set(false);
    }
  }

  private Worked workAt(long from, long until) {
    long turns = outside.goOn(clock.now());
    for (Appointments of : appointments) {
      turns += of.keep(from);
    }
    lookouts.lookTo(from);
    long end = Math.min(until, lookouts.next() - 1);
    List<LifeMapper.Due> due = batch.due(Math.max(from, end));
    turns += batch.take(due);
    long messages = 0;
    int handed = postman.round(Math.max(from, end));
    while (handed > 0) {
      messages += handed;
      handed = postman.round(Math.max(from, end));
    }
    return new Worked(turns, messages);
  }
}
