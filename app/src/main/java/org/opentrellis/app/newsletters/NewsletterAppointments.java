package org.opentrellis.app.newsletters;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.opentrellis.app.account.Account;
import org.opentrellis.app.catalogue.Catalogues;
import org.opentrellis.app.journeys.JourneyShelf;
import org.opentrellis.app.journeys.Journeys;
import org.opentrellis.app.live.Appointments;
import org.opentrellis.app.live.MailFigures;
import org.opentrellis.core.journey.Message;
import org.opentrellis.core.newsletter.Newsletter;
import org.opentrellis.core.newsletter.NewsletterJourney;
import org.opentrellis.core.newsletter.SubjectTest;
import org.opentrellis.core.newsletter.SubjectVerdict;
import org.opentrellis.core.stats.Proportion;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.resilience.annotation.Retryable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Chooses the better subject when its moment has come, and closes what has come to everybody. What
 * is chosen is kept with the journey as it goes on from then, in one transaction. One that fails is
 * tried again later, and holds up nothing else.
 */
@Component
class NewsletterAppointments implements Appointments {
  private static final Logger LOG = LoggerFactory.getLogger(NewsletterAppointments.class);

  /** Seconds until one that failed is tried again. */
  private static final long TRIED_AGAIN_AFTER = 600;

  /** Seconds after it came to the last. */
  static final long CLOSES_AFTER = 60;

  private final NewsletterMapper mapper;
  private final NewsletterMoments moments;
  private final MailFigures figures;
  private final Journeys journeys;
  private final JourneyShelf shelf;
  private final Catalogues catalogues;
  private final Account account;
  private final TransactionTemplate transaction;

  NewsletterAppointments(
      NewsletterMapper mapper,
      NewsletterMoments moments,
      MailFigures figures,
      Journeys journeys,
      JourneyShelf shelf,
      Catalogues catalogues,
      Account account,
      TransactionTemplate transaction) {
    this.mapper = mapper;
    this.moments = moments;
    this.figures = figures;
    this.journeys = journeys;
    this.shelf = shelf;
    this.catalogues = catalogues;
    this.account = account;
    this.transaction = transaction;
  }

  @Override
  @Transactional(readOnly = true)
  public long next() {
    return mapper.next().orElse(Long.MAX_VALUE);
  }

  @Override
  @Retryable(includes = PessimisticLockingFailureException.class, maxRetries = 20, delay = 20)
  public int keep(long until) {
    if (next() > until) {
      return 0;
    }
    List<NewsletterRow> due = mapper.due(until);
    for (NewsletterRow row : due) {
      try {
        transaction.executeWithoutResult(status -> keep(row, until));
      } catch (PessimisticLockingFailureException taken) {
        throw taken;
      } catch (RuntimeException fault) {
        LOG.error("Newsletter {} has to wait: {}", row.journeyId(), fault.getMessage(), fault);
        transaction.executeWithoutResult(
            status -> mapper.dueAgain(row.journeyId(), until + TRIED_AGAIN_AFTER));
      }
    }
    return due.size();
  }

  private void keep(NewsletterRow row, long until) {
    Newsletter newsletter = row.newsletter();
    long last = moments.of(newsletter.going().orElseThrow()).last();
    boolean undecided = row.decideAt() != null && row.better() == null;
    if (undecided && row.decideAt() <= until) {
      decide(row, newsletter);
      undecided = false;
    }
    long closes = last + CLOSES_AFTER;
    if (undecided) {
      mapper.dueNext(row.journeyId(), row.decideAt(), last);
    } else if (closes > until) {
      mapper.dueNext(row.journeyId(), closes, last);
    } else {
      shelf.close(row.journeyId());
      mapper.dueNext(row.journeyId(), null, last);
    }
  }

  private void decide(NewsletterRow row, Newsletter newsletter) {
    SubjectTest tried = newsletter.subjects().orElseThrow();
    Map<String, MailFigures.OfStep> sent = figures.of(row.journeyId(), row.decideAt());
    List<String> subjects = new ArrayList<>();
    List<Proportion> shares = new ArrayList<>();
    for (int n = 0; n < tried.count(); n++) {
      MailFigures.OfStep of =
          sent.getOrDefault(NewsletterJourney.tried(n).value(), MailFigures.OfStep.NOTHING);
      subjects.add(n == 0 ? own(newsletter) : tried.others().get(n - 1));
      long did = tried.by() == SubjectTest.By.OPENED ? of.opened() : of.clicked();
      shares.add(new Proportion(Math.min(did, of.delivered()), of.delivered()));
    }
    SubjectVerdict verdict = SubjectVerdict.of(subjects, shares, tried.by());
    mapper.decide(row.journeyId(), verdict.better(), verdict.sentence());
    if (verdict.better() > 0) {
      journeys.become(
          row.journeyId(), NewsletterJourney.of(newsletter, account.zone(), verdict.better()));
      shelf.putIntoEffect(row.journeyId());
    }
  }

  private String own(Newsletter newsletter) {
    return newsletter
        .message()
        .flatMap(id -> catalogues.current().message(id))
        .map(Message::headline)
        .orElse("");
  }
}
