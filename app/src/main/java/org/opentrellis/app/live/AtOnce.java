package org.opentrellis.app.live;

import java.util.List;
import java.util.Objects;
import org.opentrellis.core.format.Documents;
import org.opentrellis.core.format.Json;
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

  /** Nobody for real people: a mail server answers once a message was handed over to it. */
  LiveTurn.MailServer server(long person, boolean guest, long now) {
    if (!guest) {
      return LiveTurn.MailServer.LATER;
    }
    List<Happening.OfMessage> answers =
        guests.acts(person, now, true).stream()
            .map(row -> Documents.readHappening(Json.tree(row.document())))
            .map(Happening.OfMessage.class::cast)
            .toList();
    return (message, at) ->
        answers.stream().filter(one -> one.message().equals(message) && one.at() == at).toList();
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
