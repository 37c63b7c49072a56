package org.opentrellis.app.calendar;

import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.computing.ComputingRoom;
import org.opentrellis.app.computing.Lane;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.live.Insiders;
import org.opentrellis.core.ahead.Days;
import org.opentrellis.core.ahead.OfThoseInside;
import org.opentrellis.core.ahead.Outlook;
import org.opentrellis.core.behaviour.Behaviour;
import org.opentrellis.core.journey.Catalogue;
import org.opentrellis.core.journey.Condition;
import org.opentrellis.core.journey.Journey;
import org.opentrellis.core.journey.JourneyName;
import org.springframework.stereotype.Component;

/** What those who are inside of journeys would get if one of these were otherwise. */
@Component
class TriedAhead {
  private final JourneysAhead running;
  private final Journeys journeys;
  private final Catalogues catalogues;
  private final ComputingRoom room;
  private final AccountClock clock;

  TriedAhead(
      JourneysAhead running,
      Journeys journeys,
      Catalogues catalogues,
      ComputingRoom room,
      AccountClock clock) {
    this.running = running;
    this.journeys = journeys;
    this.catalogues = catalogues;
    this.room = room;
    this.clock = clock;
  }

  /**
   * A letter that reaches those who are inside, too.
   *
   * @param plan the journey that it is
   * @param at when, in epoch seconds
   */
  record Reaching(Journey plan, long at, BitSet readers) {

    /** By a name that no journey has where it runs, and for whoever comes. */
    Journey named(int number) {
      return plan.edit().name(nameOf(number).value()).entryFilter(Optional.empty()).done();
    }

    static JourneyName nameOf(int number) {
      return new JourneyName("letter " + number);
    }
  }

  /**
   * A journey that would be otherwise.
   *
   * @param journey 0 for none
   */
  record Change(long journey, @Nullable Journey plan) {
    static final Change NONE = new Change(0, null);

    Journey of(Insiders.Running one) {
      return one.journey() == journey && plan != null ? plan : one.plan();
    }
  }

  /**
   * What those who are inside would get, the same people in the same way each time.
   *
   * @param reaching newsletters that they get meanwhile; these are not told
   * @return by change
   */
  List<List<OfThoseInside.Ahead>> tried(
      Days days, Optional<Condition> filter, List<Reaching> reaching, List<Change> changes) {
    long now = clock.now();
    JourneysAhead.Running runs = running.of(days, filter);
    List<Insiders.Running> all = runs.journeys();
    if (JourneysAhead.left(now, days) == 0) {
      return changes.stream().map(one -> List.<OfThoseInside.Ahead>of()).toList();
    }
    List<OfThoseInside.Insider> people =
        runs.inside().some().stream().map(one -> reached(one, reaching)).toList();
    List<Journey> letters =
        IntStream.range(0, reaching.size()).mapToObj(n -> reaching.get(n).named(n)).toList();
    Catalogue catalogue = catalogues.current();
    Behaviour usual = journeys.usual();
    List<Behaviour> behaviours =
        Stream.concat(
                all.stream().map(one -> journeys.find(one.journey()).behaviour()),
                letters.stream().map(one -> usual))
            .toList();
    return ComputingRoom.await(
        room.begin(
                Lane.QUICK,
                effort ->
                    changes.stream()
                        .map(
                            change ->
                                running.goOn(
                                    people,
                                    Stream.concat(all.stream().map(change::of), letters.stream())
                                        .toList(),
                                    behaviours,
                                    catalogue,
                                    now,
                                    days,
                                    behaviours.stream().map(one -> new Outlook(days)).toList()))
                        .map(ahead -> ahead.stream().map(one -> but(one, all.size())).toList())
                        .toList())
            .result());
  }

  private static OfThoseInside.Insider reached(OfThoseInside.Insider one, List<Reaching> reaching) {
    Map<JourneyName, Long> comings = new HashMap<>(one.comings());
    for (int n = 0; n < reaching.size(); n++) {
      if (reaching.get(n).readers().get(one.number())) {
        comings.put(Reaching.nameOf(n), reaching.get(n).at());
      }
    }
    return new OfThoseInside.Insider(one.number(), one.weight(), one.standing(), comings);
  }

  /** Without what journeys from a number on send. */
  private static OfThoseInside.Ahead but(OfThoseInside.Ahead one, int from) {
    return new OfThoseInside.Ahead(
        one.number(),
        one.weight(),
        one.draws().stream()
            .map(draw -> draw.stream().filter(got -> got.lane() < from).toList())
            .toList());
  }
}
