package org.opentrellis.bench;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;
import java.util.function.ToLongFunction;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import org.opentrellis.core.dryrun.ChainTally;
import org.opentrellis.core.dryrun.DayTally;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.dryrun.EmailTally;
import org.opentrellis.core.dryrun.JourneyTally;
import org.opentrellis.core.dryrun.MoneyTally;
import org.opentrellis.core.dryrun.PathTally;
import org.opentrellis.core.dryrun.SendCalendar;
import org.opentrellis.core.dryrun.StepTally;
import org.opentrellis.core.dryrun.Tallies;
import org.opentrellis.core.machine.LeaveReason;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.machine.Witness;

/** This project's engine, and what it counts in the order of a {@link Ledger}. */
final class Engine {
  private Engine() {}

  static Tallies run(int people, long seed, int threads) {
    return of(people, seed).run(threads);
  }

  private static DryRun of(int people, long seed) {
    return Reference.run(Reference.w6(), people, seed);
  }

  static Counts counts(int people, long seed) {
    Tallies tallies = run(people, seed, 1);
    JourneyTally tally = tallies.journey();
    Map<String, long[]> all = new LinkedHashMap<>();
    all.put("entered by day", ofSteps(tally, StepTally::byDay));
    all.put("entered by quarter of the day", ofSteps(tally, StepTally::byQuarter));
    all.put("entered by time since entry", ofSteps(tally, step -> step.sinceEntry().counts()));
    all.put("standing by day", ofSteps(tally, StepTally::standingByDay));
    all.put("opened", ofEmails(tally, EmailTally::openedByPeople));
    all.put("clicked", ofEmails(tally, EmailTally::clicked));
    all.put("clicked by link", byLink(tally));
    all.put("ordered", ofEmails(tally, EmailTally::buyers));
    all.put("unsubscribed", ofEmails(tally, EmailTally::unsubscribed));
    all.put("emails by hour", byHour(tallies.emails()));
    all.put("emails by day since entry", tally.days().emails());
    all.put("time to the goal", tally.goalTimes().counts());
    all.put("ended by day", ends(tally.days()));
    all.put("ways", ways(tally, of(people, seed)));
    all.put("emails of a visit", tally.sentPerVisit());
    all.put("most emails in a week", tallies.mostInAWeek());
    all.put("opened one of two tries", tries(tally, ChainTally::openedAnyByPeople));
    all.put("clicked in one of two tries", tries(tally, ChainTally::clickedAny));
    MoneyTally money = tally.money();
    all.put("bought", new long[] {money.buyers()});
    return new Counts(
        all,
        Map.of(
            "orders", Sums.of(money.orders(), money.ordersSquared()),
            "cents", Sums.of(money.cents(), money.centsSquared()),
            "emails", Sums.of(money.emails(), money.emailsSquared()),
            "revenue", Sums.of(LongStream.of(ofEmails(tally, EmailTally::revenueCents)).sum())));
  }

  private static long[] byLink(JourneyTally tally) {
    return tally.sends().stream().flatMapToLong(email -> Arrays.stream(email.byLink(0))).toArray();
  }

  private static long[] tries(JourneyTally tally, ToLongFunction<ChainTally> count) {
    return tally.chains().stream().mapToLong(count).toArray();
  }

  private static long[] ofSteps(JourneyTally tally, Function<StepTally, long[]> counts) {
    return tally.steps().stream().map(counts).flatMapToLong(Arrays::stream).toArray();
  }

  private static long[] ofEmails(JourneyTally tally, ToLongFunction<EmailTally> count) {
    return tally.sends().stream().mapToLong(count).toArray();
  }

  private static long[] byHour(SendCalendar emails) {
    return IntStream.range(0, emails.days() * 24)
        .mapToLong(hour -> emails.at(hour / 24, hour % 24))
        .toArray();
  }

  private static long[] ends(DayTally days) {
    return LongStream.concat(
            Arrays.stream(days.finished()),
            LongStream.concat(
                Arrays.stream(days.left(LeaveReason.GOAL_MET)),
                Arrays.stream(days.left(LeaveReason.UNSUBSCRIBED))))
        .toArray();
  }

  private static long[] ways(JourneyTally tally, DryRun run) {
    long[] ways = new long[Ledger.WAYS_IN_ALL];
    for (PathTally path : tally.paths().kept()) {
      Way way = new Way();
      run.follow(path.firstPerson(), way);
      ways[way.number] += path.count();
    }
    return ways;
  }

  /** Follows one person along their way. */
  private static final class Way implements Witness {
    private final int[] turns = {Ledger.NO_WAY, Ledger.NO_WAY};
    private int number;

    @Override
    public void took(int step, int way, Visit visit) {
      turns[step == Reference.OPENED_FIRST ? 0 : 1] = way + 1;
    }

    @Override
    public void left(int step, LeaveReason reason, Visit visit) {
      ends(reason == LeaveReason.GOAL_MET ? Ledger.End.GOAL_MET : Ledger.End.UNSUBSCRIBED, step);
    }

    @Override
    public void finished(int step, Visit visit) {
      ends(Ledger.End.FINISHED, step);
    }

    private void ends(Ledger.End how, int step) {
      number = Ledger.wayOf(how, step, turns[0], turns[1]);
    }
  }
}
