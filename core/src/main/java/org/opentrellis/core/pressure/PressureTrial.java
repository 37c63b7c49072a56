package org.opentrellis.core.pressure;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.opentrellis.core.behaviour.ArrivalPlan;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.Effort;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.Pressure;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Sent;
import org.opentrellis.core.machine.SkipReason;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.machine.Witness;
import org.opentrellis.core.stats.Pairs;

/**
 * The same simulated people go through all journeys together, once with nothing too much and once
 * under a pressure.
 *
 * @param people how many
 * @param tooMuch how many get more emails in some week than the pressure allows, without it
 * @param emailsWithout all emails that go out without it
 * @param emailsWith and with it
 * @param waited emails that had to wait for something: room, a window, a guard
 * @param waitedWithout the same without it
 * @param leftOut emails that were left out for want of room
 * @param stillWait emails that still wait at the end
 * @param goals of those with a goal: who met one in the first, without it, and in the second, with
 *     it
 * @param unsubscribed the same of those who unsubscribed
 */
public record PressureTrial(
    int people,
    long tooMuch,
    long emailsWithout,
    long emailsWith,
    long waited,
    long waitedWithout,
    long leftOut,
    long stillWait,
    Pairs goals,
    Pairs unsubscribed) {
  /** Everybody comes to each journey within so many days. */
  public static final int COMES_WITHIN = 28;

  private static final int DAYS = 60;

  /**
   * Emails that do not go out, are not left out and do not wait: whoever was to get them has left
   * meanwhile.
   */
  public long nobodyThere() {
    return emailsWithout - emailsWith - leftOut - stillWait;
  }

  /**
   * @param journeys at least one, no two of one name
   * @param behaviours by journey
   * @param people how many are taken through
   */
  public static PressureTrial of(
      List<Journey> journeys,
      Catalogue catalogue,
      List<Behaviour> behaviours,
      Pressure pressure,
      int people,
      Instant start,
      Effort effort) {
    CohortSettings cohort =
        new CohortSettings(people, 1, start, DAYS, new ArrivalPlan.Evenly(COMES_WITHIN), 0);
    DryRun without = new DryRun(journeys, catalogue.under(Optional.empty()), behaviours, cohort);
    DryRun with = new DryRun(journeys, catalogue.under(Optional.of(pressure)), behaviours, cohort);
    Counted one = new Counted();
    Counted other = new Counted();
    long tooMuch = 0;
    long[] goals = new long[4];
    long[] unsubscribed = new long[4];
    for (int number = 0; number < people; number++) {
      effort.control().reached(1);
      Person free = without.follow(number, one);
      Person pressed = with.follow(number, other);
      tooMuch += free.mostEmailsInAWeek() > pressure.emailsPerWeek() ? 1 : 0;
      goals[both(metGoal(free), metGoal(pressed))]++;
      unsubscribed[both(hasUnsubscribed(free), hasUnsubscribed(pressed))]++;
    }
    return new PressureTrial(
        people,
        tooMuch,
        one.emails,
        other.emails,
        other.held,
        one.held,
        other.leftOut,
        other.waiting - one.waiting,
        pairs(goals),
        pairs(unsubscribed));
  }

  private static int both(boolean one, boolean other) {
    return (one ? 2 : 0) + (other ? 1 : 0);
  }

  private static Pairs pairs(long[] counts) {
    return new Pairs(counts[3], counts[2], counts[1], counts[0]);
  }

  private static boolean metGoal(Person person) {
    return person.visits().stream()
        .filter(visit -> visit.program().journey().goal().isPresent())
        .anyMatch(visit -> visit.goalMetAt(person.endsAt()) <= person.endsAt());
  }

  private static boolean hasUnsubscribed(Person person) {
    return person.unsubscribesAt() <= person.endsAt();
  }

  private static final class Counted implements Witness {
    private long emails;
    private long held;
    private long leftOut;
    private long waiting;

    @Override
    public void sent(int step, Sent message) {
      emails += message.text() ? 0 : 1;
    }

    @Override
    public void held(int step, long seconds, Visit visit) {
      held++;
    }

    @Override
    public void skipped(int step, SkipReason reason, Visit visit) {
      leftOut += reason == SkipReason.NO_ROOM ? 1 : 0;
    }

    @Override
    public void waiting(int step, Visit visit) {
      waiting += visit.program().steps().get(step) instanceof Step.SendEmail ? 1 : 0;
    }
  }
}
