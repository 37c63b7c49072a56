package org.opentrellis.app.live;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.opentrellis.app.RunningApplication;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.crowd.Rehearsal;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.journey.NameExchange;
import org.opentrellis.core.journey.Step;
import org.opentrellis.core.journey.StepId;
import org.opentrellis.core.testing.RandomJourneys;
import org.opentrellis.core.testing.RandomPeople;
import org.opentrellis.core.walk.Turn;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What runs does what the dry run of the same people said: each thing that happens to each of them,
 * at the same second and step, and so every count by step and day. The crowd comes through the
 * services that everybody comes through, while the clock is turned from thing to thing.
 */
@Tag("thorough")
@Order(1)
class LiveEqualsDryRunTest {
  @RegisterExtension static final RunningApplication APP = RunningApplication.withPeople(20);

  private static final long DAY = 24 * 3600;
  private static final int HORIZON = 60;

  /** More with {@code -Dlive.journeys=200}. */
  private static final int RANDOM = Integer.getInteger("live.journeys", 8);

  private final LiveWorkshop workshop = new LiveWorkshop(APP);

  @ParameterizedTest
  @ValueSource(
      strings = {
        "First frames",
        "Through the season",
        "Left on the bench",
        "Membership turns over"
      })
  void journeysOfAllPurposes(String name) {
    long id = number(name);
    APP.bean(TransactionTemplate.class)
        .executeWithoutResult(status -> APP.bean(OpenJourneys.class).open(id, true));
    goTheSameWay(List.of(id), 20, 11);
  }

  @Test
  void twoJourneysThatHandPeopleOver() {
    Journeys journeys = APP.bean(Journeys.class);
    Behaviour behaviour = RandomJourneys.behaviour(3);
    long second = open("Behind", RandomJourneys.journey(31, 10), behaviour);
    Journey plan = RandomJourneys.journey(30, 10);
    List<Step> body = new ArrayList<>(plan.body());
    body.add(new Step.HandOver(new StepId("over"), LiveNames.of(second), true));
    long first = open("In front", plan.withBody(body), behaviour);
    assertThat(journeys.names()).extracting(Journeys.Named::id).contains(first, second);
    goTheSameWay(List.of(first, second), 20, 5);
  }

  @Test
  void randomJourneys() {
    int turns = 0;
    for (int seed = 0; seed < RANDOM; seed++) {
      long id =
          open(
              "Random " + seed,
              RandomJourneys.journey(seed, 1 + seed % 25),
              RandomJourneys.behaviour(seed));
      turns += goTheSameWay(List.of(id), 2, seed);
    }
    assertThat(turns).isGreaterThan(8 * RANDOM);
    workshop.auditIsClean();
  }

  private static long number(String name) {
    return APP.bean(Journeys.class).names().stream()
        .filter(one -> one.name().equals(name))
        .findFirst()
        .orElseThrow()
        .id();
  }

  /** Opens a plan that no user could have saved here, since its messages are not in the library. */
  private static long open(String name, Journey plan, Behaviour behaviour) {
    return APP.bean(TransactionTemplate.class)
        .execute(
            status -> {
              RegisteredNames names = APP.bean(RegisteredNames.class);
              RandomPeople.PRODUCTS.forEach(names::number);
              long id =
                  APP.bean(Journeys.class)
                      .add(plan.withBody(List.of()).edit().name(name).done(), behaviour, null);
              JourneyName called = LiveNames.of(id);
              Journey running =
                  new NameExchange(plan.journeyName(), called)
                      .in(plan)
                      .edit()
                      .name(called.value())
                      .done();
              APP.bean(OpenJourneys.class).open(id, running, 1, RandomJourneys.CATALOGUE, true);
              return id;
            });
  }

  /** How many things happened. */
  private int goTheSameWay(List<Long> journeys, int people, long seed) {
    Crowds crowds = APP.bean(Crowds.class);
    CrowdOrder order = new CrowdOrder(journeys, people, 3, seed);
    DryRun run = crowds.run(order, HORIZON);
    Crowds.CrowdView crowd = crowds.come(order, run);
    long last = 0;
    for (int n = 0; n < people; n++) {
      for (Turn turn : Rehearsal.of(run, n).turns()) {
        last = Math.max(last, turn.at());
      }
    }
    if (last > 0) {
      workshop.turnTo(last + DAY);
    }
    APP.bean(TransactionTemplate.class)
        .executeWithoutResult(
            status -> journeys.forEach(id -> APP.bean(OpenJourneys.class).stop(id)));

    List<Long> guests = APP.bean(GuestMapper.class).of(crowd.crowd());
    assertThat(guests).hasSize(people);
    int all = 0;
    for (int n = 0; n < people; n++) {
      Rehearsal rehearsal = Rehearsal.of(run, n);
      long end = rehearsal.turns().stream().mapToLong(Turn::at).max().orElse(0);
      List<String> said = SaidAndDone.said(run, rehearsal.turns());
      assertThat(SaidAndDone.done(APP, guests.get(n), end))
          .as("person %d of seed %d through %s", n, seed, journeys)
          .isEqualTo(said);
      all += said.size();
    }
    return all;
  }
}
