package org.opentrellis.app.live;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.people.PersonForgotten;
import org.opentrellis.app.people.RecordsChanged;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.journey.Name;
import org.opentrellis.core.machine.PersonState;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Journeys hear of what is done to people's records. */
@Component
@Transactional
class RecordsHeard {
  private final OpenJourneys open;
  private final Turns turns;
  private final LifeMapper lives;
  private final HappeningMapper log;
  private final OutboxMapper outbox;
  private final OpenDoors doors;
  private final Lookouts lookouts;
  private final AccountClock clock;

  RecordsHeard(
      OpenJourneys open,
      Turns turns,
      LifeMapper lives,
      HappeningMapper log,
      OutboxMapper outbox,
      OpenDoors doors,
      Lookouts lookouts,
      AccountClock clock) {
    this.open = open;
    this.turns = turns;
    this.lives = lives;
    this.log = log;
    this.outbox = outbox;
    this.doors = doors;
    this.lookouts = lookouts;
    this.clock = clock;
  }

  @EventListener
  void follow(RecordsChanged changed) {
    if (open.none()) {
      return;
    }
    turns.take(
        changed.happened().entrySet().stream()
            .flatMap(one -> asked(one.getKey(), one.getValue(), changed.quietly()).stream())
            .toList());
    lookouts.somethingChanged();
  }

  /** Quietly nobody comes in, so only those whom journeys know have a turn. */
  private Optional<Turns.Asked> asked(long person, List<Happening> happened, boolean quietly) {
    if (quietly ? !lives.isThere(person) : !doors.hasTurn(person, happened)) {
      return Optional.empty();
    }
    List<Happening> told = quietly ? List.of() : happened;
    List<Happening> silent = quietly ? happened : List.of();
    return Optional.of(
        new Turns.Asked(
            person, new Turns.News(told, silent, now -> before(now, happened)), clock.now()));
  }

  /** How somebody stood before their labels changed. */
  private static PersonState before(PersonState now, List<Happening> happened) {
    Set<Name> labels = new HashSet<>(now.labels());
    Set<Name> had = new HashSet<>(now.hadLabels());
    for (Happening one : happened) {
      switch (one) {
        case Happening.Joined joined -> {
          labels.remove(joined.list());
          had.remove(joined.list());
        }
        case Happening.Tagged tagged -> {
          labels.remove(tagged.tag());
          had.remove(tagged.tag());
        }
        case Happening.LeftList left -> labels.add(left.list());
        case Happening.Untagged untagged -> labels.add(untagged.tag());
        default -> {}
      }
    }
    return now.with(labels, had);
  }

  /** Who is forgotten leaves all journeys; what they did still counts, what they said goes. */
  @EventListener
  void follow(PersonForgotten forgotten) {
    if (lives.isThere(forgotten.id())) {
      turns.take(forgotten.id(), List.of(new Happening.Erased(clock.now())), clock.now());
    }
    outbox.callOffAll(forgotten.id(), "They were forgotten.");
    log.forget(forgotten.id());
  }
}
