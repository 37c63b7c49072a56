package org.opentrellis.core.dryrun;

import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.machine.LeaveReason;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.Sent;
import org.opentrellis.core.machine.SkipReason;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.machine.Witness;

/** Counts what happens in one journey into its tally, and what is sent into the run's calendars. */
final class JourneyCounter implements Witness {
  /** Any odd number without a pattern: what a path is told by must not depend on its turns' sum. */
  private static final long STIR = 0x9e3779b97f4a7c15L;

  private final JourneyTally tally;
  private final ArrivalTally arrivals;
  private final StepTally[] steps;
  private final EmailTally[] sends;
  private final long[] sentByVersion;
  private final DayTally days;
  private final SendCalendar emails;
  private final SendCalendar texts;
  private final int endOfDays;

  JourneyCounter(JourneyTally tally, SendCalendar emails, SendCalendar texts) {
    this.tally = tally;
    this.arrivals = tally.arrivals;
    this.steps = tally.steps;
    this.sends = tally.sends;
    this.sentByVersion = tally.sentByVersion;
    this.days = tally.days;
    this.emails = emails;
    this.texts = texts;
    this.endOfDays = tally.horizonDays() + 1;
  }

  @Override
  public void begins(Visit visit) {
    tally.entered++;
  }

  @Override
  public void turnedAway(Program from, boolean byFilter, long at) {
    tally.refused += byFilter ? 1 : 0;
    tally.turnedAway += byFilter ? 0 : 1;
  }

  @Override
  public void comesTo(Visit visit) {
    arrivals.comesTo(visit);
    stoodUpTo(Days.reached(visit.now() - visit.entryAt()), visit);
  }

  @Override
  public void entered(int step, Visit visit) {
    arrivals.accept(step);
  }

  @Override
  public void held(int step, long seconds, Visit visit) {
    steps[step].held++;
    steps[step].heldSeconds += seconds;
  }

  /** The calendar goes by the person's own time, also where the journey keeps another. */
  @Override
  public void sent(int step, Sent message) {
    Visit visit = message.visit();
    sentByVersion[message.version()]++;
    ZoneClock clock = visit.person().clock();
    long hour =
        visit.clock() == clock ? arrivals.hour() : Math.floorDiv(clock.local(visit.now()), 3600L);
    if (message.text()) {
      texts.accept(hour);
    } else {
      emails.accept(hour);
      days.email(visit.now() - visit.entryAt());
    }
  }

  @Override
  public void bounced(Sent message, long at) {
    sends[message.send()].bounced += isNews(message, message.bouncedAt(), at);
  }

  @Override
  public void openRecorded(Sent message, long at) {
    sends[message.send()].opened += isNews(message, message.recordedOpenAt(), at);
  }

  @Override
  public void opened(Sent message, long at) {
    sends[message.send()].openedByPeople += isNews(message, message.peopleOpenAt(), at);
  }

  /** A dry run's people click once. */
  @Override
  public void clicked(Sent message, int link, long at) {
    EmailTally of = sends[message.send()];
    int news = isNews(message, message.clickAt(), at);
    of.clicked += news;
    if (link >= 0) {
      of.byLink[message.variant()][link] += news;
    }
  }

  @Override
  public void ordered(Sent message, long cents, long at) {
    EmailTally of = sends[message.send()];
    int news = isNews(message, message.orderAt(), at);
    of.buyers += news;
    of.revenueCents += news * cents;
  }

  /** 1 if something happens while the person is looked at and was not known to; else 0. */
  private static int isNews(Sent message, long known, long at) {
    long end = message.visit().person().endsAt();
    return at <= end && known > end ? 1 : 0;
  }

  @Override
  public void skipped(int step, SkipReason reason, Visit visit) {
    steps[step].skipped[reason.ordinal()]++;
    note(visit, step, 900 + reason.ordinal());
  }

  @Override
  public void took(int step, int way, Visit visit) {
    steps[step].ways[way]++;
    note(visit, step, way);
  }

  @Override
  public void left(int step, LeaveReason reason, Visit visit) {
    arrivals.stops();
    steps[step].left[reason.ordinal()]++;
    tally.left[reason.ordinal()]++;
    days.leaves(reason, visit.now() - visit.entryAt());
    note(visit, step, 800 + reason.ordinal());
  }

  @Override
  public void finished(int step, Visit visit) {
    tally.finished++;
    days.finishes(visit.now() - visit.entryAt());
    if (step >= 0) {
      steps[step].finished++;
    }
  }

  @Override
  public void waiting(int step, Visit visit) {
    arrivals.stops();
    steps[step].waiting++;
    tally.waiting++;
    note(visit, step, 700);
    stoodUpTo(endOfDays, visit);
  }

  /** Nobody goes on but at a moment to which time comes, so until then they stand where they do. */
  private void stoodUpTo(int day, Visit visit) {
    if (day > visit.counted()) {
      steps[visit.node()].stay(visit.counted(), day);
      visit.counted(day);
    }
  }

  /** Adds a turn to what the visit's path is told by. */
  private static void note(Visit visit, int step, int turn) {
    visit.pathKey(turned(visit.pathKey(), step, turn));
  }

  /** What a path is told by, after one turn more. */
  static long turned(long pathKey, int step, int turn) {
    return (pathKey + step * 1024L + turn + 1) * STIR;
  }
}
