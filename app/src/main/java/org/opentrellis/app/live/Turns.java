package org.opentrellis.app.live;

import java.security.SecureRandom;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.people.Standings;
import org.opentrellis.core.happening.Happening;
import org.opentrellis.core.live.Deed;
import org.opentrellis.core.live.Editions;
import org.opentrellis.core.live.Life;
import org.opentrellis.core.live.LiveTurn;
import org.opentrellis.core.machine.PersonState;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Takes people's turns: reads how they stand, has the machine do what is due, and has it written
 * down, all in one transaction that nobody else's turn of theirs gets into. Those of many people
 * are read and written together.
 */
@Service
@Transactional
class Turns {
  private final SecureRandom random = new SecureRandom();
  private final OpenJourneys open;
  private final LifeMapper lives;
  private final HappeningMapper log;
  private final TurnWriting writing;
  private final Standings standings;
  private final ZoneClocks clocks;
  private final AtOnce atOnce;
  private final TwoHands hands;
  private final AccountClock clock;

  Turns(
      OpenJourneys open,
      LifeMapper lives,
      HappeningMapper log,
      TurnWriting writing,
      Standings standings,
      ZoneClocks clocks,
      AtOnce atOnce,
      TwoHands hands,
      AccountClock clock) {
    this.open = open;
    this.lives = lives;
    this.log = log;
    this.writing = writing;
    this.standings = standings;
    this.clocks = clocks;
    this.atOnce = atOnce;
    this.hands = hands;
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
   * A turn that is to be taken.
   *
   * @param now in epoch seconds; if time has come further for them, what is due is done then
   */
  record Asked(long person, News news, long now) {
    Asked(long person, List<? extends Happening> told, long now) {
      this(person, News.of(told), now);
    }
  }

  /**
   * Somebody's turn.
   *
   * @return what the machine did; nothing if there is no such person
   */
  List<Deed> take(long person, List<? extends Happening> told, long now) {
    return take(List.of(new Asked(person, told, now))).getOrDefault(person, List.of());
  }

  /**
   * The turns of some people. Whoever's turn is taken while something is opened, closed or stopped
   * has another one at once; what is opened after this wakes them itself.
   *
   * @param asked each person once
   * @return what the machine did, by person; of those who are there
   */
  Map<Long, List<Deed>> take(List<Asked> asked) {
    if (asked.isEmpty()) {
      return Map.of();
    }
    Editions editions = open.current();
    Long[] people = asked.stream().map(Asked::person).toArray(Long[]::new);
    Set<Long> held = lives.hold(people);
    List<Asked> there = asked.stream().filter(one -> held.contains(one.person())).toList();
    List<TurnTaken> taken = taken(there, people, editions);
    writing.write(taken, editions);
    if (open.newest() != editions.newest()) {
      lives.wakeAt(people, clock.now());
    }
    Map<Long, List<Deed>> deeds = new LinkedHashMap<>();
    taken.forEach(one -> deeds.put(one.person(), one.done().deeds()));
    return deeds;
  }

  private List<TurnTaken> taken(List<Asked> asked, Long[] people, Editions editions) {
    Map<Long, LifeRow> known =
        lives.some(people).stream().collect(Collectors.toMap(LifeRow::personId, row -> row));
    Set<HappeningMapper.ToldRow> before = toldBefore(asked);
    AtOnce.Known decided = atOnce.of(people);
    List<Supplier<TurnTaken>> works = new ArrayList<>();
    for (Asked one : asked) {
      LifeRow found = known.get(one.person());
      LifeRow row = found == null ? begin(one, editions) : found;
      works.add(() -> taken(one, row, before, decided, editions));
    }
    return hands.each(works);
  }

  /** Reads and writes nothing. */
  private TurnTaken taken(
      Asked asked,
      LifeRow row,
      Set<HappeningMapper.ToldRow> before,
      AtOnce.Known decided,
      Editions editions) {
    long person = asked.person();
    Life life = row.life();
    long now = Math.max(asked.now(), life.standing().now());
    List<? extends Happening> told =
        asked.news().told().stream()
            .filter(happening -> !before.contains(toldRow(person, happening)))
            .toList();
    List<? extends Happening> quietly = asked.news().quietly();
    LiveTurn.Done done =
        new LiveTurn(editions, clocks.around(now))
            .take(
                life,
                editions.newest(),
                told,
                quietly,
                now,
                decided.lots(row),
                decided.server(person, now));
    return TurnTaken.of(row, life, told, quietly, done, now);
  }

  private Set<HappeningMapper.ToldRow> toldBefore(List<Asked> asked) {
    Set<Long> people = new HashSet<>();
    Set<Long> moments = new HashSet<>();
    for (Asked one : asked) {
      for (Happening told : one.news().told()) {
        people.add(one.person());
        moments.add(told.at());
      }
    }
    return people.isEmpty()
        ? Set.of()
        : log.toldBefore(people.toArray(Long[]::new), moments.toArray(Long[]::new));
  }

  private static HappeningMapper.ToldRow toldRow(long person, Happening told) {
    return new HappeningMapper.ToldRow(person, HappeningRow.document(told));
  }

  private LifeRow begin(Asked asked, Editions editions) {
    PersonState standing = asked.news().before().apply(standings.of(asked.person()));
    String written = LifeRow.written(new Life(editions.newest(), standing));
    LifeRow row =
        new LifeRow(
            asked.person(),
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
}
