package org.opentrellis.app.walks;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Objects;
import java.util.function.Supplier;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.http.GivenName;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.journeys.KeptJourney;
import org.opentrellis.core.calendar.Years;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.ListName;
import org.opentrellis.core.journey.TagName;
import org.opentrellis.core.problem.Problems;
import org.opentrellis.core.problem.ProblemsFound;
import org.opentrellis.core.problem.Refused;
import org.opentrellis.core.sentence.RunSheet;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Walks through journeys, and those that are kept as tests. */
@Service
@Transactional
class Walks {
  private static final int MOST_CHOICES = 500;
  private static final double MOST_HOURS = 24.0 * 365;

  private final WalkMapper mapper;
  private final Journeys journeys;
  private final Catalogues catalogues;
  private final Clock clock;

  Walks(WalkMapper mapper, Journeys journeys, Catalogues catalogues, Clock clock) {
    this.mapper = mapper;
    this.journeys = journeys;
    this.catalogues = catalogues;
    this.clock = clock;
  }

  /**
   * Takes a person as far as choices have been made.
   *
   * @throws ProblemsFound if the walker is not right
   */
  WalkView go(long id, WalkOrder order) {
    KeptJourney kept = journeys.find(id);
    boolean asSaved = order.journey() == null || order.journey().isNull();
    Journey journey = asSaved ? kept.journey() : journeys.readIn("/journey", order.journey());
    return go(journey, kept, order.walker());
  }

  private WalkView go(Journey journey, KeptJourney kept, WalkOrder.Walker walker) {
    check(walker, kept);
    return new WalkDriver(journey, catalogues.current(), kept.behaviour(), walker).go();
  }

  private static void check(WalkOrder.Walker walker, KeptJourney kept) {
    Problems problems = new Problems();
    int groups = kept.behaviour().groups().size();
    if (walker.group() < 0 || walker.group() >= groups) {
      problems.add(
          "bad-value", "/walker/group", "There is no audience group " + walker.group() + ".");
    }
    if (walker.number() < 0 || walker.number() >= 1_000) {
      problems.add("bad-value", "/walker/number", "People are numbered 0 to 999.");
    }
    check(problems, "/walker/start", () -> Years.withinReason(walker.start().toLocalDate()));
    walker.tags().forEach(tag -> check(problems, "/walker/tags", () -> new TagName(tag)));
    walker.lists().forEach(list -> check(problems, "/walker/lists", () -> new ListName(list)));
    if (walker.choices().size() > MOST_CHOICES) {
      problems.add("bad-value", "/walker/choices", "At most 500 choices can be made.");
    }
    for (int i = 0; i < walker.choices().size(); i++) {
      double hours = walker.choices().get(i).hours();
      if (!(hours >= 0 && hours <= MOST_HOURS)) {
        problems.add(
            "bad-value",
            "/walker/choices/" + i + "/hours",
            "A message is opened 0 to 8,760 hours after it came.");
      }
    }
    problems.throwIfAny();
  }

  private static void check(Problems problems, String place, Supplier<?> reading) {
    try {
      reading.get();
    } catch (Refused refused) {
      ProblemsFound.refused(place, refused)
          .problems()
          .forEach(one -> problems.add(one.code(), one.place(), one.sentence()));
    }
  }

  /** The kept walks of a journey, each walked again through it as it is now. */
  List<WalkView.KeptWalkView> kept(long id) {
    KeptJourney journey = journeys.find(id);
    return mapper.all(id).stream().map(row -> view(row, journey)).toList();
  }

  private WalkView.KeptWalkView view(KeptWalkRow row, KeptJourney kept) {
    WalkOrder.Walker walker = Json.read(row.document(), WalkOrder.Walker.class);
    WalkView.Outcome then = Json.read(row.outcome(), WalkView.Outcome.class);
    WalkView.Outcome now = outcome(walker, kept);
    return new WalkView.KeptWalkView(
        row.id(), row.name(), row.keptAt(), walker, then.equals(now), told(then, now, kept));
  }

  private WalkView.Outcome outcome(WalkOrder.Walker walker, KeptJourney kept) {
    WalkView walk = go(kept.journey(), kept, walker);
    String open =
        walk.ask() == null ? "" : "Gets \u201c" + walk.ask().message() + "\u201d, undecided.";
    return new WalkView.Outcome(walk.route(), Objects.requireNonNullElse(walk.end(), open));
  }

  private String told(WalkView.Outcome then, WalkView.Outcome now, KeptJourney kept) {
    if (then.equals(now)) {
      return "Comes out as it did: " + now.end();
    }
    int same = 0;
    int shorter = Math.min(then.route().size(), now.route().size());
    while (same < shorter && then.route().get(same).equals(now.route().get(same))) {
      same++;
    }
    String where =
        same == now.route().size()
            ? ""
            : "It goes another way from \u201c" + said(now.route().get(same), kept) + "\u201d on. ";
    String end =
        then.end().equals(now.end())
            ? "It ends as before: " + now.end()
            : "It ended: " + then.end() + " Now: " + now.end();
    return where + end;
  }

  private String said(String row, KeptJourney kept) {
    Catalogue catalogue = catalogues.current();
    return RunSheet.of(kept.journey(), catalogue).rows().stream()
        .filter(one -> one.id().equals(row))
        .map(one -> one.sentence().text())
        .findFirst()
        .orElse(row);
  }

  /**
   * Keeps a walk as a test of its journey.
   *
   * @throws ProblemsFound if it has no name
   */
  List<WalkView.KeptWalkView> keep(long id, WalkView.KeepWalk walk) {
    KeptJourney journey = journeys.find(id);
    String name = GivenName.of("A kept walk", walk.name(), "/name");
    mapper.insert(
        id,
        name,
        Json.write(walk.walker()),
        Json.write(outcome(walk.walker(), journey)),
        OffsetDateTime.now(clock));
    return kept(id);
  }

  /**
   * Forgets a kept walk.
   *
   * @throws NotFound if there is none
   */
  List<WalkView.KeptWalkView> forget(long id, long walk) {
    if (mapper.delete(id, walk) == 0) {
      throw NotFound.of("walk", walk);
    }
    return kept(id);
  }
}
