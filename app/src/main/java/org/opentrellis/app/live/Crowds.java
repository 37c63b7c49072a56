package org.opentrellis.app.live;

import java.time.Duration;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.SplittableRandom;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.journeys.KeptJourney;
import org.opentrellis.app.people.Guests;
import org.opentrellis.core.behaviour.ArrivalPlan;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.crowd.Rehearsal;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.dryrun.DryRun;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.live.Editions;
import org.opentrellis.core.live.Life;
import org.opentrellis.core.machine.PersonState;
import org.opentrellis.core.machine.World;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Lets simulated people come into journeys that run: those whom a dry run of them draws. They are
 * added at once, and act while the clock goes on.
 */
@Service
@Transactional
public class Crowds {
  private static final int MOST = 5_000;
  private static final int HORIZON_DAYS = 400;

  private final OpenJourneys open;
  private final Journeys journeys;
  private final Guests guests;
  private final GuestMapper mapper;
  private final LifeMapper lives;
  private final MailLeaves mail;
  private final AccountClock clock;

  Crowds(
      OpenJourneys open,
      Journeys journeys,
      Guests guests,
      GuestMapper mapper,
      LifeMapper lives,
      MailLeaves mail,
      AccountClock clock) {
    this.open = open;
    this.journeys = journeys;
    this.guests = guests;
    this.mapper = mapper;
    this.lives = lives;
    this.mail = mail;
    this.clock = clock;
  }

  /**
   * Who is to come.
   *
   * @param journeys numbers of open ones
   * @param people how many, 1 to 5,000
   * @param days over how many days they come, from tomorrow on
   * @param seed of all draws: the same seed gives the same people
   */
  public record CrowdOrder(List<Long> journeys, int people, int days, long seed) {}

  /**
   * A crowd that comes.
   *
   * @param from the first moment at which one of them comes, in epoch seconds
   */
  public record CrowdView(int crowd, int people, long from) {}

  /**
   * @throws ProblemsFound if a journey is not open, or a number is out of range
   */
  public CrowdView come(CrowdOrder order) {
    return come(order, run(order, HORIZON_DAYS));
  }

  private void check(CrowdOrder order) {
    mail.refuse("simulated people cannot come");
    if (order.people() < 1 || order.people() > MOST) {
      throw refused("/people", "A crowd has 1 to %,d people.".formatted(MOST));
    }
    Set<Long> open = new HashSet<>();
    this.open.entrances().forEach(one -> open.add(one.journey()));
    if (order.journeys().isEmpty() || !open.containsAll(order.journeys())) {
      throw refused("/journeys", "Choose one or more journeys that are open.");
    }
  }

  /** Those of a dry run. */
  CrowdView come(CrowdOrder order, DryRun run) {
    int crowd = mapper.crowds() + 1;
    long first = Long.MAX_VALUE;
    SplittableRandom random = new SplittableRandom(order.seed());
    for (int n = 0; n < order.people(); n++) {
      Rehearsal rehearsal = Rehearsal.of(run, n);
      add(rehearsal, crowd, n, random);
      first =
          Math.min(
              first,
              rehearsal.acts().stream().mapToLong(Happening::at).min().orElse(Long.MAX_VALUE));
    }
    return new CrowdView(crowd, order.people(), first == Long.MAX_VALUE ? clock.now() : first);
  }

  /** The dry run whose people come. */
  DryRun run(CrowdOrder order, int horizonDays) {
    check(order);
    try {
      Editions editions = open.current();
      World world = editions.world(editions.newest());
      List<Journey> plans = new ArrayList<>();
      List<Behaviour> behaviours = new ArrayList<>();
      for (long id : order.journeys()) {
        plans.add(world.current(LiveNames.of(id)).orElseThrow().journey());
        KeptJourney kept = journeys.find(id);
        behaviours.add(kept.behaviour());
      }
      CohortSettings settings =
          new CohortSettings(
              order.people(),
              order.seed(),
              clock.instant().truncatedTo(ChronoUnit.DAYS).plus(Duration.ofDays(2)),
              horizonDays,
              new ArrivalPlan.Evenly(order.days()),
              0);
      return new DryRun(plans, world.catalogue(), behaviours, settings);
    } catch (Refused refused) {
      throw ProblemsFound.refused("/days", refused);
    }
  }

  private void add(Rehearsal rehearsal, int crowd, int n, SplittableRandom random) {
    PersonState is = rehearsal.begun();
    String first = Guests.FIRST_NAMES.get(random.nextInt(Guests.FIRST_NAMES.size()));
    String last = Guests.LAST_NAMES.get(random.nextInt(Guests.LAST_NAMES.size()));
    String address = "%s.%d.%d@crowd.test".formatted(first.toLowerCase(), crowd, n + 1);
    long id = guests.add(address, first, last, is, clock.now());
    mapper.insert(id, crowd);
    int edition = open.current().newest();
    String standing = LifeRow.written(new Life(edition, is));
    lives.insert(
        new LifeRow(
            id,
            random.nextLong(),
            standing,
            edition,
            standing,
            edition,
            0,
            is.coming().stream().map(PersonState.Coming::at).min(Long::compare).orElse(null)));
    List<GuestMapper.ActRow> acts =
        rehearsal.acts().stream()
            .map(
                act ->
                    new GuestMapper.ActRow(
                        id,
                        act.at(),
                        act instanceof Happening.Delivered || act instanceof Happening.Bounced,
                        Json.write(Documents.write(act))))
            .toList();
    if (!acts.isEmpty()) {
      mapper.insertActs(acts);
    }
    List<GuestMapper.LotRow> lots =
        rehearsal.lots().stream()
            .map(
                lot ->
                    new GuestMapper.LotRow(
                        id,
                        LiveNames.number(lot.journey()),
                        lot.visit(),
                        lot.step().value(),
                        lot.way()))
            .distinct()
            .toList();
    if (!lots.isEmpty()) {
      mapper.insertLots(lots);
    }
  }

  private static ProblemsFound refused(String place, String sentence) {
    return new ProblemsFound(List.of(new Problem("bad-value", place, sentence)));
  }
}
