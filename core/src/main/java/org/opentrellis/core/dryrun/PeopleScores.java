package org.opentrellis.core.dryrun;

import java.io.InputStream;
import java.io.OutputStream;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
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
  private static final CountsForm FORM = new CountsForm(0x4f545453, 1, "scores of people");

  private final int first;
  private final long[][] of;
  private final long[] emailsByMonth;
  private final int[] monthOfDay;
  private int mostInAWeek;

  private PeopleScores(CohortSettings settings, int first, int end) {
    this.first = first;
    of = new long[COUNTS.length][end - first];
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
    return of(run, journey, 0, run.settings().people(), control);
  }

  /**
   * Of some of the people, to be {@link #joined} with the others.
   *
   * @param first the first of them
   * @param end the first behind them
   * @throws RunCancelled if the control says so
   */
  public static PeopleScores of(DryRun run, int journey, int first, int end, RunControl control) {
    PeopleScores scores = new PeopleScores(run.settings(), first, end);
    PeopleRunner lives = run.lives(Witness.NOBODY);
    long zero = run.settings().start().getEpochSecond();
    Chunks.run(
        first,
        end,
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

  /**
   * All of a run's people.
   *
   * @param parts of the same journey, in order of people
   */
  public static PeopleScores joined(DryRun run, List<PeopleScores> parts) {
    PeopleScores all = new PeopleScores(run.settings(), 0, run.settings().people());
    int end = 0;
    for (PeopleScores part : parts) {
      if (part.first != end) {
        throw new IllegalArgumentException("people are missing from " + end + " on");
      }
      for (Count count : COUNTS) {
        long[] some = part.of(count);
        System.arraycopy(some, 0, all.of(count), end, some.length);
      }
      Arrays.setAll(all.emailsByMonth, i -> all.emailsByMonth[i] + part.emailsByMonth[i]);
      all.mostInAWeek = Math.max(all.mostInAWeek, part.mostInAWeek);
      end += part.of[0].length;
    }
    if (end != run.settings().people()) {
      throw new IllegalArgumentException("people are missing from " + end + " on");
    }
    return all;
  }

  /**
   * As bytes, a few for each person.
   *
   * @throws java.io.UncheckedIOException if it cannot be written
   */
  public void write(OutputStream to) {
    FORM.write(this::counts, to);
  }

  /**
   * @param run the run whose people they are, from the first to the one before the end
   * @throws java.io.UncheckedIOException if it cannot be read, or is of another engine
   */
  public static PeopleScores read(DryRun run, int first, int end, InputStream from) {
    PeopleScores scores = new PeopleScores(run.settings(), first, end);
    FORM.read(scores::counts, from);
    return scores;
  }

  private void counts(Counts counts) {
    for (long[] one : of) {
      counts.of(one);
    }
    counts.of(emailsByMonth);
    mostInAWeek = (int) counts.of(mostInAWeek);
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
    of[count.ordinal()][person - first] += more;
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
