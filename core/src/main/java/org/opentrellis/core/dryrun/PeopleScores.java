package org.opentrellis.core.dryrun;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.machine.Witness;

/**
 * What each person of a cohort brought and cost in one journey, person by person, so that two runs
 * of the same people can be compared one by one. People who are held out entered nothing.
 */
public final class PeopleScores {
  /** What is counted of each person, over all their visits. */
  public enum Count {
    ENTERED,
    GOAL_MET,
    EMAILS,
    UNSUBSCRIBED,
    ORDERS,
    CENTS
  }

  private static final Count[] COUNTS = Count.values();

  private final long[][] of;
  private final long[] emailsByMonth;
  private final int[] monthOfDay;
  private int mostInAWeek;

  private PeopleScores(CohortSettings settings) {
    of = new long[COUNTS.length][settings.people()];
    int days = settings.arrivalDays() + settings.horizonDays() + 2;
    LocalDate start = settings.startDay();
    monthOfDay = IntStream.range(0, days).map(day -> months(start, start.plusDays(day))).toArray();
    emailsByMonth = new long[1 + monthOfDay[days - 1]];
  }

  /**
   * @param journey which of the run's
   * @throws RunCancelled if the control says so
   */
  public static PeopleScores of(DryRun run, int journey, RunControl control) {
    PeopleScores scores = new PeopleScores(run.settings());
    PeopleRunner lives = run.lives(Witness.NOBODY);
    long zero = run.settings().start().getEpochSecond();
    Chunks.run(
        run.settings().people(),
        new Effort(1, control),
        () ->
            number -> {
              Person person = lives.unlessHeldOut(number, run.settings().holdOut());
              if (person != null) {
                scores.note(person, journey, number, zero);
              }
            });
    return scores;
  }

  private void note(Person person, int journey, int number, long zero) {
    long end = person.endsAt();
    mostInAWeek = Math.max(mostInAWeek, person.mostEmailsInAWeek());
    for (int n = 0; n < person.visitCount(); n++) {
      Visit visit = person.visit(n);
      if (visit.program().number() == journey) {
        add(Count.ENTERED, number, 1);
        add(Count.GOAL_MET, number, visit.goalMetAt(end) <= end ? 1 : 0);
        add(Count.EMAILS, number, visit.emails());
        add(Count.UNSUBSCRIBED, number, person.unsubscribesAt() <= end ? 1 : 0);
        bought(visit, number, end);
        sent(visit, zero);
      }
    }
  }

  private void bought(Visit visit, int number, long end) {
    var bought = visit.person().purchases();
    for (int n = 0; n < bought.size() && bought.at(n) <= end; n++) {
      if (bought.at(n) > visit.entryAt()) {
        add(Count.ORDERS, number, 1);
        add(Count.CENTS, number, bought.cents(n));
      }
    }
  }

  private void sent(Visit visit, long zero) {
    for (int n = 0; n < visit.sends(); n++) {
      if (!visit.program().isText(visit.sentInOrder(n).send())) {
        long day = Math.floorDiv(visit.sentInOrder(n).at() - zero, (long) ZoneClock.DAY);
        emailsByMonth[monthOfDay[(int) Math.clamp(day, 0, monthOfDay.length - 1)]]++;
      }
    }
  }

  private static int months(LocalDate first, LocalDate day) {
    return (day.getYear() - first.getYear()) * 12 + day.getMonthValue() - first.getMonthValue();
  }

  private void add(Count count, int person, long more) {
    of[count.ordinal()][person] += more;
  }

  /** The number of each person, in order. */
  public long[] of(Count count) {
    return of[count.ordinal()];
  }

  /** Over all people. */
  public long sum(Count count) {
    return Arrays.stream(of(count)).sum();
  }

  /** The most emails that anybody got within seven days, from all journeys of the run. */
  public int mostInAWeek() {
    return mostInAWeek;
  }

  /** Emails of the calendar month with the most, by universal time. */
  public long emailsInBusiestMonth() {
    return LongStream.of(emailsByMonth).max().orElse(0);
  }
}
