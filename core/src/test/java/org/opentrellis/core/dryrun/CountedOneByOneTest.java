package org.opentrellis.core.dryrun;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.core.behaviour.ArrivalPlan;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.Program;
import org.opentrellis.core.machine.Sent;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.machine.Witness;
import org.opentrellis.core.testing.RandomJourneys;

/**
 * A run counts in short cuts: steps that follow at once together, deliveries as what did not come
 * back, local times by a table. Here each person is followed alone and everything is counted as it
 * happens, with java.time; the figures must be the same. In run 78 two people come at the same
 * second from different zones.
 */
class CountedOneByOneTest {
  private static final int PEOPLE = 200;

  /** What happened to one journey's people, counted without any short cut. */
  private static final class Plain implements Witness {
    private final Program program;
    private final long[] entered;
    private final long[] passed;
    private final long[][] byQuarter;
    private final long[][] byDay;
    private final long[] sent;
    private final long[] delivered;
    private final long[] opened;
    private final long[] openedByPeople;
    private final long[] clicked;
    private final long[] cents;

    Plain(Program program, int horizonDays) {
      this.program = program;
      int steps = program.steps().size();
      int count = program.sends().size();
      entered = new long[steps];
      passed = new long[steps];
      byQuarter = new long[steps][96];
      byDay = new long[steps][horizonDays + 2];
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
        byDay[step][(int) Math.min(day, byDay[step].length - 1L)]++;
      }
    }

    private static ZonedDateTime local(long moment, Visit visit) {
      return Instant.ofEpochSecond(moment).atZone(visit.clock().zone());
    }

    @Override
    public void passed(int step, Visit visit) {
      if (visit.program() == program) {
        passed[step]++;
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

  private static DryRun run(long seed) {
    Journey journey = RandomJourneys.journey(seed, 1 + (int) (seed % 40));
    Journey other = RandomJourneys.journey(seed + 10_000, 12).edit().name("Another").done();
    Behaviour behaviour = RandomJourneys.behaviour(seed);
    CohortSettings cohort =
        new CohortSettings(
            PEOPLE,
            seed,
            Instant.parse("2027-03-22T00:00:00Z"),
            5 + (int) (seed % 60),
            new ArrivalPlan.Evenly(7),
            0);
    return new DryRun(
        List.of(journey, other), RandomJourneys.CATALOGUE, List.of(behaviour, behaviour), cohort);
  }

  @ParameterizedTest(name = "run {0}")
  @ValueSource(longs = {0, 3, 7, 12, 25, 39, 58, 78, 101, 119, 145, 158, 191, 219, 238, 259, 279})
  void shortCutsCountTheSame(long seed) {
    DryRun run = run(seed);
    Tallies tallies = run.run(2);
    long steps = 0;
    for (int journey = 0; journey < 2; journey++) {
      Plain plain = new Plain(run.world().programs().get(journey), run.settings().horizonDays());
      for (int person = 0; person < PEOPLE; person++) {
        plain.close(run.follow(person, plain));
      }
      plain.isCountedBy(tallies.journeys().get(journey));
      steps += Arrays.stream(plain.entered).sum();
    }
    assertThat(steps).isPositive();
  }
}
