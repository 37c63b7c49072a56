package org.opentrellis.app.live;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
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

  /** Of some people, some of them simulated. */
  Known of(Long[] people) {
    Set<Long> simulated = guests.among(people);
    if (simulated.isEmpty()) {
      return new Known(Map.of(), Map.of());
    }
    Long[] those = simulated.toArray(Long[]::new);
    return new Known(
        guests.acts(those, Long.MAX_VALUE, true).stream()
            .collect(Collectors.groupingBy(GuestMapper.ActRow::personId)),
        guests.lots(those).stream().collect(Collectors.groupingBy(GuestMapper.LotRow::personId)));
  }

  /** Asks nobody any more. */
  record Known(
      Map<Long, List<GuestMapper.ActRow>> answers, Map<Long, List<GuestMapper.LotRow>> lots) {

    /**
     * Nobody for real people: a mail server answers once a message was handed over to it.
     *
     * @param now up to when it answers, in epoch seconds
     */
    LiveTurn.MailServer server(long person, long now) {
      List<Happening.OfMessage> known =
          answers.getOrDefault(person, List.of()).stream()
              .filter(row -> row.at() <= now)
              .map(row -> (Happening.OfMessage) row.act())
              .toList();
      return known.isEmpty()
          ? LiveTurn.MailServer.LATER
          : (message, at) ->
              known.stream()
                  .filter(one -> one.message().equals(message) && one.at() == at)
                  .toList();
    }

    Replay.Lots lots(LifeRow life) {
      PersonalLots personal = new PersonalLots(life.lotKey());
      List<GuestMapper.LotRow> known = lots.getOrDefault(life.personId(), List.of());
      return (step, ways, visit) ->
          known.stream()
              .filter(lot -> isOf(lot, step, visit))
              .findFirst()
              .map(GuestMapper.LotRow::way)
              .orElseGet(() -> personal.way(step, ways, visit));
    }

    private static boolean isOf(GuestMapper.LotRow lot, int step, Visit visit) {
      return lot.visit() == visit.number()
          && lot.journeyId() == LiveNames.number(visit.program().name())
          && lot.step()
              .equals(Objects.requireNonNull(visit.program().steps().get(step)).id().value());
    }
  }
}
