package org.opentrellis.app.live;

import java.security.SecureRandom;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.people.RecordsFollow;
import org.opentrellis.app.people.Standings;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.live.Deed;
import org.opentrellis.core.live.Editions;
import org.opentrellis.core.live.Life;
import org.opentrellis.core.live.LiveTurn;
import org.opentrellis.core.machine.Person;
import org.opentrellis.core.machine.PersonState;
import org.opentrellis.core.sentence.Style;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Takes people's turns: reads how somebody stands, has the machine do what is due, and writes down
 * what happened, what changed, what is to be sent and when they wake next, all in one transaction
 * that nobody else's turn of theirs gets into.
 */
@Service
@Transactional
class Turns {
  private final SecureRandom random = new SecureRandom();
  private final OpenJourneys open;
  private final LifeMapper lives;
  private final HappeningMapper log;
  private final Effects effects;
  private final Standings standings;
  private final RecordsFollow records;
  private final ZoneClocks clocks;
  private final AtOnce atOnce;
  private final GuestMapper guests;
  private final AccountClock clock;

  Turns(
      OpenJourneys open,
      LifeMapper lives,
      HappeningMapper log,
      Effects effects,
      Standings standings,
      RecordsFollow records,
      ZoneClocks clocks,
      AtOnce atOnce,
      GuestMapper guests,
      AccountClock clock) {
    this.open = open;
    this.lives = lives;
    this.log = log;
    this.effects = effects;
    this.standings = standings;
    this.records = records;
    this.clocks = clocks;
    this.atOnce = atOnce;
    this.guests = guests;
    this.clock = clock;
  }

  /**
   * What becomes known of somebody.
   *
   * @param told what was told before is the same
   * @param quietly likewise, but it brings them into no journey
   * @param before how they stood before it, by how their record stands now; for those of whom no
   *     journey has known
   */
  record News(
      List<? extends Happening> told,
      List<? extends Happening> quietly,
      UnaryOperator<PersonState> before) {
    static News of(List<? extends Happening> told) {
      return new News(told, List.of(), recorded -> recorded);
    }
  }

  /**
   * Somebody's turn.
   *
   * @param now in epoch seconds; if time has come further for them, what is due is done then
   * @return what the machine did; nothing if there is no such person
   */
  List<Deed> take(long person, List<? extends Happening> told, long now) {
    return take(person, News.of(told), now);
  }

  /** The same. */
  List<Deed> take(long person, News news, long now) {
    Editions editions = editions();
    List<Deed> deeds = take(person, news, now, guests.isThere(person), editions);
    againIfChanged(editions, List.of(person));
    return deeds;
  }

  /** What people can enter now. */
  Editions editions() {
    return open.current();
  }

  /**
   * Whoever's turn has been taken while something was opened, closed or stopped has another one at
   * once. What is opened after this wakes them itself.
   */
  void againIfChanged(Editions taken, List<Long> people) {
    if (open.newest() != taken.newest()) {
      people.forEach(person -> lives.wake(person, clock.now()));
    }
  }

  /**
   * The same in the editions as they were read in this transaction.
   *
   * @param guest whether they are simulated
   */
  List<Deed> take(long person, News news, long now, boolean guest, Editions editions) {
    if (lives.hold(person).isEmpty()) {
      return List.of();
    }
    LifeRow row =
        lives
            .find(person)
            .orElseGet(() -> begin(person, news.before().apply(standings.of(person)), editions));
    List<? extends Happening> told =
        news.told().stream().filter(one -> isNew(person, one)).toList();
    Life life = row.life();
    long present = Math.max(now, life.standing().now());
    LiveTurn.Done done =
        new LiveTurn(editions, clocks.around(present))
            .take(
                life,
                editions.newest(),
                told,
                news.quietly(),
                present,
                atOnce.lots(row, guest),
                atOnce.server(person, guest, present));
    write(row, life, done, new News(told, news.quietly(), news.before()), present, editions);
    return done.deeds();
  }

  private boolean isNew(long person, Happening happening) {
    HappeningRow row =
        new HappeningRow.OfTurn(person, 0, 0, 0).told(happening, HappeningRow.Origin.TOLD);
    return !log.toldBefore(person, row.at(), row.kind(), Objects.requireNonNull(row.document()));
  }

  private LifeRow begin(long person, PersonState standing, Editions editions) {
    String written = LifeRow.written(new Life(editions.newest(), standing));
    LifeRow row =
        new LifeRow(
            person,
            random.nextLong(),
            written,
            editions.newest(),
            written,
            editions.newest(),
            0,
            null);
    lives.insert(row);
    return row;
  }

  private void write(
      LifeRow row, Life before, LiveTurn.Done done, News news, long now, Editions editions) {
    long person = row.personId();
    @Nullable Long nextAt =
        done.nextAt() == Person.NEVER ? null : Long.valueOf(Math.max(done.nextAt(), now + 1));
    boolean nothing =
        news.told().isEmpty()
            && news.quietly().isEmpty()
            && done.deeds().isEmpty()
            && done.life().edition() == before.edition()
            && done.life().standing().at(before.standing().now()).equals(before.standing());
    if (nothing) {
      lives.wake(person, nextAt);
      return;
    }
    int turn = row.turns() + 1;
    lives.update(person, LifeRow.written(done.life()), done.life().edition(), turn, nextAt);
    HappeningRow.OfTurn of = new HappeningRow.OfTurn(person, turn, now, done.life().edition());
    List<HappeningRow> rows = new ArrayList<>();
    news.told().forEach(one -> rows.add(of.told(one, HappeningRow.Origin.TOLD)));
    news.quietly().forEach(one -> rows.add(of.told(one, HappeningRow.Origin.QUIETLY)));
    done.deeds().forEach(deed -> rows.add(of.done(deed)));
    done.atOnce().forEach(one -> rows.add(of.told(one, HappeningRow.Origin.AT_ONCE)));
    if (rows.isEmpty()) {
      rows.add(of.nothing());
    }
    log.insert(rows);
    stand(person, before.standing(), done.life().standing());
    records.follow(
        person, before.standing(), done.life().standing(), now, how(done.deeds(), news.told()));
    effects.of(person, done, editions);
  }

  private void stand(long person, PersonState before, PersonState after) {
    List<VisitRow> stood = inside(person, before);
    List<VisitRow> stands = inside(person, after);
    if (stood.equals(stands)) {
      return;
    }
    Set<VisitRow.Key> gone = stood.stream().map(VisitRow::key).collect(Collectors.toSet());
    for (VisitRow row : stands) {
      if (!gone.remove(row.key())) {
        lives.stand(row);
      } else if (!stood.contains(row)) {
        lives.goOn(row);
      }
    }
    gone.forEach(lives::leave);
  }

  private static List<VisitRow> inside(long person, PersonState standing) {
    return standing.visits().stream()
        .filter(visit -> visit.step().isPresent())
        .map(visit -> VisitRow.of(person, visit))
        .toList();
  }

  /** What changes their record: the journey that does, or else what was told. */
  private String how(List<Deed> deeds, List<? extends Happening> told) {
    return deeds.stream()
        .filter(deed -> deed.kind() == Deed.Kind.RECORD_CHANGED)
        .map(deed -> "by " + Style.quoted(open.nameOf(LiveNames.number(deed.journey()))))
        .findFirst()
        .orElseGet(() -> told.stream().map(Turns::how).findFirst().orElse("by a journey"));
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
