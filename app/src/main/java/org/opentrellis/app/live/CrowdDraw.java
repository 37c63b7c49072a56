package org.opentrellis.app.live;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.core.behaviour.ArrivalPlan;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.live.Editions;
import org.opentrellis.core.machine.World;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Draws simulated people for journeys that run: those of a dry run of their plans. */
@Service
@Transactional(readOnly = true)
public class CrowdDraw {
  /** Those whom the journeys' assumptions know, by whatever brings them in. */
  static final Others AS_THEY_ARE = new Others(plan -> plan, behaviour -> behaviour);

  private static final int MOST = 5_000;

  private final OpenJourneys open;
  private final Journeys journeys;
  private final AccountClock clock;

  CrowdDraw(OpenJourneys open, Journeys journeys, AccountClock clock) {
    this.open = open;
    this.journeys = journeys;
    this.clock = clock;
  }

  /** What is otherwise with those who come. */
  public record Others(UnaryOperator<Journey> plan, UnaryOperator<Behaviour> behaviour) {}

  /**
   * A journey that people can enter.
   *
   * @param plan as it runs
   */
  public record OpenPlan(long journey, String name, Journey plan) {}

  /** The journeys that people can enter now. */
  public List<OpenPlan> open() {
    World world = world();
    Set<Long> rules = open.rules();
    return open.entrances().stream()
        .filter(one -> !rules.contains(one.journey()))
        .map(
            one ->
                new OpenPlan(
                    one.journey(),
                    open.nameOf(one.journey()),
                    world.current(one.name()).orElseThrow().journey()))
        .toList();
  }

  private World world() {
    Editions editions = open.current();
    return editions.world(editions.newest());
  }

  /**
   * @throws ProblemsFound if a journey is not open, or there would be too many people
   */
  private void check(CrowdOrder order) {
    if (order.people() < 1 || order.people() > MOST) {
      throw ProblemsFound.badValue("/people", "A crowd has 1 to %,d people.".formatted(MOST));
    }
    Set<Long> now =
        open.entrances().stream().map(OpenJourneys.Open::journey).collect(Collectors.toSet());
    if (order.journeys().isEmpty() || !now.containsAll(order.journeys())) {
      throw ProblemsFound.badValue("/journeys", "Choose one or more journeys that are open.");
    }
  }

  /**
   * The dry run whose people come.
   *
   * @param horizonDays for how long what they do is drawn
   * @throws ProblemsFound if a journey is not open, or a number is out of range
   */
  public DryRun of(CrowdOrder order, int horizonDays, Others others) {
    check(order);
    World world = world();
    List<Journey> plans = new ArrayList<>();
    List<Behaviour> behaviours = new ArrayList<>();
    for (long id : order.journeys()) {
      plans.add(others.plan().apply(world.current(LiveNames.of(id)).orElseThrow().journey()));
      behaviours.add(others.behaviour().apply(journeys.find(id).behaviour()));
    }
    Instant start = clock.instant().truncatedTo(ChronoUnit.DAYS).plus(Duration.ofDays(2));
    try {
      CohortSettings settings =
          new CohortSettings(
              order.people(), order.seed(), start, horizonDays, arrivals(order, start), 0);
      return new DryRun(plans, world.catalogue(), behaviours, settings);
    } catch (Refused refused) {
      throw ProblemsFound.refused("/days", refused);
    }
  }

  private static ArrivalPlan arrivals(CrowdOrder order, Instant start) {
    ArrivalPlan evenly = new ArrivalPlan.Evenly(order.days());
    if (order.pace() != CrowdOrder.ComingPace.MOST_AT_FIRST) {
      return evenly;
    }
    LocalDate first = LocalDate.ofInstant(start, ZoneOffset.UTC);
    return new ArrivalPlan.OnDates(
        IntStream.range(0, order.days())
            .mapToObj(day -> new ArrivalPlan.DatedShare(first.plusDays(day), 1.0 / (day + 1)))
            .toList());
  }
}
