package org.opentrellis.app.visitors;

import java.time.Instant;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.entrances.ConfirmationPost;
import org.opentrellis.app.entrances.Entrances;
import org.opentrellis.app.entrances.OpenEntrance;
import org.opentrellis.app.http.Incident;
import org.opentrellis.app.http.Refusal;
import org.opentrellis.app.letters.MailRoute;
import org.opentrellis.app.letters.Pauses;
import org.opentrellis.app.live.OutsideWorld;
import org.opentrellis.app.people.OutsideHappenings;
import org.opentrellis.app.storage.StorageTrouble;
import org.opentrellis.core.format.Json;
import org.opentrellis.core.happening.Happening;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Has visitors run their errands when time gets there. Each is done outside any transaction, since
 * it comes in again by a door of its own, and struck off afterwards: after a crash it is done once
 * more, as people do who are not sure.
 */
@Component
class GoingOut implements OutsideWorld {
  private static final int SOME = 50;
  private static final int MOST_TRIES = 8;
  private static final int LONGEST = 400;

  private final VisitorMapper mapper;
  private final Entrances entrances;
  private final ConfirmationPost confirmations;
  private final OutsideHappenings people;
  private final FormVisits forms;
  private final MailVisits mail;
  private final ShopVisits shop;
  private final MailRoute route;
  private final Account account;
  private final TransactionTemplate transaction;

  GoingOut(
      VisitorMapper mapper,
      Entrances entrances,
      ConfirmationPost confirmations,
      OutsideHappenings people,
      FormVisits forms,
      MailVisits mail,
      ShopVisits shop,
      MailRoute route,
      Account account,
      TransactionTemplate transaction) {
    this.mapper = mapper;
    this.entrances = entrances;
    this.confirmations = confirmations;
    this.people = people;
    this.forms = forms;
    this.mail = mail;
    this.shop = shop;
    this.route = route;
    this.account = account;
    this.transaction = transaction;
  }

  /** What came of an errand. */
  private sealed interface Outcome permits Done, NotYet, Never {}

  private record Done() implements Outcome {}

  /** Perhaps later. */
  private record NotYet(String why) implements Outcome {}

  private record Never(String why) implements Outcome {}

  @Override
  public long next() {
    return route.leavesTo().isPresent() ? Long.MAX_VALUE : mapper.next().orElse(Long.MAX_VALUE);
  }

  @Override
  public int goOn(long now) {
    if (next() > now) {
      return 0;
    }
    List<ErrandRow> due = mapper.due(now, SOME);
    for (ErrandRow errand : due) {
      // Whoever has gone since does nothing any more.
      mapper.visitor(errand.visitorId()).ifPresent(who -> goOn(errand, who, now));
    }
    if (due.stream().anyMatch(one -> one.kind() == ErrandRow.Kind.SIGNS_UP)) {
      confirmations.post();
    }
    return due.size();
  }

  private void goOn(ErrandRow errand, VisitorMapper.VisitorRow who, long now) {
    Outcome outcome;
    try {
      outcome = run(errand, who, now);
    } catch (Refusal refused) {
      outcome = new Never(refused.getMessage());
    } catch (RuntimeException failed) {
      if (StorageTrouble.in(failed).isPresent()) {
        throw failed;
      }
      outcome =
          new NotYet(
              "It failed by a fault of ours (incident %s in the server\u2019s log)."
                  .formatted(Incident.noted(failed).number()));
    }
    Outcome came = outcome;
    transaction.executeWithoutResult(status -> strikeOff(errand, who, came, now));
  }

  private void strikeOff(
      ErrandRow errand, VisitorMapper.VisitorRow who, Outcome outcome, long now) {
    switch (outcome) {
      case Done done -> {
        mapper.done(errand.id());
        if (errand.kind() == ErrandRow.Kind.SIGNS_UP) {
          mapper.came(who.id());
        }
      }
      case NotYet later -> {
        if (errand.tries() < MOST_TRIES) {
          mapper.later(errand.id(), now + Pauses.after(errand.tries()));
        } else {
          giveUp(errand, who, later.why());
        }
      }
      case Never never -> giveUp(errand, who, never.why());
    }
  }

  /** Whoever does not get in does nothing else either. */
  private void giveUp(ErrandRow errand, VisitorMapper.VisitorRow who, String why) {
    if (errand.kind() == ErrandRow.Kind.DOES) {
      mapper.done(errand.id());
    } else {
      mapper.allDone(who.id());
    }
    mapper.failed(who.crowdId(), why.substring(0, Math.min(LONGEST, why.length())));
  }

  private Outcome run(ErrandRow errand, VisitorMapper.VisitorRow who, long now) {
    return switch (errand.kind()) {
      case SIGNS_UP -> signsUp(who, now);
      case CONFIRMS ->
          mail.confirms(who.address())
              ? new Done()
              : new NotYet("The mail by which they were to confirm had not come.");
      case DOES ->
          people
              .numberOf(who.address())
              .map(person -> does(person, who.address(), errand.what()))
              .orElseGet(() -> new Never("They were not there: they had not come in."));
    };
  }

  private Outcome signsUp(VisitorMapper.VisitorRow who, long now) {
    Optional<OpenEntrance> entrance = entrances.open(who.entranceId());
    if (entrance.isEmpty()) {
      return new Never("The form was turned off.");
    }
    LocalDate today = LocalDate.ofInstant(Instant.ofEpochSecond(now), account.zone());
    long tonight = today.plusDays(1).atStartOfDay(account.zone()).toEpochSecond();
    Map<String, String> filled = new LinkedHashMap<>();
    Json.tree(who.filled())
        .properties()
        .forEach(one -> filled.put(one.getKey(), one.getValue().asString()));
    return forms
        .send(entrance.get().path(), filled, mapper.signUps(who.entranceId(), tonight))
        .<Outcome>map(NotYet::new)
        .orElseGet(Done::new);
  }

  private Outcome does(long person, String address, Happening what) {
    boolean there =
        switch (what) {
          case Happening.OfMessage of -> mail.does(person, address, of);
          case Happening.ConsentWithdrawn withdrawn ->
              mail.unsubscribes(person, address, withdrawn.becauseOf());
          case Happening.Complained complained -> mail.complains(person, address);
          case Happening.CartChanged cart -> {
            shop.leavesCart(address, cart);
            yield true;
          }
          case Happening.Ordered order -> {
            shop.buys(address, order);
            yield true;
          }
          case Happening.EventArrived event -> {
            shop.experiences(address, event);
            yield true;
          }
          default -> throw new IllegalStateException("nobody does " + what);
        };
    return there ? new Done() : new NotYet("The mail that it is about had not come.");
  }
}
