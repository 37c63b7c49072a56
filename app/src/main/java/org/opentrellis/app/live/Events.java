package org.opentrellis.app.live;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.people.OutsideHappenings;
import org.opentrellis.core.problem.ProblemsFound;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.resilience.annotation.Retryable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/** Takes what shops and other programs tell of people. */
@Service
public class Events {
  private final EventMapper mapper;
  private final OutsideHappenings people;
  private final Turns turns;
  private final OpenDoors doors;
  private final Lookouts lookouts;
  private final AccountClock clock;

  Events(
      EventMapper mapper,
      OutsideHappenings people,
      Turns turns,
      OpenDoors doors,
      Lookouts lookouts,
      AccountClock clock) {
    this.mapper = mapper;
    this.people = people;
    this.turns = turns;
    this.doors = doors;
    this.lookouts = lookouts;
    this.clock = clock;
  }

  /**
   * What became of an event.
   *
   * @param id of the event
   */
  public record Taken(String id, Result result) {}

  public enum Result {
    TAKEN,
    /** It was taken before. */
    KNOWN,
    /** Nobody of that address is there. */
    NOBODY
  }

  /**
   * All of them in one transaction.
   *
   * @throws ProblemsFound if something in them is wrong; then nothing of it is taken
   */
  @Transactional
  @Retryable(
      includes = {DuplicateKeyException.class, PessimisticLockingFailureException.class},
      maxRetries = 20,
      delay = 20)
  public List<Taken> take(JsonNode body) {
    List<CloudEventReading.Heard> heard = CloudEventReading.read(body, clock.now());
    List<Taken> taken = new ArrayList<>();
    for (CloudEventReading.Heard one : heard) {
      taken.add(new Taken(one.id(), take(one)));
    }
    return taken;
  }

  private Result take(CloudEventReading.Heard heard) {
    if (mapper.isHeard(heard.source(), heard.id())) {
      return Result.KNOWN;
    }
    Optional<Long> person = people.numberOf(heard.address());
    if (person.isEmpty()) {
      return Result.NOBODY;
    }
    mapper.hear(heard.source(), heard.id(), clock.now());
    long id = person.get();
    // First the turn: whoever had no life begins it as they stood before.
    if (doors.hasTurn(id, List.of(heard.happening()))) {
      turns.take(id, List.of(heard.happening()), clock.now());
    }
    people.keep(id, heard.happening());
    lookouts.somethingChanged();
    return Result.TAKEN;
  }
}
