package org.opentrellis.app.live;

import java.time.Instant;
import java.util.List;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.dryrun.CohortSettings;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.live.Edition;
import org.opentrellis.core.live.Editions;
import org.opentrellis.core.lived.LivedRun;
import org.opentrellis.core.machine.World;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.springframework.stereotype.Component;

/** Makes ready what people really went through in a journey, to be lived once more and counted. */
@Component
class LivedJourneys {
  private final OpenJourneys open;
  private final EditionMapper editions;
  private final HappeningMapper log;
  private final LoggedLives lives;
  private final Journeys journeys;
  private final ZoneClocks clocks;
  private final AccountClock clock;

  LivedJourneys(
      OpenJourneys open,
      EditionMapper editions,
      HappeningMapper log,
      LoggedLives lives,
      Journeys journeys,
      ZoneClocks clocks,
      AccountClock clock) {
    this.open = open;
    this.editions = editions;
    this.log = log;
    this.lives = lives;
    this.journeys = journeys;
    this.clocks = clocks;
    this.clock = clock;
  }

  /**
   * @throws ProblemsFound if nobody has come to it yet
   */
  LivedJourney of(long journey) {
    List<Long> people = log.cameTo(journey);
    long first = log.firstEntry(journey).orElse(0L);
    if (people.isEmpty() || first == 0) {
      throw new ProblemsFound(
          List.of(
              new Problem(
                  "nobody-yet",
                  "",
                  "Nobody has entered this journey yet, so there is nothing to tell.")));
    }
    Edition.Opened opened = (Edition.Opened) editions.opened(journey).orElseThrow().edition();
    Journey told = LiveNames.shown(opened.plan(), journeys.allNames());
    Editions all = open.current();
    long until = clock.now();
    Instant start = Instant.ofEpochSecond(Math.floorDiv(first, ZoneClock.DAY) * ZoneClock.DAY);
    long since = Math.floorDiv(until - start.getEpochSecond(), ZoneClock.DAY);
    int days = (int) Math.min(CohortSettings.LONGEST_HORIZON_DAYS, since + 1);
    LivedRun run =
        new LivedRun(
            all,
            LiveNames.of(journey),
            opened.version(),
            World.compile(List.of(told), opened.catalogue(), all.world(all.newest()).products()),
            number -> lives.of(people.get(number)),
            clocks.around(until),
            start,
            days,
            until);
    return new LivedJourney(
        journey,
        opened.version(),
        opened.plan(),
        told,
        opened.catalogue(),
        run,
        people.size(),
        first,
        start,
        days,
        until);
  }
}
