package org.opentrellis.app.live;

import java.util.List;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.http.NotFound;
import org.opentrellis.app.people.KnownPeople;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.journey.JourneyName;
import org.opentrellis.core.live.Deed;
import org.opentrellis.core.problem.Problem;
import org.opentrellis.core.problem.ProblemsFound;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is done with people in journeys by hand. */
@Service
@Transactional
class Hands {
  private final Turns turns;
  private final OpenJourneys open;
  private final KnownPeople people;
  private final Glasshouse glasshouse;
  private final AccountClock clock;
  private final LifeMapper lives;

  Hands(
      Turns turns,
      OpenJourneys open,
      KnownPeople people,
      Glasshouse glasshouse,
      AccountClock clock,
      LifeMapper lives) {
    this.turns = turns;
    this.open = open;
    this.people = people;
    this.glasshouse = glasshouse;
    this.clock = clock;
    this.lives = lives;
  }

  record PutInOrder(long person) {}

  /**
   * @param from the step at which they were seen to stand
   */
  record ForwardOrder(String from) {}

  /**
   * @param into the journey that they go on in
   */
  record MoveOrder(long into) {}

  /**
   * Puts somebody into an open journey.
   *
   * @throws ProblemsFound with the reason if they do not get in
   * @throws NotFound if there is nobody of that number
   */
  PersonLive putIn(long journey, long person) {
    JourneyName name = LiveNames.of(journey);
    if (open.entrances().stream().noneMatch(one -> one.journey() == journey)) {
      throw refused("not-open", "Nobody can be put into this journey: it is not open.");
    }
    people
        .hindrance(person)
        .ifPresent(
            why -> {
              throw refused("not-mailed", why + " They would leave at once.");
            });
    long now = clock.now();
    List<Deed> deeds = turns.take(person, List.of(new Happening.PutIn(now, name)), now);
    deeds.stream()
        .filter(deed -> deed.journey().equals(name))
        .forEach(
            deed -> {
              if (deed.kind() == Deed.Kind.KEPT_OUT) {
                throw refused("kept-out", "They are not among those who may enter this journey.");
              }
              if (deed.kind() == Deed.Kind.TURNED_AWAY) {
                throw refused("turned-away", "They may not enter again, as the journey says.");
              }
            });
    return glasshouse.person(person);
  }

  /** Takes somebody out of a journey, if they are in it. */
  PersonLive takeOut(long journey, long person) {
    long now = clock.now();
    turns.take(person, List.of(new Happening.TakenOut(now, LiveNames.of(journey))), now);
    return glasshouse.person(person);
  }

  /**
   * Has somebody go on from where they wait in a journey. Who orders that twice sends them on once.
   *
   * @param from the step at which they were seen to stand
   * @throws ProblemsFound with the reason if they stay where they are
   */
  PersonLive putForward(long journey, String from, long person) {
    lives.hold(new Long[] {person});
    boolean elsewhere =
        lives.stands(person).stream()
            .anyMatch(row -> row.journeyId() == journey && !row.step().equals(from));
    if (elsewhere) {
      throw refused("gone-on", "They have gone on meanwhile: look where they stand now.");
    }
    long now = clock.now();
    JourneyName name = LiveNames.of(journey);
    List<Deed> deeds = turns.take(person, List.of(new Happening.PutForward(now, name)), now);
    if (deeds.stream().noneMatch(deed -> deed.journey().equals(name))) {
      throw refused(
          "stays",
          "They stay where they are: they are not inside, or wait until the message may go out.");
    }
    return glasshouse.person(person);
  }

  /**
   * Has somebody change over from one journey into another, if they get in there.
   *
   * @throws ProblemsFound with the reason if they do not
   */
  PersonLive move(long from, long to, long person) {
    putIn(to, person);
    return takeOut(from, person);
  }

  private static ProblemsFound refused(String code, String sentence) {
    return new ProblemsFound(List.of(new Problem(code, "", sentence)));
  }
}
