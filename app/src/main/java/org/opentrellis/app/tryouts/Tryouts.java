package org.opentrellis.app.tryouts;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.firststeps.FirstSteps;
import org.opentrellis.app.http.Refusal;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.journeys.KeptJourney;
import org.opentrellis.app.names.ProductCard;
import org.opentrellis.app.names.RegisteredNames;
import org.opentrellis.core.calendar.ZoneClock;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.happening.Line;
import org.opentrellis.core.happening.MessageRef;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Channel;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.LinkName;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.Money;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.journey.ProductName;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.journey.Trigger;
import org.opentrellis.core.live.PersonalLots;
import org.opentrellis.core.live.Tryout;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.PersonState;
import org.opentrellis.core.machine.Standing;
import org.opentrellis.core.machine.World;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Tries journeys on whoever makes them: a test person goes through the draft by themselves. What is
 * kept is who they are and what they did; all else is lived again by the journey machine whenever
 * somebody looks, so there is nothing of it in anybody's figures, and nothing to be cleaned up.
 */
@Service
@Transactional
class Tryouts {
  private static final int MOST_ACTS = 500;
  private static final int DAYS_BEFORE = 40;
  private static final int CLOCK_DAYS = 1_200;
  private static final long A_MINUTE = 60;

  private final TryoutMapper mapper;
  private final Journeys journeys;
  private final Catalogues catalogues;
  private final RegisteredNames names;
  private final Account account;
  private final AccountClock clock;
  private final TryoutReading reading;
  private final FirstSteps firstSteps;

  Tryouts(
      TryoutMapper mapper,
      Journeys journeys,
      Catalogues catalogues,
      RegisteredNames names,
      Account account,
      AccountClock clock,
      TryoutReading reading,
      FirstSteps firstSteps) {
    this.mapper = mapper;
    this.journeys = journeys;
    this.catalogues = catalogues;
    this.names = names;
    this.account = account;
    this.clock = clock;
    this.reading = reading;
    this.firstSteps = firstSteps;
  }

  TryoutView view(long journey) {
    KeptJourney kept = journeys.find(journey);
    return mapper
        .find(journey)
        .map(row -> reading.view(kept, lived(row), row))
        .orElseGet(() -> reading.nobody(kept));
  }

  /**
   * Begins anew with somebody else; whoever tried it before is forgotten.
   *
   * @throws ProblemsFound if the journey cannot run as it is saved, or nobody can be like that
   */
  TryoutView begin(long journey, TryoutOrders.TryoutWho who) {
    KeptJourney kept = journeys.find(journey);
    requireNoErrors(kept);
    List<Trigger> triggers = kept.journey().triggers();
    if (who.trigger() < -1 || who.trigger() >= triggers.size()) {
      throw ProblemsFound.badValue("/trigger", "The journey has no trigger of that number.");
    }
    labels(who);
    long now = clock.now();
    Happening comes =
        Entering.by(
            who.trigger() < 0 ? Optional.empty() : Optional.of(triggers.get(who.trigger())),
            now,
            kept.journey().journeyName(),
            names.products());
    firstSteps.tried();
    mapper.delete(journey);
    mapper.insert(
        new TryoutRow(
            journey,
            kept.version(),
            Json.write(Documents.write(kept.journey())),
            Json.write(Documents.write(catalogues.current())),
            Json.write(who),
            now,
            now * 31 + journey,
            TryoutActs.written(List.of(new Tryout.Act(now, Optional.of(comes))))));
    return view(journey);
  }

  private void requireNoErrors(KeptJourney kept) {
    List<String> errors = journeys.errorsOfPlan(kept.id());
    if (!errors.isEmpty()) {
      throw new ProblemsFound(
          errors.stream()
              .map(one -> new Problem("cannot-run", "", "It cannot be tried yet: " + one))
              .toList());
    }
  }

  /**
   * Does something and tells what comes of it.
   *
   * @throws ProblemsFound if it cannot be done
   */
  TryoutView act(long journey, TryoutOrders.TryoutAct act) {
    TryoutRow row =
        mapper
            .find(journey)
            .orElseThrow(
                () ->
                    ProblemsFound.badValue("", "Nobody tries this journey just now: begin anew."));
    List<Tryout.Act> acts = TryoutActs.read(row.acts());
    if (act.done() != acts.size()) {
      throw late();
    }
    List<Tryout.Act> now = new ArrayList<>(acts);
    if (act.deed() == TryoutOrders.TryoutDeed.UNDO) {
      if (acts.size() < 2) {
        throw ProblemsFound.badValue("/deed", "Nothing has been done yet that could be undone.");
      }
      now.removeLast();
    } else if (acts.size() >= MOST_ACTS) {
      throw ProblemsFound.badValue(
          "/deed", "At most %d things can be done: begin anew.".formatted(MOST_ACTS));
    } else {
      now.add(next(lived(row).tryout(), act, row));
    }
    if (mapper.update(journey, row.acts(), TryoutActs.written(now)) == 0) {
      throw late();
    }
    return view(journey);
  }

  /** Throws it away. */
  TryoutView end(long journey) {
    mapper.delete(journey);
    return view(journey);
  }

  private Tryout.Act next(Tryout so, TryoutOrders.TryoutAct act, TryoutRow row) {
    if (act.deed() == TryoutOrders.TryoutDeed.WAIT) {
      if (so.nextAt() == Person.NEVER) {
        throw ProblemsFound.badValue("/deed", "Nothing more is due.");
      }
      return new Tryout.Act(Math.max(so.now(), so.nextAt()), Optional.empty());
    }
    Journey plan = plan(row);
    long now = so.now() + A_MINUTE;
    if (act.deed() == TryoutOrders.TryoutDeed.SKIP_WAIT) {
      return new Tryout.Act(
          so.now(), Optional.of(new Happening.PutForward(so.now(), plan.journeyName())));
    }
    Happening what =
        switch (act.deed()) {
          case OPEN -> new Happening.Opened(now, message(so, act));
          case CLICK ->
              new Happening.Clicked(
                  now, message(so, act), Optional.ofNullable(act.link()).map(LinkName::new));
          case BUY -> bought(now, act, act.done());
          case UNSUBSCRIBE ->
              new Happening.ConsentWithdrawn(
                  now,
                  Channel.EMAIL,
                  act.mail() == null ? Optional.empty() : Optional.of(message(so, act)));
          case COMPLAIN -> new Happening.Complained(now);
          case WAIT, SKIP_WAIT, UNDO -> throw new IllegalStateException("done above");
        };
    return new Tryout.Act(now, Optional.of(what));
  }

  private Happening bought(long now, TryoutOrders.TryoutAct act, int number) {
    ProductCard card =
        names.products().stream()
            .filter(one -> one.name().equals(act.product()))
            .findFirst()
            .orElseThrow(() -> ProblemsFound.badValue("/product", "The shop does not sell that."));
    Money price = new Money(card.cents());
    return new Happening.Ordered(
        now,
        "try-" + number,
        List.of(new Line(new ProductName(card.name()), 1, price)),
        price,
        Optional.empty());
  }

  private static MessageRef message(Tryout so, TryoutOrders.TryoutAct act) {
    List<MessageRef> sent = TryoutReading.sent(so).map(TryoutReading.SentOne::ref).toList();
    if (act.mail() == null || act.mail() < 0 || act.mail() >= sent.size()) {
      throw ProblemsFound.badValue("/mail", "There is no such message.");
    }
    return sent.get(act.mail());
  }

  /** Lived from its beginning. */
  private TryoutReading.LivedTryout lived(TryoutRow row) {
    Catalogue catalogue = Documents.readCatalogue(Json.tree(row.catalogue()));
    Journey plan = Documents.readKeptJourney(row.plan(), catalogue);
    Function<ZoneId, ZoneClock> clocks = clocks(row.begunAt());
    TryoutOrders.TryoutWho who = Json.read(row.who(), TryoutOrders.TryoutWho.class);
    World world = World.compile(List.of(plan), catalogue, names.sold());
    Person person = world.newPerson(clocks.apply(account.zone()));
    person.agreesToTexts(who.texts());
    PersonState bare = Standing.freeze(person);
    PersonState begun = bare.with(labels(who), labels(who));
    return new TryoutReading.LivedTryout(
        Tryout.of(
            plan,
            catalogue,
            names.sold(),
            begun,
            new PersonalLots(row.lotKey()),
            TryoutActs.read(row.acts()),
            clocks),
        plan,
        catalogue,
        who,
        clocks);
  }

  private static Journey plan(TryoutRow row) {
    return Documents.readKeptJourney(
        row.plan(), Documents.readCatalogue(Json.tree(row.catalogue())));
  }

  private static Set<Name> labels(TryoutOrders.TryoutWho who) {
    try {
      return Stream.<Name>concat(
              who.lists().stream().map(ListName::new), who.tags().stream().map(TagName::new))
          .collect(Collectors.toSet());
    } catch (Refused refused) {
      throw ProblemsFound.refused("/lists", refused);
    }
  }

  private static Function<ZoneId, ZoneClock> clocks(long begun) {
    Map<ZoneId, ZoneClock> known = new HashMap<>();
    Instant from = Instant.ofEpochSecond(begun - (long) DAYS_BEFORE * ZoneClock.DAY);
    return zone -> known.computeIfAbsent(zone, one -> ZoneClock.around(one, from, CLOCK_DAYS));
  }

  private static Refusal late() {
    return new Refusal(
        HttpStatus.CONFLICT,
        "done-meanwhile",
        "Something else was done in this run meanwhile. Look again.",
        null);
  }
}
