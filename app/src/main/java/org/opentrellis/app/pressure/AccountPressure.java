package org.opentrellis.app.pressure;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.catalogue.Pressures;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.computing.ComputingRoom;
import org.opentrellis.app.computing.Lane;
import org.opentrellis.app.http.SaveLost;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.journeys.KeptJourney;
import org.opentrellis.app.news.NewsOnRhythm;
import org.opentrellis.app.newsletters.Newsletters;
import org.opentrellis.app.pressure.PressureView.Enough;
import org.opentrellis.app.pressure.PressureView.PressureOrder;
import org.opentrellis.app.pressure.PressureView.PressureTried;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.FrequencyGuard;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyState;
import org.opentrellis.core.journey.Pressure;
import org.opentrellis.core.newsletter.Newsletter;
import org.opentrellis.core.newsletter.NewsletterJourney;
import org.opentrellis.core.pressure.PressureTrial;
import org.opentrellis.core.pressure.PressureWords;
import org.opentrellis.core.problem.ProblemsFound;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The account's one setting of how much is enough, and a dry run of what it does. */
@Service
class AccountPressure {
  private static final int PEOPLE = 2_000;

  private static final long FOUR_WEEKS = 28 * 24 * 3600;

  private final Pressures pressures;
  private final Account account;
  private final Journeys journeys;
  private final Newsletters newsletters;
  private final NewsOnRhythm news;
  private final Catalogues catalogues;
  private final ComputingRoom room;
  private final AccountClock clock;

  AccountPressure(
      Pressures pressures,
      Account account,
      Journeys journeys,
      Newsletters newsletters,
      NewsOnRhythm news,
      Catalogues catalogues,
      ComputingRoom room,
      AccountClock clock) {
    this.pressures = pressures;
    this.account = account;
    this.journeys = journeys;
    this.newsletters = newsletters;
    this.news = news;
    this.catalogues = catalogues;
    this.room = room;
    this.clock = clock;
  }

  PressureView view() {
    return view(pressures.now());
  }

  private PressureView view(Pressures.Now now) {
    int enough = account.limits().emailsPerWeek();
    Pressure usual = new Pressure(enough, List.of(), FrequencyGuard.Then.HOLD);
    Pressure pressure = now.pressure().orElse(usual);
    return new PressureView(
        now.pressure().map(Pressure::emailsPerWeek).orElse(enough),
        now.pressure()
            .map(one -> one.then() == FrequencyGuard.Then.HOLD ? Enough.WAIT : Enough.LEAVE_OUT)
            .orElse(Enough.TELL),
        pressure.order(),
        now.pressure()
            .map(PressureWords::says)
            .orElse("Whoever gets too much is told on the calendar, and gets it all the same."),
        now.version());
  }

  /**
   * @throws ProblemsFound if a number is out of range
   * @throws SaveLost if somebody else has set it since
   */
  @Transactional
  PressureView set(PressureOrder order) {
    // First, since the account's number takes the other along.
    Pressures.Now now = pressures.set(pressure(order), order.version());
    account.enough(order.emailsPerWeek());
    return view(now);
  }

  private static Optional<Pressure> pressure(PressureOrder order) {
    Pressure pressure =
        ProblemsFound.within(
            "/emailsPerWeek",
            () ->
                new Pressure(
                    order.emailsPerWeek(),
                    order.order(),
                    order.then() == Enough.LEAVE_OUT
                        ? FrequencyGuard.Then.SKIP
                        : FrequencyGuard.Then.HOLD));
    return order.then() == Enough.TELL ? Optional.empty() : Optional.of(pressure);
  }

  private record Key(List<Journey> plans, List<Behaviour> behaviours, Pressure pressure) {}

  /**
   * Takes simulated people through all that is open and all newsletters that are to go, together.
   *
   * @throws ProblemsFound if nothing is open, or nothing is to be too much
   */
  CompletableFuture<PressureTried> trial(PressureOrder order) {
    Pressure pressure =
        pressure(order)
            .orElseThrow(
                () ->
                    ProblemsFound.badValue(
                        "/then",
                        "Say what becomes of what is too much: only then it costs anything."));
    List<Journey> plans = new ArrayList<>();
    List<Behaviour> behaviours = new ArrayList<>();
    for (Journeys.Named one : journeys.names()) {
      KeptJourney kept = journeys.find(one.id());
      if (kept.journey().state() == JourneyState.OPEN) {
        plans.add(kept.journey());
        behaviours.add(kept.behaviour());
      }
    }
    for (Newsletters.Coming one : newsletters.coming()) {
      plans.add(one.plan().edit().entryFilter(Optional.empty()).done());
      behaviours.add(journeys.usual());
    }
    for (NewsOnRhythm.Due one : news.upTo(clock.now() + FOUR_WEEKS)) {
      plans.add(issue(one));
      behaviours.add(journeys.usual());
    }
    if (plans.isEmpty()) {
      throw ProblemsFound.badValue("", "Nothing is open or planned, so nobody gets too much.");
    }
    Catalogue catalogue = catalogues.current();
    LocalDate today = LocalDate.ofInstant(clock.instant(), account.zone());
    return room.compute(
        new Key(plans, behaviours, pressure),
        Lane.USUAL,
        effort ->
            new PressureTried(
                plans.stream().map(Journey::name).toList(),
                PressureWords.says(
                    PressureTrial.of(
                        plans,
                        catalogue,
                        behaviours,
                        pressure,
                        PEOPLE,
                        today.atStartOfDay(ZoneOffset.UTC).toInstant(),
                        effort),
                    pressure)));
  }

  /** An issue as it goes to whoever comes, under a name of its own. */
  private Journey issue(NewsOnRhythm.Due due) {
    Newsletter letter = due.letter();
    LocalDate day = letter.going().orElseThrow().date();
    return NewsletterJourney.of(letter, account.zone(), 0)
        .edit()
        .name(letter.name() + ", " + day)
        .entryFilter(Optional.empty())
        .done();
  }
}
