package org.opentrellis.app.live;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.opentrellis.app.people.RecordsFollow;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.live.Deed;
import org.opentrellis.core.live.Editions;
import org.opentrellis.core.machine.PersonState;
import org.opentrellis.core.sentence.Style;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Writes down what came of turns, those of many people together: how they stand, what happened,
 * where they are found, what their records say, and what is to be sent.
 */
@Component
@Transactional
class TurnWriting {
  private final OpenJourneys open;
  private final LifeMapper lives;
  private final HappeningMapper log;
  private final RecordsFollow records;
  private final Effects effects;

  TurnWriting(
      OpenJourneys open,
      LifeMapper lives,
      HappeningMapper log,
      RecordsFollow records,
      Effects effects) {
    this.open = open;
    this.lives = lives;
    this.log = log;
    this.records = records;
    this.effects = effects;
  }

  /**
   * Writes them.
   *
   * @param all each person's at most once
   */
  void write(List<TurnTaken> all, Editions editions) {
    lives.wake(all.stream().filter(TurnTaken::idle).map(TurnTaken::after).toList());
    List<TurnTaken> some = all.stream().filter(one -> !one.idle()).toList();
    lives.update(some.stream().map(TurnTaken::after).toList());
    log.insert(some.stream().flatMap(one -> one.lines().stream()).toList());
    stand(some);
    records.follow(
        some.stream()
            .map(
                one ->
                    new RecordsFollow.Stood(
                        one.person(), one.stood(), one.stands(), one.now(), how(one)))
            .toList());
    effects.of(some, editions);
  }

  private void stand(List<TurnTaken> all) {
    List<VisitRow.Key> gone = new ArrayList<>();
    List<VisitRow> here = new ArrayList<>();
    for (TurnTaken one : all) {
      List<VisitRow> stood = inside(one.person(), one.stood());
      List<VisitRow> stands = inside(one.person(), one.stands());
      Set<VisitRow.Key> still = stands.stream().map(VisitRow::key).collect(Collectors.toSet());
      stood.stream().map(VisitRow::key).filter(key -> !still.contains(key)).forEach(gone::add);
      stands.stream().filter(row -> !stood.contains(row)).forEach(here::add);
    }
    lives.leave(gone);
    lives.stand(here);
  }

  private static List<VisitRow> inside(long person, PersonState standing) {
    return standing.visits().stream()
        .filter(visit -> visit.step().isPresent())
        .map(visit -> VisitRow.of(person, visit))
        .toList();
  }

  /** What changes their record: the journey that does, or else what was told. */
  private String how(TurnTaken taken) {
    return taken.done().deeds().stream()
        .filter(deed -> deed.kind() == Deed.Kind.RECORD_CHANGED)
        .map(deed -> "by " + Style.quoted(open.nameOf(LiveNames.number(deed.journey()))))
        .findFirst()
        .orElseGet(
            () -> taken.told().stream().map(TurnWriting::how).findFirst().orElse("by a journey"));
  }

  private static String how(Happening told) {
    return switch (told) {
      case Happening.ConsentWithdrawn by -> "by the link of an email";
      case Happening.Complained by -> "as their mail provider reports";
      case Happening.Bounced by -> "as the mail server says";
      case Happening.FormSubmitted by -> "by form " + Style.quoted(by.form().value());
      default -> "by an event";
    };
  }
}
