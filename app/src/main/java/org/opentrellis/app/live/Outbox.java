package org.opentrellis.app.live;

import static org.opentrellis.app.storage.Columns.longs;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.clock.AccountClock;
import org.opentrellis.app.letters.Pauses;
import org.opentrellis.app.people.KnownPeople;
import org.opentrellis.core.account.QuietHours;
import org.opentrellis.core.happening.Happening;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.resilience.annotation.Retryable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is to be sent: who may get it now, what came of it, and when it is tried again. */
@Service
@Transactional
class Outbox {
  /** Having tried for so long nobody tries any more (RFC 5321: at least 4 to 5 days). */
  private static final Duration GIVE_UP = Duration.ofDays(5);

  private final OutboxMapper mapper;
  private final Turns turns;
  private final GuestMapper guests;
  private final PutOff putOff;
  private final MailLeaves leaves;
  private final KnownPeople people;
  private final Account account;
  private final Quotas quota;
  private final AccountClock clock;

  Outbox(
      OutboxMapper mapper,
      Turns turns,
      GuestMapper guests,
      PutOff putOff,
      MailLeaves leaves,
      KnownPeople people,
      Account account,
      Quotas quota,
      AccountClock clock) {
    this.mapper = mapper;
    this.turns = turns;
    this.guests = guests;
    this.putOff = putOff;
    this.leaves = leaves;
    this.people = people;
    this.account = account;
    this.quota = quota;
    this.clock = clock;
  }

  /**
   * Takes some of what is due to be handed over now; what must not go out is called off, and what
   * has to wait waits.
   *
   * @return none only if nothing more is due that may go out
   */
  List<OutboxRow> claim(long until, int most) {
    Quotas.Month quota = this.quota.now();
    List<OutboxRow> due = mapper.due(until, most);
    List<OutboxRow> claimed = claim(due, quota);
    while (claimed.isEmpty() && !due.isEmpty()) {
      due = mapper.due(until, most);
      claimed = claim(due, quota);
    }
    return claimed;
  }

  private List<OutboxRow> claim(List<OutboxRow> due, Quotas.Month quota) {
    List<OutboxRow> claimed = new ArrayList<>();
    List<Long> whom = due.stream().map(OutboxRow::personId).distinct().toList();
    Map<Long, KnownPeople.Reach> reach = people.reach(whom);
    Set<Long> simulated =
        leaves.to().isPresent() ? guests.among(whom.toArray(Long[]::new)) : Set.of();
    Optional<QuietHours> quiet = account.quietHours();
    Sparing sparing = sparing(reach);
    for (OutboxRow row : due) {
      long now = Math.max(row.tryAt(), clock.now());
      Optional<KnownPeople.Reach> known = Optional.ofNullable(reach.get(row.personId()));
      Optional<String> hindrance =
          simulated.contains(row.personId())
              ? Optional.of("Mail leaves this machine, and they are simulated.")
              : known
                  .map(one -> text(row) ? one.texts() : one.mail())
                  .orElse(Optional.of("They were forgotten."));
      Optional<Instant> quietTo = known.flatMap(one -> quietTo(quiet, one.zone(), now));
      if (hindrance.isPresent()) {
        mapper.note(
            row.id(), OutboxRow.State.CALLED_OFF, row.tryAt(), null, hindrance.orElseThrow());
      } else if (quietTo.isPresent()) {
        waits(row, quietTo.get().getEpochSecond(), "Waits for the end of the quiet hours.");
      } else if (!text(row) && sparing.from(row.personId()) > now) {
        waits(
            row,
            sparing.from(row.personId()),
            "Waits, since they chose " + sparing.words(row.personId()) + ".");
      } else if (!text(row) && quota.isUsedUp()) {
        waits(row, quota.next(), "The month\u2019s quota of emails is used up.");
      } else {
        if (!text(row)) {
          quota.take();
          sparing.mailed(row.personId(), now);
        }
        claimed.add(row);
      }
    }
    if (!claimed.isEmpty()) {
      mapper.goOut(claimed.stream().map(OutboxRow::id).toArray(Long[]::new));
    }
    return claimed;
  }

  private Sparing sparing(Map<Long, KnownPeople.Reach> reach) {
    Sparing sparing = new Sparing(reach);
    if (!sparing.whom().isEmpty()) {
      mapper
          .lastMailed(sparing.whom().toArray(Long[]::new))
          .forEach(last -> sparing.mailed(last.person(), last.at()));
    }
    return sparing;
  }

  private static boolean text(OutboxRow row) {
    return row.channel() == OutboxRow.Channel.TEXT;
  }

  private void waits(OutboxRow row, long until, String why) {
    mapper.note(row.id(), OutboxRow.State.WAITING, until, null, why);
  }

  private static Optional<Instant> quietTo(Optional<QuietHours> quiet, ZoneId zone, long now) {
    ZonedDateTime there = Instant.ofEpochSecond(now).atZone(zone);
    if (quiet.isEmpty() || !quiet.get().at(there.toLocalTime())) {
      return Optional.empty();
    }
    LocalDate day = there.toLocalDate();
    ZonedDateTime end = day.atTime(quiet.get().to()).atZone(zone);
    return Optional.of((end.isAfter(there) ? end : end.plusDays(1)).toInstant());
  }

  /**
   * Notes what came of handing over, with the turns that follow; what becomes of mail to simulated
   * people is known already.
   */
  @Retryable(includes = PessimisticLockingFailureException.class, maxRetries = 20, delay = 20)
  void note(List<MailLine.Handed> handed) {
    taken(handed.stream().filter(Outbox::isTaken).toList());
    Set<Long> simulated = guests.among(longs(handed, one -> one.row().personId()));
    List<Turns.Asked> asked = new ArrayList<>();
    for (MailLine.Handed one : handed) {
      Optional<Happening> became = isTaken(one) ? Optional.of(delivered(one)) : other(one);
      became
          .filter(known -> !simulated.contains(one.row().personId()))
          .ifPresent(
              known ->
                  asked.add(new Turns.Asked(one.row().personId(), List.of(known), known.at())));
    }
    eachOnce(asked).forEach(turns::take);
  }

  /** In rounds in which each person has one turn. */
  private static List<List<Turns.Asked>> eachOnce(List<Turns.Asked> all) {
    List<List<Turns.Asked>> rounds = new ArrayList<>();
    Map<Long, Integer> times = new HashMap<>();
    for (Turns.Asked one : all) {
      int round = times.merge(one.person(), 1, Integer::sum) - 1;
      if (round == rounds.size()) {
        rounds.add(new ArrayList<>());
      }
      rounds.get(round).add(one);
    }
    return rounds;
  }

  /** The same of one, whose turn has failed: what became known of them is told later. */
  void noteApart(MailLine.Handed one, RuntimeException failed) {
    boolean taken = isTaken(one);
    taken(taken ? List.of(one) : List.of());
    (taken ? Optional.of(delivered(one)) : other(one))
        .filter(known -> !guests.isThere(one.row().personId()))
        .ifPresent(known -> putOff.until(one.row().personId(), known.at(), List.of(known), failed));
  }

  private static boolean isTaken(MailLine.Handed one) {
    return one.outcome().result() == Handover.Result.TAKEN;
  }

  private void taken(List<MailLine.Handed> some) {
    if (!some.isEmpty()) {
      mapper.taken(longs(some, one -> one.row().id()), longs(some, this::at));
    }
  }

  private Happening delivered(MailLine.Handed one) {
    return new Happening.Delivered(at(one), one.row().message());
  }

  private long at(MailLine.Handed one) {
    return Math.max(one.row().tryAt(), clock.now());
  }

  /** Notes of a message that the server did not take it, and says what is known by it. */
  private Optional<Happening> other(MailLine.Handed one) {
    OutboxRow row = one.row();
    long now = at(one);
    long next = now + Pauses.after(row.tries());
    if (one.outcome().result() == Handover.Result.REFUSED
        || Pauses.upTo(row.tries()) > GIVE_UP.toSeconds()) {
      return refused(row, now, one.outcome());
    }
    waits(row, next, one.outcome().said());
    return Optional.empty();
  }

  private Optional<Happening> refused(OutboxRow row, long now, Handover outcome) {
    mapper.note(row.id(), OutboxRow.State.REFUSED, row.tryAt(), null, outcome.said());
    return Optional.of(new Happening.Bounced(now, row.message(), outcome.dead()));
  }
}
