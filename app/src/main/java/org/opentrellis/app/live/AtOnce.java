package org.opentrellis.app.live;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.live.LiveTurn;
import org.opentrellis.core.live.PersonalLots;
import org.opentrellis.core.machine.Visit;
import org.opentrellis.core.replay.Replay;
import org.springframework.stereotype.Component;

/**
 * What decides for people in their turns: which way lots fall, and who answers for the mail server
 * at the moment at which a message goes out. Of simulated people both are known beforehand.
 */
@Component
class AtOnce {
  private final GuestMapper guests;

  AtOnce(GuestMapper guests) {
    this.guests = guests;
  }

  /** What mail servers say to simulated people. */
  static final class Answers {
    private final Map<Long, List<Happening.OfMessage>> known = new HashMap<>();

    /** Nobody for real people: a mail server answers once a message was handed over to it. */
    LiveTurn.MailServer server(long person, long now) {
      List<Happening.OfMessage> answers =
          known.getOrDefault(person, List.of()).stream().filter(one -> one.at() <= now).toList();
      return answers.isEmpty()
          ? LiveTurn.MailServer.LATER
          : (message, at) ->
              answers.stream()
                  .filter(one -> one.message().equals(message) && one.at() == at)
                  .toList();
    }
  }

  /**
   * What mail servers say to some people up to a moment.
   *
   * @param simulated who of them is
   */
  Answers answers(Set<Long> simulated, long until) {
    Answers answers = new Answers();
    if (!simulated.isEmpty()) {
      for (GuestMapper.ActRow row : guests.acts(simulated.toArray(Long[]::new), until, true)) {
        answers
            .known
            .computeIfAbsent(row.personId(), none -> new ArrayList<>())
            .add((Happening.OfMessage) row.act());
      }
    }
    return answers;
  }

  Replay.Lots lots(LifeRow life, boolean guest) {
    PersonalLots personal = new PersonalLots(life.lotKey());
    if (!guest) {
      return personal;
    }
    return (step, ways, visit) -> {
      Integer way = way(life.personId(), step, visit);
      return way == null ? personal.way(step, ways, visit) : way;
    };
  }

  private Integer way(long person, int step, Visit visit) {
    return guests.way(
        person,
        LiveNames.number(visit.program().name()),
        visit.number(),
        Objects.requireNonNull(visit.program().steps().get(step)).id().value());
  }
}
