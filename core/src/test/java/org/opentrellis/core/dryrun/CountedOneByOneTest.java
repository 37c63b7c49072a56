package org.opentrellis.core.dryrun;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.opentrellis.core.behaviour.ArrivalPlan;
import org.opentrellis.core.behaviour.AudienceGroup;
import org.opentrellis.core.behaviour.Keenness;
import org.opentrellis.core.calendar.TimeUnit;
import org.opentrellis.core.machine.LeaveReason;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.Sent;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.machine.Witness;
import org.opentrellis.core.testing.Steps;

/**
 * A run counts in short cuts: steps that follow at once together, deliveries as what did not come
 * back, local times by a table. Here each person is followed alone and everything is counted as it
 * happens, with java.time; the figures must be the same.
 */
class CountedOneByOneTest {
  private static final Keenness OFTEN = new Keenness(0.3, 0.2);

  /** What happened to one journey's people, counted without any short cut. */
  private static final class Plain implements Witness {
    private final Program program;
    private final int horizonDays;
    private final long[] entered;
    private final long[] passed;
    private final long[][] byQuarter;
    private final long[][] byDay;
    private final long[][] standing;
    private final long[] sent;
    private final long[] delivered;
    private final long[] opened;
    private final long[] openedByPeople;
    private final long[] clicked;
    private final long[] cents;

    Plain(Program program, int horizonDays) {
      this.program = program;
      this.horizonDays = horizonDays;
      int steps = program.steps().size();
      int count = program.sends().size();
      entered = new long[steps];
      passed = new long[steps];
      byQuarter = new long[steps][96];
      byDay = new long[steps][horizonDays + 2];
      standing = new long[steps][horizonDays + 2];
      sent = new long[count];
      delivered = new long[count];
      opened = new long[count];
      openedByPeople = new long[count];
      clicked = new long[count];
      cents = new long[count];
    }

    @Override
    public void entered(int step, Visit visit) {
      if (visit.program() == program) {
        entered[step]++;
        ZonedDateTime now = local(visit.now(), visit);
        byQuarter[step][now.getHour() * 4 + now.getMinute() / 15]++;
        long day = ChronoUnit.DAYS.between(local(visit.entryAt(), visit).toLocalDate(), now);
        byDay[step][(int) Math.max(0, Math.min(day, byDay[step].length - 1L))]++;
      }
    }

    private static ZonedDateTime local(long moment, Visit visit) {
      return Instant.ofEpochSecond(moment).atZone(visit.clock().zone());
    }

    @Override
    public void passed(int step, Visit visit) {
      if (visit.program() == program) {
        passed[step]++;
        stood(step, visit, visit.now());
      }
    }

    @Override
    public void left(int step, LeaveReason reason, Visit visit) {
      stood(step, visit, visit.now());
    }

    @Override
    public void waiting(int step, Visit visit) {
      stood(step, visit, visit.entryAt() + (horizonDays + 1) * 86_400L);
    }

    private void stood(int step, Visit visit, long until) {
      for (int day = 0; visit.program() == program && day < standing[step].length; day++) {
        long then = visit.entryAt() + day * 86_400L;
        standing[step][day] += visit.steppedAt() <= then && then < until ? 1 : 0;
      }
    }

    void close(Person person) {
      long end = person.endsAt();
      for (Visit visit : person.visits()) {
        for (int n = 0; visit.program() == program && n < visit.sends(); n++) {
          Sent message = visit.sentInOrder(n);
          int send = message.send();
          sent[send]++;
          delivered[send] += message.deliveredAt() <= end ? 1 : 0;
          opened[send] += message.recordedOpenAt() <= end ? 1 : 0;
          openedByPeople[send] += message.peopleOpenAt() <= end ? 1 : 0;
          clicked[send] += message.clickAt() <= end ? 1 : 0;
          cents[send] += message.orderAt() <= end ? message.orderCents() : 0;
        }
      }
    }

    void isCountedBy(JourneyTally tally) {
      for (int step = 0; step < entered.length; step++) {
        StepTally of = tally.steps().get(step);
        assertThat(of.entered()).isEqualTo(entered[step]);
        assertThat(of.passed()).isEqualTo(passed[step]);
        assertThat(of.byQuarter()).isEqualTo(byQuarter[step]);
        assertThat(of.byDay()).isEqualTo(byDay[step]);
        assertThat(of.standingByDay()).isEqualTo(standing[step]);
      }
      assertThat(all(tally, EmailTally::sent)).isEqualTo(sent);
      assertThat(all(tally, EmailTally::delivered)).isEqualTo(delivered);
      assertThat(all(tally, EmailTally::opened)).isEqualTo(opened);
      assertThat(all(tally, EmailTally::openedByPeople)).isEqualTo(openedByPeople);
      assertThat(all(tally, EmailTally::clicked)).isEqualTo(clicked);
      assertThat(all(tally, EmailTally::revenueCents)).isEqualTo(cents);
    }

    private static long[] all(
        JourneyTally tally, java.util.function.ToLongFunction<EmailTally> count) {
      return tally.sends().stream().mapToLong(count).toArray();
    }
  }

  @ParameterizedTest(name = "run {0}")
  @MethodSource("org.opentrellis.core.dryrun.ConservationTest#seeds")
  void shortCutsCountTheSame(long seed) {
    countsTheSame(ConservationTest.dryRun(seed), ConservationTest.PEOPLE);
  }

  /** They come in the same hour, so many that some follow each other at the same second. */
  @Test
  void whoComesAtTheSameSecondFromElsewhereHasAnotherLocalTime() {
    int people = 100_000;
    AudienceGroup here = morning("Here", Steps.BERLIN, 10);
    AudienceGroup there = morning("Far away", ZoneId.of("Asia/Tokyo"), 17);
    CohortSettings cohort =
        new CohortSettings(
            people, 1, Instant.parse("2027-06-07T00:00:00Z"), 1, new ArrivalPlan.Evenly(1), 0);
    DryRun run =
        new DryRun(
            Steps.journey(Steps.tag("t", "new")),
            Steps.MESSAGES,
            Steps.onlyOpens(OFTEN).edit().groups(List.of(here, there)).done(),
            cohort);
    countsTheSame(run, people);
  }

  /** There a summer ended at one minute past midnight, back to the day before. */
  @Test
  void whoseClockGoesBackPastMidnightIsStillOnTheFirstDay() {
    int people = 50_000;
    CohortSettings cohort =
        new CohortSettings(
            people, 1, Instant.parse("2010-11-07T02:30:00Z"), 2, new ArrivalPlan.Evenly(1), 0);
    DryRun run =
        new DryRun(
            Steps.journey(Steps.pause("w", 2, TimeUnit.MINUTES), Steps.tag("t", "new")),
            Steps.MESSAGES,
            Steps.onlyOpens(OFTEN)
                .edit()
                .groups(List.of(group("All", 1, ZoneId.of("America/St_Johns"), 0, 24)))
                .done(),
            cohort);
    countsTheSame(run, people);
    assertThat(run.run(1).journey().steps().get(1).byQuarter()[92]).isPositive();
  }

  private static AudienceGroup morning(String name, ZoneId zone, int hour) {
    return group(name, 0.5, zone, hour, hour + 1);
  }

  private static AudienceGroup group(String name, double share, ZoneId zone, int from, int to) {
    AudienceGroup all = Steps.group(OFTEN, 0);
    return new AudienceGroup(
        name,
        share,
        OFTEN,
        zone,
        from,
        to,
        all.preloads(),
        all.hardBounce(),
        all.softBounce(),
        all.textConsent(),
        all.buysAnyway(),
        all.returnsToCart(),
        all.returnMeanHours(),
        all.comesAgain(),
        Set.of(),
        Set.of(),
        Map.of(),
        Map.of(),
        Map.of());
  }

  private static void countsTheSame(DryRun run, int people) {
    Tallies tallies = run.run(2);
    for (Program program : run.world().programs()) {
      Plain plain = new Plain(program, run.settings().horizonDays());
      for (int person = 0; person < people; person++) {
        if (!run.isHeldOut(person)) {
          plain.close(run.follow(person, plain));
        }
      }
      plain.isCountedBy(tallies.journeys().get(program.number()));
    }
  }
}
